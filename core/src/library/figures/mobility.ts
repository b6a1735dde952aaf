import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, type FigureSource, type FigureSources } from "./source";

/** The wrist through a motion, the forearm lying on the bench with the hand over its edge. */
const TABLE: PropInput = { kind: "table", place: [172, -331, 142], size: [300, 145] };
const onTable = (arm: ArmInput): PoseInput => ({ right: atSide({ shoulderAbduction: 0, ...arm }) });
const held = (arm: ArmInput): PoseInput => ({
  right: atSide({ shoulderFlexion: 26, elbow: 74, ...arm }),
  left: handContacts.holdsForearm(),
});

const close = { focus: "forearm", view: "right" } as const;
const nod = (pose: (arm: ArmInput) => PoseInput, more: Partial<FigureSource> = {}): FigureSource => ({
  ...close,
  arc: "knuckles",
  poses: [pose({ pronation: 80, wristFlexion: 58, hand: "softFist" }), pose({ pronation: 80, wristFlexion: -54, hand: "softFist" })],
  ...more,
});
/** A soft fist whose thumb points up along its edge, so that it shows which way is up. */
const THUMB_UP: HandInput = { shape: "softFist", thumb: { radial: 22, palmar: 8, opposition: 0, middle: 4, end: 0 } };
const tilt = (pose: (arm: ArmInput) => PoseInput, more: Partial<FigureSource> = {}): FigureSource => ({
  ...close,
  arc: "knuckles",
  poses: [pose({ pronation: 0, deviation: -18, hand: THUMB_UP }), pose({ pronation: 0, deviation: 28, hand: THUMB_UP })],
  ...more,
});
const circle = (pose: (arm: ArmInput) => PoseInput, more: Partial<FigureSource> = {}): FigureSource => ({
  ...close,
  view: "highRight",
  way: "round",
  strip: "whole",
  arc: "knuckles",
  poses: [
    pose({ pronation: 70, wristFlexion: -50, hand: "softFist" }),
    pose({ pronation: 70, deviation: 26, hand: "softFist" }),
    pose({ pronation: 70, wristFlexion: 52, hand: "softFist" }),
    pose({ pronation: 70, deviation: -18, hand: "softFist" }),
  ],
  ...more,
});
const free = (arm: ArmInput): PoseInput => ({ right: atSide(arm) });

/** A lying eight of the laced hands, the pair rolling into each bend. */
const eight = (size: number): FigureSource => ({
  focus: "arm",
  view: "front",
  both: true,
  way: "round",
  arc: "clasp",
  poses: Array.from({ length: 8 }, (_, i) => {
    const turn = (i / 8) * 2 * Math.PI;
    const [x, y] = [Math.sin(turn), Math.sin(2 * turn)];
    return handContacts.laced("trunk", "facing", [x * 48 * size, -150 + y * 24 * size, 230], [0, 0.6, 0.8], {
      roll: x * 16 * size,
      elbow: [-1, -0.4, 0],
    });
  }),
});

const palmTurn = (more: Partial<FigureSource> = {}): FigureSource => ({
  focus: "forearm",
  view: "above",
  strip: "whole",
  signs: [{ kind: "turn", about: "forearm" }],
  poses: [free({ pronation: 78, hand: "open" }), free({ pronation: -78, hand: "open" })],
  ...more,
});

/** Up and down, then side to side as if wiping. */
const slide = (elbow: number): FigureSource => {
  const at = (wristFlexion: number, deviation: number): PoseInput => ({
    right: { shoulderFlexion: 84 - elbow * 0.6, elbow, pronation: 80, wristFlexion, deviation, hand: "softFist" },
  });
  return { focus: "forearm", view: "highLeft", way: "steps", poses: [at(48, 0), at(-48, 0), at(0, -18), at(0, 28)] };
};

/** Fingers curl and straighten while the wrist keeps its place at the end of its range. */
const curl = (
  arm: ArmInput,
  wristFlexion: number,
  start: HandInput,
  end: HandInput,
  other?: ArmInput,
  more: Partial<FigureSource> = {},
): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "fingertips",
  poses: [start, end].map((hand) => ({ right: { ...arm, wristFlexion, hand }, ...(other && { left: other }) })),
  ...more,
});
const ahead = (elbow: number, pronation: number): ArmInput => ({
  shoulderFlexion: 82 - elbow * 0.6,
  shoulderAbduction: -6,
  elbow,
  pronation,
});

/** Hands dropped, lifted, led over by the little fingers, closed, turned back. */
const reachLiftTurnClose = (height: number): FigureSource => {
  const arm = (pronation: number, wristFlexion: number, hand: HandInput): PoseInput =>
    both({ shoulderFlexion: height, shoulderAbduction: 6, elbow: 14, pronation, wristFlexion, hand });
  return {
    focus: "arm",
    view: "frontRight",
    both: true,
    way: "steps",
    cover: 2,
    strip: "whole",
    poses: [
      arm(80, 0, "together"),
      arm(80, 66, "together"),
      arm(80, -60, "together"),
      arm(-78, 0, "together"),
      arm(-78, 0, "softFist"),
      arm(80, 0, "softFist"),
    ],
  };
};

export const mobility: FigureSources = {
  "wrist-nod": {
    figure: nod(free),
    forms: { supported: nod(held, { view: "right" }) },
    wrong: { pose: free({ pronation: 20, wristFlexion: -54, hand: "softFist" }), watch: 0 },
  },
  "wrist-tilt": {
    figure: tilt(free),
    forms: { supported: tilt(onTable, { props: [TABLE] }) },
    wrong: {
      pose: { right: { shoulderAbduction: 30, elbow: 90, pronation: 0, shoulderRotation: -20, deviation: 4, hand: "softFist" } },
      watch: 0,
    },
  },
  "wrist-circle": {
    figure: circle(free),
    forms: { "supported-slow": circle(held) },
    wrong: { pose: { right: { shoulderAbduction: 26, elbow: 70, pronation: 60, wristFlexion: -10, hand: "softFist" } }, watch: 0 },
  },
  "clasped-eight": { figure: eight(0.8), forms: { full: eight(1.25) } },
  "palm-turn": {
    figure: palmTurn(),
    forms: {
      "elbow-resting": palmTurn({
        poses: [onTable({ pronation: 78, hand: "open" }), onTable({ pronation: -78, hand: "open" })],
        props: [{ kind: "table", place: [172, -331, 142], size: [300, 145] }],
      }),
    },
    wrong: { pose: { right: { elbow: 80, shoulderAbduction: 48, pronation: 60, hand: "open" } }, watch: 0 },
  },
  "fold-and-turn": {
    figure: {
      focus: "arm",
      view: "front",
      both: true,
      strip: "whole",
      signs: [{ kind: "turn", about: "forearm" }],
      poses: [
        both({ shoulderFlexion: 24, shoulderAbduction: 10, elbow: 4, pronation: -80, hand: "softFist" }),
        both({ shoulderFlexion: 20, shoulderAbduction: 10, elbow: 124, pronation: 80, hand: "softFist" }),
      ],
    },
    wrong: { pose: both({ shoulderFlexion: 40, shoulderAbduction: 10, elbow: 70, pronation: 10, hand: "softFist" }), watch: 0 },
  },
  "wrist-slide": {
    figure: slide(34),
    forms: { locked: slide(2) },
    wrong: {
      pose: {
        right: {
          shoulderFlexion: 64,
          elbow: 34,
          pronation: 80,
          wristFlexion: 4,
          hand: {
            shape: "softFist",
            index: { base: 20, middle: 98, end: 56, spread: 0 },
            middle: { base: 22, middle: 98, end: 56, spread: 0 },
            ring: { base: 24, middle: 98, end: 56, spread: 0 },
            little: { base: 26, middle: 98, end: 56, spread: 0 },
          },
        },
      },
      watch: 0,
    },
  },
  "curl-in-extension": {
    figure: curl(ahead(30, 80), -62, "open", "hook"),
    forms: {
      "elbow-straight": curl(ahead(2, 80), -62, "open", "hook"),
      "hand-held": curl(
        ahead(64, 80),
        -66,
        "open",
        "hook",
        handContacts.takesHand({ at: [2, 40, 16], fingers: [-1, 0.2, 0], palm: [0, -0.25, -0.97] }),
      ),
    },
    wrong: { pose: { right: { ...ahead(30, 80), wristFlexion: -18, hand: "hook" } }, watch: 0 },
  },
  "curl-in-flexion": {
    figure: curl(ahead(30, 80), 66, "open", "softFist"),
    forms: {
      "elbow-straight": curl(ahead(2, 80), 66, "open", "softFist"),
      "hand-held": curl(
        ahead(64, 80),
        70,
        "open",
        "softFist",
        handContacts.pressesBackOfHand({ fingers: [-0.7, 0.67, -0.35], palm: [-0.25, 0.24, 0.94] }),
      ),
    },
    wrong: { pose: { right: { ...ahead(30, 80), wristFlexion: 14, hand: "softFist" } }, watch: 0 },
  },
  "curl-palm-up": {
    figure: curl(ahead(30, -80), 58, "softFist", "open"),
    forms: {
      "elbow-straight": curl(ahead(2, -80), 58, "softFist", "open"),
      "hand-held": curl(
        ahead(64, -80),
        62,
        "softFist",
        "open",
        handContacts.pressesBackOfHand({ fingers: [1, 0.2, 0], palm: [0.07, -0.34, 0.94] }),
      ),
    },
    wrong: { pose: { right: { ...ahead(84, -80), wristFlexion: 58, hand: "open" } }, watch: 0 },
  },
  "reach-lift-turn-close": { figure: reachLiftTurnClose(42), forms: { "shoulder-height": reachLiftTurnClose(80) } },
};
