/** Things that stand in the room: what is leaned on, or lies on it. */
import { box, rod } from "./prop-shapes";
import type { Prop, PropKind } from "./prop-schema";
import { PartBuilder, type Part } from "./solid";
import type { Vector } from "../vector";

const TABLE_THICK = 30;
const DEFAULT_TABLE = { place: [190, -337, 20] as Vector, size: [330, 330] as const };

export type Standing = (prop: Prop, sign: 1 | -1, id: string) => Part[];
/** What stands in the room: x is counted to the worked side. */
export const STANDING: Partial<Record<PropKind, Standing>> = {
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
