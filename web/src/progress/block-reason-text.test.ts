import { blockReasonText } from "./block-reason-text";

it.each([
  [{ reason: "tooLittleDone", adherence: 0.52 }, "52 % of what was due was done, under 70 %: make the sessions shorter first."],
  [{ reason: "morningsRaised", raised: 0.31 }, "31 % of the mornings were above the usual level, over 20 %: relief first."],
  [{ reason: "goesWell", better: 6, measured: 9 }, "6 of 9 people measured better beyond noise: go on with load."],
] as const)("%j is told with its figures", (reason, expected) => expect(blockReasonText(reason)).toBe(expected));
