/** Which moment of a movement's figure belongs to a moment of a run, so that the hand moves in time with the count, and calmly. */
import { bonesOf, poseAlong, SIDE_NAMES, type Bones, type Figure } from "../figure";
import type { Position, Segment, Tempo, Timeline } from "../session";
import { positionAt } from "../session";

/** `place` counts along the figure's poses; `slide` is how far the last step's slide has gone, 0 … 1. */
export type FigurePlace = { place: number } | { slide: number };

/** What is seen of a figure is only its poses and the way through them. */
type Moved = Pick<Figure, "poses" | "way" | "slide">;

/** Seconds of one easy repetition where the dose gives no pace of its own. */
const EASY_REPETITION_SEC = 4;
const EASY_STEP_SEC = 1.6;
/** A position is entered or left in this long at least. */
const LEAST_ENTER_SEC = 0.9;
/** Millimetres a second, on average over one way from pose to pose; its fastest moment is half as fast again. */
const CALM_MM_PER_SEC = 700;
/** No more of a rest or a change-over is used for leaving, and none more for entering. */
const SHARE_OF_GAP = 0.45;

const there = (share: number) => Math.max(0, Math.min(1, share));
const toAndFro = (share: number) => 1 - Math.abs(1 - 2 * (share - Math.floor(share)));

const paces = new WeakMap<Moved["poses"], number>();

/** Seconds that the longest way between two neighbouring poses takes a calm person. */
export function calmSpanSec({ poses, way }: Moved): number {
  const known = paces.get(poses);
  if (known !== undefined) return known;
  let most = 0;
  const spans = way === "thereAndBack" ? poses.length - 1 : poses.length;
  for (let span = 0; span < spans; span++) {
    const [from, middle, to] = [0, 0.5, 1].map((share) => bonesOf(poseAlong(poses, span + share, way)));
    most = Math.max(most, farthest(from!, middle!) + farthest(middle!, to!));
  }
  const seconds = Math.max(LEAST_ENTER_SEC, most / CALM_MM_PER_SEC);
  paces.set(poses, seconds);
  return seconds;
}

/** Millimetres the hand or head that moves most is apart in two poses. */
export function farthest(a: Bones, b: Bones): number {
  const apart = (p: readonly number[], q: readonly number[]) => Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!);
  let most = apart(a.head.o, b.head.o);
  for (const side of SIDE_NAMES) {
    const [from, to] = [a.arms[side], b.arms[side]];
    if (from && to) most = Math.max(most, apart(from.digits.middle.tip, to.digits.middle.tip), apart(from.hand.o, to.hand.o));
  }
  return most;
}

type Paced = Pick<Position, "phase" | "phaseShare" | "count" | "intoSec" | "segment">;

/**
 * The figure's place within a bout. Repetitions run out, stay, come back; a round runs once a repetition, half of them the other way; a
 * hold shows its end, which is entered before it and left after it; steps are entered one by one; a timed bout goes on at an easy pace.
 */
export function figurePlace(figure: Moved, { phase, phaseShare, count, intoSec, segment }: Paced): FigurePlace {
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
      if (figure.way === "halves") return { place: halvesPlace(phase, phaseShare, segment, count) };
      if (closed === 0)
        return {
          place: phase === "out" ? last * phaseShare : phase === "endPause" ? last : phase === "back" ? last * (1 - phaseShare) : 0,
        };
      if (dose.kind !== "reps") return { place: 0 };
      if (figure.way === "steps" && figure.poses.length === 4) return { place: quarterOf(phase, phaseShare, dose.tempo) };
      const { outSec, endPauseSec, backSec, startPauseSec } = dose.tempo;
      const oneSec = outSec + endPauseSec + backSec + startPauseSec;
      const rounds = count - 1 + there((intoSec - (count - 1) * oneSec) / oneSec);
      return { place: closed * (figure.way === "round" ? andTheOtherWay(rounds, Math.ceil(dose.reps / 2)) : rounds - (count - 1)) };
    }
    case "hold":
      return { place: last };
    case "move": {
      if (figure.way === "halves")
        return { place: halfOf(segment, intoSec) + toAndFro(intoSec / (2 * Math.max(EASY_STEP_SEC, calmSpanSec(figure)))) };
      if (figure.way === "steps") return { place: intoSec / Math.max(EASY_STEP_SEC, calmSpanSec(figure)) };
      const oneSec = Math.max(EASY_REPETITION_SEC, (closed > 0 ? closed : 2 * last) * calmSpanSec(figure));
      if (closed === 0) return { place: last * toAndFro(intoSec / oneSec) };
      const half = dose.kind === "timed" ? dose.workSec / 2 / oneSec : Infinity;
      return { place: closed * andTheOtherWay(intoSec / oneSec, half) };
    }
    case "step": {
      const stepSec = dose.kind === "steps" ? dose.stepSec : LEAST_ENTER_SEC;
      const entered = there((phaseShare * stepSec) / Math.min(calmSpanSec(figure), stepSec));
      return { place: count === 1 ? 0 : Math.min(last, count - 2 + entered) };
    }
    case "slide":
      return figure.slide ? { slide: toAndFro(phaseShare) } : { place: last };
    case "wait":
      return { place: endsAtLast(segment) ? last : 0 };
  }
}

/** Four poses as the four parts of a repetition: out, what is changed at the end, back, what is changed at the start. */
function quarterOf(phase: "out" | "endPause" | "back" | "startPause", share: number, { endPauseSec, startPauseSec }: Tempo): number {
  // Without a pause the change is part of the way before it.
  const withChange = (from: number) => from + (share < WAY_SHARE ? share / WAY_SHARE : 1 + (share - WAY_SHARE) / (1 - WAY_SHARE));
  if (phase === "out") return endPauseSec > 0 ? share : withChange(0);
  if (phase === "back") return startPauseSec > 0 ? 2 + share : withChange(2);
  return (phase === "endPause" ? 1 : 3) + share;
}
const WAY_SHARE = 0.6;

/** The first pose of the half of the count that is being done: 0, or 2 in the second half of the repetitions, sets or seconds. */
function halfOf({ dose, set, setCount, lengthSec }: Segment, done: number): 0 | 2 {
  if (dose.kind === "reps") return done > Math.ceil(dose.reps / 2) ? 2 : 0;
  if (setCount > 1) return set > Math.ceil(setCount / 2) ? 2 : 0;
  return done >= lengthSec / 2 ? 2 : 0;
}

/** Out and back in either half; the last way back of the first half leads to the start of the second. */
function halvesPlace(phase: "out" | "endPause" | "back" | "startPause", share: number, segment: Segment, count: number): number {
  const from = halfOf(segment, count);
  if (phase === "out") return from + share;
  if (phase === "endPause") return from + 1;
  const next = halfOf(segment, count + 1);
  const leadsOn = next !== from;
  if (phase === "back") return leadsOn ? from + 1 + share : from + 1 - share;
  return next;
}

/** Rounds gone one way until `half`, then back the same way: nothing jumps, and both ways are shown. */
const andTheOtherWay = (rounds: number, half: number) => (rounds <= half ? rounds : 2 * half - rounds);

/** Whether a bout is over in the figure's last pose, which has to be left calmly. */
const endsAtLast = ({ dose }: Segment) => dose.kind === "holds" || dose.kind === "steps";
const isBout = (segment: Segment | undefined): boolean => segment?.kind === "work" || segment?.kind === "hold";

export interface FigureMoment {
  /** Whose movement, form and side are shown: in a gap first still those before it. */
  segment: Segment;
  place: FigurePlace;
}

/**
 * What is shown at a moment of a timeline. Out of a held position and into the next take their time from the rest, the change-over or
 * the getting ready between them; the hold itself keeps its seconds.
 *
 * @param figureOf the figure a segment is shown with
 * @returns undefined once the timeline is over
 */
export function figureMoment(
  timeline: Timeline,
  atSec: number,
  figureOf: (segment: Segment) => Moved | undefined,
): FigureMoment | undefined {
  const position = positionAt(timeline, atSec);
  if (!position) return undefined;
  const { segment, index, intoSec, leftSec } = position;
  const figure = figureOf(segment);
  const lastOf = (each: Moved) => each.poses.length - 1;
  if (isBout(segment)) {
    if (!figure) return { segment, place: { place: 0 } };
    const first = timeline.segments[index - 1];
    // Nothing before it to enter in: the hold begins on the way.
    if (position.phase === "hold" && !first)
      return { segment, place: { place: lastOf(figure) * there(intoSec / (calmSpanSec(figure) * lastOf(figure))) } };
    return { segment, place: figurePlace(figure, position) };
  }
  const gap = segment.lengthSec * SHARE_OF_GAP;
  const before = timeline.segments[index - 1];
  if (before && isBout(before) && endsAtLast(before)) {
    const left = figureOf(before);
    const leavingSec = left ? Math.min(gap, calmSpanSec(left) * lastOf(left)) : 0;
    if (left && intoSec < leavingSec) return { segment: before, place: { place: lastOf(left) * (1 - intoSec / leavingSec) } };
  }
  const next = timeline.segments[index + 1];
  if (figure && next && isBout(next) && next.dose.kind === "holds") {
    const enteringSec = Math.min(gap, calmSpanSec(figure) * lastOf(figure));
    if (leftSec < enteringSec) return { segment, place: { place: lastOf(figure) * (1 - leftSec / enteringSec) } };
  }
  return { segment, place: { place: 0 } };
}

/** Seconds of a hold that a preview shows: long enough to see that it is held. */
const SHOWN_HOLD_SEC = 4;
const BETWEEN_SEC = 0.8;

/** How long one loop of a bout lasts where a movement is only shown. */
export function previewSec(figure: Moved, bout: Segment): number {
  const last = figure.poses.length - 1;
  if (bout.dose.kind === "holds") return 2 * calmSpanSec(figure) * last + Math.min(SHOWN_HOLD_SEC, bout.dose.holdSec) + BETWEEN_SEC;
  return bout.lengthSec + (endsAtLast(bout) ? calmSpanSec(figure) * last : 0);
}

/** The figure's place `atSec` into that loop: in, stay, out; or the bout as it is done, and back to its start. */
export function previewPlace(figure: Moved, timeline: Timeline, bout: Segment, atSec: number): FigurePlace {
  const last = figure.poses.length - 1;
  const onWaySec = calmSpanSec(figure) * last;
  if (bout.dose.kind === "holds") {
    const heldSec = Math.min(SHOWN_HOLD_SEC, bout.dose.holdSec);
    if (atSec < onWaySec) return { place: last * there(atSec / onWaySec) };
    return { place: atSec < onWaySec + heldSec ? last : last * (1 - there((atSec - onWaySec - heldSec) / (onWaySec || 1))) };
  }
  if (atSec >= bout.lengthSec) return { place: last * (1 - there((atSec - bout.lengthSec) / (onWaySec || 1))) };
  const position = positionAt(timeline, bout.startSec + atSec);
  return position ? figurePlace(figure, position) : { place: 0 };
}
