/** Many test files in one: what they load is loaded once. The configuration says which (scripts/alone.mjs). */
const path = require("node:path");

/** @param place of the group among the project's */
module.exports = function runGroup(place) {
  for (const file of globalThis.testFileGroups?.[place] ?? []) describe(path.basename(file), () => void require(file));
};
