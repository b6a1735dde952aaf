/**
 * A tool in the hand and what it asks of the wrist and the forearm. Three axes, compared only within one: bend (wrist up and down), tilt
 * (to the thumb and little-finger side), turn (palm up and down). A figure is about the wrist crease for bend and tilt, about the length of
 * the forearm for turn; held level, the worst place of the path.
 */
import { GRAVITY } from "./gravity";
import { leverMomentNm, type Lever } from "./lever";

export type Axis = "bend" | "tilt" | "turn";

/** In the middle of the palm; by the shaft lying along the forearm; by the shaft lying across the palm. */
export type Handling = "palm" | "along" | "across";

/** What a movement loads, and how the tool is held for it. */
export interface LoadUse {
  axis: Axis;
  handling: Handling;
}

/** Held in the palm: dumbbell, bottle, plate; a dumbbell has a length and can be held at its end. Held by the shaft: rod, hammer, bar. */
export type Tool = { name: string; kind: "weight"; massKg: number; lengthM?: number } | ({ name: string; kind: "lever" } & Lever);

/** Wrist crease to the middle of the palm, m: the practice's default where a hand was not measured. */
export const PALM_FROM_CREASE_M = 0.08;
/** Length of a dumbbell, m, where it was not measured. Practice figure. */
export const DUMBBELL_M = 0.16;

/**
 * Torque of a tool held level, N·m.
 * Weight in the palm: bend and tilt 9.81 · m · r, turn nought. Lever along the forearm: bend and tilt
 * 9.81 · (m (L/2 − c) + h (L − c) + (m + h) r). Across the palm: turn 9.81 · (m (L/2 − c) + h (L − c)), bend and tilt 9.81 · (m + h) · r.
 * @param gripM centre of the hand from the near end, m; null for the middle of a weight
 * @param reachM wrist crease to the middle of the palm, m, > 0
 * @throws RangeError when a measure is outside its range
 */
export function torqueNm(tool: Tool, { axis, handling }: LoadUse, gripM: number | null, reachM = PALM_FROM_CREASE_M): number {
  if (!(reachM > 0)) throw new RangeError(`reachM must be above 0, got ${reachM}`);
  const lever = leverOf(tool, gripM);
  const massKg = tool.kind === "weight" ? tool.massKg : tool.massKg + tool.headKg;
  if (!(massKg >= 0)) throw new RangeError(`massKg must be 0 or more, got ${massKg}`);
  const inHandNm = GRAVITY * massKg * reachM;
  const momentNm = lever ? leverMomentNm(lever, gripM!) : 0;
  if (axis === "turn") return handling === "across" ? momentNm : 0;
  return handling === "along" ? momentNm + inHandNm : inHandNm;
}

/** A lever, or a weight that is held at its end; undefined for what lies with its middle in the palm. */
export function leverOf(tool: Tool, gripM: number | null): Lever | undefined {
  if (gripM === null) return undefined;
  if (tool.kind === "lever") return tool;
  return tool.lengthM === undefined ? undefined : { lengthM: tool.lengthM, massKg: tool.massKg, headKg: 0 };
}

/**
 * The same at an angle: the turn falls with the cosine of the rod's angle from level, bend and tilt with that of the forearm's. An upright
 * rod still bends the wrist of a level forearm.
 */
export function torqueAtNm(levelNm: number, axis: Axis, { rodDeg, forearmDeg }: { rodDeg: number; forearmDeg: number }): number {
  const deg = axis === "turn" ? rodDeg : forearmDeg;
  return levelNm * Math.cos((deg * Math.PI) / 180);
}

/** The hand is lifted too: about 0.6 % of body mass, its middle about 5.5 % of height from the wrist. */
const HAND = { massShare: 0.006, middleShare: 0.055 } as const;

/**
 * What the hand's own weight adds to bend and tilt, N·m; 0 where mass or height is not known, and for turn.
 * Share of mass: Winter DA, Biomechanics and Motor Control of Human Movement, 4th ed., Wiley 2009, table 4.1.
 */
export function handTorqueNm(axis: Axis, body: { massKg: number | null; heightM: number | null }): number {
  if (axis === "turn" || body.massKg === null || body.heightM === null) return 0;
  return GRAVITY * HAND.massShare * body.massKg * HAND.middleShare * body.heightM;
}

/** A piece of kit as a tool, with the measures such tools usually have; undefined for kinds without a mass or a shape of their own. */
export function toolOf(kind: string, massKg: number | null, name = `${kind} ${massKg} kg`): Tool | undefined {
  if (massKg === null) return undefined;
  switch (kind) {
    case "dumbbell":
      return { name, kind: "weight", massKg, lengthM: DUMBBELL_M };
    case "bottle":
    case "plate":
      return { name, kind: "weight", massKg };
    case "dowel":
      return { name, kind: "lever", lengthM: 0.9, massKg, headKg: 0 };
    case "bar":
      return { name, kind: "lever", lengthM: 1.2, massKg, headKg: 0 };
    case "hammer":
      // About seven tenths of a hammer are its head.
      return { name, kind: "lever", lengthM: 0.33, massKg: Math.round(massKg * 300) / 1000, headKg: Math.round(massKg * 700) / 1000 };
    default:
      return undefined;
  }
}
