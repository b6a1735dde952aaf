/** 300 rosters and plans by chance, laid, held against a checker that looks at every day by itself and shares no code with the laying. */
import fc from "fast-check";
import type { ShiftPattern } from "../calendar";
import { layPlan } from "./lay";
import { sampleSeries } from "./plan.sample";
import type { Series } from "./standing";

const DAY_MS = 86_400_000;
const FROM = "2026-03-16";
const DAYS = 28;
const utc = (date: string) => Date.parse(`${date}T00:00:00Z`);
const day = (i: number) => new Date(utc(FROM) + i * DAY_MS).toISOString().slice(0, 10);

/** The clock on the wall by the runtime's own formatter. */
function wall(at: string, timeZone: string): string {
  const parts = new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short", timeStyle: "short" }).format(new Date(at));
  return parts.replace(",", "");
}

const kinds = ["a", "b", "c"];
const roster = fc.record({
  starts: fc.array(fc.integer({ min: 0, max: 23 }), { minLength: 3, maxLength: 3 }),
  cycle: fc.array(fc.option(fc.constantFrom(...kinds), { freq: 3 }), { minLength: 1, maxLength: 21 }),
  anchor: fc.integer({ min: -40, max: 40 }),
  others: fc.uniqueArray(fc.tuple(fc.nat(DAYS - 1), fc.option(fc.constantFrom(...kinds))), { maxLength: 5, selector: ([i]) => i }),
  timeZone: fc.constantFrom("Europe/Dublin", "America/New_York", "Asia/Kathmandu", "UTC"),
});
const plan = fc.array(
  fc.record({
    shift: fc.constantFrom(...kinds),
    min: fc.integer({ min: 0, max: 80 }).map((step) => step * 5),
    from: fc.integer({ min: -10, max: DAYS }),
    length: fc.option(fc.nat(DAYS)),
    weekdays: fc.option(fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 })),
    out: fc.uniqueArray(fc.nat(DAYS - 1), { maxLength: 4 }),
  }),
  { minLength: 1, maxLength: 5 },
);

it("300 rosters by chance: every series is on every day it should be and on no other, at the time of its wall clock", () => {
  fc.assert(
    fc.property(roster, plan, ({ starts, cycle, anchor, others, timeZone }, wanted) => {
      const shiftPattern: ShiftPattern = {
        anchorDate: day(anchor),
        shifts: kinds.map((id, i) => ({ id, name: id, start: `${String(starts[i]).padStart(2, "0")}:00`, lengthMin: 480, breaks: [] })),
        cycle,
        otherDays: others.map(([i, shift]) => ({ date: day(i), shift })),
      };
      const series = wanted.map(({ shift, min, from, length, weekdays, out }): Series =>
        sampleSeries({
          shift,
          at: { from: "start", min },
          fromDate: day(from),
          untilDate: length === null ? null : day(from + length),
          only: weekdays && { by: "weekday", days: weekdays },
          otherDays: out.map((i) => ({ date: day(i), startsAt: null })),
        }),
      );
      const laid = layPlan({ standing: { groups: [], series }, placements: [], kept: [] }, { shiftPattern, timeZone }, FROM, DAYS);
      const expected = series.flatMap((each, s) =>
        Array.from({ length: DAYS }, (_, i) => i).flatMap((i) => {
          const other = others.find(([on]) => on === i);
          const inCycle = (((i - anchor) % cycle.length) + cycle.length) % cycle.length;
          const isKind = (other ? other[1] : cycle[inCycle]) === each.shift;
          const { from, length, weekdays, out, min } = wanted[s]!;
          const isIn = i >= from && (length === null || i <= from + length) && !out.includes(i);
          const weekday = new Date(utc(day(i))).getUTCDay() || 7;
          if (!isKind || !isIn || (weekdays && !weekdays.includes(weekday))) return [];
          const wallMs = utc(day(i)) + (starts[kinds.indexOf(each.shift)]! * 60 + min) * 60_000;
          return [`${each.id} ${new Date(wallMs).toISOString().slice(0, 16).replace("T", " ")}`];
        }),
      );
      // In the hour the clocks skip, a session is after it.
      const isSkipped = (text: string) => /2026-03-29 01|2026-03-08 02/.test(text);
      const found = laid.map(({ seriesId, startsAt }) => `${seriesId} ${wall(startsAt, timeZone)}`);
      expect(found).toHaveLength(expected.length);
      const missing = expected.filter((each) => !found.includes(each));
      expect(missing.filter((each) => !isSkipped(each))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
