/** An item: a movement with a form and a dose inside a session; and the session that orders items for one slot. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Id, NonEmptyText } from "../units";
import { Dose } from "./dose";
import type { FormTimings } from "./form-timing";

/** How the two hands share an item. */
export const Sides = v.picklist(["together", "inTurn", "alternating"]);
export type Sides = v.InferOutput<typeof Sides>;

export const FormId = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
export const MovementId = v.pipe(v.string(), v.minLength(1), v.maxLength(60));

const LoadKg = v.pipe(v.number(), v.minValue(0.1, "must be 0.1 to 40 kg"), v.maxValue(40, "must be 0.1 to 40 kg"));

/** Which kind of kit is in the hand; null for the first of the movement's that has this mass. */
const ToolKind = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
/** Where a tool is held, m from its near end; null for the usual place of the form. */
const GripM = v.pipe(v.number("must be a number"), v.minValue(0.01, "must be 1 to 200 cm"), v.maxValue(2, "must be 1 to 200 cm"));

/** One person's own version of an item: an easier or harder form, and where needed a dose or a load of their own; null is no load. */
export const PersonalForm = v.strictObject({
  formId: FormId,
  dose: v.optional(Dose),
  loadKg: v.optional(v.nullable(LoadKg)),
  tool: v.optional(v.nullable(ToolKind)),
  gripM: v.optional(v.nullable(GripM)),
});
export type PersonalForm = v.InferOutput<typeof PersonalForm>;

export const Item = v.strictObject({
  id: Id,
  movementId: MovementId,
  formId: FormId,
  dose: Dose,
  /** The share of its style's dose that was set by rule; left out where it is the whole dose, or one that was set by hand. */
  doseShare: v.optional(v.pipe(v.number("must be a number"), v.minValue(0.1, "must be 0.1 to 3"), v.maxValue(3, "must be 0.1 to 3"))),
  sides: Sides,
  /** Which hand begins when the sides take turns. */
  firstSide: v.optional(v.picklist(["left", "right"]), "left"),
  /** Mass in each hand, kg; only for movements that take kit. */
  loadKg: v.optional(v.nullable(LoadKg), null),
  tool: v.optional(v.nullable(ToolKind)),
  gripM: v.optional(v.nullable(GripM)),
  /** Bouts of this item and the next take turns: one works while the other's tissue rests. */
  pairedWithNext: v.optional(v.boolean(), false),
  /** Who does another form, by person id. */
  personal: v.optional(v.record(Id, PersonalForm), {}),
});
export type Item = v.InferOutput<typeof Item>;

/** What is in the hand: mass, kind of kit and where it is held. */
export interface Held {
  loadKg: number | null;
  tool: string | null;
  gripM: number | null;
}

export const NOTHING_HELD: Held = { loadKg: null, tool: null, gripM: null };

/**
 * What a person holds in an item: their own, or the item's. Whoever has a load of their own has it with its own tool and grip; in a form
 * without anything in the hand nobody holds any, also where the item's own form is a loaded one.
 */
export function heldIn(
  item: Pick<Item, "movementId" | "formId" | "loadKg" | "tool" | "gripM">,
  timings: FormTimings,
  own?: PersonalForm,
): Held {
  return timings.get(item.movementId)?.get(own?.formId ?? item.formId)?.emptyHanded ? NOTHING_HELD : writtenHeld(item, own);
}

/** As it is written, whatever the form. */
export function writtenHeld(item: Pick<Item, "loadKg" | "tool" | "gripM">, own?: PersonalForm): Held {
  const from = own?.loadKg === undefined ? item : { loadKg: own.loadKg, tool: own.tool, gripM: own.gripM };
  return { loadKg: from.loadKg, tool: from.tool ?? null, gripM: from.gripM ?? null };
}

/** The three times of a shift a session can be made for. */
export const SLOT_KINDS = ["preShift", "break", "postShift"] as const;
export const SlotKind = v.picklist(SLOT_KINDS);
export type SlotKind = v.InferOutput<typeof SlotKind>;
/** Done by oneself, without the site's kit: at home on any day, or on days without a shift. */
export const HOME_SLOTS = ["home", "offDay"] as const;
export type HomeSlot = (typeof HOME_SLOTS)[number];
/** Goes beside the sessions of a shift: a reset between two treatments of a day of bookings, and what is for home. */
export const BESIDE_SLOTS = ["reset", ...HOME_SLOTS] as const;
export type BesideSlot = (typeof BESIDE_SLOTS)[number];
/** When a session is done. */
export const SESSION_SLOTS = [...SLOT_KINDS, ...BESIDE_SLOTS] as const;
export const SessionSlot = v.picklist(SESSION_SLOTS);
export type SessionSlot = v.InferOutput<typeof SessionSlot>;

/** Whether it belongs to a shift: is planned, led and due. */
export function isOfShift(slot: SessionSlot): slot is SlotKind {
  return SLOT_KINDS.some((kind) => kind === slot);
}

export const MAX_ITEMS = 40;

export const Session = v.strictObject({
  id: Id,
  name: NonEmptyText,
  slot: SessionSlot,
  items: v.pipe(v.array(Item), v.maxLength(MAX_ITEMS, `at most ${MAX_ITEMS} items in a session`)),
});
export type Session = v.InferOutput<typeof Session>;
/** One that is planned into shifts. */
export type ShiftSession = Session & { slot: SlotKind };

export function isShiftSession(session: Session): session is ShiftSession {
  return isOfShift(session.slot);
}

/** Format 2 may say of an item which share of its style's dose it has; nothing older says it. */
export function withDoseShares(older: unknown): unknown {
  return older;
}

/** In format 3 a session may be one for home or days off; nothing older is. */
export function withHomeSlots(older: unknown): unknown {
  return older;
}

/** In format 4 a session may be a reset between two treatments; nothing older is. */
export function withResets(older: unknown): unknown {
  return older;
}

/** As a run keeps it: as it was led. */
export const SESSION_DOCUMENT = documentFormat<Session>({
  name: "session",
  format: 4,
  steps: [withDoseShares, withHomeSlots, withResets],
  schema: Session,
});
