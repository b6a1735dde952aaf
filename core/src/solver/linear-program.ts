/** A 0/1 programme as data, and as the CPLEX LP text that solvers read. The one place where that text is written. */

export type Term = readonly [coefficient: number, column: string];

export interface Row {
  /** Letters, digits and underscores; a number is given where there is none. */
  name?: string;
  terms: readonly Term[];
  sense: "<=" | ">=" | "=";
  bound: number;
}

export interface LinearProgram {
  aim: "Maximize" | "Minimize";
  objective: readonly Term[];
  rows: readonly Row[];
  /** Columns that are no 0/1 choices: from 0 up to this. */
  upTo?: ReadonlyMap<string, number>;
  /** Columns that are 0 or 1. */
  binaries: readonly string[];
  /** Columns among those of `upTo` that are whole. */
  integers?: readonly string[];
}

/** The format limits the length of a line; so many terms are far below it. */
const TERMS_A_LINE = 12;
/** Figures are written to a millionth. */
const DIGITS = 1e6;

/** @throws RangeError for a figure that is none: no solver says which it was */
export function lpText({ aim, objective, rows, upTo = new Map(), binaries, integers = [] }: LinearProgram): string {
  return [
    aim,
    ` objective: ${sumOf(objective)}`,
    "Subject To",
    ...rows.map(({ name, terms, sense, bound }, i) => ` ${name ?? `r${i}`}: ${sumOf(terms)} ${sense} ${figure(bound)}`),
    ...(upTo.size > 0 ? ["Bounds", ...[...upTo].map(([column, most]) => ` 0 <= ${column} <= ${figure(most)}`)] : []),
    ...(integers.length > 0 ? ["General", ...lines(integers)] : []),
    ...(binaries.length > 0 ? ["Binary", ...lines(binaries)] : []),
    "End",
    "",
  ].join("\n");
}

/** A name the format takes: it knows no hyphens. */
export function columnName(...parts: readonly (string | number)[]): string {
  return parts.join("_").replace(/[^A-Za-z0-9_]/g, "_");
}

function sumOf(terms: readonly Term[]): string {
  if (terms.length === 0) return "0 nothing";
  return lines(terms.map(([coefficient, column]) => `${coefficient < 0 ? "-" : "+"} ${figure(Math.abs(coefficient))} ${column}`))
    .join("\n")
    .trimStart();
}

function lines(words: readonly string[]): string[] {
  const list: string[] = [];
  for (let i = 0; i < words.length; i += TERMS_A_LINE) list.push(` ${words.slice(i, i + TERMS_A_LINE).join(" ")}`);
  return list;
}

function figure(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`${value} is no figure a solver can work with`);
  return String(Math.round(value * DIGITS) / DIGITS);
}
