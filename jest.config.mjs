/** Two projects: unit tests of pure code, and API tests against a real, throwaway MariaDB. */
const shared = {
  transform: {
    "^.+\\.tsx?$": ["@swc/jest", { jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022" }, module: { type: "commonjs" } }],
  },
  moduleNameMapper: { "^@kind-grip/core/(.*)$": "<rootDir>/core/src/$1/index.ts" },
  testEnvironment: "node",
};

export default {
  projects: [
    {
      ...shared,
      displayName: "unit",
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
      displayName: "api",
      testMatch: ["<rootDir>/server/src/**/*.api.test.ts"],
      globalSetup: "<rootDir>/server/src/test/start-database.ts",
      globalTeardown: "<rootDir>/server/src/test/stop-database.ts",
    },
  ],
};
