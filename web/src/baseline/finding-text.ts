/** Findings and changes in plain words with their figures, for the trainer. No diagnosis, no advice that is a clinician's. */
import type { HandSide } from "@kind-grip/core/units";
import type { Change } from "@kind-grip/core/baseline";
import type { Finding } from "@kind-grip/core/baseline";
import type { FunctionTest } from "@kind-grip/core/baseline";
import type { Motion } from "@kind-grip/core/baseline";
import { FIELD_UNITS, fixedText, massText, numberText } from "../base/measures";
import { t } from "../base/words";

export const MOTION_NAMES: Readonly<Record<Motion, string>> = {
  wristFlexion: t("Wrist bends forward"),
  wristExtension: t("Wrist bends back"),
  radialDeviation: t("Tilts to the thumb side"),
  ulnarDeviation: t("Tilts to the little-finger side"),
  palmUp: t("Turns palm up"),
  palmDown: t("Turns palm down"),
  elbowBend: t("Elbow bends"),
};

export const FUNCTION_TEST_NAMES: Readonly<Record<FunctionTest, string>> = {
  twistLid: t("Twist a tight lid open"),
  holdTool: t("Hold the tool for 30 s"),
  stapleLever: t("Ten squeezes of the staple lever"),
  wringTowel: t("Wring a wet towel"),
  pressThumb: t("Press {{mass}} on the scale with the thumb", { mass: massText(5) }),
  turnKey: t("Turn a stiff key"),
};

/** @param regionName display name of a region */
export function findingText(finding: Finding, regionName: (region: string) => string): string {
  switch (finding.kind) {
    case "shortRange":
      return t("{{side}}: {{motion}} {{activeDeg}}° of {{referenceDeg}}°, {{referenceDeg2}}° short.", {
        side: of(finding.side),
        motion: lower(finding.motion),
        activeDeg: finding.activeDeg,
        referenceDeg: finding.referenceDeg,
        referenceDeg2: finding.referenceDeg - finding.activeDeg,
      });
    case "sideDifference":
      return t("{{side}}: {{motion}} {{activeDeg}}°, the other hand {{otherDeg}}°: {{otherDeg2}}° less.", {
        side: of(finding.side),
        motion: lower(finding.motion),
        activeDeg: finding.activeDeg,
        otherDeg: finding.otherDeg,
        otherDeg2: finding.otherDeg - finding.activeDeg,
      });
    case "rangeWithoutStrength":
      return t("{{side}}: {{motion}} {{activeDeg}}° alone and {{assistedDeg}}° with help: range without strength.", {
        side: of(finding.side),
        motion: lower(finding.motion),
        activeDeg: finding.activeDeg,
        assistedDeg: finding.assistedDeg,
      });
    case "weakGrip":
      return t(
        "{{side}} grip {{meanKg}}, the other {{otherKg}}: {{expectedKg}} less than that lets expect; it counts from {{countsFromKg}}.",
        {
          side: of(finding.side),
          meanKg: kg(finding.meanKg),
          otherKg: kg(finding.otherKg),
          expectedKg: kg(finding.expectedKg - finding.meanKg),
          countsFromKg: kg(finding.countsFromKg),
        },
      );
    case "gripScatter":
      return t("{{side}} grip scatters by {{spread}} % over {{trials}} trials: too much to lean on.", {
        side: of(finding.side),
        spread: Math.round(finding.spread * 100),
        trials: finding.trials,
      });
    case "symptom":
      return t("{{side}} {{region}}: something felt, {{level}} of 10. Strengthening there stays at 4 or less.", {
        side: of(finding.side),
        region: regionName(finding.region).toLowerCase(),
        level: finding.level,
      });
    case "noise":
      return finding.measure === "grip"
        ? t("Grip left {{left}}, right {{right}}: too close to tell apart.", { left: kg(finding.left), right: kg(finding.right) })
        : t("{{motionNames}}: left {{left}}°, right {{right}}°, under {{angleNoiseDeg}}° apart is measurement noise.", {
            motionNames: MOTION_NAMES[finding.measure],
            left: finding.left,
            right: finding.right,
            angleNoiseDeg: numberText(finding.underDeg, 1),
          });
  }
}

export function measureName(measure: Change["measure"]): string {
  return measure === "grip" ? t("Grip") : measure === "function" ? t("Function test") : MOTION_NAMES[measure];
}

/** A value of a measure with its unit. */
export function valueText(measure: Change["measure"], value: number): string {
  return measure === "grip" ? kg(value) : `${value}${measure === "function" ? "" : "°"}`;
}

export function changeText({ measure, before, after, countsFrom, verdict }: Change): string {
  const figure = (value: number) => valueText(measure, value);
  const moved = `${figure(before)} → ${figure(after)}`;
  return verdict === "noise"
    ? t("{{moved}}, noise: it counts from {{countsFrom}}", { moved, countsFrom: figure(countsFrom) })
    : `${moved}, ${verdict}`;
}

function of(side: HandSide): string {
  return side === "left" ? t("Left") : t("Right");
}

function lower(motion: Motion): string {
  const name = MOTION_NAMES[motion];
  return name[0]!.toLowerCase() + name.slice(1);
}

function kg(value: number): string {
  return `${fixedText(FIELD_UNITS.mass.shown(value), 1)} ${FIELD_UNITS.mass.unit}`;
}
