/** The closed lists of the field that movements are described with. Labels are in the language catalogues. */
import * as v from "valibot";

/** The order in which a session takes the body through its work. */
export const PHASES = ["getReady", "mobility", "stretch", "glide", "strengthen", "release"] as const;
export const Phase = v.picklist(PHASES);
export type Phase = v.InferOutput<typeof Phase>;
/** What a minute between two treatments is made of: moving and letting go. How often a day there is glided, stretched and loaded has its limits. */
export const RESET_PHASES: readonly Phase[] = ["getReady", "mobility", "release"];

export const REGIONS = [
  "fingerFlexors",
  "fingerExtensors",
  "thumbBase",
  "handIntrinsics",
  "wristFlexors",
  "wristExtensors",
  "thumbSideWrist",
  "littleFingerSideWrist",
  "pronators",
  "supinators",
  "elbowInner",
  "elbowOuter",
  "shoulderNeck",
] as const;
export const Region = v.picklist(REGIONS);
export type Region = v.InferOutput<typeof Region>;

/** Where a movement can be done. `any`: standing or sitting with nothing around; `home`: never on a work site. */
export const SETTINGS = ["any", "table", "wall", "floor", "bar", "home"] as const;
export const Setting = v.picklist(SETTINGS);
export type Setting = v.InferOutput<typeof Setting>;

export const KIT_KINDS = [
  "dumbbell",
  "hammer",
  "dowel",
  "band",
  "ball",
  "plate",
  "bar",
  "roller",
  "bottle",
  "towel",
  "edge",
  "tape",
] as const;
/** Kit with a mass that a hand can hold. */
export const HELD_KINDS: ReadonlySet<(typeof KIT_KINDS)[number]> = new Set(["dumbbell", "hammer", "dowel", "plate", "bar", "bottle"]);
export const KitKind = v.picklist(KIT_KINDS);
export type KitKind = v.InferOutput<typeof KitKind>;

/** Postures of work that a movement is the opposite of. */
export const WORK_POSTURES = [
  "wristBent",
  "wristBentBack",
  "wristTilted",
  "palmDown",
  "closedHand",
  "thumbPressed",
  "roundedShoulders",
] as const;
export const WorkPosture = v.picklist(WORK_POSTURES);
export type WorkPosture = v.InferOutput<typeof WorkPosture>;
