/** What was made is kept in the job's row until somebody fetches it, or a day is over. */
import type { Db } from "../db/connection";
import { inRow } from "../db/encrypted";
import type { TakenJob } from "./task";

export async function putAway(db: Db, job: TakenJob, file: Buffer): Promise<void> {
  await db.models.Job.update(
    { state: "made", progress: 1, task: null, ...inRow(db.models.Job, [job.id], { file }, "bytes") },
    // Taken back, or by another meanwhile: nobody waits for it.
    { where: { ...job, state: "making" } },
  );
}
