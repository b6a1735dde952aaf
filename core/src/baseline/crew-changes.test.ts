import { crewChanges, emptyRecord, FUNCTION_CHANGE, ROUND_CHANGE_DEG, USUAL_NOISE, type BaselineRecord } from ".";

const record = (change: { flexion?: number | null; grip?: number | null; test?: number | null }): BaselineRecord => {
  const made = structuredClone(emptyRecord());
  made.range.wristFlexion.left.active = change.flexion ?? null;
  if (change.grip) made.grip.right = [1, 2, 3].map(() => ({ ...SAMPLE_TRIAL, kg: change.grip! }));
  made.functionTest = { ...made.functionTest, test: "twistLid", left: change.test ?? null, right: null };
  return made;
};
const SAMPLE_TRIAL = { source: "typed" } as unknown as BaselineRecord["grip"]["right"][number];
const pair = (personId: string, before: Parameters<typeof record>[0], after: Parameters<typeof record>[0]) => ({
  personId,
  before: record(before),
  after: record(after),
});

it("nobody in both rounds is no change of anything", () => {
  expect(crewChanges([], USUAL_NOISE)).toEqual([]);
  expect(crewChanges([pair("a", { flexion: 50 }, {})], USUAL_NOISE)).toEqual([]);
});

it("each person is a mark, by what they had before, with the middle before and after and how many changed beyond noise", () => {
  const [flexion, ...rest] = crewChanges(
    [
      pair("up", { flexion: 60 }, { flexion: 60 + ROUND_CHANGE_DEG }),
      pair("noise", { flexion: 40 }, { flexion: 40 + ROUND_CHANGE_DEG - 1 }),
      pair("down", { flexion: 70 }, { flexion: 70 - ROUND_CHANGE_DEG }),
      pair("once", { flexion: 80 }, {}),
    ],
    USUAL_NOISE,
  );
  expect(rest).toEqual([]);
  expect(flexion).toEqual({
    measure: "wristFlexion",
    side: "left",
    people: [
      { personId: "noise", before: 40, after: 49, verdict: "noise" },
      { personId: "up", before: 60, after: 70, verdict: "better" },
      { personId: "down", before: 70, after: 60, verdict: "worse" },
    ],
    countsFrom: ROUND_CHANGE_DEG,
    medianBefore: 60,
    medianAfter: 60,
    better: 1,
    worse: 1,
    noise: 1,
  });
});

it("measures stand in the order of a round, whoever has them; less effort in a test is better", () => {
  const changes = crewChanges(
    [pair("a", { test: 6 }, { test: 6 - FUNCTION_CHANGE }), pair("b", { grip: 30, flexion: 50 }, { grip: 40, flexion: 50 })],
    USUAL_NOISE,
  );
  expect(changes.map(({ measure, side }) => `${measure} ${side}`)).toEqual(["wristFlexion left", "grip right", "function left"]);
  expect(changes.map(({ better, noise }) => [better, noise])).toEqual([
    [0, 1],
    [1, 0],
    [1, 0],
  ]);
});
