/** Opinions about work in words. */
import { numberText } from "../base/measures";
import type { ApartReason, Aspect, MethodId, Silence, Step, Verdict } from "@kind-grip/core/strain";
import { t } from "../base/words";

export const METHOD_NAMES: Readonly<Record<MethodId, string>> = {
  strainIndex: t("Strain index"),
  handActivity: t("Hand activity and peak force"),
  acceptableShare: t("Acceptable share of strength"),
  heldEffort: t("Held efforts and rest"),
  vibration: t("Vibration"),
};

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = { fine: t("fine"), look: t("look"), change: t("change") };

export const ASPECT_NAMES: Readonly<Record<Aspect, string>> = {
  peakForce: t("the hardest effort"),
  everyForce: t("how hard each effort is"),
  rate: t("how often"),
  duration: t("how long each"),
  dutyCycle: t("the share of the time"),
  rest: t("the rest between"),
  wristBend: t("the wrist bent or back"),
  hours: t("hours of it in a shift"),
  vibration: t("vibration"),
  sideTilt: t("the wrist tilted to a side"),
  gripKind: t("the kind of grip"),
  cold: t("cold"),
};

export const SILENCE_TEXT: Readonly<Record<Silence["silent"], string>> = {
  noEfforts: t("this hand does nothing in it"),
  notKnown: t("the tool's m/s² are not known"),
  noVibration: t("no tool that shakes"),
  lightEfforts: t("all so light that they can be held for as long as one likes"),
};

export const APART_TEXT: Readonly<Record<ApartReason, string>> = {
  wristBend: t("the bent wrist, which only one of them sees"),
  hours: t("the hours: one counts them, the other judges each task as if it took half a day or more"),
  peakForce: t("the hardest effort: one judges by it alone, the other weighs each effort by how often it comes"),
  rhythm: t("how the same working time is cut into efforts: many short ones or few long ones"),
  rest: t("the rest between efforts, which is enough here although force or rate are not, or the other way round"),
  vibration: t("the vibration, which no other method sees"),
  weights: t("nothing single: they weigh force, rate and time differently"),
};

export function stepText({ name, value }: Step): string {
  const figure = numberText(value, value < 10 ? 2 : 0);
  switch (name) {
    case "index":
      return t("index {{figure}}", { figure: numberText(value, 1) });
    case "dutyPercent":
      return t("at work {{figure}} % of the time", { figure });
    case "effortsPerSec":
      return t("{{figure}} efforts a second", { figure });
    case "activityLevel":
      return t("activity {{figure}} of 10", { figure });
    case "peakForce":
      return t("hardest effort {{figure}} of 10", { figure: numberText(value, 1) });
    case "acceptable":
      return t("acceptable {{figure}} % of one's strength", { figure });
    case "share":
      return t("used {{figure}} %", { figure });
    case "enduranceMin":
      return t("can be held for {{figure}} min", { figure });
    case "heldSec":
      return t("the hardest is held for {{figure}} s", { figure });
    case "restWantedSec":
      return t("wants {{figure}} s of rest a minute", { figure });
    case "restThereSec":
      return t("has {{figure}} s", { figure });
    case "vibrationMs2":
      return t("{{figure}} m/s²", { figure });
    case "runsHours":
      return t("runs {{figure}} h a shift", { figure });
  }
}
