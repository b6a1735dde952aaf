/** How far a hand turns against the line to the ground: what a phone in it can feel of a movement. */
import { isEqual } from "es-toolkit";
import { bonesOf } from "../body/bones";
import type { Pose } from "../body/pose";
import type { Figure } from "../figure";
import { isInWorkingHand } from "../flesh/prop";
import { DEGREE, dot, type Frame, type Vector } from "../vector";

/** A smaller turn is not told apart from others of a hand, degrees. Practice rule. */
const LEAST_FELT_DEG = 20;

/**
 * Degrees between the ways down of the working hand at the start and where it is turned furthest, 0–180.
 * @returns null where a phone cannot be held or feels nothing: the hand holds or touches something, its fingers move, it goes round
 *   and round or from step to step, or gravity hardly sees its turn
 */
export function feltTurnOf(figure: Figure): number | null {
  const { poses, way, props } = figure;
  const start = poses[0]?.right;
  if (way !== "thereAndBack" || !start || poses.length < 2) return null;
  const stays = poses.every(({ right }) => right && !right.touch && isEqual(right.hand, start.hand));
  const isHelped = poses.some(({ left }) => left?.touch?.part.startsWith("other"));
  if (isHelped || !stays || props.some(isInWorkingHand)) return null;
  const ups = poses.map(upInHand);
  const furthest = Math.round(Math.max(...ups.map((up) => angleBetween(ups[0]!, up))));
  return furthest >= LEAST_FELT_DEG ? furthest : null;
}

function upInHand(pose: Pose): Vector {
  const { x, y, z }: Frame = bonesOf(pose).arms.right!.hand;
  return [x[1], y[1], z[1]];
}

function angleBetween(a: Vector, b: Vector): number {
  return Math.acos(Math.max(-1, Math.min(1, dot(a, b)))) / DEGREE;
}
