/**
 * Held efforts: how long a share of one's strength can be held, and the rest that is wanted after it. Source: Rohmert W. Problems in
 * determining rest allowances, part 1. Applied Ergonomics 1973; 4(2): 91–95.
 */
import { effortsOf } from "../task";
import { hardestTask } from "./hardest-task";
import { reading, type Method } from "./method";

/** Below this share of one's strength the source says an effort can be held for as long as one likes. */
export const HELD_FOREVER = 0.15;

/** T = −1.5 + 2.1/f − 0.6/f² + 0.1/f³ minutes. Example: 0.3 → 2.54. @param share of one's strength, above 0.15 to 1 @throws RangeError outside it */
export function enduranceMin(share: number): number {
  if (!(share > HELD_FOREVER && share <= 1)) throw new RangeError(`share ${share} is not above ${HELD_FOREVER} to 1`);
  return -1.5 + 2.1 / share - 0.6 / share ** 2 + 0.1 / share ** 3;
}

/** 18 · (t/T)^1.4 · (f − 0.15)^0.5. Example: 0.3 held for 1 min → 1.89. @returns rest wanted, as a share of the time it is held */
export function restShare(share: number, heldMin: number): number {
  return 18 * (heldMin / enduranceMin(share)) ** 1.4 * (share - HELD_FOREVER) ** 0.5;
}

/** The seconds of rest wanted in a minute of the task against those there are. An effort held to the end of its endurance has none left. */
const ofTask: Method["ofTask"] = (task, side) => {
  const efforts = effortsOf(task, side);
  if (efforts.length === 0) return { silent: "noEfforts" };
  const held = efforts.filter(({ effort }) => effort / 10 > HELD_FOREVER);
  if (held.length === 0) return { silent: "lightEfforts" };
  const busySec = Math.min(
    60,
    efforts.reduce((sum, { perMin, secEach }) => sum + perMin * secEach, 0),
  );
  const wantedSec = held.reduce((sum, { effort, perMin, secEach }) => sum + perMin * secEach * restShare(effort / 10, secEach / 60), 0);
  const hardest = held.reduce((most, each) => (endured(each) > endured(most) ? each : most));
  const thereSec = Math.max(60 - busySec, 1e-3);
  return reading(
    Math.max(wantedSec / thereSec, endured(hardest)),
    [
      { name: "heldSec", value: hardest.secEach },
      { name: "enduranceMin", value: enduranceMin(hardest.effort / 10) },
      { name: "restWantedSec", value: wantedSec },
      { name: "restThereSec", value: 60 - busySec },
    ],
    1,
  );
};

/** Share of its endurance an effort is held for. */
function endured({ effort, secEach }: { effort: number; secEach: number }): number {
  return secEach / 60 / enduranceMin(effort / 10);
}

export const heldEffort: Method = {
  id: "heldEffort",
  source: "Rohmert. Applied Ergonomics 1973; 4(2): 91–95",
  twoLimits: false,
  sees: ["everyForce", "duration", "rest"],
  ofTask,
  ofShift: hardestTask(ofTask),
};
