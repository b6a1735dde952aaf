/** What crew members reported, late runs, what waits for a decision, who is held out, whose clearance ends this week. Reasons are on the crew's own pages. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { Ban, CalendarClock, History, ListChecks, OctagonX } from "lucide-react";
import { DateTime } from "luxon";
import { Link } from "react-router";
import { useState, type ReactNode } from "react";
import type { DecisionKind } from "@kind-grip/core/response";
import { grouped } from "@kind-grip/core/units";
import type { PersonAlert, Today } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { runApi } from "../run/api";
import { useWords } from "../base/library";
import { AnswerDialog } from "../safety/AnswerDialog";
import { pausedWords, reportWords } from "../safety/report-words";
import { DECISION_WORDS } from "../response/response-text";

/** Most urgent first. */
const KINDS: readonly DecisionKind[] = ["pauseAndRefer", "ease", "progress"];

export function NeedsYou({ today: { heldOut, endingSoon, decisions, alerts, clashes } }: { today: Today }) {
  const words = useWords();
  const [answering, setAnswering] = useState<PersonAlert | null>(null);
  const [answerClash] = runApi.useAnswerClashMutation();
  if (heldOut.length + endingSoon.length + decisions.length + alerts.length + clashes.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label={t("Needs you")}
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1fr 1fr" }, columnGap: 5, rowGap: 2, mb: 4 }}
    >
      {alerts.length > 0 && (
        <Box sx={{ gridColumn: "1 / -1", border: "2px solid", borderColor: "error.main", borderRadius: 2, px: 2, py: 1 }}>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "error.main", mb: 0.5 }}>
            <OctagonX size={20} aria-hidden /> {t("Stopped and told you")}
          </Typography>
          {alerts.map((alert) => (
            <Line
              key={alert.personId}
              to={`/crews/${alert.crewId}/people/held-out`}
              name={alert.name}
              text={[
                ...alert.reports.map((report) => reportWords(report, words, alert.timeZone)),
                `${alert.crewName}. ${alert.heldOut ? t("Held out by the answers given.") : pausedWords(alert.reports, words)}`,
              ]}
            >
              <Button
                variant="contained"
                color="error"
                onClick={() => setAnswering(alert)}
                aria-label={t("Answer {{name}}", { name: alert.name })}
              >
                {t("Answer")}
              </Button>
            </Line>
          ))}
        </Box>
      )}
      {clashes.length > 0 && (
        <Box sx={{ gridColumn: "1 / -1" }}>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "warm.dark", mb: 0.5 }}>
            <History size={20} aria-hidden /> {t("Runs that came late")}
          </Typography>
          {clashes.map((clash) => (
            <Line
              key={`${clash.runId} ${clash.personId}`}
              to={`/crews/${clash.crewId}/runs/${clash.runId}`}
              name={clash.name}
              text={t(
                "{{sessionName}}, {{crewName}}: led {{startedAt}}, arrived {{receivedAt}}. Out of {{what}} by then. It counts for nothing until you say which it is.",
                {
                  sessionName: clash.sessionName,
                  crewName: clash.crewName,
                  startedAt: moment(clash.startedAt),
                  receivedAt: moment(clash.receivedAt),
                  what: clash.kind === "heldOut" ? t("everything") : t("a part of it"),
                },
              )}
            >
              <Button
                variant="outlined"
                onClick={() => void answerClash({ runId: clash.runId, personId: clash.personId, answer: "before" })}
                aria-label={t("It was before: {{name}}", { name: clash.name })}
              >
                {t("It was before")}
              </Button>
              <Button
                onClick={() => void answerClash({ runId: clash.runId, personId: clash.personId, answer: "mistake" })}
                aria-label={t("A mistake: {{name}}", { name: clash.name })}
              >
                {t("A mistake")}
              </Button>
            </Line>
          ))}
        </Box>
      )}
      {decisions.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", mb: 0.5 }}>
            <ListChecks size={20} aria-hidden /> {t("To decide")}
          </Typography>
          {[...grouped(decisions, ({ crewId }) => crewId)].map(([crewId, list]) => (
            <Line
              key={crewId}
              to={`/crews/${crewId}/progress`}
              name={list[0]!.crewName}
              text={KINDS.flatMap((kind) => {
                const found = list.find((each) => each.kind === kind);
                return found
                  ? [t("{{people}} to {{decisionWords}}", { people: found.people, decisionWords: DECISION_WORDS[kind].toLowerCase() })]
                  : [];
              }).join(", ")}
            />
          ))}
        </Box>
      )}
      {heldOut.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "error.main", mb: 0.5 }}>
            <Ban size={20} aria-hidden /> {t("Held out")}
          </Typography>
          {heldOut.map(({ crewId, crewName, personId, name, since }) => (
            <Line
              key={personId}
              to={`/crews/${crewId}/people/held-out`}
              name={name}
              text={t("{{crewName}}, since {{date}}", { crewName, date: dateText(DateTime.fromISO(since), "d LLL") })}
            />
          ))}
        </Box>
      )}
      {endingSoon.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "warm.dark", mb: 0.5 }}>
            <CalendarClock size={20} aria-hidden /> {t("Clearance ends this week")}
          </Typography>
          {endingSoon.map(({ crewId, crewName, personId, name, until }) => (
            <Line
              key={`${personId} ${until}`}
              to={`/crews/${crewId}/people/held-out`}
              name={name}
              text={t("{{crewName}}, last day {{date}}", { crewName, date: dateText(DateTime.fromISO(until), "cccc d LLL") })}
            />
          ))}
        </Box>
      )}
      {answering && <AnswerDialog alert={answering} onClose={() => setAnswering(null)} />}
    </Box>
  );
}

const moment = (at: string) => dateText(DateTime.fromISO(at), "d LLL HH:mm");

function Line({ to, name, text, children }: { to: string; name: string; text: string | readonly string[]; children?: ReactNode }) {
  return (
    <Box
      sx={{ borderTop: "1px solid", borderColor: "line", minHeight: 44, display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}
    >
      <TextLink component={Link} to={to} sx={{ color: "text.primary", fontWeight: 700 }}>
        {name}
      </TextLink>
      <Box sx={{ color: "text.secondary", flex: 1, minWidth: 240 }}>
        {[text].flat().map((line) => (
          <Typography key={line}>{line}</Typography>
        ))}
      </Box>
      {children}
    </Box>
  );
}
