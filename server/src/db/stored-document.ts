/**
 * A column that holds a whole document, and beside it the format it was stored in. What is written passed its schema at the door; what
 * was written in an older format is brought up to today's, and through its schema, as it is read, so that nothing above the tables ever
 * sees an old shape.
 */
import { readDocument, upcast, type DocumentFormat } from "@kind-grip/core/document";
import type { AbstractDataType, Model } from "sequelize";
import { DataTypes } from "sequelize";
import { EncryptedType, readEncrypted, writeEncrypted } from "./encrypted";

/**
 * @param column its name; the format stands in a column called `format`: a table has one document
 * @param isEncrypted whether the database holds it encrypted
 */
export function storedDocument<T>(of: DocumentFormat<T>, column: string, { isEncrypted = false } = {}) {
  return {
    [column]: {
      // What it holds, for whoever describes the table.
      document: of,
      type: isEncrypted ? (new EncryptedType("json") as unknown as AbstractDataType) : DataTypes.JSON,
      get(this: Model): T | null | undefined {
        const stored: unknown = isEncrypted ? readEncrypted(this, column) : this.getDataValue(column as never);
        if (stored === null || stored === undefined) return stored as null | undefined;
        const format = this.getDataValue("format" as never) as number | undefined;
        if (format === undefined) throw new Error(`${column} was asked for without its format`);
        return format === of.format ? upcast(of, stored, format) : readDocument(of, stored, format);
      },
      set(this: Model, value: T | null): void {
        if (isEncrypted) writeEncrypted(this, column, value);
        else this.setDataValue(column as never, value as never);
        this.setDataValue("format" as never, of.format as never);
      },
    },
    format: { type: DataTypes.SMALLINT, defaultValue: of.format },
  };
}
