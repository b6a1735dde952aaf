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
    handle: ({ trainer, params }) => listRounds(db, trainer, params.crewId),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/rounds",
    summary: "Begin a round",
    params: CrewParams,
    body: v.strictObject({ id: Id, name: NonEmptyText }),
    handle: async ({ trainer, params, body }) => createRound(db, trainer, await now(trainer), params.crewId, body.id, body.name),
  });
  routes.add({
    method: "put",
    path: "/api/rounds/:roundId",
    summary: "Rename, close or open a round",
    params: RoundParams,
    body: v.strictObject({ name: NonEmptyText, closed: v.boolean() }),
    handle: async ({ trainer, params, body }) => changeRound(db, trainer, await now(trainer), params.roundId, body),
  });
  routes.add({
    method: "delete",
    path: "/api/rounds/:roundId",
    summary: "Remove a round nothing was entered in",
    params: RoundParams,
    handle: ({ trainer, params }) => removeRound(db, trainer, params.roundId),
  });
  routes.add({
    method: "get",
    path: "/api/rounds/:roundId/records",
    summary: "The records of a round, whole",
    params: RoundParams,
    async handle({ trainer, params }) {
      const round = await roundOf(db, trainer, params.roundId);
      await noteSeen(db, trainer, await now(trainer), {
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
    handle: async ({ trainer, params, body }) =>
      saveRecord(db, trainer, await now(trainer), params.roundId, params.personId, body.version, body.record),
  });
}
