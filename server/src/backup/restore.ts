/** A backup brought into an empty database and held against its manifest; and from there to a later moment by the binary log. */
import { createReadStream } from "node:fs";
import path from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGunzip } from "node:zlib";
import { logArguments, logFiles, type LogUntil } from "./binary-log";
import { checkBackup, type Backup } from "./backups";
import { client, type Place } from "./clients";
import { differences, digestsOf } from "./dump";
import { decrypted } from "./passphrase";

/** A backup that was looked at and can be read from. */
export interface OpenBackup {
  backup: Backup;
  /** Compressed. */
  packed: Readable;
  /** What it goes on with from there. */
  goesOn?: LogUntil;
}

/**
 * Looks at everything that can be looked at before a database is.
 * @param until goes on from the backup with what the binary logs in a folder say was done before a moment
 * @throws Error in words
 */
export async function openBackup(backup: Backup, passphrase?: string, until?: { moment: Date; logs: string }): Promise<OpenBackup> {
  const { manifest, folder } = backup;
  if (manifest.file.encrypted && !passphrase) throw new Error(`${folder} is encrypted: say its passphrase`);
  const goesOn = until && { moment: until.moment, logs: logFiles(backup, until) };
  await checkBackup(backup);
  const file = createReadStream(path.join(folder, manifest.file.name));
  const packed = manifest.file.encrypted ? await decrypted(file, passphrase!) : file;
  return { backup, packed, ...(goesOn ? { goesOn } : {}) };
}

/** @throws Error in words; a database that is not empty is never touched */
export async function restore({ backup, packed, goesOn }: OpenBackup, place: Place, say: (line: string) => void): Promise<void> {
  const { manifest } = backup;
  await refuseUnfit(backup, place);
  // What is loaded is not written to a binary log a second time where that may be chosen.
  const quietly = place.isSuper ? ["--init-command=SET SESSION sql_log_bin=0"] : [];
  const loading = client("mariadb", ["--default-character-set=utf8mb4", "--max-allowed-packet=1G", ...quietly, place.database], {
    place,
    stdin: true,
  });
  const feeding = pipeline(packed, createGunzip(), loading.process.stdin!);
  // The client's own words say more than that nobody reads any more.
  await Promise.all([
    loading.ended,
    feeding.catch((error: NodeJS.ErrnoException) => (error.code === "EPIPE" ? undefined : Promise.reject(error))),
  ]);

  const found = differences(manifest.tables, await digestsOf(place));
  if (found.length > 0) throw new Error(`What was restored is not what was kept:\n${found.map((line) => `  ${line}`).join("\n")}`);
  const rows = Object.values(manifest.tables).reduce((sum, table) => sum + table.rows, 0);
  say(`Equal to the backup of ${manifest.takenAt}: ${Object.keys(manifest.tables).length} tables, ${rows} rows.`);
  if (goesOn) {
    await goOn(backup, place, goesOn);
    say(`Gone on from there with everything until ${goesOn.moment.toISOString()}.`);
  }
}

/** @throws Error where something is in it already, or its rows would not fit through the door */
async function refuseUnfit({ manifest }: Backup, place: Place): Promise<void> {
  const connection = await place.open();
  try {
    const tables = (await connection.query("SHOW TABLES")) as unknown[];
    if (tables.length > 0) throw new Error(`${place.name} is not empty (${tables.length} tables): a backup goes into an empty one`);
    const [{ most }] = (await connection.query("SELECT @@max_allowed_packet AS most")) as [{ most: number | bigint }];
    if (manifest.longestRowBytes >= Number(most))
      throw new Error(
        `${place.name} takes ${most} bytes at once, the longest row has ${manifest.longestRowBytes}: raise max_allowed_packet`,
      );
  } finally {
    await connection.end();
  }
}

async function goOn(backup: Backup, place: Place, goesOn: LogUntil): Promise<void> {
  const source = client("mariadb-binlog", logArguments(backup, place.database, goesOn));
  const applying = client("mariadb", ["--default-character-set=utf8mb4", "--max-allowed-packet=1G", "--binary-mode", place.database], {
    place,
    stdin: true,
  });
  const feeding = pipeline(source.process.stdout!, applying.process.stdin!).catch((error: NodeJS.ErrnoException) =>
    error.code === "EPIPE" ? undefined : Promise.reject(error),
  );
  await Promise.all([source.ended, applying.ended, feeding]);
}
