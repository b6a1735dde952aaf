/** Runs every check, in two lanes side by side, and adds up what passed. A check that breaks before it can count is one failure. */
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

const results = mkdtempSync(path.join(tmpdir(), "kind-grip-results-"));
const totals = { passed: 0, failed: 0 };
/** The names of what failed, said again at the end: the output is longer than anybody reads. */
const failures = [];

/** What a check prints is kept until it ends, so that two lanes do not talk into each other. */
function run(title, command, args, env = {}) {
  return new Promise((resolve) => {
    const started = Date.now();
    const child = spawn(command, args, { stdio: ["ignore", "pipe", "pipe"], env: { ...process.env, ...env } });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (part) => said.push(part));
    child.on("error", (error) => said.push(Buffer.from(String(error))));
    child.on("close", (status) => {
      const seconds = Math.round((Date.now() - started) / 1000);
      process.stdout.write(`\n── ${title} (${seconds} s)\n${Buffer.concat(said).toString()}`);
      resolve(status === 0);
    });
  });
}

async function check(title, script, env = {}) {
  const ok = await run(title, "npm", ["run", "--silent", script], env);
  totals[ok ? "passed" : "failed"] += 1;
  if (!ok) failures.push(title);
}

async function counted(title, script, file, env, read) {
  const ok = await run(title, "npm", ["run", "--silent", script], env);
  let counts = { passed: 0, failed: 0, names: [] };
  try {
    counts = read(JSON.parse(readFileSync(file, "utf8")));
  } catch {
    // No result file: the runner itself broke, which the status says.
  }
  totals.passed += counts.passed;
  totals.failed += counts.failed > 0 ? counts.failed : ok ? 0 : 1;
  if (!ok)
    failures.push(...(counts.names.length > 0 ? counts.names : ["it broke before it could count"]).map((name) => `${title}: ${name}`));
}

/** The first lines of what went wrong, without the colours of a terminal. */
const why = (message = "") =>
  message
    .replace(/\u001b\[[0-9;]*m/g, "")
    .split("\n")
    .slice(0, 14)
    .map((line) => `\n      ${line}`)
    .join("");

const jest = (name) => path.join(results, `${name}.json`);
const jestCounts = ({ numPassedTests, numFailedTests, numFailedTestSuites, testResults }) => ({
  passed: numPassedTests,
  failed: numFailedTests || numFailedTestSuites,
  names: testResults
    .filter((file) => file.status === "failed")
    .flatMap((file) => {
      const failed = file.assertionResults.filter((test) => test.status === "failed");
      return failed.length > 0
        ? failed.map((test) => `${test.fullName}${why(test.failureMessages[0])}`)
        : [`${path.basename(file.name)} could not be run${why(file.message)}`];
    }),
});

/** The journeys under a suite that did not pass at their first try, and why. */
const failedJourneys = (suite) => [
  ...(suite.specs ?? []).flatMap((spec) => {
    const failed = spec.tests.find((test) => test.status !== "expected");
    if (!failed) return [];
    const messages = failed.results.flatMap(({ errors }) => errors.map(({ message }) => why(message)));
    return [`${spec.title}${messages.slice(0, 3).join("")}`];
  }),
  ...(suite.suites ?? []).flatMap(failedJourneys),
];

const journeys = path.join(results, "journeys.json");

/** Longest first; whoever of the two lanes is free takes the next. Journeys wait for a browser more than they compute. */
const waiting = [
  async () => {
    await check("Build", "build", { QUICK_BUILD: "1" });
    await counted("Journeys in Chromium", "test:e2e", journeys, { PLAYWRIGHT_JSON_OUTPUT_NAME: journeys }, ({ stats, suites }) => ({
      passed: stats.expected,
      // Nothing is tried a second time; were it, passing then would not count.
      failed: stats.unexpected + stats.flaky,
      names: suites.flatMap(failedJourneys),
    }));
  },
  () => counted("API tests", "test:api", jest("api"), { JEST_RESULTS: jest("api"), TESTS_TOGETHER: "1" }, jestCounts),
  () => counted("Component tests", "test:web", jest("web"), { JEST_RESULTS: jest("web"), TESTS_TOGETHER: "1" }, jestCounts),
  () => counted("Unit tests", "test:unit", jest("unit"), { JEST_RESULTS: jest("unit") }, jestCounts),
  () => check("Lint", "lint"),
  () => check("Types", "typecheck"),
  () => check("Which way arrows point", "arrows"),
  () => check("Format", "format:check"),
  () => check("Words of the screens", "words:check"),
  () => check("Licences", "licences:check"),
  () => check("Unused code and dependencies", "unused"),
];
async function lane() {
  for (let next = waiting.shift(); next; next = waiting.shift()) await next();
}
process.stdout.write("Types, lint, unit and API tests beside the journeys in Chromium; each is printed when it ends …\n");
await Promise.all([lane(), lane()]);

rmSync(results, { recursive: true, force: true });
if (failures.length > 0) process.stdout.write(`\nNot passed:\n${failures.map((name) => `  ${name}\n`).join("")}`);
process.stdout.write(`\n${totals.passed} passed, ${totals.failed} failed\n`);
process.exit(totals.failed === 0 ? 0 : 1);
