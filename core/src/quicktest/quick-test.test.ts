import * as v from "valibot";
import { USUAL_NOISE } from "../baseline";
import { gainOf, isAskedOnPhone, noiseOfTest, QUICK_TESTS, QuickResult, quickTestFor } from ".";

const fits = (result: unknown) => v.safeParse(QuickResult, result).success;

it.each([
  ["an effort of 0 and of 10", { test: "twistLid", before: 0, after: 10 }, true],
  ["of 11", { test: "twistLid", before: 11, after: null }, false],
  ["a half", { test: "bentBack", before: 4.5, after: null }, false],
  ["below nought", { test: "tingling", before: -1, after: 3 }, false],
  ["a grip with its tenths", { test: "grip", before: 31.4, after: 33 }, true],
  ["more than any meter reads", { test: "grip", before: 121, after: null }, false],
  ["only one of the two", { test: "grip", before: null, after: 33 }, true],
  ["no test we know", { test: "handstand", before: 1, after: 1 }, false],
])("%s", (_, result, is) => expect(fits(result)).toBe(is));

it("better is less on a scale and more on the meter; without one of the two there is no difference", () => {
  expect(gainOf({ test: "twistLid", before: 6, after: 4 })).toBe(2);
  expect(gainOf({ test: "grip", before: 30, after: 33 })).toBe(3);
  expect(gainOf({ test: "tingling", before: 1, after: 3 })).toBe(-2);
  expect(gainOf({ test: "grip", before: 30, after: null })).toBeNull();
  expect(gainOf({ test: "grip", before: null, after: 30 })).toBeNull();
});

it.each([
  ["nothing of either", null, null, null],
  ["as the crew", "twistLid", null, "twistLid"],
  ["their own instead", "twistLid", "tingling", "tingling"],
  ["none of it", "twistLid", "none", null],
  ["their own where the crew has none", null, "bentBack", "bentBack"],
  ["no meter on a phone", "grip", null, null],
] as const)("a phone asks: %s", (_, crew, own, asked) => expect(quickTestFor(crew, own)).toBe(asked));

it("a phone asks everything but the meter", () => {
  expect(QUICK_TESTS.filter((test) => !isAskedOnPhone(test))).toEqual(["grip"]);
});

it("one pair tells apart what two readings of the practice do", () => {
  expect([noiseOfTest(USUAL_NOISE, "twistLid", 4), noiseOfTest(USUAL_NOISE, "grip", 20), noiseOfTest(USUAL_NOISE, "grip", 50)]).toEqual([
    2, 6, 10,
  ]);
});
