import { type ArmInput, type HandInput, type PoseInput } from "../../figure";
import { both, upright, type FigureSource, type FigureSources } from "./source";

const rest: ArmInput = { shoulderAbduction: 8, elbow: 12 };
const beside = (right: ArmInput, away = 0, change: PoseInput = {}): PoseInput => ({ right, left: rest, neck: { tilt: -away }, ...change });
const upper = { focus: "upper", view: "front", inset: true, enlargement: { of: "worked", view: "front", size: 0.34 } } as const;

const BLADE_DOWN = -10;
const median: readonly PoseInput[] = [
  beside({ shoulderAbduction: 12, elbow: 6, pronation: 10, hand: "spread" }),
  beside({ shoulderAbduction: 12, elbow: 6, pronation: 10, wristFlexion: -58, hand: "spread" }),
  beside({ shoulderAbduction: 16, shoulderRotation: 60, elbow: 2, pronation: -76, wristFlexion: -58, hand: "spread" }),
  beside({ shoulderAbduction: 74, shoulderRotation: 60, elbow: 2, pronation: -76, wristFlexion: -58, hand: "spread" }),
  beside(
    { shoulderAbduction: 74, shoulderRotation: 60, girdleRaise: BLADE_DOWN, elbow: 2, pronation: -76, wristFlexion: -58, hand: "spread" },
    32,
  ),
];
const ulnar: readonly PoseInput[] = [
  beside({ shoulderAbduction: 12, elbow: 6, pronation: 10, hand: "spread" }),
  beside({ shoulderAbduction: 12, elbow: 6, pronation: 10, wristFlexion: -58, hand: "spread" }),
  beside({ shoulderAbduction: 24, elbow: 128, pronation: -30, wristFlexion: -58, hand: "open" }),
  beside({ shoulderAbduction: 86, shoulderRotation: 76, elbow: 128, pronation: -30, wristFlexion: -58, hand: "open" }),
  beside({ shoulderAbduction: 86, shoulderRotation: 76, elbow: 128, pronation: 60, wristFlexion: -58, hand: "open" }),
  beside(
    { shoulderAbduction: 86, shoulderRotation: 76, girdleRaise: BLADE_DOWN, elbow: 128, pronation: 60, wristFlexion: -58, hand: "open" },
    32,
  ),
];
const radial: readonly PoseInput[] = [
  beside({ shoulderAbduction: 14, elbow: 16, pronation: 20, hand: "thumbInFist" }),
  beside({ shoulderAbduction: 14, elbow: 16, pronation: 20, wristFlexion: 58, hand: "thumbInFist" }),
  beside({ shoulderAbduction: 14, shoulderRotation: -62, elbow: 2, pronation: 80, wristFlexion: 58, hand: "thumbInFist" }),
  beside({ shoulderAbduction: 30, shoulderRotation: -62, elbow: 2, pronation: 80, wristFlexion: 58, hand: "thumbInFist" }),
  beside({
    shoulderAbduction: 30,
    shoulderRotation: -62,
    girdleRaise: BLADE_DOWN,
    girdleProtraction: -14,
    elbow: 2,
    pronation: 80,
    wristFlexion: 58,
    hand: "thumbInFist",
  }),
  beside(
    {
      shoulderAbduction: 30,
      shoulderRotation: -62,
      girdleRaise: BLADE_DOWN,
      girdleProtraction: -14,
      elbow: 2,
      pronation: 80,
      wristFlexion: 58,
      hand: "thumbInFist",
    },
    32,
  ),
];

/** The steps up to the last one used, and the slide that is done there. */
const upTo = (steps: readonly PoseInput[], last: number, slide: (pose: PoseInput) => readonly [PoseInput, PoseInput]): FigureSource => ({
  ...upper,
  way: "steps",
  poses: steps.slice(0, last),
  slide: slide(steps[last - 1]!),
});
const change = (pose: PoseInput, right: ArmInput, neck: PoseInput["neck"] = pose.neck): PoseInput => ({
  ...pose,
  right: { ...pose.right, ...right },
  neck,
});
/**
 * Sliders: the hand lets go as the head goes away and takes up as it comes back, so that the nerve is moved and not pulled at both ends.
 * From the last step, which has the head away already, the hand alone goes to and fro: that one is a tensioner.
 */
const wristSlide = (pose: PoseInput) => {
  const away = pose.neck?.tilt ?? 0;
  const released = (pose.right?.wristFlexion ?? 0) > 0 ? 4 : -4;
  return [pose, change(pose, { wristFlexion: released }, { tilt: away < -10 ? away : -26 })] as const;
};
const elbowSlide = (pose: PoseInput) => {
  const away = pose.neck?.tilt ?? 0;
  const bent = (pose.right?.elbow ?? 0) > 60;
  return [pose, change(pose, bent ? { elbow: 70 } : { wristFlexion: -4 }, { tilt: away < -10 ? away : -26 })] as const;
};

const shapes: readonly HandInput[] = ["together", "hook", "softFist", "tabletop", "straightFist"];
const sequence = (hands: readonly HandInput[], more: Partial<FigureSource> = {}): FigureSource => ({
  focus: "hand",
  view: "front",
  both: true,
  way: "steps",
  cover: 1,
  strip: "hand",
  poses: hands.map((hand) => both(upright({ pronation: 26, hand }))),
  ...more,
});
const resting = (hands: readonly HandInput[], more: Partial<FigureSource> = {}): FigureSource => ({
  focus: "hand",
  view: "frontRight",
  way: "steps",
  cover: 1,
  props: [{ kind: "table", place: [172, -331, 150], size: [340, 160] }],
  poses: hands.map((hand) => ({ right: { shoulderFlexion: 6, elbow: 128, pronation: 0, hand } })),
  ...more,
});

const floss = (way: 1 | -1): PoseInput => {
  const inward: ArmInput = { shoulderAbduction: 82, shoulderRotation: -50, elbow: 4, pronation: 60, wristFlexion: 52, hand: "together" };
  const outward: ArmInput = { shoulderAbduction: 82, shoulderRotation: 60, elbow: 4, pronation: -60, wristFlexion: -52, hand: "together" };
  return way === 1 ? { right: inward, left: outward, neck: { tilt: -28 } } : { right: outward, left: inward, neck: { tilt: 28 } };
};

export const glide: FigureSources = {
  "median-glide": {
    figure: upTo(median, 2, wristSlide),
    forms: { "steps-3": upTo(median, 3, wristSlide), "steps-4": upTo(median, 4, wristSlide), "steps-5": upTo(median, 5, wristSlide) },
    wrong: { pose: { ...median[3]!, right: { ...median[3]!.right, girdleRaise: 30, elbow: 30 }, neck: { tilt: 12 } }, watch: 0 },
  },
  "ulnar-glide": {
    figure: upTo(ulnar, 2, elbowSlide),
    forms: { "steps-3": upTo(ulnar, 3, elbowSlide), "steps-4": upTo(ulnar, 4, elbowSlide), "steps-6": upTo(ulnar, 6, elbowSlide) },
    wrong: { pose: { ...ulnar[3]!, right: { ...ulnar[3]!.right, girdleRaise: 30 }, trunk: { bend: -14 } }, watch: 0 },
  },
  "radial-glide": {
    figure: upTo(radial, 2, wristSlide),
    forms: { "steps-3": upTo(radial, 3, wristSlide), "steps-4": upTo(radial, 4, wristSlide), "steps-6": upTo(radial, 6, wristSlide) },
    wrong: { pose: { ...radial[3]!, right: { ...radial[3]!.right, girdleRaise: 28 }, trunk: { bend: -12 } }, watch: 0 },
  },
  "arms-wide-floss": {
    figure: {
      focus: "upper",
      view: "front",
      both: true,
      inset: true,
      enlargement: { of: "each", view: "front", size: 0.4 },
      arc: "head",
      poses: [floss(1), floss(-1)],
    },
    wrong: { pose: { ...floss(1), neck: { tilt: 28 } }, watch: 0 },
  },
  "tendon-glide": {
    figure: sequence(shapes),
    forms: { resting: resting(shapes) },
    wrong: { pose: both(upright({ pronation: 26, wristFlexion: 40, hand: "fist" })), watch: 0 },
  },
  "hook-to-fist": {
    figure: sequence(["hook", "softFist"], { way: "thereAndBack", cover: undefined }),
    forms: { resting: resting(["hook", "softFist"], { way: "thereAndBack", cover: undefined }) },
    wrong: { pose: both(upright({ pronation: 26, wristFlexion: 44, hand: "fist" })), watch: 0 },
  },
};
