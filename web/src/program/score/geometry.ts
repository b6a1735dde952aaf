/** Where things lie on the score, in pixels. Time runs right; left hand above the spine, right hand below. */
import type { Segment, Timeline } from "@kind-grip/core/session";

export const LANE = 92;
export const SPINE = 3;
export const HEIGHT = LANE * 2 + SPINE;

/** Height of a bout by its effort cap (1 to 10): light work is low, strengthening fills the lane. */
export function barHeight(effortCap: number): number {
  return LANE * Math.min(1, 0.22 + 0.15 * effortCap);
}

/** A session far shorter than its slot takes this share of the width; what is spare is drawn short, with a break. */
const SHORT_TAKES = 0.72;

/** Seconds the width of the score stands for: the slot, unless the session would be a thin strip in it. */
export function scaleSecOf(totalSec: number, slotSec: number): number {
  return Math.max(totalSec, Math.min(slotSec, totalSec / SHORT_TAKES), LEAST_SCALE_SEC);
}
const LEAST_SCALE_SEC = 40;

/** Narrower than this a tab holds its number only, px. */
export const NARROW_TAB = 56;
/** The narrowest picture in which anything is seen, px. */
export const LEAST_PICTURE_PX = 56;

export interface Block {
  itemIds: string[];
  startSec: number;
  endSec: number;
}

/** Runs of items that share a stretch of time: one item, or several paired ones. */
export function blocksOf(timeline: Timeline): Block[] {
  const blocks: Block[] = [];
  for (const span of timeline.items) {
    const last = blocks.at(-1);
    if (last && span.startSec < last.endSec) {
      last.itemIds.push(span.itemId);
      last.endSec = Math.max(last.endSec, span.endSec);
    } else blocks.push({ itemIds: [span.itemId], startSec: span.startSec, endSec: span.endSec });
  }
  return blocks;
}

/** The first working segment of an item: its end is the inner edge. */
export function firstBout(timeline: Timeline, itemId: string): Segment | undefined {
  return timeline.segments.find((segment) => segment.itemId === itemId && (segment.kind === "work" || segment.kind === "hold"));
}
