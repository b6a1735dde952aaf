/**
 * Keeps everything at one moment, while the server runs.
 * bin/backup [--into DIR] [--keep N] [--data DIR] | --list | --check
 */
import { existsSync } from "node:fs";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { backupsIn, checkBackup, readBackup, type Backup } from "./backup/backups";
import { placeOf, privatePlace, type Place } from "./backup/clients";
import { makeBackup } from "./backup/make-backup";
import { runCommand, startOwnDatabase } from "./start/command";
import { openDataFolder } from "./start/data-folder";
import { setting } from "./start/settings";

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");

const HELP = [
  "bin/backup keeps everything at one moment, also while the server runs.",
  "  --into DIR     where backups are kept (BACKUP_FOLDER without it)",
  "  --keep N       how many; the oldest go (BACKUPS_KEPT without it)",
  "  --data DIR     of the server, as for bin/start; DATABASE_URL goes before it",
  "  --list         which there are",
  "  --check        whether each is still what was written; nothing is restored",
  "With BACKUP_PASSPHRASE set they are encrypted.",
];

const inWords = ({ folder, manifest }: Backup): string => {
  const tables = Object.values(manifest.tables);
  const rows = tables.reduce((sum, table) => sum + table.rows, 0);
  const log = manifest.binaryLog ? `, binary log at ${manifest.binaryLog.file}:${manifest.binaryLog.position}` : "";
  return `${folder}: ${tables.length} tables, ${rows} rows, ${manifest.file.bytes} bytes${manifest.file.encrypted ? ", encrypted" : ""}${log}`;
};

/** The database, running already or for as long as this takes. */
async function withPlace<Result>(data: string, work: (place: Place) => Promise<Result>): Promise<Result> {
  const outside = setting("DATABASE_URL");
  if (outside) return work(placeOf(outside));
  if (!existsSync(path.join(data, "mariadb", "tables"))) throw new Error(`There is nothing of Kind Grip in ${data}`);
  const place = privatePlace(data);
  const isRunning = await place.open().then(
    (connection) => connection.end().then(() => true),
    () => false,
  );
  if (isRunning) return work(place);
  const folder = openDataFolder(data);
  try {
    const server = await startOwnDatabase(data);
    return await work(place).finally(() => server.stop());
  } finally {
    folder.release();
  }
}

async function main(): Promise<string[]> {
  const { values } = parseArgs({
    options: {
      into: { type: "string", default: setting("BACKUP_FOLDER") },
      keep: { type: "string", default: setting("BACKUPS_KEPT") },
      data: { type: "string", default: path.join(root, ".data") },
      list: { type: "boolean", default: false },
      check: { type: "boolean", default: false },
      help: { type: "boolean", default: false },
    },
  });
  if (values.help) return HELP;
  const keep = Number(values.keep);
  if (!Number.isInteger(keep) || keep < 1) throw new Error(`--keep takes a whole number from 1, not "${values.keep}"`);
  if (!values.into) throw new Error("Say where: bin/backup --into /var/backups/kind-grip, or BACKUP_FOLDER");
  const into = path.resolve(values.into);
  if (values.list || values.check) {
    const backups = existsSync(path.join(into, "manifest.json")) ? [readBackup(into)] : backupsIn(into);
    if (backups.length === 0) throw new Error(`There is no backup in ${into}`);
    if (values.check) for (const backup of backups) await checkBackup(backup);
    return [...backups.map(inWords), ...(values.check ? ["Each is what was written."] : [])];
  }
  const passphrase = setting("BACKUP_PASSPHRASE") || undefined;
  const made = await withPlace(values.data, (place) => makeBackup({ place, into, keep, passphrase, root, now: new Date() }));
  return [inWords(made), ...made.removed.map((folder) => `Removed ${folder}`)];
}

runCommand(main);
