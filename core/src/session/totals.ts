/** What a session adds up to: per side, per region, in seconds, repetitions and load. */
import { boutsOf } from "./dose";
import type { Session } from "./item";
import type { Segment, Timeline } from "./timeline";

export interface PerSide {
  left: number;
  right: number;
}

export interface RegionShare {
  region: string;
  tensionSec: PerSide;
}

export interface SessionTotals {
  totalSec: number;
  /** Seconds in which a hand works or holds. */
  workSec: PerSide;
  /** Seconds under tension: work without the pause at the start of each repetition. */
  tensionSec: PerSide;
  /** Repetitions and holds counted; timed bouts count none. */
  repetitions: PerSide;
  /** Seconds of rest, change-over and getting ready. */
  restSec: number;
  /** Share of the left hand in all tension seconds, 0 to 1; 0.5 is even. Even when there is nothing. */
  leftShare: number;
  /** Tension seconds × torque about the wrist, N·m·s, for items with a load. */
  loadedNmSec: PerSide;
  /** Longest first. Only tissue that works or is stretched; released tissue is not under tension. */
  regions: RegionShare[];
}

/** Region names under tension by a movement; the library has one for its movements. */
export type RegionsOf = (movementId: string) => readonly string[];

/** Torque of what is held in a movement's form on the axis it loads, N·m; the library with the kit has one. */
export type TorqueOf = (segment: Pick<Segment, "movementId" | "formId" | "held">) => number;

/** Adds up a compiled timeline: of a person, with their own doses and loads. Waiting for a slower form counts as neither work nor tension. */
export function sessionTotals(session: Session, timeline: Timeline, regionsOf: RegionsOf, torqueOf: TorqueOf = () => 0): SessionTotals {
  const items = new Set(session.items.map((item) => item.id));
  const totals = { workSec: none(), tensionSec: none(), repetitions: none(), loadedNmSec: none() };
  const regions = new Map<string, PerSide>();
  let busySec = 0;
  for (const segment of timeline.segments) {
    if (segment.kind !== "work" && segment.kind !== "hold") continue;
    const bout = boutsOf(segment.dose);
    if (!items.has(segment.itemId) || segment.set > bout.count) continue;
    busySec += bout.lengthSec;
    for (const side of handsOf(segment.side)) {
      totals.workSec[side] += bout.lengthSec;
      totals.tensionSec[side] += bout.tensionSec;
      totals.repetitions[side] += bout.repsPerBout;
      totals.loadedNmSec[side] += bout.tensionSec * torqueOf(segment);
      for (const region of regionsOf(segment.movementId)) {
        const share = regions.get(region) ?? none();
        share[side] += bout.tensionSec;
        regions.set(region, share);
      }
    }
  }
  const both = totals.tensionSec.left + totals.tensionSec.right;
  return {
    totalSec: timeline.totalSec,
    ...totals,
    restSec: timeline.totalSec - busySec,
    leftShare: both === 0 ? 0.5 : totals.tensionSec.left / both,
    regions: [...regions]
      .map(([region, tensionSec]) => ({ region, tensionSec }))
      .sort((a, b) => b.tensionSec.left + b.tensionSec.right - (a.tensionSec.left + a.tensionSec.right)),
  };
}

function handsOf(side: "left" | "right" | "both"): readonly ("left" | "right")[] {
  return side === "both" ? ["left", "right"] : [side];
}

function none(): PerSide {
  return { left: 0, right: 0 };
}
