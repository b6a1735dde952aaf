import { rmSync } from "node:fs";

export default async function stopDatabase(): Promise<void> {
  await globalThis.testDatabase?.server.stop();
  if (globalThis.testDatabase) rmSync(globalThis.testDatabase.dataDir, { recursive: true, force: true });
}
