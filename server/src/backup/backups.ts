/**
 * The folder backups are in: each a folder named by its moment, with the dump (docs/formats/backup.md) and a manifest. One that was
 * broken off has another name and counts for nothing.
 */
import { createHash } from "node:crypto";
import { createReadStream, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import * as v from "valibot";

export const MANIFEST = "manifest.json";
const BEING_MADE = ".being-made-";
/** One that is being made for longer was broken off. */
const BROKEN_OFF_AFTER_MS = 24 * 3_600_000;

const Sha256 = v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/));
const Whole = v.pipe(v.number(), v.integer(), v.minValue(0));
export const BackupManifest = v.object({
  format: v.literal("kind-grip-backup"),
  version: v.literal(1),
  takenAt: v.pipe(v.string(), v.isoTimestamp()),
  database: v.string(),
  /** Of the product. */
  madeBy: v.string(),
  steps: v.array(v.string()),
  file: v.object({ name: v.pipe(v.string(), v.regex(/^[\w.-]+$/)), bytes: Whole, sha256: Sha256, encrypted: v.boolean() }),
  tables: v.record(v.string(), v.object({ rows: Whole, sha256: Sha256 })),
  longestRowBytes: Whole,
  /** Which health answers are encrypted with; the keys themselves are in no backup. */
  dataKeys: v.array(v.string()),
  /** Null where the database keeps no binary log, or does not say where it stands. */
  binaryLog: v.nullable(v.object({ file: v.string(), position: Whole })),
});
export type BackupManifest = v.InferOutput<typeof BackupManifest>;

export interface Backup {
  folder: string;
  manifest: BackupManifest;
}

/** @throws Error in words where it is none */
export function readBackup(folder: string): Backup {
  const file = path.join(folder, MANIFEST);
  if (!existsSync(file)) throw new Error(`${folder} is no backup: there is no ${MANIFEST} in it`);
  let text: unknown;
  try {
    text = JSON.parse(readFileSync(file, "utf8"));
  } catch {
    throw new Error(`${file} cannot be read`);
  }
  const read = v.safeParse(BackupManifest, text);
  if (!read.success) throw new Error(`${file} is no manifest of a backup: ${read.issues[0].message}`);
  return { folder, manifest: read.output };
}

/** Oldest first; what is no backup is passed over. */
export function backupsIn(into: string): Backup[] {
  if (!existsSync(into)) return [];
  return readdirSync(into)
    .filter((name) => !name.startsWith(".") && existsSync(path.join(into, name, MANIFEST)))
    .map((name) => readBackup(path.join(into, name)))
    .sort((one, other) => Date.parse(one.manifest.takenAt) - Date.parse(other.manifest.takenAt));
}

/** A folder beside its place. `finish` puts it there with its manifest, when everything is in it. */
export function beginBackup(into: string, at: Date): { folder: string; finish(manifest: BackupManifest): string; giveUp(): void } {
  const name = at.toISOString().replace(/:/g, "-");
  const folder = path.join(into, BEING_MADE + name);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return {
    folder,
    finish(manifest) {
      writeFileSync(path.join(folder, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`, { mode: 0o600 });
      const place = path.join(into, name);
      renameSync(folder, place);
      return place;
    },
    giveUp: () => rmSync(folder, { recursive: true, force: true }),
  };
}

/** Removes the oldest beyond a number, and what was broken off. @param keep at least 1 @returns the folders that were removed */
export function keepNewest(into: string, keep: number, nowMs: number): string[] {
  const brokenOff = readdirSync(into)
    .filter((name) => name.startsWith(BEING_MADE))
    .map((name) => path.join(into, name))
    .filter((folder) => nowMs - statSync(folder).mtimeMs > BROKEN_OFF_AFTER_MS);
  const tooMany = backupsIn(into)
    .slice(0, -keep)
    .map(({ folder }) => folder);
  for (const folder of [...brokenOff, ...tooMany]) rmSync(folder, { recursive: true, force: true });
  return [...brokenOff, ...tooMany];
}

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash("sha256");
  await pipeline(createReadStream(file), hash);
  return hash.digest("hex");
}

/** @throws Error in words where the file is not the one that was written */
export async function checkBackup({ folder, manifest: { file } }: Backup): Promise<void> {
  const place = path.join(folder, file.name);
  if (!existsSync(place)) throw new Error(`${place} is missing`);
  const { size } = statSync(place);
  if (size !== file.bytes) throw new Error(`${place} has ${size} bytes instead of ${file.bytes}`);
  if ((await sha256Of(place)) !== file.sha256) throw new Error(`${place} is not what was written: its SHA-256 is another`);
}
