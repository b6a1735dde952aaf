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
  return { focus: "forearm", view: "front", way: "steps", poses: [at(-1, -1), at(1, -1), at(-1, 1), at(1, 1)] };
};

const upper = { focus: "upper", view: "front", both: true } as const;
const together = (high: number, low: number): FigureSource => ({
  ...upper,
  arc: "elbow",
  poses: [both(handContacts.palmsPressed(high, 190)), both(handContacts.palmsPressed(low, 190))],
  inset: true,
  enlargement: { of: "both", view: "front", size: 0.4 },
});
/** From laced fingers before the chest to the palms turned away and the arms long. */
const claspAndPress = (
  halfWay: Vector3,
  halfAhead: Vector3,
  centre: Vector3,
  ahead: Vector3,
  elbow: Vector3,
  forward: number,
): FigureSource => ({
  ...upper,
  view: "frontRight",
  inset: true,
  enlargement: { of: "both", view: "frontRight", size: 0.42 },
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
  view: "frontRight",
  arc: "shoulder",
  props: [BENCH],
  inset: true,
  enlargement: { of: "worked", view: "right", size: 0.4 },
  poses: [6, degrees].map((now) => ({
    ...both({
      hand: "together",
      touch: { part: "world", at: [-150, y, 290], with: "backOfHand", fingers: [0.78, 0, -0.62], palm: [0, 1, 0], elbow: [-1, 0.2, -0.4] },
    }),
    trunk: { lean: now },
  })),
});

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

/** Both hands spread, the palms half to the viewer. */
const spreadHands = (hand: HandInput, gap: number): PoseInput =>
  both({
    hand,
    touch: { part: "trunk", at: [-gap, -130, 225], with: "palm", fingers: [0.2, 1, 0.3], palm: [0.7, -0.3, 0.7], elbow: [-1, -0.6, 0] },
  });

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
    forms: { "elbow-straight": { ...turn(20, 80, long, -1), view: "frontLeft" } },
    wrong: {
      pose: { right: { elbow: 84, shoulderAbduction: 40, pronation: 60, hand: "open" }, left: handContacts.pressesBackOfHand() },
      watch: 0,
    },
  },
  "guided-turn": { figure: guided(0.6), forms: { full: guided(0.8) } },
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
    figure: claspAndPress([0, -100, 320], [0, 1, 0.2], [0, -80, 420], [0, 0, -1], [-1, -0.4, 0], 10),
    forms: {
      long: claspAndPress([0, -90, 340], [0, 1, 0.2], [0, -40, 510], [0, 0, -1], [-1, -0.4, 0], 24),
      overhead: claspAndPress([0, 175, 280], [0, 0.05, -1], [0, 470, 40], [0, -1, 0], [-1, 0, 0], 0),
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
  "back-of-hand-lean": { figure: backs(10, -372), forms: { light: backs(10, -414), lean: backs(24, -414) } },
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
  "knuckle-open": { figure: { focus: "forearm", view: "right", arc: "fingertips", poses: [knuckles(64), knuckles(-18)] } },
  "web-split": {
    figure: {
      focus: "arm",
      view: "front",
      signs: [{ kind: "pull", hand: "worked", at: "indexTip", way: [1, 0.1, 0] }],
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
      view: "backRight",
      both: true,
      felt: ["neckBack"],
      signs: [{ kind: "press", hand: "worked", at: "nose", way: [0, 0, -1] }],
      poses: [headPress(14), headPress(-6)],
    },
    wrong: { pose: headPress(36), watch: 0 },
  },
};
