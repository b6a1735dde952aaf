import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { fitToSlot } from "@kind-grip/core/slot";
import { sampleItem, sampleSession } from "../../../core/src/session/sample";
import { cutText } from "./cut-text";

it("a cut says what it gained", () => {
  const hold = (reps: number, holdSec: number, restSec: number) => ({ kind: "holds" as const, reps, holdSec, restSec });
  const session = sampleSession([sampleItem(hold(1, 10, 0)), sampleItem(hold(3, 20, 10), { sides: "inTurn" })]);
  const texts = [100, 60, 20].flatMap((slotSec) =>
    fitToSlot(session, slotSec, { personIds: [], library: SHIPPED_LIBRARY }).cuts.map((cut) => cutText(cut, () => "Palm-away")),
  );
  expect(texts.every((text) => /^Palm-away .*(gained|more)$/.test(text))).toBe(true);
  expect(texts.some((text) => text.includes("left out"))).toBe(true);
  expect(texts.some((text) => text.includes("→"))).toBe(true);
});
