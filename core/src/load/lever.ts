/** A rod, hammer, bar or any tool held by its shaft: what it asks of the forearm, and where to grip it for a wanted torque. */
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
 * Torque at the hand with the tool held level, the worst case of its arc: τ = 9.81 · (m · (L/2 − c) + h · (L − c)).
 * Examples: rod 0.90 m, 0.45 kg, c 0.05 → 1.766 N·m; hammer 0.33 m, handle 0.20 kg, head 0.50 kg, c 0.05 → 1.599 N·m.
 * @param gripM centre of the hand from the near end, m, 0 to the length
 * @returns N·m; negative when more of the tool is behind the hand than before it
 * @throws RangeError when an argument is outside its range
 */
export function leverTorqueNm({ lengthM, massKg, headKg }: Lever, gripM: number): number {
  if (!(lengthM > 0)) throw new RangeError(`lengthM must be above 0, got ${lengthM}`);
  if (!(massKg >= 0 && headKg >= 0)) throw new RangeError(`massKg and headKg must be 0 or more, got ${massKg} and ${headKg}`);
  if (!(gripM >= 0 && gripM <= lengthM)) throw new RangeError(`gripM must be 0 to ${lengthM}, got ${gripM}`);
  return GRAVITY * (massKg * (lengthM / 2 - gripM) + headKg * (lengthM - gripM));
}

/**
 * Where to grip for a torque: c = (m L/2 + h L − τ/9.81) / (m + h).
 * @returns m from the near end; undefined where no grip of the shaft gives it
 */
export function gripForTorque(lever: Lever, torqueNm: number): number | undefined {
  const { lengthM, massKg, headKg } = lever;
  if (massKg + headKg <= 0) return undefined;
  const gripM = ((massKg * lengthM) / 2 + headKg * lengthM - torqueNm / GRAVITY) / (massKg + headKg);
  return gripM >= HAND_HALF_M - 1e-9 && gripM <= lengthM - HAND_HALF_M + 1e-9 ? gripM : undefined;
}

/** Grips that can be marked on a shaft, every two centimetres, as far as the torque is above nothing. */
export const MARK_EVERY_M = 0.02;

export function gripMarks(lever: Lever): { gripM: number; torqueNm: number }[] {
  const marks: { gripM: number; torqueNm: number }[] = [];
  for (let mark = Math.ceil(HAND_HALF_M / MARK_EVERY_M); mark * MARK_EVERY_M <= lever.lengthM - HAND_HALF_M + 1e-9; mark++) {
    const gripM = Math.round(mark * MARK_EVERY_M * 1000) / 1000;
    const torqueNm = leverTorqueNm(lever, gripM);
    if (torqueNm > 0.02) marks.push({ gripM, torqueNm });
  }
  return marks;
}
