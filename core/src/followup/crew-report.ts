/** What an employer may see of a crew: figures of at least five people, by whole weeks, never a person. */
import { publishable } from "./small-groups";
import type { PersonDay } from "./person-day";

export interface ReportMorning {
  personId: string;
  day: string;
  /** Above the person's usual level. */
  raised: boolean;
}

/** Change of one measure of one person between two rounds, in its unit; up is better. */
export interface ReportChange {
  personId: string;
  measure: "grip" | "range" | "function";
  change: number;
  /** Whether it is beyond the noise of measuring. */
  counts: boolean;
}

/** Every figure is null when fewer than five people stand behind it, or when it would give fewer than five away. */
export interface CrewFigures {
  people: number | null;
  /** Items done ÷ items due. */
  adherence: number | null;
  /** Seconds of work and holds, for each person and day with a run. */
  secPerPersonDay: number | null;
  meanEffort: number | null;
  /** Share of morning answers above the person's usual level. */
  morningsRaised: number | null;
}

export interface CrewReport {
  whole: CrewFigures;
  weeks: { weekStart: string; figures: CrewFigures }[];
  changes: { measure: ReportChange["measure"]; people: number; mean: number }[];
}

/** @param weekStarts Mondays of whole weeks, oldest first: a period of free length would let two reports be subtracted */
export function crewReport(
  weekStarts: readonly string[],
  days: readonly PersonDay[],
  mornings: readonly ReportMorning[],
  changes: readonly ReportChange[],
): CrewReport {
  const inWeek = new Map(weekStarts.flatMap((start) => daysOf(start).map((day) => [day, start] as const)));
  const weekOf = (day: string) => inWeek.get(day);
  const inWeeks = days.flatMap((each) => (weekOf(each.day) ? [{ ...each, week: weekOf(each.day)! }] : []));
  const answered = mornings.flatMap((each) => (weekOf(each.day) ? [{ ...each, week: weekOf(each.day)! }] : []));
  const due = inWeeks.filter(({ itemsDue }) => itemsDue > 0);
  const ran = inWeeks.filter(({ runs }) => runs > 0);
  const felt = inWeeks.filter(({ efforts }) => efforts > 0);

  const people = measured(weekStarts, due, (list) => new Set(list.map(({ personId }) => personId)).size);
  const adherence = measured(
    weekStarts,
    due,
    (list) => sum(list, (each) => Math.min(each.itemsDone, each.itemsDue)) / sum(list, ({ itemsDue }) => itemsDue),
  );
  const seconds = measured(weekStarts, ran, (list) => sum(list, ({ doneSec }) => doneSec) / list.length);
  const effort = measured(weekStarts, felt, (list) => sum(list, ({ effortSum }) => effortSum) / sum(list, ({ efforts }) => efforts));
  const raised = measured(weekStarts, answered, (list) => list.filter((each) => each.raised).length / list.length);
  const at = (week: string | "whole"): CrewFigures => ({
    people: people(week),
    adherence: adherence(week),
    secPerPersonDay: seconds(week),
    meanEffort: effort(week),
    morningsRaised: raised(week),
  });
  return {
    whole: at("whole"),
    weeks: weekStarts.map((weekStart) => ({ weekStart, figures: at(weekStart) })),
    changes: (["grip", "range", "function"] as const).flatMap((measure) => {
      const of = changes.filter((each) => each.measure === measure);
      const who = new Set(of.map(({ personId }) => personId));
      const { whole } = publishable(new Map([["all", who]]));
      return whole ? [{ measure, people: who.size, mean: sum(of, ({ change }) => change) / of.length }] : [];
    }),
  };
}

/** A figure by week and for the whole, withheld where too few people stand behind it. */
function measured<Row extends { personId: string; week: string }>(
  weekStarts: readonly string[],
  rows: readonly Row[],
  figure: (rows: readonly Row[]) => number,
): (week: string | "whole") => number | null {
  const people = new Map(
    weekStarts.map((week) => [week, new Set(rows.filter((row) => row.week === week).map(({ personId }) => personId))]),
  );
  const shown = publishable(people);
  return (week) => {
    if (week === "whole") return shown.whole ? figure(rows) : null;
    return shown.parts.has(week) ? figure(rows.filter((row) => row.week === week)) : null;
  };
}

function sum<Row>(rows: readonly Row[], of: (row: Row) => number): number {
  return rows.reduce((total, row) => total + of(row), 0);
}

function daysOf(weekStart: string): string[] {
  return Array.from({ length: 7 }, (_, i) => new Date(Date.parse(`${weekStart}T00:00:00Z`) + i * 86_400_000).toISOString().slice(0, 10));
}
