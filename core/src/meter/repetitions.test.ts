import { chance } from "../observe/workers.sample";
import type { Reading } from "./grip-trial";
import { againstDose, countedItems, paceOf, type CountedBout } from "./counted";
import { LEAST_TURN_DEG, repetitionsIn, type Repetition } from "./repetitions";
import { outwardFrom, turnedBy, type UpVector } from "./tilt";

interface Course {
  reps: number;
  outSec: number;
  heldSec: number;
  backSec: number;
  restedSec: number;
  turnDeg: number;
  /** Standard deviation of one reading, degrees. */
  noise?: number;
  /** Degrees to each side, four times a second. */
  tremor?: number;
  /** Spread of every length as a share of it. */
  spread?: number;
  perSec?: number;
  lost?: number;
}

/** Slow at both ends, as an arm moves (Flash and Hogan 1985). */
const smooth = (share: number) => share ** 3 * (10 - 15 * share + 6 * share ** 2);

/** What is read of somebody, and what was true of each repetition. */
function course(of: Course, random: () => number): { readings: Reading[]; truth: Repetition[] } {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const varied = (sec: number) => Math.max(0, sec * (1 + (of.spread ?? 0) * normal()));
  const truth = Array.from({ length: of.reps }, () => ({
    restedSec: varied(of.restedSec),
    outSec: varied(of.outSec),
    heldSec: varied(of.heldSec),
    backSec: varied(of.backSec),
  }));
  const readings: Reading[] = [];
  const perSec = of.perSec ?? 20;
  const totalSec = truth.reduce((sum, rep) => sum + rep.restedSec + rep.outSec + rep.heldSec + rep.backSec, 1);
  for (let i = 0; i < totalSec * perSec; i++) {
    const atSec = i / perSec;
    if (random() < (of.lost ?? 0)) continue;
    const value = of.turnDeg * placeAt(truth, atSec) + (of.tremor ?? 0) * Math.sin(8 * Math.PI * atSec) + (of.noise ?? 0) * normal();
    readings.push({ atMs: atSec * 1000, value });
  }
  return { readings, truth };
}

function placeAt(truth: readonly Repetition[], atSec: number): number {
  let left = atSec;
  for (const { restedSec, outSec, heldSec, backSec } of truth) {
    if (left < restedSec) return 0;
    left -= restedSec;
    if (left < outSec) return smooth(left / outSec);
    left -= outSec;
    if (left < heldSec) return 1;
    left -= heldSec;
    if (left < backSec) return 1 - smooth(left / backSec);
    left -= backSec;
  }
  return 0;
}

const WRIST: Course = { reps: 10, outSec: 2, heldSec: 1, backSec: 2, restedSec: 1, turnDeg: 60 };
const meanOf = (list: readonly Repetition[], part: keyof Repetition) => list.reduce((sum, each) => sum + each[part], 0) / list.length;

test("counts what was done, with the seconds of each way", () => {
  const found = repetitionsIn(course({ ...WRIST, noise: 0.3 }, chance(1)).readings);
  expect(found).toHaveLength(10);
  // The slow beginning and end of a way, under a tenth of its peak speed, are told with the stay.
  expect(meanOf(found, "outSec")).toBeCloseTo(1.8, 0);
  expect(meanOf(found, "backSec")).toBeCloseTo(1.8, 0);
  expect(meanOf(found, "heldSec")).toBeCloseTo(1.2, 0);
  expect(paceOf(found)!.wholeSec).toBeCloseTo(6, 1);
});

test("a turn under the least is no repetition, one at it is", () => {
  expect(repetitionsIn(course({ ...WRIST, turnDeg: LEAST_TURN_DEG - 0.5 }, chance(1)).readings)).toHaveLength(0);
  expect(repetitionsIn(course({ ...WRIST, turnDeg: LEAST_TURN_DEG + 0.5 }, chance(1)).readings)).toHaveLength(10);
});

test("half of a way counts, a quarter does not", () => {
  const full = course({ ...WRIST, reps: 3 }, chance(1)).readings;
  const then = (turnDeg: number) => {
    const more = course({ ...WRIST, reps: 1, turnDeg }, chance(1)).readings;
    const fromMs = full.at(-1)!.atMs + 50;
    return repetitionsIn([...full, ...more.map(({ atMs, value }) => ({ atMs: atMs + fromMs, value }))]).length;
  };
  expect(then(30)).toBe(4);
  expect(then(20)).toBe(3);
});

test("nothing, a still hand and a single reading hold no repetition", () => {
  expect(repetitionsIn([])).toEqual([]);
  expect(repetitionsIn([{ atMs: 0, value: 50 }])).toEqual([]);
  const random = chance(5);
  expect(repetitionsIn(Array.from({ length: 400 }, (_, i) => ({ atMs: i * 50, value: 3 * random() })))).toEqual([]);
});

test("what has gone out and not come back is not counted yet", () => {
  const { readings } = course({ ...WRIST, reps: 2 }, chance(1));
  const upTo = (sec: number) => repetitionsIn(readings.filter(({ atMs }) => atMs <= sec * 1000)).length;
  expect(upTo(4)).toBe(0);
  expect(upTo(6)).toBe(1);
});

test("a bout that goes the other way, or begins past its start, is counted alike", () => {
  const { readings } = course(WRIST, chance(1));
  expect(repetitionsIn(readings.map(({ atMs, value }) => ({ atMs, value: -value })))).toEqual(repetitionsIn(readings));
  expect(repetitionsIn(readings.map(({ atMs, value }) => ({ atMs, value: value + 23 })))).toEqual(repetitionsIn(readings));
});

test("a hand that stops half way has not arrived", () => {
  const paused = [0, 1].flatMap((half) => {
    const from = half * 3000;
    return Array.from({ length: 60 }, (_, i) => ({ atMs: from + i * 50, value: 30 * half + 30 * smooth(Math.min(1, i / 20)) }));
  });
  const back = Array.from({ length: 60 }, (_, i) => ({ atMs: 6000 + i * 50, value: 60 * (1 - smooth(Math.min(1, i / 40))) }));
  const [only, ...more] = repetitionsIn([...paused, ...back]);
  expect(more).toEqual([]);
  expect(only!.outSec).toBeGreaterThan(3.5);
});

describe("simulated people", () => {
  const random = chance(19);
  const all = Array.from({ length: 400 }, () => {
    const of: Course = {
      reps: 3 + Math.floor(random() * 15),
      outSec: 0.8 + random() * 3,
      heldSec: random() * 5,
      backSec: 0.8 + random() * 3,
      restedSec: random() * 2,
      turnDeg: 25 + random() * 130,
      noise: random(),
      tremor: random() * 2,
      spread: random() * 0.2,
      perSec: 20 + random() * 40,
      lost: random() * 0.1,
    };
    const { readings, truth } = course(of, random);
    return { of, truth, found: repetitionsIn(readings) };
  });

  test("are counted as they were", () => {
    const right = all.filter(({ of, found }) => found.length === of.reps);
    expect(right.length / all.length).toBeGreaterThanOrEqual(0.99);
  });

  test("each way is told within a quarter of it and a third of a second, 19 times of 20", () => {
    const near = all.flatMap(({ truth, found }) =>
      truth.length !== found.length
        ? []
        : (["outSec", "backSec"] as const).map((part) => {
            const is = meanOf(truth, part);
            return Math.abs(meanOf(found, part) - is) <= 0.25 * is + 0.33;
          }),
    );
    expect(near.filter(Boolean).length / near.length).toBeGreaterThanOrEqual(0.95);
  });

  test("a whole repetition is told within a tenth of a second on average", () => {
    const off = all.flatMap(({ truth, found }) => {
      if (truth.length !== found.length) return [];
      const is = truth.slice(0, -1).reduce((sum, rep, i) => sum + rep.outSec + rep.heldSec + rep.backSec + truth[i + 1]!.restedSec, 0);
      return [Math.abs(paceOf(found)!.wholeSec! - is / (truth.length - 1))];
    });
    expect(off.reduce((sum, each) => sum + each, 0) / off.length).toBeLessThan(0.1);
  });
});

const steady = (lengths: readonly number[]): Repetition[] =>
  lengths.map((length) => ({ restedSec: 0, outSec: length / 2, heldSec: 0, backSec: length / 2 }));

describe("the pace", () => {
  test("of none is none, of one has no whole", () => {
    expect(paceOf([])).toBeUndefined();
    expect(paceOf(steady([4]))).toEqual({ count: 1, outSec: 2, heldSec: 0, backSec: 2, wholeSec: null, drift: null });
  });
  test("drifts where the line changes by 15 in a hundred, from five on", () => {
    // The last has no next one to begin, so its whole is not known.
    expect(paceOf(steady([6, 5.7, 5.4, 5.1, 4.8, 4.5]))!.drift!.fromSec).toBeCloseTo(6);
    expect(paceOf(steady([6, 5.7, 5.4, 5.1, 4.8, 4.5]))!.drift!.toSec).toBeCloseTo(4.8);
    expect(paceOf(steady([6, 5, 4, 3]))!.drift).toBeNull();
    expect(paceOf(steady([6, 5, 4, 3, 2]))!.drift).not.toBeNull();
  });
  test("does not drift by less than 15 in a hundred, nor where it scatters", () => {
    expect(paceOf(steady([10.7, 10.35, 10, 9.65, 9.3, 9]))!.drift).toBeNull();
    expect(paceOf(steady([10.8, 10.4, 10, 9.6, 9.2, 9]))!.drift).not.toBeNull();
    expect(paceOf(steady([6, 3, 7, 2, 5, 4]))!.drift).toBeNull();
  });
  test("a steady hand is told to drift at most once in twelve", () => {
    const random = chance(7);
    const told = Array.from({ length: 1000 }, () => {
      const lengths = Array.from({ length: 11 }, () => 5 * (1 + 0.25 * (random() + random() + random() - 1.5)));
      return paceOf(steady(lengths))!.drift !== null;
    });
    expect(told.filter(Boolean).length).toBeLessThan(1000 / 12);
  });
  test.each([
    [5.1, 6, "quicker"],
    [5.2, 6, "asAsked"],
    [6.8, 6, "asAsked"],
    [6.9, 6, "slower"],
  ] as const)("%s s where %s s are asked is %s", (isSec, dueSec, expected) => {
    expect(againstDose(isSec, dueSec)).toBe(expected);
  });
});

describe("bouts of one item", () => {
  const bout = (change: Partial<CountedBout>): CountedBout => ({
    itemId: "00000000-0000-7000-8000-000000000001",
    side: "left",
    of: "repetitions",
    set: 1,
    due: 3,
    dueSec: 4,
    repetitions: steady([4, 4, 4]),
    ...change,
  });
  test("are added up by side; the rest between them is in no pace", () => {
    const second = steady([5, 5, 5]).map((each, i) => (i === 0 ? { ...each, restedSec: 40 } : each));
    const items = countedItems([bout({ set: 2, repetitions: second }), bout({}), bout({ side: "right", repetitions: [] })]);
    expect(items).toMatchObject([
      { side: "left", count: 6, due: 6, dueSec: 4 },
      { side: "right", count: 0, due: 3, pace: undefined },
    ]);
    expect(items[0]!.pace!.wholeSec).toBeCloseTo(4.5);
  });
  test("of holds tell each hold", () => {
    const held = (sec: number) => [{ restedSec: 0, outSec: 1, heldSec: sec, backSec: 1 }];
    const [item] = countedItems([1, 2].map((set) => bout({ of: "holds", set, due: 1, dueSec: 20, repetitions: held(18 + set) })));
    expect(item).toMatchObject({ count: 2, due: 2, holdsSec: [19, 20], pace: { wholeSec: null }, short: 0 });
    const short = (sec: number) => countedItems([bout({ of: "holds", due: 1, dueSec: 20, repetitions: held(sec) })])[0]!.short;
    expect([short(16), short(16.1)]).toEqual([1, 0]);
  });
});

describe("turned in a plane", () => {
  const up = (deg: number): UpVector => [0, Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)];
  test("shows its way from ten degrees on", () => {
    expect(outwardFrom(up(0), up(9.9))).toBeUndefined();
    expect(outwardFrom(up(0), up(10.1))).toBeDefined();
  });
  test("is told with its sign and past half a turn", () => {
    const outward = outwardFrom(up(0), up(20))!;
    let before = 0;
    for (const deg of [20, 90, 150, 200, 260, 150, 60, -30, -120]) {
      before = turnedBy(up(0), outward, up(deg), before);
      expect(before).toBeCloseTo(deg, 5);
    }
  });
});
