/** The crew report as a workbook: numbers are numbers and days are days, so that they can be reckoned with. */
import type { ReportEntry } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import writeExcelFile from "write-excel-file/node";
import { REPORT_NOTES, reportTables, type Cell, type ReportTable } from "./report-tables";

const FORMATS = { count: "0", share: "0 %", tenth: "0.0#" } as const;
/** What a spreadsheet takes for the name of a sheet. */
const MOST_LETTERS = 31;

export async function reportWorkbook(report: ReportEntry, words: Words): Promise<Buffer> {
  const tables = reportTables(report, words);
  const names = new Set<string>();
  const sheets = tables.map((table) => ({
    sheet: sheetName(table.title, names),
    data: [[{ value: table.title, fontWeight: "bold" as const }], [], headOf(table), ...table.rows.map((row) => row.map(cellOf))],
    columns: table.head.map((name) => ({ width: Math.max(14, name.length + 2) })),
  }));
  const notes = {
    sheet: sheetName("About these figures", names),
    data: [
      [{ value: `${report.crew.name}, ${report.crew.trade}`, fontWeight: "bold" as const }],
      ...REPORT_NOTES.map((text) => [{ value: text, wrap: true }]),
    ],
    columns: [{ width: 120 }],
  };
  return writeExcelFile([...sheets, notes]).toBuffer();
}

const headOf = ({ head }: ReportTable) => head.map((value) => ({ value, fontWeight: "bold" as const }));

function cellOf(cell: Cell) {
  if (typeof cell === "string") return { value: cell };
  if ("day" in cell) return { value: new Date(`${cell.day}T00:00:00Z`), type: Date, format: "yyyy-mm-dd" };
  return cell.number === null ? { value: "–" } : { value: cell.number, type: Number, format: FORMATS[cell.as] };
}

/** Without the signs a sheet may not have in its name, and told apart from the others. */
function sheetName(title: string, taken: Set<string>): string {
  const plain = title
    .replace(/[\\/?*[\]:]/g, " ")
    .slice(0, MOST_LETTERS)
    .trim();
  for (let n = 1; ; n++) {
    const name = n === 1 ? plain : `${plain.slice(0, MOST_LETTERS - 3)} ${n}`;
    if (taken.has(name.toLowerCase())) continue;
    taken.add(name.toLowerCase());
    return name;
  }
}
