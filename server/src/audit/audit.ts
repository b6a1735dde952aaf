/**
 * The trail of who saw or changed health answers and who signed in: which part of whom, when, by whom; never what an answer said. It is
 * only added to. Changes are written in the transaction that makes them. Readings within a quarter of an hour are shown as one line.
 */
import type { AuditEntry, AuditPage } from "@kind-grip/core/api";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import type * as v from "valibot";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import type { TrailEntryRow } from "./tables";

export interface AuditPlace {
  crewId: string;
  /** Null for everybody of the crew. */
  personId: string | null;
  subject: Exclude<AuditEntry["subject"], "signIn">;
  what: string;
}
type Actor = Pick<Caller, "accountId" | "practiceId" | "token">;

const ONE_READING_MS = 15 * 60_000;
/** Letters of what happened. */
const LONGEST = 160;

async function write(
  { models }: Db,
  entry: Omit<TrailEntryRow, "id" | "lineId" | "times" | "segmentId">,
  lineId?: string,
  transaction?: Transaction,
) {
  const id = uuid();
  await models.TrailEntry.create({ ...entry, id, lineId: lineId ?? id, times: 1, segmentId: null }, { transaction });
}

/** Whose program it was, where one called. */
const byWhat = (what: string, token: Actor["token"]): string => (token ? `${what} · by API token “${token.name}”`.slice(0, LONGEST) : what);

export async function noteChanged(db: Db, { accountId, practiceId, token }: Actor, at: Date, place: AuditPlace, transaction: Transaction) {
  const what = byWhat(place.what, token);
  await write(db, { ...place, what, practiceId, accountId, act: "changed", at }, undefined, transaction);
}

export async function noteSeen(db: Db, { accountId, practiceId, token }: Actor, at: Date, place: AuditPlace): Promise<void> {
  const reading = { ...place, what: byWhat(place.what, token), practiceId, accountId, act: "saw" as const };
  const soonBefore = await db.models.TrailEntry.findOne({
    where: { ...reading, at: { [Op.gt]: new Date(at.getTime() - ONE_READING_MS), [Op.lte]: at } },
    attributes: ["lineId"],
    order: [["at", "DESC"]],
  });
  await write(db, { ...reading, at }, soonBefore?.get().lineId);
}

/** What a sign-in did or had done to it: "signed in with a passkey", "password changed". In real time, also in a demo practice. */
export async function noteSignIn(db: Db, { accountId, practiceId }: Actor, what: string, transaction?: Transaction): Promise<void> {
  const entry = {
    practiceId,
    accountId,
    crewId: null,
    personId: null,
    act: "did" as const,
    subject: "signIn" as const,
    what,
    at: new Date(),
  };
  await write(db, entry, undefined, transaction);
}

const LINES_PER_PAGE = 60;

/** The trail of a crew, newest first. */
export async function auditOf(db: Db, caller: Caller, crewId: string, page: number): Promise<v.InferOutput<typeof AuditPage>> {
  await crewOf(db, caller, crewId);
  return linesOf(db, "crewId = :of", crewId, page);
}

/** Sign-ins of a practice, newest first. */
export async function signInTrailOf(db: Db, { practiceId }: Caller, page: number): Promise<v.InferOutput<typeof AuditPage>> {
  return linesOf(db, "practiceId = :of AND crewId IS NULL", practiceId, page);
}

type Line = Pick<TrailEntryRow, "personId" | "accountId" | "act" | "subject" | "what"> & {
  id: string;
  at: Date;
  lastAt: Date;
  times: number | string;
};

async function linesOf({ sequelize, models }: Db, where: string, of: string, page: number) {
  const ask = { replacements: { of, most: LINES_PER_PAGE, skip: page * LINES_PER_PAGE }, type: QueryTypes.SELECT } as const;
  const [lines, [count]] = await Promise.all([
    sequelize.query<Line>(
      `SELECT lineId AS id, MAX(personId) AS personId, MAX(accountId) AS accountId, MAX(act) AS act, MAX(subject) AS subject, MAX(what) AS what,
         MIN(at) AS at, MAX(at) AS lastAt, SUM(times) AS times
       FROM trail_entries WHERE ${where} GROUP BY lineId ORDER BY MIN(at) DESC, lineId DESC LIMIT :most OFFSET :skip`,
      ask,
    ),
    sequelize.query<{ total: number }>(`SELECT COUNT(DISTINCT lineId) AS total FROM trail_entries WHERE ${where}`, ask),
  ]);
  const accounts = await models.Account.findAll({
    where: { id: [...new Set(lines.map(({ accountId }) => accountId))] },
    attributes: ["id", "name"],
  });
  const names = new Map(accounts.map((account) => [account.get().id, account.get().name]));
  return {
    total: Number(count!.total),
    pageSize: LINES_PER_PAGE,
    entries: lines.map(({ accountId, at, lastAt, times, ...line }) => ({
      ...line,
      times: Number(times),
      at: new Date(at).toISOString(),
      lastAt: new Date(lastAt).toISOString(),
      by: names.get(accountId) ?? "somebody gone",
    })),
  };
}
