/** Days of people as figures are made of them: what was led on a day somebody was excused was not due for them. */
import type { PersonDay } from "@kind-grip/core/followup";
import { grouped } from "@kind-grip/core/units";
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { PersonDayRow } from "../run/tables";

interface Wanted {
  crewId: string;
  /** Both included; to whatever there is when left out. */
  from: string;
  until?: string;
  /** Everybody when left out. */
  personId?: string;
}

/** In order. What somebody did while they were excused stays done, and asks for nothing. */
export async function personDaysOf({ models }: Db, wanted: Wanted, transaction?: Transaction): Promise<PersonDay[]> {
  const { crewId, from, until, personId } = wanted;
  const of = { crewId, ...(personId ? { personId } : {}) };
  const [rows, absences] = await Promise.all([
    models.PersonDay.findAll({
      where: { ...of, day: until ? { [Op.between]: [from, until] as [string, string] } : { [Op.gte]: from } },
      order: ["day"],
      // Plain rows: weeks of a crew are thousands of them.
      raw: true,
      transaction,
    }) as unknown as Promise<PersonDayRow[]>,
    models.Absence.findAll({
      where: { ...of, untilDay: { [Op.gte]: from }, ...(until ? { fromDay: { [Op.lte]: until } } : {}) },
      attributes: ["personId", "fromDay", "untilDay"],
      transaction,
    }),
  ]);
  const away = grouped(
    absences.map((row) => row.get()),
    (absence) => absence.personId,
  );
  const isExcused = ({ personId: id, day }: PersonDay) =>
    (away.get(id) ?? []).some(({ fromDay, untilDay }) => fromDay <= day && day <= untilDay);
  return rows.map((row) => (isExcused(row) ? { ...row, itemsDue: 0 } : row));
}
