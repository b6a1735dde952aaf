/**
 * What people say on their own phones of a session that is led: that they are here, and how hard it was. Kept apart from runs until a run
 * takes them over; an effort that comes after the run was kept goes into it.
 */
import type { OwnAnswer } from "@kind-grip/core/api";
import { EFFORT_ASKED_HOURS, type Arrival, type OwnEffort, type RunRecord } from "@kind-grip/core/run";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { keepPlacement } from "../dayplan/standing";
import { inTransaction } from "../db/transaction";
import { notFound, Problem } from "../http/problem";
import { hashOf } from "../member/access";
import { refreshProposals } from "../response/decisions";
import { dayOfRun } from "./person-days";
import type { OwnAnswerRow, RunRow } from "./tables";

interface Stored {
  id: string;
  stored: "new" | "already";
}

const HOUR_MS = 3600_000;

export async function storeArrival(db: Db, caller: Caller, at: Date, said: Arrival): Promise<Stored> {
  return storeAnswer(db, caller, at, { ...said, runId: null, effort: null });
}

/** @throws Problem 404 for a run that is not of the caller's crew, or that they did not take part in */
export async function storeEffort(db: Db, caller: Caller, at: Date, said: OwnEffort): Promise<Stored> {
  return storeAnswer(db, caller, at, said);
}

async function storeAnswer(db: Db, caller: Caller, at: Date, said: Omit<OwnAnswerRow, "crewId" | "personId" | "at"> & { at: string }) {
  const [crewId, personId] = [caller.crewId!, caller.accountId];
  return inTransaction(db, async (transaction): Promise<Stored> => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const known = (await db.models.OwnAnswer.findByPk(said.id, { transaction }))?.get();
    if (known && known.personId !== personId) throw notFound("thing");
    if (known) return { id: said.id, stored: "already" };
    // A phone's clock may be ahead; the server's decides.
    const moment = new Date(Math.min(Date.parse(said.at), at.getTime()));
    await db.models.OwnAnswer.create({ ...said, crewId, personId, at: moment }, { transaction });
    if (said.effort !== null) {
      const run = await runMeant(db, crewId, said, transaction);
      if (said.runId && !run) throw notFound("run");
      if (run && (await fillIn(db, run, personId, said.effort, crew.detail.timeZone, transaction)))
        await refreshProposals(db, caller.practiceId, crew, at, [personId], transaction);
    }
    return { id: said.id, stored: "new" };
  });
}

async function runMeant(
  { models }: Db,
  crewId: string,
  { runId, placementId }: Pick<OwnAnswerRow, "runId" | "placementId">,
  transaction: Transaction,
): Promise<RunRow | undefined> {
  const where = runId ? { id: runId, crewId, alone: false } : { placementId, crewId, alone: false };
  return (await models.Run.findOne({ where, order: [["startedAt", "DESC"]], transaction }))?.get({ plain: true });
}

/** Into a run that is on record, where nobody had said it. @returns whether it went in */
async function fillIn(db: Db, run: RunRow, personId: string, effort: number, timeZone: string, transaction: Transaction): Promise<boolean> {
  const where = { runId: run.id, personId, present: true, effort: null };
  const [changed] = await db.models.RunPerson.update({ effort }, { where, transaction });
  if (changed === 0) return false;
  const clash = (await db.models.RunPerson.findOne({ where: { runId: run.id, personId }, attributes: ["clash"], transaction }))?.get()
    .clash;
  // What is no evidence is in no sum.
  if (!clash)
    await db.models.PersonDay.increment(
      { effortSum: effort, efforts: 1 },
      { where: { personId, day: dayOfRun(run, timeZone) }, transaction },
    );
  return true;
}

/** What phones said of a placement, each person's newest: for the screen that leads it. @throws Problem 404 for somebody else's crew */
export async function ownAnswersOf(db: Db, caller: Caller, crewId: string, placementId: string): Promise<OwnAnswer[]> {
  await crewOf(db, caller, crewId);
  return answersOf(db, crewId, placementId);
}

async function answersOf({ models }: Db, crewId: string, placementId: string, transaction?: Transaction): Promise<OwnAnswer[]> {
  const rows = await models.OwnAnswer.findAll({ where: { crewId, placementId }, order: [["at", "ASC"]], transaction });
  const byPerson = new Map<string, OwnAnswer>();
  for (const row of rows) {
    const { personId, effort } = row.get();
    byPerson.set(personId, { personId, effort: effort ?? byPerson.get(personId)?.effort ?? null });
  }
  return [...byPerson.values()];
}

/** Whoever leads it has come to its end: phones ask how hard it was. Said again it changes nothing; of a placement that is gone it is nothing. */
export async function notePlacementEnded(db: Db, caller: Caller, at: Date, crewId: string, placementId: string): Promise<void> {
  const crew = await crewOf(db, caller, crewId);
  await keepPlacement(db, crew, placementId);
  await db.models.Placement.update({ ledUntil: at }, { where: { id: placementId, crewId, ledUntil: null } });
}

/** A led run with the efforts phones had told before it came, where its screen did not have them. */
export async function withOwnEfforts(db: Db, run: RunRecord, transaction: Transaction): Promise<RunRecord> {
  if (!run.placementId || run.alone) return run;
  const said = new Map((await answersOf(db, run.crewId, run.placementId, transaction)).map(({ personId, effort }) => [personId, effort]));
  return {
    ...run,
    people: run.people.map((person) =>
      person.present ? { ...person, effort: person.effort ?? said.get(person.personId) ?? null } : person,
    ),
  };
}

/** Which led runs somebody is still asked about on their phone, newest first, and for which placements they said that they are here. */
export async function askedOf({ models }: Db, crewId: string, personId: string, at: Date) {
  const since = { [Op.gte]: new Date(at.getTime() - EFFORT_ASKED_HOURS * HOUR_MS) };
  const [runs, said] = await Promise.all([
    models.Run.findAll({
      where: { crewId, alone: false, endedAt: since },
      attributes: ["id", "placementId", "sessionName", "slot", "endedAt"],
      order: [["endedAt", "DESC"]],
    }),
    models.OwnAnswer.findAll({ where: { personId, at: since } }),
  ]);
  const unsaid = await models.RunPerson.findAll({
    where: { runId: runs.map((row) => row.get().id), personId, present: true, effort: null },
    attributes: ["runId"],
  });
  const answers = said.map((row) => row.get());
  return {
    efforts: runs
      .map((row) => row.get())
      .filter(({ id }) => unsaid.some((row) => row.get().runId === id))
      .map(({ id, placementId, sessionName, slot, endedAt }) => ({
        runId: id,
        placementId,
        name: sessionName,
        slot,
        endedAt: endedAt.toISOString(),
      })),
    here: answers.flatMap(({ placementId, effort }) => (placementId && effort === null ? [placementId] : [])),
    said: answers.flatMap(({ placementId, effort }) => (placementId && effort !== null ? [placementId] : [])),
  };
}

/** Whose card was shown to the camera. @throws Problem 404 for a card of nobody in this crew */
export async function holderOf(db: Db, caller: Caller, crewId: string, token: string): Promise<{ personId: string }> {
  await crewOf(db, caller, crewId);
  const access = await db.models.MemberAccess.findOne({ where: { cardHash: hashOf(token), crewId }, attributes: ["personId"] });
  if (!access) throw new Problem(404, "unknownCard", "This is not the card of anybody in this crew, or it is no longer good.");
  return { personId: access.get().personId };
}
