/** What a record shows, with figures: what counts, and what is only noise. */
import type { Region } from "../library";
import { ADDED_POINTS, type NeedFinding } from "../need";
import { HAND_SIDES, type Handedness, type HandSide } from "../units";
import { gripOf, type GripSummary } from "./grip";
import { MOTION_FACTS, MOTIONS, type Motion } from "./motions";
import type { BaselineRecord } from "./record";
import {
  ANGLE_NOISE_DEG,
  expectedGripKg,
  GRIP_SPREAD,
  GRIP_TRIALS,
  gripDiffers,
  gripNoise,
  SHORT_SHARE,
  SIDES_DIFFER_DEG,
  WITHOUT_STRENGTH_DEG,
} from "./thresholds";

export type Finding =
  | { kind: "shortRange"; side: HandSide; motion: Motion; activeDeg: number; referenceDeg: number; region: Region }
  | { kind: "sideDifference"; side: HandSide; motion: Motion; activeDeg: number; otherDeg: number; region: Region }
  | { kind: "rangeWithoutStrength"; side: HandSide; motion: Motion; activeDeg: number; assistedDeg: number; region: Region }
  | { kind: "weakGrip"; side: HandSide; meanKg: number; otherKg: number; expectedKg: number; countsFromKg: number; region: Region }
  | { kind: "gripScatter"; side: HandSide; spread: number; trials: number }
  | { kind: "symptom"; side: HandSide; region: Region; level: number }
  /** Measured, different, and not to be made anything of. */
  | { kind: "noise"; measure: Motion | "grip"; left: number; right: number };

/** Main hand of a person; null when it is not known. */
export type MainHand = Handedness | null;

/**
 * Everything a record shows, what counts before what is noise.
 * @param record may be half filled @param mainHand what a difference of grip between the hands is held against
 */
export function findingsOf(record: BaselineRecord, mainHand: MainHand): Finding[] {
  const counted = [...rangeFindings(record), ...gripFindings(record, mainHand), ...symptomFindings(record)];
  return [...counted, ...noiseOf(record, mainHand)];
}

/** What findings add to the need of a region; nothing for scatter and noise. */
export function needFindings(findings: readonly Finding[]): NeedFinding[] {
  return findings.flatMap((finding): NeedFinding[] => {
    switch (finding.kind) {
      case "gripScatter":
      case "noise":
        return [];
      case "symptom":
        return [{ side: finding.side, region: finding.region, by: "symptom", points: ADDED_POINTS.symptomPerPoint * finding.level }];
      case "shortRange":
      case "sideDifference":
      case "rangeWithoutStrength":
      case "weakGrip":
        return [{ side: finding.side, region: finding.region, by: finding.kind, points: ADDED_POINTS[finding.kind] }];
    }
  });
}

/** A range misses more than the noise and at least 15 % of the reference. */
export function isShort(activeDeg: number, motion: Motion): boolean {
  const { referenceDeg } = MOTION_FACTS[motion];
  const missing = referenceDeg - activeDeg;
  return missing > ANGLE_NOISE_DEG && missing >= SHORT_SHARE * referenceDeg;
}

function rangeFindings(record: BaselineRecord): Finding[] {
  return MOTIONS.flatMap((motion) => {
    const { referenceDeg, stretches, movedBy } = MOTION_FACTS[motion];
    const angles = record.range[motion];
    return HAND_SIDES.flatMap((side): Finding[] => {
      const { active, assisted } = angles[side];
      if (active === null) return [];
      const other = angles[side === "left" ? "right" : "left"].active;
      const found: Finding[] = [];
      if (isShort(active, motion)) found.push({ kind: "shortRange", side, motion, activeDeg: active, referenceDeg, region: stretches });
      if (other !== null && other - active >= SIDES_DIFFER_DEG)
        found.push({ kind: "sideDifference", side, motion, activeDeg: active, otherDeg: other, region: stretches });
      if (assisted !== null && assisted - active >= WITHOUT_STRENGTH_DEG)
        found.push({ kind: "rangeWithoutStrength", side, motion, activeDeg: active, assistedDeg: assisted, region: movedBy });
      return found;
    });
  });
}

/** The hand that is weaker than the other one lets expect, by more than noise. */
function weakHand(left: GripSummary, right: GripSummary, mainHand: MainHand) {
  const lacks = (side: HandSide, own: GripSummary, other: GripSummary) => ({
    side,
    own,
    other,
    expectedKg: expectedGripKg(side, other.meanKg, mainHand),
  });
  return [lacks("left", left, right), lacks("right", right, left)].find(
    ({ own, expectedKg }) => own.meanKg < expectedKg && gripDiffers(expectedKg, own.meanKg),
  );
}

function gripFindings(record: BaselineRecord, mainHand: MainHand): Finding[] {
  const hands = HAND_SIDES.map((side) => ({ side, grip: gripOf(record.grip[side].map(({ kg }) => kg)) }));
  const found: Finding[] = [];
  const [left, right] = hands.map(({ grip }) => grip);
  const weak = left && right && weakHand(left, right, mainHand);
  if (weak)
    found.push({
      kind: "weakGrip",
      side: weak.side,
      meanKg: weak.own.meanKg,
      otherKg: weak.other.meanKg,
      expectedKg: weak.expectedKg,
      countsFromKg: gripNoise(weak.expectedKg),
      region: "fingerFlexors",
    });
  for (const { side, grip } of hands)
    if (grip && grip.trials >= GRIP_TRIALS && grip.spread > GRIP_SPREAD)
      found.push({ kind: "gripScatter", side, spread: grip.spread, trials: grip.trials });
  return found;
}

/** The strongest symptom of each place. */
function symptomFindings({ symptoms }: BaselineRecord): Finding[] {
  const worst = new Map<string, Finding & { kind: "symptom" }>();
  for (const { side, region, level } of symptoms) {
    const known = worst.get(`${side} ${region}`);
    if (level > 0 && (!known || known.level < level)) worst.set(`${side} ${region}`, { kind: "symptom", side, region, level });
  }
  return [...worst.values()];
}

function noiseOf(record: BaselineRecord, mainHand: MainHand): Finding[] {
  const angles = MOTIONS.flatMap((motion): Finding[] => {
    const [left, right] = [record.range[motion].left.active, record.range[motion].right.active];
    return left !== null && right !== null && left !== right && Math.abs(left - right) < ANGLE_NOISE_DEG
      ? [{ kind: "noise", measure: motion, left, right }]
      : [];
  });
  const [left, right] = HAND_SIDES.map((side) => gripOf(record.grip[side].map(({ kg }) => kg)));
  const small = left && right && left.meanKg !== right.meanKg && !weakHand(left, right, mainHand);
  return small ? [...angles, { kind: "noise", measure: "grip", left: left.meanKg, right: right.meanKg }] : angles;
}
