/** Who came, how hard it felt: per person and for the crew, from run records. */
import * as v from "valibot";
import { grouped, Id } from "../units";

/** One person in one run, flat as the database holds it. */
export interface Attendance {
  personId: string;
  runId: string;
  startedAtMs: number;
  present: boolean;
  effort: number | null;
  marks: number;
}

export const PersonFollowUp = v.strictObject({
  personId: Id,
  runs: v.number(),
  present: v.number(),
  /** present ÷ runs they were expected in; null when there were none. */
  presentShare: v.nullable(v.number()),
  meanEffort: v.nullable(v.number()),
  /** Answers behind the mean. */
  answers: v.number(),
  marks: v.number(),
});
export type PersonFollowUp = v.InferOutput<typeof PersonFollowUp>;

export const RunFollowUp = v.strictObject({
  runId: Id,
  startedAtMs: v.number(),
  present: v.number(),
  expected: v.number(),
  meanEffort: v.nullable(v.number()),
  answers: v.number(),
});
export type RunFollowUp = v.InferOutput<typeof RunFollowUp>;

/** One entry a person that appears, in order of first appearance. */
export function followUpByPerson(rows: readonly Attendance[]): PersonFollowUp[] {
  return [...grouped(rows, (row) => row.personId)].map(([personId, list]) => {
    const present = list.filter((row) => row.present).length;
    return {
      personId,
      runs: list.length,
      present,
      presentShare: list.length === 0 ? null : present / list.length,
      ...effortOf(list),
      marks: list.reduce((sum, row) => sum + row.marks, 0),
    };
  });
}

/** One entry a run, oldest first. */
export function followUpByRun(rows: readonly Attendance[]): RunFollowUp[] {
  return [...grouped(rows, (row) => row.runId)]
    .map(([runId, list]) => ({
      runId,
      startedAtMs: list[0]!.startedAtMs,
      present: list.filter((row) => row.present).length,
      expected: list.length,
      ...effortOf(list),
    }))
    .sort((a, b) => a.startedAtMs - b.startedAtMs);
}

function effortOf(list: readonly Attendance[]): { meanEffort: number | null; answers: number } {
  const efforts = list.flatMap((row) => (row.effort === null ? [] : [row.effort]));
  return {
    meanEffort: efforts.length === 0 ? null : efforts.reduce((sum, effort) => sum + effort, 0) / efforts.length,
    answers: efforts.length,
  };
}
