import fc from "fast-check";
import { SHIPPED_LIBRARY, SHIPPED_MOVEMENTS, REGIONS, WORK_POSTURES } from "../library";
import { sampleDay, sampleEffort, sampleTask } from "../strain/sample";
import { GRIPS, TURNS, type Work } from "../strain";
import {
  ADDED_POINTS,
  cardsFor,
  dutyOf,
  GRIP_SHARES,
  HALVING_LOAD_MIN,
  LEAST_POSTURE_MIN,
  oppositesFor,
  POSTURE_SHARES,
  postureMinutes,
  posturesOf,
  regionNeeds,
  sharesOf,
} from ".";

const neutral = { flexionDeg: 0, tiltDeg: 0, turn: "neutral", grip: "power" } as const;
const place = { settings: ["any"], kit: [] } as const;
const workOf = (effort: ReturnType<typeof sampleEffort>, minutes: number, task: Parameters<typeof sampleTask>[2] = {}): Work => {
  const made = sampleTask("task", [effort], task);
  return { tasks: [made], days: [sampleDay([[made, minutes]])] };
};
const needOf = (work: Work, region: string, side = "right") =>
  regionNeeds(work, work.days[0]).find((each) => each.region === region && each.side === side)!;

describe("postures", () => {
  it.each([
    [{ flexionDeg: 14 }, []],
    [{ flexionDeg: 15 }, ["wristBent"]],
    [{ flexionDeg: -14 }, []],
    [{ flexionDeg: -15 }, ["wristBentBack"]],
    [{ tiltDeg: 9 }, []],
    [{ tiltDeg: 10 }, ["wristTilted"]],
    [{ tiltDeg: -10 }, ["wristTilted"]],
    [{ turn: "palmDown" }, ["palmDown"]],
    [{ turn: "palmUp" }, []],
  ] as const)("%j", (change, expected) => {
    expect(posturesOf({ reach: false }, { ...neutral, grip: "palmPush", ...change })).toEqual(expected);
  });
  it.each([
    ["power", "closedHand"],
    ["hook", "closedHand"],
    ["pinch", "thumbPressed"],
    ["thumbPress", "thumbPressed"],
  ] as const)("a %s grip is %s", (grip, posture) => {
    expect(posturesOf({ reach: false }, { ...neutral, grip })).toEqual([posture]);
  });
  it("are counted in minutes of effort, per hand and task", () => {
    const work = workOf(sampleEffort("a", { perMin: 10, secEach: 3, flexionDeg: 30, hands: "right" }), 120);
    expect(postureMinutes(work, work.days[0]!, "right")).toEqual([
      { posture: "wristBent", minutes: 60, tasks: [{ taskId: work.tasks[0]!.id, minutes: 60 }] },
      { posture: "closedHand", minutes: 60, tasks: [{ taskId: work.tasks[0]!.id, minutes: 60 }] },
    ]);
    expect(postureMinutes(work, work.days[0]!, "left")).toEqual([]);
  });
  it("two efforts in one posture never take more than the whole time", () => {
    const task = sampleTask("t", [sampleEffort("a", { perMin: 6, secEach: 10 }), sampleEffort("b", { perMin: 6, secEach: 10 })]);
    const work: Work = { tasks: [task], days: [sampleDay([[task, 30]])] };
    expect(postureMinutes(work, work.days[0]!, "right").find(({ posture }) => posture === "closedHand")!.minutes).toBe(30);
  });
  it("duty is at most the whole time", () => {
    expect([dutyOf({ perMin: 10, secEach: 3 }), dutyOf({ perMin: 60, secEach: 3 })]).toEqual([0.5, 1]);
  });
});

describe("shares", () => {
  it("lie between 0 and 1, for every grip and posture", () => {
    for (const grip of GRIPS)
      for (const turn of TURNS)
        for (const flexionDeg of [-40, 0, 40])
          for (const tiltDeg of [-20, 0, 20])
            for (const share of Object.values(sharesOf({ reach: true }, { grip, turn, flexionDeg, tiltDeg }))) {
              expect(share).toBeGreaterThan(0);
              expect(share).toBeLessThanOrEqual(1);
            }
  });
  it("every region is loaded by some grip or posture", () => {
    const loaded = new Set([...Object.values(GRIP_SHARES), ...Object.values(POSTURE_SHARES)].flatMap((shares) => Object.keys(shares)));
    expect([...loaded].sort()).toEqual([...REGIONS].sort());
  });
  it("a tilt to either side loads that side", () => {
    expect(sharesOf({ reach: false }, { ...neutral, tiltDeg: -15 }).thumbSideWrist).toBe(0.4);
    expect(sharesOf({ reach: false }, { ...neutral, tiltDeg: 15 }).littleFingerSideWrist).toBe(0.4);
  });
});

describe("region need", () => {
  it("is the load minutes, halving what is left to 100 each sixty of them", () => {
    // 480 min × √(0.4³ × 0.25) × share 1 = 60.7 load minutes
    const work = workOf(sampleEffort("a", { effort: 4, perMin: 5, secEach: 3, flexionDeg: 0 }), 480);
    const need = needOf(work, "fingerFlexors");
    expect(need.loadMin).toBeCloseTo(480 * Math.sqrt(0.064 * 0.25), 9);
    expect(need.need).toBeCloseTo(100 * (1 - 2 ** (-need.loadMin / HALVING_LOAD_MIN)), 9);
    expect(need.parts[0]).toMatchObject({ minutes: 480, duty: 0.25, intensity: 0.4, share: 1, harder: 1 });
  });
  it.each([
    ["effort 1 all day", { effort: 1, perMin: 1, secEach: 60 }, 0, 20],
    ["effort 1, on and off all day", { effort: 1, perMin: 10, secEach: 3 }, 0, 20],
    ["effort 9 once a minute for 1 s", { effort: 9, perMin: 1, secEach: 1 }, 40, 60],
    ["effort 3, 10 a minute, 2 s", { effort: 3, perMin: 10, secEach: 2 }, 30, 50],
  ])("over 8 h: %s", (_, effort, from, to) => {
    const { need } = needOf(workOf(sampleEffort("a", { ...effort, flexionDeg: 0 }), 480), "fingerFlexors");
    expect(need).toBeGreaterThanOrEqual(from);
    expect(need).toBeLessThanOrEqual(to);
  });
  it("an effort told in two halves comes to the same", () => {
    const whole = workOf(sampleEffort("a", { perMin: 10, secEach: 2 }), 300);
    const task = sampleTask("t", [sampleEffort("a", { perMin: 5, secEach: 2 }), sampleEffort("b", { perMin: 5, secEach: 2 })]);
    const halves: Work = { tasks: [task], days: [sampleDay([[task, 300]])] };
    for (const region of REGIONS) expect(needOf(halves, region).loadMin).toBeCloseTo(needOf(whole, region).loadMin, 9);
  });
  it("a symptom asks for relief and never for strength", () => {
    const work = workOf(sampleEffort("a"), 120);
    const found = { side: "right", region: "fingerFlexors", by: "symptom", points: 12 } as const;
    const weak = { ...found, by: "weakGrip", points: 15 } as const;
    const of = (findings: Parameters<typeof regionNeeds>[2]) =>
      regionNeeds(work, work.days[0], findings).find(({ side, region }) => side === "right" && region === "fingerFlexors")!;
    const bare = of([]);
    expect([of([found]).need - bare.need, of([found]).strengthNeed - bare.strengthNeed]).toEqual([12, 0]);
    expect(of([weak]).strengthNeed - bare.strengthNeed).toBe(15);
  });
  it("an idle hand and an empty day need nothing", () => {
    const work = workOf(sampleEffort("a", { hands: "right" }), 240);
    expect(needOf(work, "fingerFlexors", "left").need).toBe(0);
    expect(regionNeeds(work, undefined).every(({ need }) => need === 0)).toBe(true);
  });
  it("cold and vibration cost more", () => {
    const of = (change: object) => needOf(workOf(sampleEffort("a"), 120, change), "fingerFlexors").loadMin;
    expect(of({ cold: true })).toBeCloseTo(of({}) * 1.15, 9);
    expect(of({ vibration: "strong" })).toBeCloseTo(of({}) * 1.25, 9);
  });
  it("findings add their points, for their own hand and region, and the sum stops at 100", () => {
    const finding = { side: "right", region: "wristFlexors", by: "weakGrip", points: ADDED_POINTS.weakGrip } as const;
    const [idle] = [workOf(sampleEffort("a", { hands: "left" }), 60)];
    const needs = regionNeeds(idle, idle.days[0], [finding]);
    expect(needs.find((each) => each.side === "right" && each.region === "wristFlexors")!.need).toBe(15);
    expect(needs.find((each) => each.side === "right" && each.region === "thumbBase")!.need).toBe(0);
    const heaped = regionNeeds(
      idle,
      idle.days[0],
      Array.from({ length: 9 }, () => finding),
    );
    expect(Math.max(...heaped.map(({ need }) => need))).toBe(100);
  });
  it("never falls when there is more of anything", () => {
    const efforts = fc.record({
      effort: fc.integer({ min: 1, max: 20 }).map((half) => half / 2),
      perMin: fc.double({ min: 0.5, max: 20, noNaN: true }),
      secEach: fc.double({ min: 0.1, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(efforts, fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 80 }), (effort, minutes, more) => {
        const less = workOf(sampleEffort("a", effort), minutes);
        const longer = workOf(sampleEffort("a", effort), minutes + more);
        const harder = workOf(sampleEffort("a", { ...effort, effort: Math.min(10, effort.effort + 0.5) }), minutes);
        const faster = workOf(sampleEffort("a", { ...effort, perMin: effort.perMin * 1.2 }), minutes);
        const slower = workOf(sampleEffort("a", { ...effort, secEach: effort.secEach * 1.2 }), minutes);
        for (const region of REGIONS)
          for (const moreOf of [longer, harder, faster, slower])
            expect(needOf(moreOf, region).need).toBeGreaterThanOrEqual(needOf(less, region).need - 1e-9);
        expect(needOf(longer, "fingerFlexors").need).toBeLessThanOrEqual(100);
      }),
      { numRuns: 40 },
    );
  });
});

describe("the opposite of the work", () => {
  const minutesFor = (min: number) => workOf(sampleEffort("a", { perMin: 60, secEach: 1, flexionDeg: 30 }), min);
  it("is called for from twenty minutes of a posture on", () => {
    const below = minutesFor(LEAST_POSTURE_MIN - 1);
    const at = minutesFor(LEAST_POSTURE_MIN);
    expect(oppositesFor(below, below.days[0]!, place, SHIPPED_MOVEMENTS)).toEqual([]);
    expect(oppositesFor(at, at.days[0]!, place, SHIPPED_MOVEMENTS).map(({ posture }) => posture)).toEqual(["wristBent", "closedHand"]);
  });
  it("names movements that reverse the posture and can be done there", () => {
    const work = minutesFor(120);
    for (const { posture, movements } of oppositesFor(work, work.days[0]!, place, SHIPPED_MOVEMENTS)) {
      expect(movements.length).toBeGreaterThan(0);
      for (const movement of movements) expect(SHIPPED_LIBRARY.find(movement.id)!.reverses).toContain(posture);
    }
    const withTable = oppositesFor(
      work,
      work.days[0]!,
      { settings: ["any", "table", "wall"], kit: ["dumbbell", "band"] },
      SHIPPED_MOVEMENTS,
    );
    expect(withTable[0]!.movements.length).toBeGreaterThan(
      oppositesFor(work, work.days[0]!, place, SHIPPED_MOVEMENTS)[0]!.movements.length,
    );
  });
  it("the library has something against every posture of work", () => {
    const everywhere = {
      settings: ["any", "table", "wall", "floor", "bar", "home"],
      kit: ["band", "ball", "dumbbell", "dowel", "hammer"],
    } as const;
    const task = sampleTask(
      "all",
      [
        sampleEffort("a", { perMin: 10, secEach: 2, flexionDeg: 30, tiltDeg: 20, turn: "palmDown" }),
        sampleEffort("b", { perMin: 10, secEach: 3, flexionDeg: -30, grip: "thumbPress" }),
      ],
      { reach: true },
    );
    const work: Work = { tasks: [task], days: [sampleDay([[task, 300]])] };
    const found = oppositesFor(work, work.days[0]!, everywhere, SHIPPED_MOVEMENTS);
    expect(found.map(({ posture }) => posture).sort()).toEqual([...WORK_POSTURES].sort());
    for (const { posture, movements } of found) expect([posture, movements.length > 0]).toEqual([posture, true]);
  });
});

describe("coaching cards", () => {
  const cards = (work: Work) => cardsFor(work, work.days).map(({ id }) => id);
  it("whoever presses down is not told to turn the palm up; whoever holds is", () => {
    const down = (grip: (typeof GRIPS)[number]) =>
      cards(workOf(sampleEffort("a", { perMin: 20, secEach: 2, flexionDeg: 0, turn: "palmDown", grip }), 240)).includes(
        "palm-neutral-or-up",
      );
    expect(GRIPS.filter(down).sort()).toEqual(["hook", "pinch", "power"]);
  });
  it("are pulled up by the postures of the work", () => {
    const bent = workOf(sampleEffort("a", { perMin: 30, secEach: 1, flexionDeg: 30, hands: "both", grip: "palmPush" }), 240);
    expect(cards(bent)).toContain("straight-wrist");
    expect(cards(bent)).not.toContain("arched-thumb");
    expect(cards(workOf(sampleEffort("a", { perMin: 30, secEach: 1, flexionDeg: 0, grip: "thumbPress" }), 240))).toContain("arched-thumb");
    expect(cards(workOf(sampleEffort("a", { flexionDeg: 30 }), 10))).toEqual([]);
  });
  it("of several ways of a shift each is looked at by itself: what one of them pulls up is there, minutes of two are not added", () => {
    const pressing = sampleTask("Pressing", [sampleEffort("a", { perMin: 30, secEach: 1, flexionDeg: 0, grip: "thumbPress" })]);
    const other = sampleTask("Lifting", []);
    const wayOf = (min: number) =>
      sampleDay([
        [pressing, min],
        [other, 480 - min],
      ]);
    const work = (...minutes: number[]): Work => ({ tasks: [pressing, other], days: minutes.map(wayOf) });
    expect(cards(work(1, 240))).toContain("arched-thumb");
    expect(cards(work(30, 30))).not.toContain("arched-thumb");
    expect(cards(work(60, 60))).toEqual(cards(work(60)));
    expect(cardsFor(work(240), [])).toEqual([]);
  });
  it("warm hands only where it is cold, changing hands only where one hand does much more", () => {
    const both = sampleEffort("a", { perMin: 30, secEach: 1, hands: "both" });
    expect(cards(workOf(both, 240))).not.toContain("warm-hands");
    expect(cards(workOf(both, 240, { cold: true }))).toContain("warm-hands");
    expect(cards(workOf(both, 240))).not.toContain("change-hands");
    expect(cards(workOf({ ...both, hands: "right" }, 240))).toContain("change-hands");
  });
});
