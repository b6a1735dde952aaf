/** Parameters shared by several subjects. */
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";

export const CrewParams = v.object({ crewId: Id });

/** The version the caller last saw; a save against an older one is refused with 409. */
export const Version = v.pipe(v.number("is missing"), v.integer(), v.minValue(0));

export const Page = v.object({
  page: v.optional(v.pipe(v.string(), v.regex(/^\d{1,6}$/, "must be a page number"), v.transform(Number)), "0"),
});

/** A reason that is asked for and kept. */
export const Why = v.strictObject({
  why: v.pipe(v.string("is missing"), v.trim(), v.minLength(3, "is missing: say why"), v.maxLength(600, "is longer than 600 characters")),
});
