/** A hand's bones → its flesh: one palm, four fingers, a thumb; nails, knuckle wrinkles and palm creases tell back from front. */
import { FINGER_SIZES, THUMB_SIZE, type ArmBones, type DigitBones } from "../body/skeleton";
import { FINGERS, type FingerName } from "../body/hand-pose";
import { type SideName } from "../body/pose";
import { PartBuilder, type Part, type Tone } from "./solid";
import { at, between, scale, type Frame, type Vector } from "../vector";

const DOWN = -1;
const PALM_SIDE = 1;

export function handParts(side: SideName, arm: ArmBones, tone: Tone): Part[] {
  const palmId = `${side}:palm`;
  const fingers = FINGERS.map((name) => fingerPart(`${side}:${name}`, palmId, tone, name, arm.digits[name]));
  return [palmPart(side, arm, tone), ...fingers, thumbPart(side, arm, tone)];
}

function palmPart(side: SideName, arm: ArmBones, tone: Tone): Part {
  const id = `${side}:palm`;
  const { hand, digits } = arm;
  const builder = new PartBuilder(id, tone, {
    joins: [`${side}:forearm`, `${side}:thumb`, ...FINGERS.map((name) => `${side}:${name}`)],
    step: 7.5,
  });
  const ball = (x: number, y: number, z: number, radius: number) => builder.ballIn(hand, x, y, z, radius);
  const wristThumb = ball(12.5, -2, 0, 16.5);
  const wristLittle = ball(-12.5, -2, 0, 16.5);
  const heel = ball(-17, 20, 3.5, 17.5);
  const edge = ball(-25.5, 46, 2.5, 15.5);
  const edgeTop = ball(-30, 66, 1, 12);
  const heads = FINGERS.map((name) => {
    const { knuckle, radii } = FINGER_SIZES[name];
    return builder.ballIn(hand, ...knuckle, radii[0] + 0.9);
  });
  const mids = FINGERS.map((name) => {
    const [x, y, z] = FINGER_SIZES[name].knuckle;
    return ball(x * 0.8, y * 0.56, z * 0.5 + 1, 13);
  });
  const [index, middle, ring, little] = heads as [number, number, number, number];
  const [midIndex, midMiddle, midRing, midLittle] = mids as [number, number, number, number];
  builder
    .skin(wristThumb, wristLittle, heel, midRing)
    .skin(wristThumb, midRing, midMiddle, midIndex)
    .skin(heel, edge, midLittle, midRing)
    .skin(edge, edgeTop, little, midLittle)
    .chain(wristLittle, heel, edge, edgeTop, little)
    .skin(midIndex, midMiddle, middle, index)
    .skin(midMiddle, midRing, ring, middle)
    .skin(midRing, midLittle, little, ring);
  // The thumb pad: from the wrist out along the thumb's own bone, and the web to the index finger.
  const bone = digits.thumb.base;
  const saddle = builder.ball(at(hand, 17, 15, 6), 15);
  const pad = builder.ball(at(bone, -1, 20, 3.5), 15.5);
  const padInner = ball(6, 32, 8, 11.5);
  const padEnd = builder.ball(at(bone, 0, 36, 1.5), 12.8);
  const web = builder.ball(between(at(bone, 0, 34, 0), at(hand, 24, 62, 2), 0.5), 8.5);
  builder
    .skin(wristThumb, saddle, pad, padInner)
    .skin(padInner, pad, padEnd, web)
    .skin(padInner, web, midIndex)
    .skin(saddle, pad, padEnd, web, midIndex)
    .skin(wristThumb, saddle, midIndex)
    .skin(web, midIndex, index);
  // Webs between the fingers reach a third of the way up.
  for (let i = 0; i < 3; i++) {
    const [first, second] = [FINGERS[i]!, FINGERS[i + 1]!];
    const nearFirst = webBall(builder, digits[first].base, first, -1);
    const nearSecond = webBall(builder, digits[second].base, second, 1);
    builder.skin(heads[i]!, heads[i + 1]!, nearSecond, nearFirst);
  }
  palmMarks(builder, arm);
  return builder.part;
}

function webBall(builder: PartBuilder, base: Frame, name: FingerName, towards: 1 | -1): number {
  return builder.ballIn(base, towards * 2.5, FINGER_SIZES[name].bones[0] * 0.34, 1.5, 7);
}

function palmMarks(builder: PartBuilder, { hand, solved }: ArmBones): void {
  const palmAway = hand.z;
  const backAway = scale(hand.z, -1);
  const onPalm = (...points: [number, number, number][]) => points.map(([x, y, z]) => at(hand, x, y, z));
  const flat = solved.hand.thumb.palmar < 40;
  builder.mark("crease", onPalm([31, 67, 10], [21, 63, 13], [11, 52, 15], [4, 38, 17], [1, 22, 17], [1, 12, 16]), palmAway);
  if (flat) builder.mark("wrinkle", onPalm([31, 70, 10], [15, 67, 12], [-3, 59, 14], [-19, 47, 17]), palmAway);
  builder.mark("wrinkle", onPalm([9, 86, 7], [2, 79, 10], [-13, 71, 12], [-36, 64, 12]), palmAway);
  for (const name of FINGERS) {
    const bent = solved.hand[name].base;
    const [x, y, z] = FINGER_SIZES[name].knuckle;
    // Knuckles show as a small arc when the fingers are long, as a rounder one, open towards the fingers, when they bend.
    const arc =
      bent < 50
        ? bow((along, over) => at(hand, x + 5.5 * along, y - 1 + 2.6 * over, z - 10.5 - over))
        : bow((along, over) => at(hand, x + 7 * along, y + 2 - 7 * over, z - 9.5 - 2 * over));
    builder.mark("wrinkle", arc, backAway);
  }
}

function fingerPart(id: string, palm: string, tone: Tone, name: FingerName, bones: DigitBones): Part {
  const { bones: lengths, radii } = FINGER_SIZES[name];
  const [first, second, third] = lengths;
  const [r0, r1, r2, r3] = radii;
  const builder = new PartBuilder(id, tone, { joins: [id, palm], step: 4.5 });
  const { base, middle, end } = bones;
  const root = builder.ballIn(base, 0, -6, 0, r0);
  const knuckle = builder.ballIn(base, 0, 1, 0, r0);
  const shaft = builder.ballIn(base, 0, first * 0.5, 1, (r0 + r1) / 2 - 0.3);
  const joint = builder.ballIn(middle, 0, 0, 0, r1);
  const second2 = builder.ballIn(middle, 0, second * 0.5, 0.8, (r1 + r2) / 2 - 0.25);
  const joint2 = builder.ballIn(end, 0, 0, 0, r2);
  const pad = builder.ballIn(end, 0, third * 0.5, 0.9, (r2 + r3) / 2 + 0.1);
  const tip = builder.ballIn(end, 0, third, 0.2, r3);
  builder.chain(root, knuckle, shaft, joint, second2, joint2, pad, tip);
  builder.mark("nail", nail(end, third, (r2 + r3) / 2, 0.74), scale(end.z, DOWN));
  const bend = (a: Frame, b: Frame) => a.y[0] * b.y[0] + a.y[1] * b.y[1] + a.y[2] * b.y[2];
  const straightMiddle = bend(base, middle) > 0.7;
  const straightEnd = bend(middle, end) > 0.8;
  const line = (frame: Frame, y: number, radius: number, side: 1 | -1, reach: number) =>
    builder.mark("wrinkle", roundTheFinger(frame, y, radius, side, reach), scale(frame.z, side));
  if (straightMiddle) {
    line(middle, 0, r1, PALM_SIDE, 0.95);
    line(middle, -2.2, r1, DOWN, 0.6);
    line(middle, 2.2, r1, DOWN, 0.5);
  } else line(middle, -1.5, r1, DOWN, 0.42);
  if (straightEnd) {
    line(end, 0, r2, PALM_SIDE, 0.9);
    line(end, -0.5, r2, DOWN, 0.48);
  }
  return builder.part;
}

/** Points of a bow from −1 to 1 along it, which stands over its chord by 0 at the ends and 1 in the middle. */
function bow(point: (along: number, over: number) => Vector): Vector[] {
  return Array.from({ length: 9 }, (_, i) => {
    const turn = ((i - 4) / 8) * Math.PI;
    return point(Math.sin(turn), Math.cos(turn));
  });
}

/** An oval plate let into the back of the last joint. */
function nail(end: Frame, lengthMm: number, radius: number, width: number): Vector[] {
  return Array.from({ length: 14 }, (_, i) => {
    const turn = (i / 14) * 2 * Math.PI;
    const x = Math.sign(Math.cos(turn)) * Math.abs(Math.cos(turn)) ** 0.7 * width * radius;
    const y = lengthMm * 0.74 + Math.sin(turn) * lengthMm * 0.36;
    return at(end, x, y, -Math.sqrt(Math.max(0, radius * radius - x * x)) - 0.3);
  });
}

function roundTheFinger(frame: Frame, y: number, radius: number, side: 1 | -1, reach: number): Vector[] {
  return [-1, -0.5, 0, 0.5, 1].map((share) =>
    at(
      frame,
      Math.sin(share * reach) * radius,
      y + (side < 0 ? 1.4 * (1 - share * share) : 0),
      side * Math.cos(share * reach) * (radius + 0.3),
    ),
  );
}

function thumbPart(side: SideName, arm: ArmBones, tone: Tone): Part {
  const id = `${side}:thumb`;
  const builder = new PartBuilder(id, tone, { joins: [id, `${side}:palm`], step: 5 });
  const { base, middle, end } = arm.digits.thumb;
  const [first, second, third] = THUMB_SIZE.bones;
  const [r0, r1, r2] = THUMB_SIZE.radii;
  const root = builder.ballIn(base, 0, first - 10, 1.5, 12.8);
  const knuckle = builder.ballIn(middle, 0, 0, 0, r0);
  const shaft = builder.ballIn(middle, 0, second * 0.52, 0.8, (r0 + r1) / 2 - 0.9);
  const joint = builder.ballIn(end, 0, 0, 0, r1);
  const pad = builder.ballIn(end, 0, third * 0.52, 1.6, 10.1);
  const tip = builder.ballIn(end, 0, third, 0.4, r2);
  builder.chain(root, knuckle, shaft, joint, pad, tip);
  builder.mark("nail", nail(end, third, 9.3, 0.78), scale(end.z, DOWN));
  const straight = arm.solved.hand.thumb.end < 40;
  if (straight) builder.mark("wrinkle", roundTheFinger(end, 0, r1, PALM_SIDE, 0.9), end.z);
  builder.mark("wrinkle", roundTheFinger(end, -1, r1, DOWN, 0.5), scale(end.z, DOWN));
  if (straight) builder.mark("wrinkle", roundTheFinger(end, 2.6, r1, DOWN, 0.42), scale(end.z, DOWN));
  return builder.part;
}
