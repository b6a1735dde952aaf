/** What a server has that was built, and one that is run from its sources has not. */
import { existsSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";

const require = createRequire(import.meta.url);

/** Built by scripts/build-server.mjs: everything lies in one folder, server/built. */
const IS_BUILT = import.meta.url.endsWith(".mjs");

/** Where a thread or a process begins. @param source a source file that the build makes a file of its own of, from here */
export function threadFile(source: string): { filename: string; execArgv: string[] } {
  if (!IS_BUILT) return { filename: require.resolve(source), execArgv: ["--import", "tsx"] };
  return { filename: require.resolve(`./${path.basename(source, ".ts")}.mjs`), execArgv: ["--enable-source-maps"] };
}

/** A small still as paper takes it, which was drawn when the server was built (server/draw-forms.ts). @param still the file of it */
export function builtForm(still: string): string | undefined {
  if (!IS_BUILT) return undefined;
  const form = path.resolve(import.meta.dirname, "../.forms", `${still}.json`);
  return existsSync(form) ? readFileSync(form, "utf8") : undefined;
}
