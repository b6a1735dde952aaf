/** Many test files in one: what they load is loaded once. The configuration says which (scripts/alone.mjs). */
import path from "node:path";

declare global {
  var testFileGroups: string[][] | undefined;
}

export function together(group: number): void {
  for (const file of globalThis.testFileGroups?.[group] ?? [])
    describe(path.basename(file), () => {
      // oxlint-disable-next-line typescript/no-require-imports -- found by name, one after the other
      require(file);
    });
}
