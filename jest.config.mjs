import { testFiles } from "./scripts/alone.mjs";

/** Three projects: unit tests of pure code, component tests in jsdom, and API tests against a real, throwaway MariaDB. */
const shared = {
  transform: {
    "^.+\\.[tj]sx?$": [
      "@swc/jest",
      {
        jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022", transform: { react: { runtime: "automatic" } } },
        module: { type: "commonjs" },
      },
    ],
  },
  moduleNameMapper: { "^@kind-grip/core/(.*)$": "<rootDir>/core/src/$1/index.ts" },
  // Packages that are modules only.
  transformIgnorePatterns: ["/node_modules/(?!@apidevtools/|@seriousme/|uuid/)"],
  testEnvironment: "node",
  // What is asked of a sandbox's globals is slow; this one is handed to every file, and what computes takes half the time.
  sandboxInjectedGlobals: ["Math"],
};

/** Set for complete runs; whoever names a file runs that file. */
const isTogether = process.env.TESTS_TOGETHER === "1";

/** @param usual where the project's test files are, as Jest looks for them */
function testsOf(usual, files) {
  if (!isTogether) return { testMatch: usual };
  return {
    testMatch: [...files.groups.map((_, place) => `<rootDir>/scripts/together/${place + 1}.cjs`), ...files.alone],
    globals: { testFileGroups: files.groups },
  };
}

export default {
  projects: [
    {
      ...shared,
      displayName: "unit",
      moduleNameMapper: { ...shared.moduleNameMapper, "^fast-check$": "<rootDir>/scripts/seeded-check.cjs" },
      // More of them slow down what draws pages, and nothing else computes as much.
      sandboxInjectedGlobals: [...shared.sandboxInjectedGlobals, "Object", "Array", "Number", "Map", "Set", "Uint8Array", "Float64Array"],
      testPathIgnorePatterns: ["/node_modules/", "\\.api\\.test\\.ts$"],
      testMatch: [
        "<rootDir>/core/src/**/*.test.ts",
        "<rootDir>/web/src/**/*.test.ts",
        "<rootDir>/server/src/**/*.test.ts",
        "<rootDir>/stand-ins/src/**/*.test.ts",
      ],
    },
    {
      ...shared,
      displayName: "web",
      ...testsOf(["<rootDir>/web/src/**/*.test.tsx"], testFiles("web/src", ".test.tsx", 4, { putsBack: true })),
      moduleNameMapper: {
        ...shared.moduleNameMapper,
        "^\\./keep-page$": "<rootDir>/web/src/testing/no-service-worker.ts",
        "\\.woff2\\?url$": "<rootDir>/web/src/testing/no-file.ts",
        "^@emotion/serialize$": "<rootDir>/web/src/testing/no-styles.ts",
      },
      testEnvironment: "<rootDir>/web/src/testing/dom-environment.mjs",
      setupFilesAfterEnv: ["<rootDir>/web/src/testing/dom.ts"],
    },
    {
      ...shared,
      displayName: "api",
      moduleNameMapper: { ...shared.moduleNameMapper, "^(\\.\\./)+built$": "<rootDir>/server/src/test/built.ts" },
      ...testsOf(["<rootDir>/server/src/**/*.api.test.ts"], testFiles("server/src", ".api.test.ts", 3)),
      globalSetup: "<rootDir>/server/src/test/start-database.ts",
      globalTeardown: "<rootDir>/server/src/test/stop-database.ts",
    },
  ],
};
