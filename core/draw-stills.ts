/**
 * Draws the small still of every movement and form that ships, when the application is built: pages of the library only fetch them
 * (web/vite.config.ts), and paper is printed with them. Nothing is drawn again while what draws is the same.
 */
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { SHIPPED_LIBRARY, SMALL, smallStillFile, stage } from "./src/library";

const here = import.meta.dirname;
const into = path.join(here, ".stills");
const stamp = path.join(into, "drawn-from");

const hash = createHash("sha256");
for (const folder of ["figure", "library", "session"])
  for (const file of readdirSync(path.join(here, "src", folder), { recursive: true, encoding: "utf8" }).sort())
    if (/\.ts$/.test(file) && !/\.test\.ts$/.test(file)) hash.update(file).update(readFileSync(path.join(here, "src", folder, file)));
const drawnFrom = hash.digest("hex");

const isDone = () => existsSync(stamp) && readFileSync(stamp, "utf8") === drawnFrom;

if (!isDone()) {
  // Beside what is there, and put in its place when it is whole: two may be started at once.
  const drawing = `${into}-${process.pid}`;
  mkdirSync(drawing);
  for (const { id, forms } of SHIPPED_LIBRARY.movements)
    for (const formId of [undefined, ...forms.map((form) => form.id)]) {
      const name = smallStillFile(SHIPPED_LIBRARY, id, formId);
      const file = name && path.join(drawing, name);
      if (file && !existsSync(file)) writeFileSync(file, stage(SHIPPED_LIBRARY, id, formId, SMALL).still());
    }
  writeFileSync(path.join(drawing, path.basename(stamp)), drawnFrom);
  // Another that was as quick may be read by now.
  rmSync(isDone() ? drawing : into, { recursive: true, force: true });
  if (existsSync(drawing)) renameSync(drawing, into);
}
