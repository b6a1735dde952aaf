/** Parameters shared by several subjects. */
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";

export const CrewParams = v.object({ crewId: Id });

/** The version the caller last saw; a save against an older one is refused with 409. */
export const Version = v.pipe(v.number("is missing"), v.integer(), v.minValue(0));

export const Page = v.object({
  page: v.optional(v.pipe(v.string(), v.regex(/^\d{1,6}$/, "must be a page number"), v.transform(Number)), "0"),
});
