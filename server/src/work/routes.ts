/** The work of a crew. */
import { ChangedWork, CountedObservation, ObservationEntry, StoredObservation, WorkEntry } from "@kind-grip/core/api";
import { Observation } from "@kind-grip/core/observe";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { refuseOtherOwner } from "../auth/caller";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { countObservation, observationsOf, storeObservation } from "./observations";
import { saveWork, workOf } from "./works";

export function addWorkRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "work",
    method: "get",
    scope: "work.read",
    path: "/api/crews/:crewId/work",
    summary: "What the hands of a crew do in a shift",
    answer: WorkEntry,
    params: CrewParams,
    handle: async ({ caller, params }) => workOf(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "saveWork",
    method: "put",
    scope: "work.write",
    path: "/api/crews/:crewId/work",
    summary: "Save it; 400 for answers that contradict each other, 409 with the newer one when somebody else saved in between",
    answer: WorkEntry,
    params: CrewParams,
    body: ChangedWork,
    handle: async ({ caller, params, body }) => saveWork(db, caller, await now(caller), params.crewId, body.version, body.work),
  });
  routes.add({
    id: "observations",
    method: "get",
    scope: "work.read",
    path: "/api/crews/:crewId/observations",
    summary: "What was watched of the crew's tasks, newest first",
    answer: v.array(ObservationEntry),
    params: CrewParams,
    handle: ({ caller, params }) => observationsOf(db, caller, params.crewId),
  });
  routes.add({
    id: "storeObservation",
    method: "put",
    scope: "work.write",
    path: "/api/observations/:observationId",
    summary: "Store an observation and make the figures of its task from it; sending it again changes nothing",
    answer: StoredObservation,
    params: v.object({ observationId: Id }),
    body: Observation,
    bodyLimit: "1mb",
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.observationId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeObservation(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "countObservation",
    method: "put",
    scope: "work.write",
    path: "/api/crews/:crewId/observations/:observationId/counts",
    summary: "Whether an observation counts for the figures of its task",
    answer: StoredObservation,
    params: v.object({ crewId: Id, observationId: Id }),
    body: CountedObservation,
    handle: async ({ caller, params, body }) =>
      countObservation(db, caller, await now(caller), params.crewId, params.observationId, body.counts),
  });
}
