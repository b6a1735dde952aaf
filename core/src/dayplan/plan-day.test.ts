import fc from "fast-check";
import { patternPreset, shiftsFrom, type Shift } from "../calendar";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { solveInNode } from "../compose/sample";
import { sampleId, sampleSession } from "../session/sample";
import type { SlotKind } from "../session";
import {
  optimalPlan,
  clashesOf,
  dayProblem,
  greedyPlan,
  joined,
  formGroups,
  mostWithKit,
  planCost,
  minimalRelaxations,
  shortKitOf,
  type DayPlan,
  type DayProblem,
  type WantedSession,
} from ".";

const minute = 60_000;
const session = (slot: SlotKind, ...movements: string[]) =>
  sampleSession(
    movements.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())),
    { slot, name: slot },
  );
const wanted = (slot: SlotKind, lengthMin: number, times = 1, ...movements: string[]): WantedSession => ({
  session: session(slot, ...(movements.length > 0 ? movements : ["shake-out"])),
  lengthMs: lengthMin * minute,
  times,
});
const shiftOn = (date: string, zone = "Europe/Dublin", preset: "weekdays" | "daysThenNights" = "weekdays"): Shift =>
  shiftsFrom(patternPreset(preset, "2026-03-02"), zone, date, 7)[0]!;
const groupsOf = (...sizes: number[]) =>
  sizes.map((size, i) => ({ name: `G${i + 1}`, people: Array.from({ length: size }, (_, n) => `p${i}-${n}`) }));
const places = (problem: DayProblem, plan: DayPlan) => problem.requests.map(({ id }) => plan.get(id));

/** Shares no code with the planner: looks at every minute of the day. */
function broken({ requests, jobs, leaders }: DayProblem, plan: DayPlan): string[] {
  const found: string[] = [];
  const placed = requests.flatMap((request) =>
    plan.has(request.id) ? [{ ...request, from: plan.get(request.id)!, to: plan.get(request.id)! + request.lengthMs }] : [],
  );
  for (const each of placed) if (each.from % (5 * minute) !== 0) found.push("off the grid");
  const first = Math.min(...placed.map(({ from }) => from));
  const last = Math.max(...placed.map(({ to }) => to));
  for (let at = first; at < last; at += minute) {
    const on = placed.filter(({ from, to }) => from <= at && at < to);
    if (on.length > leaders) found.push("leaders");
    jobs.forEach(({ breaks, mostOffJob }, j) => {
      const inBreak = breaks.some(({ startMs, endMs }) => startMs <= at && at < endMs);
      const off = on.filter(({ job }) => job === j).reduce((sum, { people }) => sum + people, 0);
      if (!inBreak && off > mostOffJob) found.push("off the job");
    });
  }
  for (const a of placed)
    for (const b of placed) {
      if (a === b || a.group !== b.group || a.from > b.from) continue;
      const gap = (b.from - a.to) / minute;
      if (gap < 0) found.push("a group in two places");
      if ((a.slot === b.slot || (a.glides && b.glides)) && gap < 120) found.push("same kind too close");
    }
  return found;
}

describe("what a session is short of", () => {
  const lift = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 };
  const dumbbells = (count: number, massKg: number | null = 1) => ({ kind: "dumbbell" as const, massKg, count });
  const ids = (count: number) => Array.from({ length: count }, (_, i) => `p${i}`);
  const short = (people: readonly string[], kit: readonly ReturnType<typeof dumbbells>[], item: typeof lift = lift) =>
    shortKitOf(SHIPPED_LIBRARY, sampleSession([item]), () => people, kit).map(({ loadKg, people: users, pieces, way }) => [
      loadKg,
      users,
      pieces,
      way.kind,
    ]);
  it("is told from one person too many on, with the quickest way to share", () => {
    expect(short(ids(4), [dumbbells(4)])).toEqual([]);
    expect(short(ids(5), [dumbbells(4)])).toEqual([[1, 5, 4, "partners"]]);
    expect(short(ids(9), [dumbbells(4)])).toEqual([[1, 9, 4, "waves"]]);
    expect(short(ids(3), [dumbbells(4)], { ...lift, sides: "together" })).toEqual([[1, 3, 4, "partners"]]);
  });
  it("counts each load by itself, and whoever does it without kit not at all", () => {
    const own = { ...lift, personal: { p0: { formId: "load", loadKg: 2 }, p1: { formId: "load", loadKg: 2 }, p2: { formId: "unloaded" } } };
    expect(short(ids(5), [dumbbells(2), dumbbells(1, 2)], own)).toEqual([[2, 2, 1, "partners"]]);
    expect(short(ids(6), [dumbbells(2), dumbbells(2, 2)], own)).toEqual([[1, 3, 2, "partners"]]);
    // Whose mass nobody wrote down serves any.
    expect(short(ids(6), [dumbbells(9, null)], own)).toEqual([]);
  });
  it("kit of which there is none, and a session without kit, are not told here", () => {
    expect(short(ids(9), [])).toEqual([]);
    expect(shortKitOf(SHIPPED_LIBRARY, session("break"), () => ids(40), [])).toEqual([]);
  });
});

describe("groups", () => {
  const people = Array.from({ length: 11 }, (_, i) => `p${i}`);
  it("are as few and as even as the limits allow", () => {
    expect(formGroups(people, [], 5).map((group) => group.people.length)).toEqual([4, 4, 3]);
    expect(formGroups(people, [], 11)).toHaveLength(1);
    expect(formGroups(people, [], 11, 2).map((group) => group.people.length)).toEqual([6, 5]);
    expect(formGroups([], [], 5)).toEqual([]);
    expect(
      formGroups(people, [], 5)
        .flatMap((group) => group.people)
        .sort(),
    ).toEqual([...people].sort());
  });
  it("put those with easier forms together", () => {
    const one = session("break", "palm-away");
    one.items[0]!.personal = { p9: { formId: "elbow-90" }, p4: { formId: "elbow-90" } };
    expect(formGroups(people, [one], 4)[0]!.people.slice(0, 2).sort()).toEqual(["p4", "p9"]);
  });
  it("are no larger than the kit", () => {
    const lift = sampleSession([
      { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 },
    ]);
    const kit = [
      { kind: "dumbbell" as const, massKg: 1, count: 4 },
      { kind: "dumbbell" as const, massKg: 2, count: 9 },
    ];
    expect(mostWithKit(SHIPPED_LIBRARY, [lift], kit)).toBe(4);
    expect(mostWithKit(SHIPPED_LIBRARY, [session("break")], kit)).toBe(Infinity);
    // One in each hand.
    const both = sampleSession(lift.items.map((item) => ({ ...item, sides: "together" as const })));
    expect(mostWithKit(SHIPPED_LIBRARY, [both], kit)).toBe(2);
  });
});

describe("a day", () => {
  it("one group that fits the breaks stands at its ideal times and loses no work to them", () => {
    const shift = shiftOn("2026-03-24");
    const problem = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5), [wanted("preShift", 8), wanted("break", 3), wanted("postShift", 10)], {
      mostOffJob: 5,
      leaders: 1,
    });
    const plan = greedyPlan(problem);
    expect(places(problem, plan)).toEqual([shift.startMs, shift.breaks[1]!.startMs, shift.endMs - 10 * minute]);
  });
  it("two groups with one leader follow one another", () => {
    const shift = shiftOn("2026-03-24");
    const problem = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5, 5), [wanted("preShift", 8)], { mostOffJob: 10, leaders: 1 });
    expect(places(problem, greedyPlan(problem))).toEqual([shift.startMs, shift.startMs + 10 * minute]);
    const both = { ...problem, leaders: 2 };
    expect(places(both, greedyPlan(both))).toEqual([shift.startMs, shift.startMs]);
  });
  it("never more off the job than allowed, but in a break", () => {
    const shift = shiftOn("2026-03-24");
    const problem = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5, 5), [wanted("break", 3)], { mostOffJob: 5, leaders: 2 });
    expect(new Set(places(problem, greedyPlan(problem)))).toEqual(new Set([shift.breaks[1]!.startMs]));
    const work = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5, 5), [wanted("preShift", 8)], { mostOffJob: 5, leaders: 2 });
    expect(new Set(places(work, greedyPlan(work))).size).toBe(2);
  });
  it("keeps pins, and plans the rest of a day from now on", () => {
    const shift = shiftOn("2026-03-24");
    const sessions = [wanted("preShift", 8), wanted("break", 3)];
    const free = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5), sessions, { mostOffJob: 5, leaders: 1 });
    const pin = free.requests[0]!.starts[5]!;
    const pinned = dayProblem(
      SHIPPED_LIBRARY,
      shift,
      groupsOf(5),
      sessions,
      { mostOffJob: 5, leaders: 1 },
      { pinned: new Map([[free.requests[0]!.id, pin]]) },
    );
    expect(greedyPlan(pinned).get(free.requests[0]!.id)).toBe(pin);
    const noon = shift.startMs + 5 * 3600_000;
    const rest = dayProblem(SHIPPED_LIBRARY, shift, groupsOf(5), sessions, { mostOffJob: 5, leaders: 1 }, { notBeforeMs: noon });
    expect(rest.requests.map(({ starts }) => starts.every((at) => at >= noon))).toEqual([true, true]);
  });
  it("strengthening keeps clear of the hour before hard work", () => {
    const shift = shiftOn("2026-03-24");
    const hard = shift.endMs - 2 * 3600_000;
    const problem = (from: number[]) =>
      dayProblem(
        SHIPPED_LIBRARY,
        shift,
        groupsOf(3),
        [wanted("break", 10, 1, "squeeze")],
        { mostOffJob: 5, leaders: 1 },
        { hardFrom: () => from },
      );
    const starts = problem([hard]).requests[0]!.starts;
    expect(starts.some((at) => at + 10 * minute > hard - 60 * minute && at < hard)).toBe(false);
    expect(problem([]).requests[0]!.starts.length).toBeGreaterThan(starts.length);
  });
  it("what cannot be placed is said, with the smallest change that helps", async () => {
    const shift = shiftOn("2026-03-24");
    const sessions = [wanted("preShift", 12)];
    const problem = (addMin = 0) =>
      dayProblem(
        SHIPPED_LIBRARY,
        shift,
        groupsOf(4, 4, 4, 4, 4),
        sessions,
        { mostOffJob: 4, leaders: 1 },
        { reach: { preShift: 45 + addMin, break: 90, postShift: 60 } },
      );
    const { plan } = await optimalPlan(problem(), solveInNode, { timeLimitSec: 2, gap: 0.01 });
    expect(plan.size).toBe(4);
    const found = await minimalRelaxations(problem(), problem, solveInNode);
    expect(found).toEqual([{ change: "reach", addMin: 30 }]);
    const twoLeaders = await minimalRelaxations({ ...problem(), jobs: [{ ...problem().jobs[0]!, mostOffJob: 8 }] }, problem, solveInNode);
    expect(twoLeaders[0]).toEqual({ change: "leaders", to: 2 });
  });
});

/** Crews and rosters by chance; days of a clock change among them. */
const crewDay = fc.record({
  date: fc.constantFrom("2026-03-24", "2026-03-28", "2026-03-29", "2026-10-24", "2026-10-25", "2026-03-16"),
  preset: fc.constantFrom("weekdays" as const, "daysThenNights" as const),
  sizes: fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 6 }),
  mostOffJob: fc.integer({ min: 2, max: 12 }),
  leaders: fc.integer({ min: 1, max: 2 }),
  breaks: fc.integer({ min: 1, max: 3 }),
  long: fc.integer({ min: 2, max: 14 }),
});
const problemFrom = ({
  date,
  preset,
  sizes,
  mostOffJob,
  leaders,
  breaks,
  long,
}: typeof crewDay extends fc.Arbitrary<infer T> ? T : never) => {
  const shift = shiftOn(date, "Europe/Dublin", preset);
  return {
    shift,
    problem: dayProblem(
      SHIPPED_LIBRARY,
      shift,
      groupsOf(...sizes),
      [wanted("preShift", long), wanted("break", 3, breaks, "median-glide"), wanted("postShift", long + 4)],
      { mostOffJob, leaders },
    ),
  };
};

it("300 crews and rosters by chance: the first answer breaks no limit", () => {
  fc.assert(
    fc.property(crewDay, (day) => {
      const { problem } = problemFrom(day);
      expect(broken(problem, greedyPlan(problem))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});

describe("several crews at once", () => {
  const day = (sizes: number[], mostOffJob: number, preset: "weekdays" | "daysThenNights" = "weekdays") =>
    dayProblem(
      SHIPPED_LIBRARY,
      shiftOn("2026-03-24", "Europe/Dublin", preset),
      groupsOf(...sizes),
      [wanted("preShift", 8), wanted("break", 3, 1, "median-glide"), wanted("postShift", 10)],
      { mostOffJob, leaders: 9 },
    );

  it("one leader is shared: no two groups of any crew are led at the same time", () => {
    const both = joined([day([4, 4], 4), day([5], 5, "daysThenNights")], 1);
    const plan = greedyPlan(both);
    expect(broken(both, plan)).toEqual([]);
    expect([...new Set(both.requests.map(({ group, job }) => `${job}.${group}`))]).toEqual(["0.0", "0.1", "1.2"]);
    const warmUps = both.requests.filter(({ slot }) => slot === "preShift").map(({ id, group }) => plan.get(id) ?? `none ${group}`);
    expect(new Set(warmUps).size).toBe(3);
  });

  it("with a leader each they are planned as if alone, and each job counts its own people only", () => {
    const [one, two] = [day([4, 4], 8), day([5], 5)];
    const plan = greedyPlan(joined([one, two], 3));
    expect(plan).toEqual(new Map([...greedyPlan({ ...one, leaders: 3 }), ...greedyPlan({ ...two, leaders: 3 })]));
  });

  it("by chance: first and best break no limit, and the best costs no more", async () => {
    await fc.assert(
      fc.asyncProperty(crewDay, crewDay, async (a, b) => {
        const both = joined([problemFrom(a).problem, problemFrom({ ...b, date: a.date }).problem], a.leaders);
        const first = greedyPlan(both);
        expect(broken(both, first)).toEqual([]);
        const { plan } = await optimalPlan(both, solveInNode, { timeLimitSec: 0.5, gap: 0.05 });
        expect(broken(both, plan)).toEqual([]);
        expect(planCost(both, plan)).toBeLessThanOrEqual(planCost(both, first) + 1e-6);
      }),
      { numRuns: 12, endOnFailure: true },
    );
  }, 60_000);

  it("what would help names the crew whose limit it is", async () => {
    const both = () => joined([day([3], 3), day([6], 4)], 3);
    const found = await minimalRelaxations(both(), both, solveInNode);
    expect(found).toEqual([{ change: "mostOffJob", job: 1, to: 6 }]);
  });
});

it("25 of them: the best breaks none either and never costs more than the first", async () => {
  await fc.assert(
    fc.asyncProperty(crewDay, async (day) => {
      const { problem } = problemFrom(day);
      const { plan: best, gap } = await optimalPlan(problem, solveInNode, { timeLimitSec: 1, gap: 0.01 });
      expect(gap).toBeGreaterThanOrEqual(0);
      expect(broken(problem, best)).toEqual([]);
      expect(planCost(problem, best)).toBeLessThanOrEqual(planCost(problem, greedyPlan(problem)) + 1e-6);
    }),
    { numRuns: 25, endOnFailure: true },
  );
}, 120_000);

it("the plan of groups is without clashes where every session finds a place and leaders do not overlap", () => {
  const shift = shiftOn("2026-03-24");
  const groups = groupsOf(4, 4);
  const sessions = [wanted("preShift", 8), wanted("break", 3), wanted("postShift", 10)];
  const problem = dayProblem(SHIPPED_LIBRARY, shift, groups, sessions, { mostOffJob: 4, leaders: 1 });
  const plan = greedyPlan(problem);
  const placed = problem.requests.map((request) => ({
    id: request.id,
    session: sessions.find((each) => each.session.id === request.sessionId)!.session,
    startMs: plan.get(request.id)!,
    endMs: plan.get(request.id)! + request.lengthMs,
    people: groups[request.group]!.people,
  }));
  expect(clashesOf(SHIPPED_LIBRARY, placed, [shift], "Europe/Dublin").filter(({ weight }) => weight === "stop")).toEqual([]);
  // The same two breaks for everybody would be too close.
  expect(
    clashesOf(
      SHIPPED_LIBRARY,
      placed.map((each) => ({ ...each, people: null })),
      [shift],
      "Europe/Dublin",
    ).some(({ kind }) => kind === "sameKindTooClose"),
  ).toBe(true);
});
