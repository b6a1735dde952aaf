/** Stretches of trunk, shoulders and neck. */
import { handContacts, type ArmInput, type PoseInput } from "../../figure";
import { both, type FigureSource, type FigureSources } from "./source";

const side = (bend: number): PoseInput => ({
  right: { shoulderAbduction: bend === 0 ? 10 : 172, shoulderRotation: 20, elbow: 14, pronation: -10, hand: "open" },
  left: { shoulderAbduction: 18, elbow: 20 },
  trunk: { bend: -bend },
  neck: { tilt: -bend * 0.5 },
});

/** The fingertips of each hand on the shoulder of its own side. */
const onShoulder: ArmInput = {
  hand: "lay",
  touch: {
    part: "trunk",
    at: [-160, 58, 20],
    with: "fingertips",
    fingers: [0.1, 0.75, -0.65],
    palm: [0.1, -0.65, -0.75],
    elbow: [-0.9, -0.5, 0.7],
  },
};

const hug = (round: number): PoseInput => ({
  ...both({
    girdleProtraction: 6 + round * 24,
    hand: "lay",
    touch: {
      part: "trunk",
      at: [-150 + round * 20, -120, 330 + round * 90],
      with: "palm",
      fingers: [0.7, 0, 0.5],
      palm: [0.6, 0, -1],
      elbow: [-1, -0.1, 0],
    },
  }),
  trunk: { lean: round * 10 },
  neck: { nod: round * 24 },
});

const headPress = (nod: number): PoseInput => ({
  ...handContacts.laced("head", "away", [0, 84, -112], [0, 0.1, -1], { elbow: [-1, 0.1, 0.3] }),
  neck: { nod },
});

/** Forearm and palm on the door frame, which they keep to while the chest turns away; the angles were found by search for that. */
const doorway = (from: readonly [number, number, number], to: readonly [number, number, number]): FigureSource => ({
  focus: "upper",
  view: "backRight",
  felt: ["chest"],
  signs: [{ kind: "turn", about: "trunk" }],
  props: [{ kind: "wall", place: [474, -60, 50], size: [96, 1000] }],
  poses: (
    [
      [-6, from],
      [-24, to],
    ] as const
  ).map(([turn, [shoulderFlexion, shoulderAbduction, shoulderRotation]]) => ({
    right: {
      shoulderFlexion,
      shoulderAbduction,
      shoulderRotation,
      girdleProtraction: turn * 0.7,
      elbow: 92,
      pronation: -3,
      hand: "flat",
    },
    left: {},
    trunk: { turn },
  })),
});

const behind = { focus: "upper", view: "back", both: true, felt: ["chest"] } satisfies Partial<FigureSource>;
const fistsBehind = (apart: number): PoseInput =>
  both({
    hand: "softFist",
    touch: {
      part: "trunk",
      at: [-10 - apart, -330, -140],
      with: "knuckles",
      fingers: [1, 0, -0.1],
      palm: [0, -0.2, -1],
      elbow: [-1, 0, -0.5],
    },
  });
const palmsBehind = (apart: number): PoseInput =>
  both({
    hand: "together",
    touch: {
      part: "trunk",
      at: [-11 - apart, -330, -140],
      with: "palm",
      fingers: [0, -1, -0.2],
      palm: [1, 0, 0],
      elbow: [-1, 0, -0.5],
    },
  });

export const upperBody: FigureSources = {
  "side-reach": {
    figure: { focus: "upper", view: "front", felt: ["flank"], poses: [side(0), side(24)] },
    wrong: { pose: { ...side(24), trunk: { bend: -18, turn: 30, lean: 16 } }, watch: 0 },
  },
  "trunk-turn": {
    figure: {
      focus: "upper",
      view: "front",
      both: true,
      signs: [{ kind: "turn", about: "trunk" }],
      poses: [{ ...both(onShoulder) }, { ...both(onShoulder), trunk: { turn: 40 }, neck: { turn: 10 } }],
    },
    wrong: { pose: { ...both(onShoulder), trunk: { turn: 24, bend: 20 } }, watch: 0 },
  },
  "round-and-hug": {
    figure: {
      focus: "upper",
      view: "backRight",
      both: true,
      felt: ["betweenBlades"],
      poses: [hug(0), hug(1)],
      props: [{ kind: "bigBall", place: [0, -150, 290], size: [150, 0] }],
    },
  },
  "head-press": {
    figure: {
      focus: "bust",
      view: "frontRight",
      inset: true,
      enlargement: { of: "both", view: "back", size: 0.4 },
      both: true,
      felt: ["neckBack"],
      signs: [{ kind: "press", hand: "worked", at: "nose", way: [0, 0, -1] }],
      poses: [headPress(14), headPress(-6)],
    },
    wrong: { pose: headPress(36), watch: 0 },
  },
  "doorway-chest-stretch": {
    figure: doorway([162, 114, -73], [131, 126, -37]),
    forms: { "elbow-level": doorway([126, 100, -38], [106, 120, -16]) },
  },
  "palms-behind-back": {
    figure: { ...behind, poses: [fistsBehind(90), fistsBehind(0)] },
    forms: { "fingers-down": { ...behind, poses: [palmsBehind(80), palmsBehind(0)] } },
    wrong: { pose: { ...fistsBehind(0), neck: { nod: 18, forward: 40 } }, watch: 0 },
  },
};
