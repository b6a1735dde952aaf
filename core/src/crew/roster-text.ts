/** From the bytes of a file to rows of cells: encoding and delimiter found out, and said. */
import Papa from "papaparse";

export type Encoding = "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";

export interface RosterText {
  encoding: Encoding;
  delimiter: string;
  headers: string[];
  /** Rows with at least one filled cell; `line` counts from 1 as a spreadsheet does, the header line included. */
  rows: { line: number; cells: string[] }[];
}

/**
 * Reads a CSV file. UTF-8 first; a file that is not valid UTF-8 is read as Windows-1252, which the caller should say.
 * @throws RangeError when the file holds no header line
 */
export function readRosterText(bytes: Uint8Array, encoding: Encoding = guessEncoding(bytes)): RosterText {
  const text = new TextDecoder(encoding).decode(bytes);
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: false, delimitersToGuess: [",", ";", "\t", "|"] });
  const lines = parsed.data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ""));
  const [header, ...rows] = lines;
  if (!header) throw new RangeError("the file is empty: the first line should name the columns");
  return { encoding, delimiter: parsed.meta.delimiter, headers: header.cells, rows };
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
