/** Next-morning check-ins, and stop-and-tell. Both are sent from phones that may be offline: stored once, in whatever order they come. */
import { dateAt } from "@kind-grip/core/calendar";
import type { CheckIn, Tell } from "@kind-grip/core/response";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { invalid, notFound } from "../http/problem";
import { refreshProposals } from "./decisions";

/** A phone that was off for a while still brings these; older ones are refused. */
const OLDEST_DAYS = 14;

/** One answer a day: what came first stays. @throws Problem 400 for a day that has not come yet or is long gone */
export async function storeCheckIn(
  db: Db,
  caller: Caller,
  at: Date,
  place: { crewId: string; personId: string },
  { id, day, level, regions, tingling }: CheckIn,
): Promise<{ id: string; stored: "new" | "already" }> {
  return db.sequelize.transaction(async (transaction) => {
    const crew = await lockCrew(db, caller, place.crewId, transaction);
    const today = dateAt(at.getTime(), crew.detail.timeZone);
    if (day > today) throw invalid([{ path: "day", message: "has not come yet" }]);
    if (Date.parse(day) < Date.parse(today) - OLDEST_DAYS * 86_400_000) throw invalid([{ path: "day", message: "is too long ago" }]);
    const known = await db.models.CheckIn.findOne({ where: { personId: place.personId, day }, transaction });
    if (known) return { id: known.get().id, stored: "already" };
    await db.models.CheckIn.create({ id, ...place, day, level, regions, tingling, at }, { transaction });
    await refreshProposals(db, caller.practiceId, crew, at, [place.personId], transaction);
    return { id, stored: "new" };
  });
}

export async function storeTell(
  db: Db,
  caller: Caller,
  place: { crewId: string; personId: string },
  { id, at, kind, movementId, words }: Tell,
): Promise<{ id: string; stored: "new" | "already" }> {
  await crewOf(db, caller, place.crewId);
  const [row, isNew] = await db.models.Tell.findOrCreate({
    where: { id },
    defaults: { id, ...place, movementId, kind, words: words || null, at: new Date(at), seenAt: null, seenBy: null },
  });
  if (row.get().personId !== place.personId) throw notFound("thing");
  return { id, stored: isNew ? "new" : "already" };
}

export async function markTellSeen(db: Db, caller: Caller, at: Date, tellId: string): Promise<void> {
  const row = (await db.models.Tell.findByPk(tellId))?.get();
  if (!row) throw notFound("message");
  await crewOf(db, caller, row.crewId).catch(() => {
    throw notFound("message");
  });
  await db.models.Tell.update({ seenAt: at, seenBy: caller.accountId }, { where: { id: tellId, seenAt: null } });
}
