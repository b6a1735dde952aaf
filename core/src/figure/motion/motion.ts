/** Between poses: the way from one to the next, the mirror image, the place in a loop. */
import { bonesOf } from "../body/bones";
import type { Figure } from "../figure";
import { dot } from "../vector";
import { SIDE_NAMES, type ArmPose, type Pose, type SideName } from "../body/pose";

function mix<T>(a: T, b: T, share: number): T {
  if (typeof a === "number" && typeof b === "number") return (a + (b - a) * share) as T;
  if (Array.isArray(a) && Array.isArray(b)) return a.map((each, i) => mix<unknown>(each, b[i], share)) as T;
  if (a && b && typeof a === "object" && typeof b === "object")
    return Object.fromEntries(Object.entries(a).map(([key, each]) => [key, mix(each, (b as Record<string, unknown>)[key], share)])) as T;
  return share < 0.5 ? a : b;
}

/** Whether a hand stays where it is put: the same place of it on the same part, and not the other way round. */
const sameContact = ({ touch: a }: ArmPose, { touch: b }: ArmPose) =>
  a && b && a.part === b.part && a.with === b.with && dot(a.fingers, b.fingers) > 0 && dot(a.palm, b.palm) > 0;

/** The same pose with every contact turned into plain angles. */
export function plain(pose: Pose): Pose {
  if (!pose.right?.touch && !pose.left?.touch) return pose;
  const { arms } = bonesOf(pose);
  return { ...pose, ...(arms.right && { right: arms.right.solved }), ...(arms.left && { left: arms.left.solved }) };
}

/** Degrees a helping arm goes out to its own side while it lets go of one place and takes another. */
const WITHDRAWS = 44;

/**
 * The pose a share of the way from a to b. A hand that keeps its contact is solved anew all along, so it neither slides nor sinks in; a
 * hand that gains or loses it goes from angles to angles.
 */
export function poseBetween(a: Pose, b: Pose, share: number): Pose {
  if (share <= 0) return a;
  if (share >= 1) return b;
  const loose = SIDE_NAMES.some((side) => {
    const [from, to] = [a[side], b[side]];
    return from && to && (from.touch || to.touch) && !sameContact(from, to);
  });
  if (!loose) return mix(a, b, share);
  const mixed = mix(plain(a), plain(b), share);
  const meets = (pose: Pose, side: SideName) => pose[side]?.touch?.part.startsWith("other") ?? false;
  const between = { ...mixed };
  for (const side of SIDE_NAMES) {
    const arm = mixed[side];
    if (!arm || !(meets(a, side) || meets(b, side))) continue;
    const out = WITHDRAWS * Math.sin(Math.PI * share);
    between[side] = { ...arm, shoulderAbduction: Math.min(120, arm.shoulderAbduction + out) };
  }
  return between;
}

/** The mirror image: the left hand does what the right did. */
export function mirrorPose({ right, left, neck, trunk }: Pose): Pose {
  return {
    ...(left && { right: left }),
    ...(right && { left: right }),
    neck: { ...neck, tilt: -neck.tilt || 0, turn: -neck.turn || 0 },
    trunk: { ...trunk, turn: -trunk.turn || 0, bend: -trunk.bend || 0 },
  };
}

/** Slow at both ends, as a body moves. */
export const eased = (share: number): number => share * share * (3 - 2 * share);

/** Share 0 … 1 of the way from b to c, on the smooth curve that comes from a and goes on to d (Catmull and Rom 1974). */
function smooth<T>([a, b, c, d]: readonly [T, T, T, T], share: number): T {
  if (typeof a === "number") {
    const [p, q, r, s] = [a, b, c, d] as unknown as [number, number, number, number];
    return (q + 0.5 * share * (r - p + share * (2 * p - 5 * q + 4 * r - s + share * (3 * (q - r) + s - p)))) as T;
  }
  if (Array.isArray(b))
    return b.map((_, i) => smooth([a, b, c, d].map((each) => (each as unknown[])[i]) as [unknown, unknown, unknown, unknown], share)) as T;
  if (b && typeof b === "object")
    return Object.fromEntries(
      Object.keys(b).map((key) => [
        key,
        smooth([a, b, c, d].map((each) => (each as Record<string, unknown>)[key]) as [unknown, unknown, unknown, unknown], share),
      ]),
    ) as T;
  return b;
}

/**
 * A place along the poses of a figure: 0 is the first, 1 the second … Steps and ways there and back slow down at every pose; a round
 * runs through all of them, and both a round and steps go on from the last to the first.
 */
export function poseAlong(poses: readonly Pose[], place: number, way: Figure["way"] = "thereAndBack"): Pose {
  const n = poses.length;
  if (n === 1) return poses[0]!;
  const closed = way !== "thereAndBack";
  const at = closed ? ((place % n) + n) % n : Math.max(0, Math.min(n - 1, place));
  const from = Math.floor(at);
  const to = closed ? (from + 1) % n : Math.min(n - 1, from + 1);
  if (way !== "round") return poseBetween(poses[from]!, poses[to]!, eased(at - from));
  return smooth([poses[(from + n - 1) % n]!, poses[from]!, poses[to]!, poses[(to + 1) % n]!], at - from);
}
