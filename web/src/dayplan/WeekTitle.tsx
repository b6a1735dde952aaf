/** The heading of a week, with the way to the weeks beside it. */
import { Button, IconButton } from "@mui/material";
import { CalendarArrowDown, ChevronLeft, ChevronRight } from "lucide-react";
import { DateTime } from "luxon";
import { Link } from "react-router";
import { addDays } from "@kind-grip/core/calendar";
import type { CrewEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { PageTitle } from "../parts/PageTitle";

export function WeekTitle({ crew, weekStart, children }: { crew: CrewEntry; weekStart: string; children?: React.ReactNode }) {
  const monday = DateTime.fromISO(weekStart);
  const to = (days: number) => `/crews/${crew.id}/day-plan/${addDays(weekStart, days)}`;
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
      {children}
      <Button component="a" href={`/api/crews/${crew.id}/calendar.ics`} startIcon={<CalendarArrowDown size={20} />}>
        {t("Calendar")}
      </Button>
    </PageTitle>
  );
}
