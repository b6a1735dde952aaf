/** The work of a crew. */
import { ChangedWork, WorkEntry } from "@kind-grip/core/api";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { saveWork, workOf } from "./works";

export function addWorkRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "work",
    method: "get",
    path: "/api/crews/:crewId/work",
    summary: "What the hands of a crew do in a shift",
    answer: WorkEntry,
    params: CrewParams,
    handle: async ({ caller, params }) => workOf(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "saveWork",
    method: "put",
    path: "/api/crews/:crewId/work",
    summary: "Save it; 400 for answers that contradict each other, 409 with the newer one when somebody else saved in between",
    answer: WorkEntry,
    params: CrewParams,
    body: ChangedWork,
    handle: async ({ caller, params, body }) => saveWork(db, caller, await now(caller), params.crewId, body.version, body.work),
  });
}
