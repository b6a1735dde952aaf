/** Crews and people. */
import {
  Absence,
  Absences,
  EndedRamp,
  RampEntry,
  ChangedCrew,
  ChangedPerson,
  CrewColleagues,
  CrewEntry,
  CrewListEntry,
  Invitation,
  ManyPeople,
  NewCrew,
  PersonEntry,
  STAFF_ROLES,
} from "@kind-grip/core/api";
import { writeCsv } from "@kind-grip/core/exchange";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { changeCrew, createCrew, crewAnswer, crewOf, listCrews, setCrewRemoved } from "./crews";
import { acceptInvitation, endSharing, handOver, invitationsOf, invite, listColleagues } from "./colleagues";
import { listRamps, setRampEnded } from "../program/ramps";
import { addAbsence, listAbsences, removeAbsence } from "./absences";
import { changePerson, keepPeople, listPeople, removePerson } from "./people";

const ColleagueParams = v.object({ crewId: Id, accountId: Id });
const PersonParams = v.object({ crewId: Id, personId: Id });
export function addCrewRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "crews",
    method: "get",
    scope: "crews.read",
    path: "/api/crews",
    summary: "The caller's crews",
    answer: v.array(CrewListEntry),
    roles: STAFF_ROLES,
    handle: async ({ caller }) => listCrews(db, caller, await now(caller)),
  });
  routes.add({
    id: "createCrew",
    method: "post",
    scope: "crews.write",
    path: "/api/crews",
    summary: "Make a crew",
    answer: CrewEntry,
    body: NewCrew,
    handle: ({ caller, body }) => createCrew(db, caller, body.id, body.crew),
  });
  routes.add({
    id: "crew",
    method: "get",
    scope: "crews.read",
    path: "/api/crews/:crewId",
    summary: "One crew",
    answer: CrewEntry,
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: async ({ caller, params }) => crewAnswer(await crewOf(db, caller, params.crewId)),
  });
  routes.add({
    id: "changeCrew",
    method: "put",
    scope: "crews.write",
    path: "/api/crews/:crewId",
    summary: "Change a crew",
    answer: CrewEntry,
    params: CrewParams,
    body: ChangedCrew,
    handle: async ({ caller, params, body }) => changeCrew(db, caller, await now(caller), params.crewId, body.version, body.crew),
  });
  routes.add({
    id: "removeCrew",
    method: "delete",
    path: "/api/crews/:crewId",
    summary: "Remove a crew; its records stay",
    params: CrewParams,
    handle: ({ caller, params }) => setCrewRemoved(db, caller, params.crewId, true),
  });
  routes.add({
    id: "restoreCrew",
    method: "post",
    path: "/api/crews/:crewId/restore",
    summary: "Bring a removed crew back",
    params: CrewParams,
    handle: ({ caller, params }) => setCrewRemoved(db, caller, params.crewId, false),
  });

  routes.add({
    id: "people",
    method: "get",
    scope: "crews.read",
    path: "/api/crews/:crewId/people",
    summary: "The people of a crew; a crew lead sees names only",
    answer: v.array(PersonEntry),
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: ({ caller, params }) => listPeople(db, caller, params.crewId),
  });
  routes.add({
    id: "addPeople",
    method: "post",
    scope: "crews.write",
    path: "/api/crews/:crewId/people",
    summary: "Add and change people, all or none; 409 with those whose name is known here, to be answered",
    answer: v.array(PersonEntry),
    params: CrewParams,
    body: ManyPeople,
    bodyLimit: "2mb",
    handle: async ({ caller, params, body }) => keepPeople(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    id: "changePerson",
    method: "put",
    scope: "crews.write",
    path: "/api/crews/:crewId/people/:personId",
    summary: "Change a person",
    answer: PersonEntry,
    params: PersonParams,
    body: ChangedPerson,
    handle: ({ caller, params, body }) => changePerson(db, caller, params.crewId, params.personId, body.version, body.person),
  });
  routes.add({
    id: "removePerson",
    method: "delete",
    scope: "crews.write",
    path: "/api/crews/:crewId/people/:personId",
    summary: "Remove a person without runs",
    params: PersonParams,
    handle: ({ caller, params }) => removePerson(db, caller, params.crewId, params.personId),
  });

  routes.add({
    id: "absences",
    method: "get",
    scope: "crews.read",
    path: "/api/crews/:crewId/absences",
    summary: "Days people are excused",
    answer: Absences,
    params: CrewParams,
    handle: ({ caller, params }) => listAbsences(db, caller, params.crewId),
  });
  routes.add({
    id: "addAbsence",
    method: "post",
    scope: "crews.write",
    path: "/api/crews/:crewId/absences",
    summary: "Excuse somebody for some days",
    answer: Absences,
    params: CrewParams,
    body: Absence,
    handle: ({ caller, params, body }) => addAbsence(db, caller, params.crewId, body),
  });
  routes.add({
    id: "removeAbsence",
    method: "delete",
    scope: "crews.write",
    path: "/api/crews/:crewId/absences/:absenceId",
    summary: "Take an absence back",
    answer: Absences,
    params: v.object({ crewId: Id, absenceId: Id }),
    handle: ({ caller, params }) => removeAbsence(db, caller, params.crewId, params.absenceId),
  });
  routes.add({
    id: "ramps",
    method: "get",
    scope: "crews.read",
    path: "/api/crews/:crewId/ramps",
    summary: "Who is new or was away, and does less for now",
    answer: v.array(RampEntry),
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: async ({ caller, params }) => listRamps(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "endRamp",
    method: "put",
    path: "/api/crews/:crewId/people/:personId/ramp",
    summary: "End what somebody does less after an absence, or take that back",
    answer: v.array(RampEntry),
    params: PersonParams,
    body: EndedRamp,
    handle: async ({ caller, params, body }) => setRampEnded(db, caller, await now(caller), params.crewId, params.personId, body.ended),
  });
  routes.add({
    id: "peopleCsv",
    method: "get",
    scope: "crews.read",
    path: "/api/crews/:crewId/people.csv",
    summary: "The people of a crew as CSV",
    file: "text/csv",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      const people = await listPeople(db, caller, params.crewId);
      const csv = writeCsv(
        ["name", "badge", "handedness", "startedOn", "leftOn", "language"],
        people.map((person) => [person.name, person.badge, person.handedness, person.startedOn, person.leftOn, person.language]),
      );
      sendFile(response, `${crew.name} people.csv`, "text/csv", csv);
    },
  });
  routes.add({
    id: "crewColleagues",
    method: "get",
    path: "/api/crews/:crewId/colleagues",
    summary: "Trainers who share a crew, and who could be invited",
    answer: CrewColleagues,
    params: CrewParams,
    handle: ({ caller, params }) => listColleagues(db, caller, params.crewId),
  });
  routes.add({
    id: "inviteColleague",
    method: "put",
    path: "/api/crews/:crewId/colleagues/:accountId",
    summary: "Invite a colleague to share a crew",
    answer: CrewColleagues,
    params: ColleagueParams,
    handle: async ({ caller, params }) => invite(db, caller, await now(caller), params.crewId, params.accountId),
  });
  routes.add({
    id: "handOverCrew",
    method: "put",
    path: "/api/crews/:crewId/colleagues/:accountId/trainer",
    summary: "Hand a crew to a colleague who shares it",
    answer: CrewColleagues,
    params: ColleagueParams,
    handle: async ({ caller, params }) => handOver(db, caller, await now(caller), params.crewId, params.accountId),
  });
  routes.add({
    id: "endSharing",
    method: "delete",
    path: "/api/crews/:crewId/colleagues/:accountId",
    summary: "Take an invitation or a share back",
    params: ColleagueParams,
    handle: async ({ caller, params }) => endSharing(db, caller, await now(caller), params.crewId, params.accountId),
  });
  routes.add({
    id: "invitations",
    method: "get",
    path: "/api/invitations",
    summary: "Crews a colleague would share",
    answer: v.array(Invitation),
    handle: ({ caller }) => invitationsOf(db, caller),
  });
  routes.add({
    id: "acceptInvitation",
    method: "post",
    path: "/api/invitations/:crewId/accept",
    summary: "Share a colleague's crew",
    params: CrewParams,
    handle: async ({ caller, params }) => acceptInvitation(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "declineInvitation",
    method: "delete",
    path: "/api/invitations/:crewId",
    summary: "Decline to share a colleague's crew, or leave it",
    params: CrewParams,
    handle: async ({ caller, params }) => endSharing(db, caller, await now(caller), params.crewId, caller.accountId),
  });
}
