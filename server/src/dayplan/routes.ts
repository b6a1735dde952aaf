/** Day plans, the calendar file, and Today. */
import { ChangedWeek, CrewPath, Today, WeekPlanEntry } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { crewPath } from "./crew-path";
import { saveWeekPlan, weekPlan } from "./plans";
import { today } from "./today-again";
import { WeekStart } from "./week-start";

const WeekParams = v.object({ crewId: Id, weekStart: WeekStart });

export function addDayPlanRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "today",
    method: "get",
    scope: "health.read",
    path: "/api/today",
    summary: "What runs today, for which crew",
    answer: Today,
    roles: ["trainer", "lead"],
    async handle({ caller }) {
      const at = await now(caller);
      const written = await today(db, caller, at);
      for (const crewId of new Set(written.answer.alerts.map((alert) => alert.crewId)))
        await noteSeen(db, caller, at, { crewId, personId: null, subject: "report", what: "symptom reports on Today" });
      return written;
    },
  });
  routes.add({
    id: "crewPath",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/path",
    summary: "How far each step of a crew's job is",
    answer: CrewPath,
    params: CrewParams,
    handle: async ({ caller, params }) => crewPath(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "weekPlan",
    method: "get",
    scope: "plan.read",
    path: "/api/crews/:crewId/plan/:weekStart",
    summary: "A crew's week",
    answer: WeekPlanEntry,
    roles: ["trainer", "lead"],
    params: WeekParams,
    handle: ({ caller, params }) => weekPlan(db, caller, params.crewId, params.weekStart),
  });
  routes.add({
    id: "savePlan",
    method: "put",
    scope: "plan.write",
    path: "/api/crews/:crewId/plan/:weekStart",
    summary: "Save a crew's week; 409 with the newer one when somebody else saved in between",
    answer: WeekPlanEntry,
    params: WeekParams,
    body: ChangedWeek,
    handle: async ({ caller, params, body }) => saveWeekPlan(db, caller, await now(caller), params.crewId, params.weekStart, body),
  });
}
