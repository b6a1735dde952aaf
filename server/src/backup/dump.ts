/**
 * A database as text, and what tells that two of them hold the same: of each table the rows counted and one hash over them, in the order
 * of its key.
 */
import { createHash, type Hash } from "node:crypto";
import { Transform, type TransformCallback } from "node:stream";
import { client, type Client, type Place } from "./clients";

export interface TableDigest {
  rows: number;
  /** SHA-256 over the lines that fill it. */
  sha256: string;
}
export type Digests = Record<string, TableDigest>;

/** A line a row, in the order of the key: the same rows are the same lines, wherever they are. */
const OPTIONS = [
  "--single-transaction",
  "--quick",
  "--skip-extended-insert",
  "--order-by-primary",
  "--no-autocommit",
  "--hex-blob",
  "--skip-dump-date",
  "--skip-lock-tables",
  "--no-tablespaces",
  "--default-character-set=utf8mb4",
  "--max-allowed-packet=1G",
];

/** @param withPosition writes where the binary log stood at the same moment, as a comment */
export const dump = (place: Place, { withPosition = false } = {}): Client =>
  client("mariadb-dump", [...OPTIONS, ...(withPosition ? ["--master-data=2"] : []), place.database], { place });

const NEWLINE = 10;
const FILLS = /^INSERT INTO `([^`]+)` VALUES/;
const STANDS_AT = /^-- CHANGE MASTER TO MASTER_LOG_FILE='([^']+)', MASTER_LOG_POS=(\d+);/;
/** Enough of a line to know what it is. */
const HEAD = 400;

/** Where the binary log stood. */
export interface LogPosition {
  file: string;
  position: number;
}

/** Passes a dump on, and digests it meanwhile. */
export class Digesting extends Transform {
  private readonly tables = new Map<string, { rows: number; hash: Hash }>();
  private pending: Buffer[] = [];
  private position: LogPosition | null = null;
  private longest = 0;

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    let from = 0;
    for (let end = chunk.indexOf(NEWLINE); end >= 0; end = chunk.indexOf(NEWLINE, from)) {
      this.digest([...this.pending, chunk.subarray(from, end + 1)]);
      this.pending = [];
      from = end + 1;
    }
    if (from < chunk.length) this.pending.push(chunk.subarray(from));
    done(null, chunk);
  }

  /** A line may be in many pieces: it is not put together for its head alone. */
  private digest(line: readonly Buffer[]): void {
    const head = headOf(line);
    const table = FILLS.exec(head)?.[1];
    if (table !== undefined) {
      const kept = this.tables.get(table) ?? { rows: 0, hash: createHash("sha256") };
      this.tables.set(table, kept);
      kept.rows += 1;
      for (const piece of line) kept.hash.update(piece);
      this.longest = Math.max(
        this.longest,
        line.reduce((sum, { length }) => sum + length, 0),
      );
      return;
    }
    const made = /^CREATE TABLE `([^`]+)`/.exec(head)?.[1];
    // One without a row is a table as well.
    if (made !== undefined && !this.tables.has(made)) this.tables.set(made, { rows: 0, hash: createHash("sha256") });
    const at = STANDS_AT.exec(head);
    if (at) this.position = { file: at[1]!, position: Number(at[2]) };
  }

  /** Once everything has passed. */
  result(): { tables: Digests; position: LogPosition | null; longestRowBytes: number } {
    const tables = Object.fromEntries(
      [...this.tables].map(([name, { rows, hash }]) => [name, { rows, sha256: hash.copy().digest("hex") }]),
    );
    return { tables, position: this.position, longestRowBytes: this.longest };
  }
}

function headOf(line: readonly Buffer[]): string {
  let head = "";
  for (let at = 0; at < line.length && head.length < HEAD; at++) head += line[at]!.toString("latin1", 0, HEAD);
  return head;
}

/** What a database holds now. */
export async function digestsOf(place: Place): Promise<Digests> {
  const source = dump(place);
  const digesting = source.process.stdout!.pipe(new Digesting());
  digesting.resume();
  await source.ended;
  await new Promise<void>((resolve, reject) => {
    if (digesting.readableEnded) return resolve();
    digesting.once("end", resolve);
    digesting.once("error", reject);
  });
  return digesting.result().tables;
}

/** What is not the same, in words; empty where everything is. */
export function differences(expected: Digests, found: Digests): string[] {
  return [...new Set([...Object.keys(expected), ...Object.keys(found)])].sort().flatMap((table) => {
    const [one, other] = [expected[table], found[table]];
    if (!one) return [`${table}: was not in the backup`];
    if (!other) return [`${table}: is missing`];
    if (one.rows !== other.rows) return [`${table}: ${other.rows} rows instead of ${one.rows}`];
    return one.sha256 === other.sha256 ? [] : [`${table}: rows are not the same`];
  });
}
