/** Imported first: the screen belongs to somebody used to pounds, inches, twelve hours and the month first. */
import type { Measures } from "@kind-grip/core/units";

export const AMERICAN: Measures = {
  mass: "lb",
  length: "in",
  decimal: "point",
  clock: "12h",
  dateOrder: "monthDay",
  weekStart: "sunday",
};
localStorage.setItem("kind-grip-measures", JSON.stringify(AMERICAN));
