import { handContacts, type HandInput, type PoseInput } from "../../figure";
import { both, upright, type FigureSource, type FigureSources } from "./source";

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

export const fingers: FigureSources = {
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
};
