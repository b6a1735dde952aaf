/** What was measured twice, as it is given out. */
import { CHANGE_MEASURES, readableSet, type Behind, type ChangeMeasure, type MeasuredChange, type ReportChange } from "../followup";
import { grouped } from "../units";
import { setsOf } from "./block-figures";
import { meanEstimate } from "./estimate";

const CHANGE_STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10];

/**
 * Mean changes between two rounds with their intervals, of the people measured in both: one value a person, the mean of their changes.
 * @param earlier who stood behind what was given out of the rounds before
 */
export function measuredChanges(
  changes: readonly ReportChange[],
  earlier: readonly Behind<ChangeMeasure>[],
): { changes: MeasuredChange[]; behind: Behind<ChangeMeasure> } {
  const behind: Behind<ChangeMeasure> = {};
  const means = CHANGE_MEASURES.flatMap((measure): MeasuredChange[] => {
    const byPerson = grouped(
      changes.filter((each) => each.measure === measure),
      ({ personId }) => personId,
    );
    const set = readableSet(byPerson.keys(), setsOf(earlier, measure));
    if (!set) return [];
    behind[measure] = [...set];
    const values = [...set].map((id) => {
      const own = byPerson.get(id)!;
      return own.reduce((sum, { change }) => sum + change, 0) / own.length;
    });
    return [{ measure, ...meanEstimate(values, CHANGE_STEPS) }];
  });
  return { changes: means, behind };
}
