/**
 * Columns that are encrypted in the database. A row opens only what was written into it: table, column and the row's key go in as
 * associated data. In memory a row holds what was set as it is; it is encrypted as it goes into a statement, and a statement that would
 * write it without knowing its row fails.
 */
import { type AbstractDataType, type Model, type ModelStatic, type Sequelize } from "sequelize";
import type { DataKeys } from "./data-keys";

const keysOf = new WeakMap<Sequelize, DataKeys>();
export const useDataKeys = (sequelize: Sequelize, keys: DataKeys): void => void keysOf.set(sequelize, keys);

type Kind = "json" | "bytes";

/** Which row something stands in. */
export interface RowPlace {
  table: string;
  /** In the order of the table's key. */
  key: readonly string[];
}
export const placeIn = ({ table, key }: RowPlace, column: string): string => `${table}.${column}:${key.join("|")}`;

export const toBytes = (value: unknown, kind: Kind): Buffer => (kind === "bytes" ? (value as Buffer) : Buffer.from(JSON.stringify(value)));
const fromBytes = (bytes: Buffer, kind: Kind): unknown => (kind === "bytes" ? bytes : JSON.parse(bytes.toString()));

/** What is to be written: not yet encrypted. */
class ToEncrypt {
  constructor(
    readonly value: unknown,
    private readonly kind: Kind,
    private readonly column: string,
    private readonly row: () => RowPlace,
    private readonly keys: () => DataKeys,
  ) {}

  text(): string {
    return this.keys().encrypt(placeIn(this.row(), this.column), toBytes(this.value, this.kind));
  }
}

/** As `define` takes types of columns. Sequelize's own cannot be extended: what they make is always of their own class. */
export class EncryptedType {
  readonly key = "ENCRYPTED";
  readonly escape = true;
  constructor(readonly kind: Kind) {}

  toSql(): string {
    return "LONGTEXT";
  }
  toString(): string {
    return this.toSql();
  }
  stringify(value: unknown): string {
    if (value instanceof ToEncrypt) return value.text();
    throw new Error("an encrypted column was written without its row");
  }
  bindParam(value: unknown, { bindParam }: { bindParam(text: string): string }): string {
    return bindParam(this.stringify(value));
  }
}

const keysOn = (sequelize: Sequelize): DataKeys => {
  const keys = keysOf.get(sequelize);
  if (!keys) throw new Error("no data keys were given for this database");
  return keys;
};

interface KeyedTable {
  primaryKeyAttributes: string[];
  getTableName(): unknown;
}

function rowOf(row: Model): RowPlace {
  const model = row.constructor as unknown as KeyedTable;
  const table = String(model.getTableName());
  const key = model.primaryKeyAttributes.map((name) => row.getDataValue(name as never) as unknown);
  if (!key.every((part) => typeof part === "string")) throw new Error(`${table}: something encrypted was asked for without its row's key`);
  return { table, key: key as string[] };
}

/** What a column of a row says. */
export function readEncrypted(row: Model, column: string, kind: Kind = "json"): unknown {
  const held: unknown = row.getDataValue(column as never);
  if (held === null || held === undefined) return held;
  if (held instanceof ToEncrypt) return held.value;
  return fromBytes(keysOn(row.sequelize).decrypt(placeIn(rowOf(row), column), held as string), kind);
}

export function writeEncrypted(row: Model, column: string, value: unknown, kind: Kind = "json"): void {
  const isHeld = value === null || value === undefined || value instanceof ToEncrypt;
  const held = isHeld
    ? value
    : new ToEncrypt(
        value,
        kind,
        column,
        () => rowOf(row),
        () => keysOn(row.sequelize),
      );
  row.setDataValue(column as never, held as never);
}

/** A column for `define`: `...encrypted("words")`. */
export const encrypted = <Name extends string>(column: Name, kind: Kind = "json") =>
  ({
    [column]: {
      type: new EncryptedType(kind),
      get(this: Model) {
        return readEncrypted(this, column, kind);
      },
      set(this: Model, value: unknown) {
        writeEncrypted(this, column, value, kind);
      },
    },
  }) as unknown as Record<Name, { type: AbstractDataType }>;

/** For an update by condition: `Table.update(inRow(Table, [id], { words }), { where: { id, … } })`. */
export function inRow<Values extends Record<string, unknown>>(
  table: ModelStatic<Model>,
  key: readonly string[],
  values: Values,
  kind: Kind = "json",
): Values {
  const place = { table: String(table.getTableName()), key };
  return Object.fromEntries(
    Object.entries(values).map(([column, value]) => [
      column,
      value === null
        ? null
        : new ToEncrypt(
            value,
            kind,
            column,
            () => place,
            () => keysOn(table.sequelize!),
          ),
    ]),
  ) as Values;
}

/** What a column says that came out of SQL as it stands there. */
export function decryptedFrom<T>(sequelize: Sequelize, place: RowPlace, column: string, text: string | null): T | null {
  return text === null ? null : (JSON.parse(keysOn(sequelize).decrypt(placeIn(place, column), text).toString()) as T);
}

/** Encrypted columns of each table, for whoever writes them all anew. */
export function encryptedTables(models: Iterable<ModelStatic<Model>>): { table: string; key: string[]; columns: string[] }[] {
  return [...models].flatMap((model) => {
    const columns = Object.entries(model.getAttributes()).flatMap(([name, { type }]) => (type instanceof EncryptedType ? [name] : []));
    const key = (model as unknown as KeyedTable).primaryKeyAttributes;
    return columns.length === 0 ? [] : [{ table: String(model.getTableName()), key, columns }];
  });
}
