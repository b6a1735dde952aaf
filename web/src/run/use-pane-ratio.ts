/** The shape of the pane a figure is shown in, so that it is drawn to fill it: no edge of the drawing cuts through a head in mid pane. */
import type { RefObject } from "react";
import { useMeasured } from "../parts/use-measured";

/** Drawn anew at every pixel a window is pulled would be a picture that never stands. */
const STEP = 0.02;
/** A pane is drawn for as it is within these; lower or higher it keeps some of its sheet empty. */
const [LOWEST, HIGHEST] = [0.5, 1.4];
/** Of a pane that has no size yet. */
const USUAL = 0.9;

/** Height over width, a step higher rather than lower: what stands over is less than the margin round a figure. */
export function paneRatio({ width, height }: { width: number; height: number }): number {
  if (width <= 0 || height <= 0) return USUAL;
  const stepped = Math.ceil(height / width / STEP - 1e-9) * STEP;
  return Number(Math.max(LOWEST, Math.min(HIGHEST, stepped)).toFixed(2));
}

const ratioOf = ({ clientWidth, clientHeight }: HTMLElement) => paneRatio({ width: clientWidth, height: clientHeight });

export function usePaneRatio(pane: RefObject<HTMLElement | null>): number {
  return useMeasured(pane, ratioOf, USUAL);
}
