/** Findings and changes in plain words with their figures, for the trainer. No diagnosis, no advice that is a clinician's. */
import type { HandSide } from "../units";
import type { Change } from "./changes";
import type { Finding } from "./findings";
import type { FunctionTest } from "./function-tests";
import type { Motion } from "./motions";
import { ANGLE_NOISE_DEG } from "./thresholds";

export const MOTION_NAMES: Readonly<Record<Motion, string>> = {
  wristFlexion: "Wrist bends forward",
  wristExtension: "Wrist bends back",
  radialDeviation: "Tilts to the thumb side",
  ulnarDeviation: "Tilts to the little-finger side",
  palmUp: "Turns palm up",
  palmDown: "Turns palm down",
  elbowBend: "Elbow bends",
};

export const FUNCTION_TEST_NAMES: Readonly<Record<FunctionTest, string>> = {
  twistLid: "Twist a tight lid open",
  holdTool: "Hold the tool for 30 s",
  stapleLever: "Ten squeezes of the staple lever",
  wringTowel: "Wring a wet towel",
  pressThumb: "Press 5 kg on the scale with the thumb",
  turnKey: "Turn a stiff key",
};

/** @param regionName display name of a region */
export function findingText(finding: Finding, regionName: (region: string) => string): string {
  switch (finding.kind) {
    case "shortRange":
      return `${of(finding.side)}: ${lower(finding.motion)} ${finding.activeDeg}° of ${finding.referenceDeg}°, ${finding.referenceDeg - finding.activeDeg}° short.`;
    case "sideDifference":
      return `${of(finding.side)}: ${lower(finding.motion)} ${finding.activeDeg}°, the other hand ${finding.otherDeg}°: ${finding.otherDeg - finding.activeDeg}° less.`;
    case "rangeWithoutStrength":
      return `${of(finding.side)}: ${lower(finding.motion)} ${finding.activeDeg}° alone and ${finding.assistedDeg}° with help: range without strength.`;
    case "weakGrip":
      return `${of(finding.side)} grip ${kg(finding.meanKg)}, the other ${kg(finding.otherKg)}: ${kg(finding.expectedKg - finding.meanKg)} less than that lets expect; it counts from ${kg(finding.countsFromKg)}.`;
    case "gripScatter":
      return `${of(finding.side)} grip scatters by ${Math.round(finding.spread * 100)} % over ${finding.trials} trials: too much to lean on.`;
    case "symptom":
      return `${of(finding.side)} ${regionName(finding.region).toLowerCase()}: something felt, ${finding.level} of 10. Strengthening there stays at 4 or less.`;
    case "noise":
      return finding.measure === "grip"
        ? `Grip left ${kg(finding.left)}, right ${kg(finding.right)}: too close to tell apart.`
        : `${MOTION_NAMES[finding.measure]}: left ${finding.left}°, right ${finding.right}°, under ${ANGLE_NOISE_DEG}° apart is measurement noise.`;
  }
}

export function changeText({ measure, before, after, countsFrom, verdict }: Change): string {
  const unit = measure === "grip" ? " kg" : measure === "function" ? "" : "°";
  const figure = (value: number) => `${measure === "grip" ? value.toFixed(1) : value}${unit}`;
  const moved = `${figure(before)} → ${figure(after)}`;
  return verdict === "noise" ? `${moved}, noise: it counts from ${figure(countsFrom)}` : `${moved}, ${verdict}`;
}

function of(side: HandSide): string {
  return side === "left" ? "Left" : "Right";
}

function lower(motion: Motion): string {
  const name = MOTION_NAMES[motion];
  return name[0]!.toLowerCase() + name.slice(1);
}

function kg(value: number): string {
  return `${value.toFixed(1)} kg`;
}
