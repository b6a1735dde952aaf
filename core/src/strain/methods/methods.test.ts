import fc from "fast-check";
import {
  acceptableShare,
  activityLevel,
  adviceOfAll,
  eightHourVibration,
  enduranceMin,
  forceLimits,
  isReading,
  opinionsOfShift,
  opinionsOfTask,
  placeOnScale,
  restShare,
  UNSEEN,
  verdictAt,
  VERDICTS,
  whyApart,
  type MethodId,
  type Reading,
  type Task,
} from "..";
import { METHODS } from ".";
import { reading } from "./method";
import { sampleDay, sampleEffort, sampleTask } from "../sample";

const one = (change: Parameters<typeof sampleEffort>[1] = {}, task: Partial<Task> = {}) =>
  sampleTask("Task", [sampleEffort("effort", change)], task);
const by = (task: Task, method: MethodId, hours = 4) => METHODS.find(({ id }) => id === method)!.ofTask(task, "right", hours);
const said = (task: Task, method: MethodId, hours = 4) => by(task, method, hours) as Reading;

describe("worked examples", () => {
  it("hand activity at 20 % and one effort a second is 4.70, with limits of 1.91 and 2.97", () => {
    expect(activityLevel(20, 1)).toBeCloseTo(4.7, 2);
    const { action, limit } = forceLimits(activityLevel(20, 1));
    expect([action, limit]).toEqual([expect.closeTo(1.91, 2), expect.closeTo(2.97, 2)]);
  });
  it("a tenth of the time leaves 42.5 % of one's strength", () => {
    expect(acceptableShare(0.1)).toBeCloseTo(0.425, 3);
  });
  it("three tenths of one's strength last 2.54 min; a minute of it wants 189 % rest", () => {
    expect(enduranceMin(0.3)).toBeCloseTo(2.54, 2);
    expect(restShare(0.3, 1)).toBeCloseTo(1.89, 2);
  });
  it("5 m/s² for two hours is 2.5 a day", () => {
    expect(eightHourVibration(5, 2)).toBeCloseTo(2.5, 10);
  });
});

describe("how the formulas run", () => {
  const share = fc.double({ min: 0.151, max: 1, noNaN: true });
  const duty = fc.double({ min: 0.0001, max: 1, noNaN: true });
  it("activity grows with duty cycle and rate and stays within 0 to 10", () => {
    fc.assert(
      fc.property(duty, duty, fc.double({ min: 0.01, max: 4, noNaN: true }), (a, b, rate) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)].map((each) => activityLevel(each * 100, rate));
        expect(low).toBeLessThanOrEqual(high!);
        expect(low).toBeGreaterThanOrEqual(0);
        expect(high).toBeLessThanOrEqual(10);
        expect(activityLevel(a * 100, rate)).toBeLessThanOrEqual(activityLevel(a * 100, rate * 1.5) + (a < 0.01 ? 10 : 1e-12));
      }),
    );
  });
  it("what is acceptable falls with the duty cycle: all of one's strength for a second a day, next to none all the time", () => {
    fc.assert(fc.property(duty, duty, (a, b) => (a - b) * (acceptableShare(a) - acceptableShare(b)) <= 1e-12));
    expect([acceptableShare(1 / 28_800), acceptableShare(0)]).toEqual([1, 1]);
    expect(acceptableShare(1)).toBeLessThan(0.001);
  });
  it("endurance falls with the share of strength, rest grows with it and with the time held", () => {
    fc.assert(fc.property(share, share, (a, b) => (a - b) * (enduranceMin(a) - enduranceMin(b)) <= 1e-12));
    fc.assert(fc.property(share, share, (a, b) => (a - b) * (restShare(a, 0.5) - restShare(b, 0.5)) >= -1e-12));
    fc.assert(fc.property(share, duty, duty, (f, a, b) => (a - b) * (restShare(f, a) - restShare(f, b)) >= -1e-12));
  });
  it.each([0.15, 0, 1.01, Number.NaN])("endurance has no figure at a share of %s", (of) => {
    expect(() => enduranceMin(of)).toThrow(RangeError);
  });
});

describe("each threshold, both sides", () => {
  it.each([
    [7.5, "fine"],
    [7.501, "look"],
    [10, "look"],
    [10.001, "change"],
  ])("with one limit of 10, %s is %s", (figure, verdict) => {
    expect(reading(figure, [], 10).verdict).toBe(verdict);
  });
  it.each([
    [2.5, "fine"],
    [2.51, "look"],
    [5, "look"],
    [5.01, "change"],
  ])("a tool of %s m/s² for eight hours is %s", (vibrationMs2, verdict) => {
    expect(said(one({}, { vibration: "some", vibrationMs2 }), "vibration", 8).verdict).toBe(verdict);
  });
  it("hand activity: the action limit is where it is looked at, the limit where it is changed", () => {
    // 20 % at one a second: 60 a minute of 0.2 s.
    const at = (effort: number) => said(one({ perMin: 60, secEach: 0.2, effort }), "handActivity").verdict;
    expect([at(1.9), at(1.92), at(2.96), at(2.98)]).toEqual(["fine", "look", "look", "change"]);
  });
  it("acceptable share: 0.425 of one's strength at a tenth of the time", () => {
    const at = (effort: number) => said(one({ perMin: 6, secEach: 1, effort }), "acceptableShare").verdict;
    expect([at(3.18), at(3.19), at(4.24), at(4.26)]).toEqual(["fine", "look", "look", "change"]);
  });
  it("held efforts: up to 15 % of one's strength nothing is said; an effort held beyond its endurance is to change", () => {
    expect(by(one({ effort: 1.5, perMin: 1, secEach: 55 }), "heldEffort")).toEqual({ silent: "lightEfforts" });
    expect(said(one({ effort: 10, perMin: 0.1, secEach: 5.9 }), "heldEffort").verdict).toBe("look");
    expect(said(one({ effort: 10, perMin: 0.1, secEach: 6.1 }), "heldEffort").verdict).toBe("change");
  });
  it("the shared scale has its joins where the verdicts change, rises all the way and ends below 3", () => {
    const place = (figure: number) => placeOnScale(reading(figure, [], 10));
    expect([place(0), place(7.5), place(10)]).toEqual([0, 1, 2]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e4, noNaN: true }), (figure) => {
        const of = reading(figure, [], 10);
        expect(place(figure)).toBeLessThan(3);
        expect(place(figure)).toBeLessThanOrEqual(place(figure * 1.1 + 0.001));
        expect(verdictAt(place(figure))).toBe(of.verdict);
        expect(VERDICTS).toContain(of.verdict);
      }),
    );
  });
});

describe("what has nothing to say says why", () => {
  it("a hand that does nothing", () => {
    expect(opinionsOfTask(one(), "left", 4).map(({ of }) => of)).toEqual(METHODS.map(() => ({ silent: "noEfforts" })));
  });
  it("a tool that shakes with a figure nobody knows is no measurement", () => {
    expect(by(one({}, { vibration: "strong" }), "vibration")).toEqual({ silent: "notKnown" });
    expect(by(one(), "vibration")).toEqual({ silent: "noVibration" });
  });
  it("what no method sees: side tilt, grip and cold", () => {
    expect(UNSEEN).toEqual(["sideTilt", "gripKind", "cold"]);
  });
});

describe("a shift", () => {
  const light = one({ effort: 1, perMin: 4, secEach: 1 });
  const hard = one({ effort: 6, perMin: 20, secEach: 1.5 }, { vibration: "some", vibrationMs2: 4 });
  const work = {
    tasks: [light, hard],
    days: [
      sampleDay([
        [light, 300],
        [hard, 120],
      ]),
    ],
  };
  const shift = (of: typeof work) => Object.fromEntries(opinionsOfShift(of, of.days[0]!, "right").map((each) => [each.method.id, each.of]));
  it("the strain index and vibration make a figure of it, the others say the task they find hardest", () => {
    const found = shift(work);
    expect(found.strainIndex).toMatchObject({ taskId: null });
    expect(found.vibration).toMatchObject({ taskId: null, figure: expect.closeTo(eightHourVibration(4, 2), 10) as number });
    expect(["handActivity", "acceptableShare", "heldEffort"].map((id) => found[id])).toEqual(
      [1, 2, 3].map(() => expect.objectContaining({ taskId: hard.id }) as object),
    );
  });
  it("two tools add by their energy; minutes an hour it runs count", () => {
    const other = one({}, { vibration: "some", vibrationMs2: 3, runsMinPerHour: 30 });
    const both = {
      tasks: [hard, other],
      days: [
        sampleDay([
          [hard, 120],
          [other, 240],
        ]),
      ],
    };
    expect(shift(both).vibration).toMatchObject({ figure: expect.closeTo(Math.sqrt((16 * 2 + 9 * 2) / 8), 10) as number });
  });
  it("one tool without a figure, and nothing is said of the day", () => {
    const unknown = one({}, { vibration: "some" });
    const both = {
      tasks: [hard, unknown],
      days: [
        sampleDay([
          [hard, 120],
          [unknown, 60],
        ]),
      ],
    };
    expect(shift(both).vibration).toEqual({ silent: "notKnown" });
  });
});

describe("why they differ", () => {
  it("a bent wrist is seen by the strain index alone", () => {
    const bent = one({ effort: 2, perMin: 12, secEach: 1, flexionDeg: 80 });
    expect(said(bent, "strainIndex", 8).verdict).not.toBe("fine");
    expect(said(bent, "handActivity", 8).verdict).toBe("fine");
    expect(whyApart(bent, "right", 8)).toContainEqual({ stricter: "strainIndex", calmer: "handActivity", because: "wristBend" });
  });
  it("half an hour of hard work is much to a method that sees no hours", () => {
    const short = one({ effort: 4, perMin: 24, secEach: 1, flexionDeg: 0 });
    const found = whyApart(short, "right", 0.1).find(({ calmer }) => calmer === "strainIndex");
    expect(found?.because).toBe("hours");
  });
  it("one hard effort among light ones is all hand activity sees", () => {
    const mixed = sampleTask("Task", [
      sampleEffort("light", { effort: 0.5, perMin: 40, secEach: 0.5, flexionDeg: 0 }),
      sampleEffort("hard", { effort: 5, perMin: 0.5, secEach: 1, flexionDeg: 0 }),
    ]);
    const apart = whyApart(mixed, "right", 8);
    expect(apart.map(({ stricter, calmer, because }) => [stricter, calmer, because])).toEqual([
      ["handActivity", "acceptableShare", "peakForce"],
      ["handActivity", "strainIndex", "peakForce"],
      // What is held for a second wants no rest, however hard.
      ["handActivity", "heldEffort", "rest"],
    ]);
  });
  it("a tool that shakes is seen by no other", () => {
    const apart = whyApart(one({ effort: 0.5, perMin: 1, secEach: 0.5 }, { vibration: "strong", vibrationMs2: 12 }), "right", 6);
    expect(apart.every(({ stricter, because }) => stricter === "vibration" && because === "vibration")).toBe(true);
  });
  it("those who agree need no reason", () => {
    expect(whyApart(one({ effort: 0.5, perMin: 1, secEach: 0.5, flexionDeg: 0 }), "right", 1)).toEqual([]);
  });
});

describe("advice of all", () => {
  const anyTask = fc
    .array(
      fc.record({
        effort: fc.integer({ min: 1, max: 20 }).map((half) => half / 2),
        perMin: fc.double({ min: 0.5, max: 20, noNaN: true }),
        secEach: fc.double({ min: 0.2, max: 1.4, noNaN: true }),
        flexionDeg: fc.integer({ min: -70, max: 80 }),
      }),
      { minLength: 1, maxLength: 2 },
    )
    .map((efforts) =>
      sampleTask(
        "Task",
        efforts.map((change, i) => sampleEffort(`effort ${i}`, change)),
      ),
    );
  it("the first change brings the strictest opinion furthest down; each method has its own best; all places are those of the changed task", () => {
    fc.assert(
      fc.property(anyTask, fc.double({ min: 0.5, max: 8, noNaN: true }), (task, hours) => {
        const advice = adviceOfAll(task, "right", hours);
        if (!advice) return;
        const strictest = (places: readonly { after: number }[]) => Math.max(...places.map(({ after }) => after));
        for (const { best, methods } of advice.byMethod) {
          expect(strictest(advice.first.places)).toBeLessThanOrEqual(strictest(best.places) + 0.04);
          const again = new Map(
            opinionsOfTask(best.change.task, "right", best.change.hours).map(({ method, of }) => [
              method.id,
              isReading(of) ? placeOnScale(of) : 0,
            ]),
          );
          for (const { method, after } of best.places) expect(after).toBeCloseTo(again.get(method)!, 10);
          for (const method of methods) {
            const at = best.places.find((place) => place.method === method)!;
            expect(at.after).toBeLessThan(at.before);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
  it("the same work lighter and more often helps held efforts and costs hand activity", () => {
    const task = one({ effort: 8, perMin: 3, secEach: 4, flexionDeg: 0 });
    const lighter = one({ effort: 7, perMin: (3 * 8) / 7, secEach: 4, flexionDeg: 0 });
    expect(said(lighter, "heldEffort").figure).toBeLessThan(said(task, "heldEffort").figure);
    const advice = adviceOfAll(task, "right", 4)!;
    expect(advice.byMethod.flatMap(({ methods }) => methods).length).toBeGreaterThanOrEqual(3);
  });
});
