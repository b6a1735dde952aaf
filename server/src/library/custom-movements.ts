/** Custom movements of a practice: stored whole, removed ones kept so that old programs can still be read. */
import { isEqual } from "es-toolkit";
import { CUSTOM_PREFIX, customMovementProblems, type CustomMovement } from "@kind-grip/core/library";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import type { CustomMovementRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, stale } from "../http/problem";

export interface CustomMovementEntry {
  id: string;
  version: number;
  removed: boolean;
  custom: CustomMovement;
}

const answer = ({ id, version, removedAt, document }: CustomMovementRow): CustomMovementEntry => ({
  id,
  version,
  removed: removedAt !== null,
  custom: document,
});

/** Custom movements, removed ones too: programs may still hold them. */
export async function listCustomMovements(db: Db, caller: Caller): Promise<CustomMovementEntry[]> {
  const rows = await db.models.CustomMovement.findAll({ where: { practiceId: caller.practiceId }, order: [["name", "ASC"]] });
  return rows.map((row) => answer(row.get({ plain: true })));
}

/**
 * Stores a custom movement under the id it carries. Version 0 makes a new one; the same request twice makes it once.
 * @throws Problem 400 with the fields, 404 for another practice's, 409 when somebody else changed it in between
 */
export async function storeCustomMovement(
  db: Db,
  caller: Caller,
  id: string,
  version: number,
  custom: CustomMovement,
): Promise<CustomMovementEntry> {
  const problems = customMovementProblems(custom);
  if (custom.movement.id !== CUSTOM_PREFIX + id) problems.push({ path: "movement.id", message: `must be "${CUSTOM_PREFIX}${id}"` });
  if (problems.length > 0) throw invalid(problems.map(({ path, message }) => ({ path: `custom.${path}`, message })));
  return inTransaction(db, async (transaction) => {
    const found = await db.models.CustomMovement.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    const now = { name: custom.words.name, document: custom, version: version + 1, changedAt: new Date(), removedAt: null };
    if (!found) {
      if (version !== 0) throw notFound("movement");
      const made = await db.models.CustomMovement.create({ id, practiceId: caller.practiceId, ...now }, { transaction });
      return answer(made.get({ plain: true }));
    }
    const before = found.get({ plain: true });
    if (before.practiceId !== caller.practiceId) throw notFound("movement");
    const sentTwice = before.version === version + 1 && isEqual(before.document, custom);
    if (sentTwice) return answer(before);
    if (before.version !== version) throw stale(answer(before));
    await found.update(now, { transaction });
    return answer(found.get({ plain: true }));
  });
}

/** Takes a custom movement out of the library, or brings it back. Programs that hold it keep it. */
export async function setCustomMovementRemoved(db: Db, caller: Caller, id: string, removed: boolean): Promise<CustomMovementEntry> {
  const found = await db.models.CustomMovement.findOne({ where: { id, practiceId: caller.practiceId } });
  if (!found) throw notFound("movement");
  await found.update({ removedAt: removed ? new Date() : null, changedAt: new Date() });
  return answer(found.get({ plain: true }));
}
