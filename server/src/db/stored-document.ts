/**
 * A column that holds a whole document, and beside it the format it was stored in. What is written passed its schema at the door; what
 * was written in an older format is brought up to today's, and through its schema, as it is read, so that nothing above the tables ever
 * sees an old shape.
 */
import { readDocument, upcast, type DocumentFormat } from "@kind-grip/core/document";
import type { Model } from "sequelize";
import { DataTypes } from "sequelize";

/** @param column its name; the format stands in a column called `format`: a table has one document */
export function storedDocument<T>(of: DocumentFormat<T>, column: string) {
  return {
    [column]: {
      type: DataTypes.JSON,
      get(this: Model): T | null | undefined {
        const stored: unknown = this.getDataValue(column as never);
        if (stored === null || stored === undefined) return stored as null | undefined;
        const format = this.getDataValue("format" as never) as number | undefined;
        if (format === undefined) throw new Error(`${column} was asked for without its format`);
        return format === of.format ? upcast(of, stored, format) : readDocument(of, stored, format);
      },
      set(this: Model, value: T | null): void {
        this.setDataValue(column as never, value as never);
        this.setDataValue("format" as never, of.format as never);
      },
    },
    format: { type: DataTypes.SMALLINT, defaultValue: of.format },
  };
}
