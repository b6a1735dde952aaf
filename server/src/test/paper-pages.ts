import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

/** Of each page of a paper its lines, as somebody who copies text from it gets them. */
export function pagesOf(pdf: Buffer): string[][] {
  const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-paper-"));
  try {
    const file = path.join(folder, "paper.pdf");
    writeFileSync(file, pdf);
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    return text
      .split("\f")
      .slice(0, -1)
      .map((page) => page.split("\n").flatMap((line) => line.trim() || []));
  } finally {
    rmSync(folder, { recursive: true });
  }
}
