/** Speed, as time per operation: `npm run bench`. Minimum of several rounds, so that a busy machine does not colour it. */
import { watchUntilEnough, WORKERS } from "../src/observe/workers.sample";
import { performance } from "node:perf_hooks";
import { layTogether } from "../src/booking";
import { bookedDay, rules as bookingRules, SHAPES } from "../src/booking/booking.sample";
import { readRoster, guessColumns, NO_WORDS, readRosterText } from "../src/crew";
import { patternPreset, shiftsFrom } from "../src/calendar";
import { layPlan, optimalPlan, clashesOf, dayProblem, greedyPlan, formGroups, planCost, type Placed } from "../src/dayplan";
import { sampleSeries } from "../src/dayplan/plan.sample";
import { solveInNode } from "../src/compose/sample";
import { wordsIn } from "../src/language";
import { SHIPPED_LIBRARY, newItem, stage, DEFAULT_STYLE } from "../src/library";
import { cuesOf } from "../src/run";
import { gapOfRotation, levelRotation } from "../src/rotation";
import { sampleEffort, sampleTask } from "../src/strain/sample";
import { crewsByChance } from "../src/rotation/crews.sample";
import { chanceFrom } from "../src/solver";
import { compileGroup, compilePerson, positionAt, sessionTotals } from "../src/session";
import { fitToSlot } from "../src/slot";
import { sampleId, sampleSession } from "../src/session/sample";

const ROUNDS = 15;
const WARM_UP_MS = 500;
/** As the interface draws what moves. */
const MOTION_CELL = 3.2;

function perOperation(run: () => unknown): number {
  // As after some seconds of use: what runs often has been compiled by then.
  for (const start = performance.now(); performance.now() - start < WARM_UP_MS;) run();
  let best = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    let count = 0;
    while (performance.now() - start < 20) {
      run();
      count++;
    }
    best = Math.min(best, (performance.now() - start) / count);
  }
  return best;
}

const twenty = sampleSession(SHIPPED_LIBRARY.movements.slice(0, 20).map((movement) => newItem(movement, DEFAULT_STYLE, sampleId())));
const people = Array.from({ length: 12 }, sampleId);
for (const [i, item] of twenty.items.entries())
  item.personal = { [people[i % 12]!]: { formId: SHIPPED_LIBRARY.movements[i]!.forms[0]!.id } };
const timeline = compileGroup(twenty, SHIPPED_LIBRARY.timings, people);
const words = wordsIn("en");
const shifts = shiftsFrom(patternPreset("weekdays", "2026-03-02"), "Europe/Dublin", "2026-03-02", 7);
const placed: Placed[] = shifts.flatMap((shift) =>
  [0, 3, 6].map((hour) => ({
    id: sampleId(),
    session: twenty,
    startMs: shift.startMs + hour * 3600_000,
    endMs: shift.startMs + hour * 3600_000 + 480_000,
  })),
);
const roster = new TextEncoder().encode(
  ["Name;Badge;Hand;Started", ...Array.from({ length: 2000 }, (_, i) => `Person ${i};B${i};R;03/02/2019`)].join("\n"),
);

const table: [string, () => unknown, number | null][] = [
  ["compile a 20-item session for one person", () => compilePerson(twenty, SHIPPED_LIBRARY.timings), 1],
  ["compile it for a group of 12", () => compileGroup(twenty, SHIPPED_LIBRARY.timings, people), null],
  ["fit it to two thirds of its time", () => fitToSlot(twenty, timeline.totalSec * 0.66, { personIds: [], library: SHIPPED_LIBRARY }), 10],
  ["totals of it", () => sessionTotals(twenty, timeline, SHIPPED_LIBRARY.tensionRegions), null],
  ["find the place of a moment", () => positionAt(timeline, timeline.totalSec * 0.7), null],
  ["cues of a run", () => cuesOf(timeline, words), null],
  ["clashes of a week with 15 sessions", () => clashesOf(SHIPPED_LIBRARY, placed, shifts, "Europe/Dublin"), null],
  [
    "read a roster of 2,000 rows",
    () => {
      const text = readRosterText(roster);
      const columns = guessColumns(text.headers);
      return readRoster(text, { columns, dateOrder: "dmy", words: NO_WORDS, edits: {}, answers: {}, today: "2026-03-26", known: [] });
    },
    null,
  ],
];

const frame = (movementId: string) => {
  const staged = stage(SHIPPED_LIBRARY, movementId, undefined, { width: 600, cell: MOTION_CELL, regions: [] });
  let place = 0;
  return () => staged.moment((place += 0.037) % 1);
};
table.push(
  ["draw a moving frame, one-arm close-up", frame("wrist-nod"), 6],
  ["draw a moving frame, whole upper body", frame("open-chest"), 12],
  ["draw a still with ghost, arc and mark", () => stage(SHIPPED_LIBRARY, "palm-away").still(), 25],
);

// Twelve groups, five sessions each, ten hours, two leaders: the largest day the plan is made for.
const longShift = shiftsFrom(
  {
    ...patternPreset("fourOnFourOff", "2026-03-02"),
    shifts: patternPreset("fourOnFourOff", "2026-03-02").shifts.map((shift) => ({ ...shift, lengthMin: 600 })),
  },
  "UTC",
  "2026-03-02",
  1,
)[0]!;
const crew = Array.from({ length: 60 }, sampleId);
const short = (slot: "preShift" | "break" | "postShift") => ({
  session: sampleSession(
    [
      newItem(
        SHIPPED_LIBRARY.movements.find(({ id }) => id === "shake-out")!,
        DEFAULT_STYLE,
        sampleId(),
      ),
    ],
    { slot, name: slot },
  ),
});
const largeDay = dayProblem(
  SHIPPED_LIBRARY,
  longShift,
  formGroups(crew, [], 5),
  [
    { ...short("preShift"), lengthMs: 480_000, times: 1 },
    { ...short("break"), lengthMs: 180_000, times: 3 },
    { ...short("postShift"), lengthMs: 480_000, times: 1 },
  ],
  { mostOffJob: 10, leaders: 2 },
);
// Forty crews on a rotation of 21 days, each with three kinds of shift and four series on each.
const rotation = patternPreset("daysThenNights", "2026-03-02");
const standing = {
  groups: [],
  series: rotation.shifts.flatMap(({ id }) => [0, 60, 150, 400].map((min) => sampleSeries({ shift: id, at: { from: "start", min } }))),
};
const zones = ["Europe/Dublin", "America/New_York", "Australia/Lord_Howe", "Asia/Kathmandu"];
table.push([
  "eight weeks of 40 crews laid on the calendar",
  () =>
    Array.from({ length: 40 }, (_, i) =>
      layPlan({ standing, placements: [], kept: [] }, { shiftPattern: rotation, timeZone: zones[i % 4]! }, "2026-03-02", 56),
    ),
  50,
]);
table.push(["first answer to a day of 12 groups × 5 sessions", () => greedyPlan(largeDay), 200]);

let missed = false;
for (const [name, run, aimMs] of table) {
  const ms = perOperation(run);
  const verdict = aimMs === null ? "" : ms < aimMs ? `  (aim: under ${aimMs} ms, met)` : `  (aim: under ${aimMs} ms, MISSED)`;
  missed ||= aimMs !== null && ms >= aimMs;
  process.stdout.write(`${name.padEnd(44)} ${ms.toFixed(4).padStart(10)} ms${verdict}\n`);
}
const planStart = performance.now();
const { plan: best, gap } = await optimalPlan(largeDay, solveInNode, { timeLimitSec: 6, gap: 0.01 });
const planMs = performance.now() - planStart;
const [firstCost, bestCost] = [planCost(largeDay, greedyPlan(largeDay)), planCost(largeDay, best)];
process.stdout.write(
  `its best answer: ${(planMs / 1000).toFixed(2)} s, ${best.size} of ${largeDay.requests.length} placed, cost ${bestCost.toFixed(0)} against ${firstCost.toFixed(0)} of the first, within ${(gap * 100).toFixed(1)} % of proven best (aim: within 1 % under 6 s, never worse)\n`,
);
missed ||= bestCost > firstCost || gap > 0.0101;
// Days of bookings by chance: twelve therapists who share kit for one or two, light days among them.
const chance = chanceFrom(7);
const of = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
const minute = 60_000;
const someDay = () => {
  let fromMs = Date.parse("2026-03-24T09:00:00Z") + of([0, 15, 30]) * minute;
  return Array.from({ length: 6 + Math.floor(chance() * 4) }, (_, i) => {
    const startMs = fromMs + of([0, 5, 5, 10, 10, 15, 30]) * minute;
    fromMs = startMs + of([30, 50, 60, 80]) * minute;
    const deep = chance() < 0.4;
    return { id: String(i + 1), startMs, endMs: fromMs, deep, hard: deep && chance() < 0.5 };
  });
};
const teams = Array.from({ length: 300 }, () => ({
  days: Array.from({ length: 12 }, (_, p) => bookedDay(someDay(), { personId: `p${p}`, mayStrengthen: chance() < 0.6 })),
  limits: bookingRules({ sessions: { ...SHAPES, strength: { ...SHAPES.strength, shares: { kit: "kit", people: of([1, 2]) } } } }),
}));
const laid = teams.map(({ days, limits }) => {
  const from = performance.now();
  const { gap: left } = layTogether(days, limits);
  return { ms: performance.now() - from, left };
});
const slowest = Math.max(...laid.map(({ ms }) => ms));
const farthest = Math.max(...laid.map(({ left }) => left));
process.stdout.write(
  `300 days of bookings of 12 therapists: ${laid
    .map(({ ms }) => ms)
    .sort((a, b) => a - b)[150]!
    .toFixed(
      0,
    )} ms in the middle, ${slowest.toFixed(0)} ms at most; ${laid.filter(({ left }) => left === 0).length} proven best, the farthest within ${(farthest * 100).toFixed(2)} % (aim: within 1 % under 3 s)\n`,
);
missed ||= slowest > 3000 || farthest > 0.01;

for (const [kind, make] of Object.entries(WORKERS)) {
  const { enough, rateRight, secondsRight } = watchUntilEnough(make, 1000);
  const [rate, seconds] = [rateRight / enough, secondsRight / enough];
  process.stdout.write(
    `1000 hands that work ${kind}, watched until it is enough (${enough} within an hour): the rate told right in ${(rate * 100).toFixed(1)} %, the seconds in ${(seconds * 100).toFixed(1)} % (aim: 93 %)\n`,
  );
  missed ||= Math.min(rate, seconds) < 0.93;
}

// Twenty-four people at eight tasks in eight turns; in every other crew some may not do some tasks.
const levelled: { sec: number; gap: number }[] = [];
for (const [n, crew] of crewsByChance(48, (name, effort) => sampleTask(name, [sampleEffort("effort", effort)])).entries()) {
  const began = performance.now();
  const rotation = await levelRotation(crew, solveInNode);
  if (typeof rotation === "string") throw new RangeError(`crew ${n} has no rotation: ${rotation}`);
  levelled.push({ sec: (performance.now() - began) / 1000, gap: gapOfRotation(rotation) });
}
const [slowestLevel, widestGap] = [Math.max(...levelled.map(({ sec }) => sec)), Math.max(...levelled.map(({ gap }) => gap))];
const near = levelled.filter(({ gap }) => gap <= 0.01).length;
process.stdout.write(
  `48 rotations of 24 people × 8 tasks × 8 turns: ${slowestLevel.toFixed(1)} s at most, ${near} of them within 1 % of their bound, the farthest within ${(widestGap * 100).toFixed(2)} % (aim: within 1 % under 6 s)\n`,
);
missed ||= slowestLevel > 6 || near < levelled.length;
process.exitCode = missed ? 1 : 0;
