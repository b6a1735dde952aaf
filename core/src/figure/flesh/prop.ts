/** Things a movement needs: a bench to lean on, a tool in the hand. Millimetres, in the frame of what holds them. */
import * as v from "valibot";
import { onForearm } from "../body/forearm";
import { FINGER_SIZES, THUMB_SIZE, type ArmBones } from "../body/skeleton";
import { type Bones } from "../body/bones";
import { touchingPlace } from "../body/contact";
import { FINGERS } from "../body/hand-pose";
import { otherSide, type SideName } from "../body/pose";
import { PartBuilder, type Part, type Tone } from "./solid";
import { add, at, between, cross, distance, moved, scale, subtract, unit, type Frame, type Vector } from "../vector";

export const PROP_KINDS = [
  "table",
  "thigh",
  "wall",
  "towel",
  "towelTwist",
  "dumbbell",
  "dumbbellEnd",
  "hammer",
  "dowel",
  "bottle",
  "bandRound",
  "bandPinch",
  "paper",
  "bandPull",
  "ball",
  "ballOnTable",
  "bigBall",
  "plate",
  "bar",
  "roller",
  "edge",
  "tape",
  "phone",
] as const;
export const PropKind = v.picklist(PROP_KINDS);
export type PropKind = v.InferOutput<typeof PropKind>;

const millimetres = v.pipe(v.number(), v.finite(), v.minValue(-2000), v.maxValue(2000));
export const Prop = v.strictObject({
  kind: PropKind,
  /** The hand that holds it, as seen on the movement's own side. `worked`: the hand that does the movement. */
  hand: v.optional(v.picklist(["worked", "helping", "both"]), "worked"),
  /** Bench, thigh and wall: where; x to the worked side, y up, z forward. For a tool: how far along its length it is held. */
  place: v.optional(v.pipe(v.tuple([millimetres, millimetres, millimetres]), v.readonly())),
  /** Bench: the size of its top, sideways and forward. */
  size: v.optional(v.pipe(v.tuple([millimetres, millimetres]), v.readonly())),
});
export type Prop = v.InferOutput<typeof Prop>;
export type PropInput = v.InferInput<typeof Prop>;

/** Where the middle of a fist is, and the way a rod through it points: from the little finger to the thumb. */
export function gripFrame(arm: ArmBones): Frame {
  const { index, little } = arm.digits;
  const x = unit(subtract(index.base.o, little.base.o));
  const middle = at(arm.hand, ...touchingPlace(arm.solved.hand, "grip"));
  const z = arm.hand.z;
  const y = unit(cross(z, x));
  return { o: middle, x, y, z: cross(x, y) };
}

function rod(id: string, tone: Tone, radius: number, ...points: Vector[]): Part {
  const builder = new PartBuilder(id, tone, { step: 3 });
  builder.chain(...points.map((p) => builder.ball(p, radius)));
  return builder.part;
}

/** A disc with flat sides: a cylinder along x of the frame. */
function disc(id: string, tone: Tone, frame: Frame, from: number, to: number, radius: number): Part {
  const builder = new PartBuilder(id, tone, { joins: [id], step: 99 });
  const swell = radius;
  builder.chain(builder.ballIn(frame, from - swell, 0, 0, radius), builder.ballIn(frame, to + swell, 0, 0, radius));
  for (const [x, way] of [
    [from, -1],
    [to, 1],
  ] as const) {
    const rim = Array.from({ length: 29 }, (_, i) =>
      at(frame, x, Math.cos((i / 28) * 2 * Math.PI) * radius, Math.sin((i / 28) * 2 * Math.PI) * radius),
    );
    builder.cut(at(frame, x, 0, 0), scale(frame.x, way)).mark("seam", rim);
    builder.face(tone, ...rim.slice(1));
  }
  return builder.part;
}

function box(id: string, top: Tone, side: Tone, low: Vector, high: Vector): Part {
  const builder = new PartBuilder(id, top, { step: 99 });
  const [x0, y0, z0] = low;
  const [x1, y1, z1] = high;
  const quad = (tone: Tone, ...corners: Vector[]) => builder.face(tone, ...corners).mark("seam", [...corners, corners[0]!]);
  quad(top, [x0, y1, z0], [x1, y1, z0], [x1, y1, z1], [x0, y1, z1]);
  quad(side, [x0, y0, z1], [x1, y0, z1], [x1, y1, z1], [x0, y1, z1]);
  quad(side, [x0, y0, z0], [x1, y0, z0], [x1, y1, z0], [x0, y1, z0]);
  quad(side, [x1, y0, z0], [x1, y0, z1], [x1, y1, z1], [x1, y1, z0]);
  quad(side, [x0, y0, z0], [x0, y0, z1], [x0, y1, z1], [x0, y1, z0]);
  return builder.part;
}

/** Half of a middling phone: along its length, through its screen, across it. */
const PHONE_HALF: Vector = [72, 4.5, 35];

/** A box in any frame, by its half sizes. */
function slab(id: string, tone: Tone, frame: Frame, [hx, hy, hz]: Vector): Part {
  const builder = new PartBuilder(id, tone, { step: 99 });
  const corner = (x: number, y: number, z: number) => at(frame, x * hx, y * hy, z * hz);
  const quad = (...corners: Vector[]) => builder.face(tone, ...corners).mark("seam", [...corners, corners[0]!]);
  for (const s of [1, -1] as const) {
    const round = (corners: Vector[]) => quad(...(s === 1 ? corners : corners.reverse()));
    round([corner(1, s, 1), corner(1, s, -1), corner(-1, s, -1), corner(-1, s, 1)]);
    round([corner(s, 1, 1), corner(s, -1, 1), corner(s, -1, -1), corner(s, 1, -1)]);
    round([corner(1, 1, s), corner(-1, 1, s), corner(-1, -1, s), corner(1, -1, s)]);
  }
  return builder.part;
}

const TABLE_THICK = 30;
const DEFAULT_TABLE = { place: [190, -337, 20] as Vector, size: [330, 330] as const };

type Standing = (prop: Prop, sign: 1 | -1, id: string) => Part[];
/** What stands in the room: x is counted to the worked side. */
const STANDING: Partial<Record<PropKind, Standing>> = {
  table: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? DEFAULT_TABLE.place;
    const [wide, deep] = prop.size ?? DEFAULT_TABLE.size;
    return [box(id, "wood", "woodSide", [sign * x - wide / 2, y - TABLE_THICK, z - deep / 2], [sign * x + wide / 2, y, z + deep / 2])];
  },
  wall: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? [0, 0, 560];
    const [wide, high] = prop.size ?? [900, 900];
    return [box(id, "wood", "woodSide", [sign * x - wide / 2, y - high / 2, z], [sign * x + wide / 2, y + high / 2, z + 30])];
  },
  thigh: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? [172, -405, 0];
    return [rod(id, "trousers", 76, [sign * x, y, z - 160], [sign * x, y - 8, z + 420])];
  },
  towel: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? [172, -318, 215];
    const half = prop.size?.[0] ?? 70;
    return [rod(id, "cloth", 15, [sign * x - half, y, z], [sign * x + half, y, z])];
  },
  roller: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? [172, -348, 150];
    const half = prop.size?.[0] ?? 110;
    return [
      rod(`${id}:stick`, "metal", 8, [sign * x - half - 34, y, z], [sign * x + half + 34, y, z]),
      rod(`${id}:roll`, "rubber", prop.size?.[1] ?? 26, [sign * x - half, y, z], [sign * x + half, y, z]),
    ];
  },
  bigBall: (prop, sign, id) => {
    const [x, y, z] = prop.place ?? [0, -130, 330];
    const builder = new PartBuilder(id, "rubber", { step: 3 });
    builder.ball([sign * x, y, z], prop.size?.[0] ?? 190);
    return [builder.part];
  },
};

type Held = (
  held: { arm: ArmBones; grip: Frame; along(x: number): Vector; other: ArmBones | undefined } & Pick<Prop, "place" | "size">,
  id: string,
) => Part[];
/** What a hand holds, wears or rolls. */
const HELD: Partial<Record<PropKind, Held>> = {
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

/** What stands in the room; a roller without a place is held in the hand. */
function standingOf({ kind, place }: Prop): Standing | undefined {
  return kind === "roller" && !place ? undefined : STANDING[kind];
}

/** Whether the working hand has something in it, so that nothing else can be. */
export function isInWorkingHand(prop: Prop): boolean {
  return prop.hand !== "helping" && prop.kind !== "tape" && standingOf(prop) === undefined;
}

/** Parts of a prop. `worked` is the side that does the movement. */
export function propParts(prop: Prop, bones: Bones, worked: SideName, id: string): Part[] {
  const standing = standingOf(prop);
  if (standing) return standing(prop, worked === "right" ? -1 : 1, id);
  const hands: SideName[] = prop.hand === "both" ? ["right", "left"] : [prop.hand === "worked" ? worked : otherSide(worked)];
  return hands.flatMap((side) => {
    const arm = bones.arms[side];
    if (!arm) return [];
    const grip = gripFrame(arm);
    return (
      HELD[prop.kind]?.(
        { arm, grip, along: (x) => at(grip, x, 0, 0), other: bones.arms[otherSide(side)], place: prop.place, size: prop.size },
        `${id}:${side}`,
      ) ?? []
    );
  });
}

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

/** Two strips: one along the back of the thumb, one round the wrist. */
const TAPE_HALF_MM = 8;
const TAPE_LIFT_MM = 2.5;
const TAPE_EDGE_MM = 0.8;

function tapeParts(id: string, arm: ArmBones): Part[] {
  const { base, middle, end } = arm.digits.thumb;
  const strip = new PartBuilder(`${id}:strip`, "tape", { joins: [`${id}:strip`, `${id}:ring`], step: 4 });
  // A flat band a little above the skin: along the back of the thumb, and on to the thumb side of the forearm.
  const across = (frame: Frame, y: number, z: number): [Vector, Vector] => [at(frame, -TAPE_HALF_MM, y, z), at(frame, TAPE_HALF_MM, y, z)];
  const [ofBase, ofMiddle] = THUMB_SIZE.radii;
  const stations: [Vector, Vector][] = [
    [onForearm(arm, 0.9, 315, TAPE_LIFT_MM), onForearm(arm, 0.9, 352, TAPE_LIFT_MM)],
    [onForearm(arm, 0.98, 318, TAPE_LIFT_MM), onForearm(arm, 0.98, 355, TAPE_LIFT_MM)],
    across(base, 14, -16),
    across(base, 32, -15),
    across(middle, 0, -ofBase - TAPE_LIFT_MM),
    across(middle, 16, -ofMiddle - TAPE_LIFT_MM),
    across(end, 0, -ofMiddle - TAPE_LIFT_MM),
  ];
  const [first, ...rest] = stations.map(([left, right]) => [strip.ball(left, TAPE_EDGE_MM), strip.ball(right, TAPE_EDGE_MM)] as const);
  rest.reduce((before, now) => {
    strip.skin(before[0], before[1], now[1]).skin(before[0], now[1], now[0]);
    return now;
  }, first!);
  const ring = new PartBuilder(`${id}:ring`, "tape", { joins: [`${id}:ring`], step: 99 });
  const row = (share: number): [number, number] => [
    ring.ball(between(onForearm(arm, share, 0), onForearm(arm, share, 180), 0.29), 18.6),
    ring.ball(between(onForearm(arm, share, 0), onForearm(arm, share, 180), 0.71), 18.6),
  ];
  ring.tube([row(0.86), row(0.93), row(1)]);
  for (const [share, way] of [
    [0.9, -1],
    [0.98, 1],
  ] as const) {
    const turns = Array.from({ length: 33 }, (_, i) => onForearm(arm, share, (i / 32) * 360, 1.4));
    ring.cut(between(arm.fore.o, arm.wrist.o, share), scale(arm.fore.y, way)).mark("seam", turns);
  }
  return [strip.part, ring.part];
}
