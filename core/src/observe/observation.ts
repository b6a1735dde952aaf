/** What somebody saw at the line: presses per hand, postures, on a clock that stands while it is paused. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Id, IsoInstant, type HandSide } from "../units";
import { effortsFromPresses, type Press, type SeenEfforts } from "./efforts";
import { rhythmOf, type Rhythm } from "./error";

export const MAX_OBSERVED_MS = 60 * 60_000;
/** Four presses a second for a whole hour and then some. */
export const MAX_PRESSES = 20_000;

const ms = v.pipe(v.number("must be a number"), v.integer("must be whole milliseconds"), v.minValue(0), v.maxValue(MAX_OBSERVED_MS));

export const ObservedHand = v.strictObject({
  side: v.picklist(["left", "right"]),
  /** Which effort of the task this hand was watched at. */
  effortId: Id,
  /** Start, length, start, length …, in the order of their start. */
  presses: v.pipe(
    v.array(ms),
    v.maxLength(MAX_PRESSES * 2, "too many presses"),
    v.check((list) => list.length % 2 === 0, "a press is without its end"),
  ),
  postures: v.pipe(
    v.array(v.strictObject({ atMs: ms, flexionDeg: v.pipe(v.number(), v.minValue(-70), v.maxValue(80)) })),
    v.maxLength(2000, "too many postures"),
  ),
});
export type ObservedHand = v.InferOutput<typeof ObservedHand>;

export const Observation = v.pipe(
  v.strictObject({
    id: Id,
    crewId: Id,
    taskId: Id,
    /** Who was watched; null for somebody of the crew. */
    personId: v.nullable(Id),
    startedAt: IsoInstant,
    from: v.picklist(["line", "video"]),
    lengthMs: v.pipe(ms, v.minValue(1000, "is shorter than a second")),
    hands: v.pipe(v.array(ObservedHand), v.minLength(1, "no hand was watched"), v.maxLength(2)),
  }),
  v.check(({ hands }) => new Set(hands.map(({ side }) => side)).size === hands.length, "one hand is there twice"),
);
export type Observation = v.InferOutput<typeof Observation>;

/** As it is stored. */
export const OBSERVATION_DOCUMENT = documentFormat<Observation>({ name: "observation", format: 1, steps: [], schema: Observation });

export function packPresses(presses: readonly Press[]): number[] {
  return presses.flatMap(({ startMs, endMs }) => [Math.round(startMs), Math.max(1, Math.round(endMs - startMs))]);
}

export function unpackPresses(packed: readonly number[]): Press[] {
  return Array.from({ length: packed.length / 2 }, (_, i) => ({ startMs: packed[2 * i]!, endMs: packed[2 * i]! + packed[2 * i + 1]! }));
}

export interface SeenHand extends SeenEfforts {
  side: HandSide;
  effortId: string;
  /** Null while there is too little to say an error of. */
  rhythm: Rhythm | null;
  /** Degrees, as they were tapped. */
  postures: number[];
}

export function seenBy({ hands, lengthMs }: Pick<Observation, "hands" | "lengthMs">): SeenHand[] {
  return hands.map(({ side, effortId, presses, postures }) => {
    const seen = effortsFromPresses(unpackPresses(presses));
    return { side, effortId, ...seen, rhythm: rhythmOf(seen.efforts, lengthMs), postures: postures.map(({ flexionDeg }) => flexionDeg) };
  });
}
