/** A day that was planned for groups as the pattern of its kind of shift: a series for each session of each group. Pure but for new ids. */
import type { CrewEntry } from "@kind-grip/core/api";
import type { Shift } from "@kind-grip/core/calendar";
import { placeIn, type Placement, type PlanGroup, type Series } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import type { PlaceableSession } from "./placed";

/**
 * @param placed on that day @param named the groups it was planned for; none where it was for everybody
 * @param kept groups the crew has already, taken by their names
 */
export function patternOfDay(
  { timeZone }: Pick<CrewEntry, "timeZone">,
  shift: Shift,
  placed: readonly Placement[],
  named: readonly { name: string; people: string[] }[],
  kept: readonly PlanGroup[],
  sessions: readonly PlaceableSession[],
): { series: Series[]; groups: PlanGroup[] } {
  const groups = named.map(({ name, people }): PlanGroup => kept.find((group) => group.name === name) ?? { id: uuid(), name, people });
  const series = placed.map(({ programId, sessionId, startsAt, groupName }): Series => {
    const { slot } = sessions.find(({ session }) => session.id === sessionId)!.session;
    return {
      id: uuid(),
      programId,
      sessionId,
      shift: shift.kind.id,
      at: placeIn(shift, Date.parse(startsAt), slot, timeZone),
      only: null,
      groupId: groups.find(({ name }) => name === groupName)?.id ?? null,
      leaderId: null,
      fromDate: shift.date,
      untilDate: null,
      otherDays: [],
    };
  });
  return { series, groups };
}
