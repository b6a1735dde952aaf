/** Before and after, with how sure each change is, said honestly. */
import { Box, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { saidBy } from "@kind-grip/core/followup";
import type { ReportEntry } from "@kind-grip/core/api";
import { dateText } from "../base/dates";
import { PictureRow } from "../parts/PictureRow";
import { FIELD_UNITS, numberText } from "../base/measures";
import { t } from "../base/words";
import { Interval } from "./Interval";

const MEASURES = {
  grip: { name: t("Grip"), unit: FIELD_UNITS.mass.unit },
  range: { name: t("Range of motion"), unit: "°" },
  function: { name: t("Function test"), unit: t("of 10 easier") },
} as const;

type Verdict = "better" | "worse" | "notYet";
const SAID: Readonly<Record<Verdict, string>> = {
  better: t("better"),
  worse: t("worse"),
  notYet: t("cannot be told yet"),
};

interface Line {
  key: string;
  name: string;
  about: string;
  change: string;
  /** Without one: how sure it is was not told when it was given out. */
  interval: { low: number; mean: number | null; high: number | null; none: number; isRatio?: boolean; text: string } | null;
  verdict: Verdict;
}

export function BeforeAfter({ report }: { report: ReportEntry }) {
  const lines = [...measured(report), ...mornings(report), ...firstAid(report)];
  return (
    <Box component="section" aria-labelledby="before-after" sx={{ mt: 5 }}>
      <Typography variant="h2" id="before-after" sx={{ mb: 0.5 }}>
        {t("Before and after")}
      </Typography>
      {lines.length === 0 ? (
        <Typography sx={{ color: "text.secondary", maxWidth: 820 }}>
          {t("Nothing can be told yet: it takes two closed rounds of five people or more, or a first-aid book from before the program.")}
        </Typography>
      ) : (
        <>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 1180 }}>
            {lines.map((line) => (
              <ChangeLine key={line.key} line={line} />
            ))}
          </Box>
          <Typography sx={{ mt: 1.5, color: "text.secondary", maxWidth: 820 }}>
            {t(
              "The bar holds the true mean in 95 of 100 such crews; where it crosses the black line, it cannot be told from no change. A change after a program began is no proof that the program made it: season, work and people change too, and there is no crew without it to compare with.",
            )}
          </Typography>
        </>
      )}
    </Box>
  );
}

function ChangeLine({ line: { name, about, change, interval, verdict } }: { line: Line }) {
  return (
    <PictureRow
      label={name}
      name={<Typography sx={{ fontWeight: 700, fontSize: "1.1rem" }}>{name}</Typography>}
      about={about}
      picture={interval && <Interval {...interval} verdict={verdict} />}
    >
      <Typography sx={{ fontWeight: 750, fontSize: "1.1rem" }}>
        {change}
        {interval && `: ${SAID[verdict]}`}
      </Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {interval ? interval.text : t("How sure was not told when this was given out.")}
      </Typography>
    </PictureRow>
  );
}

function measured({ changes }: ReportEntry): Line[] {
  return changes.flatMap(({ first, last, on, changes: list }) =>
    list.map(({ measure, people, mean, low, high }): Line => {
      const { name, unit } = MEASURES[measure];
      const shown = (value: number) => (measure === "grip" ? FIELD_UNITS.mass.shown(value) : value);
      const text = (value: number) => `${signed(shown(value))} ${unit}`;
      return {
        key: `${on} ${measure}`,
        name,
        about: t("{{last}}, {{on}}, against {{first}}; {{people}} people", { last, on: day(on), first, people }),
        change: text(mean),
        interval:
          low === null || high === null
            ? null
            : { low, mean, high, none: 0, text: t("from {{low}} to {{high}}", { low: text(low), high: text(high) }) },
        verdict: better(saidBy({ low, high }, 0), "more"),
      };
    }),
  );
}

function mornings({ blocks }: ReportEntry): Line[] {
  const block = blocks.find(({ figures }) => figures.morningsChange !== null);
  const change = block?.figures.morningsChange;
  if (!change || change.low === null || change.high === null) return [];
  const points = (value: number) => `${signed(value * 100, 0)} ${t("in 100 mornings")}`;
  return [
    {
      key: "mornings",
      name: t("Mornings above usual"),
      about: t("four weeks from {{from}} against the first; {{people}} people", { from: day(block!.from), people: change.people }),
      change: points(change.mean),
      interval: {
        low: change.low,
        mean: change.mean,
        high: change.high,
        none: 0,
        text: t("from {{low}} to {{high}}", { low: points(change.low), high: points(change.high) }),
      },
      verdict: better(saidBy(change, 0), "less"),
    },
  ];
}

function firstAid({ firstAid: book }: ReportEntry): Line[] {
  const both = book?.change;
  const change = both?.change;
  if (!both || !change) return [];
  const times = (ratio: number) => t("{{ratio}} times", { ratio: numberText(ratio, 2) });
  return [
    {
      key: "first aid",
      name: t("First-aid cases by days at work"),
      about: t("{{before}} in {{beforeDays}} days before, {{after}} in {{afterDays}} since {{since}}", {
        before: t("{{count}} cases", { count: both.before.cases, defaultValue_one: "{{count}} case" }),
        beforeDays: numberText(both.before.personDays, 0),
        after: both.after.cases,
        afterDays: numberText(both.after.personDays, 0),
        since: day(both.programSince),
      }),
      change: change.ratio === null ? t("none before") : times(change.ratio),
      interval: {
        low: change.low,
        mean: change.ratio,
        high: change.high,
        none: 1,
        isRatio: true,
        text:
          change.high === null
            ? t("from {{low}} up, without an end", { low: times(change.low) })
            : t("from {{low}} to {{high}}", { low: times(change.low), high: times(change.high) }),
      },
      verdict: better(saidBy(change, 1), "less"),
    },
  ];
}

/** What an interval says, by which way is the good one. */
function better(said: "more" | "less" | "notYet", good: "more" | "less"): Verdict {
  return said === "notYet" ? "notYet" : said === good ? "better" : "worse";
}

function signed(value: number, digits = 1): string {
  const text = numberText(Math.abs(value), digits);
  return text === "0" ? text : `${value < 0 ? "−" : "+"}${text}`;
}

function day(date: string): string {
  return dateText(DateTime.fromISO(date), "d LLLL");
}
