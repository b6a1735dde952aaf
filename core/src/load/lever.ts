/** A rod, hammer, bar or any tool held by its shaft: its moment about the hand, and where it can be gripped. */
import { GRAVITY } from "./gravity";

export interface Lever {
  /** Whole shaft, m. */
  lengthM: number;
  /** Mass of the shaft, kg, spread evenly. */
  massKg: number;
  /** Extra mass at the far end, kg; 0 for a plain rod. */
  headKg: number;
}

/** The hand needs so much shaft on either side of its centre, m. */
export const HAND_HALF_M = 0.04;

/**
 * Moment about the middle of the hand, held level: 9.81 · (m · (L/2 − c) + h · (L − c)).
 * Examples: rod 0.90 m, 0.45 kg, c 0.05 → 1.766 N·m; hammer 0.33 m, handle 0.20 kg, head 0.50 kg, c 0.05 → 1.599 N·m.
 * @param gripM centre of the hand from the near end, m, 0 to the length
 * @returns N·m; negative when more of the tool is behind the hand than before it
 * @throws RangeError when an argument is outside its range
 */
export function leverMomentNm({ lengthM, massKg, headKg }: Lever, gripM: number): number {
  if (!(lengthM > 0)) throw new RangeError(`lengthM must be above 0, got ${lengthM}`);
  if (!(massKg >= 0 && headKg >= 0)) throw new RangeError(`massKg and headKg must be 0 or more, got ${massKg} and ${headKg}`);
  if (!(gripM >= 0 && gripM <= lengthM)) throw new RangeError(`gripM must be 0 to ${lengthM}, got ${gripM}`);
  return GRAVITY * (massKg * (lengthM / 2 - gripM) + headKg * (lengthM - gripM));
}

/** Grips are marked every half centimetre: at two, nearly half of the steps would exceed a tenth. */
export const MARK_EVERY_M = 0.005;

/** Where a shaft can be marked, m from the near end, nearest first. */
export function gripMarks({ lengthM }: Lever): number[] {
  const marks: number[] = [];
  for (let mark = Math.ceil(HAND_HALF_M / MARK_EVERY_M - 1e-9); mark * MARK_EVERY_M <= lengthM - HAND_HALF_M + 1e-9; mark++)
    marks.push(Math.round(mark * MARK_EVERY_M * 1000) / 1000);
  return marks;
}
