/** Bookings from a file with columns (CSV): whose, which day, when, how long, which kind; each row becomes a booking or says why not. */
import { dateAt, momentAt } from "../calendar";
import { orderOfDates, plainWord, readDay, readRosterText } from "../crew";
import type { Treatment } from "../strain";
import { readTime } from "../units";
import type { Booking } from "./booking";
import { personNamed, treatmentNamed } from "./recognise";

export const BOOKING_FIELDS = ["person", "date", "start", "end", "minutes", "treatment", "status"] as const;
export type BookingField = (typeof BOOKING_FIELDS)[number];

/** Names of columns, plain, in the languages here. */
const COLUMN_WORDS: Readonly<Record<BookingField, readonly string[]>> = {
  person: [
    "name",
    "person",
    "therapist",
    "employee",
    "staff",
    "badge",
    "therapeut",
    "therapeutin",
    "mitarbeiter",
    "nombre",
    "terapeuta",
    "pracownik",
    "imie",
  ],
  date: ["date", "day", "datum", "tag", "fecha", "dia", "data", "dzien"],
  start: ["start", "from", "time", "begin", "begins", "starttime", "von", "beginn", "uhrzeit", "hora", "inicio", "od", "godzina"],
  end: ["end", "to", "until", "endtime", "bis", "ende", "fin", "hasta", "do", "koniec"],
  minutes: ["minutes", "min", "length", "duration", "dauer", "minuten", "duracion", "minutos", "czas", "minuty"],
  treatment: ["treatment", "service", "kind", "type", "behandlung", "leistung", "art", "tratamiento", "servicio", "zabieg", "usluga"],
  status: ["status", "state", "zustand", "estado", "stan"],
};
const CANCELLED_WORDS = [
  "cancelled",
  "canceled",
  "storniert",
  "abgesagt",
  "cancelado",
  "cancelada",
  "anulado",
  "anulowany",
  "anulowane",
  "odwolany",
];
/** Titles may stand above the columns' names. */
const MOST_ABOVE = 10;

export type RowProblem = "noPerson" | "noDay" | "noStart" | "noLength" | "length";

export interface BookingFileRow {
  /** From 1, as a spreadsheet counts. */
  line: number;
  cells: string[];
  /** Null where something is missing or not understood. */
  booking: Booking | null;
  problems: RowProblem[];
  /** Kind of treatment as it is written, where it is none of the team's; the booking is taken without. */
  unknownTreatment: string | null;
}

export interface BookingFile {
  headers: string[];
  /** Fields no column was found for. */
  missing: BookingField[];
  rows: BookingFileRow[];
}

export interface BookingFileOptions {
  people: readonly { id: string; name: string; badge: string | null }[];
  treatments: readonly Treatment[];
  timeZone: string;
  /** YYYY-MM-DD: years of two digits are near it. */
  today: string;
  makeId(): string;
}

const LENGTHS = { least: 5, most: 480 };

/** @throws RangeError when the file holds nothing */
export function readBookingFile(bytes: Uint8Array, options: BookingFileOptions): BookingFile {
  const { rows } = readRosterText(bytes, undefined, null);
  const named = rows.slice(0, MOST_ABOVE).map(({ cells }) => columnsIn(cells));
  const most = Math.max(...named.map(({ size }) => size));
  const header = most === 0 ? -1 : named.findIndex(({ size }) => size === most);
  const columns = named[header] ?? new Map<BookingField, number>();
  const saysLength = (["end", "minutes", "treatment"] as const).some((field) => columns.has(field));
  const missing = (["person", "date", "start", ...(saysLength ? [] : (["minutes"] as const))] as const).filter(
    (field) => !columns.has(field),
  );
  const list = rows.slice(header + 1);
  const dateColumn = columns.get("date");
  const order = orderOfDates(dateColumn === undefined ? [] : list.map(({ cells }) => cells[dateColumn] ?? ""));
  return {
    headers: rows[header]?.cells ?? [],
    missing,
    rows: list.map(({ line, cells }) => readRow(line, cells, (field) => cells[columns.get(field) ?? -1] ?? "", order, options)),
  };
}

function columnsIn(cells: readonly string[]): Map<BookingField, number> {
  const found = new Map<BookingField, number>();
  cells.forEach((cell, i) => {
    const field = BOOKING_FIELDS.find((each) => COLUMN_WORDS[each].includes(plainWord(cell)));
    if (field && !found.has(field)) found.set(field, i);
  });
  return found;
}

function readRow(
  line: number,
  cells: string[],
  cell: (field: BookingField) => string,
  order: "dmy" | "mdy",
  { people, treatments, timeZone, today, makeId }: BookingFileOptions,
): BookingFileRow {
  const problems: RowProblem[] = [];
  const who = cell("person");
  const person = people.find(({ badge }) => badge !== null && plainWord(badge) === plainWord(who)) ?? personNamed([who], people);
  if (!person) problems.push("noPerson");
  const date = readDay(cell("date"), order, today);
  if (!date) problems.push("noDay");
  const start = readTime(cell("start"));
  if (!start) problems.push("noStart");
  const kind = cell("treatment");
  const treatment = treatmentNamed([kind], treatments);
  const startMs = date && start ? momentAt(date, start, 0, timeZone) : NaN;
  const lengthMin = lengthOf(cell, startMs, timeZone) ?? treatment?.lengthMin;
  if (lengthMin === undefined) problems.push("noLength");
  else if (lengthMin < LENGTHS.least || lengthMin > LENGTHS.most) problems.push("length");
  return {
    line,
    cells,
    problems,
    unknownTreatment: !treatment && kind !== "" ? kind : null,
    booking:
      problems.length > 0
        ? null
        : {
            id: makeId(),
            personId: person!.id,
            startsAt: new Date(startMs).toISOString(),
            lengthMin: lengthMin!,
            treatmentId: treatment?.id ?? null,
            cancelled: CANCELLED_WORDS.includes(plainWord(cell("status"))),
          },
  };
}

/** By the minutes, or until the end; an end before the start is of the next day. */
function lengthOf(cell: (field: BookingField) => string, startMs: number, timeZone: string): number | undefined {
  const minutes = /^(\d{1,3})\s*(min|minutes|minuten|minutos|minut)?\.?$/i.exec(cell("minutes").trim());
  if (minutes) return Number(minutes[1]);
  const end = readTime(cell("end"));
  if (!end || Number.isNaN(startMs)) return undefined;
  const endMs = momentAt(dateAt(startMs, timeZone), end, 0, timeZone);
  return Math.round(((endMs > startMs ? endMs : endMs + 86_400_000) - startMs) / 60_000);
}

/** Those of a file that are not there yet: the same person at the same moment is the same booking. */
export function notThereYet<B extends Booking>(found: readonly B[], there: readonly Booking[]): B[] {
  const keys = new Set(there.map(({ personId, startsAt }) => `${personId} ${startsAt}`));
  return found.filter(({ personId, startsAt }) => {
    const key = `${personId} ${startsAt}`;
    if (keys.has(key)) return false;
    keys.add(key);
    return true;
  });
}
