/** CSV out: RFC 4180 with a byte order mark, so that spreadsheets read the names right; formulas are defused. */
import Papa from "papaparse";

export type Cell = string | number | null;

/** Rows under their column names. Text that a spreadsheet would run as a formula gets a leading apostrophe. */
export function writeCsv(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  return "\uFEFF" + Papa.unparse({ fields: [...columns], data: rows.map((row) => [...row]) }, { escapeFormulae: true });
}
