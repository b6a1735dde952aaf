/** Exports, in a thread that reads what they are of, packs it and puts it away itself: megabytes would hold up everybody else. */
import { promisify } from "node:util";
import { gzip } from "node:zlib";
import { exportTrail } from "../audit/seal";
import { exportCrew } from "../crew/export";
import { connect, type Db } from "../db/connection";
import { DataKeys } from "../db/data-keys";
import { putAway } from "./put-away";
import type { ExportTask, ThreadExport } from "./task";

export default async function makeExport({ task, job, databaseUrl, dataKeys }: ThreadExport): Promise<void> {
  const db = connect(databaseUrl, DataKeys.read(dataKeys));
  try {
    // As it is stored and sent.
    await putAway(db, job, await promisify(gzip)(JSON.stringify(await contentOf(db, task))));
  } finally {
    await db.sequelize.close();
  }
}

function contentOf(db: Db, task: ExportTask): Promise<object> {
  const at = new Date(task.at);
  if (task.kind === "crewExport") return exportCrew(db, task.caller, at, task.crewId);
  return exportTrail(db, task.practiceId, at);
}
