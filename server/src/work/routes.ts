/** The work of a crew. */
import { Work } from "@kind-grip/core/strain";
import * as v from "valibot";
import type { AppContext } from "../context";
import { CrewParams, Version } from "../http/params";
import type { Routes } from "../http/route";
import { saveWork, workOf } from "./works";

export function addWorkRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/work",
    summary: "What the hands of a crew do in a shift",
    params: CrewParams,
    handle: ({ caller, params }) => workOf(db, caller, params.crewId),
  });
  routes.add({
    method: "put",
    path: "/api/crews/:crewId/work",
    summary: "Save it; 400 for answers that contradict each other, 409 with the newer one when somebody else saved in between",
    params: CrewParams,
    body: v.strictObject({ version: Version, work: Work }),
    handle: async ({ caller, params, body }) => saveWork(db, caller, await now(caller), params.crewId, body.version, body.work),
  });
}
