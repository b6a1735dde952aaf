/** Writes encrypted columns anew, row by row, while others work: into a database from before there was encryption, and under a new key. */
import { QueryTypes, type Sequelize } from "sequelize";
import type { DataKeys } from "./data-keys";
import { placeIn } from "./encrypted";

const AT_ONCE = 200;

interface RewrittenTable {
  table: string;
  key: readonly string[];
  columns: readonly string[];
}

/**
 * @param change what a column says in a row, from what it says now; the same to leave it
 * @returns how many rows were changed
 */
export async function rewriteEncrypted(
  sequelize: Sequelize,
  { table, key, columns }: RewrittenTable,
  change: (place: string, text: string | Buffer, column: string) => string,
): Promise<number> {
  type Row = Record<string, string | Buffer | null>;
  const names = [...key, ...columns].map((name) => `\`${name}\``).join(", ");
  const order = key.map((name) => `\`${name}\``).join(", ");
  let changed = 0;
  let after: Row | undefined;
  for (;;) {
    const from = after ? `WHERE (${order}) > (${key.map((name) => `:${name}`).join(", ")})` : "";
    const rows: Row[] = await sequelize.query<Row>(`SELECT ${names} FROM \`${table}\` ${from} ORDER BY ${order} LIMIT ${AT_ONCE}`, {
      ...(after ? { replacements: Object.fromEntries(key.map((name) => [name, after![name]])) } : {}),
      type: QueryTypes.SELECT,
    });
    for (const row of rows) {
      const place = { table, key: key.map((name) => String(row[name])) };
      for (const column of columns) {
        const was = row[column];
        if (was === null || was === undefined) continue;
        const becomes = change(placeIn(place, column), was, column);
        if (becomes === was) continue;
        // Who changed it meanwhile wrote it as it should be.
        await sequelize.query(
          `UPDATE \`${table}\` SET \`${column}\` = :becomes WHERE ${key.map((name) => `\`${name}\` = :${name}`).join(" AND ")} AND \`${column}\` = :was`,
          { replacements: { ...Object.fromEntries(key.map((name) => [name, row[name]])), becomes, was } },
        );
        changed += 1;
      }
    }
    if (rows.length < AT_ONCE) return changed;
    after = rows.at(-1);
  }
}

/** Everything under the newest key. @returns how many values were written anew */
export async function underNewestKey(sequelize: Sequelize, keys: DataKeys, tables: readonly RewrittenTable[]): Promise<number> {
  const { currentId } = keys;
  let changed = 0;
  for (const table of tables)
    changed += await rewriteEncrypted(sequelize, table, (place, text) =>
      String(text).startsWith(`${currentId}.`) ? String(text) : keys.encrypt(place, keys.decrypt(place, String(text))),
    );
  await sequelize.query("DELETE FROM data_keys WHERE id <> :currentId", { replacements: { currentId } });
  return changed;
}
