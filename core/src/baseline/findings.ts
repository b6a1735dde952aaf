/** What a record shows, with figures: what counts, and what is only noise. */
import type { Region } from "../library";
import { ADDED_POINTS, type NeedFinding } from "../need";
import { HAND_SIDES, type Handedness, type HandSide } from "../units";
import { gripOf, type GripSummary } from "./grip";
import { MOTION_FACTS, MOTIONS, type Motion } from "./motions";
import type { BaselineRecord } from "./record";
import { sittingRules, weakGripFrom, type MeasuringNoise } from "./noise";
import { expectedGripKg, GRIP_SPREAD, GRIP_TRIALS, SHORT_SHARE } from "./thresholds";

export type Finding =
  | { kind: "shortRange"; side: HandSide; motion: Motion; activeDeg: number; referenceDeg: number; region: Region }
  | { kind: "sideDifference"; side: HandSide; motion: Motion; activeDeg: number; otherDeg: number; region: Region }
  | { kind: "rangeWithoutStrength"; side: HandSide; motion: Motion; activeDeg: number; assistedDeg: number; region: Region }
  | { kind: "weakGrip"; side: HandSide; meanKg: number; otherKg: number; expectedKg: number; countsFromKg: number; region: Region }
  | { kind: "gripScatter"; side: HandSide; spread: number; trials: number }
  | { kind: "symptom"; side: HandSide; region: Region; level: number }
  /** Measured, different, and not to be made anything of. */
  | { kind: "noise"; measure: Motion; left: number; right: number; underDeg: number }
  | { kind: "noise"; measure: "grip"; left: number; right: number };

/** Main hand of a person; null when it is not known. */
export type MainHand = Handedness | null;

/**
 * Everything a record shows, what counts before what is noise.
 * @param record may be half filled @param mainHand what a difference of grip between the hands is held against @param noise of the practice that measured
 */
export function findingsOf(record: BaselineRecord, mainHand: MainHand, noise: MeasuringNoise): Finding[] {
  const counted = [...rangeFindings(record, noise), ...gripFindings(record, mainHand, noise), ...symptomFindings(record)];
  return [...counted, ...noiseOf(record, mainHand, noise)];
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
export function isShort(activeDeg: number, motion: Motion, noise: MeasuringNoise): boolean {
  const { referenceDeg } = MOTION_FACTS[motion];
  const missing = referenceDeg - activeDeg;
  return missing > sittingRules(noise, motion).readingDeg && missing >= SHORT_SHARE * referenceDeg;
}

function rangeFindings(record: BaselineRecord, noise: MeasuringNoise): Finding[] {
  return MOTIONS.flatMap((motion) => {
    const { referenceDeg, stretches, movedBy } = MOTION_FACTS[motion];
    const angles = record.range[motion];
    const { sidesDifferDeg, withoutStrengthDeg } = sittingRules(noise, motion);
    return HAND_SIDES.flatMap((side): Finding[] => {
      const { active, assisted } = angles[side];
      if (active === null) return [];
      const other = angles[side === "left" ? "right" : "left"].active;
      const found: Finding[] = [];
      if (isShort(active, motion, noise))
        found.push({ kind: "shortRange", side, motion, activeDeg: active, referenceDeg, region: stretches });
      if (other !== null && other - active >= sidesDifferDeg)
        found.push({ kind: "sideDifference", side, motion, activeDeg: active, otherDeg: other, region: stretches });
      if (assisted !== null && assisted - active >= withoutStrengthDeg)
        found.push({ kind: "rangeWithoutStrength", side, motion, activeDeg: active, assistedDeg: assisted, region: movedBy });
      return found;
    });
  });
}

/** The hand that is weaker than the other one lets expect, by more than noise. */
function weakHand(left: GripSummary, right: GripSummary, mainHand: MainHand, noise: MeasuringNoise) {
  const lacks = (side: HandSide, own: GripSummary, other: GripSummary) => ({
    side,
    own,
    other,
    expectedKg: expectedGripKg(side, other.meanKg, mainHand),
  });
  return [lacks("left", left, right), lacks("right", right, left)].find(
    ({ own, expectedKg }) => expectedKg - own.meanKg >= weakGripFrom(noise, expectedKg) - 1e-9,
  );
}

function gripFindings(record: BaselineRecord, mainHand: MainHand, noise: MeasuringNoise): Finding[] {
  const hands = HAND_SIDES.map((side) => ({ side, grip: gripOf(record.grip[side].map(({ kg }) => kg)) }));
  const found: Finding[] = [];
  const [left, right] = hands.map(({ grip }) => grip);
  const weak = left && right && weakHand(left, right, mainHand, noise);
  if (weak)
    found.push({
      kind: "weakGrip",
      side: weak.side,
      meanKg: weak.own.meanKg,
      otherKg: weak.other.meanKg,
      expectedKg: weak.expectedKg,
      countsFromKg: weakGripFrom(noise, weak.expectedKg),
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

function noiseOf(record: BaselineRecord, mainHand: MainHand, noise: MeasuringNoise): Finding[] {
  const angles = MOTIONS.flatMap((motion): Finding[] => {
    const [left, right] = [record.range[motion].left.active, record.range[motion].right.active];
    const underDeg = sittingRules(noise, motion).readingDeg;
    return left !== null && right !== null && left !== right && Math.abs(left - right) < underDeg
      ? [{ kind: "noise", measure: motion, left, right, underDeg }]
      : [];
  });
  const [left, right] = HAND_SIDES.map((side) => gripOf(record.grip[side].map(({ kg }) => kg)));
  const small = left && right && left.meanKg !== right.meanKg && !weakHand(left, right, mainHand, noise);
  return small ? [...angles, { kind: "noise", measure: "grip", left: left.meanKg, right: right.meanKg }] : angles;
}
