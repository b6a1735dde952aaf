/** What was done after a backup, from the database's binary logs. */
import { existsSync, readdirSync } from "node:fs";
import path from "node:path";
import type { Backup } from "./backups";

/** Logs, in turn, and the moment they are followed to. */
export interface LogUntil {
  moment: Date;
  logs: readonly string[];
}

/** The binary logs from a backup's moment on. @throws Error in words where they do not reach back to it */
export function logFiles({ manifest, folder }: Backup, { moment, logs }: { moment: Date; logs: string }): string[] {
  if (moment.getTime() < Date.parse(manifest.takenAt))
    throw new Error(`${folder} was taken at ${manifest.takenAt}: take one from before ${moment.toISOString()}`);
  if (!manifest.binaryLog) throw new Error(`${folder} does not say where the binary log stood: its database kept none`);
  const { file } = manifest.binaryLog;
  const files = existsSync(logs)
    ? readdirSync(logs)
        .filter((name) => /\.\d{6,}$/.test(name) && name.localeCompare(file) >= 0)
        .sort()
    : [];
  if (files[0] !== file) throw new Error(`${path.join(logs, file)} is missing: the binary log does not reach back to this backup`);
  return files.map((name) => path.join(logs, name));
}

/** What the binary logs say was done from a backup on until a moment, for a database of perhaps another name. */
export function logArguments({ manifest }: Backup, to: string, { moment, logs }: LogUntil): string[] {
  const { database, binaryLog } = manifest;
  return [
    `--start-position=${binaryLog!.position}`,
    `--stop-datetime=${moment.toISOString().slice(0, 19).replace("T", " ")}`,
    // Told by the name it had there, whatever it is called here.
    `--database=${database}`,
    ...(to === database ? [] : [`--rewrite-db=${database}->${to}`]),
    ...logs,
  ];
}
