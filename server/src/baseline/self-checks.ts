/**
 * What somebody answers on their own phone before a round. It goes into their record, and acts as it is stored: what means stop holds
 * them out, what is felt badly pauses its place until the trainer has answered.
 */
import { emptyRecord, isAskedOnPhone, withSelfCheck, type SelfCheck } from "@kind-grip/core/baseline";
import { dateAt } from "@kind-grip/core/calendar";
import { restrictionsCalledFor, symptomsAlarm } from "@kind-grip/core/safety";
import type { Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { refreshProposals } from "../response/decisions";
import { raiseRestrictions } from "../safety/restrictions";
import { raiseAlert } from "../safety/symptom-alerts";
import { rowOf } from "./rounds";
import type { RoundRow } from "./tables";

/**
 * Stored once however often it is sent. A round that was closed or removed meanwhile loses nothing: what was answered acts all the same,
 * and stays in the record of a round that is there.
 */
export async function storeSelfCheck(
  db: Db,
  caller: Caller,
  at: Date,
  check: SelfCheck,
): Promise<{ id: string; stored: "new" | "already" }> {
  const [crewId, personId] = [caller.crewId!, caller.accountId];
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const said = { ...check, at: new Date(Math.min(Date.parse(check.at), at.getTime())).toISOString() };
    const round = (await db.models.Round.findOne({ where: { id: check.roundId, crewId }, transaction }))?.get({ plain: true });
    if (round && !(await fileIn(db, { round, personId, timeZone: crew.detail.timeZone }, at, said, transaction)))
      return { id: check.id, stored: "already" as const };
    const place = { personId, roundId: round?.id ?? null };
    await raiseRestrictions(db, caller, at, crew, place, restrictionsCalledFor(said.safety, said.symptoms), transaction);
    const alarm = symptomsAlarm(said.symptoms);
    if (alarm) {
      const told = { cause: "selfCheck" as const, causeId: check.id, ...alarm, pauses: true };
      await raiseAlert(db, caller, crew, at, { personId, since: new Date(said.at) }, told, transaction);
    }
    if (said.handedness)
      await db.models.Person.update({ handedness: said.handedness }, { where: { id: personId, handedness: null }, transaction });
    const what = "safety answers, symptoms, on their own phone";
    await noteChanged(db, caller, at, { crewId, personId, subject: "baseline", what }, transaction);
    await refreshProposals(db, caller.practiceId, crew, at, [personId], transaction);
    return { id: check.id, stored: "new" as const };
  });
}

/** @returns false when it is in the record already */
async function fileIn(
  db: Db,
  { round, personId, timeZone }: { round: RoundRow; personId: string; timeZone: string },
  at: Date,
  check: SelfCheck,
  transaction: Transaction,
): Promise<boolean> {
  const row = (await db.models.Baseline.findOne({ where: { roundId: round.id, personId }, transaction }))?.get({ plain: true });
  const before = row?.document ?? emptyRecord();
  const after = withSelfCheck(before, check);
  if (after === before) return false;
  const asked = { before: row, day: dateAt(Date.parse(check.at), timeZone) };
  const stored = rowOf({ roundId: round.id, personId }, after, (row?.version ?? 0) + 1, at, asked);
  await db.models.Baseline.upsert(stored, { transaction });
  return true;
}

/** The round that asks somebody now, newest first; null when none does, or they have answered. */
export async function askedRound({ models }: Db, crewId: string, personId: string): Promise<{ id: string; name: string } | null> {
  const rounds = await models.Round.findAll({
    where: { crewId, closedAt: null, asksOnPhones: true },
    order: [
      ["startedOn", "DESC"],
      ["id", "DESC"],
    ],
    limit: 1,
  });
  const round = rounds[0]?.get({ plain: true });
  if (!round) return null;
  const record = (await models.Baseline.findOne({ where: { roundId: round.id, personId } }))?.get({ plain: true }).document;
  return isAskedOnPhone(record) ? { id: round.id, name: round.name } : null;
}
