/** The day of all crews on one clock: shifts as ribbons, breaks as gaps, sessions as pins, the moment as a line. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { Link } from "react-router";
import type { Today, TodayEntry } from "@kind-grip/core/api";
import { bookingsText, peopleText, resetsText } from "../base/amounts";
import { t } from "../base/words";
import { nowThere } from "../base/clock-places";
import { dateText } from "../base/dates";
import { serverApi } from "../base/api";
import { EntryLine } from "./EntryLine";

export function DayClock({ today, now, next }: { today: Today; now: number; next?: TodayEntry }) {
  const lead = serverApi.useMeQuery().data?.account?.role === "lead";
  const zones = today.crews.map(({ timeZone }) => timeZone);
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      {today.crews.map((crew) => {
        const entries = today.entries.filter((entry) => entry.crewId === crew.id);
        const shift = crew.shifts.at(-1);
        const there = nowThere(crew.timeZone, zones, now);
        return (
          <Box
            component="section"
            key={crew.id}
            aria-label={crew.name}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "230px 1fr" },
              columnGap: 4,
              rowGap: 1,
              borderTop: "2px solid",
              borderColor: "line",
              pt: 2,
            }}
          >
            <Box>
              <Typography variant="h3">
                {lead ? (
                  crew.name
                ) : (
                  <TextLink component={Link} to={`/crews/${crew.id}/day-plan`} color="inherit">
                    {crew.name}
                  </TextLink>
                )}
              </Typography>
              <Typography sx={{ color: "text.secondary" }}>{peopleText(crew.people)}</Typography>
              <Typography sx={{ color: "text.secondary" }}>
                {shift
                  ? [
                      crew.booked ? shift.name : t("{{name}} shift", { name: shift.name }),
                      `${clock(shift.startMs, crew.timeZone)}–${clock(shift.endMs, crew.timeZone)}`,
                    ].join(" ")
                  : t("No shift today")}
              </Typography>
              {there && <Typography sx={{ color: "text.secondary" }}>{there}</Typography>}
            </Box>
            <Box sx={{ minWidth: 0 }}>
              <Ribbon crew={crew} entries={entries} now={now} />
              {crew.booked && <Booked crew={crew} booked={crew.booked} lead={lead} />}
              {entries.length > 0 ? (
                <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, mt: 1 }}>
                  {entries.map((entry) => (
                    <EntryLine key={entry.placementId} entry={entry} isNext={entry === next} lead={lead} />
                  ))}
                </Box>
              ) : crew.booked ? null : (
                <Box sx={{ mt: 1, display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
                  <Typography sx={{ color: "text.secondary" }}>
                    {crew.programs === 0 ? t("No program yet.") : t("Nothing placed today.")}
                  </Typography>
                  {!lead && (
                    <Button component={Link} to={crew.programs === 0 ? `/crews/${crew.id}/program` : `/crews/${crew.id}/day-plan`}>
                      {crew.programs === 0 ? t("Make a program") : t("Plan the week")}
                    </Button>
                  )}
                </Box>
              )}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** A day of bookings in a line: who works, how much is booked, what is laid between. */
function Booked({
  crew,
  booked,
  lead,
}: {
  crew: Today["crews"][number];
  booked: NonNullable<Today["crews"][number]["booked"]>;
  lead: boolean;
}) {
  return (
    <Box sx={{ mt: 1, display: "flex", alignItems: "center", columnGap: 1.5, flexWrap: "wrap" }}>
      <Typography>
        {booked.bookings === 0
          ? t("Nothing is booked today.")
          : t("{{bookings}} of {{people}}, {{resets}} between them, {{done}} done.", {
              bookings: bookingsText(booked.bookings),
              people: peopleText(booked.people),
              resets: resetsText(booked.resets),
              done: booked.done,
            })}
        {booked.missed > 0 && (
          <Box component="strong" sx={{ color: "warm.dark" }}>
            {" "}
            {t("{{count}} have no gap.", { count: booked.missed, defaultValue_one: "One has no gap." })}
          </Box>
        )}
      </Typography>
      {!lead && (
        <Button component={Link} to={`/crews/${crew.id}/bookings`}>
          {t("See the day")}
        </Button>
      )}
    </Box>
  );
}

/** 24 hours of the crew's day, drawn 0 to 100. */
function Ribbon({ crew, entries, now }: { crew: Today["crews"][number]; entries: readonly TodayEntry[]; now: number }) {
  const dayStart = DateTime.fromMillis(now, { zone: crew.timeZone }).startOf("day");
  const from = dayStart.toMillis();
  const to = Math.max(dayStart.plus({ days: 1 }).toMillis(), ...crew.shifts.map((shift) => shift.endMs));
  const x = (ms: number) => `${(Math.max(0, Math.min(1, (ms - from) / (to - from))) * 100).toFixed(3)}%`;
  const width = (a: number, b: number) => `${((Math.min(to, b) - Math.max(from, a)) / (to - from)) * 100}%`;
  return (
    <Box aria-hidden sx={{ position: "relative", height: 46 }}>
      <Box sx={{ position: "absolute", left: 0, right: 0, top: 27, height: 2, bgcolor: "line" }} />
      {crew.shifts
        .filter((shift) => shift.endMs > from && shift.startMs < to)
        .map((shift) => (
          <Box
            key={shift.startMs}
            sx={{
              position: "absolute",
              left: x(shift.startMs),
              width: width(shift.startMs, shift.endMs),
              top: 19,
              height: 18,
              bgcolor: "primary.light",
              borderRadius: 1,
            }}
          />
        ))}
      {crew.shifts
        .flatMap((shift) => shift.breaks)
        .filter((pause) => pause.startMs > from && pause.startMs < to)
        .map((pause) => (
          <Box
            key={pause.startMs}
            sx={{
              position: "absolute",
              left: x(pause.startMs),
              width: width(pause.startMs, pause.endMs),
              top: 17,
              height: 22,
              bgcolor: "background.default",
            }}
          />
        ))}
      {crew.booked?.spans.map(({ startMs, endMs }, i) => (
        <Box
          className="keeps-colour"
          key={i}
          sx={{
            position: "absolute",
            left: x(startMs),
            width: width(startMs, endMs),
            top: 19,
            height: 18,
            bgcolor: "primary.main",
            opacity: 0.22,
          }}
        />
      ))}
      {entries.map((entry) => (
        <Box
          className="keeps-colour"
          key={entry.placementId}
          sx={{
            position: "absolute",
            left: x(Date.parse(entry.startsAt)),
            top: 4,
            width: 9,
            height: 34,
            ml: "-1px",
            borderRadius: "4px 4px 2px 2px",
            bgcolor: entry.runId ? "text.secondary" : "warm.main",
          }}
        />
      ))}
      <Box className="keeps-colour" sx={{ position: "absolute", left: x(now), top: 0, bottom: 4, width: 2, bgcolor: "text.primary" }} />
    </Box>
  );
}

function clock(ms: number, zone: string): string {
  return dateText(DateTime.fromMillis(ms, { zone }), "HH:mm");
}
