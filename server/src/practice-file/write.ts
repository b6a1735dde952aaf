/** A practice as one file it can leave with: a zip of open files (docs/formats/practice.md), read in one moment. */
import { createWriteStream, renameSync, rmSync } from "node:fs";
import { once } from "node:events";
import { Zip, ZipDeflate } from "fflate";
import { literal, Op, type Transaction, type Model, type WhereOptions } from "sequelize";
import type { Db } from "../db/connection";
import { inOneMoment } from "../db/transaction";
import { ranMigrations } from "../db/migrate";
import { columnsOf, LEFT_BEHIND, PRACTICE_PARTS, rowsWhere, tableOf, type PracticePart } from "./parts";
import { rowSchema } from "./schema";

const AT_ONCE = 500;
export const PRACTICE_FILE = { format: "kind-grip-practice", version: 1 } as const;

export interface PracticeManifest {
  format: typeof PRACTICE_FILE.format;
  version: typeof PRACTICE_FILE.version;
  writtenAt: string;
  practice: { id: string; name: string };
  steps: string[];
  /** Rows of each table, in the order they can be brought in. */
  tables: Record<string, number>;
  leftBehind: Record<string, string>;
}

/** @returns what is in it @throws Error where it cannot be written; nothing half is left behind */
export async function writePractice(db: Db, practiceId: string, file: string, at: Date): Promise<PracticeManifest> {
  const half = `${file}.being-made`;
  const out = createWriteStream(half, { mode: 0o600, flush: true });
  let broken: Error | undefined;
  out.on("error", (error) => (broken = error));
  const zip = new Zip((error, chunk, isLast) => {
    if (error) broken = error;
    else out.write(chunk);
    if (isLast) out.end();
  });
  const add = async (name: string, texts: AsyncIterable<string> | string[]) => {
    const entry = new ZipDeflate(name, { level: 6 });
    zip.add(entry);
    for await (const text of texts) {
      entry.push(Buffer.from(text));
      if (out.writableNeedDrain) await once(out, "drain");
      if (broken) throw broken;
    }
    entry.push(new Uint8Array(0), true);
  };
  try {
    const manifest = await inOneMoment(db, async (transaction) => {
      const practice = (await db.models.Practice.findByPk(practiceId, { transaction, rejectOnEmpty: true })).get();
      const tables: Record<string, number> = {};
      for (const part of PRACTICE_PARTS) {
        const table = String(tableOf(db, part).getTableName());
        tables[table] = 0;
        const count = (rows: number) => (tables[table]! += rows);
        await add(`tables/${table}.jsonl`, linesOf(db, part, practiceId, transaction, count));
        await add(`schemas/${table}.schema.json`, [`${JSON.stringify(rowSchema(db, part), null, 2)}\n`]);
      }
      const told: PracticeManifest = {
        ...PRACTICE_FILE,
        writtenAt: at.toISOString(),
        practice: { id: practiceId, name: practice.name },
        steps: await ranMigrations(db),
        tables,
        leftBehind: Object.fromEntries(
          Object.entries(LEFT_BEHIND).map(([model, why]) => [db.models[model as keyof typeof db.models].getTableName(), why]),
        ),
      };
      await add("manifest.json", [`${JSON.stringify(told, null, 2)}\n`]);
      return told;
    });
    const finished = once(out, "close");
    zip.end();
    await finished;
    if (broken) throw broken;
    renameSync(half, file);
    return manifest;
  } catch (error) {
    out.destroy();
    rmSync(half, { force: true });
    throw error;
  }
}

/** One line a row, in the order of the key. */
async function* linesOf(db: Db, part: PracticePart, practiceId: string, transaction: Transaction, count: (rows: number) => void) {
  const table = tableOf(db, part);
  const columns = columnsOf(db, part);
  const key = (table as unknown as { primaryKeyAttributes: string[] }).primaryKeyAttributes;
  const mine = rowsWhere(db, part, practiceId);
  let after: Model | undefined;
  for (;;) {
    const tuple = (values: string[]) => `(${values.join(", ")})`;
    const later =
      after &&
      literal(`${tuple(key.map((name) => `\`${name}\``))} > ${tuple(key.map((name) => db.sequelize.escape(after!.get(name) as string)))}`);
    const where = (later ? { [Op.and]: [mine, later] } : mine) as WhereOptions;
    const rows: Model[] = await table.findAll({ where, order: key, limit: AT_ONCE, attributes: columns, transaction });
    count(rows.length);
    if (rows.length > 0)
      yield rows.map((row) => `${JSON.stringify(Object.fromEntries(columns.map((name) => [name, plain(row.get(name))])))}\n`).join("");
    if (rows.length < AT_ONCE) return;
    after = rows.at(-1);
  }
}

const plain = (value: unknown): unknown => (Buffer.isBuffer(value) ? value.toString("base64") : (value ?? null));
