import type { Timeline } from "../session";

export interface Ruler {
  slotSec: number;
  usedSec: number;
  spareSec: number;
  overSec: number;
  /** Items that end after the slot does, in order. */
  beyond: { itemId: string; overSec: number }[];
}

/**
 * Holds a timeline against a slot.
 * @param slotSec length of the slot, seconds, > 0
 * @throws RangeError when the slot has no length
 */
export function rulerOf(timeline: Timeline, slotSec: number): Ruler {
  if (!(slotSec > 0)) throw new RangeError(`slotSec must be above 0, got ${slotSec}`);
  const usedSec = timeline.totalSec;
  return {
    slotSec,
    usedSec,
    spareSec: Math.max(0, slotSec - usedSec),
    overSec: Math.max(0, usedSec - slotSec),
    beyond: timeline.items.filter((span) => span.endSec > slotSec).map((span) => ({ itemId: span.itemId, overSec: span.endSec - slotSec })),
  };
}
