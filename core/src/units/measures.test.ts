import fc from "fast-check";
import { fixedText, lengthIn, lengthOf, lengthText, massIn, massOf, massText, METRIC, numberText, readAmount, type Measures } from ".";

const AMERICAN: Measures = { ...METRIC, mass: "lb", length: "in" };
const GERMAN: Measures = { ...METRIC, decimal: "comma" };

it.each([
  [massText(1.5), "1.5 kg"],
  [massText(2), "2 kg"],
  [massText(0.375), "0.38 kg"],
  [massText(1.5, GERMAN), "1,5 kg"],
  [massText(1.5, AMERICAN), "3.3 lb"],
  [massText(41.256, METRIC, 1), "41.3 kg"],
  [lengthText(0.125), "12.5 cm"],
  [lengthText(0.125, AMERICAN), "4.9 in"],
  [lengthText(0.3, GERMAN), "30 cm"],
  [numberText(1234.5, 1), "1234.5"],
  [numberText(0.25, 1, GERMAN), "0,3"],
  [fixedText(2, 1), "2.0"],
  [fixedText(2.346, 2, GERMAN), "2,35"],
  [fixedText(1234.5, 0), "1235"],
])("is written %s", (written, expected) => expect(written).toBe(expected));

it.each([
  ["3", "kg", 3],
  ["1,4", "kg", 1.4],
  [" 1.4 kg ", "kg", 1.4],
  [".5", "kg", 0.5],
  ["500 g", "kg", 0.5],
  ["3 lb", "kg", 1.36077711],
  ["3 lbs.", "kg", 1.36077711],
  ["1.36077711 kg", "lb", 3],
  ["5 in", "cm", 12.7],
  ['5"', "cm", 12.7],
  ["1 ft", "in", 12],
  ["−2", "°", -2],
  ["7", undefined, 7],
  ["12 s", "s", 12],
])("reads %s in a field of %s", (typed, unit, expected) => expect(readAmount(typed, unit)).toBeCloseTo(expected, 9));

it.each([
  ["", "kg"],
  ["much", "kg"],
  ["3 cm", "kg"],
  ["3 lb", "s"],
  ["3 lb", undefined],
  ["1.2.3", "kg"],
  ["1 2", "kg"],
])("does not guess at %s in a field of %s", (typed, unit) => expect(readAmount(typed, unit)).toBeUndefined());

it("fifty edits in another unit leave no drift: what is shown and typed again is what was stored", () => {
  const tenths = (most: number) => fc.integer({ min: 0, max: most * 10 }).map((n) => n / 10);
  fc.assert(
    fc.property(tenths(90), tenths(80), (pounds, inches) => {
      let [kg, metres] = [massOf(pounds, AMERICAN), lengthOf(inches, AMERICAN)];
      const first = [kg, metres];
      for (let i = 0; i < 50; i++) {
        kg = massOf(Number(massIn(kg, AMERICAN).toFixed(1)), AMERICAN);
        metres = lengthOf(Number(lengthIn(metres, AMERICAN).toFixed(1)), AMERICAN);
      }
      expect([kg, metres]).toEqual(first);
      expect(massText(kg, AMERICAN)).toBe(`${pounds} lb`);
    }),
  );
});
