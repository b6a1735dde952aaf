/** One session of the week: who leads it, on that day or for good; to a crew lead only once they were shown it. */
import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Typography,
} from "@mui/material";
import { CalendarDays, Play } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link } from "react-router";
import type { Leader, OwnWeek, OwnWeekEntry } from "@kind-grip/core/api";
import { mondayOf } from "@kind-grip/core/calendar";
import { durationText } from "@kind-grip/core/units";
import { problemOf } from "../base/api";
import { timeAmong } from "../base/clock-places";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { runAddress } from "../run/address";
import { ownWeekApi } from "./api";
import { zonesOf } from "./week-view";

interface EntryDialogProps {
  entry: OwnWeekEntry;
  week: OwnWeek;
  onClose(): void;
}

export function EntryDialog({ entry, week, onClose }: EntryDialogProps) {
  const [hand, handing] = ownWeekApi.useHandOverMutation();
  const [reach, setReach] = useState<"day" | "series">("day");
  const [to, setTo] = useState<string>(entry.leaderId);
  const [shown, setShown] = useState(false);
  const leaders = week.leaders.filter(({ crewIds }) => crewIds.includes(entry.crewId));
  const mayHand = leaders.some(({ id, role }) => id === week.me && role === "trainer") && entry.runId === null;
  const leader = leaders.find(({ id }) => id === to);
  const asks = leader?.role === "lead" && approvalOf(week, leader, entry) !== "good";
  const start = DateTime.fromISO(entry.startsAt, { zone: entry.timeZone });
  const save = async () => {
    const answer = await hand({
      crewId: entry.crewId,
      placementId: entry.placementId,
      seriesId: reach === "series" ? entry.seriesId : null,
      leaderId: to,
      shown,
    });
    if (!answer.error) onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="week-entry">
      <DialogTitle id="week-entry">{entry.sessionName}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, justifyItems: "start" }}>
        <Typography>
          {dateText(start, "cccc d LLLL")}, {timeAmong(start.toMillis(), entry.timeZone, zonesOf(week))} · {durationText(entry.totalSec)}
          <br />
          {[entry.crewName, entry.groupName, entry.place].filter(Boolean).join(" · ")}
        </Typography>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          {entry.runId === null && (
            <Button component={Link} to={runAddress(entry)} variant="contained" startIcon={<Play size={18} />}>
              {t("Lead it now")}
            </Button>
          )}
          <Button component={Link} to={`/crews/${entry.crewId}/day-plan/${mondayOf(entry.date)}`} startIcon={<CalendarDays size={18} />}>
            {t("Show in the day plan")}
          </Button>
        </Box>
        {mayHand ? (
          <>
            <Box>
              <Typography sx={{ mb: 0.5 }}>{t("Led by")}</Typography>
              <Choice
                label={t("Led by")}
                value={to}
                onChange={(id) => {
                  setTo(id);
                  setShown(false);
                }}
                options={leaders.map((each) => ({
                  value: each.id,
                  label: each.id === week.me ? t("Me") : each.name,
                  note: noteOf(week, each, entry),
                }))}
              />
            </Box>
            {entry.seriesId && (
              <Choice
                label={t("For which days")}
                value={reach}
                onChange={(value) => setReach(value)}
                options={[
                  { value: "day", label: t("This day") },
                  { value: "series", label: t("Every day of the series") },
                ]}
              />
            )}
            {asks && (
              <FormControlLabel
                control={<Checkbox checked={shown} onChange={(_, on) => setShown(on)} />}
                label={t("I have shown {{name}} this session, and they may lead it.", { name: leader.name })}
              />
            )}
          </>
        ) : (
          <Typography>
            {entry.runId !== null
              ? t("Was led by {{name}}.", { name: nameOf(week, entry.leaderId) })
              : t("To be led by {{name}}.", { name: nameOf(week, entry.leaderId) })}
          </Typography>
        )}
        {handing.error && (
          <Alert severity="error" variant="outlined">
            {problemOf(handing.error).message}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{mayHand ? t("Not now") : t("Close")}</Button>
        {mayHand && (
          <Button
            variant="contained"
            disabled={handing.isLoading || (asks && !shown) || (to === entry.leaderId && reach === "day")}
            onClick={() => void save()}
          >
            {t("Hand it over")}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function approvalOf({ approvals }: OwnWeek, { id }: Leader, { sessionId }: OwnWeekEntry): "good" | "outdated" | "none" {
  const approval = approvals.find((each) => each.accountId === id && each.sessionId === sessionId);
  return approval ? (approval.outdated ? "outdated" : "good") : "none";
}

function noteOf(week: OwnWeek, leader: Leader, entry: OwnWeekEntry): string | undefined {
  if (leader.role === "trainer") return undefined;
  const approval = week.approvals.find((each) => each.accountId === leader.id && each.sessionId === entry.sessionId);
  switch (approvalOf(week, leader, entry)) {
    case "good":
      return t("shown {{date}} by {{name}}", { date: dateText(DateTime.fromISO(approval!.at), "d LLL"), name: approval!.by });
    case "outdated":
      return t("shown before it changed");
    case "none":
      return t("not shown yet");
  }
}

function nameOf({ leaders, me }: OwnWeek, id: string): string {
  return id === me ? t("me") : (leaders.find((each) => each.id === id)?.name ?? t("somebody else"));
}
