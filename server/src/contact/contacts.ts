/** Addresses people agreed to be reminded at: given by themselves, or written down for them by their trainer; taken back by either. */
import type { ContactEntry } from "@kind-grip/core/api";
import { CONTACT_WAYS, PushContact, type ContactWay, type OwnContact } from "@kind-grip/core/contact";
import { Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import * as v from "valibot";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { notFound } from "../http/problem";
import type { ContactRow } from "./tables";

/** Whose they are. */
export interface Whose {
  crewId: string;
  personId: string;
}

const entryOf = ({ address, givenAt, withdrawnAt, id, personId, way, givenBy, withdrawnBy }: ContactRow): ContactEntry => ({
  id,
  personId,
  way,
  address: shown(way, address),
  givenAt: givenAt.toISOString(),
  givenBy,
  withdrawnAt: withdrawnAt?.toISOString() ?? null,
  withdrawnBy,
});

/** An address as it is kept: of a phone all that is needed to reach it. */
const keptAs = (contact: OwnContact): string =>
  contact.way === "push" ? JSON.stringify({ device: contact.device, address: contact.address }) : contact.address;
const phoneIn = (address: string) => v.parse(v.omit(PushContact, ["way"]), JSON.parse(address));

/** A row as it may leave this server. */
export const withoutPhoneKeys = <Row extends Pick<ContactRow, "way" | "address">>(row: Row): Row => ({
  ...row,
  address: row.address === null ? null : shown(row.way, row.address),
});

/** What may be seen of it: whoever had the rest could send to the phone, too. */
function shown(way: ContactWay, address: string | null): string {
  if (address === null) return "";
  return way === "push" ? phoneIn(address).device : address;
}

/** With those that were withdrawn, the latest first: that somebody had agreed, and until when, is kept. */
export async function contactsOf({ models }: Db, where: Partial<Whose>): Promise<ContactEntry[]> {
  const rows = await models.Contact.findAll({ where, order: [["givenAt", "DESC"]] });
  return rows.map((row) => entryOf(row.get()));
}

/**
 * One address a way: another takes its place, the same again changes nothing.
 * @param by who writes it down for the person; null for the person
 */
export async function giveContact(db: Db, { crewId, personId }: Whose, contact: OwnContact, by: string | null, at: Date): Promise<void> {
  const { Contact, Person } = db.models;
  const { way } = contact;
  const address = keptAs(contact);
  await inTransaction(db, async (transaction) => {
    // Two at once wait for one another: one address a way.
    const person = await Person.findOne({ where: { id: personId, crewId, erasedAt: null }, transaction, lock: Transaction.LOCK.UPDATE });
    if (!person) throw notFound("person");
    const now = (await Contact.findOne({ where: { personId, way, withdrawnAt: null }, transaction }))?.get();
    if (now?.address === address) return;
    if (now) await Contact.update(withdrawn(at, by), { where: { id: now.id }, transaction });
    if (contact.way === "push") await takeFromOthers(db, { crewId, personId }, contact.address.endpoint, at, transaction);
    await Contact.create(
      { id: uuid(), crewId, personId, way, address, givenAt: at, givenBy: by, withdrawnAt: null, withdrawnBy: null },
      { transaction },
    );
  });
}

/** A phone is one person's: whoever of the crew had it for reminders before has it no longer. */
async function takeFromOthers({ models }: Db, { crewId, personId }: Whose, endpoint: string, at: Date, transaction: Transaction) {
  const rows = await models.Contact.findAll({ where: { crewId, way: "push", withdrawnAt: null }, transaction });
  const ids = rows
    .map((row) => row.get())
    .filter((row) => row.personId !== personId && phoneIn(row.address!).address.endpoint === endpoint)
    .map(({ id }) => id);
  if (ids.length > 0) await models.Contact.update(withdrawn(at, null), { where: { id: ids }, transaction });
}

/** The address is forgotten at once; what waits to be sent there is dropped as it is due. Taken back twice it stays as it was. */
export async function withdrawContact({ models }: Db, whose: Whose, id: string, by: string | null, at: Date): Promise<void> {
  if (!(await models.Contact.findOne({ where: { ...whose, id } }))) throw notFound("address");
  await models.Contact.update(withdrawn(at, by), { where: { ...whose, id, withdrawnAt: null } });
}

const withdrawn = (at: Date, by: string | null) => ({ address: null, withdrawnAt: at, withdrawnBy: by });

/** Of each person of a crew the ways they agreed to, of those there are. */
export async function agreedWays(
  { models }: Db,
  crewId: string,
  ways: readonly ContactWay[] = CONTACT_WAYS,
): Promise<Map<string, ContactWay[]>> {
  const rows = await models.Contact.findAll({ where: { crewId, withdrawnAt: null, way: [...ways] }, attributes: ["personId", "way"] });
  const byPerson = new Map<string, ContactWay[]>();
  for (const row of rows) {
    const { personId, way } = row.get();
    byPerson.set(personId, [...(byPerson.get(personId) ?? []), way]);
  }
  return byPerson;
}

/** An address that does not exist any more, if it is still the one they gave. */
export async function forgetAddress(
  db: Db,
  { personId, way }: { personId: string; way: ContactWay },
  address: string,
  at: Date,
): Promise<void> {
  const row = (await db.models.Contact.findOne({ where: { personId, way, withdrawnAt: null } }))?.get();
  if (row?.address === address) await db.models.Contact.update(withdrawn(at, null), { where: { id: row.id, withdrawnAt: null } });
}

/** Undefined where they agreed to none, or took it back. */
export async function addressOf({ models }: Db, personId: string, way: ContactWay): Promise<string | undefined> {
  return (await models.Contact.findOne({ where: { personId, way, withdrawnAt: null } }))?.get().address ?? undefined;
}
