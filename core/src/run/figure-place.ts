/** Which moment of a movement's figure belongs to a moment of a run, so that the hand moves in time with the count. */
import type { Figure } from "../figure";
import type { Position } from "../session";

/** `place` counts along the figure's poses; `slide` is how far the last step's slide has gone, 0 … 1. */
export type FigurePlace = { place: number } | { slide: number };

/** Seconds of one easy repetition where the dose gives no pace of its own. */
const EASY_REPETITION_SEC = 4;
const EASY_STEP_SEC = 1.6;
/** A step or hold is entered this fast, then held still. */
const ENTER_SEC = 0.9;

const there = (share: number) => Math.max(0, Math.min(1, share));
const toAndFro = (share: number) => 1 - Math.abs(1 - 2 * (share - Math.floor(share)));

type Paced = Pick<Position, "phase" | "phaseShare" | "count" | "intoSec" | "segment">;

/**
 * The figure's place at a position of the timeline. Repetitions run out, stay, come back; a round or a row of shapes runs once a
 * repetition; holds and steps are entered and held; a timed bout goes on at an easy pace; getting ready and resting show the start.
 */
export function figurePlace(
  figure: Pick<Figure, "poses" | "way" | "slide">,
  { phase, phaseShare, count, intoSec, segment }: Paced,
): FigurePlace {
  const last = figure.poses.length - 1;
  const closed = figure.way === "thereAndBack" ? 0 : figure.poses.length;
  const { dose } = segment;
  switch (phase) {
    case "ready":
    case "switch":
    case "rest":
      return { place: 0 };
    case "out":
    case "endPause":
    case "back":
    case "startPause": {
      if (closed === 0)
        return {
          place: phase === "out" ? last * phaseShare : phase === "endPause" ? last : phase === "back" ? last * (1 - phaseShare) : 0,
        };
      if (dose.kind !== "reps") return { place: 0 };
      const { outSec, endPauseSec, backSec, startPauseSec } = dose.tempo;
      const oneSec = outSec + endPauseSec + backSec + startPauseSec;
      return { place: closed * there((intoSec - (count - 1) * oneSec) / oneSec) };
    }
    case "hold":
      return { place: last * there(intoSec / Math.min(ENTER_SEC * Math.max(1, last), segment.leadSec)) };
    case "move":
      return {
        place:
          closed > 0
            ? figure.way === "steps"
              ? intoSec / EASY_STEP_SEC
              : (closed * intoSec) / EASY_REPETITION_SEC
            : last * toAndFro(intoSec / EASY_REPETITION_SEC),
      };
    case "step": {
      const stepSec = dose.kind === "steps" ? dose.stepSec : ENTER_SEC;
      const entered = there((phaseShare * stepSec) / Math.min(ENTER_SEC, stepSec));
      return { place: count === 1 ? 0 : Math.min(last, count - 2 + entered) };
    }
    case "slide":
      return figure.slide ? { slide: toAndFro(phaseShare) } : { place: last };
    case "wait":
      return { place: dose.kind === "holds" ? last : 0 };
  }
}
