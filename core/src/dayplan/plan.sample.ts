/** A crew on a rotation of 21 days and a series on one of its shifts, for tests. */
import type { ShiftKind } from "../calendar";
import type { CrewCalendar, LaidPlacement } from "./lay";
import type { PlanGroup, Series } from "./standing";

const kind = (id: string, start: string, breaks: ShiftKind["breaks"]): ShiftKind => ({ id, name: id, start, lengthMin: 480, breaks });
const days = (id: string | null, count: number) => Array.from({ length: count }, () => id);

/** Five early shifts, five split ones, five nights, each with two days off; at a place whose clocks change on 29 March 2026. */
export const ROTATION: CrewCalendar = {
  timeZone: "Europe/Dublin",
  shiftPattern: {
    anchorDate: "2026-03-02",
    shifts: [
      kind("early", "06:00", [
        { afterMin: 120, lengthMin: 15 },
        { afterMin: 300, lengthMin: 30 },
      ]),
      {
        ...kind("split", "07:00", [
          { afterMin: 120, lengthMin: 15 },
          { afterMin: 240, lengthMin: 240 },
          { afterMin: 600, lengthMin: 15 },
        ]),
        lengthMin: 720,
      },
      kind("night", "22:00", [{ afterMin: 240, lengthMin: 30 }]),
    ],
    cycle: [...days("early", 5), ...days(null, 2), ...days("split", 5), ...days(null, 2), ...days("night", 5), ...days(null, 2)],
  },
};

let made = 0;

/** Ids of series differ before their last 32 bits: those tell the days. */
function freshId(): string {
  made += 1;
  return `${made.toString(16).padStart(8, "0")}-0000-7000-8000-5e0000000000`;
}

export function sampleSeries(more: Partial<Series> = {}): Series {
  return {
    id: freshId(),
    programId: "0194f000-0000-7000-8000-000000000001",
    sessionId: "0194f000-0000-7000-8000-000000000002",
    shift: "early",
    at: { from: "start", min: 0 },
    only: null,
    groupId: null,
    leaderId: null,
    fromDate: "2026-03-02",
    untilDate: null,
    otherDays: [],
    ...more,
  };
}

export function sampleGroup(people: string[], name = "Group 1"): PlanGroup {
  return { id: freshId(), name, people };
}

/** `Mon 02 06:00`: enough to tell where something lies. */
export function told(laid: readonly LaidPlacement[]): string[] {
  return laid.map(({ date, startsAt }) => `${date.slice(5)} ${startsAt.slice(5, 16)}`);
}
