/** Something to be heard at a moment of a run. */
export type Sound = "start" | "turn" | "end" | "tick" | "finish";

export interface Cue {
  atSec: number;
  sound: Sound | null;
  /** Spoken text; null for a sound alone. */
  say: string | null;
}
