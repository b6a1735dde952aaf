/** One day of the week: its sessions in the order they are led, and between them what stands in the way of leading both. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { Check, CircleAlert, TriangleAlert } from "lucide-react";
import { DateTime } from "luxon";
import { useEffect, useRef } from "react";
import type { OwnWeek, OwnWeekEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import type { LeaderClash } from "@kind-grip/core/dayplan";
import { clockPlace } from "../base/clock-places";
import { dateText, timeText } from "../base/dates";
import { t } from "../base/words";
import { clashText } from "./clash-text";
import { isUnled, zonesOf } from "./week-view";

/** Width of the page from which days stand beside each other, px. */
const STACKED_BELOW = 900;

interface DayColumnProps {
  date: string;
  isToday: boolean;
  /** Of that day, oldest first. */
  entries: readonly OwnWeekEntry[];
  clashes: readonly LeaderClash[];
  week: OwnWeek;
  now: number;
  namesLeader: boolean;
  namesCrew: boolean;
  onOpen(placementId: string): void;
}

export function DayColumn({ date, isToday, entries, clashes, week, now, namesLeader, namesCrew, onOpen }: DayColumnProps) {
  const day = DateTime.fromISO(date);
  const column = useRef<HTMLElement>(null);
  // Where days stand below each other, today's is what is looked for.
  useEffect(() => {
    if (isToday && innerWidth < STACKED_BELOW) column.current?.scrollIntoView?.();
  }, [isToday]);
  return (
    <Box
      ref={column}
      component="section"
      aria-label={dateText(day, "cccc d LLLL")}
      sx={{ display: "grid", gap: 0.75, alignContent: "start", minWidth: 0 }}
    >
      <Typography
        component="h2"
        sx={{
          fontWeight: 700,
          fontSize: "1rem",
          pb: 0.25,
          borderBottom: "3px solid",
          borderColor: isToday ? "primary.main" : "line",
          color: entries.length > 0 || isToday ? "text.primary" : "text.secondary",
        }}
      >
        {dateText(day, "ccc d")}
        {isToday && (
          <Box component="span" sx={{ fontWeight: 500, color: "text.secondary" }}>
            {" "}
            {t("today")}
          </Box>
        )}
      </Typography>
      {entries.map((entry) => (
        <Box key={entry.placementId} sx={{ minWidth: 0 }}>
          <EntryCard entry={entry} week={week} now={now} namesLeader={namesLeader} namesCrew={namesCrew} onOpen={onOpen} />
          {clashes
            .filter(({ ids }) => ids[0] === entry.placementId)
            .map((clash) => (
              <Between key={clash.ids.join(" ")} clash={clash} week={week} />
            ))}
        </Box>
      ))}
    </Box>
  );
}

function EntryCard({
  entry,
  week,
  now,
  namesLeader,
  namesCrew,
  onOpen,
}: Pick<DayColumnProps, "week" | "now" | "namesLeader" | "namesCrew" | "onOpen"> & { entry: OwnWeekEntry }) {
  const leader = week.leaders.find(({ id }) => id === entry.leaderId)?.name ?? t("somebody else");
  const unled = isUnled(entry, now);
  const startMs = Date.parse(entry.startsAt);
  // In a night shift the small hours are the next day's.
  const isNextDay = dateAt(startMs, entry.timeZone) !== entry.date;
  const time = [
    timeText(startMs, entry.timeZone),
    isNextDay && dateText(DateTime.fromMillis(startMs, { zone: entry.timeZone }), "ccc"),
    clockPlace(entry.timeZone, zonesOf(week), startMs),
  ]
    .filter(Boolean)
    .join(" ");
  return (
    <ButtonBase
      onClick={() => onOpen(entry.placementId)}
      sx={{
        display: "block",
        width: "100%",
        textAlign: "start",
        px: 1,
        py: 0.75,
        borderRadius: 1.5,
        borderLeft: "5px solid",
        borderColor: unled ? "warm.main" : entry.runId ? "line" : "primary.main",
        bgcolor: "background.paper",
        lineHeight: 1.25,
        "@media print": { border: "1px solid", borderLeftWidth: 5, breakInside: "avoid", py: 0.25 },
      }}
    >
      <Box component="span" sx={{ display: "flex", alignItems: "center", gap: 0.5, fontWeight: 700 }}>
        {time}
        {entry.runId && <Check size={16} aria-label={t("led")} />}
        {unled && (
          <Box
            component="span"
            sx={{ display: "inline-flex", alignItems: "center", gap: 0.5, color: "warm.dark", fontWeight: 650, fontSize: "0.875rem" }}
          >
            <CircleAlert size={15} aria-hidden />
            {t("not led")}
          </Box>
        )}
      </Box>
      <Box component="span" sx={{ display: "block", overflowWrap: "anywhere" }}>
        {entry.sessionName}
      </Box>
      <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", overflowWrap: "anywhere" }}>
        {[namesCrew ? entry.crewName : null, entry.groupName, entry.place].filter(Boolean).join(" · ")}
      </Box>
      {(namesLeader || entry.leaderId !== week.me) && (
        <Box component="span" sx={{ display: "block", fontSize: "0.875rem", fontWeight: 600 }}>
          {entry.leaderId === week.me ? t("Me") : leader}
        </Box>
      )}
    </ButtonBase>
  );
}

function Between({ clash, week }: { clash: LeaderClash; week: OwnWeek }) {
  const isAsked = clash.kind === "unknownWay";
  return (
    <Box
      sx={{
        display: "flex",
        gap: 0.5,
        alignItems: "start",
        mt: 0.5,
        fontSize: "0.875rem",
        lineHeight: 1.25,
        color: isAsked ? "text.secondary" : "warm.dark",
        fontWeight: isAsked ? 400 : 650,
      }}
    >
      {!isAsked && <TriangleAlert size={15} aria-hidden style={{ flex: "none", marginTop: 1 }} />}
      <span>{clashText(clash, week)}</span>
    </Box>
  );
}
