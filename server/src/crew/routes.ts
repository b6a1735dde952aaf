/** Crews and people. */
import { Crew, NewPerson, Person } from "@kind-grip/core/crew";
import { writeCsv } from "@kind-grip/core/exchange";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { CrewParams, Version } from "../http/params";
import type { Routes } from "../http/route";
import { changeCrew, createCrew, crewAnswer, crewOf, listCrews, setCrewRemoved } from "./crews";
import { addAbsence, listAbsences, NewAbsence, removeAbsence } from "./absences";
import { exportCrew } from "./export";
import { addPeople, changePerson, listPeople, removePerson } from "./people";

const PersonParams = v.object({ crewId: Id, personId: Id });
export const MOST_PEOPLE_AT_ONCE = 5000;

export function addCrewRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews",
    summary: "The caller's crews",
    roles: ["trainer", "lead", "employer"],
    handle: ({ caller }) => listCrews(db, caller),
  });
  routes.add({
    method: "post",
    path: "/api/crews",
    summary: "Make a crew",
    body: v.strictObject({ id: Id, crew: Crew }),
    handle: ({ caller, body }) => createCrew(db, caller, body.id, body.crew),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId",
    summary: "One crew",
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: async ({ caller, params }) => crewAnswer(await crewOf(db, caller, params.crewId)),
  });
  routes.add({
    method: "put",
    path: "/api/crews/:crewId",
    summary: "Change a crew",
    params: CrewParams,
    body: v.strictObject({ version: Version, crew: Crew }),
    handle: ({ caller, params, body }) => changeCrew(db, caller, params.crewId, body.version, body.crew),
  });
  routes.add({
    method: "delete",
    path: "/api/crews/:crewId",
    summary: "Remove a crew; its records stay",
    params: CrewParams,
    handle: ({ caller, params }) => setCrewRemoved(db, caller, params.crewId, true),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/restore",
    summary: "Bring a removed crew back",
    params: CrewParams,
    handle: ({ caller, params }) => setCrewRemoved(db, caller, params.crewId, false),
  });

  routes.add({
    method: "get",
    path: "/api/crews/:crewId/people",
    summary: "The people of a crew; a crew lead sees names only",
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: ({ caller, params }) => listPeople(db, caller, params.crewId),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/people",
    summary: "Add people, all or none; 409 with those whose name is known here, to be answered",
    params: CrewParams,
    body: v.strictObject({
      people: v.pipe(
        v.array(NewPerson),
        v.minLength(1, "names nobody"),
        v.maxLength(MOST_PEOPLE_AT_ONCE, `at most ${MOST_PEOPLE_AT_ONCE} people at once`),
      ),
      /** Of those whose name is known here: who they are, or null for somebody else. */
      answers: v.optional(v.pipe(v.array(v.strictObject({ id: Id, sameAs: v.nullable(Id) })), v.maxLength(MOST_PEOPLE_AT_ONCE)), []),
    }),
    bodyLimit: "2mb",
    handle: async ({ caller, params, body }) => addPeople(db, caller, await now(caller), params.crewId, body.people, body.answers),
  });
  routes.add({
    method: "put",
    path: "/api/crews/:crewId/people/:personId",
    summary: "Change a person",
    params: PersonParams,
    body: v.strictObject({ version: Version, person: Person }),
    handle: ({ caller, params, body }) => changePerson(db, caller, params.crewId, params.personId, body.version, body.person),
  });
  routes.add({
    method: "delete",
    path: "/api/crews/:crewId/people/:personId",
    summary: "Remove a person without runs",
    params: PersonParams,
    handle: ({ caller, params }) => removePerson(db, caller, params.crewId, params.personId),
  });

  routes.add({
    method: "get",
    path: "/api/crews/:crewId/absences",
    summary: "Days people are excused",
    params: CrewParams,
    handle: ({ caller, params }) => listAbsences(db, caller, params.crewId),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/absences",
    summary: "Excuse somebody for some days",
    params: CrewParams,
    body: NewAbsence,
    handle: ({ caller, params, body }) => addAbsence(db, caller, params.crewId, body),
  });
  routes.add({
    method: "delete",
    path: "/api/crews/:crewId/absences/:absenceId",
    summary: "Take an absence back",
    params: v.object({ crewId: Id, absenceId: Id }),
    handle: ({ caller, params }) => removeAbsence(db, caller, params.crewId, params.absenceId),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/export.json",
    summary: "Everything that is kept of a crew, as one open file",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const at = await now(caller);
      const crew = await crewOf(db, caller, params.crewId);
      const file = await exportCrew(db, caller, at, crew.id);
      await noteSeen(db, caller, at, { crewId: crew.id, personId: null, subject: "export", what: "everything of the crew" });
      sendFile(response, `${crew.name}.kind-grip-crew.json`, "application/json", JSON.stringify(file));
    },
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/people.csv",
    summary: "The people of a crew as CSV",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      const people = await listPeople(db, caller, params.crewId);
      const csv = writeCsv(
        ["name", "badge", "handedness", "startedOn", "leftOn"],
        people.map((person) => [person.name, person.badge, person.handedness, person.startedOn, person.leftOn]),
      );
      sendFile(response, `${crew.name} people.csv`, "text/csv", csv);
    },
  });
}
