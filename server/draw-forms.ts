/**
 * Makes of every small still that ships (core/draw-stills.ts) the form that paper takes, when the server is built. Nothing is made again
 * while the stills and what makes the forms are the same.
 */
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import { keptForm } from "./src/http/pdf-figures";

const here = import.meta.dirname;
const stills = path.join(here, "../core/.stills");
const into = path.join(here, ".forms");
const stamp = path.join(into, "made-from");

const makers = ["src/http/pdf-figures.ts", "src/http/pdf-forms.ts"].map((file) => path.join(here, file));
const pdfmake = createRequire(import.meta.url).resolve("pdfmake/package.json");
const hash = createHash("sha256");
for (const file of [path.join(stills, "drawn-from"), pdfmake, ...makers]) hash.update(readFileSync(file));
const madeFrom = hash.digest("hex");

const isDone = () => existsSync(stamp) && readFileSync(stamp, "utf8") === madeFrom;

if (!isDone()) {
  // Beside what is there, and put in its place when it is whole: two may be started at once.
  const making = `${into}-${process.pid}`;
  mkdirSync(making);
  for (const still of readdirSync(stills).filter((file) => file.endsWith(".svg")))
    writeFileSync(path.join(making, `${still}.json`), keptForm(readFileSync(path.join(stills, still), "utf8")));
  writeFileSync(path.join(making, path.basename(stamp)), madeFrom);
  // Another that was as quick may be read by now.
  rmSync(isDone() ? making : into, { recursive: true, force: true });
  if (existsSync(making)) renameSync(making, into);
}
