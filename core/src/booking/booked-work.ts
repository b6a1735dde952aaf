/** What the hands do on days of bookings: the work, its strain and its need follow from what is booked. */
import { HAND_SIDES } from "../units";
import { minutesByTask, RAISED_STRAIN, taskStrain, type Treatment, type Work, type WorkDay } from "../strain";
import { inOrder, isDeep, type Booking } from "./booking";
import type { BookedSpan } from "./lay";

/** Minutes of each task on average over days of bookings: whole ones, none left out that comes to half a minute or more. */
export function bookedParts(work: Work, days: readonly (readonly Booking[])[]): WorkDay["parts"] {
  const minutes = new Map<string, number>();
  for (const booking of days.flatMap(inOrder)) {
    const treatment = treatmentOf(work, booking);
    for (const part of treatment?.parts ?? [])
      minutes.set(part.taskId, (minutes.get(part.taskId) ?? 0) + (part.minutes * booking.lengthMin) / treatment!.lengthMin);
  }
  return [...minutes]
    .map(([taskId, sum]) => ({ taskId, minutes: Math.min(960, Math.round(sum / days.length)) }))
    .filter((part) => part.minutes > 0);
}

function treatmentOf({ treatments = [] }: Work, { treatmentId }: Booking): Treatment | undefined {
  return treatments.find(({ id }) => id === treatmentId);
}

/**
 * The work with its days as they are booked: first the usual day of all, then one of each person's own.
 * @param days days of bookings by person; who has none works the usual one
 * @returns the work as it is written where nothing is booked
 */
export function workAsBooked(work: Work, days: ReadonlyMap<string, readonly (readonly Booking[])[]>): Work {
  const booked = [...days].filter(([, own]) => own.length > 0);
  const usual = bookedParts(
    work,
    booked.flatMap(([, own]) => own),
  );
  if (usual.length === 0) return work;
  const own = booked.map(([personId, list]): WorkDay => ({
    id: personId,
    name: personId,
    parts: bookedParts(work, list),
    personIds: [personId],
  }));
  return { ...work, days: [{ id: "usual", name: "usual", parts: usual, personIds: [] }, ...own.filter(({ parts }) => parts.length > 0)] };
}

/** Minutes a day of bookings works the hands. */
export function handMinutes(work: Work, bookings: readonly Booking[]): number {
  return bookedParts(work, [bookings]).reduce((sum, { minutes }) => sum + minutes, 0);
}

/** A light day has no more than this share of a usual day's hand work. Practice rule. */
export const LIGHT_SHARE = 0.75;
/** A usual day is known from this many days on. */
export const KNOWN_FROM_DAYS = 3;

/** Whether a day is lighter for the hands than a usual one; not said of whoever has too few days to know. */
export function isLightDay(work: Work, day: readonly Booking[], others: readonly (readonly Booking[])[]): boolean {
  const known = others.map((each) => handMinutes(work, each)).filter((minutes) => minutes > 0);
  if (known.length < KNOWN_FROM_DAYS) return false;
  const sorted = known.sort((a, b) => a - b);
  const middle = sorted.length / 2;
  const usual = (sorted[Math.ceil(middle) - 1]! + sorted[Math.floor(middle)]!) / 2;
  return handMinutes(work, day) <= LIGHT_SHARE * usual;
}

export interface BookedStrain {
  /** Strain index of the hardest task of it. */
  hardest: number;
  /** Over its whole length: what the hands do not work counts as nothing. */
  mean: number;
}

/** How hard each booking of a day is for the harder hand: its tasks, at the hours of them the whole day has. */
export function bookedStrain(work: Work, bookings: readonly Booking[]): Map<string, BookedStrain> {
  const minutes = minutesByTask({ id: "-", name: "-", parts: bookedParts(work, [bookings]), personIds: [] });
  const strains = new Map(
    work.tasks
      .filter(({ id }) => minutes.has(id))
      .map((task) => [task.id, Math.max(...HAND_SIDES.map((side) => taskStrain(task, side, minutes.get(task.id)! / 60).index))]),
  );
  return new Map(
    inOrder(bookings).map((booking): [string, BookedStrain] => {
      const treatment = treatmentOf(work, booking);
      const parts = (treatment?.parts ?? []).map((part) => ({ strain: strains.get(part.taskId) ?? 0, minutes: part.minutes }));
      const mean = parts.reduce((sum, part) => sum + part.strain * part.minutes, 0) / (treatment?.lengthMin ?? 1);
      return [booking.id, { hardest: Math.max(0, ...parts.map(({ strain }) => strain)), mean }];
    }),
  );
}

/** A day of bookings as resets are laid around it. What is not known counts as deep and hard. */
export function bookedSpans(work: Work, bookings: readonly Booking[]): BookedSpan[] {
  const strain = bookedStrain(work, bookings);
  return inOrder(bookings).map((booking) => {
    const startMs = Date.parse(booking.startsAt);
    return {
      id: booking.id,
      startMs,
      endMs: startMs + booking.lengthMin * 60_000,
      deep: isDeep(booking, work.treatments ?? []),
      hard: !treatmentOf(work, booking) || strain.get(booking.id)!.hardest > RAISED_STRAIN,
    };
  });
}
