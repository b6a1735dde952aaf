/** Where each restriction stands on a day: out, out of a part, cleared, or over. */
import { clearanceIsOn, liftedPhases, consequenceOf, type Clearance } from "@kind-grip/core/safety";
import { PHASES, type Phase } from "@kind-grip/core/library";
import type { ClearanceEntry, HeldOut, RestrictionEntry } from "@kind-grip/core/api";

export interface RestrictionState {
  restriction: RestrictionEntry;
  state: "out" | "partly" | "cleared" | "over";
  /** Clearances good today. */
  clearances: ClearanceEntry[];
  /** Clearances that ran out or were withdrawn. */
  past: ClearanceEntry[];
  lifted: Phase[];
}

export function clearanceOf({ id, restrictionId, allows, fromDay, untilDay, withdrawnAt }: ClearanceEntry): Clearance {
  return { id, restrictionId, allows, from: fromDay, until: untilDay, withdrawnAt };
}

export function restrictionStates(
  { restrictions, clearances }: Pick<HeldOut, "restrictions" | "clearances">,
  when: { instant: string; day: string },
): RestrictionState[] {
  return restrictions.map((restriction) => {
    const own = clearances.filter((each) => each.restrictionId === restriction.id);
    const on = own.filter((each) => clearanceIsOn(clearanceOf(each), when));
    const lifted = liftedPhases(restriction.id, own.map(clearanceOf), when);
    const state = restriction.withdrawnAt
      ? "over"
      : lifted.size === PHASES.length
        ? "cleared"
        : consequenceOf(restriction.question).kind === "stop" && lifted.size === 0
          ? "out"
          : "partly";
    return {
      restriction,
      state,
      clearances: on,
      past: own.filter((each) => !on.includes(each)),
      lifted: PHASES.filter((phase) => lifted.has(phase)),
    };
  });
}
