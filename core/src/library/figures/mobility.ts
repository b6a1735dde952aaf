import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, upright, type FigureSource, type FigureSources } from "./source";

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

/** Fingers folded in one after the other from the little finger. */
const wave = (folded: number): HandInput => {
  const bent = { base: 80, middle: 100, end: 58, spread: 0 };
  const half = { base: 34, middle: 56, end: 30, spread: 0 };
  const at = (order: number) => (folded > order ? bent : folded === order ? half : undefined);
  return {
    shape: "open",
    ...(at(0) && { little: at(0)! }),
    ...(at(1) && { ring: at(1)! }),
    ...(at(2) && { middle: at(2)! }),
    ...(at(3) && { index: at(3)! }),
    ...(folded > 4 && { thumb: { radial: 32, palmar: 43, opposition: 33, middle: 54, end: 36 } }),
  };
};
const wavePose = (folded: number) => both(upright({ hand: wave(folded) }));
/** The first `opened` fingers long again, counted from the little one; the thumb stays folded to the last. */
const opening = (opened: number) => {
  const names = ["little", "ring", "middle", "index"] as const;
  const open = wave(0) as { shape: "open" };
  const folded = Object.entries(wave(5)).filter(([name]) => !names.slice(0, opened).includes(name as (typeof names)[number]));
  return both(upright({ hand: { ...open, ...Object.fromEntries(folded) } }));
};

/** Thumb tip on the tip of each finger: found by search for the angles nearest a round O whose pads meet. */
const TIP_TO_TIP = {
  index: { finger: { base: 65, middle: 46, end: 20, spread: 0 }, thumb: { radial: 25, palmar: 40, opposition: 53, middle: 18, end: 2 } },
  middle: { finger: { base: 72, middle: 47, end: 20, spread: 0 }, thumb: { radial: 1, palmar: 49, opposition: 79, middle: 8, end: 12 } },
  ring: { finger: { base: 71, middle: 51, end: 20, spread: 0 }, thumb: { radial: -12, palmar: 49, opposition: 67, middle: 15, end: 22 } },
  little: { finger: { base: 67, middle: 51, end: 21, spread: 0 }, thumb: { radial: -20, palmar: 34, opposition: 25, middle: 26, end: 18 } },
};
/** Thumb tip on the base of each finger. */
const TIP_TO_BASE = {
  index: { finger: { base: 14, middle: 18, end: 8, spread: 0 }, thumb: { radial: 20, palmar: 17, opposition: 80, middle: 24, end: 24 } },
  middle: { finger: { base: 14, middle: 18, end: 8, spread: 0 }, thumb: { radial: 3, palmar: 11, opposition: 76, middle: 17, end: 11 } },
  ring: { finger: { base: 14, middle: 18, end: 8, spread: 0 }, thumb: { radial: -12, palmar: 12, opposition: 79, middle: 14, end: 15 } },
  little: { finger: { base: 14, middle: 18, end: 8, spread: 0 }, thumb: { radial: -20, palmar: 10, opposition: 49, middle: 24, end: 1 } },
};
const meets = (finger: keyof typeof TIP_TO_TIP, base: boolean): HandInput => {
  const met = (base ? TIP_TO_BASE : TIP_TO_TIP)[finger];
  return { shape: "open", [finger]: met.finger, thumb: met.thumb };
};
const thumbToTips = (base: boolean): FigureSource => ({
  focus: "hand",
  view: "front",
  both: true,
  way: "steps",
  cover: 0,
  strip: "hand",
  // The finger is stretched long between two meetings.
  poses: (["index", "middle", "ring", "little"] as const).flatMap((finger) => [
    both(upright({ pronation: 62, hand: meets(finger, base) })),
    both(upright({ pronation: 62, hand: "open" })),
  ]),
});

/** The palm flat on the table, one finger raised. */
const liftOne = (base: number): HandInput => ({ shape: "flat", middle: { base, middle: 2, end: 0, spread: 0 } });
const fingerLift = (push: boolean): FigureSource => ({
  focus: "hand",
  view: push ? "front" : "left",
  arc: "fingertips",
  props: [{ kind: "table", place: [160, -300, 236], size: [330, 330] }],
  poses: [0, -28].map((base) => ({
    right: handContacts.flatOnTable(172, -300, 300, [0, 0, 1], liftOne(base)),
    ...(push && {
      left: {
        hand: {
          shape: "roundPinch" as const,
          middle: { base: 60, middle: 70, end: 30, spread: 0 },
          ring: { base: 66, middle: 74, end: 34, spread: 0 },
          little: { base: 68, middle: 74, end: 34, spread: 0 },
        },
        girdleProtraction: 26,
        touch: {
          part: "otherHand" as const,
          at: [7, 175, base * 2.4] as const,
          with: "indexTip" as const,
          fingers: [-0.8, 0.2, 0.5] as const,
          palm: [-0.6, -0.7, -0.2] as const,
          elbow: [-1, -0.1, 0.2] as const,
        },
      },
    }),
  })) as PoseInput[],
  ...(push && { signs: [{ kind: "pull" as const, hand: "helping" as const, at: "knuckles" as const, way: [0, 1, 0] as const }] }),
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
  "finger-wave": {
    figure: { focus: "hand", view: "front", both: true, way: "steps", cover: 2, strip: "hand", poses: [0, 1, 2, 3, 4, 5].map(wavePose) },
    forms: {
      "from-little": {
        focus: "hand",
        view: "front",
        both: true,
        way: "steps",
        cover: 4,
        strip: "hand",
        poses: [...[0, 2, 4, 5].map(wavePose), ...[1, 2, 3, 4].map(opening)],
      },
    },
    wrong: { pose: both(upright({ hand: "thumbInFist" })), watch: 0 },
  },
  "thumb-to-tips": {
    figure: thumbToTips(false),
    forms: { "base-of-finger": thumbToTips(true) },
    wrong: {
      pose: both(
        upright({
          pronation: 62,
          hand: {
            shape: "open",
            index: { base: 58, middle: 20, end: -8, spread: 0 },
            thumb: { radial: 34, palmar: 52, opposition: 50, middle: 24, end: -14 },
          },
        }),
      ),
      watch: 0,
    },
  },
  "finger-lift": { figure: fingerLift(false), forms: { push: fingerLift(true) } },
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
