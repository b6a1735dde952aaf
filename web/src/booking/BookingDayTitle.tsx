/** The heading of a day of bookings: the way to other days, and what is done to all of it. */
import { Button, IconButton, Tooltip, Typography } from "@mui/material";
import { CalendarSync, ChevronLeft, ChevronRight, FileUp, Plus, Printer, SlidersHorizontal } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import type { BookingDay, CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { inOrder } from "@kind-grip/core/booking";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import type { Treatment } from "@kind-grip/core/strain";
import { dateText } from "../base/dates";
import { bookingsText, resetsText } from "../base/amounts";
import { t } from "../base/words";
import { nearnessText } from "../parts/nearness-text";
import { PageTitle } from "../parts/PageTitle";
import { BookingCalendarsDialog } from "./BookingCalendarsDialog";
import { BookingFileDialog } from "./BookingFileDialog";
import { BookingRulesDialog } from "./BookingRulesDialog";
import { DateField } from "../parts/DateField";

interface BookingDayTitleProps {
  crew: CrewEntry;
  day: BookingDay;
  people: readonly PersonEntry[];
  members: readonly PersonEntry[];
  treatments: readonly Treatment[];
  now: number;
  onAdd(): void;
}

export function BookingDayTitle({ crew, day, people, members, treatments, now, onAdd }: BookingDayTitleProps) {
  const navigate = useNavigate();
  const [open, setOpen] = useState<"calendars" | "file" | "rules" | null>(null);
  const today = dateAt(now, crew.timeZone);
  const to = (date: string) => `/crews/${crew.id}/bookings/${date}`;
  const close = () => setOpen(null);
  const resets = day.sessions.filter(({ kind }) => kind === "reset" || kind === "longer").length;
  const booked = inOrder(day.bookings).length;
  const trouble = day.calendars.some(({ problem }) => problem !== null);
  return (
    <>
      <PageTitle
        title={dateText(DateTime.fromISO(day.date), "cccc d LLLL")}
        lead={t("{{bookings}}, {{resets}} between them. {{near}}", {
          bookings: bookingsText(booked),
          resets: resetsText(resets),
          near: booked === 0 ? "" : nearnessText(day.gap),
        })}
      >
        <IconButton component={Link} to={to(addDays(day.date, -1))} aria-label={t("Day before")}>
          <ChevronLeft />
        </IconButton>
        <Button component={Link} to={`/crews/${crew.id}/bookings`}>
          {t("Today")}
        </Button>
        <IconButton component={Link} to={to(addDays(day.date, 1))} aria-label={t("Day after")}>
          <ChevronRight />
        </IconButton>
        <DateField
          name={t("Go to a day")}
          value={day.date}
          onChange={(date) => date && void navigate(to(date))}
          required
          sx={{ width: 175 }}
        />
        <Button variant="contained" startIcon={<Plus size={18} />} onClick={onAdd} disabled={people.length === 0}>
          {t("Booking")}
        </Button>
        <Tooltip title={t("Calendars")}>
          <IconButton
            aria-label={trouble ? t("Calendars, one cannot be read") : t("Calendars")}
            onClick={() => setOpen("calendars")}
            sx={trouble ? { color: "warm.dark" } : undefined}
          >
            <CalendarSync size={22} />
          </IconButton>
        </Tooltip>
        <Tooltip title={t("From a file")}>
          <IconButton aria-label={t("From a file")} onClick={() => setOpen("file")}>
            <FileUp size={22} />
          </IconButton>
        </Tooltip>
        <Tooltip title={t("Print the day")}>
          <IconButton aria-label={t("Print the day")} onClick={() => print()}>
            <Printer size={22} />
          </IconButton>
        </Tooltip>
        <Tooltip title={t("How resets are laid")}>
          <IconButton aria-label={t("How resets are laid")} onClick={() => setOpen("rules")}>
            <SlidersHorizontal size={22} />
          </IconButton>
        </Tooltip>
      </PageTitle>
      {day.date !== today && day.date < today && (
        <Typography sx={{ color: "text.secondary", mt: -2, mb: 2 }}>{t("This day is over: what was laid stays as it was.")}</Typography>
      )}
      {open === "calendars" && <BookingCalendarsDialog crew={crew} day={day} people={members} onClose={close} />}
      {open === "file" && (
        <BookingFileDialog crew={crew} day={day} people={members} treatments={treatments} today={today} onClose={close} />
      )}
      {open === "rules" && <BookingRulesDialog crew={crew} day={day} onClose={close} />}
    </>
  );
}
