/** Who of a crew is new or was away: read from the roll-ups of their days wherever a session is handed out. */
import type { RampEntry } from "@kind-grip/core/api";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import {
  AWAY_FROM_DAYS,
  LONGEST_RAMP_DAYS,
  rampOn,
  VERY_LONG_FROM_DAYS,
  type Presence,
  type Ramp,
  type Ramps,
} from "@kind-grip/core/program";
import { grouped } from "@kind-grip/core/units";
import { QueryTypes, type Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import { inTransaction } from "../db/transaction";
import type { Db } from "../db/connection";
import { notFound } from "../http/problem";

interface Row {
  personId: string;
  rampsEndedOn: string | null;
  day: string | null;
  before: string | null;
  lastDay: string | null;
}

/**
 * By person id, everybody of a crew. Days further back than the longest ramp after the longest break tell nothing about today.
 * @param backDays also tells where somebody was on each of so many days before today @param personId only of this person
 */
export async function presencesIn(
  { sequelize, models }: Db,
  crewId: string,
  today: string,
  { backDays = 0, personId, transaction }: { backDays?: number; personId?: string; transaction?: Transaction } = {},
): Promise<Map<string, Presence>> {
  const since = addDays(today, -(backDays + LONGEST_RAMP_DAYS + VERY_LONG_FROM_DAYS + 1));
  const replacements = { crewId, since, today, away: AWAY_FROM_DAYS, personId };
  const only = personId ? "AND personId = :personId" : "";
  const [rows, absences, [first]] = await Promise.all([
    // Of each person the days after a break, and the last day; the day before the first of them is looked for without an end.
    sequelize.query<Row>(
      `SELECT p.id AS personId, DATE_FORMAT(p.rampsEndedOn, '%Y-%m-%d') AS rampsEndedOn, DATE_FORMAT(d.day, '%Y-%m-%d') AS day,
         DATE_FORMAT(CASE WHEN d.before IS NULL THEN (SELECT MAX(e.day) FROM person_days e WHERE e.personId = p.id AND e.day < COALESCE(d.day, :since) AND e.itemsDone > 0)
           ELSE d.before END, '%Y-%m-%d') AS \`before\`,
         DATE_FORMAT(d.lastDay, '%Y-%m-%d') AS lastDay
       FROM people p LEFT JOIN (
         SELECT personId, day, LAG(day) OVER (PARTITION BY personId ORDER BY day) AS \`before\`, MAX(day) OVER (PARTITION BY personId) AS lastDay
         FROM person_days WHERE crewId = :crewId AND day BETWEEN :since AND :today AND itemsDone > 0 ${only}) d
       ON d.personId = p.id AND (d.before IS NULL OR DATEDIFF(d.day, d.before) > :away)
       WHERE p.crewId = :crewId ${personId ? "AND p.id = :personId" : ""}`,
      { replacements, type: QueryTypes.SELECT, transaction },
    ),
    models.Absence.findAll({ where: { crewId, ...(personId && { personId }) }, transaction }),
    sequelize.query<{ day: string | null }>(`SELECT DATE_FORMAT(MIN(day), '%Y-%m-%d') AS day FROM person_days WHERE crewId = :crewId`, {
      replacements,
      type: QueryTypes.SELECT,
      transaction,
    }),
  ]);
  return new Map(
    [...grouped(rows, ({ personId }) => personId)].map(([personId, days]) => [
      personId,
      {
        today,
        returns: days.flatMap(({ day, before }) => (day === null ? [] : [{ day, before }])),
        // Who did nothing since then has a day before all this, or none.
        lastDay: days[0]!.lastDay ?? days[0]!.before,
        excused: absences
          .map((row) => row.get())
          .filter((absence) => absence.personId === personId)
          .map(({ fromDay, untilDay }) => ({ from: fromDay, until: untilDay })),
        crewSince: first?.day ?? null,
        endedOn: days[0]!.rampsEndedOn,
      },
    ]),
  );
}

/** Everybody who is on a ramp on a day. */
export function rampsOn(presences: ReadonlyMap<string, Presence>, day: string): Map<string, Ramp> {
  return new Map(
    [...presences].flatMap(([personId, presence]) => {
      const ramp = rampOn(presence, day);
      return ramp ? [[personId, ramp] as const] : [];
    }),
  );
}

/** For the days of a person's own sessions. */
export function rampsOf(presence: Presence | undefined, personId: string, day: string): Ramps {
  const ramp = presence && rampOn(presence, day);
  return new Map(ramp ? [[personId, ramp]] : []);
}

/** Who is on the way in or back today. How long somebody was away is not told to a lead: they see what is done, not why. */
export async function listRamps(db: Db, caller: Caller, at: Date, crewId: string): Promise<RampEntry[]> {
  const crew = await crewOf(db, caller, crewId);
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const [presences, people] = await Promise.all([presencesIn(db, crewId, today), db.models.Person.findAll({ where: { crewId } })]);
  const here = new Map(people.map((person) => [person.get().id, isHere(person.get(), today)]));
  return [...rampsOn(presences, today)]
    .filter(([personId]) => here.get(personId))
    .map(([personId, { days, form, loadWaits, awayDays, from, until, ends }]) => ({
      personId,
      days,
      form,
      loadWaits,
      ...(caller.role === "lead" ? { why: null } : { why: { awayDays, from, until, ends } }),
    }));
}

/** Ends what a person is on the way through, up to today; or takes that back. */
export async function setRampEnded(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  personId: string,
  ended: boolean,
): Promise<RampEntry[]> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const rampsEndedOn = ended ? dateAt(at.getTime(), crew.detail.timeZone) : null;
    const person = await db.models.Person.findOne({ where: { id: personId, crewId }, transaction });
    if (!person) throw notFound("person");
    if (person.get().rampsEndedOn === rampsEndedOn) return;
    await person.update({ rampsEndedOn }, { transaction });
    const what = ended ? "way back ended" : "way back as by rule";
    await noteChanged(db, caller, at, { crewId, personId, subject: "decision", what }, transaction);
  });
  return listRamps(db, caller, at, crewId);
}
