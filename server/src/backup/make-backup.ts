/** A backup: everything at one moment, while people go on working. */
import { createWriteStream, readFileSync, statSync } from "node:fs";
import path from "node:path";
import { Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { createHash } from "node:crypto";
import { beginBackup, keepNewest, type Backup, type BackupManifest } from "./backups";
import type { Place } from "./clients";
import { Digesting, dump } from "./dump";
import { encrypted } from "./passphrase";

interface Wanted {
  place: Place;
  into: string;
  /** How many are kept with this one; undefined for all. */
  keep?: number;
  passphrase?: string;
  /** Of the application's own files. */
  root: string;
  now: Date;
}

/** @throws Error in words; nothing is left behind then, and no older one removed */
export async function makeBackup({ place, into, keep, passphrase, root, now }: Wanted): Promise<Backup & { removed: string[] }> {
  const { steps, dataKeys, saysPosition } = await lookAt(place);
  const being = beginBackup(into, now);
  try {
    const name = `database.sql.gz${passphrase ? ".age" : ""}`;
    const file = path.join(being.folder, name);
    const source = dump(place, { withPosition: saysPosition });
    const digesting = new Digesting();
    const packed = createGzip();
    const feeding = pipeline(source.process.stdout!, digesting, packed);
    feeding.catch(() => undefined);
    const hash = createHash("sha256");
    const hashing = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        hash.update(chunk);
        done(null, chunk);
      },
    });
    await pipeline(
      passphrase ? await encrypted(packed, passphrase) : packed,
      hashing,
      createWriteStream(file, { mode: 0o600, flush: true }),
    );
    // What is written is not whole because it ended: only because the program that wrote it says so.
    await Promise.all([source.ended, feeding]);
    const { tables, position, longestRowBytes } = digesting.result();
    const manifest: BackupManifest = {
      format: "kind-grip-backup",
      version: 1,
      takenAt: now.toISOString(),
      database: place.database,
      madeBy: (JSON.parse(readFileSync(path.join(root, "package.json"), "utf8")) as { version: string }).version,
      steps,
      file: { name, bytes: statSync(file).size, sha256: hash.digest("hex"), encrypted: Boolean(passphrase) },
      tables,
      longestRowBytes,
      dataKeys,
      binaryLog: position,
    };
    const folder = being.finish(manifest);
    return { folder, manifest, removed: keep ? keepNewest(into, keep, now.getTime()) : [] };
  } catch (error) {
    being.giveUp();
    throw error;
  }
}

/** Which steps the database has been through, its data keys, and whether it says where its binary log stands. */
async function lookAt(place: Place): Promise<{ steps: string[]; dataKeys: string[]; saysPosition: boolean }> {
  const connection = await place.open();
  try {
    const steps = (await connection.query("SELECT name FROM SequelizeMeta ORDER BY name").catch(() => [])) as { name: string }[];
    if (steps.length === 0) throw new Error(`${place.name} holds nothing of Kind Grip`);
    const status = (await connection.query("SHOW MASTER STATUS").catch(() => [])) as unknown[];
    const keys = (await connection.query("SELECT id FROM data_keys").catch(() => [])) as { id: string }[];
    return { steps: steps.map(({ name }) => name), dataKeys: keys.map(({ id }) => id), saysPosition: status.length > 0 };
  } finally {
    await connection.end();
  }
}
