/** The crew report as tables: the same for a workbook and for paper. */
import type { ReportEntry } from "@kind-grip/core/api";
import { BLOCK_DAYS, FEWEST_PEOPLE, saidBy, type ChangeMeasure, type CrewFigures, type MeasuredChange } from "@kind-grip/core/followup";
import type { Words } from "@kind-grip/core/language";

/** A share is told as a percentage; null is a figure that would show fewer than five people, or is not known. */
export type Cell = string | { number: number | null; as: "count" | "share" | "tenth" } | { day: string };

export interface ReportTable {
  title: string;
  head: string[];
  rows: Cell[][];
}

const count = (number: number | null): Cell => ({ number, as: "count" });
const tenth = (number: number | null): Cell => ({ number, as: "tenth" });
const share = (number: number | null): Cell => ({ number, as: "share" });

const MEASURES: Readonly<Record<ChangeMeasure, string>> = {
  grip: "Grip, kg",
  range: "Range of motion, °",
  function: "Function test, points easier",
};

export function reportTables(report: ReportEntry, words: Words): ReportTable[] {
  return [blocksTable(report), reportedTable(report, words), ...changeTables(report), ...firstAidTables(report, words)].filter(
    ({ rows }) => rows.length > 0,
  );
}

function blocksTable({ blocks }: ReportEntry): ReportTable {
  return {
    title: "Four weeks at a time",
    head: [
      "From",
      "Until",
      "People",
      "Done of what was due",
      "Minutes a person and day",
      "Minutes given to all",
      "Effort of 10",
      "Strain of the work",
      "Mornings above usual",
    ],
    rows: blocks.map(({ from, until, figures }) => [
      { day: from },
      { day: until },
      count(figures.people),
      share(figures.adherence),
      tenth(figures.secPerPersonDay === null ? null : figures.secPerPersonDay / 60),
      count(figures.minutesGiven),
      tenth(figures.meanEffort),
      tenth(figures.workStrain),
      share(figures.morningsRaised),
    ]),
  };
}

function reportedTable({ blocks }: ReportEntry, words: Words): ReportTable {
  return {
    title: "People who told of a symptom",
    head: ["From", "Until", "Where", "People"],
    rows: blocks.flatMap(({ from, until, figures: { reported } }) =>
      reported
        ? [
            [{ day: from }, { day: until }, "Anywhere", reportedText(reported.people)] as Cell[],
            ...reported.regions.map(({ region, people }): Cell[] => [
              { day: from },
              { day: until },
              words.label("place", region),
              count(people),
            ]),
          ]
        : [],
    ),
  };
}

/** None is not told from four. */
const reportedText = (people: number | null): Cell => (people === null ? `fewer than ${FEWEST_PEOPLE}` : count(people));

function changeTables({ changes, blocks }: ReportEntry): ReportTable[] {
  const rowOf = (
    name: string,
    { people, mean, low, high }: Omit<MeasuredChange, "measure">,
    as: "tenth" | "share",
    good: "more" | "less" = "more",
  ): Cell[] => [
    name,
    count(people),
    { number: mean, as },
    { number: low, as },
    { number: high, as },
    low === null ? "" : verdict(saidBy({ low, high }, 0), good),
  ];
  const head = ["Measure", "People", "Mean change", "95 % from", "95 % to", "Said honestly"];
  const mornings = latestMornings(blocks.map(({ figures }) => figures));
  return [
    ...changes.map(({ first, last, on, changes: list }) => ({
      title: `Measured twice: ${last} (${on}) against ${first}`,
      head,
      rows: list.map((change) => rowOf(MEASURES[change.measure], change, "tenth")),
    })),
    {
      title: "Mornings above usual: the latest four weeks against the first",
      head,
      rows: mornings ? [rowOf("Share of mornings, fewer is better", mornings, "share", "less")] : [],
    },
  ];
}

const verdict = (said: ReturnType<typeof saidBy>, good: "more" | "less"): Cell =>
  said === "notYet" ? "cannot be told yet" : said === good ? "better" : "worse";

function latestMornings(newestFirst: readonly CrewFigures[]): CrewFigures["morningsChange"] {
  return newestFirst.find(({ morningsChange }) => morningsChange !== null)?.morningsChange ?? null;
}

function firstAidTables({ firstAid }: ReportEntry, words: Words): ReportTable[] {
  if (!firstAid) return [];
  const { blocks, change } = firstAid;
  const place = (region: (typeof blocks)[number]["byRegion"][number]["region"]) =>
    region === null ? "place not said" : words.label("place", region);
  const times: Cell[][] = change
    ? [
        ["Before", count(change.before.cases), count(change.before.personDays)],
        ["After", count(change.after.cases), count(change.after.personDays)],
      ]
    : [];
  const ratio = change?.change;
  return [
    {
      title: "First-aid cases of hands, wrists and arms",
      head: ["From", "Until", "Cases", "Where"],
      rows: blocks.map(({ from, until, cases, byRegion }) => [
        { day: from },
        { day: until },
        count(cases),
        byRegion.map(({ region, cases: some }) => `${place(region)} ${some}`).join(", "),
      ]),
    },
    {
      title: change ? `First-aid cases before and after ${change.programSince}` : "First-aid cases before and after",
      head: ["When", "Cases", "Days at work of all together"],
      rows: times,
    },
    {
      title: "Their rate after, as a multiple of the rate before",
      head: ["Ratio", "95 % from", "95 % to", "Said honestly"],
      rows: ratio
        ? [
            [
              ratio.ratio === null ? "none before" : tenthOf(ratio.ratio),
              tenthOf(ratio.low),
              ratio.high === null ? "no end" : tenthOf(ratio.high),
              { more: "more cases", less: "fewer cases", notYet: "cannot be told yet" }[saidBy(ratio, 1)],
            ],
          ]
        : [],
    },
  ];
}

const tenthOf = (value: number): Cell => ({ number: Math.round(value * 100) / 100, as: "tenth" });

/** What every form of the report says with its figures. */
export const REPORT_NOTES: readonly string[] = [
  `Figures are of the crew, never of a person. None is drawn from fewer than ${FEWEST_PEOPLE} people, and no two, however far apart, are of people that differ by fewer. They cover fixed blocks of ${BLOCK_DAYS / 7} weeks, are rounded so that one person moves them by one step at most, and do not change once they are here.`,
  "A change after a program began is no proof that the program made it: season, work and people change too, and there is no crew without it to compare with. Where the interval holds no change, it cannot be told yet.",
  "First-aid cases are counted from the employer's own book, as it was entered.",
  "This is prevention, not treatment. Follow site rules, local law and the advice of licensed professionals.",
];
