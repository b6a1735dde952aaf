import type { ArmInput, HandInput } from "../../figure";
import { atSide, both, hanging, upright, type FigureSource, type FigureSources } from "./source";

const upper = { focus: "upper", view: "front", both: true } as const;
const shouldersAt = (girdleRaise: number, girdleProtraction: number, arm = {}) => ({ ...both({ girdleRaise, girdleProtraction, ...arm }) });
const shoulderCircle = (size: number, arm = {}): FigureSource => ({
  ...upper,
  focus: "bust",
  view: "frontRight",
  way: "round",
  arc: "shoulder",
  poses: [
    shouldersAt(0, 12 * size, arm),
    shouldersAt(24 * size, 0, arm),
    shouldersAt(8 * size, -22 * size, arm),
    shouldersAt(-8 * size, -4 * size, arm),
  ],
});
const elbowsLifted = { shoulderAbduction: 62, elbow: 118, shoulderRotation: -12, pronation: 60, hand: "softFist" } as const;

/** Arms from the front to the back: thumbs up for half of the count, thumbs down for the other half. */
const chest = (elbow: number): FigureSource => {
  const front = (pronation: number) =>
    both({ shoulderFlexion: 82, shoulderAbduction: -4, elbow, pronation, girdleProtraction: 14, hand: "open" });
  const back = (pronation: number) =>
    both({
      // Bent, the elbows are drawn back past the body; straight, the arms are opened to the sides.
      shoulderFlexion: elbow > 40 ? -36 : 14,
      shoulderAbduction: elbow > 40 ? 26 : 76,
      shoulderRotation: elbow > 40 ? 0 : 40 - pronation * 0.8,
      elbow: elbow > 40 ? 122 : elbow,
      pronation: elbow > 40 ? pronation : pronation - 20,
      girdleProtraction: -24,
      hand: "open",
    });
  return {
    ...upper,
    view: "highRight",
    felt: ["chest"],
    way: "halves",
    strip: "whole",
    poses: [front(0), back(0), front(THUMBS_DOWN), back(THUMBS_DOWN)],
  };
};
const THUMBS_DOWN = 88;

const palms = (abduction: number): FigureSource => {
  const up = { shoulderAbduction: abduction, shoulderRotation: 40, elbow: 8, pronation: -80, hand: "open" } as const;
  const down = { shoulderAbduction: abduction, shoulderRotation: -40, elbow: 8, pronation: 80, hand: "open" } as const;
  return {
    ...upper,
    poses: [
      { right: down, left: up, neck: { turn: -48 } },
      { right: up, left: down, neck: { turn: 48 } },
    ],
    inset: true,
    enlargement: { of: "each", view: "front", size: 0.4 },
    arc: "nose",
  };
};

/** Side to side across the body for the first round, forward and back for the second. */
const swing = (degrees: number): FigureSource => {
  const out = { shoulderAbduction: degrees, shoulderFlexion: 10 };
  const across = { shoulderAbduction: -degrees * 0.4, shoulderFlexion: 28, elbow: 18 };
  const forth = both({ shoulderFlexion: degrees * 1.3, shoulderAbduction: 16, elbow: 16 });
  const back = both({ shoulderFlexion: -degrees * 0.7, shoulderAbduction: 10 + degrees * 0.7, elbow: 6 });
  return {
    ...upper,
    view: "frontRight",
    way: "halves",
    strip: "whole",
    poses: [
      { right: out, left: across, trunk: { turn: degrees * 0.22 } },
      { right: across, left: out, trunk: { turn: -degrees * 0.22 } },
      { ...forth },
      { ...back },
    ],
  };
};

const fistAndStar = (fist: "softFist" | "fist"): FigureSource => ({
  focus: "hand",
  view: "front",
  both: true,
  strip: "hand",
  poses: [both(upright({ shoulderRotation: 6, hand: fist })), both(upright({ shoulderRotation: 6, hand: "spread" }))],
  arc: "littleTip",
});

/** One hand presses up over the head, the other down beside the hip. */
const reachUpAndDown = (high: number): FigureSource => {
  const top = { shoulderFlexion: 90 + high, shoulderAbduction: 12, elbow: 20, pronation: 10, wristFlexion: -62, hand: "together" } as const;
  const low = { shoulderFlexion: 6, shoulderAbduction: 14, elbow: 14, pronation: 84, wristFlexion: -62, hand: "together" } as const;
  const stacked = (height: number, palm: 1 | -1) =>
    ({
      hand: "together",
      touch: { part: "trunk", at: [4, height, 235], with: "palm", fingers: [1, 0, 0.2], palm: [0, palm, 0], elbow: [-1, -0.2, 0.3] },
    }) as const;
  return {
    ...upper,
    poses: [
      { right: stacked(-150, -1), left: stacked(-204, 1) },
      {
        right: { ...top, shoulderFlexion: 60, elbow: 96, wristFlexion: -40 },
        left: { ...low, shoulderFlexion: 40, shoulderAbduction: 56, elbow: 76, wristFlexion: -30 },
      },
      { right: top, left: low },
    ],
    inset: true,
    enlargement: { of: "worked", view: "right", size: 0.4 },
  };
};

const pushesChin: ArmInput = {
  hand: { shape: "lay", thumb: { radial: 4, palmar: 10, opposition: 0, middle: 10, end: 10 } },
  touch: { part: "head", at: [-56, 0, 14], with: "fingertips", fingers: [0.1, 0.35, -0.95], palm: [1, 0.1, 0.1], elbow: [-0.6, -1, 0.6] },
};
const headTurn = { focus: "bust", view: "front", arc: "nose", felt: ["neckSide"] } satisfies Partial<FigureSource>;
const headTilt = { ...headTurn, arc: "head" } satisfies Partial<FigureSource>;

const chin = { focus: "bust", view: "right", arc: "nose", felt: ["neckBack"] } satisfies Partial<FigureSource>;
/** Two fingertips on the chin, from the front. */
const guidesChin: ArmInput = {
  hand: { shape: "lay", thumb: { radial: 4, palmar: 10, opposition: 0, middle: 10, end: 10 } },
  touch: { part: "head", at: [-10, 4, 88], with: "fingertips", fingers: [0.35, 0.4, -0.85], palm: [0.93, 0, 0.38], elbow: [-0.6, -1, 0.5] },
};
/** Fingers laid over the crown from the side. */
const onCrown: ArmInput = {
  hand: "lay",
  touch: { part: "head", at: [20, 164, -14], with: "fingers", fingers: [0.9, -0.1, -0.3], palm: [-0.2, -1, 0], elbow: [-1, 0.2, 0.1] },
};
/** Fingers bent back at the knuckles by the press. */
const leant = (spread: number) => ({ base: -6, middle: 26, end: 4, spread });
const LEANING_BACK: HandInput = {
  shape: "fingertips",
  index: leant(8),
  middle: leant(0),
  ring: leant(-7),
  little: leant(-14),
};
const tipPress = (fingers: readonly [number, number, number], palm: readonly [number, number, number], end: HandInput): FigureSource => {
  const pressed = (hand: HandInput, way: typeof fingers, facing: typeof palm, elbow: typeof palm) =>
    both({ hand, touch: { part: "trunk", at: [-18, -120, 200], with: "fingertips", fingers: way, palm: facing, elbow } });
  return {
    focus: "hand",
    view: "front",
    both: true,
    arc: "wrist",
    poses: [pressed("fingertips", [0.5, 1, 0], [1, -0.5, 0], [-1, -0.4, 0]), pressed(end, fingers, palm, [-1, -0.2, 0])],
  };
};

export const getReady: FigureSources = {
  "shoulder-circles": {
    figure: shoulderCircle(1),
    forms: { large: shoulderCircle(1.3, elbowsLifted) },
    wrong: { pose: { ...shouldersAt(24, 0), neck: { nod: 26 } }, watch: 0 },
  },
  "shrug-and-drop": {
    figure: { ...upper, arc: "shoulder", poses: [shouldersAt(0, 0), shouldersAt(34, 0)] },
    wrong: { pose: { ...shouldersAt(34, 16), neck: { nod: 30 } }, watch: 0 },
  },
  "open-chest": {
    figure: chest(70),
    forms: { "elbows-straight": chest(6) },
    wrong: {
      pose: {
        ...both({ shoulderFlexion: 14, shoulderAbduction: 70, elbow: 30, girdleProtraction: -20, hand: "open" }),
        trunk: { lean: -16 },
        neck: { nod: -18 },
      },
      watch: 0,
    },
  },
  "turn-with-the-palms": { figure: palms(55), forms: { "shoulder-height": palms(88) } },
  "look-over": {
    figure: { ...headTurn, poses: [{ ...both(hanging) }, { ...both(hanging), neck: { turn: 62 } }] },
    forms: {
      hand: {
        ...headTurn,
        signs: [{ kind: "turn", about: "head" }],
        poses: [62, 68].map((turn) => ({ right: hanging, left: pushesChin, neck: { turn } })),
      },
    },
    wrong: { pose: { ...both({ girdleRaise: 18 }), neck: { turn: 50, tilt: 18 } }, watch: 0 },
  },
  "ear-to-shoulder": {
    figure: { ...headTilt, poses: [{ ...both(hanging) }, { ...both(hanging), neck: { tilt: 36 } }] },
    forms: {
      hand: {
        ...headTilt,
        poses: [
          { ...both(hanging) },
          {
            right: {
              hand: "lay",
              touch: {
                part: "head",
                at: [52, 152, 8],
                with: "fingers",
                fingers: [0.9, -0.2, 0],
                palm: [-0.4, -1, 0],
                elbow: [-1, 0.2, 0.1],
              },
            },
            left: hanging,
            neck: { tilt: 40 },
          },
        ],
      },
    },
    wrong: { pose: { right: { girdleRaise: 30 }, left: hanging, neck: { tilt: 24 } }, watch: 0 },
  },
  "arm-swings": { figure: swing(34), forms: { wide: swing(58) } },
  "fist-and-star": {
    figure: fistAndStar("softFist"),
    forms: { "full-effort": fistAndStar("fist") },
    wrong: { pose: both(upright({ shoulderRotation: 6, wristFlexion: 34, hand: "spread" })), watch: 0 },
  },
  "shake-out": {
    figure: {
      focus: "forearm",
      view: "frontRight",
      both: true,
      arc: "fingertips",
      poses: [
        both(atSide({ elbow: 62, shoulderAbduction: 14, pronation: 80, wristFlexion: 42 })),
        both(atSide({ elbow: 62, shoulderAbduction: 14, pronation: 80, wristFlexion: -24 })),
      ],
    },
  },
  "palm-flip-reach": {
    figure: reachUpAndDown(78),
    forms: {
      "seated-half": {
        ...reachUpAndDown(40),
        view: "frontLeft",
        props: [
          { kind: "table", place: [0, -612, 60], size: [440, 420] },
          { kind: "thigh", place: [84, -540, 40] },
          { kind: "thigh", place: [-84, -540, 40] },
        ],
      },
    },
    wrong: {
      pose: {
        right: {
          shoulderFlexion: 165,
          shoulderAbduction: 12,
          girdleRaise: 36,
          elbow: 20,
          pronation: 10,
          wristFlexion: -40,
          hand: "together",
        },
        left: { shoulderFlexion: 6, shoulderAbduction: 14, elbow: 14, pronation: 84, wristFlexion: -40, hand: "together" },
        neck: { tilt: 10 },
      },
      watch: 1,
    },
  },
  "chin-tuck": {
    figure: {
      ...chin,
      poses: [
        { ...both(hanging), neck: { nod: 6, forward: 26 } },
        { ...both(hanging), neck: { nod: 2, forward: -16 } },
      ],
    },
    forms: {
      hand: {
        ...chin,
        poses: [
          { right: guidesChin, left: hanging, neck: { nod: 6, forward: 22 } },
          { right: guidesChin, left: hanging, neck: { nod: 2, forward: -16 } },
        ],
      },
    },
    wrong: { pose: { ...both(hanging), neck: { nod: 36, forward: 10 } }, watch: 0 },
  },
  "look-down-aside": {
    figure: { ...headTurn, view: "frontRight", poses: [{ ...both(hanging) }, { ...both(hanging), neck: { turn: 40, nod: 36 } }] },
    forms: {
      hand: { ...headTurn, poses: [22, 38].map((nod) => ({ right: onCrown, left: hanging, neck: { turn: 40, nod } })) },
    },
    wrong: { pose: { right: hanging, left: { girdleRaise: 26 }, neck: { turn: 30, nod: 30 }, trunk: { lean: 12 } }, watch: 0 },
  },
  "look-up-aside": {
    figure: { ...headTurn, view: "frontRight", poses: [{ ...both(hanging) }, { ...both(hanging), neck: { turn: 42, nod: -26 } }] },
    forms: {
      hand: {
        ...headTurn,
        signs: [{ kind: "pull", hand: "worked", at: "nose", way: [-0.2, 1, 0] }],
        poses: [
          { right: hanging, left: pushesChin, neck: { turn: 40, nod: -16 } },
          { right: hanging, left: pushesChin, neck: { turn: 42, nod: -28 } },
        ],
      },
    },
    wrong: { pose: { ...both(hanging), neck: { turn: 20, nod: -48 } }, watch: 0 },
  },
  "tip-press": {
    figure: tipPress([0.95, 0.6, 0], [0.6, -0.95, 0], "fingertips"),
    forms: { deeper: tipPress([1, 0.12, 0], [0.12, -1, 0], LEANING_BACK) },
  },
};
