/** A practice's file brought in: all of it or nothing, under its own ids, beside the practices that are there. */
import { randomUUID } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { strFromU8, unzipSync } from "fflate";
import { UniqueConstraintError } from "sequelize";
import * as v from "valibot";
import { hashPassword } from "../auth/password";
import type { Db } from "../db/connection";
import { EncryptedType } from "../db/encrypted";
import { ranMigrations } from "../db/migrate";
import { inTransaction } from "../db/transaction";
import { columnsOf, PRACTICE_PARTS, tableOf, type PracticePart } from "./parts";
import { PRACTICE_FILE } from "./write";

const AT_ONCE = 500;
const Manifest = v.object({
  format: v.literal(PRACTICE_FILE.format),
  version: v.literal(PRACTICE_FILE.version),
  practice: v.object({ id: v.pipe(v.string(), v.uuid()), name: v.string() }),
  steps: v.array(v.string()),
  tables: v.record(v.string(), v.number()),
});
type Row = Record<string, unknown>;

/** @returns the practice, and e-mail addresses of its trainers @throws Error in words; then nothing was brought in */
export async function bringPractice(db: Db, file: string): Promise<{ id: string; name: string; rows: number; trainers: string[] }> {
  if (!existsSync(file)) throw new Error(`${file} is not there`);
  const zip = readFileSync(file);
  const text = (name: string): string => {
    const found = unzipped(zip, name);
    if (found === undefined) throw new Error(`${file} has no ${name}`);
    return found;
  };
  const read = v.safeParse(Manifest, json(text("manifest.json"), "manifest.json"));
  if (!read.success) throw new Error(`${file} is no practice's file: ${read.issues[0].message}`);
  const { practice, steps, tables } = read.output;
  const here = await ranMigrations(db);
  if (steps.join() !== here.join())
    throw new Error(`${file} was written by another version (${steps.at(-1)}; here it is ${here.at(-1)}): bring both to the same one`);
  if (await db.models.Practice.findByPk(practice.id)) throw new Error(`${practice.name} is here already`);
  const nobodysPassword = await hashPassword(randomUUID());
  let count = 0;
  try {
    await inTransaction(db, async (transaction) => {
      count = 0;
      for (const part of PRACTICE_PARTS) {
        const table = String(tableOf(db, part).getTableName());
        const lines = text(`tables/${table}.jsonl`).split("\n").filter(Boolean);
        if (lines.length !== tables[table]) throw new Error(`${file}: ${table} has ${lines.length} rows instead of ${tables[table]}`);
        const rows = lines.map((line, i) => rowFrom(db, part, json(line, `${table}, line ${i + 1}`), `${table}, line ${i + 1}`));
        for (let from = 0; from < rows.length; from += AT_ONCE) {
          const some = rows.slice(from, from + AT_ONCE);
          await tableOf(db, part).bulkCreate(
            part.model === "Account" ? some.map((row) => ({ ...row, passwordHash: nobodysPassword })) : some,
            {
              transaction,
            },
          );
        }
        count += rows.length;
      }
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const what = error.errors.map(({ path, value }) => `${path} ${value}`).join(", ");
    throw new Error(`something of it is here already: ${what}`, { cause: error });
  }
  const trainers = await db.models.Account.findAll({ where: { practiceId: practice.id, role: "trainer" }, order: ["email"] });
  return { ...practice, rows: count, trainers: trainers.map((row) => row.get().email) };
}

function unzipped(zip: Uint8Array, name: string): string | undefined {
  try {
    const found = unzipSync(zip, { filter: (entry) => entry.name === name })[name];
    return found && strFromU8(found);
  } catch (error) {
    throw new Error("it is no zip, or a part of one", { cause: error });
  }
}

function json(text: string, where: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Error(`${where} cannot be read`);
  }
}

/** @throws Error where it is not a row of that table */
function rowFrom(db: Db, part: PracticePart, value: unknown, where: string): Row {
  const columns = columnsOf(db, part);
  const row = value as Row;
  if (typeof value !== "object" || value === null || Object.keys(row).sort().join() !== [...columns].sort().join())
    throw new Error(`${where} is no row of it`);
  const attributes = tableOf(db, part).getAttributes();
  return Object.fromEntries(
    columns.map((name) => {
      const type: unknown = attributes[name]!.type;
      const isBytes = type instanceof EncryptedType && type.kind === "bytes";
      return [name, isBytes && row[name] !== null ? Buffer.from(row[name] as string, "base64") : row[name]];
    }),
  );
}
