/** The schools of dosing. A program names one for stretching and one for loading. */
import * as v from "valibot";

export const STRETCH_SCHOOLS = ["activeAssisted", "shortHold", "longHold", "minuteBlock"] as const;
export const StretchSchool = v.picklist(STRETCH_SCHOOLS);
export type StretchSchool = v.InferOutput<typeof StretchSchool>;

export const LOAD_SCHOOLS = ["pacedReps", "timedSets", "slowLowering", "lightAndMany", "staticGrip"] as const;
export const LoadSchool = v.picklist(LOAD_SCHOOLS);
export type LoadSchool = v.InferOutput<typeof LoadSchool>;

export const Style = v.strictObject({ stretch: StretchSchool, load: LoadSchool });
export type Style = v.InferOutput<typeof Style>;

/** Active-assisted before the shift and paced repetitions: the defaults of the practice, reasons in docs/decisions.md. */
export const DEFAULT_STYLE: Style = { stretch: "activeAssisted", load: "pacedReps" };
