import { emptyRecord } from "@kind-grip/core/baseline";
import { usualTest } from "./usual-test";

it.each([
  ["Upholstery", "stapleLever"],
  ["Massage therapy", "pressThumb"],
  ["Oyster shucking", "wringTowel"],
  ["Slate roofing", "holdTool"],
  ["Watchmaking", "twistLid"],
] as const)("%s begins with %s", (trade, test) => {
  expect(usualTest(trade, [])).toBe(test);
});
it("a round keeps to the test it began with", () => {
  const record = { ...emptyRecord(), functionTest: { test: "turnKey" as const, left: null, right: null } };
  expect(usualTest("Upholstery", [{ record: emptyRecord() }, { record }])).toBe("turnKey");
});
