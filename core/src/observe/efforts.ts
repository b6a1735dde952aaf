/** From presses to efforts: each press is the start of an effort of one hand, its release the end. */

/** One press of a field, in ms of the observation's own clock, which stands while it is paused. */
export interface Press {
  startMs: number;
  endMs: number;
}

/** Two presses nearer than this are one whose finger slipped. */
const SLIP_MS = 50;
/** A touch shorter than this that is nobody's effort. */
const LEAST_MS = 30;
/** A press longer than this, and than so many of the usual ones, was not let go of. */
const FORGOTTEN = { ms: 20_000, usual: 6 } as const;

export interface SeenEfforts {
  /** In the order of their start, none overlapping the next. */
  efforts: Press[];
  /** How many of them were not let go of: they count as efforts, with the usual length. */
  forgotten: number;
}

/**
 * Slips are joined, touches of a moment left out, overlaps cut at the start of the next, and what was forgotten to be let go of is given the
 * usual length.
 * @param presses of one hand, in any order
 */
export function effortsFromPresses(presses: readonly Press[]): SeenEfforts {
  const joined: Press[] = [];
  for (const press of [...presses].sort((a, b) => a.startMs - b.startMs)) {
    const last = joined.at(-1);
    if (last && press.startMs - last.endMs < SLIP_MS && press.startMs > last.startMs && last.endMs <= press.startMs)
      last.endMs = Math.max(last.endMs, press.endMs);
    else if (last && press.startMs === last.startMs) last.endMs = Math.max(last.endMs, press.endMs);
    else joined.push({ ...press });
  }
  const apart = joined
    .map(({ startMs, endMs }, i) => ({ startMs, endMs: Math.min(endMs, joined[i + 1]?.startMs ?? Infinity) }))
    .filter(({ startMs, endMs }) => endMs - startMs >= LEAST_MS);
  const usualMs = median(apart.map(({ startMs, endMs }) => endMs - startMs));
  let forgotten = 0;
  const efforts = apart.map(({ startMs, endMs }) => {
    const lengthMs = endMs - startMs;
    if (apart.length < 2 || lengthMs <= FORGOTTEN.ms || lengthMs <= FORGOTTEN.usual * usualMs) return { startMs, endMs };
    forgotten += 1;
    return { startMs, endMs: startMs + usualMs };
  });
  return { efforts, forgotten };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length === 0 ? 0 : sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
