/** Everything about one person that waits for the trainer, with what can be done about it here. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { CalendarClock, History, ListChecks, OctagonX, type LucideIcon } from "lucide-react";
import { DateTime } from "luxon";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { PersonAlert } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import { useTellFailure } from "../base/tell-failure";
import { DECISION_WORDS } from "../response/response-text";
import { runApi } from "../run/api";
import { pausedWords, reportWords } from "../safety/report-words";
import type { PersonNeeds } from "./needs";

const moment = (at: string) => dateText(DateTime.fromISO(at), "d LLL HH:mm");

export function PersonNeed({ person, onAnswer }: { person: PersonNeeds; onAnswer(alert: PersonAlert): void }) {
  const words = useWords();
  const told = useTellFailure();
  const [answerClash] = runApi.useAnswerClashMutation();
  const { alert, clashes, decision, heldOutSince, clearanceEnds, crewId, crewName, personId, name } = person;
  return (
    <Box
      component="li"
      aria-label={name}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "230px minmax(0, 1fr)" },
        columnGap: 3,
        py: 1,
        borderTop: "1px solid",
        borderColor: "line",
        ...(alert && { borderLeft: "6px solid", borderLeftColor: "error.main", pl: 1.5 }),
      }}
    >
      <Box>
        <TextLink
          component={Link}
          to={`/crews/${crewId}/people/${personId}`}
          sx={{ color: "text.primary", fontWeight: 750, fontSize: "1.1rem" }}
        >
          {name}
        </TextLink>
        <Typography sx={{ color: "text.secondary" }}>{crewName}</Typography>
        {heldOutSince && (
          <Typography sx={{ color: "error.main", fontWeight: 650 }}>
            {t("Held out since {{date}}", { date: dateText(DateTime.fromISO(heldOutSince), "d LLL") })}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: "grid", gap: 0.5 }}>
        {alert && (
          <Matter
            Icon={OctagonX}
            grave
            title={t("Stopped and told you")}
            lines={[
              ...alert.reports.map((report) => reportWords(report, words, alert.timeZone)),
              alert.heldOut ? t("Held out by the answers given.") : pausedWords(alert.reports, words),
            ]}
          >
            <Button variant="contained" color="error" onClick={() => onAnswer(alert)} aria-label={t("Answer {{name}}", { name })}>
              {t("Answer")}
            </Button>
          </Matter>
        )}
        {decision && (
          <Matter
            Icon={ListChecks}
            grave={decision.kind === "pauseAndRefer"}
            title={`${DECISION_WORDS[decision.kind]}?`}
            lines={[
              t("{{count}} movements wait for you.", { count: decision.items, defaultValue_one: "{{count}} movement waits for you." }),
            ]}
          >
            <Button component={Link} to={`/crews/${crewId}/progress`} variant="outlined" aria-label={t("Decide about {{name}}", { name })}>
              {t("Decide")}
            </Button>
          </Matter>
        )}
        {clashes.map((clash) => (
          <Matter
            key={clash.runId}
            Icon={History}
            title={t("A run that came late")}
            lines={[
              t(
                "{{sessionName}}: led {{startedAt}}, arrived {{receivedAt}}. Out of {{what}} by then. It counts for nothing until you say which it is.",
                {
                  sessionName: clash.sessionName,
                  startedAt: moment(clash.startedAt),
                  receivedAt: moment(clash.receivedAt),
                  what: clash.kind === "heldOut" ? t("everything") : t("a part of it"),
                },
              ),
            ]}
          >
            <Button
              variant="outlined"
              onClick={() => void told(answerClash({ runId: clash.runId, personId, answer: "before" }))}
              aria-label={t("It was before: {{name}}", { name })}
            >
              {t("It was before")}
            </Button>
            <Button
              onClick={() => void told(answerClash({ runId: clash.runId, personId, answer: "mistake" }))}
              aria-label={t("A mistake: {{name}}", { name })}
            >
              {t("A mistake")}
            </Button>
          </Matter>
        ))}
        {clearanceEnds && (
          <Matter
            Icon={CalendarClock}
            title={t("Clearance ends this week")}
            lines={[t("Last day {{date}}.", { date: dateText(DateTime.fromISO(clearanceEnds), "cccc d LLL") })]}
          >
            <Button
              component={Link}
              to={`/crews/${crewId}/people/held-out`}
              variant="outlined"
              aria-label={t("Clearance of {{name}}", { name })}
            >
              {t("Look")}
            </Button>
          </Matter>
        )}
      </Box>
    </Box>
  );
}

interface MatterProps {
  Icon: LucideIcon;
  title: string;
  lines: readonly string[];
  grave?: boolean;
  children?: ReactNode;
}

function Matter({ Icon, title, lines, grave, children }: MatterProps) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "start", flexWrap: "wrap" }}>
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Typography sx={{ display: "flex", gap: 0.75, alignItems: "center", fontWeight: 700, color: grave ? "error.main" : "warm.dark" }}>
          <Icon size={19} aria-hidden /> {title}
        </Typography>
        {lines.map((line) => (
          <Typography key={line} sx={{ color: "text.secondary", lineHeight: 1.35 }}>
            {line}
          </Typography>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>{children}</Box>
    </Box>
  );
}
