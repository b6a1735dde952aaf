/** The Monday a week is known by. */
import { mondayOf } from "@kind-grip/core/calendar";
import { IsoDate } from "@kind-grip/core/units";
import * as v from "valibot";

export const WeekStart = v.pipe(
  IsoDate,
  // What is no day is said already; of that no Monday can be worked out.
  v.check((day) => !v.is(IsoDate, day) || mondayOf(day) === day, "is not a Monday"),
);
