/** How long sessions take with everybody who takes part today: the length that is led, and the one a slot has to hold. */
import { useMemo } from "react";
import { dateAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { notHeldOut, sessionWithin } from "@kind-grip/core/safety";
import { compileGroup, type Session } from "@kind-grip/core/session";
import { useLibrary } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { crewApi } from "../crew/api";
import { useNow } from "../base/now";
import { useParticipations } from "../safety/use-participations";

/** @returns session id → seconds */
export function useGroupLengths(crew: CrewEntry, sessions: readonly Session[]): ReadonlyMap<string, number> {
  const library = useLibrary();
  const { data: people } = crewApi.usePeopleQuery(crew.id);
  const may = useParticipations(crew.id);
  const today = dateAt(useNow(), crew.timeZone);
  return useMemo(() => {
    const here = notHeldOut(people?.filter((person) => isHere(person, today)) ?? [], may).map(({ id }) => id);
    return new Map(
      sessions.map((session) => [session.id, compileGroup(sessionWithin(library, session, may), library.timings, here).totalSec]),
    );
  }, [people, may, sessions, today, library]);
}
