/** Progress: what waits for a decision, the figures, the review of a block, every decision taken. */
import { Box } from "@mui/material";
import { useState } from "react";
import { MIN_ANSWERS, trendOf } from "@kind-grip/core/followup";
import { useSearchParams } from "react-router";
import type { CrewEntry, Progress } from "@kind-grip/core/api";
import { fixedText } from "../base/measures";
import { answersText, weeksText } from "../base/amounts";
import { t } from "../base/words";
import { LIST_WHEN_NARROW } from "../parts/narrow-table";
import { progressApi } from "./api";
import { crewApi } from "../crew/api";
import { QuickTests } from "../quicktest/QuickTests";
import { useCrew } from "../crew/CrewFrame";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { DecisionHistory } from "../response/DecisionHistory";
import { Decisions } from "../response/Decisions";
import { EffortBar } from "../run/RunsPage";
import { EffortChart } from "./EffortChart";
import { Figure } from "./Figure";
import { Review } from "./Review";

const SPANS = [
  { value: "7", label: t("1 week") },
  { value: "28", label: weeksText(4) },
  { value: "84", label: weeksText(12) },
] as const;

const VIEWS = [
  { value: "decide", label: t("Decide") },
  { value: "figures", label: t("Figures") },
  { value: "review", label: t("Review") },
  { value: "history", label: t("History") },
] as const;
type View = (typeof VIEWS)[number]["value"];

export default function ProgressPage() {
  const crew = useCrew();
  const [search, setSearch] = useSearchParams();
  const view = VIEWS.find(({ value }) => value === search.get("view"))?.value ?? "decide";
  return (
    <>
      <PageTitle title={t("Progress")}>
        <Choice<View> label={t("Shown")} value={view} onChange={(next) => setSearch({ view: next }, { replace: true })} options={VIEWS} />
      </PageTitle>
      {view === "decide" && <Decisions crew={crew} />}
      {view === "figures" && <FiguresView crew={crew} />}
      {view === "review" && <Review crew={crew} />}
      {view === "history" && <DecisionHistory crew={crew} />}
    </>
  );
}

function FiguresView({ crew }: { crew: CrewEntry }) {
  const [days, setDays] = useState<"7" | "28" | "84">("28");
  const query = progressApi.useProgressQuery({ crewId: crew.id, days: Number(days) });
  const people = crewApi.usePeopleQuery(crew.id);
  return (
    <>
      <Box sx={{ mb: 2 }}>
        <Choice<"7" | "28" | "84"> label={t("Time shown")} value={days} onChange={setDays} options={SPANS} />
      </Box>
      <Loaded query={query} keepShown>
        {(progress) =>
          progress.runs.length === 0 ? (
            <Empty title={t("No run in this time")} text={t("Attendance and effort appear here after the first led session.")} />
          ) : (
            <Figures progress={progress} timeZone={crew.timeZone} />
          )
        }
      </Loaded>
      <Loaded query={people}>{(list) => <QuickTests crewId={crew.id} people={list} />}</Loaded>
    </>
  );
}

function Figures({ progress, timeZone }: { progress: Progress; timeZone: string }) {
  const { runs, people } = progress;
  const expected = runs.reduce((sum, run) => sum + run.expected, 0);
  const present = runs.reduce((sum, run) => sum + run.present, 0);
  const answers = runs.reduce((sum, run) => sum + run.answers, 0);
  const meanEffort = answers === 0 ? null : runs.reduce((sum, run) => sum + (run.meanEffort ?? 0) * run.answers, 0) / answers;
  const day = 86_400_000;
  const trend = trendOf(runs.flatMap((run) => (run.meanEffort === null ? [] : [{ x: run.startedAtMs / day, y: run.meanEffort }])));
  const perWeek = trend ? trend.slope * 7 : undefined;
  return (
    <>
      <Box sx={{ display: "flex", gap: { xs: 3, md: 7 }, flexWrap: "wrap", mb: 3 }}>
        <Figure value={String(runs.length)} label={t("runs", { count: runs.length, defaultValue_one: "run" })} />
        <Figure value={`${Math.round((present / Math.max(1, expected)) * 100)} %`} label={t("came, on average")} />
        <Figure
          value={meanEffort === null ? "–" : fixedText(meanEffort, 1)}
          label={t("effort of 10, from {{answers}}", { answers: answersText(answers) })}
        />
        <Figure
          value={perWeek === undefined ? "–" : `${perWeek > 0 ? "+" : "−"}${fixedText(Math.abs(perWeek), 2)}`}
          label={
            perWeek === undefined
              ? t("no trend under {{minAnswers}} answers", { minAnswers: MIN_ANSWERS })
              : t("effort a week, least squares")
          }
        />
      </Box>
      <EffortChart runs={runs} trend={trend} timeZone={timeZone} />
      <Box
        component="table"
        sx={{
          mt: 3,
          width: "100%",
          maxWidth: 980,
          borderCollapse: "collapse",
          "& th, & td": { textAlign: "left", py: 0.75, pr: 2, borderTop: "1px solid", borderColor: "line" },
          "& thead th": { border: 0, color: "text.secondary", fontWeight: 600 },
          ...LIST_WHEN_NARROW,
        }}
      >
        <thead>
          <tr>
            <th scope="col">{t("Person")}</th>
            <th scope="col">{t("Came")}</th>
            <th scope="col">{t("Effort, mean")}</th>
            <th scope="col">{t("Answers")}</th>
            <th scope="col">{t("Marks")}</th>
          </tr>
        </thead>
        <tbody>
          {people.map((person) => (
            <tr key={person.personId}>
              <th scope="row">{person.name}</th>
              <td data-head={t("Came")}>
                <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
                  <Box sx={{ width: 82 }}>{t("{{present}} of {{runs}}", { present: person.present, runs: person.runs })}</Box>
                  <Box aria-hidden sx={{ width: 110, height: 10, bgcolor: "line", borderRadius: 1 }}>
                    <Box
                      className="keeps-colour"
                      sx={{
                        width: `${(person.presentShare ?? 0) * 100}%`,
                        height: "100%",
                        bgcolor: (person.presentShare ?? 0) < 0.7 ? "warm.main" : "primary.main",
                        borderRadius: 1,
                      }}
                    />
                  </Box>
                </Box>
              </td>
              <td data-head={t("Effort, mean")}>
                <EffortBar effort={person.meanEffort} />
              </td>
              <td data-head={t("Answers")}>{person.answers}</td>
              <td data-head={t("Marks")}>
                {person.marks > 0 ? (
                  <Box component="strong" sx={{ color: "warm.dark" }}>
                    {person.marks}
                  </Box>
                ) : (
                  "–"
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </>
  );
}
