/** A dose: how long, how often, how paced. Four kinds; each compiles to equal bouts with rest between. */
import * as v from "valibot";
import { Seconds } from "../units";

const count = (min: number, max: number, noun: string) =>
  v.pipe(
    v.number("must be a number"),
    v.integer("must be a whole number"),
    v.minValue(min, `must be ${min} to ${max} ${noun}`),
    v.maxValue(max, `must be ${min} to ${max} ${noun}`),
  );

/** One repetition: out to the end, pause there, back, pause at the start. */
const TempoParts = v.strictObject({
  outSec: Seconds(0, 15),
  endPauseSec: Seconds(0, 15),
  backSec: Seconds(0, 15),
  startPauseSec: Seconds(0, 15),
});
export type Tempo = v.InferOutput<typeof TempoParts>;
export const Tempo = v.pipe(
  TempoParts,
  v.check((tempo) => tempoSec(tempo) >= 1, "one repetition must take at least 1 second"),
);

export const HoldsDose = v.strictObject({
  kind: v.literal("holds"),
  reps: count(1, 30, "holds"),
  holdSec: Seconds(1, 180),
  restSec: Seconds(0, 300),
});
export const RepsDose = v.strictObject({
  kind: v.literal("reps"),
  sets: count(1, 10, "sets"),
  reps: count(1, 60, "repetitions"),
  tempo: Tempo,
  restSec: Seconds(0, 300),
});
export const TimedDose = v.strictObject({
  kind: v.literal("timed"),
  sets: count(1, 10, "sets"),
  workSec: Seconds(5, 600),
  restSec: Seconds(0, 300),
});
export const StepsDose = v.strictObject({
  kind: v.literal("steps"),
  rounds: count(1, 10, "rounds"),
  stepsUsed: count(1, 6, "steps"),
  stepSec: Seconds(1, 30),
  slides: count(0, 4, "slides"),
  slideReps: count(1, 10, "repeats"),
  slideSec: Seconds(1, 15),
  restSec: Seconds(0, 300),
});

export const Dose = v.variant("kind", [HoldsDose, RepsDose, TimedDose, StepsDose]);
export type Dose = v.InferOutput<typeof Dose>;
export type DoseKind = Dose["kind"];

/** The stretch of work a dose repeats: `count` bouts of `lengthSec`, at least `restSec` between two on one side. */
export interface Bouts {
  kind: "hold" | "work";
  count: number;
  lengthSec: number;
  restSec: number;
  /** Repetitions inside one bout, for counting. A hold is one. A timed bout has none. */
  repsPerBout: number;
  /** Seconds of one bout in which tissue is under tension; the pause at the start of a repetition is not. */
  tensionSec: number;
}

/** Seconds of one whole repetition. */
export function tempoSec(tempo: Tempo): number {
  return tempo.outSec + tempo.endPauseSec + tempo.backSec + tempo.startPauseSec;
}

/** What a dose asks for, in seconds. The one place where the four kinds become time. */
export function boutsOf(dose: Dose): Bouts {
  switch (dose.kind) {
    case "holds":
      return { kind: "hold", count: dose.reps, lengthSec: dose.holdSec, restSec: dose.restSec, repsPerBout: 1, tensionSec: dose.holdSec };
    case "reps":
      return {
        kind: "work",
        count: dose.sets,
        lengthSec: dose.reps * tempoSec(dose.tempo),
        restSec: dose.restSec,
        repsPerBout: dose.reps,
        tensionSec: dose.reps * (tempoSec(dose.tempo) - dose.tempo.startPauseSec),
      };
    case "timed":
      return { kind: "work", count: dose.sets, lengthSec: dose.workSec, restSec: dose.restSec, repsPerBout: 0, tensionSec: dose.workSec };
    case "steps": {
      const lengthSec = dose.stepsUsed * dose.stepSec + dose.slides * dose.slideReps * dose.slideSec;
      return {
        kind: "work",
        count: dose.rounds,
        lengthSec,
        restSec: dose.restSec,
        repsPerBout: dose.slides * dose.slideReps,
        tensionSec: lengthSec,
      };
    }
  }
}

/** Seconds under tension of a whole dose, one side. */
export function tensionOf(dose: Dose): number {
  const { count, tensionSec } = boutsOf(dose);
  return count * tensionSec;
}

/** Short name of a dose, as written on a block of the score: `3 × 20 s`, `2 × 12 at 3-0-3-1`, `60 s`. */
export function doseText(dose: Dose): string {
  switch (dose.kind) {
    case "holds":
      return `${dose.reps} × ${dose.holdSec} s`;
    case "reps": {
      const { outSec, endPauseSec, backSec, startPauseSec } = dose.tempo;
      const pace = `${dose.reps} at ${outSec}-${endPauseSec}-${backSec}-${startPauseSec}`;
      return dose.sets === 1 ? pace : `${dose.sets} × ${pace}`;
    }
    case "timed":
      return dose.sets === 1 ? `${dose.workSec} s` : `${dose.sets} × ${dose.workSec} s`;
    case "steps": {
      const steps = counted(dose.stepsUsed, "step");
      const slides = dose.slides * dose.slideReps;
      const round = slides === 0 ? steps : `${steps}, ${counted(slides, "slide")}`;
      return dose.rounds === 1 ? round : slides === 0 ? `${dose.rounds} × ${round}` : `${dose.rounds} × (${round})`;
    }
  }
}

const counted = (count: number, thing: string) => `${count} ${thing}${count === 1 ? "" : "s"}`;
