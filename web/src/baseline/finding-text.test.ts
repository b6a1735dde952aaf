import { BaselineRecord, changesBetween, findingsOf, USUAL_NOISE, type Finding } from "@kind-grip/core/baseline";
import * as v from "valibot";
import { changeText, findingText } from "./finding-text";

const trials = (list: readonly number[]) => list.map((kg) => ({ kg, faults: [], from: "typed" as const }));
const withGrip = (left: readonly number[], right: readonly number[]) =>
  v.parse(BaselineRecord, { grip: { left: trials(left), right: trials(right) } });
type Angles = readonly [active: number, assisted: number | null];
const withRange = (left: Angles, right: Angles) => {
  const side = ([active, assisted]: Angles) => ({ active, assisted });
  return v.parse(BaselineRecord, { range: { wristExtension: { left: side(left), right: side(right) } } });
};

describe("findings in words", () => {
  const text = (finding: Finding) => findingText(finding, (region) => region);
  it("carry their figures", () => {
    expect(findingsOf(withRange([52, 70], [66, null]), null, USUAL_NOISE).map(text)).toEqual([
      "Left: wrist bends back 52° of 70°, 18° short.",
      "Left: wrist bends back 52°, the other hand 66°: 14° less.",
      "Left: wrist bends back 52° alone and 70° with help: range without strength.",
    ]);
    expect(findingsOf(withGrip([26, 26, 26], [40, 40, 40]), null, USUAL_NOISE).map(text)).toEqual([
      "Left grip 26.0 kg, the other 40.0 kg: 14.0 kg less than that lets expect; it counts from 8.0 kg.",
    ]);
    expect(findingsOf(withGrip([38, 38, 38], [40, 40, 40]), null, USUAL_NOISE).map(text)).toEqual([
      "Grip left 38.0 kg, right 40.0 kg: too close to tell apart.",
    ]);
  });
  it("a change says whether it is noise", () => {
    const [noise, better] = changesBetween(withGrip([20, 20, 20], [20, 20, 20]), withGrip([22, 22, 22], [26, 26, 26]), USUAL_NOISE);
    expect([changeText(noise!), changeText(better!)]).toEqual([
      "20.0 kg → 22.0 kg, noise: it counts from 6.0 kg",
      "20.0 kg → 26.0 kg, better",
    ]);
  });
});
