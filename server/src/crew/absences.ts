/** Days somebody is excused: nothing is due, and nothing is missed. */
import type { Absence } from "@kind-grip/core/api";
import { grouped } from "@kind-grip/core/units";
import { Op } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { invalid, Problem } from "../http/problem";
import { crewOf } from "./crews";

export async function listAbsences(db: Db, caller: Caller, crewId: string): Promise<Absence[]> {
  await crewOf(db, caller, crewId);
  const rows = await db.models.Absence.findAll({ where: { crewId }, order: [["fromDay", "DESC"]] });
  return rows.map((row) => {
    const { id, personId, fromDay, untilDay } = row.get();
    return { id, personId, from: fromDay, until: untilDay };
  });
}

/** People of a crew who are excused on a working day. */
export async function excusedOn({ models }: Db, crewId: string, day: string): Promise<Set<string>> {
  const where = { crewId, fromDay: { [Op.lte]: day }, untilDay: { [Op.gte]: day } };
  const rows = await models.Absence.findAll({ where, attributes: ["personId"] });
  return new Set(rows.map((row) => row.get().personId));
}

/** Who of several crews is excused on which days. */
export async function excusedIn({ models }: Db, crewIds: readonly string[], from: string, until: string): Promise<Excused> {
  const where = { crewId: [...crewIds], fromDay: { [Op.lte]: until }, untilDay: { [Op.gte]: from } };
  const absences = grouped(
    (await models.Absence.findAll({ where })).map((row) => row.get()),
    ({ personId }) => personId,
  );
  return (personId, day) => (absences.get(personId) ?? []).some(({ fromDay, untilDay }) => fromDay <= day && day <= untilDay);
}

/** Whether somebody is excused on a working day. */
export type Excused = (personId: string, day: string) => boolean;

export async function addAbsence(db: Db, caller: Caller, crewId: string, { id, personId, from, until }: Absence): Promise<Absence[]> {
  await crewOf(db, caller, crewId);
  if (!(await db.models.Person.findOne({ where: { id: personId, crewId } })))
    throw invalid([{ path: "personId", message: "is not in this crew" }]);
  // Excused already on all of these days: nothing to add.
  const days = { fromDay: { [Op.lte]: from }, untilDay: { [Op.gte]: until } };
  if (await db.models.Absence.findOne({ where: { crewId, personId, ...days } })) return listAbsences(db, caller, crewId);
  const [row] = await db.models.Absence.findOrCreate({ where: { id }, defaults: { id, crewId, personId, fromDay: from, untilDay: until } });
  if (row.get().crewId !== crewId) throw new Problem(409, "taken", "This id belongs to another absence.");
  return listAbsences(db, caller, crewId);
}

export async function removeAbsence(db: Db, caller: Caller, crewId: string, absenceId: string): Promise<Absence[]> {
  await crewOf(db, caller, crewId);
  await db.models.Absence.destroy({ where: { id: absenceId, crewId } });
  return listAbsences(db, caller, crewId);
}
