/** Trunk, neck, head, hair and, where a figure needs them, legs. Plain and calm: the hands are what matters. */
import type { Bones } from "../body/bones";
import { SIDE_NAMES } from "../body/pose";
import { PartBuilder, type Part } from "./solid";
import { add, at, scale, type Frame, type Vector } from "../vector";

export const HAIR_STYLES = ["short", "bun", "cap", "long"] as const;
export type HairStyle = (typeof HAIR_STYLES)[number];

const HIP_HEIGHT = -450;
const HEM_HEIGHT = -560;

export function trunkParts(bones: Bones, hair: HairStyle, legs: boolean): Part[] {
  return [shirtPart(bones), shirtTail(bones), neckPart(bones), ...headParts(bones.head, hair), ...legParts(legs, bones.pose.trunk)];
}

function shirtPart({ trunk, arms, pose }: Bones): Part {
  const builder = new PartBuilder("trunk", "shirt", { joins: ["trunk", "shirtTail", "right:sleeve", "left:sleeve"], step: 22 });
  const row = (frame: Frame, half: number, y: number, z: number, radius: number): [number, number] => [
    builder.ballIn(frame, -half, y, z, radius),
    builder.ballIn(frame, half, y, z, radius),
  ];
  const chest = row(trunk, 98, -60, 2, 62);
  const ribs = row(trunk, 84, -150, 4, 64);
  const waist = row(trunk, 70, -300, 2, 64);
  const hips = row({ ...trunk, o: [0, pose.trunk.rise ?? 0, 0], x: trunk.x, y: [0, 1, 0], z: [0, 0, 1] }, 76, HIP_HEIGHT, 0, 70);
  builder.tube([chest, ribs, waist, hips]);
  const collar: [number, number] = [builder.ballIn(trunk, -42, 26, -12, 44), builder.ballIn(trunk, 42, 26, -12, 44)];
  builder.tube([collar, chest]);
  // The shoulder follows the arm's own girdle; a side without an arm keeps a resting one.
  for (const side of SIDE_NAMES) {
    const which = side === "right" ? 0 : 1;
    const place = arms[side]?.upper.o ?? at(trunk, which === 0 ? -172 : 172, 0, 0);
    const inward = scale(trunk.x, which === 0 ? 1 : -1);
    const shoulder = builder.ball(add(place, add(scale(inward, 14), scale(trunk.y, -3))), 53);
    builder.skin(shoulder, collar[which], chest[which]).skin(shoulder, chest[which], ribs[which]);
  }
  const neckline = Array.from({ length: 33 }, (_, i) => {
    const turn = (i / 32) * 2 * Math.PI;
    return at(trunk, Math.cos(turn) * 64, 34 - Math.sin(turn) * 26 + 6, -8 + Math.sin(turn) * 58);
  });
  builder.mark("seam", neckline.slice(0, 17));
  return builder.part;
}

/** The shirt below the waist hangs straight down, however the trunk bends, and ends in a hem. */
function shirtTail({ trunk, pose }: Bones): Part {
  const rise = pose.trunk.rise ?? 0;
  const builder = new PartBuilder("shirtTail", "shirt", { joins: ["trunk", "shirtTail"], step: 40 });
  const row = (y: number, half: number, radius: number, x: Vector = [1, 0, 0]): [number, number] => [
    builder.ball([-half * x[0], y + rise, half * x[2]], radius),
    builder.ball([half * x[0], y + rise, -half * x[2]], radius),
  ];
  builder.tube([row(HIP_HEIGHT + 40, 74, 68, trunk.x), row(HIP_HEIGHT - 30, 77, 71), row(HEM_HEIGHT - 60, 81, 73)]);
  builder.cut([0, HEM_HEIGHT + rise, 0], [0, -1, 0]);
  builder.mark(
    "seam",
    Array.from({ length: 41 }, (_, i): Vector => {
      const turn = (i / 40) * 2 * Math.PI;
      const across = Math.cos(turn);
      return [across * 73 + 80 * Math.max(-1, Math.min(1, across * 2)), HEM_HEIGHT + rise, Math.sin(turn) * 73];
    }),
  );
  return builder.part;
}

function neckPart({ trunk, neck, head }: Bones): Part {
  const builder = new PartBuilder("neck", "skin", { joins: [], step: 0 });
  builder.chain(
    builder.ball(at(trunk, 0, 34, 2), 51),
    builder.ball(at(neck, 0, 10, 0), 47),
    builder.ball(at(neck, 0, 44, 2), 45),
    builder.ball(at(head, 0, 14, -2), 45),
  );
  return builder.part;
}

function headParts(head: Frame, hair: HairStyle): Part[] {
  const face = new PartBuilder("head", "skin", { joins: ["head"], step: 40 });
  const h = (x: number, y: number, z: number): Vector => at(head, x, y, z);
  const skull = face.ball(h(0, 100, 2), 74);
  const cheek = face.ball(h(0, 60, 20), 63);
  const jawRight = face.ball(h(-16, 16, 36), 31);
  const jawLeft = face.ball(h(16, 16, 36), 31);
  face.chain(skull, cheek).skin(cheek, jawRight, jawLeft);
  const nose = face.ball(h(0, 50, 84), 8);
  face.chain(face.ball(h(0, 76, 78), 5), nose);
  for (const side of [-1, 1]) {
    face.chain(face.ball(h(side * 70, 68, 0), 13), face.ball(h(side * 66, 50, 2), 9));
    face.mark("dot", [h(side * 25, 74, 82)], head.z);
    face.mark("feature", [h(side * 36, 91, 76), h(side * 26, 95, 79), h(side * 16, 92, 81)], head.z);
  }
  face.mark("feature", [h(-15, 23, 68), h(0, 19, 70), h(15, 23, 68)], head.z);
  return [face.part, hairPart(head, hair)];
}

function hairPart(head: Frame, style: HairStyle): Part {
  const builder = new PartBuilder("hair", style === "cap" ? "cloth" : "hair", { joins: ["hair"], step: 50 });
  const b = (x: number, y: number, z: number, radius: number) => builder.ball(at(head, x, y, z), radius);
  const crown = b(0, 116, -12, 77);
  const nape = b(0, 66, -34, 62);
  builder.chain(crown, nape);
  if (style === "cap") {
    builder.skin(crown, b(-34, 142, 34, 42), b(34, 142, 34, 42));
    builder.skin(b(-44, 128, 66, 12), b(44, 128, 66, 12), b(30, 120, 104, 8), b(-30, 120, 104, 8));
    return builder.part;
  }
  const right = b(-54, 136, 34, 28);
  const top = b(-8, 160, 42, 30);
  const left = b(52, 138, 32, 28);
  builder.skin(crown, right, top).skin(crown, top, left);
  builder.chain(right, b(-64, 108, 12, 16)).chain(left, b(64, 108, 12, 16));
  if (style === "bun") {
    const bun = b(0, 178, -70, 40);
    builder.chain(bun, bun);
  }
  if (style === "long") {
    builder
      .skin(nape, b(-58, 70, -14, 28), b(-56, 14, -22, 24), b(0, 0, -40, 40))
      .skin(nape, b(58, 70, -14, 28), b(56, 14, -22, 24), b(0, 0, -40, 40));
  }
  return builder.part;
}

/** Height of the floor under somebody who kneels. */
export const KNEELING_FLOOR = -905;

function legParts(feet: boolean, { rise = 0, stance = "standing" }: Bones["pose"]["trunk"]): Part[] {
  const kneels = stance === "kneeling";
  return SIDE_NAMES.flatMap((side) => {
    const sign = side === "right" ? -1 : 1;
    const leg = new PartBuilder(`${side}:leg`, "trousers", { joins: [`${side}:leg`, "right:leg", "left:leg"], step: 8 });
    const x = sign * 76;
    if (kneels) {
      leg.chain(
        leg.ball([x, -548, 0], 66),
        leg.ball([x, -700, 4], 64),
        leg.ball([x, KNEELING_FLOOR + 56, 8], 54),
        leg.ball([x, KNEELING_FLOOR + 50, -180], 48),
        leg.ball([x, KNEELING_FLOOR + 38, -340], 36),
      );
      return [leg.part];
    }
    leg.chain(
      leg.ball([x, -548 + rise, 0], 66),
      leg.ball([x, -720 + rise, 14], 64),
      leg.ball([x, -880 + rise, 34], 56),
      leg.ball([x, -1060 + rise, 0], 50),
      leg.ball([x, -1250 + rise, -22], 38),
    );
    const foot = new PartBuilder(`${side}:foot`, "skin", { joins: [`${side}:leg`, `${side}:foot`], step: 12 });
    foot.chain(
      foot.ball([x, -1270 + rise, -22], 34),
      foot.ball([x, -1318 + rise, -30], 30),
      foot.ball([x + sign * 6, -1330 + rise, 60], 24),
      foot.ball([x + sign * 8, -1336 + rise, 130], 15),
    );
    return feet ? [leg.part, foot.part] : [leg.part];
  });
}
