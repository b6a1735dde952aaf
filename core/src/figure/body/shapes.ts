/** Named hand shapes: the usual starting points for a pose. Degrees, as in the pose. */
import type { FingerPose, HandPose, ThumbPose } from "./hand-pose";

const f = (base: number, middle: number, end: number, spread = 0): FingerPose => ({ base, middle, end, spread });
const t = (radial: number, palmar: number, opposition: number, middle: number, end: number): ThumbPose => ({
  radial,
  palmar,
  opposition,
  middle,
  end,
});
const hand = (index: FingerPose, middle: FingerPose, ring: FingerPose, little: FingerPose, thumb: ThumbPose): HandPose => ({
  index,
  middle,
  ring,
  little,
  thumb,
});

export const HAND_SHAPES = {
  /** Fingers long, a little apart. */
  open: hand(f(2, 4, 3, 2), f(0, 4, 3), f(2, 4, 3, -2), f(4, 5, 3, -5), t(34, 14, 0, 6, 4)),
  /** Pressed flat on something: fingers a little apart, the thumb in their plane. */
  flat: hand(f(-4, 0, 0, 4), f(-5, 0, 0), f(-4, 0, 0, -4), f(-3, 0, 0, -9), t(46, -5, -20, 0, 0)),
  /** Fingers long and side by side. */
  together: hand(f(0, 2, 2), f(0, 2, 2), f(0, 2, 2, 1), f(0, 2, 2, 2), t(22, 12, 0, 4, 2)),
  spread: hand(f(-4, 2, 2, 15), f(-4, 2, 2, 1), f(-4, 2, 2, -13), f(-4, 2, 2, -26), t(56, 12, 0, 2, -6)),
  relaxed: hand(f(22, 28, 14, 2), f(26, 30, 14), f(30, 32, 15, -2), f(34, 34, 16, -4), t(30, 22, 20, 10, 12)),
  softFist: hand(f(76, 102, 60), f(79, 103, 60), f(81, 103, 60), f(83, 101, 58), t(32, 43, 33, 54, 36)),
  fist: hand(f(86, 106, 68), f(88, 108, 68), f(88, 108, 68), f(88, 106, 66), t(30, 45, 36, 60, 46)),
  hook: hand(f(0, 98, 64), f(-2, 100, 66), f(0, 98, 64), f(2, 94, 62), t(28, 14, 10, 8, 8)),
  tabletop: hand(f(84, 2, 2), f(86, 2, 2), f(86, 2, 2), f(86, 2, 2), t(24, 18, 10, 6, 4)),
  straightFist: hand(f(86, 104, 4), f(88, 106, 4), f(88, 106, 4), f(88, 104, 4), t(46, 2, -10, 2, 0)),
  /** Thumb inside the fingers. */
  thumbInFist: hand(f(72, 86, 48), f(76, 88, 48), f(78, 88, 48), f(80, 86, 46), t(0, 25, 38, 56, 36)),
  /** Thumb and index tip meet in a round O. */
  roundPinch: hand(f(50, 48, 26), f(28, 30, 16), f(24, 26, 14, -3), f(22, 24, 14, -8), t(30, 46, 52, 12, 20)),
  /** Round a bar or handle about 32 mm thick. */
  grip: hand(f(62, 74, 44), f(64, 76, 44), f(66, 76, 44), f(66, 74, 44), t(26, 50, 52, 14, 24)),
  /** Long fingers bent a little: draws, guides, holds. */
  guide: hand(f(26, 36, 18, 1), f(28, 36, 18), f(30, 36, 18, -1), f(32, 36, 18, -2), t(36, 34, 30, 10, 14)),
  /** Laid flat on something, following it a little. */
  lay: hand(f(10, 12, 6, 2), f(10, 12, 6), f(12, 12, 6, -1), f(14, 12, 6, -3), t(38, 20, 10, 6, 4)),
  /** Fingers laid round a forearm or wrist. */
  wrap: hand(f(48, 50, 28, 1), f(50, 50, 28), f(52, 50, 28, -1), f(54, 48, 28, -2), t(46, 46, 40, 16, 24)),
  /** Thumb laid across the palm, fingers long. */
  thumbAcross: hand(f(4, 6, 4), f(2, 6, 4), f(4, 6, 4), f(6, 6, 4), t(2, 46, 70, 26, 20)),
  /** Fingertips pressed on something, a small arch. */
  fingertips: hand(f(34, 30, 14, 8), f(34, 30, 14), f(34, 30, 14, -7), f(34, 30, 14, -14), t(44, 40, 30, 6, 10)),
} as const satisfies Record<string, HandPose>;

export type HandShapeName = keyof typeof HAND_SHAPES;
export const HAND_SHAPE_NAMES = Object.keys(HAND_SHAPES) as HandShapeName[];
