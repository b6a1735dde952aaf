/** What somebody says on their own phone of a session that is led: that they are here, and how hard it was. */
import * as v from "valibot";
import { Effort, Id, IsoInstant } from "../units";

export const Arrival = v.strictObject({ id: Id, placementId: Id, at: IsoInstant });
export type Arrival = v.InferOutput<typeof Arrival>;

export const OwnEffort = v.pipe(
  v.strictObject({
    id: Id,
    /** Of the placement that was led, or of the run that is on record; one of the two is known to the phone. */
    placementId: v.nullable(Id),
    runId: v.nullable(Id),
    effort: Effort,
    at: IsoInstant,
  }),
  v.forward(
    v.check(({ placementId, runId }) => placementId !== null || runId !== null, "or a run has to be named"),
    ["placementId"],
  ),
);
export type OwnEffort = v.InferOutput<typeof OwnEffort>;

/** So long before a session begins somebody may say that they are here, and so long after. Practice rule. */
export const ARRIVAL_MIN = { before: 45, after: 20 } as const;

/** Whether a phone offers "I am here" for a session. @param startsMs, nowMs instants, ms */
export function mayArrive(startsMs: number, nowMs: number): boolean {
  return nowMs >= startsMs - ARRIVAL_MIN.before * 60_000 && nowMs <= startsMs + ARRIVAL_MIN.after * 60_000;
}

/** So long after a session somebody is still asked how hard it was, hours. Practice rule: longer, and it is made up. */
export const EFFORT_ASKED_HOURS = 12;
