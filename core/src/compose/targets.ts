/** What is asked of a program: points a week of each region and kind, and postures to be reversed. */
import type { Region } from "../library";
import type { Opposite } from "../need";
import { KINDS, type Kind } from "./candidates";
import type { ComposeLimits } from "./limits";

/** Points a week that answer a need of 100, by kind. Planning figures of this practice. */
const POINTS_FOR_FULL_NEED = { loadLed: { relief: 5, strength: 5 }, reliefLed: { relief: 10, strength: 0 } } as const;

/** Points a week a region is to be given of a kind. */
export function targetOf(need: number, kind: Kind, aim: ComposeLimits["aim"]): number {
  return (need / 100) * POINTS_FOR_FULL_NEED[aim][kind];
}
/** What the opposite of a posture counts beside need, for an hour of it. */
const OPPOSITE_WEIGHT = 1.2;

export interface Wanted {
  /** Region → need 0–100, of the side that needs it more: both sides get the same. */
  needs: ReadonlyMap<Region, number>;
  /** The same for strength: symptoms left out. */
  strengthNeeds: ReadonlyMap<Region, number>;
  opposites: readonly Pick<Opposite, "posture" | "left" | "right">[];
}

/** What reversing a posture counts, by its minutes a day: two hours or more count most. */
export function oppositeWeight({ left, right }: { left: number; right: number }): number {
  return OPPOSITE_WEIGHT * Math.min(2, Math.max(left, right) / 60);
}

export interface Target {
  region: Region;
  kind: Kind;
  need: number;
  /** Points a week, above 0. */
  target: number;
}

export function targetsOf({ needs, strengthNeeds }: Wanted, { aim }: ComposeLimits): Target[] {
  const needOf = (region: Region, kind: Kind) => (kind === "strength" ? strengthNeeds : needs).get(region) ?? 0;
  return [...needs.keys()].flatMap((region) =>
    KINDS.map((kind) => ({ region, kind, need: needOf(region, kind), target: targetOf(needOf(region, kind), kind, aim) })).filter(
      ({ target }) => target > 0,
    ),
  );
}
