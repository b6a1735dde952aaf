/** In API tests, threads and processes begin as those of a server that was built (start-database.ts); the rest is read from its sources. */
import path from "node:path";

const FOLDER = path.resolve(__dirname, "../../.built-tests");

export function threadFile(source: string): { filename: string; execArgv: string[] } {
  return { filename: path.join(FOLDER, `${path.basename(source, ".ts")}.mjs`), execArgv: ["--enable-source-maps"] };
}

export const builtForm = (): undefined => undefined;
