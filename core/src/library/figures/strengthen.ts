/** Strengthening with a weight, a tool or the body in the hand. */
import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, type FigureSource, type FigureSources } from "./source";

const TABLE: PropInput = { kind: "table", place: [172, -331, 142], size: [300, 145] };

const supported = (arm: ArmInput): PoseInput => ({ right: atSide({ shoulderAbduction: 0, hand: "grip", ...arm }) });

const lift = (pronation: number, down: number, up: number, props: readonly PropInput[], hand: HandInput = "grip"): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "knuckles",
  props: [TABLE, ...props],
  poses: [supported({ pronation, wristFlexion: down, hand }), supported({ pronation, wristFlexion: up, hand })],
});

const sideLift = (props: readonly PropInput[]): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "knuckles",
  props: [TABLE, ...props],
  poses: [supported({ pronation: 0, deviation: 26 }), supported({ pronation: 0, deviation: -16 })],
});

const palmTurn = (held: number): FigureSource => ({
  focus: "forearm",
  view: "front",
  arc: "thumbTip",
  props: [{ kind: "hammer", place: [held, 0, 0] }],
  poses: [{ right: atSide({ pronation: -66, hand: "grip" }) }, { right: atSide({ pronation: 66, hand: "grip" }) }],
});

const away: ArmInput = {
  hand: "open",
  touch: { part: "trunk", at: [-110, -240, 330], with: "palm", fingers: [0.3, 0.2, 1], palm: [0.6, -0.8, 0], elbow: [-1, -0.6, 0] },
};

/** The rod from upright down to the outside, seen along the forearm; the other hand takes it and brings it back. */
const lever = (held: number): FigureSource => {
  const arm = (pronation: number): ArmInput => atSide({ pronation, hand: "grip" });
  const takesRod: ArmInput = {
    hand: "wrap",
    girdleProtraction: 20,
    touch: { part: "otherHand", at: [126, 92, 44], with: "palm", fingers: [0.3, 0.95, 0], palm: [0, 0, -1], elbow: [-1, -0.4, 0.2] },
  };
  return {
    focus: "forearm",
    view: "front",
    way: "steps",
    cover: 1,
    props: [{ kind: "dowel", place: [held, 0, 0] }],
    poses: [
      { right: arm(0), left: away },
      { right: arm(-76), left: away },
      { right: arm(-76), left: takesRod },
      { right: arm(0), left: takesRod },
    ],
  };
};

/** The other palm under the inner end of the weight. */
function lifting(): ArmInput {
  return {
    hand: "lay",
    girdleProtraction: 10,
    touch: { part: "otherHand", at: [88, 92, 70], with: "palm", fingers: [-0.9, 0.3, 0], palm: [0, 0, -1], elbow: [-1, -0.4, 0.3] },
  };
}

/** Four moments of a repetition: down, helped to the top, the helping hand gone, and lowered alone. */
const helped: FigureSource = {
  ...lift(84, 44, -52, [{ kind: "dumbbell" }]),
  view: "frontRight",
  arc: undefined,
  props: [{ kind: "table", place: [176, -331, 142], size: [150, 145] }, { kind: "dumbbell" }],
  way: "steps",
  cover: 1,
  poses: [
    { ...supported({ pronation: 84, wristFlexion: 30 }), left: lifting() },
    { ...supported({ pronation: 84, wristFlexion: -52 }), left: lifting() },
    { ...supported({ pronation: 84, wristFlexion: -52 }), left: away },
    { ...supported({ pronation: 84, wristFlexion: 30 }), left: away },
  ],
};

/** Out to the top, the palms turned there, lowered, turned back. */
const curl: FigureSource = {
  focus: "upper",
  view: "frontRight",
  both: true,
  way: "steps",
  cover: 1,
  props: [{ kind: "dumbbell", hand: "both" }],
  poses: [
    both({ shoulderAbduction: 14, elbow: 12, pronation: -76, hand: "grip" }),
    both({ shoulderAbduction: 14, shoulderFlexion: 12, elbow: 118, pronation: -76, hand: "grip" }),
    both({ shoulderAbduction: 14, shoulderFlexion: 12, elbow: 118, pronation: 76, hand: "grip" }),
    both({ shoulderAbduction: 14, elbow: 12, pronation: 76, hand: "grip" }),
  ],
};

const PINCH: HandInput = {
  shape: "tabletop",
  index: { base: 62, middle: 4, end: 2, spread: 0 },
  middle: { base: 64, middle: 4, end: 2, spread: 0 },
  ring: { base: 66, middle: 4, end: 2, spread: 0 },
  little: { base: 66, middle: 6, end: 4, spread: 0 },
  thumb: { radial: 14, palmar: 50, opposition: 48, middle: 4, end: 4 },
};

const plate = (flexion: number): FigureSource => ({
  focus: "arm",
  arc: "knuckles",
  view: "front",
  inset: true,
  enlargement: { of: "worked", view: "front", size: 0.5 },
  props: [{ kind: "plate" }],
  poses: [
    { right: { shoulderFlexion: flexion, shoulderAbduction: 14, elbow: 8, pronation: 10, hand: PINCH } },
    { right: { shoulderFlexion: -flexion * 0.5, shoulderAbduction: 14, elbow: 8, pronation: 10, hand: PINCH } },
  ],
});

/** The bar stays where it is; drawing the shoulders down lifts the body. Both hands hold on to the same places. */
const BAR_HEIGHT = 540;

const hang = (girdleRaise: number, rise: number): PoseInput => ({
  ...both({
    hand: "grip",
    girdleRaise,
    touch: { part: "world", at: [-180, BAR_HEIGHT, 0], with: "grip", fingers: [0, 1, 0], palm: [0, 0, 1], elbow: [-1, 0, 0.1] },
  }),
  trunk: { rise },
});

const hanging = (floor: number): FigureSource => ({
  focus: "whole",
  view: "front",
  both: true,
  arc: "shoulder",
  props: [
    { kind: "bar", place: [160, 500, 0] },
    { kind: "table", place: [0, floor, 0], size: [560, 300] },
  ],
  poses: [hang(36, -18), hang(2, 36)],
});

/** Held `held` millimetres from the end, the head on the little-finger side. */
const littleSideLift = (held: number): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "littleTip",
  props: [{ kind: "hammer", place: [held, 0, 0] }],
  poses: [-18, 28].map((deviation) => ({ right: { shoulderAbduction: 8, elbow: 6, pronation: 0, deviation, hand: "grip" } })),
});

export const strengthen: FigureSources = {
  "lift-palm-down": {
    figure: lift(84, 44, -52, [], "softFist"),
    forms: { band: lift(84, 44, -52, [{ kind: "bandPull" }]), load: lift(84, 44, -52, [{ kind: "dumbbell" }]) },
    wrong: { pose: { right: atSide({ shoulderAbduction: 0, elbow: 108, pronation: 70, wristFlexion: -10, hand: "softFist" }) }, watch: 0 },
  },
  "lift-palm-up": {
    figure: lift(-80, -48, 56, [], "softFist"),
    forms: { band: lift(-80, -48, 56, [{ kind: "bandPull" }]), load: lift(-80, -48, 56, [{ kind: "dumbbell" }]) },
    wrong: { pose: { right: atSide({ shoulderAbduction: 0, elbow: 110, pronation: -80, wristFlexion: 10, hand: "softFist" }) }, watch: 0 },
  },
  "thumb-side-lift": {
    figure: sideLift([{ kind: "dumbbell" }]),
    forms: { "held-end": sideLift([{ kind: "dumbbellEnd" }]) },
    wrong: { pose: { right: atSide({ shoulderAbduction: 0, elbow: 108, pronation: 20, deviation: 6, hand: "grip" }) }, watch: 0 },
  },
  "little-finger-side-lift": {
    figure: littleSideLift(-200),
    forms: { "long-lever": littleSideLift(-70) },
    wrong: {
      pose: { right: { shoulderFlexion: -24, shoulderAbduction: 8, elbow: 34, pronation: 0, deviation: 0, hand: "grip" } },
      watch: 0,
    },
  },
  "loaded-palm-turn": {
    figure: palmTurn(200),
    forms: { "long-lever": palmTurn(60) },
    wrong: { pose: { right: { elbow: 90, shoulderAbduction: 46, pronation: 40, hand: "grip" } }, watch: 0 },
  },
  "slow-lever-lower": {
    figure: lever(150),
    forms: { "near-end": lever(60) },
    wrong: { pose: { right: { elbow: 90, shoulderAbduction: 30, shoulderRotation: 26, pronation: -40, hand: "grip" } }, watch: 0 },
  },
  "helped-up-slow-down": {
    figure: helped,
    wrong: { pose: { ...supported({ pronation: 84, wristFlexion: -52 }), left: handContacts.holdsForearm() }, watch: 0 },
  },
  "curl-turn-lower": {
    figure: curl,
    wrong: {
      pose: { ...both({ shoulderAbduction: 10, shoulderFlexion: 40, elbow: 110, pronation: -76, hand: "grip" }), trunk: { lean: -16 } },
      watch: 0,
    },
  },
  "plate-hold": {
    figure: { ...plate(0), poses: [plate(0).poses[0]!] },
    forms: { carry: plate(22) },
    wrong: { pose: { right: { girdleRaise: 30, shoulderAbduction: 14, elbow: 24, pronation: 10, hand: PINCH } }, watch: 0 },
  },
  "bar-hang": {
    figure: hanging(-1366),
    forms: { "feet-off": hanging(-1560) },
    wrong: { pose: { ...hang(40, -24), neck: { nod: -24 } }, watch: 0 },
  },
};
