/** Who is taken out of a run while it is led: by what was marked here at once, by the server a second later; and of which items. */
import { useCallback, useEffect, useMemo, useState, type RefObject } from "react";
import type { MarkKind } from "@kind-grip/core/run";
import { FULL_PARTICIPATION, markAlarm, refusalOf, type Participations } from "@kind-grip/core/safety";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import { putReport, useWhoStopped } from "./outbox";
import type { useRun } from "./use-run";

interface TakenOut {
  /** Who may do what at this moment, reports made here among it. */
  participations: Participations;
  /** Notes a mark, and takes the person out when it is one that pauses by itself. @returns whether it did */
  mark(personId: string, kind: MarkKind): boolean;
}

/** Person id → items they do not do, of everybody who takes part. */
export type LeftOut = Map<string, Set<string>>;

interface TakenOutOptions {
  crewId: string;
  personIds: readonly string[];
  /** Who may do what, as the server says it now. */
  live: Participations;
  run: ReturnType<typeof useRun>;
  /** Added to: what they do not begin any more. */
  leftOut: RefObject<LeftOut>;
  practiceNow(): number;
  owner: string;
}

export function useTakenOut({ crewId, personIds, live, run, leftOut, practiceNow, owner }: TakenOutOptions): TakenOut {
  const library = useLibrary();
  // Whoever was taken out before a reload stays out after it.
  const [reported, setReported] = useState<ReadonlySet<string>>(
    () => new Set(personIds.filter((id) => markAlarm(run.marks.filter(({ personId }) => personId === id)) !== null)),
  );
  const stopped = useWhoStopped(crewId);
  const participations = useMemo(() => withoutAny(live, [...reported, ...stopped]), [live, reported, stopped]);
  const { session, timeline, position, clock } = run;
  useEffect(() => {
    // What was done was done: who tells after the end is out of what comes next.
    if (clock.status === "ended") return;
    const at = timeline.items.findIndex(({ itemId }) => itemId === position?.segment.itemId);
    for (const personId of personIds) {
      const participation = participations.get(personId);
      if (!participation) continue;
      for (const { itemId } of timeline.items.slice(Math.max(0, at))) {
        const item = session.items.find(({ id }) => id === itemId);
        if (!item || refusalOf(library, participation, item.movementId) === null) continue;
        const own = leftOut.current.get(personId) ?? new Set<string>();
        leftOut.current.set(personId, own.add(itemId));
      }
    }
    // oxlint-disable-next-line react/exhaustive-deps -- the place in the run is read when somebody is taken out, not at every frame
  }, [participations, personIds, leftOut]);
  const mark = useCallback(
    (personId: string, kind: MarkKind) => {
      const itemId = run.position?.segment.itemId ?? null;
      run.mark(personId, kind);
      const alarm = markAlarm([...run.marks.filter((each) => each.personId === personId), { kind, itemId }]);
      if (!alarm || reported.has(personId)) return false;
      setReported(new Set([...reported, personId]));
      putReport(
        {
          crewId,
          personId,
          report: {
            id: uuid(),
            at: new Date(practiceNow()).toISOString(),
            kind: alarm,
            movementId: run.position?.segment.movementId ?? null,
            words: null,
            side: null,
            regions: [],
            stillThere: alarm === "tingling" ? true : null,
            freshInjury: null,
          },
        },
        owner,
      );
      return true;
    },
    [crewId, practiceNow, owner, reported, run],
  );
  return { participations, mark };
}

/** Some people held out of everything, whatever else is known of them. */
export function withoutAny(participations: Participations, personIds: Iterable<string>): Participations {
  return new Map([...participations, ...[...personIds].map((id) => [id, { ...FULL_PARTICIPATION, heldOut: true }] as const)]);
}
