/** What is known of one person and one item, and what it leads to. */
import * as v from "valibot";
import type { Region } from "../library";
import { Present, type HeldForm, type Surroundings } from "../program";
import type { MarkKind } from "../run";
import { ALERT_KINDS, type Participation } from "../safety";
import type { Item } from "../session";

/** One run of the item by the person. */
export interface ItemRun {
  /** Day at the crew's place. */
  day: string;
  status: "done" | "part" | "skipped";
  /** 0–10 for the whole session; null when not answered. */
  effort: number | null;
  /** The highest cap among the items of that session: its hardest item is what a session's effort is about. */
  sessionCap: number;
  /** Marks the person set at this item. */
  marks: readonly MarkKind[];
}

/** One next-morning answer. */
export interface Morning {
  day: string;
  /** 0–10. */
  level: number;
  /** What was usual for the person on that day where the item works: what they felt when they were last asked before it, 0–10. */
  usualLevel: number;
  /** Where; empty means nowhere in particular, which counts for every item. */
  regions: readonly Region[];
  tingling: boolean;
}

export interface ItemFacts {
  /** Day at the crew's place. */
  today: string;
  item: Item;
  /** What this person does of it now. */
  present: Present;
  /** First day of the present form: the start, or the day after the last decision that changed it. Evidence before it does not count. */
  since: string;
  /** The last decision that changed something eased the item. */
  eased: boolean;
  /** What was done before the last raise, while that raise is what is done now; null otherwise. */
  beforeRaise: Present | null;
  /** What was in the hand last, of whoever held something once and holds nothing now; null otherwise. */
  putDown: HeldForm | null;
  /** The trainer chose something else than this since then, and nothing has come in after it; null otherwise. */
  overruled: DecisionKind | null;
  /** Runs the person took part in since then, oldest first. */
  runs: readonly ItemRun[];
  /** Sessions with the item since then that were due, excused days left out, and those that were done. */
  due: number;
  done: number;
  /** Mornings since then, oldest first. */
  mornings: readonly Morning[];
  /** What was felt where the item works or stretches when the person was last asked, 0–10. To be shown; mornings carry their own. */
  usualLevel: number;
  /** What was felt there when the present form began; null when nothing was. */
  startLevel: number | null;
  participation: Participation;
  place: Surroundings;
}

export const DECISION_KINDS = ["progress", "hold", "ease", "pauseAndRefer"] as const;
export const DecisionKind = v.picklist(DECISION_KINDS);
export type DecisionKind = v.InferOutput<typeof DecisionKind>;
/** Most urgent first. */
export const KINDS_BY_URGENCY: readonly DecisionKind[] = ["pauseAndRefer", "ease", "progress", "hold"];

/** Which pattern of raised mornings: the last one, two in a row, three of the last five, or one rise that was very high. */
const MorningPattern = v.picklist(["last", "inARow", "often", "high"]);
export type MorningPattern = v.InferOutput<typeof MorningPattern>;

const figure = v.number();

/** One rule that applied, with the figures it was about. */
export const Fired = v.variant("rule", [
  v.strictObject({ rule: v.literal("tingling"), marks: figure, mornings: figure, afterEasing: v.boolean() }),
  v.strictObject({ rule: v.literal("stoppedEarly"), marks: figure, afterEasing: v.boolean() }),
  v.strictObject({ rule: v.literal("tooMuch"), marks: figure, overCap: figure, cap: figure, farOver: v.optional(figure) }),
  v.strictObject({ rule: v.literal("reported"), kind: v.picklist(ALERT_KINDS) }),
  v.strictObject({ rule: v.literal("overruled"), proposed: DecisionKind }),
  v.strictObject({ rule: v.literal("settling"), day: figure, rise: figure, allowed: figure, days: figure }),
  v.strictObject({
    rule: v.literal("morningRaised"),
    day: figure,
    rise: figure,
    allowed: figure,
    days: figure,
    afterEasing: v.boolean(),
    pattern: MorningPattern,
  }),
  v.strictObject({ rule: v.literal("noGain"), days: figure, before: figure, now: figure, donePercent: figure }),
  v.strictObject({ rule: v.literal("readyForMore"), runs: figure, highestEffort: figure, cap: figure, margin: figure }),
  v.strictObject({ rule: v.literal("atTheTop"), stop: v.picklist(["top", "kit", "tooHeavy", "place", "noHeavier"]) }),
  v.strictObject({ rule: v.literal("oneAtATime") }),
  v.strictObject({ rule: v.literal("notYet"), cleanRuns: figure, wanted: figure }),
]);
export type Fired = v.InferOutput<typeof Fired>;

export const Response = v.strictObject({
  kind: DecisionKind,
  fired: v.array(Fired),
  /** The next form, dose and load; null for hold and pause. */
  next: v.nullable(Present),
  /** Which one thing is raised; null when nothing is. */
  raised: v.nullable(v.picklist(["dose", "form", "load"])),
  /** A load step over 10 %: the kit has none smaller. */
  largeStep: v.boolean(),
});
export type Response = v.InferOutput<typeof Response>;
