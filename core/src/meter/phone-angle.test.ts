/** A phone against a right angle: what it is off, what it repeats within, and what gravity cannot see. */
import fc from "fast-check";
import {
  CALIBRATION_READINGS,
  calibrationOf,
  canMeasure,
  corrected,
  LEVEL_WITHIN_DEG,
  MOST_OFF_DEG,
  phoneErrorOf,
  readOffLevel,
  tiltBetween,
  turnsUnseen,
  upFrom,
} from ".";
import { chance } from "../observe/workers.sample";

const ON = "2026-03-26";

it("four readings of a right angle, by hand: 88, 89, 89, 90", () => {
  // Mean 89, standard deviation 0.8165; 3.182 · √1.25 · 0.8165 = 2.905.
  expect(calibrationOf([88, 89, 89, 90], ON)).toEqual({ on: ON, readsDeg: 89, repeatsWithinDeg: expect.closeTo(2.905, 3) });
  expect(() => calibrationOf([90, 90, 90], ON)).toThrow(RangeError);
});

it("a right angle becomes one, half of it half", () => {
  const calibration = calibrationOf([88, 88, 88, 88], ON);
  expect([corrected(88, calibration), corrected(44, calibration), corrected(0, calibration)]).toEqual([90, 45, 0]);
});

it.each([
  ["off by five degrees", [85, 85, 85, 85], true],
  ["off by more", [84.9, 84.9, 84.9, 84.9], false],
  ["above by more", [95.1, 95.1, 95.1, 95.1], false],
  ["right on average, and all over the place", [86, 94, 86, 94], false],
] as const)("%s: may be measured with %s", (_, readings, may) => expect(canMeasure(calibrationOf(readings, ON))).toBe(may));

it("one more reading lies within what is said 95 times of 100", () => {
  const random = chance(5);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const read = () => 89 + 0.8 * normal();
  const within = Array.from({ length: 4000 }, () => {
    const { readsDeg, repeatsWithinDeg } = calibrationOf(Array.from({ length: CALIBRATION_READINGS }, read), ON);
    return Math.abs(read() - readsDeg) <= repeatsWithinDeg;
  }).filter(Boolean).length;
  expect(within / 4000).toBeGreaterThan(0.935);
  expect(within / 4000).toBeLessThan(0.965);
});

it("about an axis off level always less is read, about an upright one nothing; the phone's own tilt says the same", () => {
  expect(readOffLevel(80, 0)).toBeCloseTo(80, 9);
  expect(readOffLevel(80, 90)).toBeCloseTo(0, 9);
  expect(readOffLevel(80, LEVEL_WITHIN_DEG)).toBeCloseTo(78.53, 1);
  fc.assert(
    fc.property(fc.double({ min: 1, max: 170, noNaN: true }), fc.double({ min: 0, max: 89, noNaN: true }), (turn, off) => {
      expect(readOffLevel(turn, off)).toBeLessThanOrEqual(turn + 1e-9);
    }),
  );
  // Lying flat and tilted about its own level axis: what is read is the turn.
  expect(tiltBetween(upFrom(0, 0), upFrom(65, 0))).toBeCloseTo(65, 6);
});

it("a reading may be too low by more than too high: a forearm off level only takes away", () => {
  const calibration = calibrationOf([89, 90, 90, 91], ON);
  const { below, above } = phoneErrorOf(80, calibration);
  expect(below).toBeCloseTo(Math.hypot(calibration.repeatsWithinDeg, 0.5), 9);
  expect(above).toBeCloseTo(Math.hypot(below, 80 - readOffLevel(80, LEVEL_WITHIN_DEG)), 9);
  expect(phoneErrorOf(150, calibration).above).toBeGreaterThan(above);
  expect(MOST_OFF_DEG).toBeGreaterThan(above - below);
});

it.each([
  ["turned in the level plane", 10, 60, 1, true],
  ["across north", 350, 30, 1, true],
  ["hardly turned", 10, 25, 1, false],
  ["tilted with it", 10, 60, 12, false],
] as const)("%s: not seen is %s", (_, from, to, tilt, is) => expect(turnsUnseen(from, to, tilt)).toBe(is));
