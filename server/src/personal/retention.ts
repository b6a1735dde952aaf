/**
 * How long a practice keeps what. What is older goes once a day, crew by crew, never anything that still says what somebody may do: a
 * restriction that is on, a pause, the last decision of an item, of somebody who is here each part of what was measured as it was
 * found last.
 */
import type { Retention, RetentionEntry } from "@kind-grip/core/api";
import { dispensable } from "@kind-grip/core/baseline";
import { dateAt } from "@kind-grip/core/calendar";
import { grouped } from "@kind-grip/core/units";
import { partition, sortBy } from "es-toolkit";
import { DateTime } from "luxon";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import { removeSegments } from "../audit/seal";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { takeTurn } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { reportOf } from "../followup/report";
import { stale } from "../http/problem";

const UNSET: Retention = { healthMonths: null, runsMonths: null, trailMonths: null };

export async function retentionOf({ models }: Db, practiceId: string): Promise<RetentionEntry> {
  const row = (await models.Retention.findByPk(practiceId))?.get({ plain: true });
  if (!row) return { version: 0, rules: UNSET, setByName: null, setAt: null, doneOn: null };
  const { healthMonths, runsMonths, trailMonths, version, setByName, setAt, doneOn } = row;
  return { version, rules: { healthMonths, runsMonths, trailMonths }, setByName, setAt: setAt.toISOString(), doneOn };
}

/** @throws Problem 409 with what holds where somebody else was faster */
export async function setRetention(db: Db, caller: Caller, at: Date, version: number, rules: Retention): Promise<RetentionEntry> {
  const { practiceId, accountId } = caller;
  const done = await inTransaction(db, async (transaction) => {
    const by = (await db.models.Account.findByPk(accountId, { attributes: ["name"], transaction, rejectOnEmpty: true })).get().name;
    const row = await db.models.Retention.findByPk(practiceId, { transaction, lock: transaction.LOCK.UPDATE });
    if ((row?.get().version ?? 0) !== version) return false;
    const set = { ...rules, version: version + 1, setBy: accountId, setByName: by, setAt: at, doneOn: null };
    if (row) await row.update(set, { transaction });
    else await db.models.Retention.create({ practiceId, ...set }, { transaction });
    return true;
  });
  const now = await retentionOf(db, practiceId);
  if (!done) throw stale(now);
  return now;
}

type Counts = Record<string, number>;
const inWords = (counts: Counts): string =>
  Object.entries(counts)
    .filter(([, count]) => count > 0)
    .map(([what, count]) => `${count} ${what}`)
    .join(", ");

/** Does what is due in every practice that has rules; on any number of servers each practice is taken by one. @returns how much went */
export async function keepToRetention(db: Db, clock: AppContext["now"]): Promise<number> {
  let gone = 0;
  for (const row of await db.models.Retention.findAll()) {
    const { practiceId, setBy, doneOn, healthMonths, runsMonths, trailMonths } = row.get({ plain: true });
    const at = await clock({ practiceId });
    const today = at.toISOString().slice(0, 10);
    if (doneOn === today) continue;
    const [taken] = await db.models.Retention.update({ doneOn: today }, { where: { practiceId, doneOn } });
    if (taken === 0) continue;
    const before = (months: number) => DateTime.fromJSDate(at, { zone: "utc" }).minus({ months }).toJSDate();
    // In the name of whoever set the rules.
    const caller: Caller = { accountId: setBy, practiceId, role: "trainer" };
    for (const crew of await crewsOf(db, practiceId)) {
      // Figures that can be read are worked out before what stands behind them goes.
      if (crew.removedAt === null) await reportOf(db, { ...caller, accountId: crew.trainerId }, at, crew.id);
      gone += await inTransaction(db, async (transaction) => {
        await takeTurn(db, crew.id, transaction);
        const counts = {
          ...(healthMonths === null ? {} : await forgetHealth(db, crew, before(healthMonths), transaction)),
          ...(runsMonths === null ? {} : await forgetRuns(db, crew, before(runsMonths), transaction)),
        };
        const words = inWords(counts);
        const what = `removed as old: ${words}`.slice(0, 160);
        if (words) await noteChanged(db, caller, at, { crewId: crew.id, personId: null, subject: "record", what }, transaction);
        return Object.values(counts).reduce((sum, count) => sum + count, 0);
      });
    }
    if (trailMonths !== null) gone += await removeSegments(db, practiceId, before(trailMonths), at);
  }
  return gone;
}

async function crewsOf({ models }: Db, practiceId: string): Promise<CrewRow[]> {
  const accounts = await models.Account.findAll({ where: { practiceId }, attributes: ["id"] });
  const crews = await models.Crew.findAll({ where: { trainerId: accounts.map((row) => row.get().id) } });
  return crews.map((row) => row.get({ plain: true }));
}

/** @param before moment what was said until then is too old */
async function forgetHealth({ models, sequelize }: Db, crew: CrewRow, before: Date, transaction: Transaction): Promise<Counts> {
  const { id: crewId, detail } = crew;
  const day = dateAt(before.getTime(), detail.timeZone);
  const ask = { replacements: { crewId, before, day }, transaction };
  // One that is on stays, of leavers too: they may come back, and nobody asks again by itself.
  const restrictions = { crewId, withdrawnAt: { [Op.lt]: before } };
  const over = (await models.Restriction.findAll({ where: restrictions, attributes: ["id"], transaction })).map((row) => row.get().id);
  const clearances = await models.Clearance.destroy({
    where: { crewId, [Op.or]: [{ restrictionId: over }, { withdrawnAt: { [Op.lt]: before } }, { untilDay: { [Op.lt]: day } }] },
    transaction,
  });
  // What pauses, and what nobody has answered, stays as long as it does.
  const answered = { crewId, since: { [Op.lt]: before }, answeredAt: { [Op.not]: null }, endedAt: { [Op.not]: null } };
  const alerts = await models.SymptomAlert.destroy({ where: answered, transaction });
  const open = (await models.SymptomAlert.findAll({ where: { crewId }, attributes: ["causeId"], transaction })).map(
    (row) => row.get().causeId,
  );
  const spoken = { crewId, at: { [Op.lt]: before }, id: { [Op.notIn]: [...open, ""] } };
  const decided = await sequelize.query<{ id: string }>(
    `SELECT d.id FROM decisions d WHERE d.crewId = :crewId AND d.decidedAt < :before
       AND NOT (d.decided = 'pauseAndRefer' AND d.resumedAt IS NULL)
       AND EXISTS (SELECT 1 FROM decisions later WHERE later.personId = d.personId AND later.itemId = d.itemId AND later.decidedAt > d.decidedAt
         AND (d.decided = 'hold' OR later.decided <> 'hold'))`,
    { ...ask, type: QueryTypes.SELECT },
  );
  const old = await sequelize.query<{ roundId: string; personId: string; left: number }>(
    `SELECT b.roundId, b.personId, (p.leftOn IS NOT NULL AND p.leftOn < :day) AS \`left\` FROM baseline_records b JOIN baseline_rounds r ON r.id = b.roundId JOIN people p ON p.id = b.personId
     WHERE r.crewId = :crewId AND r.closedAt IS NOT NULL AND r.startedOn < :day
       AND ((p.leftOn IS NOT NULL AND p.leftOn < :day) OR EXISTS (
         SELECT 1 FROM baseline_records later JOIN baseline_rounds lr ON lr.id = later.roundId
         WHERE later.personId = b.personId AND lr.crewId = :crewId AND lr.startedOn > r.startedOn
           AND (b.symptoms IS NULL OR later.symptoms IS NOT NULL) AND (b.bodyMassKg IS NULL OR later.bodyMassKg IS NOT NULL)))`,
    { ...ask, type: QueryTypes.SELECT },
  );
  const measured = await withoutLoss({ models }, crewId, old, transaction);
  for (const { roundId, personId } of measured) await models.Baseline.destroy({ where: { roundId, personId }, transaction });
  const [, marked] = (await sequelize.query(
    `UPDATE run_people rp JOIN runs r ON r.id = rp.runId SET rp.marks = NULL, rp.quick = NULL, rp.counted = NULL
     WHERE r.crewId = :crewId AND r.startedAt < :before AND (rp.quick IS NOT NULL OR rp.counted IS NOT NULL OR rp.markCount > 0) AND rp.marks IS NOT NULL`,
    { ...ask, type: QueryTypes.UPDATE },
  )) as [unknown, number];
  return {
    restrictions: await models.Restriction.destroy({ where: { id: over }, transaction }),
    clearances,
    alerts,
    reports: await models.SymptomReport.destroy({ where: spoken, transaction }),
    mornings: await models.CheckIn.destroy({ where: { crewId, day: { [Op.lt]: day }, id: { [Op.notIn]: [...open, ""] } }, transaction }),
    decisions: await models.Decision.destroy({ where: { id: decided.map(({ id }) => id) }, transaction }),
    records: measured.length,
    notes: await models.PersonNote.destroy({ where: { crewId, at: { [Op.lt]: before } }, transaction }),
    "answers in runs": marked,
  };
}

/** Of old records those of leavers, and those without which as much is known of whoever is here: each part as it was found last stays. */
async function withoutLoss(
  { models }: Pick<Db, "models">,
  crewId: string,
  old: readonly { roundId: string; personId: string; left: number }[],
  transaction: Transaction,
): Promise<{ roundId: string; personId: string }[]> {
  const [leavers, staying] = partition(old, ({ left }) => left === 1);
  if (staying.length === 0) return leavers;
  const rounds = await models.Round.findAll({
    where: { crewId, repeats: null },
    order: [
      ["startedOn", "DESC"],
      ["id", "DESC"],
    ],
    transaction,
  });
  const order = new Map(rounds.map((round, i) => [round.get().id, i]));
  const rows = await models.Baseline.findAll({
    where: { roundId: [...order.keys()], personId: staying.map(({ personId }) => personId) },
    transaction,
  });
  const records = sortBy(
    rows.map((row) => row.get({ plain: true })).map(({ roundId, personId, document }) => ({ roundId, personId, record: document })),
    [({ roundId }) => order.get(roundId)!],
  );
  const isOld = (one: { roundId: string; personId: string }) =>
    staying.some(({ roundId, personId }) => roundId === one.roundId && personId === one.personId);
  // Nothing is known by a second sitting: it is only held against its first.
  const second = staying.filter(({ roundId }) => !order.has(roundId));
  return [...leavers, ...second, ...[...grouped(records, ({ personId }) => personId).values()].flatMap((own) => dispensable(own, isOld))];
}

async function forgetRuns({ models }: Db, { id: crewId, detail }: CrewRow, before: Date, transaction: Transaction): Promise<Counts> {
  const where = { crewId, startedAt: { [Op.lt]: before } };
  const old = (await models.Run.findAll({ where, attributes: ["id"], transaction })).map((row) => row.get().id);
  await models.RunItem.destroy({ where: { runId: old }, transaction });
  await models.RunPerson.destroy({ where: { runId: old }, transaction });
  await models.OwnAnswer.destroy({ where: { crewId, at: { [Op.lt]: before } }, transaction });
  await models.PersonDay.destroy({ where: { crewId, day: { [Op.lt]: dateAt(before.getTime(), detail.timeZone) } }, transaction });
  return { runs: await models.Run.destroy({ where: { id: old }, transaction }) };
}

const LOOK_MS = 30 * 60_000;

/** @returns stops it */
export function startRetention(db: Db, clock: AppContext["now"]): () => void {
  // A database that is away is asked again the next time.
  const timer = setInterval(() => void keepToRetention(db, clock).catch(() => 0), LOOK_MS);
  timer.unref();
  return () => clearInterval(timer);
}
