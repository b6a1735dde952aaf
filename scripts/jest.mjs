/** `node scripts/jest.mjs unit|web|api [jest options]`: one of the three projects; the API one in a row, on one database. */
import { spawnSync } from "node:child_process";

const [project, ...rest] = process.argv.slice(2);
const results = process.env.JEST_RESULTS ? ["--json", `--outputFile=${process.env.JEST_RESULTS}`] : [];
const { status } = spawnSync(
  process.execPath,
  [
    // Modules are loaded anew for every file: much is new and soon forgotten.
    "--max-semi-space-size=64",
    "node_modules/jest/bin/jest.js",
    "--selectProjects",
    project,
    ...(project === "api" ? ["--runInBand", "--forceExit"] : []),
    "--testTimeout=60000",
    ...results,
    ...rest,
  ],
  {
    stdio: ["ignore", process.env.JEST_RESULTS ? "ignore" : "inherit", "inherit"],
  },
);
process.exit(status ?? 1);
