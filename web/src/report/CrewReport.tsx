/** The crew report as trainer and employer contact see it: whole weeks, no person, nothing of fewer than five. */
import { Box, Button, Typography } from "@mui/material";
import { Download, Printer } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { FEWEST_PEOPLE, type CrewFigures } from "@kind-grip/core/followup";
import { serverApi, type ReportEntry } from "../app/api";
import { Choice } from "../parts/Choice";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { Table } from "../parts/Table";
import { Figure } from "../progress/Figure";

const MEASURES = {
  grip: { name: "Grip", unit: "kg" },
  range: { name: "Range of motion", unit: "°" },
  function: { name: "Function test", unit: "points easier" },
} as const;

export function CrewReport({ crewId }: { crewId: string }) {
  const [weeks, setWeeks] = useState<"4" | "8">("8");
  const query = serverApi.useReportQuery({ crewId, weeks: Number(weeks) });
  return (
    <Loaded query={query} keepShown>
      {(report) => (
        <>
          <PageTitle
            title={`${report.crew.name}: report`}
            lead={`${report.crew.trade}. Whole weeks from ${day(report.from)} to ${day(report.until)}.`}
          >
            <Choice<"4" | "8">
              label="Weeks"
              value={weeks}
              onChange={setWeeks}
              options={[
                { value: "4", label: "4 weeks" },
                { value: "8", label: "8 weeks" },
              ]}
            />
            <Button variant="outlined" startIcon={<Printer size={20} />} onClick={() => print()}>
              Print
            </Button>
            <Button component="a" href={`/api/crews/${crewId}/report.csv?weeks=${weeks}`} startIcon={<Download size={20} />}>
              CSV
            </Button>
          </PageTitle>
          <Whole report={report} />
          <Table
            caption="Week by week"
            head={["Week of", "People", "Done of what was due", "Minutes a person and day", "Effort of 10", "Mornings above usual"]}
            rows={report.weeks.map(({ weekStart, figures }) => ({
              key: weekStart,
              cells: [
                day(weekStart),
                shown(figures.people, String),
                <Share key="done" share={figures.adherence} />,
                shown(figures.secPerPersonDay, minutes),
                shown(figures.meanEffort, (value) => value.toFixed(1)),
                shown(figures.morningsRaised, percent),
              ],
            }))}
          />
          {report.changes.length > 0 && (
            <Table
              caption="Measured twice: first round against the latest"
              head={["Measure", "People", "Mean change"]}
              rows={report.changes.map(({ measure, people, mean }) => ({
                key: measure,
                cells: [
                  MEASURES[measure].name,
                  people,
                  `${mean > 0 ? "+" : mean < 0 ? "−" : ""}${Math.abs(mean).toFixed(1)} ${MEASURES[measure].unit}`,
                ],
              }))}
            />
          )}
          <Typography sx={{ mt: 3, color: "text.secondary", maxWidth: 820 }}>
            Figures are of the crew, never of a person. None is drawn from fewer than {FEWEST_PEOPLE} people, and none is shown that could
            be subtracted from another to get at fewer; a dash stands where that would be so. This is prevention, not treatment. Follow site
            rules, local law and the advice of licensed professionals.
          </Typography>
        </>
      )}
    </Loaded>
  );
}

function Whole({ report: { whole } }: { report: ReportEntry }) {
  return (
    <Box sx={{ display: "flex", gap: { xs: 3, md: 7 }, flexWrap: "wrap", borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Figure value={shown(whole.adherence, percent)} label="of what was due was done" />
      <Figure value={shown(whole.people, String)} label="people took part" />
      <Figure value={shown(whole.secPerPersonDay, minutes)} label="minutes a person and day" />
      <Figure value={shown(whole.meanEffort, (value) => value.toFixed(1))} label="effort of 10, mean" />
      <Figure value={shown(whole.morningsRaised, percent)} label="of mornings above usual" />
    </Box>
  );
}

function Share({ share }: { share: CrewFigures["adherence"] }) {
  if (share === null) return "–";
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box aria-hidden sx={{ width: 150, height: 12, bgcolor: "line", borderRadius: 1 }}>
        <Box sx={{ width: `${share * 100}%`, height: "100%", bgcolor: share < 0.7 ? "warm.main" : "primary.main", borderRadius: 1 }} />
      </Box>
      {percent(share)}
    </Box>
  );
}

function shown<Value>(value: Value | null, text: (value: Value) => string): string {
  return value === null ? "–" : text(value);
}

function percent(share: number): string {
  return `${Math.round(share * 100)}\u00a0%`;
}

function minutes(sec: number): string {
  return (sec / 60).toFixed(1);
}

function day(date: string): string {
  return DateTime.fromISO(date).toFormat("d LLLL");
}
