/**
 * How much of an effort each region takes, 0 (nothing) to 1 (all of it); regions share freely, the shares do not add up to 1.
 * A planning table of this practice, ordered by which muscles a grip and a posture use (Gray's Anatomy, 1918); not measured,
 * not a validated risk score.
 */
import type { Region, WorkPosture } from "../library";
import type { Grip } from "../strain";

export type Shares = Partial<Record<Region, number>>;

export const GRIP_SHARES: Readonly<Record<Grip, Shares>> = {
  power: {
    fingerFlexors: 1,
    wristExtensors: 0.7,
    elbowOuter: 0.5,
    fingerExtensors: 0.4,
    handIntrinsics: 0.4,
    thumbBase: 0.4,
    wristFlexors: 0.4,
    elbowInner: 0.3,
  },
  pinch: {
    thumbBase: 1,
    handIntrinsics: 0.8,
    fingerFlexors: 0.6,
    wristExtensors: 0.5,
    fingerExtensors: 0.4,
    thumbSideWrist: 0.4,
    elbowOuter: 0.4,
  },
  thumbPress: {
    thumbBase: 1,
    thumbSideWrist: 0.7,
    handIntrinsics: 0.5,
    wristExtensors: 0.4,
    fingerFlexors: 0.3,
    elbowOuter: 0.3,
    shoulderNeck: 0.3,
  },
  palmPush: { wristFlexors: 0.6, littleFingerSideWrist: 0.5, elbowInner: 0.4, handIntrinsics: 0.4, wristExtensors: 0.3, shoulderNeck: 0.4 },
  hook: { fingerFlexors: 1, elbowInner: 0.4, wristExtensors: 0.4, elbowOuter: 0.3, wristFlexors: 0.3, shoulderNeck: 0.3 },
};

/** What a posture adds to the share of a region; a share never passes 1. */
export const POSTURE_SHARES: Readonly<Partial<Record<WorkPosture | "palmUp" | "radialDeviation" | "ulnarDeviation", Shares>>> = {
  wristBent: { wristFlexors: 0.3, fingerFlexors: 0.2, elbowInner: 0.2 },
  wristBentBack: { wristExtensors: 0.3, elbowOuter: 0.3 },
  radialDeviation: { thumbSideWrist: 0.4 },
  ulnarDeviation: { littleFingerSideWrist: 0.4, thumbSideWrist: 0.2 },
  palmDown: { pronators: 0.6, elbowOuter: 0.3 },
  palmUp: { supinators: 0.6, elbowInner: 0.3 },
  roundedShoulders: { shoulderNeck: 0.6 },
};

/** From these angles on a wrist counts as out of the straight. */
export const POSTURE_FROM_DEG = { bent: 15, bentBack: 15, tilted: 10 } as const;

/** Vibration and cold make the same effort cost more: planning weights of this practice. */
export const EXERTION_FACTORS = { vibration: { none: 1, some: 1.1, strong: 1.25 }, cold: 1.15 } as const;
