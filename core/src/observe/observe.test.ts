import fc from "fast-check";
import * as v from "valibot";
import {
  effortsFromPresses,
  ENOUGH_EVERY_SEC,
  enoughSeen,
  equalPosture,
  isEnough,
  LEAST_WATCHED,
  Observation,
  observedTask,
  packPresses,
  pooled,
  postureShares,
  rhythmOf,
  seenBy,
  t95,
  unpackPresses,
  withObserved,
  type Press,
} from ".";
import { postureMultiplier, workProblems } from "../strain";
import { sampleDay, sampleEffort, sampleTask } from "../strain/sample";
import { chance, presses, truth, watchUntilEnough, WORKERS } from "./workers.sample";

const press = (startMs: number, endMs: number): Press => ({ startMs, endMs });
const steady = (perMin: number, sec: number, minutes = 5): Press[] =>
  Array.from({ length: perMin * minutes }, (_, i) => press((i * 60_000) / perMin, (i * 60_000) / perMin + sec * 1000));

describe("presses become efforts", () => {
  it("a finger that slips is one effort, two presses 50 ms apart are two", () => {
    expect(effortsFromPresses([press(0, 400), press(449, 900)]).efforts).toEqual([press(0, 900)]);
    expect(effortsFromPresses([press(0, 400), press(450, 900)]).efforts).toHaveLength(2);
  });
  it("a touch of 29 ms is nothing, one of 30 ms an effort", () => {
    expect(effortsFromPresses([press(0, 29), press(1000, 1030)]).efforts).toEqual([press(1000, 1030)]);
  });
  it("a press that began before the last was over ends the last", () => {
    expect(effortsFromPresses([press(0, 900), press(500, 1200)]).efforts).toEqual([press(0, 500), press(500, 1200)]);
  });
  it("what was not let go of has the usual length, and is said", () => {
    const usual = Array.from({ length: 9 }, (_, i) => press(i * 2000, i * 2000 + 1000));
    expect(effortsFromPresses([...usual, press(30_000, 50_001)])).toEqual({
      efforts: [...usual, press(30_000, 31_000)],
      forgotten: 1,
    });
    expect(effortsFromPresses([...usual, press(30_000, 50_000)]).forgotten).toBe(0);
  });
  it("long efforts are long when all are", () => {
    const long = Array.from({ length: 5 }, (_, i) => press(i * 60_000, i * 60_000 + 30_000));
    expect(effortsFromPresses(long).forgotten).toBe(0);
  });
  it("in any order, whatever was pressed: efforts in order that never overlap", () => {
    const any = fc.array(fc.tuple(fc.nat(60_000), fc.integer({ min: 1, max: 30_000 })), { maxLength: 60 });
    fc.assert(
      fc.property(any, (list) => {
        const made = list.map(([start, length]) => press(start, start + length));
        const { efforts } = effortsFromPresses(made);
        expect(effortsFromPresses([...made].reverse()).efforts.length).toBe(efforts.length);
        efforts.forEach(({ startMs, endMs }, i) => {
          expect(endMs).toBeGreaterThan(startMs);
          expect(endMs).toBeLessThanOrEqual(efforts[i + 1]?.startMs ?? Infinity);
        });
      }),
    );
  });
  it("are packed and unpacked to the millisecond", () => {
    const list = [press(0, 431), press(1000, 1001)];
    expect(unpackPresses(packPresses(list))).toEqual(list);
  });
});

describe("the error of what was counted", () => {
  it("says the figures of steady work, with a small error", () => {
    const rhythm = rhythmOf(steady(20, 1), 300_000)!;
    expect(rhythm).toMatchObject({ efforts: 100, seconds: 300 });
    expect([rhythm.perMin.value, rhythm.secEach.value, rhythm.duty.value]).toEqual([20, 1, expect.closeTo(1 / 3, 10)]);
    expect(rhythm.perMin.error).toBeLessThan(1);
    expect(rhythm.secEach.error).toBeCloseTo(0, 6);
  });
  it("has nothing to say of one effort or of less than 24 s", () => {
    expect(rhythmOf([press(0, 500)], 60_000)).toBeNull();
    expect(rhythmOf(steady(60, 0.5, 1), 23_999)).toBeNull();
    expect(rhythmOf(steady(60, 0.5, 1).slice(0, 24), 24_000)).not.toBeNull();
  });
  it("bursts err more than the same count spread out", () => {
    const burst = Array.from({ length: 5 }, (_, minute) =>
      steady(60, 0.5, 1)
        .slice(0, 20)
        .map(({ startMs, endMs }) => press(startMs + minute * 60_000, endMs + minute * 60_000)),
    ).flat();
    const even = rhythmOf(steady(20, 0.5), 300_000)!;
    expect(rhythmOf(burst, 300_000)!.perMin.value).toBeCloseTo(even.perMin.value, 6);
    expect(rhythmOf(burst, 300_000)!.perMin.error).toBeGreaterThan(3 * even.perMin.error);
  });
  it("whoever saw a pause or two cannot know how often they come: all of the rate may be wrong", () => {
    const paused = [...steady(30, 0.5, 2), ...steady(30, 0.5, 2).map(({ startMs, endMs }) => press(startMs + 180_000, endMs + 180_000))];
    const rhythm = rhythmOf(paused, 300_000)!;
    expect(rhythm.perMin.error).toBeCloseTo(rhythm.perMin.value, 6);
  });
  it.each([
    [1, 12.706],
    [5, 2.571],
    [11, 2.228],
    [1000, 1.98],
  ])("Student's t at %s degrees of freedom is %s", (freedom, value) => expect(t95(freedom)).toBe(value));
});

describe("what is said is true when the screen says that it is enough", () => {
  // The long form, with a thousand each, is part of the bench.
  it.each(Object.keys(WORKERS))("of 150 simulated hands that work %s, at least 90 %%", (kind) => {
    const told = watchUntilEnough(WORKERS[kind]!, 150);
    expect(told.enough).toBeGreaterThan(110);
    expect(told.rateRight / told.enough).toBeGreaterThanOrEqual(0.9);
    expect(told.secondsRight / told.enough).toBeGreaterThanOrEqual(0.9);
  });
  it("a simulated hand works as it says it does", () => {
    for (const make of Object.values(WORKERS)) {
      const worker = make(chance(5));
      const all = presses(worker, chance(9), 400 * 3_600_000);
      expect(all.length / (400 * 60)).toBeCloseTo(truth(worker).perMin, 0);
      expect(
        Math.abs(all.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0) / all.length / 1000 / worker.secEach - 1),
      ).toBeLessThan(0.02);
    }
  });
});

describe("enough", () => {
  const effort = sampleEffort("cut", { effort: 3, flexionDeg: 0 });
  const task = sampleTask("Cutting", [effort]);
  const seen = (perMin: number, sec: number, minutes: number) => {
    const efforts = steady(perMin, sec, minutes);
    return [
      { side: "right" as const, effortId: effort.id, efforts, forgotten: 0, postures: [], rhythm: rhythmOf(efforts, minutes * 60_000) },
    ];
  };
  it(`not before ${LEAST_WATCHED.seconds} s and ${LEAST_WATCHED.efforts} efforts`, () => {
    expect(enoughSeen(task, 4, seen(40, 1, 2.9))).toBe("tooShort");
    expect(enoughSeen(task, 4, seen(40, 1, 3))).toBe("verdictIsSettled");
    expect(enoughSeen(task, 4, seen(6, 1, 3))).toBe("tooShort");
    expect(enoughSeen(task, 4, [])).not.toBe("stillOpen");
    expect(ENOUGH_EVERY_SEC).toBe(15);
  });
  it("one look may be luck; two that say the same are enough", () => {
    expect([
      isEnough("tooShort", "verdictIsSettled"),
      isEnough("fineEnough", "verdictIsSettled"),
      isEnough("stillOpen", "stillOpen"),
    ]).toEqual([false, false, false]);
    expect([isEnough("verdictIsSettled", "verdictIsSettled"), isEnough("fineEnough", "fineEnough")]).toEqual([true, true]);
  });
  it("close to the threshold it stays open until the figure is fine", () => {
    // 10.15 a minute of 2 s at 3 of 10 for 4 h lie at 8; the wrist at 20° brings it near 10.
    const near = { ...task, efforts: [{ ...effort, flexionDeg: 21 }] };
    const [rough] = seen(10, 2, 3);
    const open = {
      ...rough!,
      rhythm: { ...rough!.rhythm!, efforts: 30, perMin: { value: 10, error: 2 }, secEach: { value: 2, error: 0.01 } },
    };
    expect(enoughSeen(near, 4, [open])).toBe("stillOpen");
    expect(enoughSeen(near, 4, [{ ...open, rhythm: { ...open.rhythm, perMin: { value: 10.2, error: 0.5 } } }])).toBe("fineEnough");
  });
});

describe("postures", () => {
  it("are counted by the nearest that can be tapped", () => {
    expect(postureShares([0, 0, 25, -47])).toEqual([0.25, 0, 0.5, 0.25, 0]);
    expect(postureShares([])).toEqual([0, 0, 0, 0, 0]);
  });
  it("the one posture strains as much as all of them on average, to the side that adds more", () => {
    expect(equalPosture([])).toBeNull();
    expect(equalPosture([50, 50])).toBe(50);
    expect(equalPosture([-50, -50, -50])).toBe(-50);
    expect(equalPosture([0, -25, 0])).toBe(-8);
    const mixed = equalPosture([50, 0, 0, 0])!;
    expect(postureMultiplier(mixed)).toBeCloseTo((postureMultiplier(50) + 3) / 4, 2);
  });
});

describe("the figures of a task", () => {
  const effort = sampleEffort("cut", { perMin: 10, secEach: 2 });
  const task = sampleTask("Cutting", [effort, sampleEffort("hold", { hands: "left" })]);
  const crewId = task.id;
  const observation = (perMin: number, sec: number, change: Partial<Observation> = {}): Observation => ({
    id: effort.id,
    crewId,
    taskId: task.id,
    personId: null,
    startedAt: "2026-03-12T09:00:00Z",
    from: "line",
    lengthMs: 300_000,
    hands: [{ side: "right", effortId: effort.id, presses: packPresses(steady(perMin, sec)), postures: [{ atMs: 5, flexionDeg: 50 }] }],
    ...change,
  });
  const dateOf = (at: string) => at.slice(0, 10);

  it("are those of what was seen, beside what was said; the other effort keeps its own", () => {
    const [cut, hold] = observedTask(task, [observation(20, 1)], dateOf).efforts;
    expect(cut).toMatchObject({
      perMin: 20,
      secEach: 1,
      flexionDeg: 50,
      observed: { on: "2026-03-12", observations: 1, efforts: 100, said: { perMin: 10, secEach: 2, flexionDeg: 20 } },
    });
    expect(hold).toEqual(task.efforts[1]);
  });
  it("of several: longer ones weigh more, people who differ make the error", () => {
    const both = [observation(20, 1), observation(30, 1, { id: task.id })];
    const [cut] = observedTask(task, both, dateOf).efforts;
    expect(cut).toMatchObject({ perMin: 25, observed: { observations: 2, efforts: 250 } });
    expect(cut!.observed!.perMinError).toBeGreaterThan(1);
    expect(pooled("right", both.flatMap(seenBy))!.perMin.value).toBeCloseTo(25, 10);
    expect(pooled("left", [])).toBeNull();
  });
  it("without any left, what was said is there again", () => {
    const seen = observedTask(task, [observation(20, 1)], dateOf);
    expect(observedTask(seen, [], dateOf)).toEqual(task);
    expect(observedTask(seen, [observation(20, 1)], dateOf)).toEqual(seen);
  });
  it("of an effort of each hand, the hand that works more of the time speaks for both", () => {
    const each = sampleTask("Both", [sampleEffort("press", { hands: "both" })]);
    const hands = (["left", "right"] as const).map((side) => ({
      side,
      effortId: each.efforts[0]!.id,
      presses: packPresses(steady(side === "left" ? 12 : 24, 1)),
      postures: [],
    }));
    expect(observedTask(each, [observation(1, 1, { taskId: each.id, hands })], dateOf).efforts[0]).toMatchObject({
      perMin: 24,
      flexionDeg: 20,
    });
  });
  it("never contradict themselves, however they are rounded", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.double({ min: 0.5, max: 1, noNaN: true }), (perMin, busy) => {
        const work = { tasks: [task], days: [sampleDay([[task, 60]])] };
        const seen = withObserved(work, task.id, [observation(perMin, (busy * 60) / perMin)], dateOf);
        expect(workProblems(seen, null)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
  it.each([
    ["a press without its end", { presses: [1] }],
    ["a posture no wrist takes", { postures: [{ atMs: 0, flexionDeg: 90 }] }],
    ["half a millisecond", { presses: [0.5, 1] }],
  ])("%s is no observation", (_, change) => {
    const good = observation(20, 1);
    expect(v.is(Observation, good)).toBe(true);
    expect(v.is(Observation, { ...good, hands: [{ ...good.hands[0], ...change }] })).toBe(false);
  });
  it("one hand twice is none either", () => {
    const { hands } = observation(20, 1);
    expect(v.is(Observation, observation(20, 1, { hands: [...hands, ...hands] }))).toBe(false);
  });
});
