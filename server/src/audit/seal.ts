/**
 * Seals the trail: what was written is put in segments, each with a hash over its entries and the hash of the segment before. Whoever
 * changes, adds or takes out a sealed entry breaks the chain from there on. Sealing is a job of its own, a while after writing: on several
 * servers and database nodes nothing has to wait for the end of a chain.
 */
import { createHash } from "node:crypto";
import type { TrailState } from "@kind-grip/core/api";
import { Op, UniqueConstraintError, type Transaction, type WhereOptions } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import type { TrailEntryRow, TrailSegmentRow } from "./tables";

/** Written this long ago, a change is committed everywhere or never will be. */
export const SETTLED_MS = 10 * 60_000;
const MOST_IN_SEGMENT = 5000;
/** What the first segment of a practice follows. */
export const NO_HASH = "0".repeat(64);

/** One line of what is hashed: docs/formats/trail.md. */
export function sealedLine({ id, lineId, crewId, personId, accountId, act, subject, what, at, times }: TrailEntryRow): string {
  return JSON.stringify([id, lineId, crewId, personId, accountId, act, subject, what, at.toISOString(), times]);
}

/** @param lines in the order of time, then of id */
export function segmentHash(previousHash: string, lines: readonly string[]): string {
  return createHash("sha256")
    .update([previousHash, ...lines].join("\n"))
    .digest("hex");
}

/** Seals what has settled, in every practice. @returns how many entries */
export async function sealTrails(db: Db, now = new Date()): Promise<number> {
  const until = new Date(now.getTime() - SETTLED_MS);
  const open = await db.models.TrailEntry.findAll({
    where: { segmentId: null, at: { [Op.lt]: until } },
    attributes: ["practiceId"],
    group: ["practiceId"],
  });
  let sealed = 0;
  for (const row of open) {
    for (;;) {
      const count = await sealNext(db, row.get().practiceId, until, now);
      sealed += count;
      if (count < MOST_IN_SEGMENT) break;
    }
  }
  return sealed;
}

async function sealNext(db: Db, practiceId: string, until: Date, sealedAt: Date): Promise<number> {
  try {
    return await inTransaction(db, async (transaction) => {
      const last = (await lastSegment(db, practiceId, transaction))?.get();
      const entries = await entriesOf(db, { practiceId, segmentId: null, at: { [Op.lt]: until } }, transaction, MOST_IN_SEGMENT);
      if (entries.length === 0) return 0;
      const previousHash = last?.hash ?? NO_HASH;
      const segment: TrailSegmentRow = {
        id: uuid(),
        practiceId,
        number: (last?.number ?? 0) + 1,
        entries: entries.length,
        fromAt: entries[0]!.at,
        untilAt: entries.at(-1)!.at,
        previousHash,
        hash: segmentHash(previousHash, entries.map(sealedLine)),
        sealedAt,
        removedAt: null,
      };
      await db.models.TrailSegment.create(segment, { transaction });
      await db.models.TrailEntry.update(
        { segmentId: segment.id },
        { where: { id: entries.map(({ id }) => id), segmentId: null }, transaction },
      );
      return entries.length;
    });
  } catch (error) {
    // Another server sealed the segment of this number: the rest waits for the next time.
    if (error instanceof UniqueConstraintError) return 0;
    throw error;
  }
}

const lastSegment = ({ models }: Db, practiceId: string, transaction: Transaction) =>
  models.TrailSegment.findOne({ where: { practiceId }, order: [["number", "DESC"]], transaction, lock: transaction.LOCK.UPDATE });

async function entriesOf(
  { models }: Db,
  where: WhereOptions<TrailEntryRow>,
  transaction?: Transaction,
  limit?: number,
): Promise<TrailEntryRow[]> {
  const rows = await models.TrailEntry.findAll({ where, order: ["at", "id"], transaction, limit });
  return rows.map((row) => row.get({ plain: true }));
}

/** Looks at the whole chain. @returns how far it is sealed, and the first segment that is not as it was sealed */
export async function trailState(db: Db, practiceId: string): Promise<TrailState> {
  const segments = (await db.models.TrailSegment.findAll({ where: { practiceId }, order: ["number"] })).map((row) =>
    row.get({ plain: true }),
  );
  let previous = NO_HASH;
  let broken: number | null = null;
  for (const [i, segment] of segments.entries()) {
    const follows = segment.number === i + 1 && segment.previousHash === previous;
    if (broken === null && !(follows && (segment.removedAt !== null || (await isAsSealed(db, segment))))) broken = i + 1;
    previous = segment.hash;
  }
  return {
    segments: segments.length,
    sealed: segments.reduce((sum, { entries }) => sum + entries, 0),
    open: await db.models.TrailEntry.count({ where: { practiceId, segmentId: null } }),
    lastHash: segments.at(-1)?.hash ?? null,
    broken,
  };
}

async function isAsSealed(db: Db, { id, entries, previousHash, hash }: TrailSegmentRow): Promise<boolean> {
  const found = await entriesOf(db, { segmentId: id });
  return found.length === entries && segmentHash(previousHash, found.map(sealedLine)) === hash;
}

/** Takes whole sealed segments out that end before a moment; their hashes stay, and the chain with them. @returns how many entries went */
export async function removeSegments(db: Db, practiceId: string, before: Date, now = new Date()): Promise<number> {
  return inTransaction(db, async (transaction) => {
    const old = await db.models.TrailSegment.findAll({ where: { practiceId, removedAt: null, untilAt: { [Op.lt]: before } }, transaction });
    const segmentId = old.map((row) => row.get().id);
    const gone = await db.models.TrailEntry.destroy({ where: { segmentId }, transaction });
    await db.models.TrailSegment.update({ removedAt: now }, { where: { id: segmentId }, transaction });
    return gone;
  });
}

/** The whole trail of a practice as an open file: docs/formats/trail.md. */
export async function exportTrail(db: Db, practiceId: string, writtenAt: Date): Promise<object> {
  const segments = await db.models.TrailSegment.findAll({ where: { practiceId }, order: ["number"] });
  return {
    format: "kind-grip-trail",
    version: 1,
    writtenAt: writtenAt.toISOString(),
    segments: segments.map((row) => row.get({ plain: true })),
    entries: await entriesOf(db, { practiceId }),
  };
}

/** Seals now and every hour; a database that is away is asked again the next time. @returns stops it */
export function startSealing(db: Db): () => void {
  const seal = () => void sealTrails(db).catch(() => 0);
  seal();
  const timer = setInterval(seal, 3600_000);
  return () => clearInterval(timer);
}
