/** A movement, complete as data. What it says to a person is in the language catalogues under the same id. */
import * as v from "valibot";
import { Dose, FormId, MovementId, Sides } from "../session";
import { Seconds } from "../units";
import { LOAD_SCHOOLS, STRETCH_SCHOOLS } from "./style";
import { KitKind, Phase, Region, Setting, WorkPosture } from "./words";

/** A rung of the ladder, easiest first. */
export const Form = v.strictObject({
  id: FormId,
  /** Seconds this form adds to getting ready and to each change of sides, e.g. to sit down or prop the forearm. */
  extraReadySec: v.optional(Seconds(0, 60), 0),
  extraSwitchSec: v.optional(Seconds(0, 30), 0),
  /** Kit this form needs beyond the movement's own. */
  kit: v.optional(v.array(KitKind), []),
  /** Where this form is done, when not in the movement's own settings. */
  settings: v.optional(v.array(Setting)),
  /** Glides: the last step this form uses. */
  stepsUsed: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(6))),
  /** A full-effort form needs a clean week first. */
  needsCleanWeek: v.optional(v.boolean(), false),
});
export type Form = v.InferOutput<typeof Form>;

/** Doses by school; `usual` stands in for every school the movement has no dose of its own for. */
export const Doses = v.strictObject({
  usual: Dose,
  ...v.entriesFromList([...STRETCH_SCHOOLS, ...LOAD_SCHOOLS], v.optional(Dose)),
});
export type Doses = v.InferOutput<typeof Doses>;

/** What a load in the hand loads, how it is held for that, and what the rungs of the ladder differ in. */
export const MovementLoad = v.strictObject({
  axis: v.picklist(["bend", "tilt", "turn"]),
  handling: v.picklist(["palm", "along", "across"]),
  /** `kit`: rungs with a load need kit. `grip`: the first rung is gripped near the middle, the last at the end. `mass`: loaded from the start, light then heavier. */
  rungs: v.picklist(["kit", "grip", "mass"]),
});
export type MovementLoad = v.InferOutput<typeof MovementLoad>;

export const Movement = v.strictObject({
  id: MovementId,
  phase: Phase,
  regions: v.strictObject({
    worked: v.optional(v.array(Region), []),
    stretched: v.optional(v.array(Region), []),
    released: v.optional(v.array(Region), []),
  }),
  /** Joint motions in the field's terms, e.g. `wrist flexion`. */
  motions: v.pipe(v.array(v.string()), v.minLength(1)),
  /** How the hands may share it, the usual way first. */
  sideModes: v.pipe(v.array(Sides), v.minLength(1)),
  /** Any one of these is enough. */
  settings: v.pipe(v.array(Setting), v.minLength(1)),
  /** Any one of these is enough; none needed when empty. */
  kit: v.array(KitKind),
  forms: v.pipe(v.array(Form), v.minLength(1)),
  /** Form a new item starts with. */
  startForm: FormId,
  doses: Doses,
  /** Only for what is done with a mass in the hand. */
  load: v.optional(MovementLoad),
  effortCap: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(10)),
  readySec: Seconds(0, 60),
  switchSec: Seconds(0, 30),
  reverses: v.array(WorkPosture),
  /** Weight on the hands: off until a form without weight was clean for a week; needs a clean surface, no shoes on it. */
  weightBearing: v.optional(v.boolean(), false),
});
export type Movement = v.InferOutput<typeof Movement>;
/** A movement as its author writes it, before the schema fills in what was left out. */
export type MovementInput = v.InferInput<typeof Movement>;
