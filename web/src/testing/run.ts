/** A run of which the first item was done, as a leading screen hands it on. */
import { compileGroup, type Session } from "@kind-grip/core/session";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { RunUnderWay } from "../run/run-store";
import { sampleId } from "./sample";

/** Ids of items told apart. */
export const dosed = (session: Session): Session => ({ ...session, items: session.items.map((item) => ({ ...item, id: sampleId() })) });

export function startedRun(session: Session, { marks = [] }: Partial<Pick<RunUnderWay, "marks">> = {}) {
  const timeline = compileGroup(session, SHIPPED_LIBRARY.timings, []);
  const [first, second] = timeline.items;
  return {
    runId: sampleId(),
    session,
    timeline,
    clock: { state: "paused", played: [[first!.startSec, second!.startSec]] } as never,
    startedAt: "2026-03-26T09:00:00.000Z",
    marks,
  };
}
