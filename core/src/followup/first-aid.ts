/**
 * The first-aid book of a crew: cases of hands, wrists and arms as the employer's own book has them, also from before the program. Days
 * and places, never a person.
 */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Region } from "../library";
import { Id, IsoDate } from "../units";

export const FirstAidCase = v.strictObject({
  id: Id,
  day: IsoDate,
  /** Null where the book does not say. */
  region: v.nullable(Region),
});
export type FirstAidCase = v.InferOutput<typeof FirstAidCase>;

export const FirstAidBook = v.pipe(
  v.strictObject({
    /** From which day on the book is complete; null while nothing was entered. */
    since: v.nullable(IsoDate),
    cases: v.pipe(v.array(FirstAidCase), v.maxLength(2000, "at most 2000 cases")),
  }),
  v.forward(
    v.check(({ since, cases }) => cases.every(({ day }) => since !== null && day >= since), "is before the day the book begins"),
    ["cases"],
  ),
);
export type FirstAidBook = v.InferOutput<typeof FirstAidBook>;

export const FIRST_AID_DOCUMENT = documentFormat<FirstAidBook>({ name: "first-aid book", format: 1, steps: [], schema: FirstAidBook });

export function emptyFirstAidBook(): FirstAidBook {
  return { since: null, cases: [] };
}
