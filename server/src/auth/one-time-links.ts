/**
 * One-time addresses: for the first day of a practice, for somebody who is invited, for a forgotten password. Only the hash of the secret
 * is kept; used, it is gone. Making one anew ends the one before.
 */
import type { OneTimeLink, UsedLink } from "@kind-grip/core/api";
import { createHash, randomBytes } from "node:crypto";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { noteSignIn } from "../audit/audit";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, Problem } from "../http/problem";
import { hashPassword } from "./password";
import { refuseGuessed } from "./guessed";
import { endSessions } from "./sessions";
import { onlyWithPasskey, standingOf } from "./standing";
import type { AccountRow, OneTimeLinkRow } from "./tables";

const DAY_MS = 86_400_000;
export const LASTS_MS = { first: 30 * DAY_MS, invitation: 14 * DAY_MS, password: DAY_MS } as const;

/** So long an invitation that ran out is still shown as one. */
const FORGOTTEN_AFTER_MS = 90 * DAY_MS;

const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");

/** Where a page of the interface finds the secret; nothing after the # is sent to a server, or logged by one. */
export const pathOf = (token: string): string => `/link#${token}`;

type Made = Pick<OneTimeLinkRow, "kind"> & Partial<Omit<OneTimeLinkRow, "kind" | "secretHash" | "madeAt" | "until">>;

/** @returns the secret, the only time it is known */
export async function makeLink({ models }: Db, link: Made, at: Date, transaction?: Transaction): Promise<string> {
  const token = randomBytes(24).toString("base64url");
  // Whoever had one that ran out long ago asks for another.
  await models.OneTimeLink.destroy({ where: { until: { [Op.lt]: new Date(at.getTime() - FORGOTTEN_AFTER_MS) } }, transaction });
  const row: OneTimeLinkRow = {
    id: uuid(),
    practiceId: null,
    accountId: null,
    madeBy: null,
    name: "",
    email: "",
    role: "trainer",
    crewIds: [],
    ...link,
    secretHash: hashOf(token),
    madeAt: at,
    until: new Date(at.getTime() + LASTS_MS[link.kind]),
  };
  await models.OneTimeLink.upsert(row, { transaction });
  return token;
}

/**
 * The address at which the first trainer of an installation begins.
 * @returns undefined when there is a practice already; the demo is none
 */
export async function makeFirstLink(db: Db, at: Date): Promise<string | undefined> {
  return inTransaction(db, async (transaction) => {
    if (await hasPractice(db, transaction)) return undefined;
    await db.models.OneTimeLink.destroy({ where: { kind: "first" }, transaction });
    return makeLink(db, { kind: "first" }, at, transaction);
  });
}

const hasPractice = async ({ models }: Db, transaction?: Transaction): Promise<boolean> =>
  (await models.Practice.count({ where: { demoNow: null }, transaction })) > 0;

/** The way back of somebody who forgot a password. @returns undefined where nobody has this e-mail address */
export async function makePasswordLink(db: Db, email: string, at: Date): Promise<{ token: string; account: AccountRow } | undefined> {
  return inTransaction(db, async (transaction) => {
    const account = (await db.models.Account.findOne({ where: { email }, transaction }))?.get({ plain: true });
    if (!account) return undefined;
    await db.models.OneTimeLink.destroy({ where: { kind: "password", accountId: account.id }, transaction });
    const { id: accountId, practiceId, name, role } = account;
    const token = await makeLink(db, { kind: "password", accountId, practiceId, name, email, role }, at, transaction);
    return { token, account };
  });
}

interface InvitedTrainer {
  /** Its name. */
  practice: string;
  /** Whether the practice is made, or there already. */
  isNew: boolean;
  email: string;
  name: string;
}

/**
 * A trainer is invited by whoever runs the server: the first of a further practice, or one more of a practice whose trainers are out of reach.
 * @returns the secret of the address @throws Error in words for who asked
 */
export async function makeTrainerLink(db: Db, { practice, isNew, email, name }: InvitedTrainer, at: Date): Promise<string> {
  return inTransaction(db, async (transaction) => {
    const { Practice, Account, OneTimeLink } = db.models;
    const named = await Practice.findAll({ where: { name: practice }, attributes: ["id"], transaction });
    if (isNew && named.length > 0) throw new Error(`There is a practice named ${practice} already.`);
    if (!isNew && named.length !== 1) throw new Error(`${named.length} practices are named ${practice}. bin/admin practices lists them.`);
    if (await Account.findOne({ where: { email }, attributes: ["id"], transaction }))
      throw new Error(`${email} has a sign-in already. bin/admin password makes a way back.`);
    const practiceId = isNew ? uuid() : named[0]!.get().id;
    if (isNew) await Practice.create({ id: practiceId, name: practice, demoNow: null }, { transaction });
    await OneTimeLink.destroy({ where: { kind: "invitation", practiceId, email }, transaction });
    return makeLink(db, { kind: "invitation", practiceId, name, email, role: "trainer" }, at, transaction);
  });
}

const usedUp = () => new Problem(410, "usedUp", "This address was used, taken back or is too old. Ask for a new one.");

async function linkOf(db: Db, token: string, at: Date, transaction?: Transaction): Promise<OneTimeLinkRow> {
  const where = { secretHash: hashOf(token), until: { [Op.gt]: at } };
  const lock = transaction?.LOCK.UPDATE;
  const link = (await db.models.OneTimeLink.findOne({ where, transaction, ...(lock ? { lock } : {}) }))?.get({ plain: true });
  if (!link) throw usedUp();
  return link;
}

/** Whom it is for. @throws Problem 410 for one that is not good any more, and for what never was one */
export async function readLink(db: Db, token: string, at: Date): Promise<OneTimeLink> {
  const { kind, practiceId, madeBy, role, name, email, until } = await linkOf(db, token, at);
  const [practice, maker] = await Promise.all([
    practiceId ? db.models.Practice.findByPk(practiceId, { attributes: ["name"] }) : null,
    madeBy ? db.models.Account.findByPk(madeBy, { attributes: ["name"] }) : null,
  ]);
  return { kind, practice: practice?.get().name ?? "", role, name, email, by: maker?.get().name ?? "", until: until.toISOString() };
}

/**
 * Does what an address is for, once.
 * @returns whose it is by now, and whether they are signed in with it: not where a second step or a passkey is asked for
 * @throws Problem 410 as readLink; 400 by field
 */
export async function applyLink(db: Db, used: UsedLink, at: Date): Promise<{ account: AccountRow; opens: boolean }> {
  const before = await linkOf(db, used.token, at);
  if (before.kind !== used.kind) throw usedUp();
  const named = used.kind === "first" ? [used.practice, used.name, used.email] : [before.name, before.email];
  refuseGuessed(used.password, named, "password");
  const passwordHash = await hashPassword(used.password);
  const account = await inTransaction(db, async (transaction) => {
    const link = await linkOf(db, used.token, at, transaction);
    await db.models.OneTimeLink.destroy({ where: { id: link.id }, transaction });
    if (used.kind === "first") return beginPractice(db, used, passwordHash, transaction);
    if (used.kind === "invitation") return acceptInvitation(db, link, used.name, passwordHash, transaction);
    return passwordAnew(db, link, passwordHash, transaction);
  });
  const standing = await standingOf(db, { accountId: account.id, role: account.role });
  return { account, opens: !account.totpSince && !(standing && onlyWithPasskey(standing)) };
}

type First = Extract<UsedLink, { kind: "first" }>;

async function beginPractice(db: Db, first: First, passwordHash: string, transaction: Transaction): Promise<AccountRow> {
  const { practice: name, place, timeZone, language, measures, email } = first;
  // Two browsers with the same address: the practice is whoever's came first.
  if (await hasPractice(db, transaction)) throw usedUp();
  await refuseTaken(db, email, transaction);
  const practiceId = uuid();
  await db.models.Practice.create(
    { id: practiceId, name, demoNow: null, place: place || null, timeZone, language, measures },
    { transaction },
  );
  const row: AccountRow = { id: uuid(), practiceId, role: "trainer", email, name: first.name, passwordHash };
  await db.models.Account.create(row, { transaction });
  await db.models.OneTimeLink.destroy({ where: { kind: "first" }, transaction });
  await noteSignIn(db, { accountId: row.id, practiceId }, "began the practice", transaction);
  return row;
}

async function acceptInvitation(
  db: Db,
  link: OneTimeLinkRow,
  name: string,
  passwordHash: string,
  transaction: Transaction,
): Promise<AccountRow> {
  await refuseTaken(db, link.email, transaction);
  const { id, role, email, madeBy, crewIds } = link;
  const practiceId = link.practiceId!;
  const row: AccountRow = { id, practiceId, role, email, name, passwordHash, givenBy: role === "trainer" ? null : madeBy };
  await db.models.Account.create(row, { transaction });
  // What is not the inviting trainer's any more is not given.
  const crews = await db.models.Crew.findAll({
    where: { id: crewIds, trainerId: madeBy ?? "", removedAt: null },
    attributes: ["id"],
    transaction,
  });
  await db.models.CrewAccess.bulkCreate(
    crews.map((crew) => ({ accountId: id, crewId: crew.get().id })),
    { transaction },
  );
  await noteSignIn(db, { accountId: id, practiceId }, "accepted an invitation", transaction);
  return row;
}

async function passwordAnew(db: Db, link: OneTimeLinkRow, passwordHash: string, transaction: Transaction): Promise<AccountRow> {
  const accountId = link.accountId!;
  await db.models.Account.update({ passwordHash }, { where: { id: accountId }, transaction });
  // Whoever may have known the old one is out at once.
  await endSessions(db, [accountId], transaction);
  const account = (await db.models.Account.findByPk(accountId, { transaction }))!.get({ plain: true });
  await noteSignIn(db, { accountId, practiceId: account.practiceId }, "password set anew by a one-time address", transaction);
  return account;
}

export async function refuseTaken({ models }: Db, email: string, transaction?: Transaction): Promise<void> {
  if (await models.Account.findOne({ where: { email }, attributes: ["id"], transaction }))
    throw invalid([{ path: "email", message: "has a sign-in already" }]);
}
