import { blockReasonText, nextBlock } from ".";

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
  const { reasons } = nextBlock({ ...good, adherence: 0.52, raised: 0.31 });
  expect(reasons.map(blockReasonText)).toEqual([
    "52 % of what was due was done, under 70 %: make the sessions shorter first.",
    "31 % of the mornings were above the usual level, over 20 %: relief first.",
    "6 of 9 people measured better beyond noise: go on with load.",
  ]);
});
