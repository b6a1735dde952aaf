/** Mornings of a crew, each held against what was usual for the person on that day. */
import type { ReportMorning } from "@kind-grip/core/followup";
import { isRaisedMorning } from "@kind-grip/core/response";
import { grouped } from "@kind-grip/core/units";
import { fn, col, Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { CheckInRow } from "../response/tables";
import { mostFelt, symptomHistory, symptomsOn } from "../safety/participations";

export interface JudgedMorning extends ReportMorning {
  level: number;
}

/** @param of whose: a crew's, or one person's of it; from one day to another, both included */
export async function raisedMornings(
  db: Db,
  { from, until, ...of }: { crewId: string; personId?: string; from: string; until: string },
  transaction?: Transaction,
): Promise<JudgedMorning[]> {
  const [rows, history, firsts] = await Promise.all([
    // Plain rows: weeks of a crew are thousands of them.
    db.models.CheckIn.findAll({
      where: { ...of, day: { [Op.between]: [from, until] } },
      attributes: ["personId", "day", "level"],
      order: ["day"],
      raw: true,
      transaction,
    }) as unknown as Promise<Pick<CheckInRow, "personId" | "day" | "level">[]>,
    symptomHistory(db, of, transaction),
    db.models.PersonDay.findAll({
      where: { ...of, runs: { [Op.gt]: 0 } },
      attributes: ["personId", [fn("MIN", col("day")), "day"]],
      group: ["personId"],
      raw: true,
      transaction,
    }) as unknown as Promise<{ personId: string; day: string }[]>,
  ]);
  const asked = grouped(history, ({ personId }) => personId);
  const started = new Map(firsts.map(({ personId, day }) => [personId, day]));
  return rows.map(({ personId, day, level }) => {
    const usual = mostFelt(symptomsOn(asked.get(personId) ?? [], day));
    return { personId, day, level, raised: isRaisedMorning({ day, level }, usual, started.get(personId) ?? null) };
  });
}
