/** Pauses in force: a decision "pause and refer" keeps a person out of that movement until it is taken up again. */
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";

/** @returns person id → crew and movements */
export async function pausedMovements(
  { models }: Db,
  crewIds: readonly string[],
  at: Date,
  transaction?: Transaction,
): Promise<Map<string, { crewId: string; movementIds: string[] }>> {
  const rows = await models.Decision.findAll({
    where: {
      crewId: { [Op.in]: [...crewIds] },
      decided: "pauseAndRefer",
      decidedAt: { [Op.lte]: at },
      resumedAt: { [Op.or]: [{ [Op.is]: null }, { [Op.gt]: at }] },
    },
    attributes: ["crewId", "personId", "movementId"],
    transaction,
  });
  const paused = new Map<string, { crewId: string; movementIds: string[] }>();
  for (const row of rows) {
    const { crewId, personId, movementId } = row.get();
    const known = paused.get(personId);
    if (known) known.movementIds.push(movementId);
    else paused.set(personId, { crewId, movementIds: [movementId] });
  }
  return paused;
}
