/** The demo's plans from now on: what was placed week by week goes on as series. */
import { addDays, dateAt, type ShiftPattern } from "@kind-grip/core/calendar";
import { layPlan, seriesOf, type Placement, type StandingPlan } from "@kind-grip/core/dayplan";
import type { SlotKind } from "@kind-grip/core/session";

/**
 * Series out of all placements of the history; each begins with the first day that is still to come and has no end.
 * @param slotOf kind of a session by its id @param newId ids of series
 */
export function goingOn(
  placements: readonly Placement[],
  calendar: { shiftPattern: ShiftPattern; timeZone: string },
  now: Date,
  slotOf: (sessionId: string) => SlotKind | null,
  newId: () => string,
): StandingPlan {
  const { standing } = seriesOf(placements, calendar, ({ sessionId }) => slotOf(sessionId), newId);
  const today = dateAt(now.getTime(), calendar.timeZone);
  return {
    ...standing,
    series: standing.series.map((each) => {
      const going = { ...each, untilDate: null, otherDays: [] };
      const [todays] = layPlan({ standing: { ...standing, series: [going] }, placements: [], kept: [] }, calendar, today, 1);
      const isPast = todays !== undefined && Date.parse(todays.startsAt) < now.getTime();
      return { ...going, fromDate: isPast ? addDays(today, 1) : today };
    }),
  };
}
