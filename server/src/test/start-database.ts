/** Jest's global setup of the API tests: a throwaway MariaDB, shared by the test files, and a built server for what runs beside them. */
import { execFileSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { startPrivateServer, type PrivateServer } from "../db/private-server";

declare global {
  var testDatabase: { server: PrivateServer; dataDir: string } | undefined;
}

export default async function startDatabase(): Promise<void> {
  execFileSync(process.execPath, ["scripts/build-server.mjs", "--into", "server/.built-tests"], { stdio: "inherit" });
  const dataDir = mkdtempSync(path.join(tmpdir(), "kind-grip-db-"));
  const server = await startPrivateServer({ dataDir, throwaway: true });
  globalThis.testDatabase = { server, dataDir };
  process.env.TEST_DATABASE_URL = server.url;
}
