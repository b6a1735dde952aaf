import { type ArmInput, type HandInput, type PoseInput } from "../../figure";
import { both, upright, type FigureSource, type FigureSources } from "./source";

const rest: ArmInput = { shoulderAbduction: 8, elbow: 12 };
const beside = (right: ArmInput, away = 0, change: PoseInput = {}): PoseInput => ({ right, left: rest, neck: { tilt: -away }, ...change });
const upper = { focus: "upper", view: "front", inset: true, enlargement: { of: "worked", view: "front", size: 0.42 } } as const;

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
  beside({ shoulderAbduction: 14, elbow: 16, pronation: 20, wristFlexion: 54, deviation: 24, hand: "thumbInFist" }),
  beside({ shoulderAbduction: 14, shoulderRotation: -62, elbow: 2, pronation: 80, wristFlexion: 54, deviation: 24, hand: "thumbInFist" }),
  beside({ shoulderAbduction: 30, shoulderRotation: -62, elbow: 2, pronation: 80, wristFlexion: 54, deviation: 24, hand: "thumbInFist" }),
  beside({
    shoulderAbduction: 30,
    shoulderRotation: -62,
    girdleRaise: BLADE_DOWN,
    girdleProtraction: -14,
    elbow: 2,
    pronation: 80,
    wristFlexion: 54,
    deviation: 24,
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
      wristFlexion: 54,
      deviation: 24,
      hand: "thumbInFist",
    },
    32,
  ),
];

type Slide = readonly [PoseInput, PoseInput];
const change = (pose: PoseInput, right: ArmInput, neck: PoseInput["neck"] = pose.neck): PoseInput => ({
  ...pose,
  right: { ...pose.right, ...right },
  neck,
});
/** What lets go: the wrist, or the elbow that is bent. */
const wristGoes = (pose: PoseInput): ArmInput => ({ wristFlexion: (pose.right?.wristFlexion ?? 0) > 0 ? 4 : -4 });
const elbowGoes = (pose: PoseInput): ArmInput => ((pose.right?.elbow ?? 0) > 60 ? { elbow: 70 } : wristGoes(pose));

/**
 * A slider: the hand lets go as the head goes away and takes up as it comes back, so that the nerve is moved and not pulled at both
 * ends. Where the last step has the head away already, the hand has let go in it.
 *
 * @param headFrom the first step whose slide uses the head
 */
const slider = (steps: readonly PoseInput[], last: number, goes: (pose: PoseInput) => ArmInput, headFrom = 2): FigureSource => {
  const end = steps[last - 1]!;
  const loose = goes(end);
  const headIsAway = (end.neck?.tilt ?? 0) < -10;
  const slide: Slide = headIsAway
    ? [change(end, loose), change(end, {}, { tilt: 0 })]
    : [end, change(end, loose, last >= headFrom ? { tilt: -26 } : end.neck)];
  return { ...upper, way: "steps", poses: [...steps.slice(0, last - 1), slide[0]], slide };
};
/** A tensioner: the head stays away while the wrist takes up and lets go. */
const tensioner = (steps: readonly PoseInput[]): FigureSource => {
  const end = steps.at(-1)!;
  return { ...upper, way: "steps", poses: steps, slide: [end, change(end, wristGoes(end))] };
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

/** @param head 1: towards the wrist that is bent back, −1: away from it */
const floss = (way: 1 | -1, head: 1 | -1 = 1): PoseInput => {
  const inward: ArmInput = { shoulderAbduction: 82, shoulderRotation: -50, elbow: 4, pronation: 60, wristFlexion: 52, hand: "together" };
  const outward: ArmInput = { shoulderAbduction: 82, shoulderRotation: 60, elbow: 4, pronation: -60, wristFlexion: -52, hand: "together" };
  return way === 1
    ? { right: inward, left: outward, neck: { tilt: -28 * head } }
    : { right: outward, left: inward, neck: { tilt: 28 * head } };
};

const flossing: Omit<FigureSource, "poses"> = {
  focus: "upper",
  view: "front",
  both: true,
  inset: true,
  enlargement: { of: "each", view: "front", size: 0.4 },
  arc: "head",
};

export const glide: FigureSources = {
  "median-glide": {
    figure: slider(median, 2, wristGoes),
    forms: {
      "steps-3": slider(median, 3, wristGoes),
      "steps-4": slider(median, 4, wristGoes),
      "steps-5": slider(median, 5, wristGoes),
      tensioner: tensioner(median),
    },
    wrong: { pose: { ...median[3]!, right: { ...median[3]!.right, girdleRaise: 30, elbow: 30 }, neck: { tilt: 12 } }, watch: 0 },
  },
  "ulnar-glide": {
    figure: slider(ulnar, 2, elbowGoes),
    forms: {
      "steps-3": slider(ulnar, 3, elbowGoes),
      "steps-4": slider(ulnar, 4, elbowGoes),
      "steps-5": slider(ulnar, 5, elbowGoes),
      "steps-6": slider(ulnar, 6, elbowGoes),
      tensioner: tensioner(ulnar),
    },
    wrong: { pose: { ...ulnar[3]!, right: { ...ulnar[3]!.right, girdleRaise: 30 }, trunk: { bend: -14 } }, watch: 0 },
  },
  "radial-glide": {
    // Its second step does not use the head yet.
    figure: slider(radial, 2, wristGoes, 3),
    forms: {
      "steps-3": slider(radial, 3, wristGoes, 3),
      "steps-4": slider(radial, 4, wristGoes, 3),
      "steps-5": slider(radial, 5, wristGoes, 3),
      "steps-6": slider(radial, 6, wristGoes, 3),
      tensioner: tensioner(radial),
    },
    wrong: { pose: { ...radial[3]!, right: { ...radial[3]!.right, girdleRaise: 28 }, trunk: { bend: -12 } }, watch: 0 },
  },
  "arms-wide-floss": {
    figure: { ...flossing, poses: [floss(1), floss(-1)] },
    forms: { "head-away": { ...flossing, poses: [floss(1, -1), floss(-1, -1)] } },
    wrong: { pose: floss(1, -1), watch: 0 },
  },
  "tendon-glide": {
    figure: sequence(shapes),
    forms: { resting: resting(shapes) },
    wrong: { pose: both(upright({ pronation: 26, wristFlexion: 40, hand: "fist" })), watch: 0 },
  },
  "hook-to-fist": {
    figure: sequence(["hook", "softFist"], { way: "thereAndBack", cover: undefined }),
    forms: { resting: resting(["hook", "softFist"], { way: "thereAndBack", cover: undefined, strip: "hand" }) },
    wrong: { pose: both(upright({ pronation: 26, wristFlexion: 44, hand: "fist" })), watch: 0 },
  },
};
