/** A session of today: when, what, how long, and whether it was led. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { CheckCircle2 } from "lucide-react";
import { Link } from "react-router";
import type { TodayEntry } from "@kind-grip/core/api";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { timeText } from "../base/dates";
import { runAddress } from "../run/address";
import { ShortKit } from "./ShortKit";

export function EntryLine({ entry, isNext, lead }: { entry: TodayEntry; isNext: boolean; lead: boolean }) {
  return (
    <Box component="li" sx={{ display: "grid", gridTemplateColumns: "64px 1fr auto", alignItems: "center", gap: 1.5, minHeight: 48 }}>
      <Typography sx={{ fontWeight: 700, fontSize: "1.1rem" }}>{timeText(Date.parse(entry.startsAt), entry.timeZone)}</Typography>
      <Box sx={{ minWidth: 0 }}>
        <Typography noWrap>
          {entry.sessionName}
          {entry.groupName && `, ${entry.groupName}`}{" "}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {durationText(entry.totalSec)}
          </Box>
        </Typography>
        {!entry.runId && <ShortKit short={entry.shortKit} />}
      </Box>
      {entry.runId && lead ? (
        <Typography sx={{ display: "inline-flex", gap: 0.75, alignItems: "center" }}>
          <CheckCircle2 size={20} aria-hidden /> {t("Led")}
        </Typography>
      ) : entry.runId ? (
        <TextLink
          component={Link}
          to={`/crews/${entry.crewId}/runs/${entry.runId}`}
          sx={{ display: "inline-flex", gap: 0.75, alignItems: "center", minHeight: 44 }}
        >
          <CheckCircle2 size={20} aria-hidden /> {t("Led")}
        </TextLink>
      ) : (
        <Button
          component={Link}
          to={runAddress(entry)}
          variant={isNext ? "contained" : "outlined"}
          aria-label={t("Lead {{sessionName}}, {{crewName}}", { sessionName: entry.sessionName, crewName: entry.crewName })}
        >
          {t("Lead")}
        </Button>
      )}
    </Box>
  );
}
