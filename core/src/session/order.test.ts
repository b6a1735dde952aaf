import fc from "fast-check";
import { orderBouts, type OrderedUnit } from "./order";

const unit = (sides: OrderedUnit["sides"], count: number, firstSide: "left" | "right" = "left"): OrderedUnit => ({
  sides,
  count,
  firstSide,
});
const written = (...block: OrderedUnit[]) =>
  orderBouts(block)
    .map(({ unit: index, side, set }) => `${"ABC"[index]}${side[0]!.toUpperCase()}${set}`)
    .join(" ");

it.each([
  ["together", written(unit("together", 3)), "AB1 AB2 AB3"],
  ["one side, then the other", written(unit("inTurn", 2)), "AL1 AL2 AR1 AR2"],
  ["alternating", written(unit("alternating", 2)), "AL1 AR1 AL2 AR2"],
  ["right first", written(unit("alternating", 1, "right")), "AR1 AL1"],
  ["a pair in turn stays on one side as long as it can", written(unit("inTurn", 2), unit("inTurn", 2)), "AL1 BL1 AL2 BL2 AR1 BR1 AR2 BR2"],
  ["a pair of both kinds", written(unit("together", 2), unit("alternating", 2)), "AB1 BL1 BR1 AB2 BL2 BR2"],
  ["a pair of different lengths goes on with the longer", written(unit("together", 3), unit("together", 1)), "AB1 BB1 AB2 AB3"],
  ["nothing", written(), ""],
])("%s: %s", (_, order, expected) => expect(order).toBe(expected));

it("gives every unit all its bouts, each side's in order, whatever is paired", () => {
  const some = fc.record({
    sides: fc.constantFrom("together" as const, "inTurn" as const, "alternating" as const),
    firstSide: fc.constantFrom("left" as const, "right" as const),
    count: fc.integer({ min: 1, max: 6 }),
  });
  fc.assert(
    fc.property(fc.array(some, { maxLength: 4 }), (block) => {
      const order = orderBouts(block);
      block.forEach((each, index) => {
        for (const side of each.sides === "together" ? (["both"] as const) : (["left", "right"] as const)) {
          const sets = order.filter((bout) => bout.unit === index && bout.side === side).map((bout) => bout.set);
          expect(sets).toEqual(Array.from({ length: each.count }, (_, i) => i + 1));
        }
      });
    }),
  );
});
