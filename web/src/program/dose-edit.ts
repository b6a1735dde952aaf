/** The numbers of a dose that can be pulled, stepped or typed, with their ranges: one table for score, inspector and keys. */
import type { Dose } from "@kind-grip/core/session";
import { t } from "../base/words";

export interface DoseNumber {
  key: string;
  label: string;
  unit?: string;
  value: number;
  min: number;
  max: number;
  step: number;
  set(value: number): Dose;
}

/** The number that is the length of one bout: pulled at the inner edge, Up and Down on the keyboard. */
export function lengthOf(dose: Dose): DoseNumber {
  switch (dose.kind) {
    case "holds":
      return {
        key: "holdSec",
        label: t("Hold"),
        unit: "s",
        value: dose.holdSec,
        min: 1,
        max: 180,
        step: 1,
        set: (holdSec) => ({ ...dose, holdSec }),
      };
    case "reps":
      return { key: "reps", label: t("Repetitions"), value: dose.reps, min: 1, max: 60, step: 1, set: (reps) => ({ ...dose, reps }) };
    case "timed":
      return {
        key: "workSec",
        label: t("Work"),
        unit: "s",
        value: dose.workSec,
        min: 5,
        max: 600,
        step: 5,
        set: (workSec) => ({ ...dose, workSec }),
      };
    case "steps":
      return {
        key: "stepsUsed",
        label: t("Last step used"),
        value: dose.stepsUsed,
        min: 1,
        max: 6,
        step: 1,
        set: (stepsUsed) => ({ ...dose, stepsUsed }),
      };
  }
}

/** The number of bouts: pulled at the outer edge, Shift with Up and Down on the keyboard. */
export function countOf(dose: Dose): DoseNumber {
  switch (dose.kind) {
    case "holds":
      return { key: "holds", label: t("Holds"), value: dose.reps, min: 1, max: 30, step: 1, set: (reps) => ({ ...dose, reps }) };
    case "reps":
    case "timed":
      return { key: "sets", label: t("Sets"), value: dose.sets, min: 1, max: 10, step: 1, set: (sets) => ({ ...dose, sets }) };
    case "steps":
      return { key: "rounds", label: t("Rounds"), value: dose.rounds, min: 1, max: 10, step: 1, set: (rounds) => ({ ...dose, rounds }) };
  }
}

/** All numbers of a dose, most wanted first. */
export function numbersOf(dose: Dose): DoseNumber[] {
  const rest: DoseNumber = {
    key: "restSec",
    label: t("Rest"),
    unit: "s",
    value: dose.restSec,
    min: 0,
    max: 300,
    step: 1,
    set: (restSec) => ({ ...dose, restSec }),
  };
  const tempo = (key: "outSec" | "endPauseSec" | "backSec" | "startPauseSec", label: string): DoseNumber[] =>
    dose.kind === "reps"
      ? [
          {
            key,
            label,
            unit: "s",
            value: dose.tempo[key],
            min: key === "outSec" ? 1 : 0,
            max: 15,
            step: 0.5,
            set: (value) => ({ ...dose, tempo: { ...dose.tempo, [key]: value } }),
          },
        ]
      : [];
  const slides: DoseNumber[] =
    dose.kind === "steps"
      ? [
          {
            key: "stepSec",
            label: t("Each step"),
            unit: "s",
            value: dose.stepSec,
            min: 1,
            max: 30,
            step: 0.5,
            set: (stepSec) => ({ ...dose, stepSec }),
          },
          { key: "slides", label: t("Slides"), value: dose.slides, min: 0, max: 4, step: 1, set: (value) => ({ ...dose, slides: value }) },
          {
            key: "slideReps",
            label: t("Times each"),
            value: dose.slideReps,
            min: 1,
            max: 10,
            step: 1,
            set: (slideReps) => ({ ...dose, slideReps }),
          },
          {
            key: "slideSec",
            label: t("Each slide"),
            unit: "s",
            value: dose.slideSec,
            min: 1,
            max: 15,
            step: 0.5,
            set: (slideSec) => ({ ...dose, slideSec }),
          },
        ]
      : [];
  return [
    countOf(dose),
    lengthOf(dose),
    rest,
    ...tempo("outSec", t("Out")),
    ...tempo("endPauseSec", t("Stay")),
    ...tempo("backSec", t("Back")),
    ...tempo("startPauseSec", t("Pause")),
    ...slides,
  ];
}

/** A number moved by whole steps, inside its range. */
export function nudged(number: DoseNumber, steps: number): Dose {
  const value = Math.round((number.value + steps * number.step) / number.step) * number.step;
  return number.set(Math.max(number.min, Math.min(number.max, value)));
}
