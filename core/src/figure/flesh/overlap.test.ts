import { handContacts, overlapsOf, pose, sceneOf, type Figure, type Pose } from "..";
import { PartBuilder, type Part } from "./solid";
import type { Vector } from "../vector";

const ball = (id: string, at: Vector, radius: number): Part => {
  const builder = new PartBuilder(id, "skin");
  builder.ball(at, radius);
  return builder.part;
};
const rod = (id: string, from: Vector, to: Vector, radius: number): Part => {
  const builder = new PartBuilder(id, "skin");
  builder.chain(builder.ball(from, radius), builder.ball(to, radius));
  return builder.part;
};
const partsOf = (now: Pose) =>
  sceneOf(now, {
    figure: { focus: "upper", both: false, props: [] } as unknown as Figure,
    side: "right",
    view: "front",
    look: { skin: "sand", hair: "short" },
  }).parts;

it("measures how deep two balls of two hands are inside each other", () => {
  const [one, other] = [ball("right:index", [0, 0, 0], 10), ball("left:index", [14, 0, 0], 10)];
  expect(overlapsOf([one, other], 1)).toEqual([{ one: "left:index", other: "right:index", mm: 6 }]);
  expect(overlapsOf([one, other])).toEqual([]);
});

it("finds a finger that passes through the middle of a long rod, far from its ends", () => {
  const [found] = overlapsOf([rod("right:forearm", [-120, 0, 0], [120, 0, 0], 20), rod("left:index", [13, -60, 0], [13, 60, 0], 8)]);
  expect(found!.mm).toBeGreaterThan(25);
});

it("leaves alone what grows out of itself, and a tool in the hand", () => {
  const touching = [ball("right:palm", [0, 0, 0], 20), ball("right:index", [10, 0, 0], 12), ball("prop0-dowel:right:rod", [0, 0, 5], 13)];
  expect(overlapsOf(touching)).toEqual([]);
});

it("sees a hand under the top of a bench, and not one beside it", () => {
  const bench = new PartBuilder("prop0-table", "wood").face("wood", [-50, 0, -50], [50, 0, -50], [50, 0, 50], [-50, 0, 50]).part;
  expect(overlapsOf([bench, ball("right:palm", [0, 2, 0], 15)])).toEqual([{ one: "prop0-table", other: "right:palm", mm: 13 }]);
  expect(overlapsOf([bench, ball("right:palm", [80, 2, 0], 15)])).toEqual([]);
});

it("is quiet for a hand that holds the other forearm, and loud for one put into the trunk", () => {
  const right = { elbow: 84, shoulderFlexion: 20 };
  expect(overlapsOf(partsOf(pose({ right, left: handContacts.holdsForearm() })), 10)).toEqual([]);
  const inside = pose({
    right,
    left: { touch: { part: "trunk", at: [0, -200, 20], with: "palm", fingers: [1, 0, 0], palm: [0, 0, -1], elbow: [-1, -1, 0] } },
  });
  expect(overlapsOf(partsOf(inside), 20).map(({ one }) => one)).toContain("trunk");
});

describe("a table and a wall", () => {
  const slab = (corners: readonly Vector[]): Part => {
    const builder = new PartBuilder("prop0-slab", "wood");
    builder.face("wood", ...corners);
    return builder.part;
  };
  /** 600 by 30 by 400: lying, and standing. */
  const table = slab([
    [-300, -30, -200],
    [300, -30, 200],
    [300, 0, 200],
    [-300, 0, -200],
  ]);
  const wall = slab([
    [-300, -200, 100],
    [300, 200, 100],
    [300, 200, 130],
    [-300, -200, 130],
  ]);
  const depth = (prop: Part, at: Vector) => overlapsOf([prop, ball("right:forearm", at, 20)], 1)[0]?.mm ?? 0;
  it.each([
    ["lies on the table", table, [0, 20, 0], 0],
    ["is pressed into the table", table, [0, 12, 0], 8],
    ["is beside the table", table, [340, 12, 0], 0],
    ["lies against the wall, before it", wall, [0, 0, 80], 0],
    ["is pressed into the wall from before", wall, [0, 0, 90], 10],
    ["is pressed into the wall from behind", wall, [0, 0, 142], 8],
    ["is high above the wall's foot and away from it", wall, [0, 150, 40], 0],
    ["is above the wall", wall, [0, 240, 115], 0],
  ] as const)("an arm that %s", (_, prop, at, mm) => expect(depth(prop, at)).toBeCloseTo(mm, 6));
});
