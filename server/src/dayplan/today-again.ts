/**
 * Today, asked by many in the same minute: at the start of a shift everybody opens it. What it rests on is counted up in one question to
 * the database; as long as that and the minute are the same, the answer worked out before is given again, and those who ask while it is
 * being worked out wait for the same. Nothing has to be told that something changed: whichever server stored it, the count differs.
 */
import type { Today } from "@kind-grip/core/api";
import { QueryTypes } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewIdsOf } from "../crew/crews";
import { AskedTogether } from "../db/asked-together";
import type { Db } from "../db/connection";
import { workOutToday } from "./today";

const MINUTE_MS = 60_000;
/** Answers kept, the oldest forgotten first. */
const KEPT = 300;

/** What of a table's rows Today can tell apart; rows of the crews only. */
const TABLES: readonly { from: string; columns: readonly string[] }[] = [
  { from: "crews t WHERE t.id IN (:crewIds)", columns: ["id", "trainerId", "version", "name"] },
  { from: "people t WHERE t.crewId IN (:crewIds)", columns: ["id", "version"] },
  { from: "programs t WHERE t.crewId IN (:crewIds)", columns: ["id", "version", "removedAt"] },
  {
    from: "placements t WHERE t.crewId IN (:crewIds) AND t.startsAt BETWEEN :from AND :until",
    columns: ["id", "programId", "sessionId", "startsAt", "people", "groupName"],
  },
  { from: "booking_books t WHERE t.crewId IN (:crewIds)", columns: ["crewId", "changes"] },
  { from: "standing_plans t WHERE t.crewId IN (:crewIds)", columns: ["crewId", "version"] },
  { from: "runs t WHERE t.crewId IN (:crewIds) AND t.startedAt BETWEEN :from AND :until", columns: ["id"] },
  {
    from: "runs r JOIN run_people t ON t.runId = r.id WHERE r.crewId IN (:crewIds) AND t.clash IS NOT NULL AND t.clashAnswer IS NULL",
    columns: ["runId", "personId", "clash"],
  },
  { from: "restrictions t WHERE t.crewId IN (:crewIds)", columns: ["id", "withdrawnAt"] },
  { from: "clearances t WHERE t.crewId IN (:crewIds)", columns: ["id", "untilDay", "withdrawnAt"] },
  {
    from: "baseline_rounds r JOIN baseline_records t ON t.roundId = r.id WHERE r.crewId IN (:crewIds)",
    columns: ["roundId", "personId", "version"],
  },
  { from: "symptom_alerts t WHERE t.crewId IN (:crewIds)", columns: ["id", "answeredAt", "endedAt"] },
  { from: "proposals t WHERE t.crewId IN (:crewIds)", columns: ["personId", "itemId", "kind"] },
  { from: "decisions t WHERE t.crewId IN (:crewIds) AND t.decided = 'pauseAndRefer'", columns: ["id", "resumedAt"] },
  { from: "custom_movements t WHERE t.practiceId = :practiceId", columns: ["id", "version"] },
];
const FINGERPRINT = TABLES.map(({ from, columns }) => {
  const told = columns.map((column) => `IFNULL(t.${column}, '-')`).join(", ");
  return `SELECT CONCAT_WS(' ', COUNT(*), SUM(CRC32(CONCAT_WS('|', ${told})))) AS print FROM ${from}`;
}).join(" UNION ALL ");

async function fingerprintOf({ sequelize }: Db, practiceId: string, crewIds: readonly string[], now: Date): Promise<string> {
  const [from, until] = [-48, 48].map((hours) => new Date(now.getTime() + hours * 60 * MINUTE_MS));
  const replacements = { crewIds: [...crewIds], practiceId, from, until };
  const rows = await sequelize.query<{ print: string }>(FINGERPRINT, { replacements, type: QueryTypes.SELECT });
  return rows.map(({ print }) => print).join(", ");
}

const prints = new AskedTogether<string>();

interface Known {
  print: string;
  answer: Promise<Today>;
}

/** One a process; by the database too, for a process that opens several. */
const known = new Map<string, Known>();

export async function today(db: Db, caller: Caller, now: Date): Promise<Today> {
  const crewIds = await crewIdsOf(db, caller);
  if (crewIds.length === 0) return workOutToday(db, caller, now);
  const minute = Math.floor(now.getTime() / MINUTE_MS);
  // A colleague's crew says whose it is: the answer is an account's own for trainers, a role's for leads.
  const whose = caller.role === "trainer" ? caller.accountId : caller.role;
  const key = [db.url, caller.practiceId, whose, minute, ...crewIds].join(" ");
  const print = await prints.ask(key, () => fingerprintOf(db, caller.practiceId, crewIds, now));
  const before = known.get(key);
  const answer = before?.print === print ? before.answer : workOut(db, caller, now, key, print, crewIds);
  return { ...(await answer), now: now.toISOString() };
}

function workOut(db: Db, caller: Caller, now: Date, key: string, print: string, crewIds: readonly string[]): Promise<Today> {
  const answer = workOutToday(db, caller, now);
  const mine: Known = { print, answer };
  known.set(key, mine);
  if (known.size > KEPT) known.delete(known.keys().next().value!);
  const forget = () => {
    if (known.get(key) === mine) known.delete(key);
  };
  // Something changed and changed back while it was worked out: nobody is given what was between.
  void answer
    .then(() => fingerprintOf(db, caller.practiceId, crewIds, now))
    .then((after) => after === print || forget())
    .catch(forget);
  return answer;
}
