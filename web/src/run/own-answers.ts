/** What phones say of the session that is led here: who is here, and how hard it was. Heard while the screen asks for it. */
import { useEffect, useMemo, useRef } from "react";
import { runApi } from "./api";

const EVERY_MS = 3000;

/** Person id → effort, or null for somebody who said that they are here. @param placementId null for a session that was not placed */
export function useOwnAnswers(crewId: string, placementId: string | null, asks: boolean): ReadonlyMap<string, number | null> {
  const { data } = runApi.useOwnAnswersQuery(
    { crewId, placementId: placementId ?? "" },
    { skip: !placementId || !asks, pollingInterval: EVERY_MS, refetchOnMountOrArgChange: true },
  );
  return useMemo(() => new Map(data?.map(({ personId, effort }) => [personId, effort])), [data]);
}

/** Whoever says on their phone that they are here is taken for here, once: what is tapped here afterwards stands. */
export function useArrivals(
  answers: ReadonlyMap<string, number | null>,
  away: ReadonlySet<string>,
  onAway: (away: ReadonlySet<string>) => void,
): void {
  const counted = useRef(new Set<string>());
  useEffect(() => {
    const fresh = [...answers.keys()].filter((id) => !counted.current.has(id));
    if (fresh.length === 0) return;
    for (const id of fresh) counted.current.add(id);
    if (fresh.some((id) => away.has(id))) onAway(new Set([...away].filter((id) => !fresh.includes(id))));
  }, [answers, away, onAway]);
}

/** As a session comes to its end the phones of those who are here ask how hard it was; without a connection they ask later by themselves. */
export function usePhonesAsk(crewId: string, placementId: string | null): void {
  const [tell] = runApi.usePlacementEndedMutation();
  useEffect(() => {
    if (placementId) void tell({ crewId, placementId });
  }, [tell, crewId, placementId]);
}
