/**
 * Measured motions with their full ranges: American Academy of Orthopaedic Surgeons. Joint Motion: Method of Measuring and
 * Recording. 1965. And which region a short range or a weak end of it points to.
 */
import type { Region } from "../library";

export const MOTIONS = ["wristFlexion", "wristExtension", "radialDeviation", "ulnarDeviation", "palmUp", "palmDown", "elbowBend"] as const;
export type Motion = (typeof MOTIONS)[number];

interface MotionFacts {
  /** Full range, degrees. */
  referenceDeg: number;
  /** What is lengthened at its end: short there, it holds the motion back. */
  stretches: Region;
  /** What moves it: the range is there with help but not alone, it is weak there. */
  movedBy: Region;
}

export const MOTION_FACTS: Readonly<Record<Motion, MotionFacts>> = {
  wristFlexion: { referenceDeg: 80, stretches: "wristExtensors", movedBy: "wristFlexors" },
  wristExtension: { referenceDeg: 70, stretches: "wristFlexors", movedBy: "wristExtensors" },
  radialDeviation: { referenceDeg: 20, stretches: "littleFingerSideWrist", movedBy: "thumbSideWrist" },
  ulnarDeviation: { referenceDeg: 30, stretches: "thumbSideWrist", movedBy: "littleFingerSideWrist" },
  palmUp: { referenceDeg: 80, stretches: "pronators", movedBy: "supinators" },
  palmDown: { referenceDeg: 80, stretches: "supinators", movedBy: "pronators" },
  elbowBend: { referenceDeg: 150, stretches: "elbowOuter", movedBy: "elbowInner" },
};

/** Most a reading can be: the reference and this much more, for very mobile joints. */
export const OVER_REFERENCE_DEG = 40;
