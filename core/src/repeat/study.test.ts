/** People measured twice: the noise that went in comes out, and a change that counts is rare where nothing changed. */
import { countsFrom, differs, emptyRecord, LEAST_PEOPLE, type BaselineRecord } from "../baseline";
import { chance } from "../observe/workers.sample";
import { noiseFound, repeatStudy, type Twice } from ".";

const normalFrom = (random: () => number) => () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

interface Values {
  flexion?: number;
  grip?: number;
  effort?: number;
  test?: BaselineRecord["functionTest"]["test"];
}
function record({ flexion, grip, effort, test = "twistLid" }: Values): BaselineRecord {
  const made = structuredClone(emptyRecord());
  made.range.wristFlexion.right.active = flexion ?? null;
  if (grip !== undefined) made.grip.right = [1, 2, 3].map(() => ({ kg: grip, faults: [], from: "typed" }));
  if (effort !== undefined) made.functionTest = { test, left: null, right: effort };
  return made;
}
const twice = (i: number, first: Values, second: Values, secondOn = "2026-03-09"): Twice => ({
  personId: `person ${i}`,
  first: record(first),
  second: record(second),
  firstOn: "2026-03-02",
  secondOn,
});
const people = <T>(count: number, of: (i: number) => T) => Array.from({ length: count }, (_, i) => of(i));

it("by hand: ten people 4° apart, half up and half down", () => {
  // √(10 · 16 / 20) = 2.828; 2.772 times it is 7.84, so a change counts from 8°.
  const study = repeatStudy(people(10, (i) => twice(i, { flexion: 60 }, { flexion: i % 2 ? 64 : 56 })));
  expect(study).toMatchObject([{ measure: "wristFlexion", people: 10, shift: 0, isShifted: false }]);
  expect(study[0]!.own).toEqual({
    people: 10,
    standardError: expect.closeTo(2.8284, 4),
    low: expect.closeTo(2.8284 * Math.sqrt(10 / 20.483), 3),
    high: expect.closeTo(2.8284 * Math.sqrt(10 / 3.247), 3),
    countsFrom: 8,
    countsFromShare: 0,
    firstOn: "2026-03-02",
    lastOn: "2026-03-09",
  });
});

it("nine people are not enough, ten are; what is enough can be used", () => {
  const study = (count: number) => repeatStudy(people(count, (i) => twice(i, { flexion: 60 }, { flexion: 62 })));
  expect(study(LEAST_PEOPLE - 1)[0]).toMatchObject({ people: 9 });
  expect(study(LEAST_PEOPLE - 1)[0]!.own).toBeUndefined();
  expect(noiseFound(study(LEAST_PEOPLE - 1))).toEqual({});
  expect(Object.keys(noiseFound(study(LEAST_PEOPLE)))).toEqual(["wristFlexion"]);
});

it("the two hands of five people are five people", () => {
  const both = people(5, (i) => twice(i, { flexion: 60 }, { flexion: 62 }));
  for (const { first, second } of both) [first, second].forEach((each) => (each.range.wristFlexion.left.active = 70));
  expect(repeatStudy(both)[0]).toMatchObject({ people: 5 });
  expect(repeatStudy(both)[0]!.values).toHaveLength(10);
});

it("sittings on one day, and five weeks apart, are left out", () => {
  expect(
    repeatStudy([twice(1, { flexion: 60 }, { flexion: 64 }, "2026-03-02"), twice(2, { flexion: 60 }, { flexion: 64 }, "2026-04-06")]),
  ).toEqual([]);
});

it("nothing is less than a step of its reading: people who read the same twice do not make every degree count", () => {
  const own = noiseFound(
    repeatStudy(people(10, (i) => twice(i, { flexion: 60, grip: 30, effort: 4 }, { flexion: 60, grip: 30, effort: 4 }))),
  );
  expect([countsFrom(own, "wristFlexion", 60), countsFrom(own, "grip", 30), countsFrom(own, "function", 4)]).toEqual([1, 0.1, 1]);
});

it("different tests of the trade are not the same test twice", () => {
  expect(repeatStudy([twice(1, { effort: 4 }, { effort: 5, test: "turnKey" })])).toEqual([]);
});

it("that everybody reads higher the second time is said, and is part of the noise", () => {
  const [learned] = repeatStudy(people(12, (i) => twice(i, { flexion: 60 }, { flexion: 65 + (i % 3) })));
  expect(learned).toMatchObject({ shift: 6, isShifted: true });
  expect(learned!.own!.standardError).toBeGreaterThan(4);
  const [even] = repeatStudy(people(12, (i) => twice(i, { flexion: 60 }, { flexion: i % 2 ? 66 : 54 })));
  expect(even!.isShifted).toBe(false);
});

it("the noise that went in comes out: 300 practices of ten people hold the truth in their interval 95 times of 100", () => {
  const normal = normalFrom(chance(7));
  const studies = people(300, () =>
    repeatStudy(
      people(10, (i) => {
        const truth = 55 + 8 * normal();
        return twice(i, { flexion: truth + 3 * normal() }, { flexion: truth + 3 * normal() });
      }),
    ),
  ).map(([flexion]) => flexion!.own!);
  const holds = studies.filter(({ low, high }) => low <= 3 && high >= 3).length / studies.length;
  expect(holds).toBeGreaterThan(0.92);
  expect(holds).toBeLessThan(0.98);
  expect(Math.sqrt(studies.reduce((sum, { standardError }) => sum + standardError ** 2, 0) / studies.length)).toBeCloseTo(3, 1);
});

it("of 2,000 unchanged people one in twenty or fewer counts as changed, weak and strong hands alike", () => {
  const normal = normalFrom(chance(11));
  // Noise of a grip grows with it: 7 % of it, and at least 1 kg.
  const read = (truth: number) => truth + Math.max(1, 0.07 * truth) * normal();
  const noise = noiseFound(
    repeatStudy(people(40, (i) => ((truth) => twice(i, { grip: read(truth) }, { grip: read(truth) }))(15 + (i % 8) * 6))),
  );
  for (const truth of [15, 35, 57]) {
    const changed = people(2000, () => differs(noise, "grip", read(truth), read(truth))).filter(Boolean).length / 2000;
    expect([truth, changed <= 0.07]).toEqual([truth, true]);
  }
});
