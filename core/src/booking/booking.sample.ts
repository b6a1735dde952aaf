/** Days of bookings for tests. */
import { minutesOfDay } from "../calendar";
import { TASK_STARTERS, type Task, type Work } from "../strain";
import type { Booking } from "./booking";
import type { BookedDay, BookedSpan, LayRules, SessionShape } from "./lay";

let made = 0;
const sampleId = () => `019d0000-0000-7000-a000-${String(++made).padStart(12, "0")}`;

const DAY = Date.parse("2026-03-24T00:00:00Z");
/** ms since 1970 of a time of the day, "HH:MM". */
export const at = (time: string): number => DAY + minutesOfDay(time) * 60_000;
export const timeOf = (ms: number): string => new Date(ms).toISOString().slice(11, 16);

/** "09:00-09:50", with "d" behind it for deep and "h" for hard work. */
export function spans(...texts: string[]): BookedSpan[] {
  return texts.map((text, i) => ({
    id: String(i + 1),
    startMs: at(text.slice(0, 5)),
    endMs: at(text.slice(6, 11)),
    deep: text.includes("d"),
    hard: text.includes("h"),
  }));
}

const shape = (lengthMin: number, change: Partial<SessionShape> = {}): SessionShape => ({
  lengthMin,
  moves: false,
  glides: false,
  shares: null,
  ...change,
});
export const SHAPES = {
  warmUp: shape(6, { moves: true }),
  reset: shape(2),
  longer: shape(4, { moves: true }),
  strength: shape(10, { shares: { kit: "kit", people: 2 } }),
};
export const rules = (change: Partial<LayRules> = {}): LayRules => ({ sessions: SHAPES, turnMin: 3, mostInRow: 3, nowMs: 0, ...change });
export const bookedDay = (bookings: BookedSpan[], change: Partial<BookedDay> = {}): BookedDay => ({
  personId: "p",
  bookings,
  mayStrengthen: false,
  strengthFromMs: -Infinity,
  begun: [],
  ...change,
});

export const booking = (time: string, change: Partial<Booking> = {}): Booking => ({
  id: sampleId(),
  personId: sampleId(),
  startsAt: new Date(at(time)).toISOString(),
  lengthMin: 60,
  treatmentId: null,
  cancelled: false,
  ...change,
});

/** A deep and an easy treatment; the deep one presses with the thumbs. */
export function sampleTreatments(): Work {
  const [starter] = TASK_STARTERS;
  const task = (name: string, effort: number): Task => ({
    ...starter!,
    id: sampleId(),
    name,
    efforts: starter!.efforts
      .slice(0, 1)
      .map((each) => ({ ...each, id: sampleId(), hands: "both", effort, perMin: 2 * effort, secEach: 2 })),
  });
  const [press, sweep] = [task("Thumb pressing", 6), task("Sweeping", 1)];
  const treatment = (name: string, deep: boolean, taskId: string, minutes: number) => ({
    id: sampleId(),
    name,
    lengthMin: 60,
    deep,
    parts: [{ taskId, minutes }],
    words: [],
  });
  return {
    tasks: [press, sweep],
    days: [],
    treatments: [treatment("Deep tissue", true, press.id, 40), treatment("Calm", false, sweep.id, 20)],
  };
}
