import fc from "fast-check";
import { bonesOf } from "./bones";
import { FOREARM, UPPER_ARM } from "./skeleton";
import { landmark } from "../flesh/landmarks";
import { mirrorPose, poseAlong, poseBetween } from "../motion/motion";
import { armPose, pose, type ArmInput, type Pose } from "./pose";
import { ARM_RANGES, rangeProblems } from "./ranges";
import { cross, distance, dot, mirrored, type Vector } from "../vector";

const right = (arm: ArmInput) => bonesOf(pose({ right: arm })).arms.right!;
const close = (a: Vector, b: Vector, within = 1e-6) => expect(distance(a, b)).toBeLessThan(within);

describe("known angles give known places", () => {
  const shoulder = right({ shoulderAbduction: 0, elbow: 0 }).upper.o;

  it("hanging straight, the wrist is an arm's length below the shoulder", () => {
    const { fore, hand } = right({ shoulderAbduction: 0, elbow: 0 });
    close(fore.o, [shoulder[0], shoulder[1] - UPPER_ARM, shoulder[2]]);
    close(hand.o, [shoulder[0], shoulder[1] - UPPER_ARM - FOREARM, shoulder[2]]);
  });

  it("elbow square, the forearm points forward", () => {
    const { hand } = right({ shoulderAbduction: 0, elbow: 90 });
    close(hand.o, [shoulder[0], shoulder[1] - UPPER_ARM, shoulder[2] + FOREARM]);
  });

  it.each([
    [0, [1, 0, 0], "thumb up: the palm faces the middle"],
    [90, [0, -1, 0], "turned down"],
    [-90, [0, 1, 0], "turned up"],
  ] as const)("palm at %d° faces %j (%s)", (pronation, faces, _) => {
    close(right({ shoulderAbduction: 0, elbow: 90, pronation }).hand.z, faces);
  });

  it.each([
    ["wristFlexion", 90, [0, -1, 0]],
    ["wristFlexion", -90, [0, 1, 0]],
  ] as const)("%s of %d° points a palm-down hand along %j", (joint, degrees, along) => {
    close(right({ shoulderAbduction: 0, elbow: 90, pronation: 90, [joint]: degrees }).hand.y, along);
  });

  it("tilts a thumb-up hand down to the little-finger side", () => {
    const { hand } = right({ shoulderAbduction: 0, elbow: 90, pronation: 0, deviation: 30 });
    expect(hand.y[1]).toBeCloseTo(-Math.sin(Math.PI / 6), 6);
  });

  it("raises the arm to the side, thumb up with the palm forward", () => {
    const { hand } = right({ shoulderAbduction: 90, elbow: 0, pronation: -90 });
    close(hand.y, [-1, 0, 0]);
    close(hand.x, [0, 1, 0]);
  });

  it("lifts the shoulder with a raised girdle and with a raised arm", () => {
    const low = right({}).upper.o[1];
    expect(right({ girdleRaise: 30 }).upper.o[1]).toBeGreaterThan(low + 60);
    expect(right({ shoulderAbduction: 120 }).upper.o[1]).toBeGreaterThan(low + 20);
  });
});

const withinRange = (joint: keyof typeof ARM_RANGES) =>
  fc.double({ min: ARM_RANGES[joint].least, max: ARM_RANGES[joint].most, noNaN: true });
const anyArm = fc.record({
  shoulderFlexion: fc.double({ min: -40, max: 150, noNaN: true }),
  shoulderAbduction: fc.double({ min: -30, max: 85, noNaN: true }),
  shoulderRotation: fc.double({ min: -80, max: 80, noNaN: true }),
  elbow: fc.double({ min: 12, max: 140, noNaN: true }),
  pronation: withinRange("pronation"),
  wristFlexion: withinRange("wristFlexion"),
  deviation: withinRange("deviation"),
});
const anyPose: fc.Arbitrary<Pose> = fc
  .record({
    right: anyArm,
    left: anyArm,
    tilt: fc.double({ min: -40, max: 40, noNaN: true }),
    bend: fc.double({ min: -30, max: 30, noNaN: true }),
  })
  .map(({ right: r, left: l, tilt, bend }) =>
    pose({ right: r, left: l, neck: { tilt: tilt + 0 }, trunk: { bend: bend + 0, turn: bend + 0 } }),
  );

describe("laws", () => {
  it("the mirror of the mirror is the pose, and its bones are the mirror image", () => {
    fc.assert(
      fc.property(anyPose, (now) => {
        const back = mirrorPose(mirrorPose(now));
        expect(back).toEqual(now);
        const [bones, image] = [bonesOf(now), bonesOf(mirrorPose(now))];
        for (const name of ["knuckles", "thumbTip", "elbow", "shoulder"] as const)
          close(landmark(image, "left", name), mirrored(landmark(bones, "right", name)), 1e-6);
      }),
    );
  });

  it("bones keep their lengths and frames stay square", () => {
    fc.assert(
      fc.property(anyPose, (now) => {
        const { upper, fore, hand } = bonesOf(now).arms.right!;
        expect(distance(upper.o, fore.o)).toBeCloseTo(UPPER_ARM, 6);
        expect(distance(fore.o, hand.o)).toBeCloseTo(FOREARM, 6);
        for (const frame of [upper, fore, hand]) expect(dot(cross(frame.x, frame.y), frame.z)).toBeCloseTo(1, 6);
      }),
    );
  });

  it("a hand for which two ways are as good keeps to one, and is where it was", () => {
    const angles = { shoulderFlexion: 0, shoulderAbduction: -11.057412171085602, shoulderRotation: -75.04648470026255 };
    putBack({ ...angles, elbow: 139.9999999999996, pronation: 42.96873014406034, wristFlexion: 0, deviation: 0 });
  });

  it("a hand is where it was to a hundredth of a millimetre, also where its arm lifts the shoulder", () => {
    const bent = { wristFlexion: -77.68134757838, deviation: 7.997269331476, pronation: 6.62418090581 };
    putBack({
      shoulderFlexion: 117.921476745,
      shoulderAbduction: 16.1571586277,
      shoulderRotation: 42.942686585,
      elbow: 58.18675019507,
      ...bent,
    });
  });

  it("a hand put back where it was finds the same place with the same palm, within its ranges", () => {
    fc.assert(fc.property(anyArm, putBack));
  });

  it("ends of a way are its poses, and a contact is kept all along", () => {
    const touching = (y: number): Pose =>
      pose({
        right: {
          hand: "together",
          touch: { part: "trunk", at: [-1, y, 190], with: "palm", fingers: [0, 1, 0], palm: [1, 0, 0], elbow: [-1, -0.3, 0] },
        },
      });
    const [a, b] = [touching(-90), touching(-150)];
    expect(poseBetween(a, b, 0)).toBe(a);
    expect(poseBetween(a, b, 1)).toBe(b);
    const half = bonesOf(poseBetween(a, b, 0.5));
    const [top, low] = [bonesOf(a), bonesOf(b)];
    expect(half.arms.right!.problems).toEqual([]);
    expect(half.arms.right!.hand.o[1]).toBeCloseTo((top.arms.right!.hand.o[1] + low.arms.right!.hand.o[1]) / 2, 0);
  });

  it("a round is smooth and closed, steps stop at each", () => {
    const poses = [0, 30, 60].map((elbow) => pose({ right: { elbow } }));
    expect(poseAlong(poses, 3, "round").right!.elbow).toBeCloseTo(0, 6);
    expect(poseAlong(poses, 2, "steps").right!.elbow).toBe(60);
    expect(poseAlong(poses, 0.5, "thereAndBack").right!.elbow).toBe(15);
    expect(poseAlong(poses, 9, "thereAndBack").right!.elbow).toBe(60);
  });
});

/** From the line between shoulder and wrist to the elbow. */
/** Asks for the hand where an arm has it. */
function putBack(angles: ArmInput): void {
  const before = right(angles);
  const { hand } = before;
  const at = { at: [...hand.o], with: "wrist", fingers: [...hand.y], palm: [...hand.z], elbow: elbowWay(before) } as const;
  const solved = bonesOf({ ...pose({}), right: { ...armPose(angles), touch: { part: "world", ...at } } } as Pose).arms.right!;
  expect(solved.problems).toEqual([]);
  close(solved.hand.o, hand.o, 0.01);
  close(solved.hand.z, hand.z, 1e-4);
}

function elbowWay({ upper, fore, hand }: ReturnType<typeof right>): [number, number, number] {
  const middle = [0, 1, 2].map((i) => (upper.o[i]! + hand.o[i]!) / 2);
  return [fore.o[0] - middle[0]!, fore.o[1] - middle[1]!, fore.o[2] - middle[2]!];
}

describe("refusals", () => {
  it.each([
    ["wristFlexion", 82.4, 0],
    ["wristFlexion", 84, 1],
    ["elbow", -5, 0],
    ["elbow", -6, 1],
    ["pronation", 90, 0],
    ["pronation", 91, 1],
  ] as const)("%s at %d° has %d problems, named with its range", (joint, degrees, count) => {
    const problems = rangeProblems(pose({ right: { [joint]: degrees } }));
    expect(problems).toHaveLength(count);
    if (count) expect(problems[0]).toMatchObject({ joint: `right.${joint}`, ...ARM_RANGES[joint] });
  });

  it("says how far a goal is out of reach and leaves the arm straight", () => {
    const far = bonesOf(
      pose({
        right: { touch: { part: "world", at: [-172, 0, 900], with: "wrist", fingers: [0, 0, 1], palm: [0, -1, 0], elbow: [-1, 0, 0] } },
      }),
    );
    expect(far.arms.right!.problems[0]).toMatch(/^the hand is 3\d\d mm out of reach$/);
    expect(far.arms.right!.solved.elbow).toBeLessThan(8);
  });

  it("two hands cannot wait for each other", () => {
    const waiting = {
      touch: {
        part: "otherHand" as const,
        at: [0, 60, 14] as const,
        with: "palm" as const,
        fingers: [0, 1, 0] as const,
        palm: [0, 0, -1] as const,
        elbow: [-1, 0, 0] as const,
      },
    };
    expect(() => bonesOf(pose({ right: waiting, left: waiting }))).toThrow(RangeError);
  });
});
