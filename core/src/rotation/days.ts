/** Rotations and the ways a shift is filled: what is asked to begin with, what comes of it, and small changes to try. */
import { dayOf, harderHand, type RotationAsked, type Work, type WorkDay } from "../strain";
import type { Rotation, RotationProblem } from "./problem";

const MINUTES_IN_AN_HOUR = 60;

/** Turns of about an hour, as many as there are minutes to share out; at most 12, at least 1. */
export function usualTurns(min: number): number {
  return Math.max(1, Math.min(12, Math.round(min / MINUTES_IN_AN_HOUR)));
}

/** Minutes of a shift that are shared out: as long as the longest way somebody works now, rests with it; the whole shift where nobody works any. */
export function minutesToShare(work: Work, personIds: readonly string[], shiftMin: number): number {
  const longest = Math.max(0, ...personIds.map((id) => (dayOf(work, id)?.parts ?? []).reduce((sum, { minutes }) => sum + minutes, 0)));
  return longest > 0 ? Math.min(shiftMin, longest) : shiftMin;
}

/** What there is to ask for: what was asked last, or as many people at each task as the crew's ways come to. @param min minutes of a shift that are shared out */
export function askedOf(work: Work, personIds: readonly string[], min: number): RotationAsked {
  const { rotation } = work;
  if (rotation) {
    return {
      ...rotation,
      needed: work.tasks.map(({ id }) => ({ taskId: id, people: rotation.needed.find(({ taskId }) => taskId === id)?.people ?? 0 })),
      not: rotation.not.filter(({ personId }) => personIds.includes(personId)),
    };
  }
  const minutes = new Map<string, number>();
  for (const personId of personIds)
    for (const { taskId, minutes: each } of dayOf(work, personId)?.parts ?? [])
      if (taskId !== null) minutes.set(taskId, (minutes.get(taskId) ?? 0) + each);
  const exact = work.tasks.map(({ id }) => ({ taskId: id, people: (minutes.get(id) ?? 0) / Math.max(1, min) }));
  // Whole people, the largest remainders first, so that together they are as many as the hours come to.
  const whole = exact.map(({ taskId, people }) => ({ taskId, people: Math.floor(people), rest: people - Math.floor(people) }));
  let left = Math.min(personIds.length, Math.round(exact.reduce((sum, { people }) => sum + people, 0)));
  left -= whole.reduce((sum, { people }) => sum + people, 0);
  for (const each of [...whole].sort((a, b) => b.rest - a.rest).slice(0, Math.max(0, left))) each.people += 1;
  return { turns: usualTurns(min), needed: whole.map(({ taskId, people }) => ({ taskId, people })), not: [] };
}

/** Tasks nobody is wanted at take no part. @param min minutes of a shift that are shared out */
export function problemOf(work: Work, { turns, needed, not }: RotationAsked, personIds: readonly string[], min: number): RotationProblem {
  const wanted = needed.filter(({ taskId, people }) => people > 0 && work.tasks.some(({ id }) => id === taskId));
  return {
    tasks: wanted.map(({ taskId }) => work.tasks.find(({ id }) => id === taskId)!),
    needed: wanted.map(({ people }) => people),
    turns,
    turnMin: Math.floor(min / turns),
    people: personIds.map((id) => ({ id, not: not.find(({ personId }) => personId === id)?.taskIds ?? [] })),
  };
}

/**
 * A way for each row of turns, people of the same row in one, turns of the same task after each other as one part.
 * @param nameOf the name of the n-th way, from 1
 */
export function daysOfRotation(
  { rows }: Pick<Rotation, "rows">,
  turnMin: number,
  nameOf: (n: number) => string,
  nextId: () => string,
): WorkDay[] {
  const ways = new Map<string, WorkDay>();
  for (const { personId, taskIds } of rows) {
    const key = taskIds.join();
    const day = ways.get(key) ?? { id: nextId(), name: nameOf(ways.size + 1), parts: partsOf(taskIds, turnMin), personIds: [] };
    ways.set(key, { ...day, personIds: [...day.personIds, personId] });
  }
  return [...ways.values()];
}

function partsOf(taskIds: readonly (string | null)[], turnMin: number): WorkDay["parts"] {
  const parts: WorkDay["parts"] = [];
  for (const taskId of taskIds) {
    const last = parts.at(-1);
    if (last && last.taskId === taskId) last.minutes += turnMin;
    else parts.push({ taskId, minutes: turnMin });
  }
  return parts;
}

/** Two people take each other's way. */
export function exchangedPeople(work: Work, one: string, other: string): WorkDay[] {
  const [first, second] = [dayOf(work, one)?.id, dayOf(work, other)?.id];
  return work.days.map((day) => {
    const rest = day.personIds.filter((id) => id !== one && id !== other);
    return { ...day, personIds: [...rest, ...(day.id === second ? [one] : []), ...(day.id === first ? [other] : [])] };
  });
}

/** A rest in the middle of the longest part, taken from its minutes; the parts as they are where none is long enough. */
export function withRest(parts: WorkDay["parts"], restMin: number): WorkDay["parts"] {
  const longest = parts.reduce((best, { taskId, minutes }, i) => (taskId !== null && minutes > (parts[best]?.minutes ?? 0) ? i : best), -1);
  const part = parts[longest];
  if (!part || part.minutes < restMin + 2) return parts;
  const before = Math.floor((part.minutes - restMin) / 2);
  return [
    ...parts.slice(0, longest),
    { ...part, minutes: before },
    { taskId: null, minutes: restMin },
    { ...part, minutes: part.minutes - restMin - before },
    ...parts.slice(longest + 1),
  ];
}

export interface PersonStrain {
  personId: string;
  day: WorkDay;
  /** The harder hand's index. */
  strain: number;
  side: "left" | "right";
}

/** Everybody's harder hand in their own way of the shift, the hardest first. */
export function strainOfPeople(work: Work, personIds: readonly string[]): PersonStrain[] {
  const byDay = new Map(work.days.map((day) => [day.id, harderHand(work, day)]));
  return personIds
    .flatMap((personId) => {
      const day = dayOf(work, personId);
      const hand = day && byDay.get(day.id);
      return day && hand ? [{ personId, day, strain: hand.value, side: hand.side }] : [];
    })
    .sort((a, b) => b.strain - a.strain);
}
