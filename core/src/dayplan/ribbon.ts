/** The shift ribbon: what the hands do along a shift, how hard, with breaks as gaps. */
import type { Shift, Span } from "../calendar";

export interface RibbonPart {
  name: string;
  minutes: number;
  /** Strain index of the task in the harder hand. */
  strain: number;
}

export interface RibbonPiece extends Span {
  name: string;
  strain: number;
}

/**
 * Parts laid along the working time of a shift, one after the other, breaks left out. What the parts do not fill stays empty; what goes
 * over the end is cut off.
 */
export function ribbonOf(shift: Shift, parts: readonly RibbonPart[]): RibbonPiece[] {
  const work = workingSpans(shift);
  const pieces: RibbonPiece[] = [];
  let left = work.map((span) => ({ ...span }));
  for (const { name, minutes, strain } of parts) {
    let need = minutes * 60_000;
    while (need > 0 && left.length > 0) {
      const [span, ...rest] = left as [Span, ...Span[]];
      const take = Math.min(need, span.endMs - span.startMs);
      pieces.push({ name, strain, startMs: span.startMs, endMs: span.startMs + take });
      need -= take;
      left = span.startMs + take < span.endMs ? [{ startMs: span.startMs + take, endMs: span.endMs }, ...rest] : rest;
    }
  }
  return pieces;
}

/** Moments from which the strain is above a threshold. */
export function hardMoments(pieces: readonly RibbonPiece[], above: number): number[] {
  return pieces.flatMap(({ startMs, strain }, i) => (strain > above && !(i > 0 && pieces[i - 1]!.strain > above) ? [startMs] : []));
}

/** The times of a shift at which people work, in order. */
export function workingSpans({ startMs, endMs, breaks, away }: Shift): Span[] {
  const spans: Span[] = [];
  let from = startMs;
  for (const pause of [...breaks, ...away].sort((a, b) => a.startMs - b.startMs)) {
    if (pause.startMs > from) spans.push({ startMs: from, endMs: pause.startMs });
    from = Math.max(from, pause.endMs);
  }
  if (endMs > from) spans.push({ startMs: from, endMs });
  return spans;
}
