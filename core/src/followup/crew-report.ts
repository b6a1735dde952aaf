/**
 * What an employer may see of a crew: figures of at least five people, by fixed blocks of four weeks that do not overlap, never a person.
 * A block is frozen a week after its end: what comes later never changes it.
 */
import * as v from "valibot";
import { addDays, daysBetween } from "../calendar";
import { Region } from "../library";

export interface ReportMorning {
  personId: string;
  day: string;
  /** Above what was usual for the person then. */
  raised: boolean;
}

/** Somebody told of a symptom on a day. */
export interface ReportedSymptom {
  personId: string;
  day: string;
  regions: readonly Region[];
}

/** Change of one measure of one person between two rounds, in its unit; up is better. */
export interface ReportChange {
  personId: string;
  measure: ChangeMeasure;
  change: number;
}

export const CHANGE_MEASURES = ["grip", "range", "function"] as const;
export const ChangeMeasure = v.picklist(CHANGE_MEASURES);
export type ChangeMeasure = v.InferOutput<typeof ChangeMeasure>;

/** A mean change with the interval that holds the true one in 95 of 100 such crews, each rounded. */
export const Estimate = v.strictObject({ people: v.number(), mean: v.number(), low: v.nullable(v.number()), high: v.nullable(v.number()) });
export type Estimate = v.InferOutput<typeof Estimate>;

/** What an interval says against no change: "more" and "less" only where it does not hold no change. */
export function saidBy({ low, high }: { low: number | null; high: number | null }, noChange: number): "more" | "less" | "notYet" {
  if (low !== null && low > noChange) return "more";
  return high !== null && high < noChange ? "less" : "notYet";
}

/** People who reported something by themselves: of all, and by place; null and left out for fewer than five of them, none included. */
export const ReportedPeople = v.strictObject({
  people: v.nullable(v.number()),
  regions: v.array(v.strictObject({ region: Region, people: v.number() })),
});
export type ReportedPeople = v.InferOutput<typeof ReportedPeople>;

/** What an earlier version gave out did not have it. */
const later = <S extends v.GenericSchema>(schema: S) => v.optional(v.nullable(schema), null);

/** Every figure is null when fewer than five people stand behind it, or when, beside what was given out before, it would show fewer. */
export const CrewFigures = v.strictObject({
  people: v.nullable(v.number()),
  /** Items done ÷ items due. */
  adherence: v.nullable(v.number()),
  /** Seconds of work and holds, for each person and day with a run. */
  secPerPersonDay: v.nullable(v.number()),
  meanEffort: v.nullable(v.number()),
  /** Share of morning answers above what was usual for the person then. */
  morningsRaised: v.nullable(v.number()),
  /** Minutes of work and holds, of all people together. */
  minutesGiven: later(v.number()),
  /** People who told of a symptom: on the phone, in the morning, by a mark. */
  reported: later(ReportedPeople),
  /** Strain of the harder hand on the hardest day of the work, as it was described by the end of the block. */
  workStrain: later(v.number()),
  /** Change of the share of raised mornings against the first block, of people who answered in both. */
  morningsChange: later(Estimate),
});
export type CrewFigures = v.InferOutput<typeof CrewFigures>;
export type CrewFigure = keyof CrewFigures;

export const MeasuredChange = v.strictObject({
  measure: ChangeMeasure,
  people: v.number(),
  mean: v.number(),
  low: later(v.number()),
  high: later(v.number()),
});
export type MeasuredChange = v.InferOutput<typeof MeasuredChange>;

/** Figure → people behind it; kept so that later figures can be held against it, and never given out. */
export type Behind<Key extends string> = Partial<Record<Key, string[]>>;

export const BLOCK_DAYS = 28;
/** So many days after its last a block is frozen. Runs and mornings that come later are in no figure. */
export const FREEZE_AFTER_DAYS = 7;
/** A Monday; blocks are counted from it in both directions, the same for every crew. */
const A_BLOCK_START = "2024-01-22";

/** First day of the block a day lies in. */
export function blockStartOf(day: string): string {
  return addDays(A_BLOCK_START, Math.floor(daysBetween(A_BLOCK_START, day) / BLOCK_DAYS) * BLOCK_DAYS);
}

/** From which day on a block can be read. */
export function readableOn(blockStart: string): string {
  return addDays(blockStart, BLOCK_DAYS + FREEZE_AFTER_DAYS);
}

/** First days of the blocks that can be read on a day, oldest first, from the one a first day lies in. */
export function readableBlocks(firstDay: string, today: string): string[] {
  const starts: string[] = [];
  for (let start = blockStartOf(firstDay); readableOn(start) <= today; start = addDays(start, BLOCK_DAYS)) starts.push(start);
  return starts;
}
