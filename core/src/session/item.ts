/** An item: a movement with a form and a dose inside a session; and the session that orders items for one slot. */
import * as v from "valibot";
import { Id, NonEmptyText } from "../units";
import { Dose } from "./dose";

/** How the two hands share an item. */
export const Sides = v.picklist(["together", "inTurn", "alternating"]);
export type Sides = v.InferOutput<typeof Sides>;

export const FormId = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
export const MovementId = v.pipe(v.string(), v.minLength(1), v.maxLength(60));

const LoadKg = v.pipe(v.number(), v.minValue(0.1, "must be 0.1 to 40 kg"), v.maxValue(40, "must be 0.1 to 40 kg"));

/** One person's own version of an item: an easier or harder form, and where needed a dose or a load of their own; null is no load. */
export const PersonalForm = v.strictObject({ formId: FormId, dose: v.optional(Dose), loadKg: v.optional(v.nullable(LoadKg)) });
export type PersonalForm = v.InferOutput<typeof PersonalForm>;

export const Item = v.strictObject({
  id: Id,
  movementId: MovementId,
  formId: FormId,
  dose: Dose,
  sides: Sides,
  /** Which hand begins when the sides take turns. */
  firstSide: v.optional(v.picklist(["left", "right"]), "left"),
  /** Mass in each hand, kg; only for movements that take kit. */
  loadKg: v.optional(v.nullable(LoadKg), null),
  /** Bouts of this item and the next take turns: one works while the other's tissue rests. */
  pairedWithNext: v.optional(v.boolean(), false),
  /** Who does another form, by person id. */
  personal: v.optional(v.record(Id, PersonalForm), {}),
});
export type Item = v.InferOutput<typeof Item>;

/** The three times of a shift a session can be made for. */
export const SlotKind = v.picklist(["preShift", "break", "postShift"]);
export type SlotKind = v.InferOutput<typeof SlotKind>;

export const MAX_ITEMS = 40;

export const Session = v.strictObject({
  id: Id,
  name: NonEmptyText,
  slot: SlotKind,
  items: v.pipe(v.array(Item), v.maxLength(MAX_ITEMS, `at most ${MAX_ITEMS} items in a session`)),
});
export type Session = v.InferOutput<typeof Session>;
