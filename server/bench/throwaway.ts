/** A database made for a measurement and thrown away; whatever happens, it ends with it. */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { connect, type Db } from "../src/db/connection";
import { DataKeys, newKey } from "../src/db/data-keys";
import { migrate } from "../src/db/migrate";
import { startPrivateServer } from "../src/db/private-server";

export async function onThrowawayDatabase(measure: (db: Db) => Promise<void>): Promise<never> {
  const dataDir = mkdtempSync(path.join(tmpdir(), "kind-grip-bench-"));
  const server = await startPrivateServer({ dataDir, throwaway: true });
  try {
    const db = connect(server.url, DataKeys.read(newKey()));
    await migrate(db);
    await measure(db);
  } finally {
    await server.stop();
    rmSync(dataDir, { recursive: true, force: true });
  }
  return process.exit();
}
