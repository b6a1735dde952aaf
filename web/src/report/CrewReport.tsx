/** The crew report as trainer and employer contact see it: frozen blocks of four weeks, no person, nothing of fewer than five. */
import { Box, Button, Typography } from "@mui/material";
import { Download, Printer } from "lucide-react";
import { DateTime } from "luxon";
import { BLOCK_DAYS, FEWEST_PEOPLE, FREEZE_AFTER_DAYS, type CrewFigures } from "@kind-grip/core/followup";
import type { ReportEntry } from "@kind-grip/core/api";
import { numberText } from "../base/measures";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { reportApi } from "./api";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { Table } from "../parts/Table";
import { BeforeAfter } from "./BeforeAfter";
import { OverTime } from "./OverTime";
import { Figure } from "../progress/Figure";

const FILES = [
  [t("PDF"), "pdf"],
  [t("Workbook (XLSX)"), "xlsx"],
  [t("CSV"), "csv"],
] as const;

export function CrewReport({ crewId }: { crewId: string }) {
  const query = reportApi.useReportQuery(crewId);
  return (
    <Loaded query={query} keepShown>
      {(report) => {
        const [latest] = report.blocks;
        return (
          <>
            <PageTitle
              title={t("{{name}}: report", { name: report.crew.name })}
              lead={`${report.crew.trade}. ${latest ? t("Four weeks from {{from}} to {{until}}.", { from: day(latest.from), until: day(latest.until) }) : t("No four weeks are closed yet.")}`}
            >
              <Button variant="outlined" startIcon={<Printer size={20} />} onClick={() => print()}>
                {t("Print")}
              </Button>
              {FILES.map(([name, ending]) => (
                <Button key={ending} component="a" href={`/api/crews/${crewId}/report.${ending}`} startIcon={<Download size={20} />}>
                  {name}
                </Button>
              ))}
            </PageTitle>
            {latest ? (
              <Latest figures={latest.figures} />
            ) : (
              <Empty
                title={t("The first report is here on {{readableOn}}", { readableOn: day(report.next.readableOn) })}
                text={t("It covers {{from}} to {{until}}, and {{freezeAfterDays}} days are left for what arrives late.", {
                  from: day(report.next.from),
                  until: day(report.next.until),
                  freezeAfterDays: FREEZE_AFTER_DAYS,
                })}
              />
            )}
            {report.blocks.length > 0 && <Blocks blocks={report.blocks} />}
            {latest && (
              <Typography sx={{ mt: 1.5 }}>
                {t("The next four weeks, {{from}} to {{until}}, can be read from {{readableOn}} on.", {
                  from: day(report.next.from),
                  until: day(report.next.until),
                  readableOn: day(report.next.readableOn),
                })}
              </Typography>
            )}
            <OverTime report={report} />
            <BeforeAfter report={report} />
            <Typography sx={{ mt: 3, color: "text.secondary", maxWidth: 820 }}>
              {t(
                "Figures are of the crew, never of a person. None is drawn from fewer than {{fewestPeople}} people, and no two, however far apart, are of people that differ by fewer: somebody who came or went may be left out, and a dash stands where it would show them. They cover fixed blocks of {{blockDays}} weeks, are rounded so that one person moves them by one step at most, and do not change once they are here. This is prevention, not treatment. Follow site rules, local law and the advice of licensed professionals.",
                { fewestPeople: FEWEST_PEOPLE, blockDays: BLOCK_DAYS / 7 },
              )}
            </Typography>
          </>
        );
      }}
    </Loaded>
  );
}

function Latest({ figures }: { figures: CrewFigures }) {
  return (
    <Box sx={{ display: "flex", gap: { xs: 3, md: 7 }, flexWrap: "wrap", borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Figure value={shown(figures.adherence, percent)} label={t("of what was due was done")} />
      <Figure value={shown(figures.people, String)} label={t("people these figures are of")} />
      <Figure value={shown(figures.secPerPersonDay, minutes)} label={t("minutes a person and day")} />
      <Figure value={shown(figures.meanEffort, String)} label={t("effort of 10, mean")} />
      <Figure value={shown(figures.morningsRaised, percent)} label={t("of mornings above usual")} />
    </Box>
  );
}

function Blocks({ blocks }: { blocks: ReportEntry["blocks"] }) {
  return (
    <Table
      caption={t("Four weeks at a time")}
      head={[
        t("From"),
        t("People"),
        t("Done of what was due"),
        t("Minutes a person and day"),
        t("Effort of 10"),
        t("Mornings above usual"),
      ]}
      rows={blocks.map(({ from, until, figures }) => ({
        key: from,
        cells: [
          t("{{from}} to {{until}}", { from: day(from), until: day(until) }),
          shown(figures.people, String),
          <Share key="done" share={figures.adherence} />,
          shown(figures.secPerPersonDay, minutes),
          shown(figures.meanEffort, String),
          shown(figures.morningsRaised, percent),
        ],
      }))}
    />
  );
}

function Share({ share }: { share: CrewFigures["adherence"] }) {
  if (share === null) return "–";
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box aria-hidden sx={{ width: 150, height: 12, bgcolor: "line", borderRadius: 1 }}>
        <Box
          className="keeps-colour"
          sx={{ width: `${share * 100}%`, height: "100%", bgcolor: share < 0.7 ? "warm.main" : "primary.main", borderRadius: 1 }}
        />
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
  return numberText(sec / 60, 1);
}

function day(date: string): string {
  return dateText(DateTime.fromISO(date), "d LLLL");
}
