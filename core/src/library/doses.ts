/** Short ways to write the doses of the library; seconds throughout. */
import type { Dose } from "../session";

export function holds(reps: number, holdSec: number, restSec = 5): Dose {
  return { kind: "holds", reps, holdSec, restSec };
}

/** Tempo as out, pause at the end, back, pause at the start. */
export function reps(
  count: number,
  [outSec, endPauseSec, backSec, startPauseSec]: [number, number, number, number],
  sets = 1,
  restSec = 0,
): Dose {
  return { kind: "reps", sets, reps: count, tempo: { outSec, endPauseSec, backSec, startPauseSec }, restSec };
}

export function timed(workSec: number, sets = 1, restSec = 0): Dose {
  return { kind: "timed", sets, workSec, restSec };
}

/** Glide steps, each held briefly, then slides of three repeats at the last step used. */
export function steps(stepsUsed: number, slides: number, rounds = 1): Dose {
  return { kind: "steps", rounds, stepsUsed, stepSec: 4, slides, slideReps: 3, slideSec: 3, restSec: 10 };
}

/** Finger and wrist sequences: shapes held in turn, `shapes` a round. */
export function shapes(perRound: number, rounds: number, shapeSec = 2): Dose {
  return { kind: "steps", rounds, stepsUsed: perRound, stepSec: shapeSec, slides: 0, slideReps: 1, slideSec: 2, restSec: 0 };
}

/**
 * The four schools of stretching for an ordinary held stretch: 3 × 25 s · 4 × 8 s ·
 * 8 repetitions with a 2 s gentle push at the end · one minute of easy continuous work.
 */
export function stretchSchools(own: { longHoldSec?: number } = {}) {
  return {
    usual: holds(4, 8, 4),
    activeAssisted: reps(8, [2, 2, 2, 0]),
    shortHold: holds(4, 8, 4),
    longHold: holds(3, own.longHoldSec ?? 25, 10),
    minuteBlock: timed(60),
  };
}

/** The schools of loading for a supported wrist lift. */
export function wristLoadSchools() {
  return {
    usual: reps(12, [3, 0, 3, 1], 2, 45),
    pacedReps: reps(12, [3, 0, 3, 1], 2, 45),
    timedSets: timed(30, 2, 30),
    slowLowering: reps(10, [2, 0, 5, 1], 2, 45),
    lightAndMany: reps(25, [2, 0, 2, 0], 1, 0),
    staticGrip: holds(3, 20, 30),
  };
}
