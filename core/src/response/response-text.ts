/** A proposal in words, each rule with its figures. Trainers' screens are English. */
import type { Words } from "../language";
import type { AlertKind } from "../safety";
import type { Fired, Response } from "./facts";

export const DECISION_WORDS = {
  progress: "Progress",
  hold: "Hold",
  ease: "Ease",
  pauseAndRefer: "Pause and refer",
} as const;

/** What an alert is about, in the middle of a sentence. */
export const ALERT_NAMES: Readonly<Record<AlertKind, string>> = {
  sharpPain: "sharp pain",
  tingling: "tingling",
  numbness: "numbness",
  weakness: "weakness",
  swelling: "swelling",
  other: "something else",
  morning: "a bad morning",
};

/** One sentence a rule. */
export function firedText(fired: Fired): string {
  switch (fired.rule) {
    case "tingling": {
      const where = [fired.marks > 0 && `${times(fired.marks)} in a run`, fired.mornings > 0 && `${times(fired.mornings)} in the morning`];
      return `Tingling or numbness ${where.filter(Boolean).join(" and ")}${fired.afterEasing ? ", still there after easing one step" : ""}.`;
    }
    case "stoppedEarly":
      return `Stopped early ${times(fired.marks)}${fired.afterEasing ? ", again after easing" : ""}.`;
    case "tooMuch":
      if (fired.farOver !== undefined) return `Effort ${fired.farOver} in one session, far over the cap of ${fired.cap}.`;
      return fired.overCap >= 2
        ? `Effort over the cap of ${fired.cap} in the last ${fired.overCap} runs.`
        : `"Too much" ${times(fired.marks)} in the last three runs.`;
    case "settling":
      return `Mornings up by ${points(fired.rise)} on day ${fired.day}. Up to ${fired.allowed} in the first ${fired.days} days is expected: ease the stretch, keep going.`;
    case "morningRaised":
      if (fired.pattern === "high") return `A morning up by ${points(fired.rise)}; ${fired.allowed} is the most that is expected.`;
      if (fired.pattern === "often" && !fired.afterEasing)
        return `Mornings up on three or more of the last five, by up to ${points(fired.rise)}; it should settle within ${fired.days} days.`;
      if (fired.afterEasing) return `Mornings up by ${points(fired.rise)} again on the eased form.`;
      return fired.rise > fired.allowed
        ? `Mornings up by ${points(fired.rise)}; ${fired.allowed} is the most that is expected.`
        : `Mornings still up by ${points(fired.rise)} on day ${fired.day}; it should settle within ${fired.days} days.`;
    case "reported":
      return `Reported: ${ALERT_NAMES[fired.kind]}.`;
    case "overruled":
      return `You chose against "${DECISION_WORDS[fired.proposed].toLowerCase()}", and nothing new has come in since.`;
    case "noGain":
      return `No better after ${fired.days} days with ${Math.round(fired.donePercent)} % of the sessions done: ${figure(fired.before)} at the start, ${figure(fired.now)} now.`;
    case "readyForMore":
      return `Top of the dose in ${fired.runs} runs in a row, effort at most ${fired.highestEffort} (cap ${fired.cap}, ${fired.margin} below it wanted), mornings not raised.`;
    case "atTheTop":
      return {
        top: "Nothing further on this ladder.",
        kit: "The next step needs kit the crew does not have.",
        place: "The next step cannot be done at this place.",
        noHeavier: "There is no heavier weight in the kit.",
      }[fired.stop];
    case "oneAtATime":
      return "Something else of this person is raised first: one thing at a time.";
    case "notYet":
      return `${fired.cleanRuns} of ${fired.wanted} clean runs in a row.`;
  }
}

/** What exactly changes; empty when nothing does. */
export function changeText({ kind, next, raised, largeStep }: Response, movementId: string, words: Words): string {
  if (kind === "pauseAndRefer") return "Out of this item until you take it up again; a clinician should look at it.";
  if (!next) return "";
  const form = words.formName(movementId, next.formId);
  if (raised === "load") return `Next load: ${words.load(next)}${largeStep ? ", a step over 10 %: the kit has none smaller" : ""}.`;
  if (raised === "dose") return `Next dose: ${words.dose(next.dose)}.`;
  return `Next form: ${form.toLowerCase()}, ${words.dose(next.dose)}${next.loadKg === null ? "" : `, ${words.load(next)}`}.`;
}

function times(count: number): string {
  return count === 1 ? "once" : count === 2 ? "twice" : `${count} times`;
}

function points(count: number): string {
  return `${figure(count)} ${count === 1 ? "point" : "points"}`;
}

function figure(value: number): string {
  return Number.isInteger(value) ? String(value) : value.toFixed(1);
}
