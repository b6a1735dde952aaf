/** Who of a crew may do what, as the server last said; asked for again every half minute while a screen shows it. */
import { useMemo } from "react";
import type { Participations } from "@kind-grip/core/safety";
import type { ParticipationEntry } from "@kind-grip/core/api";
import { safetyApi } from "./api";

const EVERY_MS = 30_000;

export function useParticipationQuery(crewId: string, everyMs = EVERY_MS) {
  return safetyApi.useParticipationQuery(crewId, { pollingInterval: everyMs, refetchOnMountOrArgChange: true });
}

export function participationsFrom(entries: readonly ParticipationEntry[] | undefined): Participations {
  return new Map(entries?.map(({ personId, ...participation }) => [personId, participation]));
}

/** Undefined until the answer is there: for screens that say of somebody what they may do. */
export function useParticipationsIfKnown(crewId: string): Participations | undefined {
  const { data } = useParticipationQuery(crewId);
  return useMemo(() => data && participationsFrom(data), [data]);
}

/** Empty until the answer is there: only for screens that show, not for those that hand out items, nor for those that say it in words. */
export function useParticipations(crewId: string, everyMs = EVERY_MS): Participations {
  const { data } = useParticipationQuery(crewId, everyMs);
  return useMemo(() => participationsFrom(data), [data]);
}
