/** Runs every check in order and adds up what passed. A check that breaks before it can count is one failure. */
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

const results = mkdtempSync(path.join(tmpdir(), "kind-grip-results-"));
const totals = { passed: 0, failed: 0 };

function run(title, command, args, env = {}) {
  process.stdout.write(`\n── ${title}\n`);
  const { status } = spawnSync(command, args, { stdio: "inherit", env: { ...process.env, ...env } });
  return status === 0;
}

function check(title, script) {
  totals[run(title, "npm", ["run", "--silent", script]) ? "passed" : "failed"] += 1;
}

function counted(title, script, file, env, read) {
  const ok = run(title, "npm", ["run", "--silent", script], env);
  let counts = { passed: 0, failed: 0 };
  try {
    counts = read(JSON.parse(readFileSync(file, "utf8")));
  } catch {
    // No result file: the runner itself broke, which the status says.
  }
  totals.passed += counts.passed;
  totals.failed += counts.failed > 0 ? counts.failed : ok ? 0 : 1;
}

const jest = (name) => path.join(results, `${name}.json`);
const jestCounts = ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
  passed: numPassedTests,
  failed: numFailedTests || numFailedTestSuites,
});

check("Types", "typecheck");
check("Lint", "lint");
check("Unused code and dependencies", "unused");
counted("Unit tests", "test:unit", jest("unit"), { JEST_RESULTS: jest("unit") }, jestCounts);
counted("API tests", "test:api", jest("api"), { JEST_RESULTS: jest("api") }, jestCounts);
check("Build", "build");
const journeys = path.join(results, "journeys.json");
counted("Journeys in Chromium", "test:e2e", journeys, { PLAYWRIGHT_JSON_OUTPUT_NAME: journeys }, ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}));

rmSync(results, { recursive: true, force: true });
process.stdout.write(`\n${totals.passed} passed, ${totals.failed} failed\n`);
process.exit(totals.failed === 0 ? 0 : 1);
