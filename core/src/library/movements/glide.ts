/** Glides: nerves and tendons slid along their bed. Effort 3 at most; the first faint feeling is the last step used. */
import { PHASE_CAP } from "../caps";
import { reps, shapes, steps, timed } from "../doses";
import type { MovementInput } from "../movement";

const shared = { phase: "glide", settings: ["any"], kit: [], effortCap: PHASE_CAP.glide } satisfies Partial<MovementInput>;

export const glide = [
  {
    ...shared,
    id: "median-glide",
    regions: { stretched: ["wristFlexors", "fingerFlexors", "shoulderNeck"] },
    motions: ["wrist extension", "elbow extension", "shoulder abduction", "shoulder external rotation"],
    sideModes: ["inTurn"],
    forms: [
      { id: "steps-2", stepsUsed: 2 },
      { id: "steps-3", stepsUsed: 3 },
      { id: "steps-4", stepsUsed: 4 },
      { id: "steps-5", stepsUsed: 5 },
    ],
    startForm: "steps-2",
    doses: { usual: steps(2, 1) },
    readySec: 6,
    switchSec: 5,
    reverses: ["closedHand", "wristBent"],
  },
  {
    ...shared,
    id: "ulnar-glide",
    regions: { stretched: ["littleFingerSideWrist", "elbowInner", "shoulderNeck"] },
    motions: ["wrist extension", "elbow flexion", "shoulder abduction"],
    sideModes: ["inTurn"],
    forms: [
      { id: "steps-2", stepsUsed: 2 },
      { id: "steps-3", stepsUsed: 3 },
      { id: "steps-4", stepsUsed: 4 },
      { id: "steps-6", stepsUsed: 6 },
    ],
    startForm: "steps-2",
    doses: { usual: steps(2, 1) },
    readySec: 6,
    switchSec: 5,
    reverses: ["closedHand"],
  },
  {
    ...shared,
    id: "tendon-glide",
    regions: { worked: ["fingerFlexors", "handIntrinsics"] },
    motions: ["finger flexion", "finger extension"],
    sideModes: ["together", "inTurn"],
    forms: [{ id: "resting", extraReadySec: 3, settings: ["table"] }, { id: "free" }],
    startForm: "free",
    doses: { usual: shapes(5, 5) },
    readySec: 4,
    switchSec: 3,
    reverses: ["closedHand"],
  },
  {
    ...shared,
    id: "hook-to-fist",
    regions: { worked: ["fingerFlexors", "handIntrinsics"] },
    motions: ["finger flexion", "finger extension"],
    sideModes: ["together", "inTurn"],
    settings: ["any", "table"],
    forms: [{ id: "resting", extraReadySec: 3, settings: ["table"] }, { id: "free" }],
    startForm: "free",
    doses: { usual: reps(15, [2, 0, 2, 0]), minuteBlock: timed(60) },
    readySec: 3,
    switchSec: 3,
    reverses: ["closedHand"],
  },
] satisfies MovementInput[];
