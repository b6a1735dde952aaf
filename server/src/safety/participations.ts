/** Who of a crew may do what at a moment: read wherever items are handed out. Says nothing about why. */
import { isEqual } from "es-toolkit";
import { dateAt } from "@kind-grip/core/calendar";
import {
  FULL_PARTICIPATION,
  participationOf,
  type Clearance,
  type Restriction,
  type Participation,
  type Symptom,
} from "@kind-grip/core/safety";
import { Op, QueryTypes, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import { decryptedFrom } from "../db/encrypted";
import type { ClearanceRow, RestrictionRow } from "./tables";
import { pausedMovements } from "../response/pauses";
import { symptomPauses } from "./symptom-pauses";

export function restrictionFrom({ id, personId, question, since, withdrawnAt }: RestrictionRow): Restriction {
  return { id, personId, question, since: since.toISOString(), withdrawnAt: withdrawnAt?.toISOString() ?? null };
}

export function clearanceFrom({ id, restrictionId, allows, fromDay, untilDay, withdrawnAt }: ClearanceRow): Clearance {
  return { id, restrictionId, allows, from: fromDay, until: untilDay, withdrawnAt: withdrawnAt?.toISOString() ?? null };
}

/** @returns one entry for everybody who cannot do everything; whoever is missing can */
export async function participationsIn(
  db: Db,
  crew: { id: string; timeZone: string },
  at: Date,
  transaction?: Transaction,
): Promise<Map<string, Participation>> {
  return (await participationsOf(db, [crew], at, transaction)).get(crew.id) ?? new Map<string, Participation>();
}

/** What was ever raised against somebody's taking part, the oldest first, and what was cleared, soonest over first. */
export interface HeldOutRecords {
  restrictions: RestrictionRow[];
  clearances: ClearanceRow[];
}

export async function heldOutRecords({ models }: Db, crewIds: readonly string[], transaction?: Transaction): Promise<HeldOutRecords> {
  const where = { crewId: { [Op.in]: [...crewIds] } };
  const [restrictions, clearances] = await Promise.all([
    models.Restriction.findAll({ where, order: [["since", "ASC"]], transaction }),
    models.Clearance.findAll({ where, order: [["untilDay", "ASC"]], transaction }),
  ]);
  return {
    restrictions: restrictions.map((row) => row.get({ plain: true })),
    clearances: clearances.map((row) => row.get({ plain: true })),
  };
}

/**
 * The same for several crews: crew id → person id → participation.
 * @param records of these crews, where they are read already
 */
export async function participationsOf(
  db: Db,
  crews: readonly { id: string; timeZone: string }[],
  at: Date,
  transaction?: Transaction,
  records?: Promise<HeldOutRecords>,
): Promise<Map<string, Map<string, Participation>>> {
  if (crews.length === 0) return new Map();
  const ids = crews.map(({ id }) => id);
  const [{ restrictions, clearances }, felt, paused, pauses] = await Promise.all([
    records ?? heldOutRecords(db, ids, transaction),
    latestSymptoms(db, ids, transaction),
    pausedMovements(db, ids, at, transaction),
    symptomPauses(db, ids, at, transaction),
  ]);
  const held = restrictions.filter(({ since }) => since <= at);
  return new Map(
    crews.map((crew) => {
      const when = { instant: at.toISOString(), day: dateAt(at.getTime(), crew.timeZone) };
      const own = held.filter((restriction) => restriction.crewId === crew.id);
      const symptoms = felt.filter((each) => each.crewId === crew.id);
      const decided = [...paused].flatMap(([personId, { crewId: of }]) => (of === crew.id ? [{ personId }] : []));
      const reported = pauses.filter((each) => each.crewId === crew.id);
      const people = new Set([...own, ...symptoms, ...decided, ...reported].map(({ personId }) => personId));
      const entries = [...people].map((personId): [string, Participation] => [
        personId,
        participationOf(
          own.filter((restriction) => restriction.personId === personId).map(restrictionFrom),
          clearances.filter((clearance) => clearance.personId === personId).map(clearanceFrom),
          symptoms.filter((each) => each.personId === personId).flatMap((each) => each.symptoms),
          when,
          paused.get(personId)?.movementIds,
          reported.filter((each) => each.personId === personId),
        ),
      ]);
      return [crew.id, new Map(entries.filter(([, participation]) => !isFull(participation)))];
    }),
  );
}

function isFull(participation: Participation): boolean {
  return isEqual(participation, FULL_PARTICIPATION);
}

/** Whether a restriction, not only something reported, keeps a person out of everything. */
export async function isHeldByRestriction(db: Db, personId: string, timeZone: string, at: Date): Promise<boolean> {
  const [restrictions, clearances] = await Promise.all([
    db.models.Restriction.findAll({ where: { personId, since: { [Op.lte]: at } } }),
    db.models.Clearance.findAll({ where: { personId } }),
  ]);
  const when = { instant: at.toISOString(), day: dateAt(at.getTime(), timeZone) };
  return participationOf(
    restrictions.map((row) => restrictionFrom(row.get({ plain: true }))),
    clearances.map((row) => clearanceFrom(row.get({ plain: true }))),
    [],
    when,
  ).heldOut;
}

/** The day somebody was asked in a round: its first, where an earlier version did not note it. */
const ASKED_ON = "COALESCE(b.symptomsAskedOn, r.startedOn)";

/** What each person felt when they were last asked. */
export async function latestSymptoms({ sequelize }: Db, crewIds: readonly string[], transaction?: Transaction) {
  const rows = await sequelize.query<{ crewId: string; roundId: string; personId: string; symptoms: string }>(
    `SELECT crewId, roundId, personId, symptoms FROM (
       SELECT r.crewId, b.roundId, b.personId, b.symptoms,
              ROW_NUMBER() OVER (PARTITION BY b.personId ORDER BY ${ASKED_ON} DESC, b.changedAt DESC) AS place
       FROM baseline_records b JOIN baseline_rounds r ON r.id = b.roundId
       WHERE r.crewId IN (:crewIds) AND b.symptoms IS NOT NULL) latest
     WHERE place = 1`,
    { replacements: { crewIds }, type: QueryTypes.SELECT, transaction },
  );
  return rows.map(({ crewId, ...row }) => ({ crewId, personId: row.personId, symptoms: symptomsIn(sequelize, row) }));
}

function symptomsIn(sequelize: Db["sequelize"], { roundId, personId, symptoms }: { roundId: string; personId: string; symptoms: string }) {
  const place = { table: "baseline_records", key: [roundId, personId] };
  return decryptedFrom<Pick<Symptom, "region" | "level">[]>(sequelize, place, "symptoms", symptoms)!;
}

/** What was felt, and where, on the days people were asked. */
export interface AskedSymptoms {
  personId: string;
  askedOn: string;
  symptoms: Pick<Symptom, "region" | "level">[];
}

/**
 * Every time each person of a crew was asked what they feel, oldest first: what was usual on a day is what was said last before it.
 * @param of one person of it, else everybody
 */
export async function symptomHistory(
  { sequelize }: Db,
  { crewId, personId }: { crewId: string; personId?: string },
  transaction?: Transaction,
): Promise<AskedSymptoms[]> {
  const rows = await sequelize.query<{ roundId: string; personId: string; askedOn: string; symptoms: string }>(
    `SELECT b.roundId, b.personId, DATE_FORMAT(${ASKED_ON}, '%Y-%m-%d') AS askedOn, b.symptoms
     FROM baseline_records b JOIN baseline_rounds r ON r.id = b.roundId
     WHERE r.crewId = :crewId AND b.symptoms IS NOT NULL ${personId ? "AND b.personId = :personId" : ""}
     ORDER BY askedOn, b.changedAt`,
    { replacements: { crewId, personId }, type: QueryTypes.SELECT, transaction },
  );
  return rows.map((row) => ({ personId: row.personId, askedOn: row.askedOn, symptoms: symptomsIn(sequelize, row) }));
}

/** What somebody had said last on a day; the first they ever said for days before that. Empty when they were never asked. */
export function symptomsOn(history: readonly AskedSymptoms[], day: string): AskedSymptoms["symptoms"] {
  return (history.findLast(({ askedOn }) => askedOn <= day) ?? history[0])?.symptoms ?? [];
}

/** The most of some symptoms, 0–10; 0 for none. */
export function mostFelt(symptoms: AskedSymptoms["symptoms"]): number {
  return Math.max(0, ...symptoms.map(({ level }) => level));
}
