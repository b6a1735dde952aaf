/** Stretches in which one hand draws, turns or presses the other. */
import { handContacts, type ArmInput, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, type FigureSource, type FigureSources } from "./source";

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

/** The thumb laid into the palm, the fingers closed round it, the tilt. */
const thumbWrap = (help: boolean): FigureSource => {
  const at = (hand: HandInput, deviation: number): ArmInput => atSide({ elbow: 86, pronation: 0, deviation, hand });
  const laid: HandInput = { shape: "open", thumb: { radial: 2, palmar: 26, opposition: 60, middle: 40, end: 30 } };
  const last = at("thumbInFist", 28);
  return {
    focus: "forearm",
    view: "left",
    way: "steps",
    poses: [
      { right: at(laid, -6) },
      { right: at("thumbInFist", -6) },
      {
        right: last,
        ...(help && { left: handContacts.takesHand({ at: [24, 66, 0], fingers: [0, 0.2, -1], palm: [-1, 0, 0], elbow: [-0.6, 0.4, 1] }) }),
      },
    ],
    signs: [{ kind: "press", hand: "worked", at: "knuckles", way: [0, -1, 0] }],
  };
};

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
  view: "above",
  strip: "whole",
  signs: [{ kind: "turn", about: "forearm" }],
  poses: [from, to].map((pronation) => ({
    right: { ...arm, pronation, hand: "open" },
    left: handContacts.holdsForearm({ at: [0, 196, 22], palm: [0, 0, -1], fingers: across === 1 ? [0.95, -0.2, 0] : [-1, -0.2, 0] }),
  })),
});

const bent = atSide({ shoulderAbduction: 2 });

const long: ArmInput = { shoulderFlexion: 48, shoulderAbduction: -10, elbow: 4 };

/** The hand before the chest, the other guides it through four places: its palm always comes from the other side. */
const guided = (size: number): FigureSource => {
  const forearm: Vector3 = [0.8, 0.05, 0.6];
  /** `up` 1: fingers up, −1: down; `away` 1: palm away, −1: bent to the palm. */
  const at = (up: 1 | -1, away: 1 | -1): PoseInput => ({
    right: {
      hand: away === 1 ? "open" : "relaxed",
      touch: {
        part: "trunk",
        at: [-90, -170, 215],
        with: "wrist",
        fingers: [0.15 * size + forearm[0] * (1 - size), up * size, forearm[2] * (1 - size)],
        palm: [away * forearm[0], -up * (1 - size), away * forearm[2]],
        elbow: [-1, -0.5, 0],
      },
    },
    left:
      away === 1
        ? handContacts.takesHand({ fingers: [0, up, 0], at: [0, 84, 16], elbow: [-1, -0.3, 0.2], grasp: false })
        : handContacts.pressesBackOfHand({ fingers: [0, up, 0], elbow: [-1, -0.3, 0.2], grasp: false }),
  });
  return { focus: "forearm", view: "frontRight", way: "steps", poses: [at(-1, -1), at(1, -1), at(-1, 1), at(1, 1)] };
};

type Vector3 = readonly [number, number, number];

const TRACTION_TABLE: PropInput = { kind: "table", place: [172, -331, 150], size: [300, 160] };

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
    shoulderFlexion: 26,
    elbow: 80,
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

export const stretchAssisted: FigureSources = {
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
    figure: {
      focus: "forearm",
      view: "left",
      arc: "knuckles",
      poses: [-10, 28].map((deviation) => ({ right: atSide({ elbow: 86, pronation: 0, deviation, hand: "softFist" }) })),
    },
    forms: { "own-weight": thumbWrap(false), assisted: thumbWrap(true) },
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
    forms: { "elbow-straight": { ...turn(20, 80, long, -1), view: "frontLeft" } },
    wrong: {
      pose: { right: { elbow: 84, shoulderAbduction: 40, pronation: 60, hand: "open" }, left: handContacts.pressesBackOfHand() },
      watch: 0,
    },
  },
  "guided-turn": { figure: guided(0.6), forms: { full: guided(0.8) } },
  "wrist-traction": {
    figure: {
      focus: "forearm",
      view: "right",
      props: [TRACTION_TABLE],
      signs: [{ kind: "pull", hand: "worked", at: "fingertips", way: [0, 0, 1] }],
      poses: [0, 4].map((drawn) => ({
        right: atSide({ shoulderAbduction: 0, shoulderFlexion: drawn, elbow: 90 - drawn, pronation: 80, hand: "relaxed" }),
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
  "finger-draw": {
    figure: {
      focus: "forearm",
      view: "frontRight",
      poses: [draws("index", 0), draws("index", 14)],
      signs: [{ kind: "pull", hand: "helping", at: "knuckles", way: [0.2, 0, 1] }],
    },
  },
  "knuckle-open": {
    figure: {
      focus: "forearm",
      view: "frontRight",
      strip: "whole",
      arc: "fingertips",
      signs: [{ kind: "pull", hand: "worked", at: "fingertips", way: [0, 1, 0] }],
      poses: [knuckles(64), knuckles(-18)],
    },
  },
  "web-split": {
    figure: {
      focus: "forearm",
      view: "front",
      signs: [
        { kind: "pull", hand: "worked", at: "indexTip", way: [1, 0.1, 0] },
        { kind: "pull", hand: "worked", at: "fingertips", way: [-1, 0.1, 0] },
      ],
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
            at: [17, 110, -10],
            with: "indexTip",
            fingers: [-0.9, -0.4, -0.2],
            palm: [0, 0, -1],
            elbow: [-1, -0.6, 0],
          },
        },
      })),
    },
  },
};
