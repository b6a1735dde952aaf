/** Where each hold stands on a day: out, out of a part, cleared, or over. */
import { clearanceIsOn, liftedPhases, consequenceOf, type Clearance } from "@kind-grip/core/safety";
import { PHASES, type Phase } from "@kind-grip/core/library";
import type { ClearanceEntry, HeldOut, HoldEntry } from "@kind-grip/core/api";

export interface HoldState {
  hold: HoldEntry;
  state: "out" | "partly" | "cleared" | "over";
  /** Clearances good today. */
  clearances: ClearanceEntry[];
  /** Clearances that ran out or were withdrawn. */
  past: ClearanceEntry[];
  lifted: Phase[];
}

export function clearanceOf({ id, holdId, allows, fromDay, untilDay, withdrawnAt }: ClearanceEntry): Clearance {
  return { id, holdId, allows, from: fromDay, until: untilDay, withdrawnAt };
}

export function holdStates(
  { holds, clearances }: Pick<HeldOut, "holds" | "clearances">,
  when: { instant: string; day: string },
): HoldState[] {
  return holds.map((hold) => {
    const own = clearances.filter((each) => each.holdId === hold.id);
    const on = own.filter((each) => clearanceIsOn(clearanceOf(each), when));
    const lifted = liftedPhases(hold.id, own.map(clearanceOf), when);
    const state = hold.withdrawnAt
      ? "over"
      : lifted.size === PHASES.length
        ? "cleared"
        : consequenceOf(hold.question).kind === "stop" && lifted.size === 0
          ? "out"
          : "partly";
    return {
      hold,
      state,
      clearances: on,
      past: own.filter((each) => !on.includes(each)),
      lifted: PHASES.filter((phase) => lifted.has(phase)),
    };
  });
}
