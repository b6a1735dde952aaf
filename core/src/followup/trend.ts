/** Straight-line trend by least squares. */

/** No trend is drawn from fewer answers than this. */
export const MIN_ANSWERS = 5;

export interface Trend {
  /** Change of y per unit of x. */
  slope: number;
  intercept: number;
  answers: number;
}

/** @returns undefined under five answers, or when all x are the same */
export function trendOf(points: readonly { x: number; y: number }[]): Trend | undefined {
  const n = points.length;
  if (n < MIN_ANSWERS) return undefined;
  const meanX = points.reduce((sum, point) => sum + point.x, 0) / n;
  const meanY = points.reduce((sum, point) => sum + point.y, 0) / n;
  const spread = points.reduce((sum, point) => sum + (point.x - meanX) ** 2, 0);
  if (spread === 0) return undefined;
  const slope = points.reduce((sum, point) => sum + (point.x - meanX) * (point.y - meanY), 0) / spread;
  return { slope, intercept: meanY - slope * meanX, answers: n };
}
