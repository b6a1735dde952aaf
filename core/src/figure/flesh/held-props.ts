/** Things a hand holds, wears or rolls. */
import { FINGER_SIZES, type ArmBones } from "../body/skeleton";
import { touchingPlace } from "../body/contact";
import { FINGERS } from "../body/hand-pose";
import { disc, rod, slab } from "./prop-shapes";
import type { Prop, PropKind } from "./prop-schema";
import { PartBuilder, type Part } from "./solid";
import { tapeParts } from "./tape";
import { add, at, between, cross, distance, moved, scale, subtract, unit, type Frame, type Vector } from "../vector";

/** Where the middle of a fist is, and the way a rod through it points: from the little finger to the thumb. */
export function gripFrame(arm: ArmBones): Frame {
  const { index, little } = arm.digits;
  const x = unit(subtract(index.base.o, little.base.o));
  const middle = at(arm.hand, ...touchingPlace(arm.solved.hand, "grip"));
  const z = arm.hand.z;
  const y = unit(cross(z, x));
  return { o: middle, x, y, z: cross(x, y) };
}

/** Half of a middling phone: along its length, through its screen, across it. */
const PHONE_HALF: Vector = [72, 4.5, 35];

type Held = (
  held: { arm: ArmBones; grip: Frame; along(x: number): Vector; other: ArmBones | undefined } & Pick<Prop, "place" | "size">,
  id: string,
) => Part[];
/** What a hand holds, wears or rolls. */
export const HELD: Partial<Record<PropKind, Held>> = {
  dumbbell: ({ grip, along }, id) => {
    return [
      rod(`${id}:handle`, "metal", 14, along(-62), along(62)),
      disc(`${id}:a`, "rubber", grip, -108, -62, 38),
      disc(`${id}:b`, "rubber", grip, 62, 108, 38),
    ];
  },
  dumbbellEnd: ({ grip }, id) => {
    // Held at the end: one head rests against the little-finger side, the other stands out past the thumb.
    const shifted = moved(grip, 66, 0, 0);
    return [
      rod(`${id}:handle`, "metal", 14, at(shifted, -62, 0, 0), at(shifted, 62, 0, 0)),
      disc(`${id}:a`, "rubber", shifted, -108, -108 + 40, 24),
      disc(`${id}:b`, "rubber", shifted, 62, 108, 38),
    ];
  },
  hammer: ({ grip, along, place }, id) => {
    // Held `place[0]` millimetres from the end of a 330 mm handle; the head stands across. Below 0: head on the little-finger side.
    const held = Math.abs(place?.[0] ?? 60);
    const way = (place?.[0] ?? 60) < 0 ? -1 : 1;
    const end = way * (330 - held);
    return [
      rod(`${id}:handle`, "wood", 13, along(-way * held), along(end)),
      rod(`${id}:head`, "metal", 19, at(grip, end + way * 6, 0, -62), at(grip, end + way * 6, 0, 62)),
    ];
  },
  dowel: ({ along, place, size }, id) => {
    const held = place?.[0] ?? 220;
    return [rod(`${id}:rod`, "wood", 13, along(-held), along((size?.[0] ?? 440) - held))];
  },
  bottle: ({ grip }, id) => {
    return [
      rod(`${id}:body`, "rubber", 33, at(grip, -70, 0, 16), at(grip, 60, 0, 16)),
      rod(`${id}:neck`, "metal", 14, at(grip, 60, 0, 16), at(grip, 128, 0, 16)),
    ];
  },
  bar: ({ grip, other }, id) => {
    // Level, through both hands.
    const way = other ? unit(subtract(gripFrame(other).o, grip.o)) : grip.x;
    const reach = other ? distance(gripFrame(other).o, grip.o) : 160;
    return [rod(`${id}:rod`, "metal", 15, add(grip.o, scale(way, -170)), add(grip.o, scale(way, reach + 170)))];
  },
  ball: ({ arm, size, place }, id) => {
    const builder = new PartBuilder(id, "rubber", { step: 3 });
    builder.ball(place ? at(arm.hand, ...place) : ballPlace(arm), size?.[0] ?? 33);
    return [builder.part];
  },
  ballOnTable: ({ arm }, id) => {
    const builder = new PartBuilder(id, "rubber", { step: 3 });
    builder.ball(add(between(arm.fore.o, arm.wrist.o, 0.46), [0, -64, 0]), 33);
    return [builder.part];
  },
  plate: ({ arm }, id) => {
    const frame: Frame = { o: at(arm.hand, ...PINCHED), x: arm.hand.z, y: arm.hand.y, z: arm.hand.x };
    return [disc(id, "metal", { ...frame, o: at(frame, 0, 62, 0) }, -11, 11, 92)];
  },
  bandRound: ({ arm }, id) => {
    const { digits } = arm;
    const outside = FINGERS.map((name) => at(digits[name].end, 0, FINGER_SIZES[name].bones[2] * 0.1, -(FINGER_SIZES[name].radii[2] + 3)));
    const edge = at(digits.little.end, -(FINGER_SIZES.little.radii[2] + 3), 2, 0);
    const thumb = [at(digits.thumb.end, 9, 8, -6), at(digits.thumb.end, 2, 9, -12), at(digits.thumb.end, -9, 9, -5)];
    return [rod(id, "rubber", 4, ...thumb, ...outside, edge, at(digits.little.end, 0, 2, FINGER_SIZES.little.radii[2] + 3), thumb[0]!)];
  },
  bandPinch: ({ arm: { digits } }, id) => {
    const round = (frame: Frame, radius: number) =>
      [0, 60, 120, 180].map((turn) => [Math.cos((turn * Math.PI) / 180) * radius, Math.sin((turn * Math.PI) / 180) * radius] as const);
    const finger = round(digits.index.end, FINGER_SIZES.index.radii[2] + 4).map(([x, z]) => at(digits.index.end, x, 4, z));
    const thumb = round(digits.thumb.end, FINGER_SIZES.index.radii[2] + 6).map(([x, z]) => at(digits.thumb.end, -x, 6, -z));
    const ring = nearestRound(finger, thumb);
    return [rod(id, "rubber", 4, ...ring, ring[0]!)];
  },
  paper: ({ arm: { hand, digits } }, id) => {
    // Held upright between the first and the second finger, edge to the hand.
    const middle = between(digits.index.tip, digits.middle.tip, 0.5);
    const low = subtract(middle, scale(hand.y, 46));
    const builder = new PartBuilder(id, "tape", { step: 99 });
    const corners = [
      add(low, scale(hand.z, -26)),
      add(low, scale(hand.z, 34)),
      add(add(middle, scale(hand.y, 84)), scale(hand.z, 34)),
      add(add(middle, scale(hand.y, 84)), scale(hand.z, -26)),
    ];
    const [a, b, c, d] = corners.map((corner) => builder.ball(corner, 0.8)) as [number, number, number, number];
    builder
      .skin(a, b, c)
      .skin(a, c, d)
      .mark("seam", [...corners, corners[0]!]);
    return [builder.part];
  },
  towelTwist: ({ grip, other }, id) => {
    // A rolled towel through both fists, its ends hanging out, the twist as wrinkles across it.
    const far = other ? gripFrame(other).o : at(grip, 200, 0, 0);
    const way = unit(subtract(far, grip.o));
    const [near, end] = [add(grip.o, scale(way, -84)), add(far, scale(way, 84))];
    const builder = new PartBuilder(id, "cloth", { step: 3 });
    builder.chain(builder.ball(near, 24), builder.ball(grip.o, 15), builder.ball(between(grip.o, far, 0.5), 19), builder.ball(far, 15));
    builder.chain(builder.ball(far, 15), builder.ball(end, 24));
    const up = unit(cross(way, [0, 0, 1]));
    for (let i = 1; i <= 4; i++) {
      const middle = between(grip.o, far, 0.26 + i * 0.1);
      const turn = (share: number) => add(add(middle, scale(way, (share - 0.5) * 26)), add(scale(up, (share - 0.5) * 34), [0, 0, 18]));
      builder.mark("wrinkle", [turn(0), turn(0.5), turn(1)]);
    }
    return [builder.part];
  },
  bandPull: ({ grip, along, other }, id) => {
    // From the hand down to what holds it: the other hand, or the floor under a foot.
    const anchor = other ? at(gripFrame(other), 0, 0, 0) : add(grip.o, [0, -420, -30]);
    return [rod(id, "rubber", 6, along(-46), along(0), anchor)];
  },
  roller: ({ arm, grip, other }, id) => {
    // Between the palm and the other forearm, across it.
    const across = other ? { ...grip, o: at(arm.hand, 2, 56, 32), x: other.wrist.x } : grip;
    return [
      rod(`${id}:stick`, "metal", 8, at(across, -120, 0, 0), at(across, 120, 0, 0)),
      rod(`${id}:roll`, "rubber", 17, at(across, -70, 0, 0), at(across, 70, 0, 0)),
    ];
  },
  edge: ({ arm, grip, other }, id) => {
    const tips = at(arm.hand, ...touchingPlace(arm.solved.hand, "fingertips"));
    const across = other ? other.wrist.x : grip.x;
    return [rod(id, "metal", 6, add(tips, scale(across, -48)), add(tips, scale(across, 48)))];
  },
  tape: ({ arm }, id) => {
    return tapeParts(id, arm);
  },
  phone: ({ arm, grip, place }, id) => {
    // In the fist, its length through it; with a place, flat along the hand: on its back, or behind the wrist on the forearm.
    const { hand } = arm;
    const lies: Frame = place ? { o: at(hand, ...place), x: hand.y, y: hand.z, z: hand.x } : { ...grip, o: at(grip, 24, 0, 4) };
    return [slab(id, "rubber", lies, PHONE_HALF)];
  },
};

/** Two half rings joined to one: the second is turned round where that keeps its ends nearer. */
function nearestRound(one: Vector[], other: Vector[]): Vector[] {
  const straight = distance(one.at(-1)!, other[0]!) + distance(other.at(-1)!, one[0]!);
  const turned = distance(one.at(-1)!, other.at(-1)!) + distance(other[0]!, one[0]!);
  return [...one, ...(turned < straight ? [...other].reverse() : other)];
}

/** Where thumb and fingers meet. */
const PINCHED: Vector = [12, 118, 34];

function ballPlace(arm: ArmBones): Vector {
  const { digits, hand } = arm;
  const fingers = scale(FINGERS.map((name) => digits[name].middle.o).reduce(add), 1 / FINGERS.length);
  return add(between(at(hand, 0, 62, 14), fingers, 0.5), scale(hand.z, 8));
}
