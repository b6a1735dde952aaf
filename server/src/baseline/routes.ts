/** Baseline rounds, records, and one person's measurements as an open file. */
import {
  ChangedRecord,
  ChangedRound,
  ChosenNoise,
  KnownRecord,
  MeasuringEntry,
  NewRound,
  RecordEntry,
  RecordVersion,
  RoundEntry,
} from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { notFound } from "../http/problem";
import type { Routes } from "../http/route";
import { chooseNoise, measuringOf } from "./measuring";
import { roundCsv } from "./round-csv";
import { fhirBundle } from "./fhir";
import {
  changeRound,
  createRound,
  knownRecords,
  listRounds,
  recordsOf,
  recordsOfPerson,
  removeRound,
  roundOf,
  saveRecord,
  versionsOf,
} from "./rounds";

const RoundParams = v.object({ roundId: Id });

export function addBaselineRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "rounds",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/rounds",
    summary: "Baseline rounds of a crew and how far they are, newest first",
    answer: v.array(RoundEntry),
    params: CrewParams,
    handle: ({ caller, params }) => listRounds(db, caller, params.crewId),
  });
  routes.add({
    id: "createRound",
    method: "post",
    path: "/api/crews/:crewId/rounds",
    summary: "Begin a round",
    answer: RoundEntry,
    params: CrewParams,
    body: NewRound,
    handle: async ({ caller, params, body }) => createRound(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    id: "changeRound",
    method: "put",
    path: "/api/rounds/:roundId",
    summary: "Rename, close or open a round",
    answer: RoundEntry,
    params: RoundParams,
    body: ChangedRound,
    handle: async ({ caller, params, body }) => changeRound(db, caller, await now(caller), params.roundId, body),
  });
  routes.add({
    id: "removeRound",
    method: "delete",
    path: "/api/rounds/:roundId",
    summary: "Remove a round nothing was entered in",
    params: RoundParams,
    handle: ({ caller, params }) => removeRound(db, caller, params.roundId),
  });
  routes.add({
    id: "recordsCsv",
    method: "get",
    scope: "health.read",
    path: "/api/rounds/:roundId/records.csv",
    summary: "A round as CSV, a row a person",
    file: "text/csv",
    params: RoundParams,
    async handle({ caller, params, response }) {
      const round = await roundOf(db, caller, params.roundId);
      const people = await db.models.Person.findAll({ where: { crewId: round.crewId }, order: ["name", "id"] });
      const place = { crewId: round.crewId, personId: null, subject: "export" as const, what: `round ${round.startedOn} as CSV` };
      await noteSeen(db, caller, await now(caller), place);
      const csv = roundCsv(
        people.map((row) => row.get({ plain: true })),
        await recordsOf(db, params.roundId),
      );
      sendFile(response, `${round.name}.csv`, "text/csv", csv);
    },
  });
  routes.add({
    id: "measurementsFhir",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/people/:personId/fhir.json",
    summary: "What was asked and measured of a person as HL7 FHIR R4, for a therapist (docs/formats/fhir.md)",
    file: "application/fhir+json",
    params: v.object({ crewId: Id, personId: Id }),
    async handle({ caller, params: { crewId, personId }, response }) {
      await crewOf(db, caller, crewId);
      const at = await now(caller);
      const person = (await db.models.Person.findOne({ where: { id: personId, crewId } }))?.get({ plain: true });
      if (!person) throw notFound("person");
      const bundle = fhirBundle(person, await recordsOfPerson(db, personId), at);
      await noteSeen(db, caller, at, { crewId, personId, subject: "export", what: "measurements as FHIR" });
      sendFile(response, `${person.name}.fhir.json`, "application/fhir+json", Buffer.from(JSON.stringify(bundle, null, 1)));
    },
  });
  routes.add({
    id: "knownRecords",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/known-records",
    summary:
      "What is known of each person of a crew from all rounds: of each part what was entered last; with `before`, from the rounds before that one",
    answer: v.array(KnownRecord),
    params: CrewParams,
    query: v.object({ before: v.optional(Id) }),
    async handle({ caller, params: { crewId }, query }) {
      await crewOf(db, caller, crewId);
      await noteSeen(db, caller, await now(caller), { crewId, personId: null, subject: "baseline", what: "what all rounds found" });
      return knownRecords(db, crewId, query.before);
    },
  });
  routes.add({
    id: "recordVersions",
    method: "get",
    scope: "health.read",
    path: "/api/rounds/:roundId/versions",
    summary: "How new each record of a round is; asked often while phones answer",
    answer: v.array(RecordVersion),
    params: RoundParams,
    async handle({ caller, params }) {
      await roundOf(db, caller, params.roundId);
      return versionsOf(db, params.roundId);
    },
  });
  routes.add({
    id: "records",
    method: "get",
    scope: "health.read",
    path: "/api/rounds/:roundId/records",
    summary: "The records of a round, whole",
    answer: v.array(RecordEntry),
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
    id: "saveRecord",
    method: "put",
    path: "/api/rounds/:roundId/people/:personId",
    summary: "Store one person's record; what means stop holds them out at once",
    answer: RecordEntry,
    params: v.object({ roundId: Id, personId: Id }),
    body: ChangedRecord,
    handle: async ({ caller, params, body }) =>
      saveRecord(db, caller, await now(caller), params.roundId, params.personId, body.version, body.record),
  });
  routes.add({
    id: "measuring",
    method: "get",
    scope: "health.read",
    path: "/api/practice/measuring",
    summary: "The noise of the practice's own measuring, from people measured twice, and what differences are held against",
    answer: MeasuringEntry,
    handle: ({ caller }) => measuringOf(db, caller),
  });
  routes.add({
    id: "chooseNoise",
    method: "post",
    path: "/api/practice/measuring",
    summary: "Hold differences against what was found from now on, or against the usual rules again",
    answer: MeasuringEntry,
    body: ChosenNoise,
    handle: async ({ caller, body }) => chooseNoise(db, caller, await now(caller), body),
  });
}
