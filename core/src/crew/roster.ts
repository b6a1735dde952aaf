/** A roster file row by row: the person it makes or changes, what has to be asked, or what is wrong with it. */
import * as v from "valibot";
import { hasLeft, Person } from "./person";
import {
  orderOfDates,
  plainWord,
  readDay,
  readHandedness,
  readLanguage,
  WORD_FIELDS,
  type DateOrder,
  type RosterWords,
  type WordField,
} from "./roster-cells";
import { looksMisdecoded, type RosterText } from "./roster-text";
import type { ColumnMap, RosterField } from "./roster-columns";
import { areSimilarNames, isSameName } from "./similar-name";

export interface RosterProblem {
  field: RosterField;
  message: string;
}

export type KnownPerson = Person & { id: string };

/** How a file is to be read; what the trainer said beside it. */
export interface RosterReading {
  columns: ColumnMap;
  dateOrder: DateOrder;
  words: RosterWords;
  /** Cells written over in the preview, by line. */
  edits: Readonly<Record<number, Partial<Record<RosterField, string>>>>;
  /** Lines whose likeness to somebody of the crew was answered. */
  answers: Readonly<Record<number, "same" | "else">>;
  /** YYYY-MM-DD */
  today: string;
  /** Everybody in the crew, those who left included. */
  known: readonly KnownPerson[];
}

/** Would come in, changes somebody, changes nothing, has to be answered first, or cannot be kept. */
export type RosterOutcome = "new" | "change" | "same" | "ask" | "bad";

export interface RosterRow {
  line: number;
  outcome: RosterOutcome;
  /** The cells as they were, or as they were written over, by field. */
  given: Partial<Record<RosterField, string>>;
  /** As they would be kept; of somebody known, with what the file leaves empty. Null where it cannot be kept. */
  person: Person | null;
  problems: RosterProblem[];
  /** Who of the crew it is or may be: by the badge, else by the name. */
  known: KnownPerson | null;
  by: "badge" | "name" | null;
  /** What would change of them. */
  changed: (keyof Person)[];
}

/** Day before month unless a date in the file can only be month first. */
export function guessDateOrder(text: RosterText, columns: ColumnMap): DateOrder {
  const indices = [columns.startedOn, columns.leftOn].filter((index) => index !== undefined);
  return orderOfDates(text.rows.flatMap(({ cells }) => indices.map((index) => cells[index] ?? "")));
}

/**
 * Words of the hand and language columns that are in no list, each once, with how often it is there.
 * A cell that was written over counts as written.
 */
export function unknownWords(text: RosterText, reading: RosterReading): { field: WordField; word: string; times: number }[] {
  return WORD_FIELDS.flatMap((field) => {
    const read = field === "handedness" ? readHandedness : readLanguage;
    const times = new Map<string, number>();
    for (const { line, cells } of text.rows) {
      const cell = cellsOf(line, cells, reading)[field] ?? "";
      if (read(cell, {}) === undefined) times.set(plainWord(cell), (times.get(plainWord(cell)) ?? 0) + 1);
    }
    return [...times].map(([word, count]) => ({ field, word, times: count }));
  });
}

/** Reads every row. A row with a problem makes no person; it never stops the others. */
export function readRoster(text: RosterText, reading: RosterReading): RosterRow[] {
  const badges = new Map<string, number>();
  const taken = new Map<string, number>();
  return text.rows.map(({ line, cells }) => {
    const given = cellsOf(line, cells, reading);
    const { person, problems } = readPerson(given, reading);
    const found = problems.length === 0 ? likeness(person, reading) : null;
    const badge = person.badge?.toLowerCase();
    if (badge) {
      const other = badges.get(badge);
      if (other) problems.push({ field: "badge", message: `also on line ${other}` });
      else badges.set(badge, line);
    }
    // A list without last days may be of everybody there ever was: whoever left is back only when that is said.
    const mayBeBack = found !== null && hasLeft(found.person, reading.today) && reading.columns.leftOn === undefined;
    const said = found?.sure && !mayBeBack ? "same" : reading.answers[line];
    const asked = found !== null && said === undefined;
    const known = found !== null && said !== "else" ? found.person : null;
    if (known && said === "same") {
      const other = taken.get(known.id);
      if (other) problems.push({ field: "name", message: `is the same person as line ${other}` });
      else taken.set(known.id, line);
    }
    if (found?.by === "badge" && said === "else") problems.push({ field: "badge", message: `already ${found.person.name}'s in this crew` });
    const merged = known ? mergedInto(known, person, reading.today) : person;
    const parsed = v.safeParse(Person, merged);
    if (!parsed.success)
      for (const issue of parsed.issues)
        problems.push({ field: (issue.path?.[0]?.key as RosterField | undefined) ?? "name", message: issue.message });
    const changed = known ? (Object.keys(merged) as (keyof Person)[]).filter((field) => merged[field] !== known[field]) : [];
    const good = problems.length === 0 && parsed.success;
    return {
      line,
      outcome: !good ? "bad" : asked ? "ask" : !known ? "new" : changed.length > 0 ? "change" : "same",
      given,
      person: good ? parsed.output : null,
      problems,
      known,
      by: known ? found!.by : null,
      changed,
    };
  });
}

function cellsOf(line: number, cells: readonly string[], { columns, edits }: RosterReading): RosterRow["given"] {
  return { ...Object.fromEntries(Object.entries(columns).map(([field, index]) => [field, cells[index] ?? ""])), ...edits[line] };
}

function readPerson(given: RosterRow["given"], { dateOrder, words, today }: RosterReading): { person: Person; problems: RosterProblem[] } {
  const problems: RosterProblem[] = [];
  const told = <T>(field: RosterField, value: T | undefined, message: string): T | null => {
    if (value === undefined) problems.push({ field, message });
    return value ?? null;
  };
  const day = (field: "startedOn" | "leftOn") => told(field, readDay(given[field] ?? "", dateOrder, today), "is not a day of the calendar");
  const person = {
    name: (given.name ?? [given.givenName, given.familyName].filter(Boolean).join(" ")).trim(),
    badge: given.badge?.trim() || null,
    handedness: told("handedness", readHandedness(given.handedness ?? "", words.handedness), "is not left, right or both"),
    startedOn: day("startedOn"),
    leftOn: day("leftOn"),
    language: told("language", readLanguage(given.language ?? "", words.language), "is none of the languages there are"),
  };
  if (looksMisdecoded(person.name)) problems.push({ field: "name", message: "looks wrongly decoded: choose another encoding" });
  return { person, problems };
}

/** Who of the crew a row may be. Sure when the badge is theirs and the name is like theirs. */
function likeness(person: Person, { known, today }: RosterReading): { person: KnownPerson; by: "badge" | "name"; sure: boolean } | null {
  const badge = person.badge?.toLowerCase();
  const byBadge = badge ? known.find((each) => each.badge?.toLowerCase() === badge) : undefined;
  if (byBadge) return { person: byBadge, by: "badge", sure: person.name === "" || areSimilarNames(byBadge.name, person.name) };
  const named = known.filter((each) => isSameName(each.name, person.name));
  // Whoever is still here before whoever left.
  const byName = named.find((each) => !hasLeft(each, today)) ?? named[0];
  return byName ? { person: byName, by: "name", sure: false } : null;
}

/**
 * What a file leaves empty stays as it was; what differs in the size of its letters only does too. Whoever left and is on the list again
 * without a last day is here again.
 */
function mergedInto({ id: _id, ...known }: KnownPerson, read: Person, today: string): Person {
  return {
    name: read.name === "" || isSameName(known.name, read.name) ? known.name : read.name,
    badge: read.badge?.toLowerCase() === known.badge?.toLowerCase() ? known.badge : (read.badge ?? known.badge),
    handedness: read.handedness ?? known.handedness,
    startedOn: read.startedOn ?? known.startedOn,
    leftOn: read.leftOn ?? (hasLeft(known, today) ? null : known.leftOn),
    language: read.language ?? known.language,
  };
}
