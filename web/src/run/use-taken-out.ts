/** Who is taken out of a run while it is led: by what was marked here at once, by the server a second later; and of which items. */
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from "react";
import type { MarkKind } from "@kind-grip/core/run";
import { FULL_PARTICIPATION, markAlarm, refusalOf, type Participations } from "@kind-grip/core/safety";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import { putReport } from "./outbox";
import type { useRun } from "./use-run";

interface TakenOut {
  /** Who may do what at this moment, reports made here among it. */
  participations: Participations;
  /** Notes a mark, and takes the person out when it is one that pauses by itself. @returns whether it did */
  mark(personId: string, kind: MarkKind): boolean;
  /** Person id → items they did not begin any more. */
  leftOut: RefObject<ReadonlyMap<string, ReadonlySet<string>>>;
}

export function useTakenOut(
  crewId: string,
  personIds: readonly string[],
  live: Participations,
  run: ReturnType<typeof useRun>,
  practiceNow: () => number,
  owner: string,
): TakenOut {
  const library = useLibrary();
  const [reported, setReported] = useState<ReadonlySet<string>>(new Set());
  const participations = useMemo(
    () => new Map([...live, ...[...reported].map((id) => [id, { ...FULL_PARTICIPATION, heldOut: true }] as const)]),
    [live, reported],
  );
  const leftOut = useRef(new Map<string, Set<string>>());
  const { session, timeline, position } = run;
  useEffect(() => {
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
  }, [participations, personIds]);
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
  return { participations, mark, leftOut };
}
