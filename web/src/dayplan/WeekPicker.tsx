/** The weeks of a year, to go to or to take one: by the month and the day it begins, those with shifts strong. */
import { Box, ButtonBase, IconButton, Typography } from "@mui/material";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { DateTime } from "luxon";
import { useRef, useState, type KeyboardEvent } from "react";
import type { CrewEntry } from "@kind-grip/core/api";
import { addDays, mondayOf, shiftsFrom } from "@kind-grip/core/calendar";
import { grouped } from "@kind-grip/core/units";
import { dateText } from "../base/dates";
import { t } from "../base/words";

interface WeekPickerProps {
  crew: CrewEntry;
  /** The week that is open. */
  weekStart: string;
  /** The week it is now. */
  thisWeek: string;
  onPick(weekStart: string): void;
}

export function WeekPicker({ crew, weekStart, thisWeek, onPick }: WeekPickerProps) {
  const [year, setYear] = useState(Number(weekStart.slice(0, 4)));
  const weeks = weeksOf(year);
  const grid = useRef<HTMLDivElement>(null);
  const onKey = (event: KeyboardEvent, i: number) => {
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -4, ArrowDown: 4 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    grid.current?.querySelectorAll<HTMLElement>("button")[i + step]?.focus();
  };
  const first = weeks.includes(weekStart) ? weekStart : weeks[0]!;
  return (
    <Box sx={{ width: "min(560px, calc(100vw - 64px))", maxWidth: "100%" }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 1 }}>
        <IconButton aria-label={t("Year before")} onClick={() => setYear(year - 1)}>
          <ChevronLeft />
        </IconButton>
        <Typography variant="h3" component="h2" aria-live="polite" sx={{ minWidth: 64, textAlign: "center" }}>
          {year}
        </Typography>
        <IconButton aria-label={t("Year after")} onClick={() => setYear(year + 1)}>
          <ChevronRight />
        </IconButton>
      </Box>
      <Box ref={grid} sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(166px, 1fr))", columnGap: 1.5, rowGap: 1.25 }}>
        {[...grouped(weeks, (week) => week.slice(0, 7))].map(([month, list]) => (
          <Box key={month} role="group" aria-label={monthName(month)}>
            <Typography sx={{ fontSize: "0.85rem", fontWeight: 650, color: "text.secondary" }}>{monthName(month)}</Typography>
            <Box sx={{ display: "flex", gap: 0.5 }}>
              {list.map((week) => {
                const works = shiftsFrom(crew.shiftPattern, crew.timeZone, week, 7).length > 0;
                return (
                  <ButtonBase
                    key={week}
                    // The week that is open is reached first, the others from it by arrows.
                    tabIndex={week === first ? 0 : -1}
                    autoFocus={week === first}
                    aria-current={week === weekStart ? "page" : undefined}
                    aria-label={[
                      t("Week of {{date}}", { date: dateText(DateTime.fromISO(week), "d LLLL yyyy") }),
                      ...(week === thisWeek ? [t("this week")] : []),
                      ...(works ? [] : [t("no shift")]),
                    ].join(", ")}
                    onClick={() => onPick(week)}
                    onKeyDown={(event) => onKey(event, weeks.indexOf(week))}
                    sx={{
                      minWidth: 32,
                      minHeight: 32,
                      borderRadius: 1.5,
                      fontSize: "0.95rem",
                      fontWeight: works ? 650 : 400,
                      color: works ? "text.primary" : "text.secondary",
                      border: "2px solid",
                      borderColor: week === thisWeek ? "primary.main" : "transparent",
                      ...(week === weekStart && { bgcolor: "primary.main", color: "primary.contrastText" }),
                      "&:hover": { borderColor: "edge" },
                    }}
                  >
                    {Number(week.slice(8))}
                  </ButtonBase>
                );
              })}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Mondays of a year. */
function weeksOf(year: number): string[] {
  const first = mondayOf(`${year}-01-07`);
  return Array.from({ length: 53 }, (_, i) => addDays(first, 7 * i)).filter((week) => week.startsWith(String(year)));
}

function monthName(month: string): string {
  return dateText(DateTime.fromISO(`${month}-01`), "LLLL");
}
