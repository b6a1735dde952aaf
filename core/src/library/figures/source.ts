/** How a figure of the library is written: one figure for the start form, what the other forms change, and the commonest cheat. */
import type { ArmInput, FigureInput, PoseInput } from "../../figure";

export interface FigureSource extends Omit<FigureInput, "poses" | "slide"> {
  poses: readonly PoseInput[];
  slide?: readonly [PoseInput, PoseInput];
}
export interface MovementSource {
  figure: FigureSource;
  /** Forms that look different from the start form. */
  forms?: Readonly<Record<string, FigureSource>>;
  /** The end position done wrong, and which of the movement's watch-fors it shows. */
  wrong?: { pose: PoseInput; watch: number };
}
export type FigureSources = Readonly<Record<string, MovementSource>>;

/** Both arms alike. */
export const both = (arm: ArmInput): Pick<PoseInput, "left" | "right"> => ({ right: arm, left: arm });

/** Elbow at the side, bent square, forearm forward. */
export const atSide = (arm: ArmInput = {}): ArmInput => ({ elbow: 90, shoulderAbduction: 4, pronation: 0, ...arm });

/** Arm forward at shoulder height, across a little to the middle. */
export const forward = (arm: ArmInput = {}): ArmInput => ({ shoulderFlexion: 80, shoulderAbduction: -8, elbow: 6, pronation: 90, ...arm });

/** Forearm upright before the body, elbow low: the hand is close to the eye and easy to see. */
export const upright = (arm: ArmInput = {}): ArmInput => ({
  shoulderFlexion: 28,
  shoulderAbduction: 4,
  shoulderRotation: -16,
  elbow: 122,
  pronation: 80,
  ...arm,
});

/** The arm hanging loosely at the side. */
export const hanging: ArmInput = {};
