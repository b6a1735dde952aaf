/** Which movements a phone in the hand can count. */
import { Figure, feltTurnOf, pose, type FigureInput, type PoseInput } from "../../figure";
import * as v from "valibot";
import { SHIPPED_LIBRARY } from "../library";

const shipped = (movementId: string, formId?: string) => feltTurnOf(SHIPPED_LIBRARY.figure(movementId, formId)!);
const figure = (poses: PoseInput[], change: Partial<FigureInput> = {}) =>
  feltTurnOf(v.parse(Figure, { focus: "forearm", view: "right", poses: poses.map(pose), ...change }));
const wrist = (wristFlexion: number): PoseInput => ({ right: { elbow: 90, pronation: 90, wristFlexion, hand: "softFist" } });

it("the forearm level and the palm down, the wrist turns the hand as far as it bends", () => {
  expect(figure([wrist(-30), wrist(40)])).toBe(70);
});
it.each([
  [19, null],
  [20, 20],
])("a turn of %s° is felt as %s", (deg, felt) => {
  expect(figure([wrist(0), wrist(deg)])).toBe(felt);
});
it("a tilt to the side in the level plane is not felt, with the thumb up it is", () => {
  const tilt = (pronation: number, deviation: number): PoseInput => ({ right: { elbow: 90, pronation, deviation, hand: "softFist" } });
  expect(figure([tilt(90, -20), tilt(90, 30)])).toBeNull();
  expect(figure([tilt(0, -20), tilt(0, 30)])).toBe(50);
});
it.each<[string, PoseInput[], Partial<FigureInput>]>([
  ["holds something", [wrist(-30), wrist(40)], { props: [{ kind: "dumbbell" }] }],
  ["moves its fingers", [wrist(-30), { right: { ...wrist(40).right, hand: "open" } }], {}],
  ["goes round and round", [wrist(-30), wrist(40)], { way: "round" }],
])("a hand that %s cannot be counted", (_what, poses, change) => {
  expect(figure(poses, change)).toBeNull();
});
it("what stands in the room, or is in the other hand, is in no way", () => {
  expect(figure([wrist(-30), wrist(40)], { props: [{ kind: "table" }, { kind: "dumbbell", hand: "helping" }] })).toBe(70);
});
it("of the library: wrist and forearm without load, none that is held, pulled or pressed", () => {
  expect([shipped("wrist-nod", "free"), shipped("palm-turn", "free")].every((deg) => deg! > 100)).toBe(true);
  expect([shipped("palm-away"), shipped("wrist-circle"), shipped("finger-wave")]).toEqual([null, null, null]);
  const counted = SHIPPED_LIBRARY.movements.filter(({ id, forms }) => forms.some((form) => shipped(id, form.id)));
  expect(counted.length).toBeGreaterThanOrEqual(10);
});
