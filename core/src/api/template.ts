/** Templates the practice keeps. */
import * as v from "valibot";
import { Program } from "../program";
import { Id, IsoInstant, NonEmptyText } from "../units";

/** For whom it is and why, in the practice's own words. */
const Why = v.pipe(v.string(), v.trim(), v.maxLength(600, "at most 600 characters"));

export const TemplateEntry = v.strictObject({ id: Id, keptAt: IsoInstant, name: NonEmptyText, why: Why, program: Program });
export type TemplateEntry = v.InferOutput<typeof TemplateEntry>;

export const NewTemplate = v.strictObject({ id: Id, name: NonEmptyText, why: Why, program: Program });
export type NewTemplate = v.InferOutput<typeof NewTemplate>;
