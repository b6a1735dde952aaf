import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import { compilePerson, type Item } from "@kind-grip/core/session";
import { barHeight, blocksOf, firstBout, LANE, scaleSecOf } from "./geometry";

const item = (id: string, movementId: string, change: Partial<Item> = {}): Item => ({
  ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, id),
  ...change,
});
const timelineOf = (...items: Item[]) => compilePerson({ id: "s", name: "S", slot: "break", items }, SHIPPED_LIBRARY.timings);

it("every item is a block of its own, end to end", () => {
  const blocks = blocksOf(timelineOf(item("a", "shake-out"), item("b", "palm-away"), item("c", "wrist-nod")));
  expect(blocks.map((block) => block.itemIds)).toEqual([["a"], ["b"], ["c"]]);
  expect(blocks[1]!.startSec).toBe(blocks[0]!.endSec);
});

it("paired items share a block", () => {
  const dose = { kind: "holds" as const, reps: 3, holdSec: 10, restSec: 20 };
  const blocks = blocksOf(
    timelineOf(item("a", "palm-away", { dose, pairedWithNext: true }), item("b", "hand-drop", { dose }), item("c", "shake-out")),
  );
  expect(blocks.map((block) => block.itemIds)).toEqual([["a", "b"], ["c"]]);
});

it("higher effort is a higher bar, and never leaves the lane", () => {
  const heights = [1, 2, 3, 5, 8, 10].map(barHeight);
  expect(heights).toEqual([...heights].sort((a, b) => a - b));
  expect(Math.max(...heights)).toBeLessThanOrEqual(LANE);
});

it("the inner edge is the end of the first bout", () => {
  const bout = firstBout(timelineOf(item("a", "palm-away")), "a")!;
  expect([bout.kind, bout.side, bout.startSec, bout.lengthSec]).toEqual(["work", "left", 8, 48]);
  expect(firstBout(timelineOf(), "a")).toBeUndefined();
});

describe("the width of the score", () => {
  it.each([
    ["full", 470, 480, 480],
    ["over", 500, 480, 500],
    ["three quarters full", 360, 480, 480],
    ["short", 140, 480, 140 / 0.72],
    ["next to nothing", 10, 480, 40],
  ])("stands for the slot, unless the session is far shorter: %s", (_, totalSec, slotSec, scaleSec) =>
    expect(scaleSecOf(totalSec, slotSec)).toBeCloseTo(scaleSec, 6),
  );
});
