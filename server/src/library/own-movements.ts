/** A practice's own movements: stored whole, removed ones kept so that old programs can still be read. */
import { knowOwnMovements, OWN_PREFIX, ownMovementProblems, type OwnMovement } from "@kind-grip/core/library";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import type { OwnMovementRow } from "../db/models";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, stale } from "../http/problem";

export interface OwnMovementAnswer {
  id: string;
  version: number;
  removed: boolean;
  own: OwnMovement;
}

const answer = ({ id, version, removedAt, document }: OwnMovementRow): OwnMovementAnswer => ({
  id,
  version,
  removed: removedAt !== null,
  own: document,
});

/** Own movements, removed ones too: programs may still hold them. */
export async function listOwnMovements(db: Db, caller: Caller): Promise<OwnMovementAnswer[]> {
  const rows = await db.models.OwnMovement.findAll({ where: { practiceId: caller.practiceId }, order: [["name", "ASC"]] });
  return rows.map((row) => answer(row.get({ plain: true })));
}

/** Newest change this process has read, by practice. */
const known = new Map<string, Date>();
/** Changes with every change of a practice's own movements this process has read. */
export function ownMovementsAsOf(practiceId: string): number {
  return known.get(practiceId)?.getTime() ?? 0;
}

/** Looked at again each time: a change stamped earlier may have been committed later. */
const OVERLAP_MS = 10_000;

/**
 * Makes what changed since the last look known to the core. Every process does this before it answers a trainer, so that any of them
 * can time and name what another has stored.
 */
export async function readOwnMovements(db: Db, practiceId: string): Promise<void> {
  const since = new Date((known.get(practiceId)?.getTime() ?? OVERLAP_MS) - OVERLAP_MS);
  const rows = await db.models.OwnMovement.findAll({
    where: { practiceId, changedAt: { [Op.gte]: since } },
    order: [["changedAt", "ASC"]],
  });
  const plain = rows.map((row) => row.get({ plain: true }));
  knowOwnMovements(plain.map(({ document }) => document));
  const newest = plain.at(-1)?.changedAt;
  if (newest) known.set(practiceId, newest);
}

/**
 * Stores an own movement under the id it carries. Version 0 makes a new one; the same request twice makes it once.
 * @throws Problem 400 with the fields, 404 for another practice's, 409 when somebody else changed it in between
 */
export async function storeOwnMovement(db: Db, caller: Caller, id: string, version: number, own: OwnMovement): Promise<OwnMovementAnswer> {
  const problems = ownMovementProblems(own);
  if (own.movement.id !== OWN_PREFIX + id) problems.push({ path: "movement.id", message: `must be "${OWN_PREFIX}${id}"` });
  if (problems.length > 0) throw invalid(problems.map(({ path, message }) => ({ path: `own.${path}`, message })));
  return inTransaction(db, async (transaction) => {
    const found = await db.models.OwnMovement.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    const now = { name: own.words.name, document: own, version: version + 1, changedAt: new Date(), removedAt: null };
    if (!found) {
      if (version !== 0) throw notFound("movement");
      const made = await db.models.OwnMovement.create({ id, practiceId: caller.practiceId, ...now }, { transaction });
      return answer(made.get({ plain: true }));
    }
    const before = found.get({ plain: true });
    if (before.practiceId !== caller.practiceId) throw notFound("movement");
    const sentTwice = before.version === version + 1 && JSON.stringify(before.document) === JSON.stringify(own);
    if (sentTwice) return answer(before);
    if (before.version !== version) throw stale(answer(before));
    await found.update(now, { transaction });
    return answer(found.get({ plain: true }));
  });
}

/** Takes an own movement out of the library, or brings it back. Programs that hold it keep it. */
export async function setOwnMovementRemoved(db: Db, caller: Caller, id: string, removed: boolean): Promise<OwnMovementAnswer> {
  const found = await db.models.OwnMovement.findOne({ where: { id, practiceId: caller.practiceId } });
  if (!found) throw notFound("movement");
  await found.update({ removedAt: removed ? new Date() : null, changedAt: new Date() });
  return answer(found.get({ plain: true }));
}

/** Own movements among these ids that the practice does not have. */
export async function foreignOwnMovements(
  db: Db,
  practiceId: string,
  movementIds: readonly string[],
  transaction?: Transaction,
): Promise<string[]> {
  const own = [...new Set(movementIds.filter((id) => id.startsWith(OWN_PREFIX)))];
  if (own.length === 0) return [];
  const rows = await db.models.OwnMovement.findAll({
    where: { practiceId, id: own.map((id) => id.slice(OWN_PREFIX.length)) },
    transaction,
  });
  const mine = new Set(rows.map((row) => OWN_PREFIX + row.get().id));
  return own.filter((id) => !mine.has(id));
}
