/** The heading of a week, with the way to the weeks beside it and to any other. */
import { Button, IconButton, Popover, Tooltip } from "@mui/material";
import { CalendarArrowDown, CalendarDays, ChevronLeft, ChevronRight, Printer } from "lucide-react";
import { DateTime } from "luxon";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import type { CrewEntry } from "@kind-grip/core/api";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { PageTitle } from "../parts/PageTitle";
import { WeekPicker } from "./WeekPicker";

export function WeekTitle({ crew, weekStart, children }: { crew: CrewEntry; weekStart: string; children?: React.ReactNode }) {
  const navigate = useNavigate();
  const now = useNow();
  const [pickAt, setPickAt] = useState<HTMLElement | null>(null);
  const monday = DateTime.fromISO(weekStart);
  const address = (week: string) => `/crews/${crew.id}/day-plan/${week}`;
  const to = (days: number) => address(addDays(weekStart, days));
  // Until the page of the week asked for is there, this one stands: the next key goes on from that week.
  const asked = useRef<string>(null);
  useEffect(() => {
    asked.current = null;
  }, [weekStart]);
  const go = (week: string) => {
    asked.current = week;
    void navigate(address(week));
  };
  useWeekKeys((days) => go(addDays(asked.current ?? weekStart, days)));
  return (
    <PageTitle title={t("Week of {{date}}", { date: dateText(monday, "d LLLL") })}>
      <IconButton component={Link} to={to(-7)} aria-label={t("Week before")}>
        <ChevronLeft />
      </IconButton>
      <Button component={Link} to={`/crews/${crew.id}/day-plan`}>
        {t("This week")}
      </Button>
      <IconButton component={Link} to={to(7)} aria-label={t("Week after")}>
        <ChevronRight />
      </IconButton>
      <Tooltip title={t("Go to a week")}>
        <IconButton aria-label={t("Go to a week")} aria-haspopup="dialog" onClick={(event) => setPickAt(event.currentTarget)}>
          <CalendarDays size={22} />
        </IconButton>
      </Tooltip>
      <Popover
        open={pickAt !== null}
        anchorEl={pickAt}
        onClose={() => setPickAt(null)}
        slotProps={{ paper: { role: "dialog", "aria-label": t("Go to a week"), sx: { p: 2, maxWidth: "calc(100vw - 16px)" } } }}
      >
        <WeekPicker
          crew={crew}
          weekStart={weekStart}
          thisWeek={mondayOf(dateAt(now, crew.timeZone))}
          onPick={(week) => {
            setPickAt(null);
            go(week);
          }}
        />
      </Popover>
      {children}
      <Tooltip title={t("The week on one page")}>
        <IconButton component={Link} to={`/week/${weekStart}?crew=${crew.id}`} aria-label={t("The week on one page")}>
          <Printer size={22} />
        </IconButton>
      </Tooltip>
      <Tooltip title={t("Calendar")}>
        <IconButton component="a" href={`/api/crews/${crew.id}/calendar.ics`} aria-label={t("Calendar")}>
          <CalendarArrowDown size={22} />
        </IconButton>
      </Tooltip>
    </PageTitle>
  );
}

/** Page up and down: the week before and after, wherever nothing else wants these keys. */
function useWeekKeys(go: (days: number) => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const days = { PageUp: -7, PageDown: 7 }[event.key];
      const isTaken = event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented;
      if (days === undefined || isTaken || (event.target as Element).closest?.('input, textarea, [role="dialog"], [role="menu"]')) return;
      event.preventDefault();
      go(days);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  });
}
