import { handContacts, type ArmInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, type FigureSource, type FigureSources } from "./source";

const TABLE: PropInput = { kind: "table", place: [172, -331, 155], size: [320, 170] };
const lying = (arm: ArmInput = {}): ArmInput => atSide({ shoulderAbduction: 0, pronation: -70, ...arm });

const ROLL_TABLE: PropInput = { kind: "table", place: [172, -374, 150], size: [320, 160] };
/** The forearm lies on the roller and is carried over it by a small lean. */
const rolled = (lean: number): PoseInput => ({
  right: atSide({ shoulderAbduction: 0, shoulderFlexion: lean - 8, elbow: 98 - lean, pronation: 60, girdleRaise: lean * 0.4 }),
  trunk: { lean },
});
const roll: FigureSource = {
  focus: "forearm",
  view: "right",
  props: [ROLL_TABLE, { kind: "roller", place: [172, -348, 150] }],
  arc: "knuckles",
  poses: [rolled(0), rolled(14)],
};

const knead = (share: number): PoseInput => ({
  right: { shoulderFlexion: 20, elbow: 72, pronation: 20, wristFlexion: 24 },
  left: handContacts.holdsForearm({ at: [6, share * 252, 32 - share * 8], fingers: [-1, -0.1, 0] }),
});

/** One knuckle of the other fist in the open palm, seen from above. */
const knuckle = (x: number, y: number): PoseInput => ({
  right: { shoulderFlexion: 16, shoulderRotation: -34, elbow: 92, pronation: -84, hand: "lay" },
  left: {
    hand: {
      shape: "fist",
      index: { base: 70, middle: 100, end: 50, spread: 0 },
      middle: { base: 92, middle: 108, end: 68, spread: 0 },
      ring: { base: 94, middle: 108, end: 68, spread: 0 },
      little: { base: 94, middle: 106, end: 66, spread: 0 },
    },
    touch: { part: "otherHand", at: [x, y, 14], with: "knuckles", fingers: [0.87, -0.26, 0], palm: [0, 0, -1], elbow: [-1, -0.1, -0.1] },
  },
});

const sweep = (share: number): PoseInput => ({
  right: lying(),
  left: {
    hand: "guide",
    girdleProtraction: 8,
    touch: {
      part: "otherForearm",
      at: [0, share * 252, 40],
      with: "fingertips",
      fingers: [0.8, 0.5, -0.5],
      palm: [0.2, 0.3, -1],
      elbow: [-1, -0.3, 0],
    },
  },
});

/** The other hand reaches across and hooks over the muscle between neck and shoulder, fingers on its back, thumb in front. */
const onNeck = (y: number): PoseInput => ({
  right: {},
  left: {
    hand: { shape: "guide", thumb: { radial: 2, palmar: 10, opposition: 0, middle: 10, end: 10 } },
    girdleProtraction: 20,
    touch: {
      part: "trunk",
      at: [100, y + 12, -14],
      with: "fingers",
      fingers: [0.35, 0.1, -0.95],
      palm: [0, -1, -0.1],
      elbow: [-0.1, -1, 0.7],
    },
  },
  neck: { tilt: -8 },
});
const onChest = (x: number, y: number): PoseInput => ({
  right: {},
  left: {
    hand: "lay",
    girdleProtraction: 14,
    touch: { part: "trunk", at: [x, y, 74], with: "fingertips", fingers: [1, 0.3, -0.25], palm: [0.1, 0, -1], elbow: [-0.2, -1, 0.3] },
  },
});
const ballOnChest = (x: number, y: number): PoseInput => ({
  right: {},
  left: {
    hand: "lay",
    girdleProtraction: 14,
    touch: { part: "trunk", at: [x, y, 120], with: "palm", fingers: [1, 0.4, 0], palm: [0.1, 0, -1], elbow: [-0.2, -1, 0.3] },
  },
});
/** Back to the wall, the ball between it and the corner of the neck. */
const ballAtWall = (lean: number): PoseInput => ({ right: {}, left: {}, trunk: { lean } });

export const release: FigureSources = {
  "forearm-roll": {
    figure: roll,
    forms: {
      "press-and-move": {
        focus: "forearm",
        view: "frontRight",
        props: [{ ...TABLE, place: [172, -391, 155] }, { kind: "ballOnTable" }],
        poses: [{ right: lying({ pronation: 80, wristFlexion: 36 }) }, { right: lying({ pronation: 80, wristFlexion: -36 }) }],
      },
    },
  },
  "forearm-knead": { figure: { focus: "forearm", view: "left", strip: "whole", poses: [knead(0.14), knead(0.56)] } },
  "palm-knuckle-circles": {
    figure: {
      focus: "arm",
      view: "highLeft",
      way: "round",
      inset: true,
      enlargement: { of: "both", view: "highLeft", size: 0.5 },
      arc: "knuckles",
      arcOf: "helping",
      poses: [knuckle(8, 46), knuckle(26, 64), knuckle(8, 82), knuckle(-10, 64)],
    },
  },
  "edge-sweep": {
    figure: {
      focus: "forearm",
      view: "frontRight",
      props: [TABLE, { kind: "edge", hand: "helping" }],
      poses: [sweep(0.84), sweep(0.56)],
      signs: [{ kind: "pull", hand: "helping", at: "backOfHand", way: [0, 0.1, -1] }],
    },
  },
  "neck-corner-press": {
    figure: {
      focus: "bust",
      view: "highRight",
      felt: ["neckCorner"],
      poses: [onNeck(70), onNeck(62)],
      signs: [{ kind: "press", hand: "helping", at: "backOfHand", way: [0.6, -1, 0] }],
    },
    forms: {
      ball: {
        focus: "bust",
        view: "right",
        felt: ["neckCorner"],
        props: [
          { kind: "wall", place: [0, -60, -158], size: [520, 700] },
          { kind: "bigBall", place: [100, 26, -86], size: [34, 0] },
        ],
        poses: [ballAtWall(5), ballAtWall(0)],
        signs: [{ kind: "press", hand: "worked", at: "shoulder", way: [0, 0, -1] }],
      },
    },
  },
  "chest-rub": {
    figure: {
      focus: "bust",
      view: "front",
      way: "round",
      felt: ["chest"],
      arc: "fingertips",
      arcOf: "helping",
      poses: [onChest(70, -58), onChest(84, -46), onChest(98, -58), onChest(84, -70)],
    },
    forms: {
      ball: {
        focus: "bust",
        view: "frontRight",
        inset: true,
        enlargement: { of: "helping", view: "right", size: 0.42 },
        way: "round",
        felt: ["chest"],
        arc: "fingertips",
        arcOf: "helping",
        props: [{ kind: "ball", hand: "helping", size: [30, 0] }],
        poses: [ballOnChest(84, -60), ballOnChest(100, -46), ballOnChest(116, -60), ballOnChest(100, -74)],
      },
    },
  },
  "thumb-support-tape": {
    figure: {
      focus: "hand",
      view: "highRight",
      props: [{ kind: "tape" }],
      poses: [{ right: atSide({ elbow: 96, pronation: 10, hand: "open" }) }],
    },
  },
};
