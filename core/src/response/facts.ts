/** What is known of one person and one item, and what it leads to. */
import type { Region } from "../library";
import type { Present, Surroundings } from "../program";
import type { MarkKind } from "../run";
import type { AlertKind, Participation } from "../safety";
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

export type { Present };

export type DecisionKind = "progress" | "hold" | "ease" | "pauseAndRefer";

/** Which pattern of raised mornings: the last one, two in a row, three of the last five, or one rise that was very high. */
export type MorningPattern = "last" | "inARow" | "often" | "high";

/** One rule that applied, with the figures it was about. */
export type Fired =
  | { rule: "tingling"; marks: number; mornings: number; afterEasing: boolean }
  | { rule: "stoppedEarly"; marks: number; afterEasing: boolean }
  | { rule: "tooMuch"; marks: number; overCap: number; cap: number; farOver?: number }
  | { rule: "reported"; kind: AlertKind }
  | { rule: "overruled"; proposed: DecisionKind }
  | { rule: "settling"; day: number; rise: number; allowed: number; days: number }
  | { rule: "morningRaised"; day: number; rise: number; allowed: number; days: number; afterEasing: boolean; pattern: MorningPattern }
  | { rule: "noGain"; days: number; before: number; now: number; donePercent: number }
  | { rule: "readyForMore"; runs: number; highestEffort: number; cap: number; margin: number }
  | { rule: "atTheTop"; stop: "top" | "kit" | "place" | "noHeavier" }
  | { rule: "oneAtATime" }
  | { rule: "notYet"; cleanRuns: number; wanted: number };

/** What exactly changes for the person; null when nothing does. */
export type Raised = "dose" | "form" | "load";

export interface Response {
  kind: DecisionKind;
  fired: Fired[];
  /** The next form, dose and load; absent for hold and pause. */
  next: Present | null;
  /** Which one thing is raised. */
  raised: Raised | null;
  /** A load step over 10 %: the kit has none smaller. */
  largeStep: boolean;
}
