/** Asking for long work, hearing how far it is, taking it back, fetching what was made. */
import { createHash } from "node:crypto";
import type { Job } from "@kind-grip/core/api";
import { UniqueConstraintError } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { crewOfThing } from "../crew/crews";
import type { Db } from "../db/connection";
import { inRow } from "../db/encrypted";
import { inTransaction } from "../db/transaction";
import { notFound, Problem } from "../http/problem";
import type { Language } from "@kind-grip/core/language";
import type { JobRow } from "./tables";
import type { JobTask } from "./task";

/** What is to be done, for whom it is counted as the same, and what the file will be called. */
export interface AskedWork {
  crewId: string | null;
  subjectId: string;
  fileName: string;
  language?: Language;
  task: JobTask;
}

/** Everything of a job but its task and its file. */
const TOLD = [
  "id",
  "practiceId",
  "crewId",
  "subjectId",
  "kind",
  "contentKey",
  "fileName",
  "language",
  "state",
  "progress",
  "asking",
  "problem",
] as const;
type ToldJob = Pick<JobRow, (typeof TOLD)[number]>;

export function contentKeyOf({ practiceId }: Pick<Caller, "practiceId">, { crewId, subjectId, task }: AskedWork): string {
  return createHash("sha256")
    .update(JSON.stringify([practiceId, crewId, subjectId, task]))
    .digest("hex");
}

/** Asks for work. What is equal to work that waits, is made or was made is the same job; what failed or was taken back begins anew. */
export async function ask(db: Db, caller: Caller, work: AskedWork): Promise<Job> {
  const contentKey = contentKeyOf(caller, work);
  const taskText = JSON.stringify(work.task);
  const begin = {
    state: "waiting",
    progress: null,
    problem: null,
    askedAt: new Date(),
    tries: 0,
  } as const;
  try {
    return await inTransaction(db, async (transaction) => {
      const known = await db.models.Job.findOne({
        where: { contentKey },
        attributes: [...TOLD],
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (known) {
        const { id, state, asking } = known.get();
        const over = state === "failed" || state === "cancelled";
        const change = over ? { ...begin, asking: 1 } : { asking: asking + 1 };
        const anew = over ? inRow(db.models.Job, [id], { task: taskText }) : {};
        await db.models.Job.update({ ...change, ...anew }, { where: { id }, transaction });
        return told({ ...known.get(), ...change });
      }
      const { practiceId } = caller;
      const { crewId, subjectId, fileName, language = null, task } = work;
      const fresh = { id: uuid(), practiceId, crewId, subjectId, fileName, language, kind: task.kind, contentKey, ...begin, asking: 1 };
      await db.models.Job.create({ ...fresh, task: taskText, takenBy: null, takenUntil: null, file: null }, { transaction });
      return told(fresh);
    });
  } catch (error) {
    // Somebody else asked for the same in the same moment.
    if (error instanceof UniqueConstraintError) return ask(db, caller, work);
    throw error;
  }
}

/** @throws Problem 404 for a job that is not there, and for one of a crew that is not the caller's */
export async function jobOf(db: Db, caller: Caller, id: string): Promise<ToldJob> {
  const job = (await db.models.Job.findOne({ where: { id, practiceId: caller.practiceId }, attributes: [...TOLD] }))?.get({ plain: true });
  if (!job) throw notFound("file");
  if (job.crewId !== null) await crewOfThing(db, caller, job.crewId, "file");
  return job;
}

export const told = ({ id, kind, state, progress, problem }: Pick<JobRow, "id" | "kind" | "state" | "progress" | "problem">): Job => ({
  id,
  kind,
  state,
  progress,
  problem,
});

/** One who asked does not wait any more; when it was the last, it is not made. What was made stays for the next. */
export async function leave(db: Db, id: string): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const job = await db.models.Job.findByPk(id, { attributes: ["asking", "state"], transaction, lock: transaction.LOCK.UPDATE });
    if (!job) return;
    const asking = Math.max(0, job.get().asking - 1);
    const ends = asking === 0 && (job.get().state === "waiting" || job.get().state === "making");
    await db.models.Job.update(ends ? { asking, state: "cancelled", task: null } : { asking }, { where: { id }, transaction });
  });
}

/** @throws Problem 409 while it is not made, with what it failed of */
export async function fileOf(db: Db, { id, state, problem }: ToldJob): Promise<Buffer> {
  const file = state === "made" ? (await db.models.Job.findByPk(id, { attributes: ["id", "file"] }))?.get().file : null;
  if (!file) throw new Problem(409, "notMade", problem ?? "It is not made yet.");
  return file;
}
