/** What the program did, four weeks beside four weeks: minutes given, strain of the work, mornings, who told of a symptom, first aid. */
import { Box, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useEffect, useRef } from "react";
import { FEWEST_PEOPLE, type CrewFigures } from "@kind-grip/core/followup";
import type { ReportEntry } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import { numberText } from "../base/measures";
import { t } from "../base/words";

type FirstAidBlock = NonNullable<ReportEntry["firstAid"]>["blocks"][number];

/** One span of four weeks with what is known of it. */
interface Span {
  from: string;
  figures: CrewFigures | null;
  firstAid: FirstAidBlock | null;
}

interface Row {
  name: string;
  /** Height of the bar; null where nothing is told. */
  value(span: Span): number | null;
  text(span: Span): string;
  warm?: boolean;
}

const BAR_PX = 72;

export function OverTime({ report }: { report: ReportEntry }) {
  const words = useWords();
  const spans = spansOf(report);
  const rows = rowsOf(words).filter(({ text }) => spans.some((span) => text(span) !== "–"));
  const began = report.blocks.at(-1)?.from;
  const scroller = useRef<HTMLDivElement>(null);
  // Where it does not fit, the latest weeks are what is looked for.
  useEffect(() => {
    if (scroller.current) scroller.current.scrollLeft = scroller.current.scrollWidth;
  }, [spans.length]);
  if (rows.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="over-time" sx={{ mt: 5 }}>
      <Typography variant="h2" id="over-time" sx={{ mb: 0.5 }}>
        {t("What the program did")}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 820 }}>
        {t("Four weeks beside four weeks. A dash is not known, or would show fewer than {{fewestPeople}} people.", {
          fewestPeople: FEWEST_PEOPLE,
        })}
      </Typography>
      <Box ref={scroller} sx={{ overflowX: "auto" }} tabIndex={0} role="group" aria-label={t("What the program did")}>
        <Box
          component="table"
          sx={{
            borderCollapse: "collapse",
            "& th, & td": { textAlign: "left", verticalAlign: "bottom", p: 0 },
            "& thead th": { fontWeight: 600, color: "text.secondary", whiteSpace: "nowrap", pb: 0.5 },
            "& tbody th": { fontWeight: 650, width: 168, minWidth: 108, pr: 2, verticalAlign: "middle" },
            "& th:first-of-type": { position: "sticky", left: 0, bgcolor: "background.default", zIndex: 1 },
            "& tbody tr": { borderTop: "1px solid", borderColor: "line" },
            "& td, & thead th + th": { width: 104, minWidth: 84, pr: 1.5 },
          }}
        >
          <thead>
            <tr>
              <th scope="col">{t("Four weeks from")}</th>
              {spans.map(({ from }) => (
                <Box component="th" scope="col" key={from} sx={from === began ? BEGAN : {}}>
                  {dateText(DateTime.fromISO(from), "d LLL")}
                  {from === began && (
                    <Box component="span" sx={{ display: "block", color: "primary.main", fontWeight: 750 }}>
                      {t("program began")}
                    </Box>
                  )}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => {
              const most = Math.max(0, ...spans.map((span) => row.value(span) ?? 0));
              return (
                <tr key={row.name}>
                  <th scope="row">{row.name}</th>
                  {spans.map((span) => (
                    <Box component="td" key={span.from} sx={span.from === began ? BEGAN : {}}>
                      {most > 0 && <Bar value={row.value(span)} most={most} warm={row.warm} />}
                      <Typography
                        component="span"
                        sx={{ display: "block", py: 0.75, fontSize: "0.95rem", lineHeight: 1.25, whiteSpace: "pre-line" }}
                      >
                        {row.text(span)}
                      </Typography>
                    </Box>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
}

/** Where the program began, all the way down. */
const BEGAN = { borderLeft: "3px solid", borderColor: "primary.main", pl: "6px !important" } as const;

function Bar({ value, most, warm = false }: { value: number | null; most: number; warm?: boolean }) {
  return (
    <Box aria-hidden sx={{ height: BAR_PX, display: "flex", alignItems: "flex-end", mt: 1 }}>
      <Box
        className="keeps-colour"
        sx={{
          width: "70%",
          height: value === null || most === 0 ? 0 : Math.max(3, (value / most) * BAR_PX),
          bgcolor: warm ? "warm.main" : "primary.main",
          borderRadius: "4px 4px 0 0",
        }}
      />
    </Box>
  );
}

/** Every span of four weeks that anything is known of, oldest first. */
function spansOf({ blocks, firstAid }: ReportEntry): Span[] {
  const starts = [...new Set([...blocks, ...(firstAid?.blocks ?? [])].map(({ from }) => from))].sort();
  return starts.map((from) => ({
    from,
    figures: blocks.find((block) => block.from === from)?.figures ?? null,
    firstAid: firstAid?.blocks.find((block) => block.from === from) ?? null,
  }));
}

function rowsOf(words: Words): Row[] {
  const figure = (key: "minutesGiven" | "workStrain" | "morningsRaised", text: (value: number) => string) => ({
    value: ({ figures }: Span) => figures?.[key] ?? null,
    text: ({ figures }: Span) => (figures?.[key] == null ? "–" : text(figures[key])),
  });
  return [
    { name: t("Minutes given to all"), ...figure("minutesGiven", (value) => numberText(value, 0)) },
    { name: t("Strain of the work"), ...figure("workStrain", (value) => numberText(value, 1)), warm: true },
    { name: t("Mornings above usual"), ...figure("morningsRaised", (value) => `${Math.round(value * 100)}\u00a0%`), warm: true },
    {
      name: t("People who told of a symptom"),
      value: ({ figures }) => figures?.reported?.people ?? null,
      text: ({ figures }) => (figures?.reported ? reportedText(figures.reported, words) : "–"),
      warm: true,
    },
    {
      name: t("First-aid cases"),
      value: ({ firstAid }) => firstAid?.cases ?? null,
      text: ({ firstAid }) => (firstAid ? casesText(firstAid, words) : "–"),
      warm: true,
    },
  ];
}

function reportedText({ people: all, regions }: NonNullable<CrewFigures["reported"]>, words: Words): string {
  if (all === null) return t("fewer than {{fewestPeople}}", { fewestPeople: FEWEST_PEOPLE });
  return [String(all), ...regions.map(({ region, people }) => `${words.label("place", region)}: ${people}`)].join("\n");
}

function casesText({ cases, byRegion }: FirstAidBlock, words: Words): string {
  const nameOf = (region: FirstAidBlock["byRegion"][number]["region"]) => (region ? words.label("place", region) : t("place not said"));
  const places = byRegion.map(({ region, cases: some }) => (some === cases ? nameOf(region) : `${nameOf(region)}: ${some}`));
  return [String(cases), ...places].join("\n");
}
