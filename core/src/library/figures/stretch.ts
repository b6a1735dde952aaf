import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, both, type FigureSource, type FigureSources } from "./source";

/** The worked arm reaches forward; the more the elbow bends, the lower the hand. */
const reach = (elbow: number, arm: ArmInput = {}): ArmInput => ({
  shoulderFlexion: 78 - elbow * 0.62,
  shoulderAbduction: elbow > 60 ? 0 : -14,
  girdleProtraction: -8,
  elbow,
  pronation: 80,
  ...arm,
});
const arms = { focus: "arm", view: "right", arc: "fingertips" } as const;

const palmAway = (elbow: number, blade = 0): FigureSource => ({
  ...arms,
  view: "frontRight",
  poses: [
    {
      right: reach(elbow, { wristFlexion: -18, hand: "together", girdleRaise: blade }),
      left: handContacts.drawsFingersBack({}, { girdleProtraction: 30 }),
    },
    {
      right: reach(elbow, {
        wristFlexion: -66,
        hand: {
          shape: "together",
          index: { base: -18, middle: 2, end: 2, spread: 0 },
          middle: { base: -18, middle: 2, end: 2, spread: 0 },
          ring: { base: -18, middle: 2, end: 2, spread: 1 },
          little: { base: -18, middle: 2, end: 2, spread: 2 },
        },
        girdleRaise: blade,
      }),
      left: handContacts.drawsFingersBack({}, { girdleProtraction: 30 }),
    },
  ],
});
const palmUp = (elbow: number, blade = 0): FigureSource => ({
  ...arms,
  view: "frontRight",
  poses: [
    {
      right: reach(elbow, { pronation: -80, wristFlexion: -16, hand: "together", girdleRaise: blade }),
      left: handContacts.drawsFingersBack({ fingers: [1, 0.3, 0] }, { girdleProtraction: 30 }),
    },
    {
      right: reach(elbow, { pronation: -80, wristFlexion: -64, hand: "together", girdleRaise: blade }),
      left: handContacts.drawsFingersBack({ fingers: [1, 0.3, 0] }, { girdleProtraction: 30 }),
    },
  ],
});

const handDrop = (hand: HandInput, pronation: number): FigureSource => ({
  ...arms,
  view: "frontRight",
  poses: [
    { right: reach(24, { pronation, wristFlexion: 12, hand }), left: handContacts.pressesBackOfHand({}, { girdleProtraction: 26 }) },
    { right: reach(24, { pronation, wristFlexion: 70, hand }), left: handContacts.pressesBackOfHand({}, { girdleProtraction: 26 }) },
  ],
});

const thumbWrap = (help: boolean): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "knuckles",
  poses: [-6, 28].map((deviation) => ({
    right: atSide({ elbow: 86, pronation: 0, deviation, hand: "thumbInFist" }),
    ...(help && { left: handContacts.takesHand({ at: [22, 62, 4], with: "palm", fingers: [0, 0.3, -1], palm: [-1, 0, 0] }) }),
  })),
});
const handshake = (help: boolean): FigureSource => ({
  focus: "forearm",
  view: "right",
  arc: "fingertips",
  poses: [-18, 28].map((deviation) => ({
    right: atSide({ elbow: 86, pronation: 0, deviation, hand: "together" }),
    ...(help && { left: handContacts.takesHand({ at: [24, 70, 2], with: "palm", fingers: [0, 0.4, -1], palm: [-1, 0, 0] }) }),
  })),
});

const turn = (from: number, to: number, arm: ArmInput, across: 1 | -1): FigureSource => ({
  focus: "forearm",
  view: "frontRight",
  arc: "thumbTip",
  poses: [from, to].map((pronation) => ({
    right: { ...arm, pronation, hand: "open" },
    left: handContacts.holdsForearm({ at: [0, 200, -20], palm: [0, 0, 1], fingers: across === 1 ? [0.8, 0.7, 0] : [-1, -0.2, 0] }),
  })),
});
const bent = atSide({ shoulderAbduction: 2 });
const long: ArmInput = { shoulderFlexion: 48, shoulderAbduction: -10, elbow: 4 };

/** The hand at the chest, the other guides it through four places. */
const guided = (size: number): FigureSource => ({
  focus: "arm",
  view: "front",
  way: "steps",
  poses: [
    {
      right: {
        shoulderFlexion: 42,
        shoulderAbduction: 8,
        shoulderRotation: -52,
        elbow: 112,
        pronation: 70,
        wristFlexion: 66 * size,
        hand: "relaxed",
      },
      left: handContacts.pressesBackOfHand({ fingers: [-1, 0.1, 0] }),
    },
    {
      right: {
        shoulderFlexion: 42,
        shoulderAbduction: 8,
        shoulderRotation: -40,
        elbow: 118,
        pronation: -30,
        wristFlexion: 60 * size,
        hand: "relaxed",
      },
      left: handContacts.pressesBackOfHand({ fingers: [-0.4, -1, 0] }),
    },
    {
      right: {
        shoulderFlexion: 40,
        shoulderAbduction: 10,
        shoulderRotation: -44,
        elbow: 100,
        pronation: 10,
        wristFlexion: -60 * size,
        hand: "open",
      },
      left: handContacts.drawsFingersBack({ fingers: [-0.97, 0.33, 0] }),
    },
    {
      right: {
        shoulderFlexion: 40,
        shoulderAbduction: 10,
        shoulderRotation: -40,
        elbow: 112,
        pronation: 80,
        wristFlexion: -60 * size,
        hand: "open",
      },
      left: handContacts.drawsFingersBack({}),
    },
  ],
});

const upper = { focus: "upper", view: "front", both: true } as const;
const together = (high: number, low: number): FigureSource => ({
  ...upper,
  arc: "elbow",
  poses: [both(handContacts.palmsPressed(high, 190)), both(handContacts.palmsPressed(low, 190))],
  inset: true,
});
const clasp = (height: number, ahead: number, elbow: number): PoseInput =>
  both({
    hand: { shape: "wrap", thumb: { radial: 40, palmar: 20, opposition: 10, middle: 6, end: 6 } },
    girdleProtraction: ahead > 300 ? 20 : 0,
    touch: {
      part: "trunk",
      at: [-6, height, ahead],
      with: "fingers",
      fingers: [1, elbow, 0.12],
      palm: height > 200 ? [0, 1, 0.1] : [0.1, 0, 1],
      elbow: [-1, -0.3, 0],
    },
  });
const laced = (height: number, ahead: number): PoseInput =>
  both({
    hand: "wrap",
    touch: { part: "trunk", at: [-14, height, ahead], with: "palm", fingers: [0.8, 0.6, 0], palm: [0.8, -0.6, 0], elbow: [-1, -0.5, 0] },
  });
const claspAndPress = (height: number, ahead: number): FigureSource => ({
  ...upper,
  view: "frontRight",
  arc: "wrist",
  poses: [laced(-140, 200), clasp(height, ahead, 0.25)],
});

const BENCH: PropInput = { kind: "table", place: [0, -420, 330], size: [760, 420] };
const plant = (y: number, hand: HandInput, lean: number, heels = 0): PoseInput => ({
  ...both({
    hand,
    touch: {
      part: "world",
      at: [-150, y, 300],
      with: heels ? "fingers" : "palm",
      fingers: [0, -heels * 0.6, 1],
      palm: [0, -1, -heels * 0.6],
      elbow: [-0.7, 0.1, -1],
    },
  }),
  trunk: { lean, turn: 0, bend: 0 },
});
const planted: FigureSource = {
  ...upper,
  view: "frontRight",
  arc: "shoulder",
  props: [BENCH],
  poses: [plant(-419, "open", 14), plant(-419, "open", 32)],
};

const lean = (y: number, fingers: [number, number, number], degrees: number): FigureSource => ({
  ...upper,
  view: "frontRight",
  arc: "shoulder",
  props: [BENCH],
  poses: [12, degrees].map((now) => ({
    ...both({
      hand: "open",
      touch: { part: "world", at: [-150, y, 300], with: "palm", fingers, palm: [0, -1, 0], elbow: [-0.8, 0.1, -1] },
    }),
    trunk: { lean: now },
  })),
});
const backs = (degrees: number, y = -418): FigureSource => ({
  ...upper,
  view: "frontRight",
  arc: "shoulder",
  props: [BENCH],
  poses: [8, degrees].map((now) => ({
    ...both({
      hand: "together",
      touch: { part: "world", at: [-140, y, 290], with: "backOfHand", fingers: [0.45, 0, -1], palm: [0, 1, 0], elbow: [-1, 0.2, -0.4] },
    }),
    trunk: { lean: now },
  })),
});

const TRACTION_TABLE: PropInput = { kind: "table", place: [172, -337, 20], size: [300, 420] };
const draws = (finger: "index" | "middle", along: number): PoseInput => ({
  right: atSide({ pronation: 60, elbow: 92, hand: "relaxed" }),
  left: {
    hand: {
      shape: "roundPinch",
      middle: { base: 60, middle: 66, end: 30, spread: 0 },
      ring: { base: 66, middle: 70, end: 34, spread: 0 },
      little: { base: 68, middle: 70, end: 34, spread: 0 },
    },
    girdleProtraction: 16,
    touch: {
      part: "otherHand",
      at: [finger === "index" ? 30 : 8, 150 + along, 6],
      with: "indexTip",
      fingers: [-0.86, 0.05, 0.27],
      palm: [-0.3, 0.2, -1],
      elbow: [-1, 0.1, 0],
    },
  },
});

const knuckles = (base: number): PoseInput => ({
  right: atSide({
    pronation: 60,
    elbow: 100,
    hand: {
      shape: "hook",
      index: { base, middle: 100, end: 60, spread: 0 },
      middle: { base, middle: 100, end: 60, spread: 0 },
      ring: { base, middle: 100, end: 60, spread: 0 },
      little: { base, middle: 96, end: 58, spread: 0 },
    },
  }),
  left: handContacts.drawsFingersBack({ at: [0, 34, 12], fingers: [-1, 0.2, 0] }),
});

const spreadHands = (hand: HandInput, gap: number): PoseInput =>
  both({
    hand,
    touch: { part: "trunk", at: [-gap, -130, 205], with: "palm", fingers: [0.25, 1, 0.2], palm: [1, -0.25, 0], elbow: [-1, -0.6, 0] },
  });

const side = (bend: number): PoseInput => ({
  right: { shoulderAbduction: bend === 0 ? 10 : 172, shoulderRotation: 20, elbow: 14, pronation: -10, hand: "open" },
  left: { shoulderAbduction: 18, elbow: 20 },
  trunk: { bend: -bend },
  neck: { tilt: -bend * 0.5 },
});
const crossed: ArmInput = {
  hand: "lay",
  touch: { part: "trunk", at: [92, -58, 84], with: "palm", fingers: [0.9, 0.5, 0], palm: [0, 0, -1], elbow: [-1, -0.6, 0.4] },
};
const hug = (round: number): PoseInput => ({
  ...both({
    girdleProtraction: 6 + round * 24,
    hand: "lay",
    touch: {
      part: "trunk",
      at: [-120 + round * 62, -120, 330 + round * 90],
      with: "palm",
      fingers: [0.7, 0, 0.5],
      palm: [0.6, 0, -1],
      elbow: [-1, -0.1, 0],
    },
  }),
  trunk: { lean: round * 10 },
  neck: { nod: round * 24 },
});
const headPress = (nod: number): PoseInput => ({ ...both(handContacts.onBackOfHead()), neck: { nod } });

export const stretch: FigureSources = {
  "palm-away": {
    figure: palmAway(24),
    forms: { "elbow-90": palmAway(88), "elbow-straight": palmAway(4), "blade-back": palmAway(2, -10) },
    wrong: {
      pose: {
        right: reach(24, {
          wristFlexion: -40,
          hand: {
            shape: "open",
            index: { base: -40, middle: 4, end: 2, spread: 0 },
            ring: { base: 30, middle: 30, end: 10, spread: 0 },
            little: { base: 40, middle: 36, end: 14, spread: 0 },
          },
        }),
        left: handContacts.drawsFingersBack({ at: [22, 44, 9] }, { girdleProtraction: 30 }),
      },
      watch: 0,
    },
  },
  "palm-up-draw": {
    figure: palmUp(24),
    forms: { "elbow-90": palmUp(88), "elbow-straight": palmUp(4), "blade-back": palmUp(2, -10) },
    wrong: {
      pose: {
        right: reach(24, { pronation: -80, wristFlexion: -40, girdleRaise: 30, hand: "together" }),
        left: handContacts.drawsFingersBack({ fingers: [1, 0.3, 0] }, { girdleProtraction: 30 }),
      },
      watch: 0,
    },
  },
  "hand-drop": {
    figure: handDrop("together", 80),
    forms: { "soft-fist": handDrop("softFist", 80), "full-fist": handDrop("fist", 80) },
    wrong: {
      pose: {
        right: reach(24, { pronation: 80, wristFlexion: 70, girdleRaise: 32, hand: "together" }),
        left: handContacts.pressesBackOfHand({}, { girdleProtraction: 26 }),
      },
      watch: 0,
    },
  },
  "thumb-wrap-tilt": {
    figure: thumbWrap(false),
    forms: { assisted: thumbWrap(true) },
    wrong: { pose: { right: atSide({ elbow: 86, pronation: 62, deviation: 16, wristFlexion: 34, hand: "thumbInFist" }) }, watch: 0 },
  },
  "handshake-down": {
    figure: handshake(false),
    forms: { assisted: handshake(true) },
    wrong: { pose: { right: atSide({ elbow: 60, pronation: 50, deviation: 10, hand: "together" }) }, watch: 0 },
  },
  "palm-out-turn": {
    figure: turn(-20, -80, bent, 1),
    forms: { "elbow-straight": turn(-20, -80, long, 1) },
    wrong: {
      pose: {
        right: { elbow: 80, shoulderAbduction: 4, shoulderRotation: 30, pronation: -60, hand: "open" },
        left: handContacts.takesHand({ at: [0, 60, 14] }),
      },
      watch: 0,
    },
  },
  "palm-in-turn": {
    figure: turn(20, 80, bent, -1),
    forms: { "elbow-straight": turn(20, 80, long, -1) },
    wrong: {
      pose: { right: { elbow: 84, shoulderAbduction: 40, pronation: 60, hand: "open" }, left: handContacts.pressesBackOfHand() },
      watch: 0,
    },
  },
  "guided-turn": { figure: guided(0.6), forms: { full: guided(1) } },
  "palms-together-drop": {
    figure: together(-84, -132),
    forms: { "low-hands": together(-100, -176) },
    wrong: { pose: both(handContacts.palmsPressed(-190, 190, [0.55, 1, 0])), watch: 0 },
  },
  "palms-together-push": {
    figure: {
      ...upper,
      arc: "fingertips",
      poses: [-1, 1].map((way) => ({
        right: handContacts.palmsPressed(-130, 190, [way * 0.62, 1, 0]),
        left: handContacts.palmsPressed(-130, 190, [-way * 0.62, 1, 0]),
      })),
      inset: true,
    },
    wrong: { pose: { ...both(handContacts.palmsPressed(-130, 190)), trunk: { bend: 16 } }, watch: 0 },
  },
  "clasp-and-press": {
    figure: claspAndPress(-60, 380),
    forms: { long: claspAndPress(-40, 540), overhead: claspAndPress(470, 60) },
    wrong: { pose: { ...clasp(-40, 500, 0.25), trunk: { lean: -14 }, neck: { nod: -16 } }, watch: 0 },
  },
  "table-plant": {
    figure: { ...planted, poses: [plant(-420, "fingertips", 10, 0.5), plant(-420, "fingertips", 26, 0.5)] },
    forms: { flat: planted, "with-lift": { ...planted, poses: [plant(-419, "open", 26), plant(-340, "open", 26)] } },
    wrong: {
      pose: plant(
        -419,
        { shape: "open", middle: { base: 0, middle: 4, end: 3, spread: -6 }, ring: { base: 2, middle: 4, end: 3, spread: 4 } },
        46,
      ),
      watch: 0,
    },
  },
  "hand-lean": {
    figure: lean(-419, [0, 0, 1], 34),
    forms: { "to-the-side": lean(-419, [-1, 0, 0.3], 28), "back-to-you": lean(-419, [-1, 0, -0.3], 14) },
    wrong: {
      pose: {
        ...both({
          girdleRaise: 30,
          hand: "open",
          touch: { part: "world", at: [-150, -419, 300], with: "palm", fingers: [0, 0, 1], palm: [0, -1, 0], elbow: [-0.8, 0.1, -1] },
        }),
        trunk: { lean: 44 },
      },
      watch: 0,
    },
  },
  "back-of-hand-lean": { figure: backs(12, -412), forms: { light: backs(10), lean: backs(22) } },
  "under-foot-press": {
    figure: {
      focus: "whole",
      view: "right",
      both: true,
      inset: true,
      poses: [
        both({ shoulderFlexion: 20, elbow: 20, pronation: -60, hand: "together" }),
        {
          ...both({
            hand: "together",
            touch: {
              part: "world",
              at: [-96, -1330, 96],
              with: "backOfHand",
              fingers: [0, -0.64, -0.77],
              palm: [0, 0.77, -0.64],
              elbow: [-1, 0, 0.6],
            },
          }),
          trunk: { lean: 132 },
          neck: { nod: 20 },
        },
      ],
    },
  },
  "wrist-traction": {
    figure: {
      focus: "forearm",
      view: "right",
      props: [TRACTION_TABLE],
      poses: [0, 1].map(() => ({
        right: atSide({ shoulderAbduction: 0, pronation: 80, hand: "relaxed" }),
        left: handContacts.takesHand({ at: [0, 60, -12], palm: [0, 0, 1], fingers: [-1, 0.2, 0] }),
      })),
    },
    wrong: {
      pose: {
        right: atSide({ shoulderAbduction: 0, pronation: 40, deviation: 22, wristFlexion: 24, hand: "relaxed" }),
        left: handContacts.takesHand({ at: [0, 60, -12], palm: [0, 0, 1], fingers: [-1, 0.2, 0] }),
      },
      watch: 0,
    },
  },
  "finger-draw": { figure: { focus: "forearm", view: "frontRight", poses: [draws("index", 0), draws("index", 14), draws("middle", 8)] } },
  "knuckle-open": { figure: { focus: "forearm", view: "right", arc: "fingertips", poses: [knuckles(64), knuckles(-18)] } },
  "web-split": {
    figure: {
      focus: "arm",
      view: "front",
      poses: [4, 16].map((apart) => ({
        right: {
          shoulderFlexion: 36,
          shoulderAbduction: 4,
          shoulderRotation: -16,
          elbow: 118,
          pronation: 80,
          hand: {
            shape: "open",
            index: { base: 0, middle: 6, end: 4, spread: apart },
            middle: { base: 0, middle: 6, end: 4, spread: -apart * 0.5 },
          } as HandInput,
        },
        left: {
          hand: { shape: "roundPinch", index: { base: 40, middle: 30, end: 12, spread: 10 } } as HandInput,
          girdleProtraction: 10,
          touch: {
            part: "otherHand",
            at: [19, 108, 2],
            with: "indexTip",
            fingers: [-0.9, -0.4, -0.2],
            palm: [0, 0, -1],
            elbow: [-1, -0.6, 0],
          },
        },
      })),
    },
  },
  "spread-and-clasp": {
    figure: { focus: "arm", view: "front", both: true, poses: [spreadHands("spread", 75), spreadHands("wrap", 2)] },
    wrong: { pose: spreadHands("relaxed", 60), watch: 0 },
  },
  "hanging-fists": {
    figure: {
      focus: "arm",
      view: "frontRight",
      both: true,
      way: "round",
      arc: "knuckles",
      poses: [60, 56, 60, 56].map((wristFlexion, i) =>
        both({ shoulderFlexion: 40, elbow: 118, pronation: 80, wristFlexion, deviation: [-10, 0, 16, 0][i]!, hand: "softFist" }),
      ),
    },
  },
  "side-reach": {
    figure: { focus: "upper", view: "front", poses: [side(0), side(24)] },
    wrong: { pose: { ...side(24), trunk: { bend: -18, turn: 30, lean: 16 } }, watch: 0 },
  },
  "trunk-turn": {
    figure: {
      focus: "upper",
      view: "front",
      both: true,
      poses: [{ ...both(crossed) }, { ...both(crossed), trunk: { turn: 40 }, neck: { turn: 10 } }],
    },
    wrong: { pose: { ...both(crossed), trunk: { turn: 24, bend: 20 } }, watch: 0 },
  },
  "round-and-hug": {
    figure: {
      focus: "upper",
      view: "frontRight",
      both: true,
      poses: [hug(0), hug(1)],
      props: [{ kind: "bigBall", place: [0, -150, 290], size: [150, 0] }],
    },
  },
  "head-press": {
    figure: { focus: "upper", view: "frontRight", both: true, arc: "head", poses: [headPress(14), headPress(-6)] },
    wrong: { pose: { ...both({ ...handContacts.onBackOfHead(), girdleRaise: 26 }), neck: { nod: 34 } }, watch: 0 },
  },
};
