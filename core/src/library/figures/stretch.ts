/** Stretches that both hands do alike: palms together, laced, leaning. */
import { handContacts, type HandInput, type PoseInput, type PropInput } from "../../figure";
import { both, type FigureSource, type FigureSources } from "./source";

const upper = { focus: "upper", view: "front", both: true } as const;

const together = (high: number, low: number): FigureSource => ({
  ...upper,
  arc: "elbow",
  poses: [both(handContacts.palmsPressed(high, 190)), both(handContacts.palmsPressed(low, 190))],
  inset: true,
  enlargement: { of: "both", view: "front", size: 0.4 },
});

const ENLARGED: Pick<FigureSource, "focus" | "view" | "inset" | "enlargement"> = {
  focus: "upper",
  view: "frontRight",
  inset: true,
  enlargement: { of: "both", view: "frontRight", size: 0.42 },
};
/** From laced fingers before the chest to the palms turned away and the arms long. */
const claspAndPress = (
  halfWay: Vector3,
  halfAhead: Vector3,
  centre: Vector3,
  ahead: Vector3,
  elbow: Vector3,
  forward: number,
  seen: Pick<FigureSource, "focus" | "view" | "strip" | "inset" | "enlargement">,
): FigureSource => ({
  ...upper,
  ...seen,
  poses: [
    handContacts.laced("trunk", "facing", [0, -140, 230], [0, 0.6, 0.8]),
    handContacts.laced("trunk", "half", halfWay, halfAhead, { elbow }),
    handContacts.laced("trunk", "away", centre, ahead, { elbow, arm: { girdleProtraction: forward } }),
  ],
});

const BENCH: PropInput = { kind: "table", place: [0, -420, 330], size: [760, 420] };

type Vector3 = readonly [number, number, number];

/** Both hands flat on the bench, the shoulders carried over them by a lean. */
const planted = (lean: number, y = -420, hand: HandInput = "flat"): PoseInput => ({
  ...both(handContacts.flatOnTable(165, y, 300, [0.05, 0, 1], hand)),
  trunk: { lean },
});

/** The heels of the hands off: the fingers lie, the knuckles are bent back. */
const heelsOff = (lean: number): PoseInput => {
  const finger = (spread: number) => ({ base: -32, middle: 2, end: 0, spread });
  return {
    ...both({
      hand: { shape: "flat", index: finger(5), middle: finger(0), ring: finger(-5), little: finger(-11) },
      touch: {
        part: "world",
        at: [-165, -419, 350],
        with: "fingers",
        fingers: [0.05, -0.55, 0.83],
        palm: [0, -0.83, -0.55],
        elbow: [-0.8, 0.1, -1],
      },
    }),
    trunk: { lean },
  };
};

const onBench: Pick<FigureSource, "focus" | "view" | "both" | "props" | "arc" | "inset" | "enlargement"> = {
  ...upper,
  view: "right",
  arc: "shoulder",
  props: [BENCH],
  inset: true,
  enlargement: { of: "worked", view: "right", size: 0.42 },
};

const lean = (fingers: Vector3, degrees: number, x: number, z: number, elbow: Vector3, from = 12): FigureSource => ({
  ...upper,
  view: "highRight",
  arc: "shoulder",
  props: [BENCH],
  poses: [from, degrees].map((now) => ({
    ...both({
      hand: "flat",
      touch: { part: "world", at: [-x, -411, z], with: "palm", fingers, palm: [0, -1, 0], elbow },
    }),
    trunk: { lean: now },
  })),
});

const backs = (degrees: number, y: number): FigureSource => ({
  ...upper,
  view: "highRight",
  arc: "shoulder",
  props: [BENCH],
  inset: true,
  enlargement: { of: "worked", view: "front", size: 0.4 },
  poses: [6, degrees].map((now) => ({
    ...both({
      hand: "together",
      touch: { part: "world", at: [-150, y, 290], with: "backOfHand", fingers: [0.78, 0, -0.62], palm: [0, 1, 0], elbow: [-1, 0.2, -0.4] },
    }),
    trunk: { lean: now },
  })),
});

/** Both hands spread, the palms half to the viewer. */
const spreadHands = (hand: HandInput, gap: number): PoseInput =>
  both({
    hand,
    touch: { part: "trunk", at: [-gap, -130, 225], with: "palm", fingers: [0.2, 1, 0.3], palm: [0.7, -0.3, 0.7], elbow: [-1, -0.6, 0] },
  });

/** On hands and knees, the shoulders carried over the hands. */
const onAllFours = (touching: "palm" | "backOfHand", fingers: Vector3, palm: Vector3): FigureSource => ({
  focus: "whole",
  view: "right",
  both: true,
  arc: "shoulder",
  inset: true,
  enlargement: { of: "worked", view: touching === "palm" ? "right" : "front", size: 0.4 },
  props: [{ kind: "table", place: [0, -905, 240], size: [620, 1500] }],
  poses: [76, 86].map((lean) => ({
    ...both({
      hand: touching === "palm" ? "flat" : "together",
      touch: { part: "world", at: [-165, -896, 496], with: touching, fingers, palm, elbow: [-1, 0.1, -0.6] },
    }),
    trunk: { lean, stance: "kneeling" },
    neck: { nod: -30 },
  })),
});

export const stretch: FigureSources = {
  "palms-together-drop": {
    figure: together(-84, -132),
    forms: { "low-hands": together(-100, -176) },
    wrong: {
      // The heels part, only the fingers meet.
      pose: both({
        hand: "together",
        touch: { part: "trunk", at: [-58, -190, 190], with: "palm", fingers: [0.45, 1, 0], palm: [1, -0.45, 0], elbow: [-1, -0.25, 0] },
      }),
      watch: 0,
    },
  },
  "palms-together-push": {
    figure: {
      ...upper,
      signs: [{ kind: "press", hand: "helping", at: "fingertips", way: [-1, 0, 0] }],
      enlargement: { of: "both", view: "front", size: 0.4 },
      poses: [-1, 1].map((way) => ({
        right: handContacts.palmsPressed(-130, 190, [way * 0.62, 1, 0]),
        left: handContacts.palmsPressed(-130, 190, [-way * 0.62, 1, 0]),
      })),
      inset: true,
    },
    wrong: { pose: { ...both(handContacts.palmsPressed(-130, 190)), trunk: { bend: 16 } }, watch: 0 },
  },
  "clasp-and-press": {
    figure: claspAndPress([0, -100, 320], [0, 1, 0.2], [0, -80, 420], [0, 0, -1], [-1, -0.4, 0], 10, {
      focus: "arm",
      view: "front",
      strip: "whole",
    }),
    forms: {
      long: claspAndPress([0, -90, 340], [0, 1, 0.2], [0, -40, 510], [0, 0, -1], [-1, -0.4, 0], 24, ENLARGED),
      overhead: claspAndPress([0, 175, 280], [0, 0.05, -1], [0, 470, 40], [0, -1, 0], [-1, 0, 0], 0, ENLARGED),
    },
    wrong: {
      pose: {
        ...handContacts.laced("trunk", "away", [0, -40, 500], [0, 0, -1], { elbow: [-1, -0.4, 0], arm: { girdleProtraction: 20 } }),
        trunk: { lean: -14 },
        neck: { nod: -16 },
      },
      watch: 0,
    },
  },
  "table-plant": {
    figure: { ...onBench, poses: [heelsOff(10), heelsOff(26)] },
    forms: {
      flat: { ...onBench, poses: [planted(12), planted(32)] },
      "with-lift": { ...onBench, poses: [planted(26), planted(26, -330)] },
    },
    wrong: {
      pose: planted(46, -420, {
        shape: "flat",
        middle: { base: -5, middle: 0, end: 0, spread: -6 },
        ring: { base: -4, middle: 0, end: 0, spread: 4 },
      }),
      watch: 0,
    },
  },
  "hand-lean": {
    figure: lean([0, 0, 1], 34, 165, 300, [-0.8, 0.1, -1]),
    forms: {
      "to-the-side": lean([-1, 0, 0.3], 30, 270, 300, [-1, 0.1, -0.8]),
      "back-to-you": lean([-0.2, 0, -1], 50, 205, 190, [-0.5, 0, -1], 44),
      "on-the-floor": onAllFours("palm", [0, 0, 1], [0, -1, 0]),
    },
    wrong: {
      pose: {
        ...both({
          girdleRaise: 30,
          hand: "flat",
          touch: { part: "world", at: [-165, -411, 300], with: "palm", fingers: [0, 0, 1], palm: [0, -1, 0], elbow: [-0.8, 0.1, -1] },
        }),
        trunk: { lean: 44 },
      },
      watch: 0,
    },
  },
  "back-of-hand-lean": {
    figure: backs(10, -372),
    forms: { light: backs(10, -414), lean: backs(24, -414), "on-the-floor": onAllFours("backOfHand", [0.6, 0, -0.8], [0, 1, 0]) },
  },
  "under-foot-press": {
    figure: {
      focus: "whole",
      view: "right",
      both: true,
      inset: true,
      enlargement: { of: "worked", view: "right", size: 0.45 },
      props: [{ kind: "table", place: [0, -1384, 40], size: [620, 760] }],
      poses: [
        both({ shoulderFlexion: 20, elbow: 20, pronation: -60, hand: "together" }),
        {
          ...both({
            hand: "flat",
            girdleProtraction: 30,
            touch: {
              part: "world",
              at: [-104, -1378, 104],
              with: "backOfHand",
              fingers: [0, -0.05, -1],
              palm: [0, 1, -0.05],
              elbow: [-1, 0, 0.6],
            },
          }),
          trunk: { lean: 134 },
          neck: { nod: 20 },
        },
      ],
    },
  },
  "spread-and-clasp": {
    figure: {
      focus: "hand",
      view: "front",
      both: true,
      strip: "whole",
      poses: [spreadHands("spread", 120), handContacts.laced("trunk", "facing", [0, -140, 230], [0, 0.85, 0.5])],
    },
    wrong: { pose: spreadHands("relaxed", 60), watch: 0 },
  },
  "hanging-fists": {
    figure: {
      focus: "arm",
      view: "frontRight",
      both: true,
      way: "round",
      arc: "knuckles",
      poses: [60, 44, 60, 74].map((wristFlexion, i) =>
        both({ shoulderFlexion: 40, elbow: 118, pronation: 80, wristFlexion, deviation: [-18, 4, 28, 4][i]!, hand: "softFist" }),
      ),
    },
  },
};
