/** What crew members told, what waits for a decision, who is held out, whose clearance ends this week. Reasons are on the crew's own pages. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { Ban, CalendarClock, ListChecks, OctagonX } from "lucide-react";
import { DateTime } from "luxon";
import { Link } from "react-router";
import type { ReactNode } from "react";
import { wordsIn } from "@kind-grip/core/language";
import { DECISION_WORDS, type DecisionKind } from "@kind-grip/core/response";
import { grouped } from "@kind-grip/core/units";
import type { Today } from "@kind-grip/core/answers";
import { serverApi } from "../app/api";

/** Most urgent first. */
const KINDS: readonly DecisionKind[] = ["pauseAndRefer", "ease", "progress"];

export function NeedsYou({ today: { heldOut, endingSoon, decisions, tells } }: { today: Today }) {
  const [markSeen] = serverApi.useMarkTellSeenMutation();
  if (heldOut.length + endingSoon.length + decisions.length + tells.length === 0) return null;
  const words = wordsIn();
  return (
    <Box
      component="section"
      aria-label="Needs you"
      sx={{ display: "grid", gridTemplateColumns: { md: "1fr 1fr" }, columnGap: 5, rowGap: 2, mb: 4 }}
    >
      {tells.length > 0 && (
        <Box sx={{ gridColumn: "1 / -1", border: "2px solid", borderColor: "error.main", borderRadius: 2, px: 2, py: 1 }}>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "error.main", mb: 0.5 }}>
            <OctagonX size={20} aria-hidden /> Stopped and told you
          </Typography>
          {tells.map((tell) => (
            <Line
              key={tell.id}
              to={`/crews/${tell.crewId}/people/held-out`}
              name={tell.name}
              text={[
                words.member(`tellKind.${tell.kind}`).toLowerCase(),
                tell.movementId && words.movementName(tell.movementId).toLowerCase(),
                tell.words && `“${tell.words}”`,
                `${tell.crewName}, ${DateTime.fromISO(tell.at).toFormat("d LLL HH:mm")}`,
              ]
                .filter(Boolean)
                .join(" · ")}
            >
              <Button variant="outlined" onClick={() => void markSeen(tell.id)} aria-label={`Seen: ${tell.name}`}>
                Seen
              </Button>
            </Line>
          ))}
        </Box>
      )}
      {decisions.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", mb: 0.5 }}>
            <ListChecks size={20} aria-hidden /> To decide
          </Typography>
          {[...grouped(decisions, ({ crewId }) => crewId)].map(([crewId, list]) => (
            <Line
              key={crewId}
              to={`/crews/${crewId}/progress`}
              name={list[0]!.crewName}
              text={KINDS.flatMap((kind) => {
                const found = list.find((each) => each.kind === kind);
                return found ? [`${found.count} ${DECISION_WORDS[kind].toLowerCase()}`] : [];
              }).join(", ")}
            />
          ))}
        </Box>
      )}
      {heldOut.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "error.main", mb: 0.5 }}>
            <Ban size={20} aria-hidden /> Held out
          </Typography>
          {heldOut.map(({ crewId, crewName, personId, name, since }) => (
            <Line
              key={personId}
              to={`/crews/${crewId}/people/held-out`}
              name={name}
              text={`${crewName}, since ${DateTime.fromISO(since).toFormat("d LLL")}`}
            />
          ))}
        </Box>
      )}
      {endingSoon.length > 0 && (
        <Box>
          <Typography variant="h3" sx={{ display: "flex", gap: 1, alignItems: "center", color: "warm.dark", mb: 0.5 }}>
            <CalendarClock size={20} aria-hidden /> Clearance ends this week
          </Typography>
          {endingSoon.map(({ crewId, crewName, personId, name, until }) => (
            <Line
              key={`${personId} ${until}`}
              to={`/crews/${crewId}/people/held-out`}
              name={name}
              text={`${crewName}, last day ${DateTime.fromISO(until).toFormat("cccc d LLL")}`}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}

function Line({ to, name, text, children }: { to: string; name: string; text: string; children?: ReactNode }) {
  return (
    <Box
      sx={{ borderTop: "1px solid", borderColor: "line", minHeight: 44, display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}
    >
      <TextLink component={Link} to={to} sx={{ color: "text.primary", fontWeight: 700 }}>
        {name}
      </TextLink>
      <Typography sx={{ color: "text.secondary", flex: 1 }}>{text}</Typography>
      {children}
    </Box>
  );
}
