/** A session placed at a moment, in the plan of one crew's week. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { StandingPlan } from "./standing";
import { Id, IsoDate, IsoInstant, NonEmptyText } from "../units";

export const Placement = v.strictObject({
  id: Id,
  programId: Id,
  sessionId: Id,
  /** A moment, not a wall clock time: on the night the clocks go back, half past two comes twice. */
  startsAt: IsoInstant,
  /** Who of the crew; null for everybody. */
  people: v.optional(v.nullable(v.pipe(v.array(Id), v.minLength(1, "names nobody"), v.maxLength(500))), null),
  groupName: v.optional(v.nullable(NonEmptyText), null),
});
export type Placement = v.InferOutput<typeof Placement>;

export const WeekPlan = v.strictObject({
  /** Monday of the week, at the crew's place. */
  weekStart: IsoDate,
  placements: v.pipe(v.array(Placement), v.maxLength(200, "at most 200 placed sessions in a week")),
});
export type WeekPlan = v.InferOutput<typeof WeekPlan>;

/** A week as it is edited. */
const WeekDraft = v.strictObject({
  placements: WeekPlan.entries.placements,
  /** Null in a draft from before there were series: as it is stored. */
  standing: v.nullable(StandingPlan),
});
export type WeekDraft = v.InferOutput<typeof WeekDraft>;

/** As a draft: first the placements alone, then the standing plan with them. */
export const WEEK_DOCUMENT = documentFormat<WeekDraft>({
  name: "week",
  format: 2,
  steps: [(placements) => ({ placements, standing: null })],
  schema: WeekDraft,
});

/** Placements start on a 5-minute grid. */
export const GRID_MIN = 5;

/** The nearest moment of the grid. */
export function onGrid(atMs: number): number {
  const step = GRID_MIN * 60_000;
  return Math.round(atMs / step) * step;
}
