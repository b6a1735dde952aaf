/** What a series is on: which shifts of its kind, and until when. Changes are from the chosen day on. */
import { Box, Typography } from "@mui/material";
import { DateTime } from "luxon";
import type { CrewEntry } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import {
  cycleDayOf,
  lasting,
  onlyOn,
  weekdayOf,
  type LaidPlacement,
  type Series,
  type SeriesDays,
  type WeekPlanned,
} from "@kind-grip/core/dayplan";
import { grouped } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import { dateText, wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";
import { DateField } from "../parts/DateField";

interface SeriesFieldsProps {
  crew: CrewEntry;
  plan: WeekPlanned;
  series: Series;
  /** The chosen one of it. */
  laid: LaidPlacement;
  kindName: string;
  onChange(plan: WeekPlanned): void;
}

export function SeriesFields({ crew, plan, series, laid, kindName, onChange }: SeriesFieldsProps) {
  const days = daysOf(crew, series);
  const chosen = days.filter(({ nr }) => series.only === null || (series.only.by === days[0]!.by && series.only.days.includes(nr)));
  const setDays = (nr: number, on: boolean) => {
    const numbers = days.filter((day) => (day.nr === nr ? on : chosen.includes(day))).map((day) => day.nr);
    if (numbers.length === 0) return;
    onChange(onlyOn(plan, laid, numbers.length === days.length ? null : { by: days[0]!.by, days: numbers }, uuid()));
  };
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <Typography sx={{ color: "text.secondary", lineHeight: 1.35 }}>
        {series.untilDate === null
          ? t("On every {{kind}} shift since {{date}}, without an end.", { kind: kindName, date: wholeDayText(series.fromDate) })
          : t("On every {{kind}} shift from {{date}} to {{until}}.", {
              kind: kindName,
              date: wholeDayText(series.fromDate),
              until: wholeDayText(series.untilDate),
            })}
        {series.otherDays.length > 0 &&
          ` ${t("{{count}} days differ.", { count: series.otherDays.length, defaultValue_one: "{{count}} day differs." })}`}
      </Typography>
      {days.length > 1 &&
        [...grouped(days, ({ week }) => week)].map(([week, list], _, weeks) => (
          <Box
            key={week}
            role="group"
            aria-label={weeks.length > 1 ? t("Only on these days of week {{week}}", { week }) : t("Only on these days")}
          >
            {weeks.length > 1 && (
              <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{t("week {{week}} of the cycle", { week })}</Typography>
            )}
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
              {list.map((day) => (
                <Toggle key={day.nr} label={day.label} pressed={chosen.includes(day)} onChange={(on) => setDays(day.nr, on)} />
              ))}
            </Box>
          </Box>
        ))}
      <DateField
        label={t("Last day")}
        value={series.untilDate}
        onChange={(date) => onChange(lasting(plan, series.id, date))}
        helperText={series.untilDate === null ? t("Empty: it goes on") : undefined}
        min={laid.date}
      />
    </Box>
  );
}

interface DayOfSeries {
  by: SeriesDays["by"];
  nr: number;
  label: string;
  /** Of the cycle, from 1. */
  week: number;
}

/** The days its kind of shift falls on: of the week where that comes round each week, of the cycle where it does not. */
function daysOf({ shiftPattern: { anchorDate, cycle } }: CrewEntry, { shift }: Series): DayOfSeries[] {
  const dates = cycle.flatMap((id, i) => (id === shift ? [addDays(anchorDate, i)] : []));
  const weekday = (date: string) => dateText(DateTime.fromISO(date), "ccc");
  if (cycle.length === 7)
    return dates
      .map((date): DayOfSeries => ({ by: "weekday", nr: weekdayOf(date), label: weekday(date), week: 1 }))
      .sort((a, b) => a.nr - b.nr);
  const isOfWeeks = cycle.length % 7 === 0;
  return dates.map((date): DayOfSeries => {
    const nr = cycleDayOf(date, anchorDate, cycle.length);
    const label = isOfWeeks ? weekday(date) : t("day {{nr}}", { nr: nr + 1 });
    return { by: "cycleDay", nr, label, week: isOfWeeks ? Math.floor(nr / 7) + 1 : 1 };
  });
}
