import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, forward, upright, type FigureSource, type FigureSources } from "./source";

const TABLE: PropInput = { kind: "table", place: [172, -337, -10], size: [300, 330] };
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
  view: "frontRight",
  arc: "thumbTip",
  props: [{ kind: "hammer", place: [held, 0, 0] }],
  poses: [{ right: atSide({ pronation: -66, hand: "grip" }) }, { right: atSide({ pronation: 66, hand: "grip" }) }],
});
const lever = (held: number): FigureSource => ({
  focus: "arm",
  view: "frontRight",
  arc: "thumbTip",
  props: [{ kind: "dowel", place: [held, 0, 0] }],
  poses: [{ right: atSide({ pronation: 0, hand: "grip" }) }, { right: atSide({ pronation: -72, hand: "grip" }) }],
});

const helped: FigureSource = {
  ...lift(84, 44, -52, [{ kind: "dumbbell" }]),
  poses: [
    {
      ...supported({ pronation: 84, wristFlexion: 44 }),
      left: handContacts.takesHand({ at: [0, 74, 44], palm: [0, 0, -1], fingers: [-1, 0.2, 0] }),
    },
    {
      ...supported({ pronation: 84, wristFlexion: -52 }),
      left: handContacts.takesHand({ at: [0, 74, 44], palm: [0, 0, -1], fingers: [-1, 0.2, 0] }),
    },
  ],
};

const curl: FigureSource = {
  focus: "upper",
  view: "frontRight",
  both: true,
  way: "steps",
  cover: 1,
  props: [{ kind: "dumbbell", hand: "both" }],
  poses: [
    both({ shoulderAbduction: 10, elbow: 12, pronation: -76, hand: "grip" }),
    both({ shoulderAbduction: 10, shoulderFlexion: 12, elbow: 124, pronation: -76, hand: "grip" }),
    both({ shoulderAbduction: 10, shoulderFlexion: 12, elbow: 124, pronation: 76, hand: "grip" }),
    both({ shoulderAbduction: 10, elbow: 12, pronation: 76, hand: "grip" }),
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
  view: "frontRight",
  props: [{ kind: "plate" }],
  poses: [
    { right: { shoulderFlexion: flexion, shoulderAbduction: 14, elbow: 8, pronation: 10, hand: PINCH } },
    { right: { shoulderFlexion: -flexion * 0.5, shoulderAbduction: 14, elbow: 8, pronation: 10, hand: PINCH } },
  ],
});

const hang = (raise: number): PoseInput =>
  both({ shoulderFlexion: 172, shoulderAbduction: 4, girdleRaise: raise, elbow: 6, pronation: 84, hand: "grip" });

const hooked = (gap: number, top: 1 | -1): PoseInput => {
  const over = {
    hand: "hook",
    touch: { part: "trunk", at: [-gap, -130, 225], with: "fingers", fingers: [1, 0, 0], palm: [0, 0, -1], elbow: [-1, 0, 0] },
  } as const;
  const under = {
    hand: "hook",
    touch: { part: "trunk", at: [-gap, -130, 205], with: "fingers", fingers: [1, 0, 0], palm: [0, -0.34, 0.94], elbow: [-1, -0.2, 0] },
  } as const;
  return top === 1 ? { right: over, left: under } : { right: under, left: over };
};

const BENCH: PropInput = { kind: "table", place: [0, -340, 300], size: [760, 360] };
const onBench = (hand: HandInput, place: "palm" | "fingertips"): PoseInput =>
  both({
    hand,
    touch: {
      part: "world",
      at: [-150, -339, 270],
      with: place,
      fingers: [0.1, place === "palm" ? 0 : -0.5, 1],
      palm: [0, -1, place === "palm" ? 0 : -0.4],
      elbow: [-1, 0, -0.6],
    },
  });

const squeeze = (size: number, hand: HandInput): FigureSource => ({
  focus: "hand",
  view: "left",
  props: [{ kind: "ball", size: [size, 0] }],
  poses: [
    {
      right: atSide({
        elbow: 100,
        pronation: 0,
        hand: {
          shape: "grip",
          index: { base: 48, middle: 62, end: 30, spread: 4 },
          middle: { base: 50, middle: 62, end: 30, spread: 0 },
          ring: { base: 52, middle: 62, end: 30, spread: -2 },
          little: { base: 54, middle: 60, end: 30, spread: -4 },
        },
      }),
    },
    { right: atSide({ elbow: 100, pronation: 0, hand }) },
  ],
});

const fists: FigureSource = {
  focus: "upper",
  view: "frontRight",
  both: true,
  inset: true,
  poses: [both(forward({ elbow: 20, hand: "softFist" })), both(forward({ elbow: 20, hand: "fist" }))],
};

const closed: HandInput = {
  shape: "roundPinch",
  middle: { base: 48, middle: 46, end: 22, spread: 0 },
  ring: { base: 46, middle: 44, end: 20, spread: 4 },
  little: { base: 44, middle: 40, end: 18, spread: 8 },
};
const openBand: FigureSource = {
  focus: "hand",
  view: "front",
  arc: "fingertips",
  props: [{ kind: "bandRound" }],
  poses: [{ right: upright({ pronation: 60, hand: closed }) }, { right: upright({ pronation: 60, hand: "spread" }) }],
};

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
    figure: {
      focus: "arm",
      view: "right",
      arc: "knuckles",
      props: [{ kind: "hammer", place: [-200, 0, 0] }],
      poses: [
        { right: { shoulderAbduction: 8, elbow: 6, pronation: 0, deviation: -18, hand: "grip" } },
        { right: { shoulderAbduction: 8, elbow: 6, pronation: 0, deviation: 28, hand: "grip" } },
      ],
    },
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
    figure: {
      focus: "upper",
      view: "front",
      both: true,
      arc: "shoulder",
      props: [{ kind: "bar", place: [160, 500, 0] }],
      poses: [hang(30), hang(6)],
    },
    wrong: { pose: { ...hang(40), neck: { nod: -24 } }, watch: 0 },
  },
  "hook-pull-apart": {
    figure: { focus: "arm", view: "front", both: true, poses: [hooked(-6, 1), hooked(6, 1), hooked(6, -1)] },
    wrong: { pose: { right: { ...hooked(6, 1).right, girdleRaise: 28 }, left: { ...hooked(6, 1).left, girdleRaise: 28 } }, watch: 0 },
  },
  "flat-to-hook-press": {
    figure: {
      focus: "arm",
      view: "frontRight",
      both: true,
      props: [BENCH],
      poses: [onBench("open", "palm"), onBench("hook", "fingertips")],
    },
  },
  squeeze: {
    figure: squeeze(33, {
      shape: "grip",
      index: { base: 58, middle: 72, end: 40, spread: 2 },
      middle: { base: 60, middle: 72, end: 40, spread: 0 },
    }),
    forms: { firm: squeeze(30, "grip") },
    wrong: { pose: { right: atSide({ elbow: 100, pronation: 0, wristFlexion: 44, hand: "grip" }) }, watch: 0 },
  },
  "fist-clench-hold": { figure: fists, wrong: { pose: both(forward({ elbow: 20, wristFlexion: 40, hand: "fist" })), watch: 0 } },
  "finger-open-band": {
    figure: openBand,
    wrong: { pose: { right: upright({ pronation: 60, wristFlexion: 40, hand: closed }) }, watch: 0 },
  },
};
