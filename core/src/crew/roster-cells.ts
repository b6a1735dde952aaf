/** What a cell of a roster file says: days in the ways people write them, hands and languages in the words of every language here. */
import { isLanguage, LANGUAGE_FACTS, LANGUAGES, type Language } from "../language";
import type { Handedness } from "../units";

export type DateOrder = "dmy" | "mdy";

/** Fields that are answered with words of a list. */
export const WORD_FIELDS = ["handedness", "language"] as const;
export type WordField = (typeof WORD_FIELDS)[number];

/** What words of the file mean that are in no list, as the trainer said; null for "not known". By the word as `plainWord` has it. */
export interface RosterWords {
  handedness: Readonly<Record<string, Handedness | null>>;
  language: Readonly<Record<string, Language | null>>;
}
export const NO_WORDS: RosterWords = { handedness: {}, language: {} };

/** A cell without case, accents and signs: how words of a list are compared. */
export const plainWord = (cell: string): string =>
  cell
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, "");

/** Plain, in English, Spanish, German, Polish and Arabic; with "hand", "handed" and the like cut off. */
const HAND_WORDS: Record<Handedness, readonly string[]> = {
  left: [
    "l",
    "left",
    "lefty",
    "links",
    "linke",
    "izq",
    "izquierda",
    "izquierdo",
    "zurdo",
    "zurda",
    "lewa",
    "lewy",
    "leworeczny",
    "leworeczna",
  ].concat(["يسرى", "اليسرى", "ايسر", "يسار", "اعسر"]),
  right: [
    "r",
    "right",
    "righty",
    "rechts",
    "rechte",
    "der",
    "derecha",
    "derecho",
    "diestro",
    "diestra",
    "prawa",
    "prawy",
    "praworeczny",
  ].concat(["praworeczna", "يمنى", "اليمنى", "ايمن", "يمين"]),
  both: [
    "lr",
    "rl",
    "both",
    "ambi",
    "ambidextrous",
    "either",
    "beide",
    "beid",
    "ambas",
    "ambos",
    "ambidiestro",
    "ambidiestra",
    "obie",
  ].concat(["obureczna", "obureczny", "كلتا", "كلتاهما", "اليدان"]),
};
const UNKNOWN_WORDS = ["", "unknown", "na", "none", "unbekannt", "desconocido", "nieznane", "ka"];

/** @returns undefined when the word is in no list */
export function readHandedness(cell: string, words: RosterWords["handedness"]): Handedness | null | undefined {
  const word = plainWord(cell);
  if (Object.hasOwn(words, word)) return words[word]!;
  if (UNKNOWN_WORDS.includes(word)) return null;
  const bare = word.replace(/hand(ed|ig|er|erin)?$/, "");
  return (Object.keys(HAND_WORDS) as Handedness[]).find((hand) => [word, bare].some((each) => HAND_WORDS[hand].includes(each)));
}

/** By its code, as who speaks it calls it, or in English. @returns undefined when the word is in no list */
export function readLanguage(cell: string, words: RosterWords["language"]): Language | null | undefined {
  const word = plainWord(cell);
  if (Object.hasOwn(words, word)) return words[word]!;
  if (UNKNOWN_WORDS.includes(word)) return null;
  const code = cell.trim().toLowerCase().split(/[-_]/)[0];
  if (isLanguage(code)) return code;
  return LANGUAGES.find((each) =>
    [LANGUAGE_FACTS[each].ownName, LANGUAGE_FACTS[each].englishName].some((name) => plainWord(name) === word),
  );
}

const NUMBERS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})$/;

/** Day before month unless a date in the file can only be month first. */
export function orderOfDates(cells: Iterable<string>): DateOrder {
  let order: DateOrder = "dmy";
  for (const cell of cells) {
    const match = NUMBERS.exec(withoutTime(cell));
    if (!match) continue;
    if (Number(match[1]) > 12) return "dmy";
    if (Number(match[2]) > 12) order = "mdy";
  }
  return order;
}

/**
 * A day: 2019-02-03, 03/02/2019, 3.2.19, 3 Feb 2019, 3 de febrero de 2019, or a spreadsheet's number of it.
 * @param today YYYY-MM-DD; a year of two digits is the last one that is not after the next
 * @returns YYYY-MM-DD; null for an empty cell, undefined for what is no day
 */
export function readDay(cell: string, order: DateOrder, today: string): string | null | undefined {
  const text = withoutTime(cell);
  if (text === "") return null;
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(text);
  if (iso) return realDay(iso[1]!, iso[2]!, iso[3]!);
  const numbers = NUMBERS.exec(text);
  if (numbers) {
    const [, first, second, year] = numbers as unknown as [string, string, string, string];
    return order === "dmy" ? realDay(fullYear(year, today), second, first) : realDay(fullYear(year, today), first, second);
  }
  if (/^\d{5}$/.test(text)) return spreadsheetDay(Number(text));
  const parts = text.toLowerCase().match(/\p{L}+|\d+/gu) ?? [];
  const month = parts.flatMap((part) => MONTHS.get(plainWord(part)) ?? [])[0];
  const [first, second, ...more] = parts.filter((part) => /^\d+$/.test(part));
  if (!month || !first || !second || more.length > 0) return undefined;
  const [year, day] = first.length === 4 ? [first, second] : [second, first];
  return year.length === 4 || year.length === 2 ? realDay(fullYear(year, today), String(month), day) : undefined;
}

const withoutTime = (cell: string): string => cell.trim().replace(/[T ]00:00(:00(\.0+)?)?Z?$/, "");

function realDay(year: string, month: string, day: string): string | undefined {
  const date = `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
  const real = new Date(`${date}T00:00:00Z`);
  return !Number.isNaN(real.getTime()) && real.toISOString().startsWith(date) ? date : undefined;
}

function fullYear(year: string, today: string): string {
  if (year.length === 4) return year;
  const next = Number(today.slice(0, 4)) + 1;
  const full = Math.floor(next / 100) * 100 + Number(year);
  return String(full > next ? full - 100 : full);
}

/** Days since 1899-12-30, as spreadsheets count; 1954 to 2064 only, so that a works number is none. */
function spreadsheetDay(days: number): string | undefined {
  return days >= 20_000 && days < 60_000 ? new Date(Date.UTC(1899, 11, 30 + days)).toISOString().slice(0, 10) : undefined;
}

/** Names of months, long and short, in every language here → 1 to 12. */
const MONTHS = new Map(
  LANGUAGES.flatMap((language) =>
    (["long", "short"] as const).flatMap((month) =>
      Array.from({ length: 12 }, (_, i) => {
        const name = new Intl.DateTimeFormat(language, { month, day: "numeric", timeZone: "UTC" })
          .formatToParts(Date.UTC(2026, i, 3))
          .find(({ type }) => type === "month")!.value;
        return [plainWord(name), i + 1] as const;
      }),
    ),
  ),
);
