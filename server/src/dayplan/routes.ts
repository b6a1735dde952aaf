/** Day plans, the calendar file, and Today. */
import { addDays, mondayOf, Placement } from "@kind-grip/core/dayplan";
import { notHeldOut, sessionWithin } from "@kind-grip/core/safety";
import { IsoDate, Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { listPeople } from "../crew/people";
import { sendFile } from "../http/file";
import { CrewParams, Version } from "../http/params";
import type { Routes } from "../http/route";
import { listPrograms } from "../program/programs";
import { participationsIn } from "../safety/participations";
import { calendarOf } from "./calendar";
import { placementsBetween, saveWeekPlan, weekPlan } from "./plans";
import { today } from "./today";

const WeekParams = v.object({
  crewId: Id,
  weekStart: v.pipe(
    IsoDate,
    v.check((day) => mondayOf(day) === day, "is not a Monday"),
  ),
});
/** How far back and ahead a calendar file reaches. */
const CALENDAR_DAYS = { back: 14, ahead: 84 };

export function addDayPlanRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/today",
    summary: "What runs today, for which crew",
    handle: async ({ caller }) => today(db, caller, await now(caller)),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/plan/:weekStart",
    summary: "A crew's week",
    params: WeekParams,
    handle: ({ caller, params }) => weekPlan(db, caller, params.crewId, params.weekStart),
  });
  routes.add({
    method: "put",
    path: "/api/crews/:crewId/plan/:weekStart",
    summary: "Save a crew's week; 409 with the newer one when somebody else saved in between",
    params: WeekParams,
    body: v.strictObject({
      version: Version,
      placements: v.pipe(v.array(Placement), v.maxLength(200, "at most 200 placed sessions in a week")),
    }),
    handle: ({ caller, params, body }) => saveWeekPlan(db, caller, params.crewId, params.weekStart, body.version, body.placements),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/calendar.ics",
    summary: "The crew's placed sessions as iCalendar",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      const at = await now(caller);
      const day = at.toISOString().slice(0, 10);
      const rows = await placementsBetween(
        db,
        [crew.id],
        new Date(addDays(day, -CALENDAR_DAYS.back)),
        new Date(addDays(day, CALENDAR_DAYS.ahead)),
      );
      const participations = await participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, at);
      const programs = new Map((await listPrograms(db, caller, crew.id)).map((each) => [each.id, each.program]));
      const entries = rows.flatMap((row) => {
        const session = programs.get(row.programId)?.sessions.find((each) => each.id === row.sessionId);
        return session ? [{ id: row.id, startsAt: row.startsAt, session: sessionWithin(session, participations) }] : [];
      });
      const people = notHeldOut(await listPeople(db, caller, crew.id), participations).filter((person) => !person.leftOn);
      sendFile(
        response,
        `${crew.name}.ics`,
        "text/calendar",
        calendarOf(
          crew.name,
          crew.detail.place,
          crew.detail.timeZone,
          entries,
          people.map((person) => person.id),
        ),
      );
    },
  });
}
