/**
 * Runs that arrive late. What happened is stored; but a run that says it began before somebody was taken out of it, and comes after, is
 * no evidence for that person until the trainer has said which it is: before, or a mistake.
 */
import type { Library } from "@kind-grip/core/library";
import type { RunRecord } from "@kind-grip/core/run";
import { itemsLeftOut, type Participations } from "@kind-grip/core/safety";
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";

export type ClashKind = "heldOut" | "outOfItem";

/** A run whose clock is ahead of the server's ends now: no run is in the future. */
export function byServerClock(run: RunRecord, at: Date): RunRecord {
  const aheadMs = Date.parse(run.endedAt) - at.getTime();
  if (aheadMs <= 0) return run;
  const earlier = (moment: string) => new Date(Date.parse(moment) - aheadMs).toISOString();
  return { ...run, startedAt: earlier(run.startedAt), endedAt: earlier(run.endedAt) };
}

/** Who took part in what they are out of by now: person id → of all or of a part. Those out of it as it began are refused elsewhere. */
export async function clashesNow(
  db: Db,
  library: Library,
  run: RunRecord,
  participations: Participations,
  at: Date,
  transaction: Transaction,
): Promise<Map<string, ClashKind>> {
  const found = new Map<string, ClashKind>();
  for (const { personId, present, leftOut } of run.people) {
    const participation = participations.get(personId);
    if (!present || !participation) continue;
    if (participation.heldOut) found.set(personId, "heldOut");
    else if (itemsLeftOut(library, participation, run.session).some((itemId) => !leftOut.includes(itemId)))
      found.set(personId, "outOfItem");
  }
  // What was reported while it was led paused the person in the middle of it: no contradiction.
  for (const personId of [...found.keys()]) if (await wasTakenOutDuring(db, run, personId, at, transaction)) found.delete(personId);
  return found;
}

/** Whether everything that keeps a person out began while the run went on. */
async function wasTakenOutDuring(db: Db, run: RunRecord, personId: string, at: Date, transaction: Transaction): Promise<boolean> {
  const since = { [Op.lte]: at };
  const [holds, alerts, decisions] = await Promise.all([
    db.models.Restriction.findAll({ where: { personId, withdrawnAt: null, since }, attributes: ["since"], transaction }),
    db.models.SymptomAlert.findAll({ where: { personId, endedAt: null, since }, attributes: ["since"], transaction }),
    db.models.Decision.findAll({
      where: { personId, decided: "pauseAndRefer", resumedAt: null, decidedAt: since },
      attributes: ["decidedAt"],
      transaction,
    }),
  ]);
  const moments = [
    ...holds.map((row) => row.get().since),
    ...alerts.map((row) => row.get().since),
    ...decisions.map((row) => row.get().decidedAt),
  ]
    .map((moment) => moment.getTime())
    .filter((moment) => moment > Date.parse(run.startedAt));
  return moments.length > 0 && moments.every((moment) => moment <= Date.parse(run.endedAt));
}
