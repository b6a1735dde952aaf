/**
 * What an employer may see of a crew: figures of at least five people, by fixed blocks of four weeks that do not overlap, never a person.
 * A block is frozen a week after its end: what comes later never changes it.
 */
import * as v from "valibot";
import { addDays, daysBetween } from "../calendar";
import { grouped } from "../units";
import type { PersonDay } from "./person-day";
import { readableSet, roundedMean } from "./small-groups";

export interface ReportMorning {
  personId: string;
  day: string;
  /** Above what was usual for the person then. */
  raised: boolean;
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
});
export type CrewFigures = v.InferOutput<typeof CrewFigures>;
export type CrewFigure = keyof CrewFigures;

export const MeasuredChange = v.strictObject({ measure: ChangeMeasure, people: v.number(), mean: v.number() });
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

/** What a figure may be rounded to, in its own unit, finest first. */
const SHARE_STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.25];
const SECOND_STEPS = [6, 12, 30, 60, 120, 300];
const EFFORT_STEPS = [0.1, 0.2, 0.5, 1, 2];
const CHANGE_STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10];

/**
 * The figures of one block.
 * @param days, mornings of that block; others are left out @param earlier who stood behind figures that were given out before
 */
export function blockFigures(
  blockStart: string,
  days: readonly PersonDay[],
  mornings: readonly ReportMorning[],
  earlier: readonly Behind<CrewFigure>[],
): { figures: CrewFigures; behind: Behind<CrewFigure> } {
  const isIn = ({ day }: { day: string }) => day >= blockStart && day < addDays(blockStart, BLOCK_DAYS);
  const inBlock = days.filter(isIn);
  const behind: Behind<CrewFigure> = {};
  const mean = <Row extends { personId: string }>(
    figure: Exclude<CrewFigure, "people">,
    rows: readonly Row[],
    part: (row: Row) => { sum: number; weight: number },
    steps: readonly number[],
  ): number | null => {
    const byPerson = grouped(rows, ({ personId }) => personId);
    const set = readableSet(byPerson.keys(), setsOf(earlier, figure));
    if (!set) return null;
    behind[figure] = [...set];
    return roundedMean(
      [...byPerson].flatMap(([id, list]) => (set.has(id) ? [summed(list.map(part))] : [])),
      steps,
    );
  };
  const adherence = mean(
    "adherence",
    inBlock.filter(({ itemsDue }) => itemsDue > 0),
    ({ itemsDone, itemsDue }) => ({ sum: Math.min(itemsDone, itemsDue), weight: itemsDue }),
    SHARE_STEPS,
  );
  const figures: CrewFigures = {
    people: behind.adherence?.length ?? null,
    adherence,
    secPerPersonDay: mean(
      "secPerPersonDay",
      inBlock.filter(({ runs }) => runs > 0),
      ({ doneSec }) => ({ sum: doneSec, weight: 1 }),
      SECOND_STEPS,
    ),
    meanEffort: mean(
      "meanEffort",
      inBlock.filter(({ efforts }) => efforts > 0),
      ({ effortSum, efforts }) => ({ sum: effortSum, weight: efforts }),
      EFFORT_STEPS,
    ),
    morningsRaised: mean("morningsRaised", mornings.filter(isIn), ({ raised }) => ({ sum: raised ? 1 : 0, weight: 1 }), SHARE_STEPS),
  };
  return { figures, behind };
}

/** Mean changes between two rounds, of the people measured in both. @param earlier as for `blockFigures`, of the rounds before */
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
    const parts = [...byPerson].flatMap(([id, list]) =>
      set.has(id) ? [summed(list.map(({ change }) => ({ sum: change, weight: 1 })))] : [],
    );
    return [{ measure, people: set.size, mean: roundedMean(parts, CHANGE_STEPS) }];
  });
  return { changes: means, behind };
}

function setsOf<Key extends string>(earlier: readonly Behind<Key>[], key: Key): Set<string>[] {
  return earlier.flatMap((behind) => (behind[key] ? [new Set(behind[key])] : []));
}

function summed(parts: readonly { sum: number; weight: number }[]): { sum: number; weight: number } {
  return parts.reduce((all, part) => ({ sum: all.sum + part.sum, weight: all.weight + part.weight }), { sum: 0, weight: 0 });
}
