/** What is known of somebody from all their rounds: of each part what was entered last, whichever round that was in. */
import { isEqual } from "es-toolkit";
import { MOTIONS } from "./motions";
import { stateOf, type Part } from "./progress";
import { emptyRecord, type BaselineRecord } from "./record";

/**
 * A round that was only begun does not take away what an earlier one found: a part nobody came to is as it was known before. Symptoms are
 * one part: nothing anywhere, asked anew, is an answer. Of the range each motion is one, both sides together, as they are held against
 * each other; so are both hands' grip and function test.
 * @param records of one person, the newest first
 */
export function knownRecord(records: readonly BaselineRecord[]): BaselineRecord {
  const newest = (part: Part) => records.find((record) => stateOf(record, part) !== "empty");
  const known = emptyRecord();
  for (const { safety } of records.toReversed())
    for (const [question, answer] of Object.entries(safety)) if (answer !== null) Object.assign(known.safety, { [question]: answer });
  const asked = newest("symptoms");
  if (asked) Object.assign(known, { symptoms: asked.symptoms, symptomsAsked: asked.symptomsAsked });
  for (const motion of MOTIONS) {
    const measured = records.find(({ range: { [motion]: of } }) => of.left.active !== null || of.right.active !== null);
    if (measured) known.range[motion] = measured.range[motion];
  }
  known.grip = newest("grip")?.grip ?? known.grip;
  known.functionTest = newest("function")?.functionTest ?? known.functionTest;
  known.palmMm = records.find(({ palmMm }) => palmMm !== null)?.palmMm ?? null;
  known.bodyMass = records.find(({ bodyMass }) => bodyMass.agreed && bodyMass.kg !== null)?.bodyMass ?? known.bodyMass;
  known.likeThem = records.find(({ likeThem }) => likeThem !== null)?.likeThem ?? null;
  return known;
}

/**
 * Of somebody's records those that may go without anything less being known of them, judged from the oldest on: each only where what is
 * left says the same without it.
 * @param records the newest first @param mayGo whether it may go at all
 */
export function dispensable<R extends { record: BaselineRecord }>(records: readonly R[], mayGo: (record: R) => boolean): R[] {
  let left = [...records];
  return records.toReversed().filter((each) => {
    if (!mayGo(each)) return false;
    const without = left.filter((other) => other !== each);
    const of = (list: readonly R[]) => knownRecord(list.map(({ record }) => record));
    const goes = isEqual(of(without), of(left));
    if (goes) left = without;
    return goes;
  });
}
