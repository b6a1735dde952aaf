/** How far a person's record is: part by part, in the order of the round. */
import { unasked } from "../safety";
import { MOTIONS } from "./motions";
import { GRIP_SPREAD, GRIP_TRIALS, MOST_GRIP_TRIALS } from "./thresholds";
import { gripOf } from "./grip";
import type { BaselineRecord } from "./record";

export const PARTS = ["safety", "symptoms", "range", "grip", "function"] as const;
export type Part = (typeof PARTS)[number];
export type PartState = "empty" | "part" | "done";

export function stateOf(record: BaselineRecord, part: Part): PartState {
  switch (part) {
    case "safety": {
      const left = unasked(record.safety).length;
      return left === 0 ? "done" : left === Object.keys(record.safety).length ? "empty" : "part";
    }
    case "symptoms":
      return record.symptomsAsked ? "done" : record.symptoms.length > 0 ? "part" : "empty";
    case "range": {
      // Active on both sides is what a round needs; assisted is measured where it is worth it.
      const active = MOTIONS.flatMap((motion) => [record.range[motion].left.active, record.range[motion].right.active]);
      const measured = active.filter((angle) => angle !== null).length;
      return measured === active.length ? "done" : measured > 0 ? "part" : "empty";
    }
    case "grip": {
      const { left, right } = record.grip;
      if (left.length + right.length === 0) return "empty";
      return [left, right].every((trials) => !wantsTrial(trials.map(({ kg }) => kg))) ? "done" : "part";
    }
    case "function": {
      const { test, left, right } = record.functionTest;
      if (test === null) return "empty";
      return left !== null && right !== null ? "done" : "part";
    }
  }
}

/** Whether a hand needs another trial: fewer than three, or a spread above 10 % and not yet six. */
export function wantsTrial(kgs: readonly number[]): boolean {
  if (kgs.length < GRIP_TRIALS) return true;
  return kgs.length < MOST_GRIP_TRIALS && gripOf(kgs)!.spread > GRIP_SPREAD;
}

export function isFinished(record: BaselineRecord): boolean {
  return PARTS.every((part) => stateOf(record, part) === "done");
}

export function isEmpty(record: BaselineRecord): boolean {
  return PARTS.every((part) => stateOf(record, part) === "empty");
}
