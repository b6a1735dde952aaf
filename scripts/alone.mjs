/**
 * Which test files share what they load. Jest loads every module anew for each file, which takes longer than most files' tests; those that
 * change nothing but what they put back are run many in one.
 */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

/** What changes modules or the surroundings for whoever comes after, or is kept under the file's own name. */
const ALONE = /jest\.(mock|isolateModules|resetModules|requireActual)|process\.env\.\w+ =|toMatch\w*Snapshot|in-pounds/;
/** What is put back after each test where a project's setup does so. */
const PUT_BACK = /jest\.(useFakeTimers|spyOn)/;

/**
 * @param ending of the files' names @param putsBack whether clocks and spies are put back after each test
 * @returns absolute paths: each by itself, and in groups of about the same length
 */
export function testFiles(folder, ending, groups, { putsBack = false } = {}) {
  const files = readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith(ending) && !name.includes("node_modules"))
    .map((name) => path.resolve(folder, name))
    .sort();
  const isAlone = (file) => {
    const text = readFileSync(file, "utf8");
    return ALONE.test(text) || (!putsBack && PUT_BACK.test(text));
  };
  const together = files.filter((file) => !isAlone(file));
  return {
    alone: files.filter(isAlone),
    groups: Array.from({ length: groups }, (_, group) => together.filter((_file, i) => i % groups === group)),
  };
}
