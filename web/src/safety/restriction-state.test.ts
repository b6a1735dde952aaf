import { PHASES } from "@kind-grip/core/library";
import type { ClearanceEntry, RestrictionEntry } from "@kind-grip/core/api";
import { restrictionStates } from "./restriction-state";

const when = { instant: "2026-03-10T12:00:00.000Z", day: "2026-03-10" };
const restriction = (change: Partial<RestrictionEntry> = {}): RestrictionEntry => ({
  id: "h",
  personId: "p",
  question: "hotJoint",
  words: null,
  since: "2026-03-01T08:00:00.000Z",
  roundId: null,
  withdrawnAt: null,
  withdrawnWhy: null,
  ...change,
});
const clearance = (change: Partial<ClearanceEntry> = {}): ClearanceEntry => ({
  id: "c",
  personId: "p",
  restrictionId: "h",
  givenBy: "A",
  profession: "B",
  allows: [...PHASES],
  fromDay: "2026-03-05",
  untilDay: "2026-03-10",
  note: null,
  enteredAt: "2026-03-05T08:00:00.000Z",
  withdrawnAt: null,
  withdrawnWhy: null,
  ...change,
});
const stateOf = (one: RestrictionEntry, ...clearances: ClearanceEntry[]) =>
  restrictionStates({ restrictions: [one], clearances }, when)[0]!.state;

it.each([
  ["a stop without a clearance is out", stateOf(restriction()), "out"],
  ["something to ask first is out of a part", stateOf(restriction({ question: "tapeReaction" })), "partly"],
  ["on its last day a clearance is good", stateOf(restriction(), clearance()), "cleared"],
  ["the day after it is not", stateOf(restriction(), clearance({ untilDay: "2026-03-09" })), "out"],
  ["before its first day it is not", stateOf(restriction(), clearance({ fromDay: "2026-03-11", untilDay: "2026-03-12" })), "out"],
  ["one for some phases leaves a part", stateOf(restriction(), clearance({ allows: ["mobility"] })), "partly"],
  ["one for another restriction does nothing", stateOf(restriction(), clearance({ restrictionId: "other" })), "out"],
  ["one that was withdrawn does nothing", stateOf(restriction(), clearance({ withdrawnAt: "2026-03-06T00:00:00.000Z" })), "out"],
  ["a restriction entered by mistake is over", stateOf(restriction({ withdrawnAt: "2026-03-02T00:00:00.000Z" })), "over"],
])("%s", (_, state, expected) => {
  expect(state).toBe(expected);
});
it("clearances that ran out stay listed as past", () => {
  const [state] = restrictionStates(
    { restrictions: [restriction()], clearances: [clearance(), clearance({ id: "old", untilDay: "2026-03-08" })] },
    when,
  );
  expect([state!.clearances.map(({ id }) => id), state!.past.map(({ id }) => id)]).toEqual([["c"], ["old"]]);
});
