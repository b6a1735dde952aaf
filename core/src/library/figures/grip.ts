/** Strengthening of hand and shoulder against a ball, a band, a towel, the bench or the other hand. */
import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, forward, upright, type FigureSource, type FigureSources } from "./source";

/** Fingers hooked into each other, one palm to the viewer and one away; `gap` draws them apart. */
const hooked = (gap: number, top: 1 | -1): PoseInput => {
  const hand: HandInput = {
    shape: "hook",
    index: { base: -10, middle: 71, end: 53, spread: 0 },
    middle: { base: -10, middle: 71, end: 53, spread: 0 },
    ring: { base: -10, middle: 71, end: 53, spread: 0 },
    little: { base: -10, middle: 71, end: 53, spread: 0 },
    thumb: { radial: 40, palmar: 0, opposition: -10, middle: 0, end: 0 },
  };
  const far = {
    hand,
    touch: { part: "trunk", at: [-gap, -140, 187], with: "fingers", fingers: [1, 0, 0], palm: [0, -0.18, 1], elbow: [-1, -0.5, 0] },
  } as const;
  const near = {
    hand,
    touch: { part: "trunk", at: [-gap, -140, 259], with: "fingers", fingers: [1, 0, 0], palm: [0, 0.18, -1], elbow: [-1, -0.2, 0] },
  } as const;
  return top === 1 ? { right: near, left: far } : { right: far, left: near };
};

const BENCH: PropInput = { kind: "table", place: [0, -340, 300], size: [760, 360] };

/** Flat on the bench, and drawn into a hook whose tips press: seen from the side that shows the arch. */
const onBench = (hooked: boolean): PoseInput =>
  both(
    hooked
      ? {
          hand: {
            shape: "hook",
            index: { base: 24, middle: 58, end: 34, spread: 2 },
            middle: { base: 24, middle: 60, end: 34, spread: 0 },
            ring: { base: 24, middle: 58, end: 34, spread: -2 },
            little: { base: 24, middle: 56, end: 34, spread: -5 },
          },
          touch: {
            part: "world",
            at: [-160, -327, 330],
            with: "fingertips",
            fingers: [0.05, 0.12, 1],
            palm: [0, -1, 0.12],
            elbow: [-1, 0, -0.6],
          },
        }
      : handContacts.flatOnTable(160, -340, 290),
  );

interface Squeeze {
  /** Radius of the ball, and where it lies in the hand. */
  ball: number;
  place?: [number, number, number];
  from: HandInput;
  to: HandInput;
  pronation?: number;
  view?: FigureSource["view"];
}

const squeeze = ({ ball, place, from, to, pronation = 0, view = "above" }: Squeeze): FigureSource => ({
  focus: "hand",
  view,
  strip: "hand",
  props: [{ kind: "ball", size: [ball, 0], ...(place && { place }) }],
  poses: [from, to].map((hand) => ({ right: atSide({ elbow: 100, pronation, hand }) })),
});

/** All four fingers bent alike, the little one a little more. Found by search: finger pads and thumb on a ball, nothing else in it. */
const round = (base: number, middle: number, end: number, [radial, palmar, opposition, bent, tip]: readonly number[]): HandInput => {
  const finger = (spread: number, more = 0) => ({ base: base + more, middle, end, spread });
  const thumb = { radial: radial!, palmar: palmar!, opposition: opposition!, middle: bent!, end: tip! };
  return { shape: "grip", index: finger(4), middle: finger(0, 2), ring: finger(-2, 4), little: finger(-4, 6), thumb };
};

const inPalm: Squeeze = {
  ball: 32,
  place: [10, 94, 47],
  from: round(25, 50, 14, [48, 40, 18, 46, 50]),
  to: round(35, 61, 17, [51, 20, 36, 48, 60]),
};

const fists: FigureSource = {
  focus: "forearm",
  view: "above",
  both: true,
  strip: "whole",
  arc: "fingertips",
  poses: [both(forward({ elbow: 20, hand: "open" })), both(forward({ elbow: 20, hand: "fist" }))],
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

const flatToHook: FigureSource = {
  focus: "hand",
  view: "right",
  strip: "hand",
  props: [BENCH],
  poses: [onBench(false), onBench(true)],
};

/** Both fists round a rolled towel, level before the body; one wrist bent, the other bent back, by degrees. */
const wrung = (degrees: number): PoseInput => {
  const fist = (turned: number): ArmInput => {
    const [sine, cosine] = [Math.sin((turned * Math.PI) / 180), Math.cos((turned * Math.PI) / 180)];
    return {
      hand: "grip",
      touch: {
        part: "world",
        at: [-96, -230, 250],
        with: "grip",
        fingers: [0.15, -sine, cosine],
        palm: [0, -cosine, -sine],
        elbow: [-0.5, -1, -0.4],
      },
    };
  };
  return { right: fist(degrees), left: fist(-degrees) };
};

const twist: FigureSource = {
  focus: "arm",
  view: "front",
  both: true,
  strip: "whole",
  arc: "knuckles",
  props: [{ kind: "towelTwist" }],
  poses: [wrung(-42), wrung(42)],
};

const thumbAndIndex: FigureSource = {
  focus: "hand",
  view: "front",
  strip: "hand",
  props: [{ kind: "bandPinch" }],
  poses: [
    { right: upright({ pronation: 60, hand: { shape: "together", thumb: { radial: 16, palmar: 10, opposition: 0, middle: 8, end: 6 } } }) },
    {
      right: upright({
        pronation: 60,
        hand: {
          shape: "together",
          index: { base: 0, middle: 4, end: 3, spread: 16 },
          thumb: { radial: 56, palmar: 10, opposition: 0, middle: 8, end: 6 },
        },
      }),
    },
  ],
};

const fingersTogether = (paper: boolean): FigureSource => ({
  focus: "hand",
  view: "front",
  both: true,
  strip: "hand",
  props: paper ? [{ kind: "paper", hand: "both" }] : [],
  poses: (["spread", "together"] as const).map((hand) =>
    both(
      upright({ pronation: paper ? 30 : 70, hand: { shape: hand, thumb: { radial: 46, palmar: 12, opposition: 0, middle: 4, end: 2 } } }),
    ),
  ),
});

/** An arm held up while the other hand presses it down lightly. */
const armRaise = (raised: ArmInput, on: Partial<NonNullable<ArmInput["touch"]>>): FigureSource => ({
  focus: "upper",
  view: "front",
  signs: [{ kind: "press", hand: "helping", at: "backOfHand", way: [0, -1, 0] }],
  poses: [
    { right: { ...raised, elbow: 6, shoulderFlexion: 12, shoulderAbduction: 14, hand: "open" }, left: {} },
    { right: { elbow: 6, ...raised, hand: "open" }, left: handContacts.holdsForearm({ ...on, grasp: false }, { girdleProtraction: 28 }) },
  ],
});

export const grip: FigureSources = {
  "hook-pull-apart": {
    figure: {
      focus: "arm",
      view: "front",
      both: true,
      inset: true,
      enlargement: { of: "both", view: "highRight", size: 0.42 },
      poses: [hooked(-8, 1), hooked(1, 1)],
      signs: [{ kind: "pull", hand: "both", at: "wrist", way: [-1, 0, 0] }],
    },
    wrong: { pose: { right: { ...hooked(6, 1).right, girdleRaise: 28 }, left: { ...hooked(6, 1).left, girdleRaise: 28 } }, watch: 0 },
  },
  "flat-to-hook-press": {
    figure: flatToHook,
    forms: { press: { ...flatToHook, signs: [{ kind: "press", hand: "worked", at: "knuckles", way: [0, -1, 0] }] } },
  },
  squeeze: {
    figure: squeeze(inPalm),
    forms: {
      pads: squeeze({
        ball: 28,
        place: [9, 98, 60],
        from: round(38, 22, 18, [39, 30, -10, 46, 56]),
        to: round(45, 27, 20, [39, 25, -10, 50, 60]),
      }),
      // The hand hardly moves: the arrow says that it works.
      fingertips: {
        ...squeeze({
          ball: 26,
          place: [9, 91, 60],
          from: round(32, 37, 46, [40, 54, 33, 42, 54]),
          to: round(40, 40, 50, [37, 51, 35, 47, 60]),
        }),
        signs: [{ kind: "press", hand: "worked", at: "fingertips", way: [-0.8, -0.1, -0.5] }],
      },
      "palm-down": squeeze({ ...inPalm, pronation: 80, view: "right" }),
      firm: squeeze({ ...inPalm, ball: 28, to: round(42, 66, 20, [51, 16, 43, 50, 60]) }),
    },
    wrong: { pose: { right: atSide({ elbow: 100, pronation: 0, wristFlexion: 44, hand: "grip" }) }, watch: 0 },
  },
  "fist-clench-hold": { figure: fists, wrong: { pose: both(forward({ elbow: 20, wristFlexion: 40, hand: "fist" })), watch: 0 } },
  "finger-open-band": {
    figure: openBand,
    wrong: { pose: { right: upright({ pronation: 60, wristFlexion: 40, hand: closed }) }, watch: 0 },
  },
  "towel-twist": {
    figure: twist,
    wrong: { pose: { right: { ...wrung(40).right, shoulderAbduction: 44, girdleRaise: 24 }, left: wrung(40).left }, watch: 0 },
  },
  "thumb-index-band": { figure: thumbAndIndex },
  "finger-squeeze": {
    figure: fingersTogether(false),
    forms: { paper: fingersTogether(true) },
    wrong: { pose: both(upright({ pronation: 60, hand: "relaxed" })), watch: 0 },
  },
  "arm-raise-push": {
    figure: armRaise(
      { shoulderFlexion: 46, shoulderAbduction: 34, pronation: 0 },
      { part: "otherForearm", at: [28, 44, 0], palm: [-1, 0, 0], fingers: [0, 0.5, -0.85], elbow: [-0.6, -1, 0.5] },
    ),
    forms: {
      front: armRaise(
        { shoulderFlexion: 70, shoulderAbduction: 0, pronation: -76 },
        { part: "otherForearm", at: [0, 150, 26], fingers: [0.95, -0.2, 0], palm: [0, 0, -1] },
      ),
      side: armRaise(
        { shoulderFlexion: 34, shoulderAbduction: 49, elbow: 10, pronation: 76 },
        {
          part: "otherForearm",
          at: [37, 14, 9],
          fingers: [-0.06, 0.41, 0.33],
          palm: [-0.92, 0.04, 0.37],
          elbow: [-0.27, -0.97, 0.69],
        },
      ),
    },
    wrong: {
      pose: {
        right: { shoulderFlexion: 40, shoulderAbduction: 44, elbow: 6, pronation: 0, girdleRaise: 36 },
        left: {},
        trunk: { bend: -14 },
      },
      watch: 0,
    },
  },
};
