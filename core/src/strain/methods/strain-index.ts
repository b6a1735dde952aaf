/** The Revised Strain Index of a task, and its cumulative form over a shift. */
import { RAISED_STRAIN, STRAIN_SOURCE } from "../strain-index";
import { effortsOf } from "../task";
import { shiftStrain, taskStrain } from "../work-strain";
import { reading, type Method } from "./method";

export const strainIndexMethod: Method = {
  id: "strainIndex",
  source: STRAIN_SOURCE,
  twoLimits: false,
  sees: ["everyForce", "rate", "duration", "wristBend", "hours"],
  ofTask(task, side, hours) {
    if (effortsOf(task, side).length === 0) return { silent: "noEfforts" };
    const { index } = taskStrain(task, side, hours);
    return reading(index, [{ name: "index", value: index }], RAISED_STRAIN);
  },
  ofShift(work, day, side) {
    const { parts, decisive } = shiftStrain(work, day, side);
    if (parts.length === 0) return { silent: "noEfforts" };
    return { ...reading(decisive, [{ name: "index", value: decisive }], RAISED_STRAIN), taskId: null };
  },
};
