/** What is kept of a person, for themselves and for their trainer; forgetting them; how long a practice keeps what. */
import { ErasedPerson, ErasePerson, KeptOfPerson, RetentionChange, RetentionEntry } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { erasePerson } from "./erase";
import { everythingOf, keptOf } from "./everything";
import { retentionOf, setRetention } from "./retention";

const Own = { roles: ["member"] as const };
const PersonParams = v.object({ ...CrewParams.entries, personId: Id });
const FILE_NAME = "everything.kind-grip-person.json";

export function addPersonalRoutes(routes: Routes, { db, now }: AppContext): void {
  const ofMember = ({ accountId, crewId }: Caller) => ({ personId: accountId, crewId: crewId! });
  const asFile = (everything: object) => Buffer.from(JSON.stringify(everything, null, 1));
  routes.add({
    id: "keptOfMe",
    method: "get",
    path: "/api/member/everything",
    summary: "What is kept of a crew member, kind by kind: how much, from when until when",
    answer: KeptOfPerson,
    ...Own,
    handle: ({ caller }) => keptOf(db, ofMember(caller)),
  });
  routes.add({
    id: "everythingOfMe",
    method: "get",
    path: "/api/member/everything.json",
    summary: "Everything that is kept of a crew member, as an open file (docs/formats/person.md)",
    file: "application/json",
    ...Own,
    async handle({ caller, response }) {
      sendFile(response, FILE_NAME, "application/json", asFile(await everythingOf(db, ofMember(caller), await now(caller))));
    },
  });
  routes.add({
    id: "everythingOfPerson",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/people/:personId/everything.json",
    summary: "Everything that is kept of a person, to be handed to them (docs/formats/person.md)",
    file: "application/json",
    params: PersonParams,
    async handle({ caller, params, response }) {
      await crewOf(db, caller, params.crewId);
      const at = await now(caller);
      const file = asFile(await everythingOf(db, params, at));
      await noteSeen(db, caller, at, { ...params, subject: "export", what: "everything of a person, as a file" });
      sendFile(response, FILE_NAME, "application/json", file);
    },
  });
  routes.add({
    id: "erasePerson",
    method: "post",
    path: "/api/crews/:crewId/people/:personId/erase",
    summary: "Forget a person for good; the crew's figures stand. Their name is said again, so that it is nobody else",
    answer: ErasedPerson,
    params: PersonParams,
    body: ErasePerson,
    handle: async ({ caller, params, body }) => erasePerson(db, caller, await now(caller), params, body.name),
  });
  routes.add({
    id: "retention",
    method: "get",
    path: "/api/practice/retention",
    summary: "How long the practice keeps health answers, runs and the trail",
    answer: RetentionEntry,
    handle: ({ caller }) => retentionOf(db, caller.practiceId),
  });
  routes.add({
    id: "setRetention",
    method: "put",
    path: "/api/practice/retention",
    summary: "Change how long; what is older goes once a day from then on",
    answer: RetentionEntry,
    body: RetentionChange,
    handle: async ({ caller, body }) => setRetention(db, caller, await now(caller), body.version, body.rules),
  });
}
