/** Where a run stands at a moment of its timeline: the segment, the repetition, the phase of it. */
import { tempoSec, type Dose } from "./dose";
import type { Segment, Timeline } from "./timeline";

export type Phase = "ready" | "switch" | "rest" | "wait" | "hold" | "out" | "endPause" | "back" | "startPause" | "move" | "step" | "slide";

export interface Position {
  segment: Segment;
  index: number;
  /** Seconds into the segment. */
  intoSec: number;
  /** Seconds of the segment still to come. */
  leftSec: number;
  phase: Phase;
  /** 0 at the start of the phase, 1 at its end. */
  phaseShare: number;
  /** Repetition, hold or step now, from 1; 0 where nothing is counted. */
  count: number;
  /** Of how many. */
  countOf: number;
}

/**
 * The position `atSec` seconds into the timeline; times before 0 are read as 0.
 * @returns undefined once the timeline is over, or when it is empty
 */
export function positionAt(timeline: Timeline, atSec: number): Position | undefined {
  const index = segmentIndexAt(timeline.segments, Math.max(0, atSec));
  const segment = timeline.segments[index];
  if (!segment) return undefined;
  const intoSec = Math.max(0, atSec) - segment.startSec;
  const leftSec = segment.lengthSec - intoSec;
  return { segment, index, intoSec, leftSec, ...insideOf(segment, intoSec) };
}

/** Index of the segment running at `atSec`; the length of the list once all are over. Binary search. */
function segmentIndexAt(segments: readonly Segment[], atSec: number): number {
  let low = 0;
  let high = segments.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    const segment = segments[middle]!;
    if (segment.startSec + segment.lengthSec <= atSec) low = middle + 1;
    else high = middle;
  }
  return low;
}

type Inside = Pick<Position, "phase" | "phaseShare" | "count" | "countOf">;

function insideOf(segment: Segment, intoSec: number): Inside {
  const share = (from: number, lengthSec: number) => (lengthSec === 0 ? 1 : Math.min(1, (intoSec - from) / lengthSec));
  if (segment.kind === "ready" || segment.kind === "switch" || segment.kind === "rest") {
    return { phase: segment.kind, phaseShare: share(0, segment.lengthSec), count: 0, countOf: 0 };
  }
  if (intoSec >= segment.leadSec) {
    return { phase: "wait", phaseShare: share(segment.leadSec, segment.lengthSec - segment.leadSec), count: 0, countOf: 0 };
  }
  return insideDose(segment.dose, segment, intoSec, share);
}

function insideDose(dose: Dose, segment: Segment, intoSec: number, share: (from: number, lengthSec: number) => number): Inside {
  switch (dose.kind) {
    case "holds":
      return { phase: "hold", phaseShare: share(0, dose.holdSec), count: segment.set, countOf: segment.setCount };
    case "timed":
      return { phase: "move", phaseShare: share(0, dose.workSec), count: 0, countOf: 0 };
    case "reps": {
      const oneSec = tempoSec(dose.tempo);
      const rep = Math.min(dose.reps - 1, Math.floor(intoSec / oneSec));
      let from = rep * oneSec;
      const counted = { count: rep + 1, countOf: dose.reps };
      for (const [phase, lengthSec] of [
        ["out", dose.tempo.outSec],
        ["endPause", dose.tempo.endPauseSec],
        ["back", dose.tempo.backSec],
      ] as const) {
        if (intoSec < from + lengthSec) return { phase, phaseShare: share(from, lengthSec), ...counted };
        from += lengthSec;
      }
      return { phase: "startPause", phaseShare: share(from, dose.tempo.startPauseSec), ...counted };
    }
    case "steps": {
      const stepsSec = dose.stepsUsed * dose.stepSec;
      if (intoSec < stepsSec) {
        const step = Math.floor(intoSec / dose.stepSec);
        return { phase: "step", phaseShare: share(step * dose.stepSec, dose.stepSec), count: step + 1, countOf: dose.stepsUsed };
      }
      const slides = dose.slides * dose.slideReps;
      const slide = Math.min(slides - 1, Math.floor((intoSec - stepsSec) / dose.slideSec));
      return { phase: "slide", phaseShare: share(stepsSec + slide * dose.slideSec, dose.slideSec), count: slide + 1, countOf: slides };
    }
  }
}
