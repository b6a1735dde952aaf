/** From the bytes of a file to rows of cells: encoding and delimiter found out, and said. */
import Papa from "papaparse";
import { guessColumns } from "./roster-columns";

export type Encoding = "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";

export interface RosterText {
  encoding: Encoding;
  delimiter: string;
  /** Where the columns are named; null when nowhere. */
  headerLine: number | null;
  headers: string[];
  /** Rows under the header with at least one filled cell; `line` counts from 1 as a spreadsheet does, the header line included. */
  rows: { line: number; cells: string[] }[];
  /** The first filled lines, for choosing the header among. */
  firstLines: { line: number; cells: string[] }[];
}

/** Titles, dates and empty lines may stand above the header; not more than this. */
const MOST_ABOVE = 20;

/**
 * Reads a CSV file. UTF-8 first; a file that is not valid UTF-8 is read as Windows-1252, which the caller should say.
 * @param header the line that names the columns, null for none; left out, the one that names most of them
 * @throws RangeError when the file holds nothing
 */
export function readRosterText(bytes: Uint8Array, encoding: Encoding = guessEncoding(bytes), header?: number | null): RosterText {
  const text = new TextDecoder(encoding).decode(bytes);
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: false, delimitersToGuess: [",", ";", "\t", "|"] });
  const lines = parsed.data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ""));
  if (lines.length === 0) throw new RangeError("the file is empty: a line should name the columns");
  const firstLines = lines.slice(0, MOST_ABOVE);
  const headerLine = header === undefined ? likelyHeader(firstLines) : header;
  const headers = lines.find(({ line }) => line === headerLine)?.cells ?? lines[0]!.cells.map(() => "");
  return {
    encoding,
    delimiter: parsed.meta.delimiter,
    headerLine,
    headers,
    rows: lines.filter(({ line }) => headerLine === null || line > headerLine),
    firstLines,
  };
}

/** The line that names most columns; the first when none names any. */
function likelyHeader(lines: RosterText["rows"]): number {
  const named = lines.map(({ line, cells }) => ({ line, count: Object.keys(guessColumns(cells)).length }));
  return named.reduce((best, each) => (each.count > best.count ? each : best)).line;
}

/** A byte order mark decides; else valid UTF-8 is UTF-8; else Windows-1252, the usual export of older spreadsheets. */
export function guessEncoding(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return "utf-16le";
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return "utf-16be";
  try {
    new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    return "utf-8";
  } catch {
    return "windows-1252";
  }
}

/** Signs that text was decoded with the wrong table: replacement characters, or UTF-8 read as single bytes. */
export function looksMisdecoded(text: string): boolean {
  return /\uFFFD|[ÃÂ][\u0080-\u00BF]|â€/.test(text);
}
