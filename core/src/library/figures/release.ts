import { handContacts, type ArmInput, type PoseInput, type PropInput } from "../../figure";
import { atSide, type FigureSource, type FigureSources } from "./source";

const TABLE: PropInput = { kind: "table", place: [172, -337, 30], size: [320, 420] };
const lying = (arm: ArmInput = {}): ArmInput => atSide({ shoulderAbduction: 0, pronation: -70, ...arm });

const rolled = (share: number): PoseInput => ({
  right: lying(),
  left: {
    hand: "lay",
    girdleProtraction: 8,
    touch: { part: "otherForearm", at: [0, share * 252, 60], with: "palm", fingers: [1, 0.3, 0], palm: [0, 0, -1], elbow: [-1, -0.4, 0] },
  },
});
const roll: FigureSource = {
  focus: "forearm",
  view: "frontRight",
  props: [TABLE, { kind: "roller", hand: "helping" }],
  poses: [rolled(0.72), rolled(0.3)],
};

const knead = (share: number): PoseInput => ({
  right: { shoulderFlexion: 20, elbow: 72, pronation: 20, wristFlexion: 24 },
  left: handContacts.holdsForearm({ at: [6, share * 252, 32 - share * 8], fingers: [-1, -0.1, 0] }),
});

const knuckle = (x: number, y: number): PoseInput => ({
  right: { shoulderFlexion: 24, shoulderRotation: -22, elbow: 96, pronation: -70, hand: "relaxed" },
  left: {
    hand: { shape: "fist", index: { base: 58, middle: 104, end: 62, spread: 0 } },
    touch: { part: "otherHand", at: [x, y, 15], with: "knuckles", fingers: [-0.2, 0.9, 0], palm: [0, 0, -1], elbow: [-1, -0.4, 0] },
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

const onNeck = (y: number): PoseInput => ({
  right: {},
  left: {
    hand: "lay",
    touch: { part: "trunk", at: [96, y, 44], with: "fingertips", fingers: [0.9, 0.3, -0.7], palm: [0, -0.8, -0.6], elbow: [0.2, -1, 0.3] },
  },
});
const onChest = (x: number): PoseInput => ({
  right: {},
  left: {
    hand: "lay",
    touch: { part: "trunk", at: [x, -62, 78], with: "fingertips", fingers: [1, 0.25, -0.3], palm: [0, 0, -1], elbow: [-0.2, -1, 0.3] },
  },
});

export const release: FigureSources = {
  "forearm-roll": {
    figure: roll,
    forms: {
      "press-and-move": {
        focus: "forearm",
        view: "frontRight",
        props: [{ ...TABLE, place: [172, -391, 30] }, { kind: "ballOnTable" }],
        poses: [{ right: lying({ pronation: 80, wristFlexion: 36 }) }, { right: lying({ pronation: 80, wristFlexion: -36 }) }],
      },
    },
  },
  "forearm-knead": { figure: { focus: "forearm", view: "frontRight", poses: [knead(0.3), knead(0.62)] } },
  "palm-knuckle-circles": {
    figure: {
      focus: "forearm",
      view: "frontRight",
      way: "round",
      poses: [knuckle(18, 34), knuckle(26, 44), knuckle(16, 54), knuckle(8, 44)],
    },
  },
  "edge-sweep": {
    figure: { focus: "forearm", view: "frontRight", props: [TABLE, { kind: "edge", hand: "helping" }], poses: [sweep(0.74), sweep(0.28)] },
  },
  "neck-corner-press": { figure: { focus: "upper", view: "front", poses: [onNeck(52), onNeck(44)] } },
  "chest-rub": { figure: { focus: "upper", view: "front", poses: [onChest(70), onChest(112)] } },
  "thumb-support-tape": {
    figure: {
      focus: "hand",
      view: "left",
      props: [{ kind: "tape" }],
      poses: [{ right: atSide({ elbow: 96, pronation: 10, hand: "open" }) }],
    },
  },
};
