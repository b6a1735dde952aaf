/** The review at the end of a block: done, felt, measured; who changed and why; what the next block should be. */
import { Box, Button, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import { addDays, shiftsFrom } from "@kind-grip/core/calendar";
import { grouped } from "@kind-grip/core/units";
import { DateTime } from "luxon";
import type { LoadRise, ReviewAnswer } from "@kind-grip/core/followup";
import { harderHand, hardestWay } from "@kind-grip/core/strain";
import { fixedText } from "../base/measures";
import { answersText, weeksText } from "../base/amounts";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { useWorkDone } from "../work/api";
import { progressApi } from "./api";
import { changeWords } from "../baseline/change-words";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Table } from "../parts/Table";
import { DecisionMark } from "../response/DecisionMark";
import { Figure } from "./Figure";
import { ReviewChart } from "./ReviewChart";
import { blockReasonText } from "./block-reason-text";

export function Review({ crew }: { crew: CrewEntry }) {
  const [weeks, setWeeks] = useState<"4" | "8">("8");
  const query = progressApi.useReviewQuery({ crewId: crew.id, weeks: Number(weeks) });
  return (
    <>
      <Box sx={{ mb: 2, "@media print": { display: "none" } }}>
        <Choice<"4" | "8">
          label={t("Weeks looked back on")}
          value={weeks}
          onChange={setWeeks}
          options={[
            { value: "4", label: weeksText(4) },
            { value: "8", label: weeksText(8) },
          ]}
        />
      </Box>
      <Loaded query={query} keepShown>
        {(review) =>
          review.days.length === 0 ? (
            <Empty title={t("No run in these weeks")} text={t("A review looks back on what was done, felt and measured.")} />
          ) : (
            <Block crew={crew} review={review} />
          )
        }
      </Loaded>
    </>
  );
}

function Block({ crew, review }: { crew: CrewEntry; review: ReviewAnswer }) {
  const work = useWorkDone(crew.id);
  const strain = useMemo(() => {
    // One bar a day: the hand it is hardest on, of the way that is.
    const day = work && work.tasks.length > 0 ? hardestWay(work) : undefined;
    if (!work || !day) return new Map<string, number>();
    const { value } = harderHand(work, day);
    const count = Math.round((Date.parse(review.until) - Date.parse(review.from)) / 86_400_000) + 1;
    return new Map(shiftsFrom(crew.shiftPattern, crew.timeZone, review.from, count).map(({ date }) => [date, value]));
  }, [work, crew, review]);
  const measured = review.people.filter(({ changes }) => changes.length > 0);
  const better = measured.filter(({ changes }) => changes.some(({ verdict }) => verdict === "better")).length;
  return (
    <>
      <Box sx={{ display: "flex", gap: { xs: 3, md: 7 }, flexWrap: "wrap", mb: 2 }}>
        <Figure value={percent(review.adherence)} label={t("of the items due were done")} />
        <Figure
          value={percent(review.raised)}
          label={t("of {{count}} mornings above usual", { count: review.answers, defaultValue_one: "of {{count}} morning above usual" })}
        />
        <Figure
          value={review.rounds ? `${better}` : "–"}
          label={review.rounds ? t("people better beyond noise") : t("nobody measured twice")}
        />
      </Box>
      <ReviewChart days={review.days} strain={strain} />
      <Rises rises={review.rises} strain={strain} />
      <Next crew={crew} next={review.next} />
      <Table
        caption={t("Who changed, and why{{what}}", {
          what: review.rounds
            ? t(": each one's first round against what was last found, {{first}} to {{last}}", {
                first: review.rounds.first,
                last: review.rounds.last,
              })
            : "",
        })}
        head={[t("Person"), t("Done"), t("Effort"), t("Mornings a week"), t("Decisions"), t("Measured, beyond noise")]}
        rows={review.people.map((person) => ({
          key: person.personId,
          cells: [
            person.name,
            percent(person.adherence),
            person.meanEffort === null ? "–" : fixedText(person.meanEffort, 1),
            person.morningTrend === null ? answersText(person.answers) : signed(person.morningTrend),
            <Box key="d" sx={{ display: "flex", columnGap: 2, flexWrap: "wrap" }}>
              {(["pauseAndRefer", "ease", "progress", "hold"] as const).flatMap((kind) =>
                person.decisions[kind]
                  ? [
                      <span key={kind} style={{ whiteSpace: "nowrap" }}>
                        {<DecisionMark kind={kind} size={17} />} {person.decisions[kind]}
                      </span>,
                    ]
                  : [],
              )}
            </Box>,
            person.changes.length === 0 ? "–" : person.changes.map(changeWords).join("; "),
          ],
        }))}
      />
    </>
  );
}

/** Weeks in which strengthening grew faster than hands adapt, beside the work of the same days. */
function Rises({ rises, strain }: { rises: readonly LoadRise[]; strain: ReadonlyMap<string, number> }) {
  const words = useWords();
  const weeks = grouped(rises, ({ weekStart }) => weekStart);
  const workIn = (weekStart: string) => {
    const values = [...strain].flatMap(([day, value]) => (day >= weekStart && day < addDays(weekStart, 7) ? [value] : []));
    return values.length === 0
      ? ""
      : t("; strain of the work {{max}} on {{count}} days", {
          max: fixedText(Math.max(...values), 1),
          count: values.length,
          defaultValue_one: "; strain of the work {{max}} on {{count}} day",
        });
  };
  if (rises.length === 0)
    return (
      <Typography sx={{ color: "text.secondary" }}>{t("In no week did the load of strengthening rise by more than a tenth.")}</Typography>
    );
  return (
    <Box component="section" aria-label={t("Fast rises")} sx={{ mt: 1 }}>
      <Typography variant="h3">{t("More strengthening than in the last week that had any")}</Typography>
      {[...weeks].map(([weekStart, list]) => (
        <Typography key={weekStart}>
          <strong>{dateText(DateTime.fromISO(weekStart), "d LLLL")}</strong>:{" "}
          {list
            .map(
              ({ region, kind, rise, weekStart, againstWeek }) =>
                `${words.label("region", region)} ${rise === null ? t("from nothing") : `+${Math.round(rise * 100)} %`}${kind === "effort" ? ` ${t("(by effort)")}` : ""}${pauseText(weekStart, againstWeek)}`,
            )
            .join(", ")}
          {workIn(weekStart)}
        </Typography>
      ))}
    </Box>
  );
}

/** Said when the week it is compared with is not the one before. */
function pauseText(weekStart: string, againstWeek: string | null): string {
  return againstWeek === null || againstWeek === addDays(weekStart, -7)
    ? ""
    : ` ${t("over {{date}}, with a pause between", { date: dateText(DateTime.fromISO(againstWeek), "d LLLL") })}`;
}

function Next({ crew, next }: { crew: CrewEntry; next: ReviewAnswer["next"] }) {
  return (
    <Box component="section" aria-label={t("Next block")} sx={{ borderLeft: "4px solid", borderColor: "warm.main", pl: 2.5, py: 1, my: 3 }}>
      <Typography variant="h2">
        {t("Next: {{weeks}}, {{what}}", { weeks: weeksText(next.weeks), what: next.aim === "loadLed" ? t("load-led") : t("relief-led") })}
        {next.shorter && t(", shorter sessions")}
      </Typography>
      {next.reasons.map((reason) => (
        <Typography key={reason.reason}>{blockReasonText(reason)}</Typography>
      ))}
      <Button
        component={Link}
        to={`/crews/${crew.id}/program/compose?aim=${next.aim}&weeks=${next.weeks}`}
        variant="outlined"
        sx={{ mt: 1.5, "@media print": { display: "none" } }}
      >
        {t("Compose it")}
      </Button>
    </Box>
  );
}

function percent(share: number | null): string {
  return share === null ? "–" : `${Math.round(share * 100)}\u00a0%`;
}

function signed(value: number): string {
  return Math.abs(value) < 0.05
    ? t("level")
    : t("{{what}}{{abs}} points", { what: value > 0 ? "+" : "−", abs: fixedText(Math.abs(value), 1) });
}
