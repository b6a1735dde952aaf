/**
 * Hand activity and peak force. The activity level from duty cycle and rate of efforts: Radwin RG, Azari DP, Lindstrom MJ, Ulin SS,
 * Armstrong TJ, Rempel D. A frequency-duty cycle equation for the ACGIH hand activity level. Ergonomics 2015; 58(2): 173–183.
 * Its limits: ACGIH, threshold limit value for hand activity, 2018, for one task of four hours or more a day.
 */
import { hardestTask } from "./hardest-task";
import { reading, type Method } from "./method";
import { taskRhythm } from "./rhythm";

const SOURCE = "Radwin et al. Ergonomics 2015; 58(2): 173–183; ACGIH, threshold limit value for hand activity, 2018";
/** The most force over 0 to 10 at the action limit and at the limit, for each point of activity below ten. */
const ACTION = 0.36;
const LIMIT = 0.56;

/**
 * HAL = 6.56 · ln D · F^1.31 / (1 + 3.18 · F^1.31), kept within 0 to 10. Example: 20 %, 1 a second → 4.70.
 * @param dutyPercent share of the time the hand works, percent, above 0 @param effortsPerSec 0 or more
 */
export function activityLevel(dutyPercent: number, effortsPerSec: number): number {
  const often = effortsPerSec ** 1.31;
  return Math.min(10, Math.max(0, (6.56 * Math.log(dutyPercent) * often) / (1 + 3.18 * often)));
}

/** The most force over 0 to 10 at an activity level of 0 to 10. Example: at 4.70 → 1.91 and 2.97. */
export function forceLimits(level: number): { action: number; limit: number } {
  return { action: ACTION * (10 - level), limit: LIMIT * (10 - level) };
}

const ofTask: Method["ofTask"] = (task, side) => {
  const rhythm = taskRhythm(task, side);
  if (!rhythm) return { silent: "noEfforts" };
  const level = activityLevel(rhythm.duty * 100, rhythm.effortsPerSec);
  const { action, limit } = forceLimits(level);
  return reading(
    rhythm.peakForce,
    [
      { name: "dutyPercent", value: rhythm.duty * 100 },
      { name: "effortsPerSec", value: rhythm.effortsPerSec },
      { name: "activityLevel", value: level },
      { name: "peakForce", value: rhythm.peakForce },
    ],
    limit,
    action,
  );
};

export const handActivity: Method = {
  id: "handActivity",
  source: SOURCE,
  twoLimits: true,
  sees: ["peakForce", "rate", "dutyCycle"],
  ofTask,
  ofShift: hardestTask(ofTask),
};
