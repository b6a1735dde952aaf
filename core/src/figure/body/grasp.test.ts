import { armPose, bonesOf, handContacts, handPose, pose } from "..";
import { armFrames } from "./bones";
import { armRods, closedRound, handInside, rod, skinGap, withThumbFree } from "./grasp";
import { FINGERS } from "./hand-pose";
import { ARM_RANGES } from "./ranges";
import { moved } from "../vector";

const right = { elbow: 84, shoulderFlexion: 24, pronation: 40 };

it("a helping hand lies on the skin of the arm it holds, neither in it nor off it", () => {
  for (const share of [0.4, 0.55, 0.7]) {
    const { arms } = bonesOf(pose({ right, left: handContacts.holdsForearm({ at: [6, share * 252, 25] }) }));
    const gap = skinGap(arms.left!.hand, arms.left!.solved.hand, armRods(arms.right!));
    expect(gap).toBeLessThan(3);
    expect(gap).toBeGreaterThan(-9);
  }
});

it("closes its fingers further round a thin wrist than round a thick forearm", () => {
  const bent = (share: number) => {
    const { arms } = bonesOf(pose({ right, left: handContacts.holdsForearm({ at: [6, share * 252, 25] }) }));
    return FINGERS.reduce((sum, name) => sum + arms.left!.solved.hand[name].middle, 0);
  };
  expect(bent(0.86)).toBeGreaterThan(bent(0.45));
});

it("shuts to a fist where there is nothing to hold, and stays open where there is no room", () => {
  const { hand } = armFrames(armPose({ elbow: 90 }));
  const open = handPose("open");
  expect(closedRound(hand, open, []).index.middle).toBeCloseTo(handPose("fist").index.middle, 5);
  const wall = [rod(moved(hand, 0, 150, 20).o, 40, moved(hand, 0, 60, 20).o, 40)];
  expect(closedRound(hand, open, wall).middle.base).toBeLessThan(10);
});

it("says how far a hand stands inside, and lays a thumb out of the way", () => {
  const { arms } = bonesOf(pose({ right }));
  const rods = armRods(arms.right!);
  const same = arms.right!.hand;
  expect(handInside(same, handPose("open"), rods, false)).toBeGreaterThan(10);
  expect(handInside(moved(same, 0, 0, 400), handPose("open"), rods, false)).toBe(0);
  const above = moved(same, 0, 0, -40);
  const shape = handPose({ shape: "together", thumb: { radial: 20, palmar: 60, opposition: 40, middle: 0, end: 0 } });
  const free = withThumbFree(above, shape, rods);
  expect(free.thumb).not.toEqual(shape.thumb);
  expect(free.index).toEqual(shape.index);
});

it("keeps elbow and forearm out of the trunk where the joints allow it", () => {
  for (const z of [120, 180, 240]) {
    const { arms } = bonesOf(
      pose({
        right: { touch: { part: "trunk", at: [40, -180, z], with: "palm", fingers: [1, 0.2, 0], palm: [0, 0, -1], elbow: [0, -1, -0.4] } },
      }),
    );
    const { fore, hand, solved } = arms.right!;
    const middle = [0, 1, 2].map((i) => (fore.o[i]! + hand.o[i]!) / 2);
    expect(Math.hypot(Math.max(0, Math.abs(middle[0]!) - 84), middle[2]!)).toBeGreaterThan(60);
    for (const [joint, { least, most }] of Object.entries(ARM_RANGES)) {
      expect(solved[joint as keyof typeof ARM_RANGES]).toBeGreaterThanOrEqual(least - 30);
      expect(solved[joint as keyof typeof ARM_RANGES]).toBeLessThanOrEqual(most + 30);
    }
  }
});

it("laced hands stand outside each other, facing and turned away", () => {
  for (const kind of ["facing", "away"] as const) {
    const ahead = kind === "facing" ? ([0, 0.6, 0.8] as const) : ([0, 0, -1] as const);
    const { arms } = bonesOf(pose(handContacts.laced("trunk", kind, [0, -120, 300], ahead)));
    const gap = skinGap(arms.left!.hand, arms.left!.solved.hand, armRods(arms.right!));
    expect(gap).toBeLessThan(2);
    expect(gap).toBeGreaterThan(-14);
  }
});
