/** The crew report on paper. */
import type { ReportEntry } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import type { Content, TableCell } from "pdfmake/interfaces";
import { INK, LINE, pdfOf, QUIET, SPRUCE } from "../http/pdf";
import { REPORT_NOTES, reportTables, type Cell, type ReportTable } from "./report-tables";

export async function reportPaper(report: ReportEntry, words: Words, progress?: (share: number) => void): Promise<Buffer> {
  const tables = reportTables(report, words);
  const [latest] = report.blocks;
  const lead = latest
    ? `Latest four weeks: ${words.dateName(latest.from)} to ${words.dateName(latest.until)}.`
    : `The first figures are there on ${words.dateName(report.next.readableOn)}.`;
  return pdfOf(
    {
      language: words.language,
      info: { title: `${report.crew.name}: report`, subject: report.crew.trade },
      pageMargins: [42, 42, 42, 54],
      content: [
        { text: `${report.crew.name}: report`, fontSize: 22, bold: true, color: SPRUCE },
        { text: `${report.crew.trade}. ${lead}`, color: QUIET, margin: [0, 2, 0, 10] },
        ...tables.map((table) => tableOf(table, words)),
        ...REPORT_NOTES.map((text): Content => ({ text, fontSize: 9.5, color: QUIET, margin: [0, 6, 0, 0] })),
      ],
      footer: (page, pages) => ({ text: `${page} / ${pages}`, alignment: "center", fontSize: 9, color: QUIET }),
    },
    progress,
  );
}

function tableOf({ title, head, rows }: ReportTable, words: Words): Content {
  const cell = (text: string, i: number, bold = false): TableCell => ({
    text,
    bold,
    noWrap: !bold && isDay(rows[0]?.[i]),
    fontSize: 9,
    alignment: i > 0 && isFigure(rows[0]?.[i]) ? "right" : "left",
  });
  return {
    // A short table is not torn, a long one not from its heading; rows go on over the page with their head.
    unbreakable: rows.length <= SHORT_ROWS,
    stack: [
      { text: title, fontSize: 13, bold: true, color: INK, margin: [0, 12, 0, 4] },
      {
        table: {
          headerRows: 1,
          dontBreakRows: true,
          keepWithHeaderRows: 1,
          widths: head.map((_, i) => (i === head.length - 1 && !isFigure(rows[0]?.[i]) ? "*" : "auto")),
          body: [head.map((text, i) => cell(text, i, true)), ...rows.map((row) => row.map((each, i) => cell(textOf(each, words), i)))],
        },
        layout: {
          hLineWidth: (i) => (i === 0 ? 0 : i === 1 ? 1.2 : 0.5),
          vLineWidth: () => 0,
          hLineColor: () => LINE,
          paddingLeft: (i) => (i === 0 ? 0 : 6),
        },
      },
    ],
  };
}

/** Rows that stay together with their heading. */
const SHORT_ROWS = 12;

const isDay = (cell: Cell | undefined): boolean => typeof cell === "object" && "day" in cell;
const isFigure = (cell: Cell | undefined): boolean => typeof cell === "object" && "number" in cell;

function textOf(cell: Cell, words: Words): string {
  if (typeof cell === "string") return cell;
  if ("day" in cell) return words.dateName(cell.day);
  const { number, as } = cell;
  if (number === null) return "–";
  return as === "share" ? `${Math.round(number * 100)} %` : String(Math.round(number * 100) / 100);
}
