/** Baseline rounds of a crew and the records in them. A record is stored together with the restrictions its answers call for. */
import { isEqual, orderBy } from "es-toolkit";
import type { KnownRecord, RecordEntry, RecordVersion, RoundEntry } from "@kind-grip/core/api";
import { emptyRecord, isEmpty, isFinished, knownRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { restrictionsCalledFor } from "@kind-grip/core/safety";
import { dateAt } from "@kind-grip/core/calendar";
import { grouped } from "@kind-grip/core/units";
import type { Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf, crewOfThing, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { BaselineRow, RecordProgress, RoundRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem, stale } from "../http/problem";
import { raiseRestrictions } from "../safety/restrictions";

/** Newest first. How far each is, no answers. */
export async function listRounds(db: Db, caller: Caller, crewId: string): Promise<RoundEntry[]> {
  await crewOf(db, caller, crewId);
  const rounds = await db.models.Round.findAll({
    where: { crewId },
    order: [
      ["startedOn", "DESC"],
      ["id", "DESC"],
    ],
  });
  const ids = rounds.map((round) => round.get().id);
  await tellProgress(db, ids);
  const records = await db.models.Baseline.findAll({ where: { roundId: ids }, attributes: ["roundId", "progress"] });
  const progress = records.map((row) => row.get({ plain: true }));
  return rounds.map((round) => roundAnswer(round.get({ plain: true }), progress));
}

/** What an earlier version stored did not say how far it is: its documents are looked at once. */
async function tellProgress({ models }: Db, roundId: string[]): Promise<void> {
  const untold = await models.Baseline.findAll({ where: { roundId, progress: null } });
  for (const row of untold) {
    const { personId, version, document, ...rest } = row.get({ plain: true });
    // Only as it was read: who stores something newer meanwhile says it anew.
    await models.Baseline.update({ progress: progressOf(document) }, { where: { roundId: rest.roundId, personId, version } });
  }
}

export function progressOf(record: BaselineRecord): RecordProgress {
  return isFinished(record) ? "finished" : isEmpty(record) ? "empty" : "begun";
}

/** Making the same round twice makes it once. */
export async function createRound(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  { id, name, asksOnPhones, repeats }: { id: string; name: string; asksOnPhones: boolean; repeats: string | null },
): Promise<RoundEntry> {
  const crew = await crewOf(db, caller, crewId);
  if (repeats !== null) await mayBeRepeated(db, crewId, repeats);
  const startedOn = dateAt(at.getTime(), crew.detail.timeZone);
  const [row] = await db.models.Round.findOrCreate({
    where: { id },
    defaults: { id, crewId, name, startedOn, closedAt: null, asksOnPhones: asksOnPhones && repeats === null, repeats },
  });
  if (row.get().crewId !== crewId) throw new Problem(409, "taken", "This id belongs to another round.");
  return roundAnswer(row.get({ plain: true }), []);
}

/** Only a round of its own in which somebody was measured can be measured a second time. */
async function mayBeRepeated({ models }: Db, crewId: string, roundId: string): Promise<void> {
  const first = (await models.Round.findOne({ where: { id: roundId, crewId } }))?.get({ plain: true });
  const why = !first
    ? "is no round of this crew"
    : first.repeats
      ? "is itself a second sitting"
      : (await models.Baseline.count({ where: { roundId } })) === 0
        ? "has nobody measured in it yet"
        : null;
  if (why !== null) throw invalid([{ path: "repeats", message: why }]);
}

export async function changeRound(
  db: Db,
  caller: Caller,
  at: Date,
  roundId: string,
  change: { name: string; closed: boolean; asksOnPhones?: boolean },
): Promise<RoundEntry> {
  const round = await roundOf(db, caller, roundId);
  const { name, closed, asksOnPhones = round.asksOnPhones } = change;
  await db.models.Round.update(
    { name, closedAt: closed ? (round.closedAt ?? at) : null, asksOnPhones: asksOnPhones && !round.repeats },
    { where: { id: roundId } },
  );
  return (await listRounds(db, caller, round.crewId)).find(({ id }) => id === roundId)!;
}

/** Only a round nothing was entered in can go. */
export async function removeRound(db: Db, caller: Caller, roundId: string): Promise<void> {
  await roundOf(db, caller, roundId);
  if ((await db.models.Baseline.count({ where: { roundId } })) > 0)
    throw new Problem(409, "hasRecords", "Something was entered in this round; it stays on record. Close it instead.");
  await db.models.Round.destroy({ where: { id: roundId } });
}

/** @throws Problem 404 for a round of a crew that is not the trainer's */
export async function roundOf(db: Db, caller: Caller, roundId: string): Promise<RoundRow> {
  const row = (await db.models.Round.findByPk(roundId))?.get({ plain: true });
  if (!row) throw notFound("round");
  await crewOfThing(db, caller, row.crewId, "round");
  return row;
}

export async function recordsOf(db: Db, roundId: string): Promise<RecordEntry[]> {
  return (await db.models.Baseline.findAll({ where: { roundId } })).map((row) => recordAnswer(row.get({ plain: true })));
}

/**
 * Of everybody of whom anything was entered; second sittings are only held against their first.
 * @param beforeId only what the rounds before this one found
 * @throws Problem 404 for a round that is not the crew's
 */
export async function knownRecords({ models }: Db, crewId: string, beforeId?: string): Promise<KnownRecord[]> {
  const all = (await models.Round.findAll({ where: { crewId, repeats: null }, order: ["startedOn", "id"] })).map((row) => row.get());
  const end = beforeId === undefined ? all.length : all.findIndex(({ id }) => id === beforeId);
  if (end < 0) throw notFound("round");
  const rounds = all.slice(0, end);
  const startedOn = new Map(rounds.map((round) => [round.id, round.startedOn]));
  const rows = (await models.Baseline.findAll({ where: { roundId: rounds.map(({ id }) => id) } })).map((row) => row.get({ plain: true }));
  // Two rounds of one day in the order they were made in.
  const newestFirst = orderBy(rows, [({ roundId }) => startedOn.get(roundId)!, ({ roundId }) => roundId], ["desc", "desc"]);
  return [...grouped(newestFirst, ({ personId }) => personId)].flatMap(([personId, own]) => {
    const newest = own.find(({ document }) => !isEmpty(document));
    if (!newest) return [];
    return [{ personId, measuredOn: startedOn.get(newest.roundId)!, record: knownRecord(own.map(({ document }) => document)) }];
  });
}

export async function versionsOf(db: Db, roundId: string): Promise<RecordVersion[]> {
  const rows = await db.models.Baseline.findAll({ where: { roundId }, attributes: ["personId", "version"] });
  return rows.map((row) => ({ personId: row.get().personId, version: row.get().version }));
}

/**
 * Stores one person's record. Answers that mean stop hold the person out in the same transaction.
 * @param version the one last seen; 0 for a record not begun
 * @throws Problem 400 for somebody not in the crew or a closed round, 409 with the newer record when somebody else saved in between
 */
export async function saveRecord(
  db: Db,
  caller: Caller,
  at: Date,
  roundId: string,
  personId: string,
  version: number,
  record: BaselineRecord,
): Promise<RecordEntry> {
  const round = await roundOf(db, caller, roundId);
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, round.crewId, transaction);
    if (!(await db.models.Person.findOne({ where: { id: personId, crewId: round.crewId, erasedAt: null }, transaction })))
      throw invalid([{ path: "personId", message: "is not in this crew" }]);
    const row = (await db.models.Baseline.findOne({ where: { roundId, personId }, transaction }))?.get({ plain: true });
    const now = row?.version ?? 0;
    if (now !== version) {
      // The same save sent twice after a lost answer: it is there already.
      if (row && now === version + 1 && same(row.document, record)) return recordAnswer(row);
      throw stale(row && recordAnswer(row));
    }
    if (round.closedAt) throw new Problem(409, "closed", "This round is closed. Open it again to change something in it.");
    const stored = rowOf({ roundId, personId }, record, version + 1, at, { before: row, day: dateAt(at.getTime(), crew.detail.timeZone) });
    await db.models.Baseline.upsert(stored, { transaction });
    const saidBefore = row ? restrictionsCalledFor(row.document.safety, row.document.symptoms) : [];
    const said = restrictionsCalledFor(record.safety, record.symptoms).filter((question) => !saidBefore.includes(question));
    await raiseRestrictions(db, caller, at, crew, { personId, roundId }, said, transaction);
    await noteParts(db, caller, at, { crewId: crew.id, personId }, row?.document ?? emptyRecord(), record, transaction);
    return recordAnswer(stored);
  });
}

/** Every record of a person, oldest first, with its round. */
export async function recordsOfPerson({ models }: Db, personId: string) {
  const rows = (await models.Baseline.findAll({ where: { personId } })).map((row) => row.get({ plain: true }));
  const rounds = new Map(
    (await models.Round.findAll({ where: { id: rows.map(({ roundId }) => roundId) } })).map((row) => [row.get().id, row.get()]),
  );
  return rows
    .map(({ roundId, changedAt, document }) => ({
      roundId,
      changedAt,
      document,
      roundName: rounds.get(roundId)!.name,
      on: rounds.get(roundId)!.startedOn,
    }))
    .sort((a, b) => a.on.localeCompare(b.on));
}

/**
 * A record as it is stored, with what is looked up beside the document.
 * @param asked day of what is said now, and the record as it was: what is put right later was asked on the day it was asked first
 */
export function rowOf(
  of: { roundId: string; personId: string },
  document: BaselineRecord,
  version: number,
  changedAt: Date,
  asked: { before: BaselineRow | undefined; day: string },
): BaselineRow {
  const felt = document.symptoms.map(({ region, level }) => ({ region, level }));
  const symptoms = document.symptomsAsked || felt.length > 0 ? felt : null;
  const bodyMassKg = document.bodyMass.agreed ? document.bodyMass.kg : null;
  const symptomsAskedOn = symptoms && (asked.before?.symptoms ? asked.before.symptomsAskedOn : asked.day);
  return { ...of, document, symptoms, symptomsAskedOn, bodyMassKg, version, changedAt, progress: progressOf(document) };
}

const PART_NAMES: Readonly<Record<keyof BaselineRecord, string>> = {
  safety: "safety answers",
  symptoms: "symptoms",
  symptomsAsked: "symptoms",
  range: "range",
  grip: "grip",
  functionTest: "function test",
  palmMm: "hand size",
  bodyMass: "body mass",
  likeThem: "age and sex",
  selfCheck: "what came from their phone",
  note: "note",
};

/** Which parts were changed, never to what. */
async function noteParts(
  db: Db,
  caller: Caller,
  at: Date,
  place: { crewId: string; personId: string },
  before: BaselineRecord,
  after: BaselineRecord,
  transaction: Transaction,
): Promise<void> {
  const parts = (Object.keys(after) as (keyof BaselineRecord)[]).filter((part) => !same(before[part], after[part]));
  if (parts.length === 0) return;
  const what = [...new Set(parts.map((part) => PART_NAMES[part]))].join(", ");
  await noteChanged(db, caller, at, { ...place, subject: "baseline", what }, transaction);
}

function same(a: unknown, b: unknown): boolean {
  return isEqual(a, b);
}

function roundAnswer(
  { id, crewId, name, startedOn, closedAt, asksOnPhones, repeats }: RoundRow,
  records: readonly Pick<BaselineRow, "roundId" | "progress">[],
): RoundEntry {
  const own = records.filter((record) => record.roundId === id);
  return {
    id,
    crewId,
    name,
    startedOn,
    closed: closedAt !== null,
    asksOnPhones: Boolean(asksOnPhones),
    repeats: repeats ?? null,
    begun: own.filter(({ progress }) => progress !== "empty").length,
    finished: own.filter(({ progress }) => progress === "finished").length,
  };
}

function recordAnswer({ personId, version, changedAt, document }: BaselineRow): RecordEntry {
  return { personId, version, changedAt: changedAt.toISOString(), record: document };
}
