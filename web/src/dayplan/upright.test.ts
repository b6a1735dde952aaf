import fc from "fast-check";
import { sampleSession } from "../testing/sample";
import { CARD_HEIGHT, roomForLine, uprightOf } from "./upright";

const session = sampleSession([]);
const hour = 3_600_000;
const SHIFT = { startMs: 7 * hour, endMs: 16 * hour };
const at = (startH: number, min = 5) => ({ id: `${startH}`, session, startMs: startH * hour, endMs: startH * hour + min * 60_000 });

it("is as long as its hours where nothing is close", () => {
  const { height, y, cards } = uprightOf(SHIFT, [at(7), at(12)]);
  expect(height).toBe(270);
  expect(cards.map(({ top }) => top)).toEqual([0, 150]);
  expect([7, 8, 12, 14, 16].map((h) => y(h * hour))).toEqual([0, 30, 150, 210, 270]);
});

it("is longer where sessions are close, and only there", () => {
  const { height, y, cards } = uprightOf(SHIFT, [at(8), at(8.5), at(8.5, 10)]);
  expect(cards.map(({ top }) => top)).toEqual([30, 30 + CARD_HEIGHT + 4, 30 + 2 * (CARD_HEIGHT + 4)]);
  expect(y(8.5 * hour)).toBe(78);
  expect(height).toBe(78 + 225);
});

it("goes from the first session to the last where they are outside the shift", () => {
  const { y, height } = uprightOf(SHIFT, [at(6.5), at(16.5)]);
  expect([y(6.5 * hour), y(7 * hour)]).toEqual([0, expect.any(Number)]);
  expect(y(16.5 * hour + 300_000)).toBe(height);
  expect([y(0), y(30 * hour)]).toEqual([0, height]);
});

it("any day: cards never overlap and lie in it, later is never higher", () => {
  const starts = fc.array(fc.integer({ min: 5 * 12, max: 17 * 12 }), { maxLength: 9 });
  fc.assert(
    fc.property(starts, fc.array(fc.integer({ min: 0, max: 24 * 60 }), { minLength: 2, maxLength: 12 }), (list, moments) => {
      const { y, cards, height } = uprightOf(
        SHIFT,
        list.map((twelfth) => at(twelfth / 12)),
      );
      cards.forEach(({ top, placed }, i) => {
        expect(top).toBeGreaterThanOrEqual(i === 0 ? 0 : cards[i - 1]!.top + CARD_HEIGHT);
        expect(top + CARD_HEIGHT).toBeLessThanOrEqual(height + 1e-9);
        expect(top).toBeGreaterThanOrEqual(y(placed.startMs) - 1e-9);
      });
      const along = [...moments].sort((a, b) => a - b).map((min) => y(min * 60_000));
      along.forEach((each, i) => expect(each).toBeGreaterThanOrEqual(i === 0 ? 0 : along[i - 1]!));
    }),
  );
});

it.each([
  ["at its start where that is clear", 14, 16, 210],
  ["below the card it starts under", 12, 15, 150 + CARD_HEIGHT],
  ["nowhere where a card takes all of it", 12, 13, undefined],
  ["above a card that comes later", 11, 14, 120],
])("a task's name stands %s", (_, from, to, top) => {
  const upright = uprightOf(SHIFT, [at(7), at(12)]);
  expect(roomForLine(upright, { startMs: from * hour, endMs: to * hour })).toBe(top);
});
