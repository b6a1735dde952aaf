/** What a plan for the next shift would come to: with the work as it is, and as it is tried. */
import { Box, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useEffect, useMemo, useState } from "react";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Shift } from "@kind-grip/core/calendar";
import { greedyPlan } from "@kind-grip/core/dayplan";
import type { Library } from "@kind-grip/core/library";
import type { Work } from "@kind-grip/core/strain";
import { dateText, timeText } from "../base/dates";
import { useLibrary } from "../base/library";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { readCrewDay, type CrewDay } from "../dayplan/crew-day";
import { dayOfGroups } from "../dayplan/day-of-groups";
import { ribbonParts } from "../dayplan/work-ribbon";

interface DayPlanAnswerProps {
  crew: CrewEntry;
  shift: Shift;
  work: Work;
  tried: Work;
}

/** Stretch breaks of a shift, where nothing is planned that says otherwise. */
const BREAKS = 2;

export function DayPlanAnswer({ crew, shift, work, tried }: DayPlanAnswerProps) {
  const library = useLibrary();
  const dispatch = useAppDispatch();
  // Read once: what is tried changes the work, not the program.
  const [day, setDay] = useState<CrewDay | "unread" | null>(null);
  useEffect(() => {
    let gone = false;
    readCrewDay(library, dispatch, crew, shift, { anew: false }).then(
      (read) => !gone && setDay(read),
      () => !gone && setDay("unread"),
    );
    return () => {
      gone = true;
    };
  }, [library, dispatch, crew, shift]);
  const [before, after] = useMemo(
    () => (day && day !== "unread" ? [planned(library, day, work), planned(library, day, tried)] : [[], []]),
    [library, day, work, tried],
  );
  const at = (list: readonly Planned[], id: string) => list.find((each) => each.id === id)?.atMs;
  const moved = after.filter(({ id, atMs }) => at(before, id) !== atMs).length;
  return (
    <Box component="section" aria-label={t("What the day plan says to it")}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {t("A plan for {{date}}", { date: dateText(DateTime.fromISO(shift.date), "cccc d LLLL") })}
      </Typography>
      {day === null ? (
        <Typography sx={{ color: "text.secondary" }}>{t("Reading the program …")}</Typography>
      ) : day === "unread" ? (
        <Typography>{t("The program could not be read: there is no plan to compare.")}</Typography>
      ) : after.length === 0 ? (
        <Typography>{t("There is no session to place yet: begin with a program.")}</Typography>
      ) : (
        <>
          <Typography role="status" sx={{ mb: 0.5 }}>
            {moved === 0
              ? t("Every session stays at its time.")
              : t("{{count}} sessions would be at another time.", {
                  count: moved,
                  defaultValue_one: "{{count}} session would be at another time.",
                })}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {after.map(({ id, name, group, atMs }) => {
              const was = at(before, id);
              return (
                <li key={id}>
                  <strong>{name}</strong>
                  {group && ` · ${group}`}:{" "}
                  {was === atMs ? (
                    timeOrNone(atMs, crew.timeZone)
                  ) : (
                    <>
                      {timeOrNone(was, crew.timeZone)} → <strong>{timeOrNone(atMs, crew.timeZone)}</strong>
                    </>
                  )}
                </li>
              );
            })}
          </Box>
        </>
      )}
    </Box>
  );
}

interface Planned {
  id: string;
  name: string;
  /** Null where the crew is one group. */
  group: string | null;
  /** Left out where there is no room for it. */
  atMs: number | undefined;
}

function planned(library: Library, day: CrewDay, work: Work): Planned[] {
  const own = { ...day, partsOf: (personIds: readonly string[]) => ribbonParts(work, personIds) };
  const { problem, groups } = dayOfGroups(library, [{ day: own, mostOffJob: day.crew.mostOffJob, groupCount: null }], {
    breaks: BREAKS,
    leaders: 1,
    notBeforeMs: 0,
    pinned: new Map(),
  });
  const plan = greedyPlan(problem);
  return problem.requests
    .map((request) => {
      const { name, whole } = groups[request.group]!;
      const { session } = day.sessions.find((each) => each.session.id === request.sessionId)!;
      return { id: request.id, name: session.name, group: whole ? null : name, atMs: plan.get(request.id) };
    })
    .sort((a, b) => (a.atMs ?? Infinity) - (b.atMs ?? Infinity));
}

const timeOrNone = (atMs: number | undefined, timeZone: string) => (atMs === undefined ? t("no room") : timeText(atMs, timeZone));
