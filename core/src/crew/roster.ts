/** A roster file row by row: the person it makes, or what is wrong with it. */
import * as v from "valibot";
import { Person } from "./person";
import { isLanguage, LANGUAGE_FACTS, LANGUAGES, type Language } from "../language";
import { looksMisdecoded, type RosterText } from "./roster-text";
import type { ColumnMap, RosterField } from "./roster-columns";

export type DateOrder = "dmy" | "mdy";

export interface RosterProblem {
  field: RosterField;
  message: string;
}

export interface RosterRow {
  line: number;
  /** The cells as they were, by field, for showing beside the problem. */
  given: Partial<Record<RosterField, string>>;
  person: Person | null;
  problems: RosterProblem[];
}

export interface KnownPerson {
  name: string;
  badge: string | null;
}

/** Reads every row. A row with a problem makes no person; it never stops the others. */
export function readRoster(
  text: RosterText,
  columns: ColumnMap,
  known: readonly KnownPerson[],
  dateOrder: DateOrder = guessDateOrder(text, columns),
): RosterRow[] {
  const badges = new Map<string, string>();
  for (const person of known) if (person.badge) badges.set(person.badge.toLowerCase(), `already ${person.name}'s in this crew`);
  return text.rows.map(({ line, cells }) => {
    const given = Object.fromEntries(Object.entries(columns).map(([field, index]) => [field, cells[index!] ?? ""])) as RosterRow["given"];
    const problems: RosterProblem[] = [];
    const fields = {
      name: given.name ?? [given.givenName, given.familyName].filter(Boolean).join(" "),
      badge: given.badge || null,
      handedness: readHandedness(given.handedness, problems),
      startedOn: readDate("startedOn", given.startedOn, dateOrder, problems),
      leftOn: readDate("leftOn", given.leftOn, dateOrder, problems),
      language: readLanguage(given.language, problems),
    };
    if (looksMisdecoded(fields.name)) problems.push({ field: "name", message: "looks wrongly decoded: choose another encoding" });
    const parsed = v.safeParse(Person, fields);
    if (!parsed.success) {
      for (const issue of parsed.issues)
        problems.push({ field: (issue.path?.[0]?.key as RosterField | undefined) ?? "name", message: issue.message });
    }
    const badge = fields.badge?.toLowerCase();
    if (badge) {
      const taken = badges.get(badge);
      if (taken) problems.push({ field: "badge", message: taken });
      else badges.set(badge, `also on line ${line}`);
    }
    return { line, given, person: problems.length === 0 && parsed.success ? parsed.output : null, problems };
  });
}

/** Day before month unless a date in the file can only be month first. */
export function guessDateOrder(text: RosterText, columns: ColumnMap): DateOrder {
  const indices = [columns.startedOn, columns.leftOn].filter((index) => index !== undefined);
  let order: DateOrder = "dmy";
  for (const { cells } of text.rows) {
    for (const index of indices) {
      const match = slashed.exec(cells[index] ?? "");
      if (!match) continue;
      if (Number(match[1]) > 12) return "dmy";
      if (Number(match[2]) > 12) order = "mdy";
    }
  }
  return order;
}

const slashed = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/;

function readDate(field: "startedOn" | "leftOn", cell: string | undefined, order: DateOrder, problems: RosterProblem[]): string | null {
  if (!cell) return null;
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(cell);
  const match = slashed.exec(cell);
  const parts = iso
    ? [iso[1]!, iso[2]!, iso[3]!]
    : match && (order === "dmy" ? [match[3]!, match[2]!, match[1]!] : [match[3]!, match[1]!, match[2]!]);
  const date = parts ? `${parts[0]}-${parts[1]!.padStart(2, "0")}-${parts[2]!.padStart(2, "0")}` : "";
  const real = new Date(`${date}T00:00:00Z`);
  if (!Number.isNaN(real.getTime()) && real.toISOString().startsWith(date)) return date;
  problems.push({ field, message: "is not a day of the calendar" });
  return null;
}

function readHandedness(cell: string | undefined, problems: RosterProblem[]): "left" | "right" | "both" | null {
  const word = (cell ?? "")
    .toLowerCase()
    .replace(/[^a-z]/g, "")
    .replace(/hand(ed)?$/, "");
  if (word === "" || word === "unknown" || word === "na") return null;
  if (word === "l" || word === "left") return "left";
  if (word === "r" || word === "right") return "right";
  if (["lr", "rl", "both", "ambi", "ambidextrous", "either"].includes(word)) return "both";
  problems.push({ field: "handedness", message: "is not left, right or both" });
  return null;
}

/** By its code, as who speaks it calls it, or in English. */
function readLanguage(cell: string | undefined, problems: RosterProblem[]): Language | null {
  const word = (cell ?? "").trim().toLowerCase();
  if (word === "") return null;
  const code = word.split(/[-_]/)[0];
  if (isLanguage(code)) return code;
  const named = LANGUAGES.find((each) =>
    [LANGUAGE_FACTS[each].ownName, LANGUAGE_FACTS[each].englishName].some((name) => name.toLowerCase() === word),
  );
  if (!named) problems.push({ field: "language", message: "is none of the languages there are" });
  return named ?? null;
}
