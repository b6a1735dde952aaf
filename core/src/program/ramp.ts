/**
 * Who is new or was away comes back by steps: how long away says what is done less, and for how long. Strength is kept for up to four weeks
 * without training, what was gained last goes first (Mujika, Padilla, Medicine & Science in Sports & Exercise 2001; 33(8): 1297–1303): so
 * under three weeks only the dose is lighter, then form and load wait as well. The lengths are a practice rule.
 */
import { addDays, daysBetween } from "../calendar";
import { easierForm, type Library, type Movement } from "../library";
import { doseInForm, heldIn, NOTHING_HELD, type Item, type PersonalForm, type Session } from "../session";
import { settlingDose, unloadedForm } from "./settling";

/** Days in a row without anything done from which on somebody was away. */
export const AWAY_FROM_DAYS = 7;
/** Away for so many days: form and load wait too. */
export const LONG_FROM_DAYS = 21;
/** Away for so many days: begins with the easiest form. */
export const VERY_LONG_FROM_DAYS = 42;
/** No ramp lasts longer. */
export const LONGEST_RAMP_DAYS = 21;

/** A stretch of days on the way back. Every step is done at the dose of a light week. */
export interface RampStep {
  days: number;
  /** As it is theirs, one easier, or the easiest. */
  form: "own" | "easier" | "easiest";
  /** Nothing in the hand, where there is a form for that. */
  loadWaits: boolean;
}

const step = (days: number, form: RampStep["form"], loadWaits: boolean): RampStep => ({ days, form, loadWaits });

/** How somebody new begins: as everybody did in the first week of the block. */
const NEW: readonly RampStep[] = [step(7, "own", true)];

/** The steps back after some days away, none under a week. @param awayDays whole days in a row without anything done */
export function rampAfter(awayDays: number): readonly RampStep[] {
  if (awayDays < AWAY_FROM_DAYS) return [];
  if (awayDays < LONG_FROM_DAYS) return [step(3, "own", false)];
  if (awayDays < VERY_LONG_FROM_DAYS) return [step(7, "easier", true), step(7, "own", false)];
  return [step(7, "easiest", true), step(7, "easier", true), step(7, "own", false)];
}

/** Days on which somebody did something, as far as they tell who was away; days are those of the crew's place. */
export interface Presence {
  /** The day all this was read. */
  today: string;
  /** A day something was done, and the day before it on which something was; null before the first. Only where a break ended. */
  returns: readonly { day: string; before: string | null }[];
  /** The last day something was done; null for never. */
  lastDay: string | null;
  /** Days they were excused, first and last. */
  excused: readonly { from: string; until: string }[];
  /** The first day anybody of the crew did something; null for none. */
  crewSince: string | null;
  /** Ramps that began up to this day were ended by the trainer on it; what was done before stays what it was. */
  endedOn: string | null;
}

/** Where somebody is on the way in or back. */
export interface Ramp extends RampStep {
  /** Days away; null for somebody new. */
  awayDays: number | null;
  /** First and last day of this step. */
  from: string;
  until: string;
  /** Last day of the whole ramp. */
  ends: string;
}

interface Break {
  backOn: string;
  /** Null for somebody new. */
  awayDays: number | null;
}

/**
 * Where a person is on a day; null when they do what is written. With several breaks the one that asks for most counts.
 * Whoever has not come back yet begins today.
 */
export function rampOn(presence: Presence, day: string): Ramp | null {
  const { today, returns, lastDay, excused, crewSince } = presence;
  const endedOn = presence.endedOn !== null && presence.endedOn <= day ? presence.endedOn : null;
  /** Days away up to the day they are back; what the trainer ended does not count any more. */
  const awayBetween = (before: string, backOn: string) => daysBetween(endedOn !== null && endedOn > before ? endedOn : before, backOn) - 1;
  const isNew = (backOn: string) => endedOn === null && isUnderWay(crewSince, backOn);
  const breaks: Break[] = returns
    .filter(({ day: backOn, before }) => before !== null || isNew(backOn))
    .map(({ day: backOn, before }) => ({ backOn, awayDays: before === null ? null : awayBetween(before, backOn) }));
  if (lastDay === null) {
    if (isNew(today)) breaks.push({ backOn: today, awayDays: null });
  } else if (lastDay < today) breaks.push({ backOn: today, awayDays: awayBetween(lastDay, today) });
  // What was recorded says more than what was planned: days that were excused and worked are none.
  if (lastDay === null)
    breaks.push(...excused.map(({ from, until }) => ({ backOn: addDays(until, 1), awayDays: daysBetween(from, until) + 1 })));
  const ramps = breaks.flatMap(({ backOn, awayDays }) =>
    backOn > day || (endedOn !== null && backOn <= endedOn) ? [] : (at(backOn, awayDays, day) ?? []),
  );
  return ramps.sort((a, b) => weight(b) - weight(a) || (a.ends < b.ends ? 1 : -1))[0] ?? null;
}

/** Somebody is new to a crew that has been at it for a week; who begins with the others settles in with them. */
function isUnderWay(crewSince: string | null, day: string): boolean {
  return crewSince !== null && daysBetween(crewSince, day) >= AWAY_FROM_DAYS;
}

function at(backOn: string, awayDays: number | null, day: string): Ramp | null {
  const steps = awayDays === null ? NEW : rampAfter(awayDays);
  const ends = addDays(backOn, steps.reduce((sum, { days }) => sum + days, 0) - 1);
  let from = backOn;
  for (const each of steps) {
    const until = addDays(from, each.days - 1);
    if (day <= until) return { ...each, awayDays, from, until, ends };
    from = addDays(until, 1);
  }
  return null;
}

/** How much a step asks for, to compare two. */
function weight({ form, loadWaits }: RampStep): number {
  return ["own", "easier", "easiest"].indexOf(form) * 2 + (loadWaits ? 1 : 0);
}

/** By person id; whoever is not in it does what is written. */
export type Ramps = ReadonlyMap<string, RampStep>;

/** A session in which everybody on a ramp has a form and dose of their own for now. Getting ready stays: it is what a careful start is. */
export function withRamps(library: Library, session: Session, ramps: Ramps): Session {
  if (ramps.size === 0) return session;
  return {
    ...session,
    items: session.items.map((item) => {
      const movement = library.find(item.movementId);
      if (!movement || movement.phase === "getReady") return item;
      const own = [...ramps].map(
        ([personId, ramp]) => [personId, rampForm(library, item, movement, item.personal[personId], ramp)] as const,
      );
      return { ...item, personal: { ...item.personal, ...Object.fromEntries(own) } };
    }),
  };
}

function rampForm(library: Library, item: Item, movement: Movement, own: PersonalForm | undefined, ramp: RampStep): PersonalForm {
  const theirs = own?.formId ?? item.formId;
  const held = heldIn(item, library.timings, own);
  const unloaded = ramp.loadWaits && held.loadKg !== null ? unloadedForm(movement) : undefined;
  const easier = ramp.form === "easiest" ? movement.forms[0] : ramp.form === "easier" ? easierForm(movement, theirs) : undefined;
  const formId = (unloaded ?? easier)?.id ?? theirs;
  const dose = doseInForm(settlingDose(own?.dose ?? item.dose), library.timings.get(movement.id)?.get(formId));
  if (unloaded) return { formId, dose, ...NOTHING_HELD };
  // In another rung the tool is held where that rung holds it, or put down.
  return { formId, dose, ...heldIn({ ...item, ...held, formId, ...(formId !== theirs && { gripM: null }) }, library.timings) };
}
