/**
 * The trail of who saw or changed health answers: which part of whom, when, by whom; never what an answer said.
 * Changes are written in the transaction that makes them. Readings within a quarter of an hour are one line with a count.
 */
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import type { AuditRow, AuditSubject } from "./tables";

export interface AuditPlace {
  crewId: string;
  /** Null for everybody of the crew. */
  personId: string | null;
  subject: AuditSubject;
  what: string;
}

const ONE_READING_MS = 15 * 60_000;

export async function noteChanged(db: Db, caller: Caller, at: Date, place: AuditPlace, transaction: Transaction): Promise<void> {
  await db.models.Audit.create({ ...place, accountId: caller.accountId, act: "changed", at, lastAt: at, times: 1 }, { transaction });
}

export async function noteSeen(db: Db, caller: Caller, at: Date, place: AuditPlace): Promise<void> {
  const where = { ...place, accountId: caller.accountId, act: "saw" as const };
  const [counted] = await db.models.Audit.update(
    { lastAt: at, times: db.sequelize.literal("times + 1") as unknown as number },
    { where: { ...where, lastAt: { [Op.gt]: new Date(at.getTime() - ONE_READING_MS) } } },
  );
  if (counted === 0) await db.models.Audit.create({ ...where, at, lastAt: at, times: 1 });
}

const ENTRIES_PER_PAGE = 60;

export interface AuditAnswer {
  total: number;
  pageSize: number;
  entries: (Omit<AuditRow, "at" | "lastAt" | "accountId" | "crewId" | "id"> & { id: string; at: string; lastAt: string; by: string })[];
}

/** The trail of a crew, newest first. */
export async function auditOf(db: Db, caller: Caller, crewId: string, page: number): Promise<AuditAnswer> {
  await crewOf(db, caller, crewId);
  const { count, rows } = await db.models.Audit.findAndCountAll({
    where: { crewId },
    order: [["id", "DESC"]],
    limit: ENTRIES_PER_PAGE,
    offset: page * ENTRIES_PER_PAGE,
  });
  const accounts = await db.models.Account.findAll({ where: { id: [...new Set(rows.map((row) => row.get().accountId))] } });
  const names = new Map(accounts.map((account) => [account.get().id, account.get().name]));
  return {
    total: count,
    pageSize: ENTRIES_PER_PAGE,
    entries: rows.map((row) => {
      const { id, accountId, crewId: _crew, at, lastAt, ...rest } = row.get({ plain: true });
      return { ...rest, id: String(id), at: at.toISOString(), lastAt: lastAt.toISOString(), by: names.get(accountId) ?? "somebody gone" };
    }),
  };
}
