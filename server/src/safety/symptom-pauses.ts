/** Pauses in force that a symptom report, a bad morning or a mark in a run made by itself. */
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";

/** Those in force at a moment; a person may have several. */
export async function symptomPauses({ models }: Db, crewIds: readonly string[], at: Date, transaction?: Transaction) {
  const rows = await models.SymptomAlert.findAll({
    where: {
      crewId: { [Op.in]: [...crewIds] },
      since: { [Op.lte]: at },
      endedAt: { [Op.or]: [{ [Op.is]: null }, { [Op.gt]: at }] },
    },
    attributes: ["id", "crewId", "personId", "regions"],
    transaction,
  });
  return rows.map((row) => row.get({ plain: true })).map(({ crewId, personId, regions }) => ({ crewId, personId, regions }));
}
