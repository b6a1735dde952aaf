/** What of a form its items need to know: its time beyond the dose, how far a glide goes, and whether anything can be in the hand. */
import type { Dose } from "./dose";

export interface FormTiming {
  /** Change position, pick up kit. */
  readySec: number;
  /** Change sides. */
  switchSec: number;
  /** Glides: the last step this form uses. */
  stepsUsed?: number;
  /** Nothing that has a mass is held in it: a load an item has from another form is put down. */
  emptyHanded?: boolean;
}

/** Movement id → form id → timing. The library makes one; tests and imports may bring their own. */
export type FormTimings = ReadonlyMap<string, ReadonlyMap<string, FormTiming>>;

/** For a movement the table does not know: the figures of the worked examples in docs/arithmetic.md. */
export const DEFAULT_TIMING: FormTiming = { readySec: 8, switchSec: 3 };

/** A dose as a form does it: a glide stops at the form's last step, everything else stays. */
export function doseInForm(dose: Dose, timing: FormTiming | undefined): Dose {
  return dose.kind === "steps" && timing?.stepsUsed !== undefined ? { ...dose, stepsUsed: timing.stepsUsed } : dose;
}
