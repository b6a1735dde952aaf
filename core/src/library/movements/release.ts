/** Release: pressure by hand or tool on relaxed tissue. Sore is enough; numbness stops it. */
import { PHASE_CAP } from "../caps";
import { timed } from "../doses";
import type { MovementInput } from "../movement";

const shared = {
  phase: "release",
  settings: ["any"],
  kit: [],
  effortCap: PHASE_CAP.release,
  sideModes: ["inTurn"],
} satisfies Partial<MovementInput>;

export const release = [
  {
    ...shared,
    id: "forearm-roll",
    kit: ["roller", "ball"],
    settings: ["table"],
    regions: { released: ["wristFlexors", "fingerFlexors", "wristExtensors"] },
    motions: ["pressure along the forearm"],
    forms: [{ id: "roll" }, { id: "press-and-move" }],
    startForm: "roll",
    doses: { usual: timed(40) },
    readySec: 8,
    switchSec: 5,
    reverses: ["closedHand"],
  },
  {
    ...shared,
    id: "forearm-knead",
    regions: { released: ["wristFlexors", "wristExtensors", "elbowOuter"] },
    motions: ["pressure along the forearm"],
    forms: [{ id: "light" }, { id: "deep" }],
    startForm: "light",
    doses: { usual: timed(40) },
    readySec: 4,
    switchSec: 3,
    reverses: ["closedHand"],
  },
  {
    ...shared,
    id: "palm-knuckle-circles",
    regions: { released: ["handIntrinsics", "thumbBase"] },
    motions: ["pressure into the palm"],
    forms: [{ id: "light" }, { id: "deep" }],
    startForm: "light",
    doses: { usual: timed(30) },
    readySec: 4,
    switchSec: 3,
    reverses: ["closedHand", "thumbPressed"],
  },
] satisfies MovementInput[];
