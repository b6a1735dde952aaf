/**
 * What a person may take part in at a moment. Made from their holds, the clearances that lift them and their symptoms; carries no
 * health answer itself, so that a leader can be shown who does what without being told why.
 */
import * as v from "valibot";
import { PHASES, Region, type Phase } from "../library";
import { consequenceOf, ItemScope, type HoldReason } from "./questions";
import { pauseScope } from "./symptom-report";
import type { Symptom } from "./answers";

export interface Hold {
  id: string;
  personId: string;
  question: HoldReason;
  /** ISO 8601 moments. */
  since: string;
  /** Set when it was entered by mistake. */
  withdrawnAt: string | null;
}

export interface Clearance {
  id: string;
  holdId: string;
  /** Phases it lifts the hold for. */
  allows: readonly Phase[];
  /** First and last day it is good for, at the crew's place. */
  from: string;
  until: string;
  withdrawnAt: string | null;
}

export const Participation = v.strictObject({
  /** Out of everything. */
  heldOut: v.boolean(),
  /** Out of these items. */
  outOf: v.array(ItemScope),
  /** Strengthening these is capped lower. */
  cappedRegions: v.array(Region),
  /** Kept this far short of the end in end-range holds. */
  shortOfEndDeg: v.nullable(v.number()),
});
export type Participation = v.InferOutput<typeof Participation>;

export const FULL_PARTICIPATION: Participation = { heldOut: false, outOf: [], cappedRegions: [], shortOfEndDeg: null };

/** A moment, and the day it is at the crew's place. */
export interface When {
  instant: string;
  day: string;
}

export function holdIsOn(hold: Hold, when: When): boolean {
  return (
    Date.parse(hold.since) <= Date.parse(when.instant) && (!hold.withdrawnAt || Date.parse(hold.withdrawnAt) > Date.parse(when.instant))
  );
}

/** A clearance is good from its first day to the end of its last, and runs out by itself. */
export function clearanceIsOn(clearance: Clearance, when: When): boolean {
  const { from, until, withdrawnAt } = clearance;
  return from <= when.day && when.day <= until && (!withdrawnAt || Date.parse(withdrawnAt) > Date.parse(when.instant));
}

/** Phases a hold is lifted for at a moment. */
export function liftedPhases(holdId: string, clearances: readonly Clearance[], when: When): Set<Phase> {
  return new Set(clearances.filter((each) => each.holdId === holdId && clearanceIsOn(each, when)).flatMap(({ allows }) => allows));
}

/** What a symptom report pauses until it is answered; no regions: everything. */
export interface SymptomPause {
  regions: readonly Region[];
}

/**
 * @param holds, clearances, symptoms of one person; symptoms of their latest answers
 * @param paused movements a decision paused @param symptomPauses those that are not answered yet
 */
export function participationOf(
  holds: readonly Hold[],
  clearances: readonly Clearance[],
  symptoms: readonly Pick<Symptom, "region" | "level">[],
  when: When,
  paused: readonly string[] = [],
  symptomPauses: readonly SymptomPause[] = [],
): Participation {
  const result: Participation = {
    ...FULL_PARTICIPATION,
    outOf: [],
    cappedRegions: [...new Set(symptoms.filter(({ level }) => level > 0).map(({ region }) => region))],
  };
  if (paused.length > 0) result.outOf.push({ movements: [...paused] });
  for (const { regions } of symptomPauses) {
    const scope = pauseScope(regions);
    if (scope) result.outOf.push(scope);
    else result.heldOut = true;
  }
  for (const hold of holds) {
    if (!holdIsOn(hold, when)) continue;
    const lifted = liftedPhases(hold.id, clearances, when);
    const still = PHASES.filter((phase) => !lifted.has(phase));
    if (still.length === 0) continue;
    const question = consequenceOf(hold.question);
    switch (question.kind) {
      case "stop":
        if (lifted.size === 0) result.heldOut = true;
        else result.outOf.push({ phases: still });
        break;
      case "ask":
        result.outOf.push(...narrowed(question.outOf, still));
        break;
      case "limit":
        result.shortOfEndDeg = Math.max(result.shortOfEndDeg ?? 0, question.shortOfEndDeg);
        break;
    }
  }
  return result;
}

/** A scope with only the phases that are not lifted. A clearance for some phases lifts nothing else the scope names. */
function narrowed(scope: ItemScope, still: readonly Phase[]): ItemScope[] {
  const phases = scope.phases?.filter((phase) => still.includes(phase));
  return [{ ...scope, ...(scope.phases && { phases: phases! }) }];
}
