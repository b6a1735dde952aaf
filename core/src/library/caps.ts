/**
 * Effort caps 0–10: the effort an item must stay under. "Mild pull, never pain."
 * Stretch 3, glide 3, mobility 2, strengthening 5 are the practice's rule 1; getting ready follows mobility and
 * release follows stretch ("sore is enough"), because rule 1 is silent on both and the lower neighbour is the safe side.
 */
import type { Phase } from "./words";

export const PHASE_CAP: Readonly<Record<Phase, number>> = {
  getReady: 2,
  mobility: 2,
  stretch: 3,
  glide: 3,
  strengthen: 5,
  release: 3,
};

/** A squeeze stays light to moderate; full effort is a harder form that needs a clean week. */
export const SQUEEZE_CAP = 5;

/** Thumb tendons flare easily. */
export const THUMB_TENDON_CAP = 2;
