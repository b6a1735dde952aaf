/** Who is held out, and whose clearance ends this week. Names only: the reasons are on the crew's own page. */
import { Box, Link as TextLink, Typography } from "@mui/material";
import { Ban, CalendarClock } from "lucide-react";
import { DateTime } from "luxon";
import { Link } from "react-router";
import type { Today } from "../app/api";

export function NeedsYou({ today: { heldOut, endingSoon } }: { today: Today }) {
  if (heldOut.length + endingSoon.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Needs you"
      sx={{ display: "grid", gridTemplateColumns: { md: "1fr 1fr" }, columnGap: 5, rowGap: 2, mb: 4 }}
    >
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

function Line({ to, name, text }: { to: string; name: string; text: string }) {
  return (
    <Box
      sx={{ borderTop: "1px solid", borderColor: "line", minHeight: 44, display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}
    >
      <TextLink component={Link} to={to} sx={{ color: "text.primary", fontWeight: 700 }}>
        {name}
      </TextLink>
      <Typography sx={{ color: "text.secondary" }}>{text}</Typography>
    </Box>
  );
}
