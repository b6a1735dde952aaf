/** The own week, handing sessions over, ways between places. */
import { ChangedWay, HandedOver, OwnWeek, Way } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import type { Routes } from "../http/route";
import { handOver, handOverSeries } from "./leaders";
import { changeWay, ownWeek } from "./own-week";
import { WeekStart } from "./week-start";

export function addOwnWeekRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "ownWeek",
    method: "get",
    scope: "plan.read",
    path: "/api/own-week/:weekStart",
    summary: "The week of all crews: who leads what where",
    answer: OwnWeek,
    roles: ["trainer", "lead"],
    params: v.object({ weekStart: WeekStart }),
    handle: async ({ caller, params }) => ownWeek(db, caller, await now(caller), params.weekStart),
  });
  routes.add({
    id: "handOver",
    method: "put",
    path: "/api/crews/:crewId/placements/:placementId/leader",
    summary: "Say who leads a session on its day; 409 when a crew lead was not shown it",
    params: v.object({ crewId: Id, placementId: Id }),
    body: HandedOver,
    handle: async ({ caller, params, body }) => handOver(db, caller, await now(caller), params.crewId, params.placementId, body),
  });
  routes.add({
    id: "handOverSeries",
    method: "put",
    path: "/api/crews/:crewId/plan-series/:seriesId/leader",
    summary: "Say who leads a series; 409 when a crew lead was not shown it",
    params: v.object({ crewId: Id, seriesId: Id }),
    body: HandedOver,
    handle: async ({ caller, params, body }) => handOverSeries(db, caller, await now(caller), params.crewId, params.seriesId, body),
  });
  routes.add({
    id: "changeWay",
    method: "put",
    path: "/api/practice/ways",
    summary: "Say how long it takes between two places, or that it is not known",
    answer: v.array(Way),
    body: ChangedWay,
    handle: ({ caller, body }) => changeWay(db, caller, body.places, body.minutes),
  });
}
