/** How people can be reached, with their consent. */
import * as v from "valibot";
import { CONTACT_WAYS } from "../contact";
import { Id, IsoInstant } from "../units";

export const ContactEntry = v.strictObject({
  id: Id,
  personId: Id,
  way: v.picklist(CONTACT_WAYS),
  /** Of a phone how it is called. Empty once it was withdrawn: then only that there was a consent is kept. */
  address: v.string(),
  givenAt: IsoInstant,
  /** Who wrote down that the person agreed; null for the person. */
  givenBy: v.nullable(v.string()),
  withdrawnAt: v.nullable(IsoInstant),
  withdrawnBy: v.nullable(v.string()),
});
export type ContactEntry = v.InferOutput<typeof ContactEntry>;

/** What a crew member has given, and which ways this server has. */
export const OwnContacts = v.strictObject({
  contacts: v.array(ContactEntry),
  ways: v.array(v.picklist(CONTACT_WAYS)),
  /** By which a browser knows that messages are this server's (RFC 8292). */
  pushKey: v.nullable(v.string()),
});
export type OwnContacts = v.InferOutput<typeof OwnContacts>;
