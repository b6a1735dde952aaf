/**
 * Draws the small still of every movement and form that ships, before the build (vite.config.ts), so that a page of the library only
 * fetches them. Nothing is drawn again while what draws is the same.
 */
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { StagedFigure } from "@kind-grip/core/figure";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { thumbRequest } from "./src/figure/request";

const here = import.meta.dirname;
const into = path.join(here, ".stills");
const stamp = path.join(into, "drawn-from");

const hash = createHash("sha256");
for (const folder of ["../core/src/figure", "../core/src/library", "../core/src/session", "src/figure"])
  for (const file of readdirSync(path.join(here, folder), { recursive: true, encoding: "utf8" }).sort())
    if (/\.ts$/.test(file) && !/\.test\.ts$/.test(file)) hash.update(file).update(readFileSync(path.join(here, folder, file)));
const drawnFrom = hash.digest("hex");

if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== drawnFrom) {
  rmSync(into, { recursive: true, force: true });
  mkdirSync(into);
  for (const { id, forms } of SHIPPED_LIBRARY.movements)
    for (const formId of [undefined, ...forms.map((form) => form.id)]) {
      const request = thumbRequest(SHIPPED_LIBRARY, id, formId);
      const file = request?.still && path.join(into, request.still);
      if (file && !existsSync(file)) writeFileSync(file, new StagedFigure(request.figure, request.options).still());
    }
  writeFileSync(stamp, drawnFrom);
}
