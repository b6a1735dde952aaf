import type { Reading } from "@kind-grip/core/meter";

/** A trial ends by itself when the hand has let go for so long, or after so long. */
const LET_GO_MS = 500;
const LONGEST_TRIAL_MS = 9000;
/** A hand that only lies on the meter, kg. */
const SQUEEZED_KG = 3;

/** Whether a squeeze has come and gone. @param readings of the meter since it was asked, kg */
export function trialIsOver(readings: readonly Reading[]): boolean {
  const last = readings.at(-1);
  if (!last) return false;
  if (last.atMs > LONGEST_TRIAL_MS) return true;
  const squeezed = readings.filter(({ value }) => value >= SQUEEZED_KG);
  return squeezed.length > 4 && last.atMs - squeezed.at(-1)!.atMs > LET_GO_MS;
}
