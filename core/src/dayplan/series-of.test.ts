import fc from "fast-check";
import { addDays, shiftsFrom } from "../calendar";
import { sampleId } from "../session/sample";
import { layPlan, momentIn } from "./lay";
import { ROTATION, sampleSeries } from "./plan.sample";
import type { Placement } from "./placement";
import { seriesOf } from "./series-of";

const { programId } = sampleSeries();
const SESSIONS = ["0194f000-0000-7000-8000-0000000000a1", "0194f000-0000-7000-8000-0000000000a2", "0194f000-0000-7000-8000-0000000000a3"];
const SLOTS = ["preShift", "break", "postShift"] as const;
const slotOf = ({ sessionId }: Placement) => SLOTS[SESSIONS.indexOf(sessionId)] ?? null;
const shifts = (from = "2026-03-02", days = 42) => shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, from, days);
const placed = (startMs: number, session = 0, people: string[] | null = null): Placement => ({
  id: sampleId(),
  programId,
  sessionId: SESSIONS[session]!,
  startsAt: new Date(startMs).toISOString(),
  people,
  groupName: people && "Group 1",
});
const find = (placements: Placement[]) => seriesOf(placements, ROTATION, slotOf, sampleId);
/** What matters of a plan: which session is when, for whom. */
const moments = (placements: readonly Placement[]) =>
  placements.map(({ sessionId, startsAt, people }) => [sessionId, Date.parse(startsAt), [...(people ?? [])].sort()].join(" ")).sort();
const laid = ({ standing, placements }: ReturnType<typeof find>) =>
  moments(layPlan({ standing, placements, kept: [] }, ROTATION, "2026-02-01", 120));

it("three at the same wall time of the same kind of shift are a series, two are not", () => {
  const early = shifts().filter(({ kind }) => kind.id === "early");
  const list = early.slice(0, 3).map(({ startMs }) => placed(startMs));
  expect(find(list)).toMatchObject({
    standing: {
      groups: [],
      series: [
        { shift: "early", at: { from: "start", min: 0 }, only: null, fromDate: "2026-03-02", untilDate: "2026-03-04", otherDays: [] },
      ],
    },
    placements: [],
  });
  expect(find(list.slice(1)).standing.series).toEqual([]);
});

it("Monday, Wednesday and Friday are days of the week, not days that differ", () => {
  const list = shifts()
    .filter(({ kind, date }) => kind.id === "early" && [1, 3, 5].includes(new Date(date).getUTCDay()))
    .map((shift) => placed(momentIn({ from: "end", min: 20 }, shift, ROTATION.timeZone)!, 2));
  expect(find(list).standing.series).toMatchObject([
    { at: { from: "end", min: 20 }, only: { by: "weekday", days: [1, 3, 5] }, otherDays: [] },
  ]);
});

it("a day left out in between is a day that differs; groups become kept ones", () => {
  const people = [sampleId(), sampleId()];
  const list = shifts()
    .filter(({ kind }) => kind.id === "night")
    .filter((_, i) => i !== 2)
    .map((shift) => placed(shift.breaks[0]!.startMs, 1, people));
  const found = find(list);
  expect(found.standing.groups).toMatchObject([{ name: "Group 1", people }]);
  expect(found.standing.series).toMatchObject([
    { groupId: found.standing.groups[0]!.id, at: { from: "break", nr: 0, min: 0 }, otherDays: [{ date: "2026-03-18", startsAt: null }] },
  ]);
});

it("one whose session is gone stays as it is", () => {
  const list = shifts()
    .slice(0, 5)
    .map(({ startMs }) => ({ ...placed(startMs), sessionId: sampleId() }));
  expect(find(list)).toEqual({ standing: { groups: [], series: [] }, placements: list });
});

it("200 plans by chance over a change of the clocks: every moment stays what it was, for the same people", () => {
  const crew = Array.from({ length: 6 }, () => sampleId());
  const all = shifts();
  const one = fc.record({
    session: fc.nat(2),
    step: fc.integer({ min: -6, max: 6 }),
    skip: fc.array(fc.nat(all.length - 1), { maxLength: 12 }),
    kinds: fc.subarray(["early", "split", "night"], { minLength: 1 }),
    people: fc.option(fc.subarray(crew, { minLength: 1, maxLength: 4 })),
    nudged: fc.array(fc.nat(all.length - 1), { maxLength: 4 }),
  });
  fc.assert(
    fc.property(fc.array(one, { minLength: 1, maxLength: 6 }), (wanted) => {
      const list = wanted.flatMap(({ session, step, skip, kinds, people, nudged }) =>
        all.flatMap((shift, i) => {
          if (!kinds.includes(shift.kind.id) || skip.includes(i)) return [];
          const base = session === 2 ? shift.endMs : session === 1 ? (shift.breaks[0]?.startMs ?? shift.startMs) : shift.startMs;
          return [placed(base + (step + (nudged.includes(i) ? 3 : 0)) * 300_000, session, people)];
        }),
      );
      const found = find(list);
      expect(laid(found)).toEqual(moments(list));
      expect(found.standing.series.every(({ untilDate }) => untilDate! <= addDays("2026-03-02", 42))).toBe(true);
    }),
    { numRuns: 200 },
  );
});
