/** A clearance as it is entered: by whom, for what, from when until when. */
import * as v from "valibot";
import { daysBetween } from "../calendar";
import { Phase } from "../library";
import { Id, IsoDate, NonEmptyText } from "../units";

/** No clearance is good for longer; a longer one is asked for again. */
export const LONGEST_CLEARANCE_DAYS = 366;
/** A clearance that ends within so many days is shown on Today. */
export const ENDS_SOON_DAYS = 7;

export const NewClearance = v.pipe(
  v.strictObject({
    id: Id,
    restrictionId: Id,
    /** Name of the clinician. */
    givenBy: NonEmptyText,
    profession: NonEmptyText,
    allows: v.pipe(v.array(Phase), v.minLength(1, "names nothing it is for")),
    from: IsoDate,
    until: IsoDate,
    note: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
  }),
  v.forward(
    v.check(({ from, until }) => from <= until, "is before the first day"),
    ["until"],
  ),
  v.forward(
    v.check(({ from, until }) => daysBetween(from, until) <= LONGEST_CLEARANCE_DAYS, "is more than a year after the first day"),
    ["until"],
  ),
);
export type NewClearance = v.InferOutput<typeof NewClearance>;

/** Whether a clearance that is good today ends within the next seven days. */
export function endsSoon(until: string, today: string): boolean {
  const left = daysBetween(today, until);
  return left >= 0 && left < ENDS_SOON_DAYS;
}
