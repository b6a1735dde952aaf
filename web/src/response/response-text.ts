/** A proposal in words, each rule with its figures. */
import type { Words } from "@kind-grip/core/language";
import type { AlertKind } from "@kind-grip/core/safety";
import type { Fired, Response } from "@kind-grip/core/response";
import { numberText } from "../base/measures";
import { daysText } from "../base/amounts";
import { t } from "../base/words";

export const DECISION_WORDS = {
  progress: t("Progress"),
  hold: t("Hold"),
  ease: t("Ease"),
  pauseAndRefer: t("Pause and refer"),
} as const;

/** What an alert is about, in the middle of a sentence. */
export const ALERT_NAMES: Readonly<Record<AlertKind, string>> = {
  sharpPain: t("sharp pain"),
  tingling: t("tingling"),
  numbness: t("numbness"),
  weakness: t("weakness"),
  swelling: t("swelling"),
  other: t("something else"),
  morning: t("a bad morning"),
};

/** One sentence a rule. */
export function firedText(fired: Fired): string {
  switch (fired.rule) {
    case "tingling": {
      const where = [
        fired.marks > 0 && t("{{marks}} in a run", { marks: times(fired.marks) }),
        fired.mornings > 0 && t("{{mornings}} in the morning", { mornings: times(fired.mornings) }),
      ];
      return t("Tingling or numbness {{where}}{{what}}.", {
        where: where.filter(Boolean).join(" and "),
        what: fired.afterEasing ? t(", still there after easing one step") : "",
      });
    }
    case "stoppedEarly":
      return t("Stopped early {{marks}}{{what}}.", { marks: times(fired.marks), what: fired.afterEasing ? t(", again after easing") : "" });
    case "tooMuch":
      if (fired.farOver !== undefined)
        return t("Effort {{farOver}} in one session, far over the cap of {{cap}}.", { farOver: fired.farOver, cap: fired.cap });
      return fired.overCap >= 2
        ? t("Effort over the cap of {{cap}} in the last {{overCap}} runs.", { cap: fired.cap, overCap: fired.overCap })
        : t('"Too much" {{marks}} in the last three runs.', { marks: times(fired.marks) });
    case "settling":
      return t(
        "Mornings up by {{rise}} on day {{day}}. Up to {{allowed}} in the first {{days}} is expected: ease the stretch, keep going.",
        { rise: points(fired.rise), day: fired.day, allowed: fired.allowed, days: daysText(fired.days) },
      );
    case "morningRaised":
      if (fired.pattern === "high")
        return t("A morning up by {{rise}}; {{allowed}} is the most that is expected.", {
          rise: points(fired.rise),
          allowed: fired.allowed,
        });
      if (fired.pattern === "often" && !fired.afterEasing)
        return t("Mornings up on three or more of the last five, by up to {{rise}}; it should settle within {{days}}.", {
          rise: points(fired.rise),
          days: daysText(fired.days),
        });
      if (fired.afterEasing) return t("Mornings up by {{rise}} again on the eased form.", { rise: points(fired.rise) });
      return fired.rise > fired.allowed
        ? t("Mornings up by {{rise}}; {{allowed}} is the most that is expected.", { rise: points(fired.rise), allowed: fired.allowed })
        : t("Mornings still up by {{rise}} on day {{day}}; it should settle within {{days}}.", {
            rise: points(fired.rise),
            day: fired.day,
            days: daysText(fired.days),
          });
    case "reported":
      return t("Reported: {{alertNames}}.", { alertNames: ALERT_NAMES[fired.kind] });
    case "overruled":
      return t('You chose against "{{decisionWords}}", and nothing new has come in since.', {
        decisionWords: DECISION_WORDS[fired.proposed].toLowerCase(),
      });
    case "noGain":
      return t("No better after {{days}} with {{donePercent}} % of the sessions done: {{before}} at the start, {{now}} now.", {
        days: daysText(fired.days),
        donePercent: Math.round(fired.donePercent),
        before: figure(fired.before),
        now: figure(fired.now),
      });
    case "readyForMore":
      return t(
        "Top of the dose in {{runs}} runs in a row, effort at most {{highestEffort}} (cap {{cap}}, {{margin}} below it wanted), mornings not raised.",
        { runs: fired.runs, highestEffort: fired.highestEffort, cap: fired.cap, margin: fired.margin },
      );
    case "atTheTop":
      return {
        top: t("Nothing further on this ladder."),
        kit: t("The next step needs kit the crew does not have."),
        tooHeavy: t("The lightest the kit has is too heavy to begin with."),
        place: t("The next step cannot be done at this place."),
        noHeavier: t("There is no heavier weight in the kit."),
      }[fired.stop];
    case "oneAtATime":
      return t("Something else of this person is raised first: one thing at a time.");
    case "notYet":
      return t("{{cleanRuns}} of {{wanted}} clean runs in a row.", { cleanRuns: fired.cleanRuns, wanted: fired.wanted });
  }
}

/** What comes instead: a form with its dose, a dose or a load; empty when nothing does. */
export function comesText({ next, raised, largeStep }: Response, movementId: string, words: Words): string {
  if (!next) return "";
  if (raised === "load") return `${words.load(next)}${largeStep ? t(", a step over 10 %: the kit has none smaller") : ""}`;
  if (raised === "dose") return words.dose(next.dose);
  const form = words.formName(movementId, next.formId).toLowerCase();
  return [form, words.dose(next.dose), ...(next.loadKg === null ? [] : [words.load(next)])].join(", ");
}

/** What exactly changes, as a sentence; empty when nothing does. */
export function changeText(response: Response, movementId: string, words: Words): string {
  if (response.kind === "pauseAndRefer") return t("Out of this item until you take it up again; a clinician should look at it.");
  const next = comesText(response, movementId, words);
  if (next === "") return "";
  if (response.raised === "load") return t("Next load: {{next}}.", { next });
  return response.raised === "dose" ? t("Next dose: {{next}}.", { next }) : t("Next form: {{next}}.", { next });
}

function times(count: number): string {
  return count === 1 ? "once" : count === 2 ? "twice" : t("{{number}} times", { number: count });
}

function points(count: number): string {
  return `${figure(count)} ${t("points", { count, defaultValue_one: "point" })}`;
}

function figure(value: number): string {
  return numberText(value, 1);
}
