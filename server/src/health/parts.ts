/**
 * How each part of an installation is, in words: the database and its nodes, the disk, what waits to be made, sent and sealed, the mail
 * server, backups. For whoever runs it: `bin/admin health`, and `/healthz/parts` for who has the token of `/metrics`. Never a name or an address
 * of anybody.
 */
import { withTimeout } from "es-toolkit";
import { QueryTypes } from "sequelize";
import { backupsIn } from "../backup/backups";
import type { Db } from "../db/connection";
import { LEAST_FREE_BYTES, type FreeBytes } from "../http/disk";

export interface PartHealth {
  part: string;
  isWell: boolean;
  says: string;
}

/** What is outside of the database, as far as there is any. */
export interface Surroundings {
  /** Where the private database keeps its files. */
  freeBytes?: FreeBytes;
  /** Resolves when the mail server takes mail. */
  askMail?: () => Promise<unknown>;
  backupFolder?: string;
}

const PATIENCE_MS = 4000;
/** Waiting longer than that, nobody is at work. */
export const LATEST_SEC = { jobs: 120, reminders: 900, seals: 2 * 3600, backups: 36 * 3600 } as const;

/** @param sec not negative @returns "40 s", "3 min", "5 h", "2 days" */
export function ageText(sec: number): string {
  if (sec < 60) return `${Math.round(sec)} s`;
  if (sec < 3600) return `${Math.round(sec / 60)} min`;
  return sec < 2 * 86_400 ? `${Math.round(sec / 3600)} h` : `${Math.round(sec / 86_400)} days`;
}

/** In the order in which somebody would look; a part that could not be asked says why and is not well. */
export async function healthByPart(db: Db, { freeBytes, askMail, backupFolder }: Surroundings, now = new Date()): Promise<PartHealth[]> {
  const database = await asked("database", () => databaseHealth(db));
  // Without it nothing below can be asked, and each would say the same.
  const inDatabase: [string, () => Promise<Health>][] = database.isWell
    ? [
        ["nodes", () => nodesHealth(db)],
        ["files", () => waitingHealth(db, FILES, LATEST_SEC.jobs)],
        ["reminders", () => waitingHealth(db, REMINDERS, LATEST_SEC.reminders)],
        ["trail", () => waitingHealth(db, SEALS, LATEST_SEC.seals)],
      ]
    : [];
  const outside: [string, () => Promise<Health>][] = [
    ...(freeBytes ? [["disk", () => diskHealth(freeBytes)] as [string, () => Promise<Health>]] : []),
    ["mail", () => mailHealth(askMail)],
    ["backups", () => Promise.resolve(backupsHealth(backupFolder, now))],
  ];
  const others = await Promise.all([...inDatabase, ...outside].map(([part, ask]) => asked(part, ask)));
  return [database, ...others];
}

type Health = Pick<PartHealth, "isWell" | "says">;

async function asked(part: string, ask: () => Promise<Health>): Promise<PartHealth> {
  try {
    return { part, ...(await withTimeout(ask, PATIENCE_MS)) };
  } catch (error) {
    const { code, message } = error as { code?: string; message: string };
    return { part, isWell: false, says: code ?? message };
  }
}

async function databaseHealth({ sequelize }: Db): Promise<Health> {
  const begun = performance.now();
  await sequelize.query("SELECT 1", { type: QueryTypes.SELECT });
  return { isWell: true, says: `answers in ${Math.ceil(performance.now() - begun)} ms` };
}

async function nodesHealth({ nodes }: Db): Promise<Health> {
  const all = await nodes.all();
  const ready = all.filter(({ state }) => state === "ready").length;
  if (all.length === 1) return { isWell: true, says: "one, no cluster" };
  return { isWell: ready === all.length, says: all.map(({ host, port, state }) => `${host}:${port} ${state}`).join(", ") };
}

interface Waiting {
  sql: string;
  what: string;
}
const FILES: Waiting = {
  sql: "SELECT COUNT(*) AS count, MAX(TIMESTAMPDIFF(SECOND, askedAt, UTC_TIMESTAMP(3))) AS oldestSec FROM jobs WHERE state = 'waiting'",
  what: "wait to be made",
};
const REMINDERS: Waiting = {
  sql: `SELECT COUNT(*) AS count, MAX(TIMESTAMPDIFF(SECOND, nextTryAt, UTC_TIMESTAMP(3))) AS oldestSec FROM messages
        WHERE state = 'waiting' AND nextTryAt <= UTC_TIMESTAMP(3)`,
  what: "are due",
};
/** A demo's are of its own time. */
const SEALS: Waiting = {
  sql: `SELECT COUNT(*) AS count, MAX(TIMESTAMPDIFF(SECOND, t.at, UTC_TIMESTAMP(3))) AS oldestSec
        FROM trail_entries t JOIN practices p ON p.id = t.practiceId WHERE t.segmentId IS NULL AND p.demoNow IS NULL`,
  what: "are not sealed",
};

async function waitingHealth({ sequelize }: Db, { sql, what }: Waiting, latestSec: number): Promise<Health> {
  const [row] = await sequelize.query<{ count: number | string; oldestSec: number | string | null }>(sql, { type: QueryTypes.SELECT });
  const [count, oldestSec] = [Number(row!.count), Math.max(0, Number(row!.oldestSec ?? 0))];
  if (count === 0) return { isWell: true, says: `none ${what}` };
  return { isWell: oldestSec <= latestSec, says: `${count} ${what}, for ${ageText(oldestSec)} at most` };
}

async function diskHealth(freeBytes: FreeBytes): Promise<Health> {
  const free = await freeBytes();
  return { isWell: free >= LEAST_FREE_BYTES, says: `${(free / 2 ** 30).toFixed(1)} GiB free` };
}

async function mailHealth(askMail: Surroundings["askMail"]): Promise<Health> {
  if (!askMail) return { isWell: true, says: "not set: addresses are passed on by hand" };
  await askMail();
  return { isWell: true, says: "answers" };
}

function backupsHealth(folder: string | undefined, now: Date): Health {
  if (!folder) return { isWell: true, says: "not set: BACKUP_FOLDER names none" };
  const newest = backupsIn(folder).at(-1);
  if (!newest) return { isWell: false, says: "none in BACKUP_FOLDER" };
  const sec = (now.getTime() - new Date(newest.manifest.takenAt).getTime()) / 1000;
  return { isWell: sec <= LATEST_SEC.backups, says: `the newest is ${ageText(Math.max(0, sec))} old` };
}
