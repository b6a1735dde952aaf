/** The doses an item may be given to fit a slot: the full one, lighter ones down to what is still worth doing, fuller ones to fill it. */
import { tensionOf, type Dose } from "../session";

/** Below this share of the full dose an item is better dropped. Practice rule. */
export const LEAST_SHARE = 0.4;
/** A slot is filled with at most this much more of an item; what goes beyond is progression, not fitting. Practice rule. */
export const MOST_SHARE = 1.5;
/** Holds, sets and repetitions are shortened to these shares. */
const SHORTER = [1, 0.75, 0.5] as const;

export interface DoseStep {
  dose: Dose;
  /** Seconds under tension as a share of the full dose's. */
  share: number;
}

/** What a share of the full dose is worth, 1 for all of it: the first repetitions count most. Practice rule. */
export function worthOf(share: number): number {
  return Math.sqrt(share);
}

/**
 * Every dose between the least and the most share, the fullest first; the given dose is always one of them.
 * @param fuller whether doses above the given one are wanted
 */
export function doseLadder(dose: Dose, fuller = false): DoseStep[] {
  const full = tensionOf(dose);
  const most = fuller ? MOST_SHARE : 1;
  const seen = new Set<string>();
  return [dose, ...variations(dose, fuller)]
    .map((each) => ({ dose: each, share: full === 0 ? 1 : tensionOf(each) / full }))
    .filter(({ dose: each, share }) => {
      const key = JSON.stringify(each);
      if (seen.has(key) || share < LEAST_SHARE - 1e-9 || share > most + 1e-9) return false;
      seen.add(key);
      return true;
    })
    .sort((a, b) => b.share - a.share);
}

/** Whether a dose has at least as much of everything as another: never more rounds of fewer slides. */
export function growsFrom(less: Dose, more: Dose): boolean {
  return Object.entries(less).every(
    ([key, value]) => typeof value !== "number" || (more as unknown as Record<string, number>)[key]! >= value,
  );
}

/** The step of a dose's ladder nearest to a share of it; a fuller one has at least as much of everything. */
export function doseAtShare(dose: Dose, share: number): DoseStep {
  const steps = doseLadder(dose, true).filter((step) => (share > 1 ? growsFrom(dose, step.dose) : step.share <= 1 + 1e-9));
  return steps.reduce((best, step) => (Math.abs(step.share - share) < Math.abs(best.share - share) ? step : best), { dose, share: 1 });
}

function variations(dose: Dose, fuller: boolean): Dose[] {
  const counts = (count: number, most: number) => range(1, Math.min(most, fuller ? Math.ceil(count * MOST_SHARE) : count));
  switch (dose.kind) {
    case "holds":
      return counts(dose.reps, 30).flatMap((reps) => SHORTER.map((share) => ({ ...dose, reps, holdSec: half(dose.holdSec * share, 1) })));
    case "reps":
      return counts(dose.sets, 10).flatMap((sets) => counts(dose.reps, 60).map((reps) => ({ ...dose, sets, reps })));
    case "timed":
      return counts(dose.sets, 10).flatMap((sets) =>
        SHORTER.map((share) => ({ ...dose, sets, workSec: Math.max(5, Math.round((dose.workSec * share) / 5) * 5) })),
      );
    case "steps":
      return counts(dose.rounds, 10).flatMap((rounds) => counts(dose.slideReps, 10).map((slideReps) => ({ ...dose, rounds, slideReps })));
  }
}

function half(sec: number, least: number): number {
  return Math.max(least, Math.round(sec * 2) / 2);
}

function range(from: number, to: number): number[] {
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
}
