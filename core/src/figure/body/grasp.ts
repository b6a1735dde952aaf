/**
 * A hand that meets the other arm stops at its skin: it is moved out until nothing of it is inside, and a hand that grasps closes each
 * finger until it meets what it holds. Hands and forearms are taken as rods here (Ericson 2005, Real-Time Collision Detection, ch. 5).
 */
import { FOREARM_ROWS, forearmFrame } from "./forearm";
import { FINGERS, type FingerPose, type HandPose, type ThumbPose } from "./hand-pose";
import { HAND_SHAPES } from "./shapes";
import { FINGER_SIZES, THUMB_SIZE, handBones, type ArmBones, type DigitBones, type HandBones } from "./skeleton";
import { at, between, dot, subtract, type Frame, type Vector } from "../vector";

interface Rod {
  from: Vector;
  to: Vector;
  fromRadius: number;
  toRadius: number;
  way: Vector;
  /** Its length, squared; 1 for a ball. */
  lengthSquared: number;
  /** A ball that holds all of it. */
  middle: Vector;
  around: number;
}
export function rod(from: Vector, fromRadius: number, to: Vector, toRadius: number): Rod {
  const way = subtract(to, from);
  const lengthSquared = dot(way, way);
  const around = Math.sqrt(lengthSquared) / 2 + Math.max(fromRadius, toRadius);
  return { from, to, fromRadius, toRadius, way, lengthSquared: lengthSquared || 1, middle: between(from, to, 0.5), around };
}
/** The same rods elsewhere. @param place a movement without stretching */
export const rodsMoved = (rods: readonly Rod[], place: (p: Vector) => Vector): Rod[] =>
  rods.map(({ from, fromRadius, to, toRadius }) => rod(place(from), fromRadius, place(to), toRadius));

function fingerRods(name: (typeof FINGERS)[number], { base, middle, end, tip }: DigitBones): Rod[] {
  const [r0, r1, r2, r3] = FINGER_SIZES[name].radii;
  return [rod(base.o, r0, middle.o, r1), rod(middle.o, r1, end.o, r2), rod(end.o, r2, tip, r3)];
}
function thumbRods({ middle, end, tip }: DigitBones): Rod[] {
  const [r0, r1, r2] = THUMB_SIZE.radii;
  return [rod(middle.o, r0, end.o, r1), rod(end.o, r1, tip, r2)];
}

/** The palm with the pad of the thumb. */
function palmRods(hand: Frame, { thumb }: HandBones): Rod[] {
  const place = (x: number, y: number, z: number) => at(hand, x, y, z);
  const fingers = FINGERS.map((name) => {
    const [x, y, z] = FINGER_SIZES[name].knuckle;
    return rod(place(x * 0.8, y * 0.5, z * 0.5 + 1), 13, place(x, y, z), FINGER_SIZES[name].radii[0] + 0.9);
  });
  return [
    ...fingers,
    rod(place(12.5, -2, 0), 16.5, place(6, 45, 0), 13),
    rod(place(-12.5, -2, 0), 16.5, place(-25.5, 46, 2.5), 15.5),
    rod(place(17, 15, 6), 15, at(thumb.base, -1, 20, 3.5), 15.5),
    rod(at(thumb.base, -1, 20, 3.5), 15.5, at(thumb.base, 0, 36, 1.5), 12.8),
  ];
}

/** Everything of an arm that another hand can meet. */
export function armRods(arm: ArmBones): Rod[] {
  const rows = FOREARM_ROWS.map(([share, half, radius]) => {
    const frame = forearmFrame(arm, share);
    return [at(frame, half, 0, 0), at(frame, -half, 0, 0), radius] as const;
  });
  const forearm = rows.slice(1).flatMap(([thumbSide, littleSide, radius], i) => {
    const [beforeThumb, beforeLittle, before] = rows[i]!;
    return [rod(beforeThumb, before, thumbSide, radius), rod(beforeLittle, before, littleSide, radius)];
  });
  return [...forearm, ...handRods(arm.hand, arm.digits)];
}

const SAMPLES = [0, 0.25, 0.5, 0.75, 1] as const;

/** Millimetres between the nearest skins of some rods and others, as far as they are below `most`; negative where one is inside another. */
function gapBelow(most: number, rods: readonly Rod[], others: readonly Rod[]): number {
  let least = most;
  for (const one of rods)
    for (const other of others) {
      // What is too far away as a whole is not looked at in detail: that is most of it.
      const far = one.around + other.around + least;
      if (far <= 0 || squaredBetween(one.middle, other.middle) >= far * far) continue;
      const { from, way, lengthSquared, fromRadius, toRadius } = other;
      for (const share of SAMPLES) {
        const x = one.from[0] + one.way[0] * share - from[0];
        const y = one.from[1] + one.way[1] * share - from[1];
        const z = one.from[2] + one.way[2] * share - from[2];
        const along = (x * way[0] + y * way[1] + z * way[2]) / lengthSquared;
        const t = along < 0 ? 0 : along > 1 ? 1 : along;
        const radii = one.fromRadius + (one.toRadius - one.fromRadius) * share + fromRadius + (toRadius - fromRadius) * t;
        const reach = radii + least;
        const dx = x - way[0] * t;
        const dy = y - way[1] * t;
        const dz = z - way[2] * t;
        const squared = dx * dx + dy * dy + dz * dz;
        if (reach > 0 && squared < reach * reach) least = Math.sqrt(squared) - radii;
      }
    }
  return least;
}
const squaredBetween = (p: Vector, q: Vector): number => (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2;

/** Millimetres the deepest of some rods stands inside others; 0 when none does. */
const depthIn = (rods: readonly Rod[], others: readonly Rod[]): number => -gapBelow(0, rods, others);

const handRods = (hand: Frame, digits: HandBones): Rod[] => [
  ...palmRods(hand, digits),
  ...FINGERS.flatMap((name) => fingerRods(name, digits[name])),
  ...thumbRods(digits.thumb),
];

/** Millimetres between the nearest skins of a hand and another arm; below 0 where one stands inside the other. */
export const skinGap = (hand: Frame, shape: HandPose, other: readonly Rod[]): number =>
  gapBelow(Infinity, handRods(hand, handBones(hand, shape)), other);

/** Flesh gives way by this much before it counts. */
const GIVES_MM = 3;

/** How far a hand stands inside an arm. @param grasps the fingers close by themselves, only the palm is looked at */
export function handInside(hand: Frame, shape: HandPose, other: readonly Rod[], grasps: boolean): number {
  const digits = handBones(hand, shape);
  const rods = grasps ? palmRods(hand, digits) : handRods(hand, digits);
  return Math.max(0, depthIn(rods, other) - GIVES_MM);
}

const mixed = <T extends FingerPose | ThumbPose>(a: T, b: T, share: number): T =>
  Object.fromEntries(Object.entries(a).map(([key, value]) => [key, value + ((b as Record<string, number>)[key]! - value) * share])) as T;

const HALVINGS = 5;
/** Coarse looks on the way shut, so that nothing is passed through. */
const LOOKS = 8;

/** Places a thumb can get out of the way to, the nearest to a resting one first. */
const THUMBS: readonly ThumbPose[] = [
  { radial: 46, palmar: 10, opposition: 0, middle: 4, end: 4 },
  { radial: 60, palmar: 4, opposition: -10, middle: 0, end: 0 },
  { radial: 20, palmar: -5, opposition: -20, middle: 0, end: 0 },
  { radial: 2, palmar: -5, opposition: -20, middle: 0, end: 0 },
  { radial: 50, palmar: 40, opposition: 20, middle: 10, end: 10 },
  { radial: 30, palmar: 62, opposition: 30, middle: 0, end: 0 },
  { radial: -12, palmar: 10, opposition: 0, middle: 0, end: 0 },
];

/** The hand with its thumb laid where it enters nothing, as little changed as may be. */
export function withThumbFree(hand: Frame, shape: HandPose, other: readonly Rod[]): HandPose {
  const depth = (thumb: ThumbPose) => {
    const { thumb: bones } = handBones(hand, { ...shape, thumb });
    return depthIn([...thumbRods(bones), rod(at(bones.base, -1, 20, 3.5), 15.5, at(bones.base, 0, 36, 1.5), 12.8)], other);
  };
  let thumb = shape.thumb;
  let least = depth(thumb);
  for (const tried of THUMBS) {
    if (least <= GIVES_MM) break;
    const now = depth(tried);
    if (now < least - 1) [thumb, least] = [tried, now];
  }
  return { ...shape, thumb };
}

/** Each finger and the thumb closed from an open shape as far as what is held lets them. */
export function closedRound(hand: Frame, open: HandPose, other: readonly Rod[]): HandPose {
  const shut = HAND_SHAPES.fist;
  const closed = { ...open };
  const free = (digit: keyof HandPose, share: number): boolean => {
    const tried = { ...open, [digit]: mixed<FingerPose | ThumbPose>(open[digit], shut[digit], share) } as HandPose;
    const bones = handBones(hand, tried);
    return depthIn(digit === "thumb" ? thumbRods(bones.thumb) : fingerRods(digit, bones[digit]), other) <= GIVES_MM;
  };
  for (const digit of [...FINGERS, "thumb"] as const) {
    let least = 0;
    let most = 1;
    for (let i = 1; i <= LOOKS; i++) {
      if (free(digit, i / LOOKS)) least = i / LOOKS;
      else {
        most = i / LOOKS;
        break;
      }
    }
    for (let i = 0; i < HALVINGS && most > least; i++) {
      const middle = (least + most) / 2;
      if (free(digit, middle)) least = middle;
      else most = middle;
    }
    Object.assign(closed, { [digit]: mixed<FingerPose | ThumbPose>(open[digit], shut[digit], least) });
  }
  return closed;
}
