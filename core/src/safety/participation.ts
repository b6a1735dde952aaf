/**
 * What a person may take part in at a moment. Made from their restrictions, the clearances that lift them and their symptoms; carries no
 * health answer itself, so that a leader can be shown who does what without being told why.
 */
import * as v from "valibot";
import { PHASES, Region, type Phase } from "../library";
import { consequenceOf, ItemScope, type RestrictionReason } from "./questions";
import { pauseScope } from "./symptom-report";
import type { Symptom } from "./answers";

export interface Restriction {
  id: string;
  personId: string;
  question: RestrictionReason;
  /** ISO 8601 moments. */
  since: string;
  /** Set when it was entered by mistake. */
  withdrawnAt: string | null;
}

export interface Clearance {
  id: string;
  restrictionId: string;
  /** Phases it lifts the restriction for. */
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

export function restrictionIsOn(restriction: Restriction, when: When): boolean {
  return (
    Date.parse(restriction.since) <= Date.parse(when.instant) &&
    (!restriction.withdrawnAt || Date.parse(restriction.withdrawnAt) > Date.parse(when.instant))
  );
}

/** A clearance is good from its first day to the end of its last, and runs out by itself. */
export function clearanceIsOn(clearance: Clearance, when: When): boolean {
  const { from, until, withdrawnAt } = clearance;
  return from <= when.day && when.day <= until && (!withdrawnAt || Date.parse(withdrawnAt) > Date.parse(when.instant));
}

/** Phases a restriction is lifted for at a moment. */
export function liftedPhases(restrictionId: string, clearances: readonly Clearance[], when: When): Set<Phase> {
  return new Set(
    clearances.filter((each) => each.restrictionId === restrictionId && clearanceIsOn(each, when)).flatMap(({ allows }) => allows),
  );
}

/** What a symptom report pauses until it is answered; no regions: everything. */
export interface SymptomPause {
  regions: readonly Region[];
}

/**
 * @param restrictions, clearances, symptoms of one person; symptoms of their latest answers
 * @param paused movements a decision paused @param symptomPauses those that are not answered yet
 */
export function participationOf(
  restrictions: readonly Restriction[],
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
  for (const restriction of restrictions) {
    if (!restrictionIsOn(restriction, when)) continue;
    const lifted = liftedPhases(restriction.id, clearances, when);
    const still = PHASES.filter((phase) => !lifted.has(phase));
    if (still.length === 0) continue;
    const question = consequenceOf(restriction.question);
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
