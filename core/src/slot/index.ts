/** The slot: how much of it a session uses, and how a session is made to fit it. */
export { doseAtShare, doseLadder, growsFrom, LEAST_SHARE, MOST_SHARE, worthOf, type DoseStep } from "./dose-ladder";
export { fitToSlot, worthAt, type Cut, type Fit, type FitOptions } from "./fit";
export { priorityOf } from "./priority";
export { rulerOf, type Ruler } from "./ruler";
