/** The clock a day of bookings is drawn along, and what is drawn on it in words. */
import { Box, Link as TextLink, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { BookingDay, CrewEntry } from "@kind-grip/core/api";
import { endOf, LAID_KINDS } from "@kind-grip/core/booking";
import { momentAt, mondayOf, shiftsFrom, type Span } from "@kind-grip/core/calendar";
import { timeText } from "../base/dates";
import { t } from "../base/words";
import { LAID_NAMES } from "./booking-text";
import { LAID_ICONS } from "./laid-icons";

const HOUR_MS = 3600_000;

interface BookingAxis extends Span {
  /** When the place opens. */
  openMs: number;
}

/** From what is first to what is last; the opening hours of a day nothing is booked on. */
export function axisOf(crew: CrewEntry, { date, bookings, sessions }: BookingDay): BookingAxis {
  const [open] = shiftsFrom(crew.shiftPattern, crew.timeZone, date, 1);
  const openMs = open?.startMs ?? momentAt(date, "09:00", 0, crew.timeZone);
  const isEmpty = bookings.length === 0;
  const starts = [
    ...(isEmpty ? [openMs] : []),
    ...bookings.map(({ startsAt }) => Date.parse(startsAt)),
    ...sessions.map(({ startsAt }) => Date.parse(startsAt)),
  ];
  const ends = [
    ...(isEmpty ? [open?.endMs ?? openMs + 9 * HOUR_MS] : []),
    ...bookings.map(endOf),
    ...sessions.map(({ startsAt, lengthMin }) => Date.parse(startsAt) + lengthMin * 60_000),
  ];
  return { openMs, startMs: Math.min(...starts) - HOUR_MS / 4, endMs: Math.max(...ends) + HOUR_MS / 4 };
}

export function BookingClock({ axis, now, timeZone, children }: { axis: Span; now: number; timeZone: string; children: ReactNode }) {
  const x = (ms: number) => ((ms - axis.startMs) / (axis.endMs - axis.startMs)) * 100;
  const hours: number[] = [];
  for (let ms = Math.ceil(axis.startMs / HOUR_MS) * HOUR_MS; ms <= axis.endMs; ms += HOUR_MS) hours.push(ms);
  return (
    <Box sx={{ position: "relative", overflowX: "clip" }}>
      <Box aria-hidden sx={{ position: "relative", height: 24 }}>
        {hours.map((ms, i) => (
          <Box
            key={ms}
            sx={{
              position: "absolute",
              left: `${x(ms)}%`,
              transform: "translateX(-50%)",
              color: "text.secondary",
              fontSize: "0.9rem",
              "@media (max-width: 599.95px)": { display: i % 2 === 0 ? "block" : "none" },
            }}
          >
            {timeText(ms, timeZone)}
          </Box>
        ))}
      </Box>
      <Box sx={{ position: "relative" }}>
        {hours.map((ms) => (
          <Box
            key={ms}
            aria-hidden
            sx={{
              position: "absolute",
              insetBlock: 0,
              left: `${x(ms)}%`,
              width: "1px",
              bgcolor: "line",
              opacity: 0.6,
              display: { xs: "none", md: "block" },
            }}
          />
        ))}
        {now > axis.startMs && now < axis.endMs && (
          <Box
            aria-hidden
            sx={{
              position: "absolute",
              insetBlock: -4,
              left: `${x(now)}%`,
              width: 3,
              bgcolor: "warm.main",
              zIndex: 2,
              pointerEvents: "none",
            }}
          />
        )}
        {children}
      </Box>
    </Box>
  );
}

export function BookingLegend({ day }: { day: BookingDay }) {
  return (
    <Box sx={{ mt: 2, display: "grid", gap: 1 }}>
      <Box
        component="ul"
        aria-label={t("What is laid")}
        sx={{ listStyle: "none", m: 0, p: 0, display: "flex", flexWrap: "wrap", columnGap: 3, rowGap: 0.5 }}
      >
        {LAID_KINDS.flatMap((kind) => {
          const laid = day.laid.find((each) => each.kind === kind);
          const Icon = LAID_ICONS[kind];
          return laid
            ? [
                <Box component="li" key={kind} sx={{ display: "flex", gap: 0.75, alignItems: "center" }}>
                  <Box
                    sx={{
                      width: 22,
                      height: 22,
                      borderRadius: "6px",
                      bgcolor: "primary.main",
                      color: "primary.contrastText",
                      display: "grid",
                      placeItems: "center",
                    }}
                  >
                    <Icon size={15} aria-hidden />
                  </Box>
                  <span>
                    {LAID_NAMES[kind]}: {laid.name}, {t("{{min}} min", { min: laid.lengthMin })}
                  </span>
                </Box>,
              ]
            : [];
        })}
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {t("A block is as thick as its hand work is hard; deep work is dark.")}{" "}
        <TextLink component={Link} to={`../day-plan/${mondayOf(day.date)}`} relative="path">
          {t("What is led together this week")}
        </TextLink>
      </Typography>
    </Box>
  );
}
