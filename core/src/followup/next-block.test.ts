import { nextBlock } from ".";

const good = { adherence: 0.9, raised: 0.05, measured: 9, better: 6, worse: 1 };
it.each([
  ["all well", {}, "loadLed", 8, false],
  ["70 % done", { adherence: 0.7 }, "loadLed", 8, false],
  ["under 70 % done", { adherence: 0.699 }, "loadLed", 4, true],
  ["20 % of mornings raised", { raised: 0.2 }, "loadLed", 8, false],
  ["more than 20 %", { raised: 0.201 }, "reliefLed", 4, false],
  ["as many worse as better", { better: 3, worse: 3 }, "loadLed", 8, false],
  ["more worse than better", { better: 2, worse: 3 }, "reliefLed", 4, false],
  ["nobody better", { better: 0, worse: 0 }, "loadLed", 4, false],
  ["nobody measured twice", { measured: 0, better: 0, worse: 0 }, "loadLed", 4, false],
  ["nothing due, nobody answered", { adherence: null, raised: null }, "loadLed", 8, false],
] as const)("%s", (_, change, aim, weeks, shorter) => expect(nextBlock({ ...good, ...change })).toMatchObject({ aim, weeks, shorter }));

it("says why with the figures", () => {
  expect(nextBlock({ ...good, adherence: 0.52, raised: 0.31 }).reasons).toEqual([
    { reason: "tooLittleDone", adherence: 0.52 },
    { reason: "morningsRaised", raised: 0.31 },
    { reason: "goesWell", better: 6, measured: 9 },
  ]);
});
