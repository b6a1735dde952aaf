/** Baseline rounds, records, and one person's measurements as an open file. */
import { BaselineRecord } from "@kind-grip/core/baseline";
import { Id, NonEmptyText } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { CrewParams, Version } from "../http/params";
import type { Routes } from "../http/route";
import { changeRound, createRound, listRounds, recordsOf, removeRound, roundOf, saveRecord } from "./rounds";

const RoundParams = v.object({ roundId: Id });

export function addBaselineRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/rounds",
    summary: "Baseline rounds of a crew and how far they are, newest first",
    params: CrewParams,
    handle: ({ caller, params }) => listRounds(db, caller, params.crewId),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/rounds",
    summary: "Begin a round",
    params: CrewParams,
    body: v.strictObject({ id: Id, name: NonEmptyText }),
    handle: async ({ caller, params, body }) => createRound(db, caller, await now(caller), params.crewId, body.id, body.name),
  });
  routes.add({
    method: "put",
    path: "/api/rounds/:roundId",
    summary: "Rename, close or open a round",
    params: RoundParams,
    body: v.strictObject({ name: NonEmptyText, closed: v.boolean() }),
    handle: async ({ caller, params, body }) => changeRound(db, caller, await now(caller), params.roundId, body),
  });
  routes.add({
    method: "delete",
    path: "/api/rounds/:roundId",
    summary: "Remove a round nothing was entered in",
    params: RoundParams,
    handle: ({ caller, params }) => removeRound(db, caller, params.roundId),
  });
  routes.add({
    method: "get",
    path: "/api/rounds/:roundId/records",
    summary: "The records of a round, whole",
    params: RoundParams,
    async handle({ caller, params }) {
      const round = await roundOf(db, caller, params.roundId);
      await noteSeen(db, caller, await now(caller), {
        crewId: round.crewId,
        personId: null,
        subject: "baseline",
        what: `round ${round.startedOn}`,
      });
      return recordsOf(db, params.roundId);
    },
  });
  routes.add({
    method: "put",
    path: "/api/rounds/:roundId/people/:personId",
    summary: "Store one person's record; what means stop holds them out at once",
    params: v.object({ roundId: Id, personId: Id }),
    body: v.strictObject({ version: Version, record: BaselineRecord }),
    handle: async ({ caller, params, body }) =>
      saveRecord(db, caller, await now(caller), params.roundId, params.personId, body.version, body.record),
  });
}
