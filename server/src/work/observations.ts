/** Observations of a crew's work: kept as they were pressed; the figures of a task are made from those that count. */
import { isEqual } from "es-toolkit";
import type { ObservationEntry, StoredObservation } from "@kind-grip/core/api";
import { dateAt, longestWorkMin } from "@kind-grip/core/calendar";
import { seenBy, withObserved, type Observation } from "@kind-grip/core/observe";
import { effortsOf, EMPTY_WORK, workProblems, type Work } from "@kind-grip/core/strain";
import type { Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { workOf } from "./works";

/** Of tasks that are still there, newest first. */
export async function observationsOf(db: Db, caller: Caller, crewId: string): Promise<ObservationEntry[]> {
  await crewOf(db, caller, crewId);
  const work = (await db.models.Work.findByPk(crewId))?.get().document ?? EMPTY_WORK;
  const rows = (await db.models.Observation.findAll({ where: { crewId } })).map((row) => row.get({ plain: true }));
  return rows
    .filter(({ taskId }) => work.tasks.some(({ id }) => id === taskId))
    .sort((a, b) => b.startedAt.getTime() - a.startedAt.getTime())
    .map(({ id, taskId, personId, startedAt, counts, document }) => ({
      id,
      taskId,
      personId,
      startedAt: startedAt.toISOString(),
      from: document.from,
      lengthMs: document.lengthMs,
      counts,
      hands: seenBy(document).map(({ side, effortId, efforts, forgotten, rhythm, postures }) => ({
        side,
        effortId,
        efforts: efforts.length,
        forgotten,
        rhythm: rhythm && { perMin: rhythm.perMin, secEach: rhythm.secEach, duty: rhythm.duty },
        postures: postures.length,
      })),
    }));
}

/**
 * Stores it and makes the figures of its task from it, in one transaction. Sent again it changes nothing.
 * @throws Problem 400 for a task, an effort or somebody that is not there; 409 when the id is another's
 */
export async function storeObservation(db: Db, caller: Caller, at: Date, sent: Observation): Promise<StoredObservation> {
  const { crewId, taskId, personId } = sent;
  const notUsed = await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const known = (await db.models.Observation.findByPk(sent.id, { transaction }))?.get({ plain: true });
    if (known && known.crewId !== crewId) throw new Problem(409, "taken", "This id belongs to another observation.");
    if (known) return null;
    const work = (await db.models.Work.findByPk(crewId, { transaction }))?.get().document ?? EMPTY_WORK;
    await refuseStrangers(db, work, sent, transaction);
    // A device whose clock is ahead watched nothing tomorrow.
    const startedAt = new Date(Math.min(Date.parse(sent.startedAt), at.getTime()));
    // Who was watched stands in a column of its own: it goes with the person.
    const document = { ...sent, personId: null };
    await db.models.Observation.create({ id: sent.id, crewId, taskId, personId, startedAt, counts: true, document }, { transaction });
    return useObserved(db, crew, taskId, at, transaction);
  });
  return { work: await workOf(db, caller, at, crewId), notUsed };
}

/** Whether an observation counts; the figures of its task follow. @throws Problem 404 */
export async function countObservation(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  id: string,
  counts: boolean,
): Promise<StoredObservation> {
  const notUsed = await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const row = await db.models.Observation.findOne({ where: { id, crewId }, transaction });
    if (!row) throw notFound("observation");
    await row.update({ counts }, { transaction });
    return useObserved(db, crew, row.get().taskId, at, transaction);
  });
  return { work: await workOf(db, caller, at, crewId), notUsed };
}

async function refuseStrangers(
  db: Db,
  work: Work,
  { taskId, hands, crewId, personId }: Observation,
  transaction: Transaction,
): Promise<void> {
  const task = work.tasks.find(({ id }) => id === taskId);
  if (!task) throw invalid([{ path: "taskId", message: "is not a task of this crew any more" }]);
  const problems = hands.flatMap(({ side, effortId }, i) =>
    effortsOf(task, side).some(({ id }) => id === effortId)
      ? []
      : [{ path: `hands.${i}.effortId`, message: `is not an effort of the ${side} hand in this task` }],
  );
  if (personId !== null && !(await db.models.Person.findOne({ where: { id: personId, crewId }, transaction })))
    problems.push({ path: "personId", message: "is not in this crew" });
  if (problems.length > 0) throw invalid(problems);
}

/** @returns why the figures of the task stay as they are, or null */
async function useObserved(db: Db, crew: CrewRow, taskId: string, at: Date, transaction: Transaction): Promise<string | null> {
  const row = (await db.models.Work.findByPk(crew.id, { transaction }))?.get({ plain: true });
  if (!row) return null;
  const counting = await db.models.Observation.findAll({ where: { crewId: crew.id, taskId, counts: true }, transaction });
  const observations = counting.map((each) => ({ ...each.get().document, startedAt: each.get().startedAt.toISOString() }));
  const used = withObserved(row.document, taskId, observations, (instant) => dateAt(Date.parse(instant), crew.detail.timeZone));
  if (isEqual(used, row.document)) return null;
  const before = new Set(problemsOf(row.document, crew).map(({ path }) => path));
  const [problem] = problemsOf(used, crew).filter(({ path }) => !before.has(path));
  if (problem) return problem.message;
  await db.models.Work.upsert({ ...row, document: used, version: row.version + 1, changedAt: at }, { transaction });
  return null;
}

const problemsOf = (work: Work, crew: CrewRow) => workProblems(work, longestWorkMin(crew.detail.shiftPattern));
