/**
 * A crew shared among trainers of a practice. Its trainer invites; a colleague who accepts works with everything of it as its trainer
 * does, but for what decides whose it is: removing it, inviting others, giving it to leads and employers. Either of both ends it, at once.
 */
import type { CrewColleagues, Invitation } from "@kind-grip/core/api";
import type { Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { notFound, Problem } from "../http/problem";
import { crewOf, lockCrew } from "./crews";
import type { CrewRow } from "./tables";

export async function listColleagues(db: Db, caller: Caller, crewId: string): Promise<CrewColleagues> {
  const crew = await crewOf(db, caller, crewId);
  const own = crew.trainerId === caller.accountId;
  const where = { practiceId: caller.practiceId, role: "trainer" as const };
  const [trainers, rows] = await Promise.all([
    db.models.Account.findAll({ where, attributes: ["id", "name", "email"], order: ["name"] }),
    db.models.CrewColleague.findAll({ where: { crewId } }),
  ]);
  const sharing = new Map(rows.map((row) => [row.get().accountId, row.get()]));
  const people = trainers.map((row) => row.get({ plain: true }));
  return {
    own,
    trainer: people.find(({ id }) => id === crew.trainerId)?.name ?? "",
    colleagues: people.flatMap(({ id, name, email }) => {
      const shared = sharing.get(id);
      // Whom else a colleague invited is the trainer's business until it is accepted.
      return shared && (own || shared.acceptedAt) ? [{ accountId: id, name, email, accepted: shared.acceptedAt !== null }] : [];
    }),
    others: own
      ? people.filter(({ id }) => id !== crew.trainerId && !sharing.has(id)).map(({ id, name, email }) => ({ accountId: id, name, email }))
      : [],
  };
}

/** Inviting again changes nothing. @throws Problem 403 for a colleague, 404 for somebody who is no other trainer of the practice */
export async function invite(db: Db, caller: Caller, at: Date, crewId: string, accountId: string): Promise<CrewColleagues> {
  await inTransaction(db, async (transaction) => {
    await lockOwn(db, caller, crewId, transaction);
    const where = { id: accountId, practiceId: caller.practiceId, role: "trainer" as const };
    const colleague = (await db.models.Account.findOne({ where, transaction }))?.get();
    if (!colleague || accountId === caller.accountId) throw notFound("colleague");
    const row = { crewId, accountId, invitedBy: caller.accountId, invitedAt: at, acceptedAt: null };
    const [, created] = await db.models.CrewColleague.findOrCreate({ where: { crewId, accountId }, defaults: row, transaction });
    if (created) await note(db, caller, at, crewId, `invited ${colleague.name}`, transaction);
  });
  return listColleagues(db, caller, crewId);
}

export async function invitationsOf(db: Db, { accountId }: Caller): Promise<Invitation[]> {
  const rows = (await db.models.CrewColleague.findAll({ where: { accountId, acceptedAt: null }, order: ["invitedAt"] })).map((row) =>
    row.get(),
  );
  const [crews, accounts] = await Promise.all([
    db.models.Crew.findAll({ where: { id: rows.map(({ crewId }) => crewId), removedAt: null } }),
    db.models.Account.findAll({ where: { id: rows.map(({ invitedBy }) => invitedBy) }, attributes: ["id", "name"] }),
  ]);
  return rows.flatMap(({ crewId, invitedBy }) => {
    const crew = crews.find((each) => each.get().id === crewId)?.get();
    const by = accounts.find((each) => each.get().id === invitedBy)?.get().name ?? "";
    return crew ? [{ crewId, crewName: crew.name, trade: crew.detail.trade, by }] : [];
  });
}

/** @throws Problem 404 when there is no such invitation (any more) */
export async function acceptInvitation(db: Db, caller: Caller, at: Date, crewId: string): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const where = { crewId, accountId: caller.accountId };
    const row = (await db.models.CrewColleague.findOne({ where, transaction, lock: transaction.LOCK.UPDATE }))?.get();
    const crew = await db.models.Crew.findOne({ where: { id: crewId, removedAt: null }, transaction });
    if (!row || !crew) throw notFound("invitation");
    if (row.acceptedAt) return;
    await db.models.CrewColleague.update({ acceptedAt: at }, { where, transaction });
    await note(db, caller, at, crewId, "accepted to share the crew", transaction);
  });
}

/** The trainer takes a share or an invitation back; a colleague leaves or declines. */
export async function endSharing(db: Db, caller: Caller, at: Date, crewId: string, accountId: string): Promise<void> {
  await inTransaction(db, async (transaction) => {
    // Somebody invited, and not in yet, may decline what they cannot see.
    if (accountId !== caller.accountId) await lockOwn(db, caller, crewId, transaction);
    const gone = await db.models.CrewColleague.destroy({ where: { crewId, accountId }, transaction });
    if (gone === 0) throw notFound("colleague");
    const colleague = (await db.models.Account.findByPk(accountId, { attributes: ["name"], transaction }))?.get().name ?? "";
    await note(db, caller, at, crewId, `ended sharing with ${colleague}`, transaction);
  });
}

/**
 * A colleague who shares a crew becomes its trainer, and whoever was shares it from then on. Leads and employers keep what they were given.
 * @throws Problem 403 for a colleague, 404 for somebody who does not share it
 */
export async function handOver(db: Db, caller: Caller, at: Date, crewId: string, accountId: string): Promise<CrewColleagues> {
  await inTransaction(db, async (transaction) => {
    await lockOwn(db, caller, crewId, transaction);
    const where = { crewId, accountId };
    const colleague = (await db.models.CrewColleague.findOne({ where, transaction }))?.get();
    if (!colleague?.acceptedAt) throw notFound("colleague");
    const name = (await db.models.Account.findByPk(accountId, { attributes: ["name"], transaction }))?.get().name ?? "";
    await db.models.Crew.update({ trainerId: accountId }, { where: { id: crewId }, transaction });
    await db.models.CrewColleague.destroy({ where, transaction });
    const before = { crewId, accountId: caller.accountId, invitedBy: accountId, invitedAt: at, acceptedAt: at };
    await db.models.CrewColleague.create(before, { transaction });
    await note(db, caller, at, crewId, `handed the crew to ${name}`, transaction);
  });
  return listColleagues(db, caller, crewId);
}

async function lockOwn(db: Db, caller: Caller, crewId: string, transaction: Transaction): Promise<CrewRow> {
  const crew = await lockCrew(db, caller, crewId, transaction);
  if (crew.trainerId !== caller.accountId) throw notOwn();
  return crew;
}

const notOwn = () => new Problem(403, "notOwn", "This is a colleague's crew. Only its trainer can do that.");

const note = (db: Db, caller: Caller, at: Date, crewId: string, what: string, transaction: Transaction) =>
  noteChanged(db, caller, at, { crewId, personId: null, subject: "access", what }, transaction);
