/** How people can be reached: their own page, and the trainer's. */
import { ContactEntry, OwnContacts } from "@kind-grip/core/api";
import { Contact, OwnContact } from "@kind-grip/core/contact";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { CrewParams } from "../http/params";
import { contactsOf, giveContact, withdrawContact } from "./contacts";

const Own = { roles: ["member"] as const };
const OneOf = v.object({ contactId: Id });
const PersonParams = v.object({ ...CrewParams.entries, personId: Id });

export function addContactRoutes(routes: Routes, { db, now, ways, push }: AppContext): void {
  const ofMember = ({ accountId, crewId }: Caller) => ({ personId: accountId, crewId: crewId! });
  const own = async (caller: Caller): Promise<OwnContacts> => ({
    contacts: (await contactsOf(db, ofMember(caller))).filter(({ withdrawnAt }) => withdrawnAt === null),
    ways: ways(),
    pushKey: (await push()?.key()) ?? null,
  });
  const nameOf = async ({ accountId }: Caller) => (await db.models.Account.findByPk(accountId))!.get().name;
  routes.add({
    id: "ownContacts",
    method: "get",
    path: "/api/member/contacts",
    summary: "Where a crew member agreed to be reminded, and the ways this server has",
    answer: OwnContacts,
    ...Own,
    handle: ({ caller }) => own(caller),
  });
  routes.add({
    id: "giveOwnContact",
    method: "put",
    path: "/api/member/contacts",
    summary: "Agree to be reminded at an address; another of the same way takes its place",
    answer: OwnContacts,
    ...Own,
    body: OwnContact,
    async handle({ caller, body }) {
      if (body.way === "push" && !push()?.mayCall(new URL(body.address.endpoint)))
        throw invalid([{ path: "address.endpoint", message: "is no address of a push service" }]);
      await giveContact(db, ofMember(caller), body, null, await now(caller));
      return own(caller);
    },
  });
  routes.add({
    id: "withdrawOwnContact",
    method: "delete",
    path: "/api/member/contacts/:contactId",
    summary: "Take the consent to an address back; the address is forgotten",
    answer: OwnContacts,
    ...Own,
    params: OneOf,
    async handle({ caller, params }) {
      await withdrawContact(db, ofMember(caller), params.contactId, null, await now(caller));
      return own(caller);
    },
  });
  routes.add({
    id: "contacts",
    method: "get",
    path: "/api/crews/:crewId/contacts",
    summary: "Where the people of a crew agreed to be reminded, since when, who wrote it down, and what was taken back",
    answer: v.array(ContactEntry),
    params: CrewParams,
    async handle({ caller, params: { crewId } }) {
      await crewOf(db, caller, crewId);
      return contactsOf(db, { crewId });
    },
  });
  routes.add({
    id: "giveContact",
    method: "put",
    path: "/api/crews/:crewId/people/:personId/contacts",
    summary: "Write down where a person agreed to be reminded",
    answer: v.array(ContactEntry),
    params: PersonParams,
    body: Contact,
    async handle({ caller, params: { crewId, personId }, body }) {
      await crewOf(db, caller, crewId);
      await giveContact(db, { crewId, personId }, body, await nameOf(caller), await now(caller));
      return contactsOf(db, { crewId });
    },
  });
  routes.add({
    id: "withdrawContact",
    method: "delete",
    path: "/api/crews/:crewId/people/:personId/contacts/:contactId",
    summary: "Take a person's consent to an address back for them; the address is forgotten",
    answer: v.array(ContactEntry),
    params: v.object({ ...PersonParams.entries, ...OneOf.entries }),
    async handle({ caller, params: { crewId, personId, contactId } }) {
      await crewOf(db, caller, crewId);
      await withdrawContact(db, { crewId, personId }, contactId, await nameOf(caller), await now(caller));
      return contactsOf(db, { crewId });
    },
  });
}
