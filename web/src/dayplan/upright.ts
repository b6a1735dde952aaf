/** A day from top to bottom: as long as its hours, longer where sessions that are close to each other need room for their names. */
import type { Span } from "@kind-grip/core/calendar";
import type { Placed } from "@kind-grip/core/dayplan";

/** Px of a minute where there is room. */
const PX_A_MIN = 0.5;
/** What a finger meets, and what lies between two of them. */
export const CARD_HEIGHT = 44;
const BETWEEN = 4;
/** A line of words along the ribbon. */
const LINE = 18;

export interface Upright {
  /** Px in all. */
  height: number;
  /** @returns px from the top, never less for a later moment */
  y(ms: number): number;
  /** In order; those that start together below each other. */
  cards: { placed: Placed; top: number }[];
}

export function uprightOf(shift: Span, placed: readonly Placed[]): Upright {
  const inOrder = [...placed].sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs);
  const startMs = Math.min(shift.startMs, ...inOrder.map((each) => each.startMs));
  const endMs = Math.max(shift.endMs, ...inOrder.map((each) => each.endMs));
  const marks = [{ ms: startMs, y: 0 }];
  const cards: Upright["cards"] = [];
  let free = 0;
  for (const each of inOrder) {
    const last = marks.at(-1)!;
    const top = Math.max(free, last.y + ((each.startMs - last.ms) / 60_000) * PX_A_MIN);
    cards.push({ placed: each, top });
    free = top + CARD_HEIGHT + BETWEEN;
    if (each.startMs > last.ms) marks.push({ ms: each.startMs, y: top });
  }
  const last = marks.at(-1)!;
  const height = Math.max(free - BETWEEN, last.y + ((endMs - last.ms) / 60_000) * PX_A_MIN);
  if (endMs > last.ms) marks.push({ ms: endMs, y: height });
  const y = (ms: number) => {
    const next = marks.findIndex((mark) => mark.ms >= ms);
    if (next === 0) return 0;
    if (next < 0) return height;
    const [from, to] = [marks[next - 1]!, marks[next]!];
    return from.y + ((ms - from.ms) / (to.ms - from.ms)) * (to.y - from.y);
  };
  return { height, y, cards };
}

/** The first place along a stretch where a line of words is clear of every card; undefined where there is none. */
export function roomForLine({ y, cards }: Upright, { startMs, endMs }: Span): number | undefined {
  const end = y(endMs);
  let top = y(startMs);
  for (const card of cards) {
    if (card.top >= top + LINE) break;
    top = Math.max(top, card.top + CARD_HEIGHT);
  }
  return top + LINE <= end ? top : undefined;
}
