/** Lint: type-aware rules, hooks, and the one direction in which the parts may know each other. */
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

const forbid = (message, ...group) => ["error", { patterns: [{ group, message }] }];

const HOOKS_ALONE = { "react-hooks/rules-of-hooks": "error", "react-hooks/exhaustive-deps": "error" };

export default tseslint.config(
  { ignores: ["**/dist/**", "**/node_modules/**", ".data/**", "test-results/**", "playwright-report/**", "**/*.mjs"] },
  ...tseslint.configs.recommended,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/no-floating-promises": "error",
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/switch-exhaustiveness-check": "error",
      "no-console": "error",
      eqeqeq: ["error", "always", { null: "ignore" }],
    },
  },
  {
    files: ["core/src/**/*.ts"],
    rules: {
      "no-restricted-imports": forbid(
        "the core is pure: no server, no interface, no input or output",
        "@kind-grip/*",
        "react*",
        "express*",
        "sequelize*",
        "node:*",
        "fs",
        "path",
      ),
      "no-restricted-globals": ["error", "window", "document", "fetch", "localStorage", "performance", "setTimeout", "setInterval"],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "the core has no clock: take the time as an argument" },
        { object: "Math", property: "random", message: "the core has no chance: take the value as an argument" },
      ],
    },
  },
  {
    files: ["core/src/*/!(*.test).ts"],
    rules: {
      "no-restricted-imports": forbid(
        "reach another subject through its index",
        "../*/*",
        "!../*/index",
        "@kind-grip/*",
        "react*",
        "express*",
        "sequelize*",
        "node:*",
      ),
    },
  },
  {
    files: ["server/src/**/*.ts"],
    rules: {
      "no-restricted-imports": forbid(
        "the server knows the core, not the interface",
        "@kind-grip/web*",
        "react*",
        "@kind-grip/core/*/*",
        // Every language at once, which only a server has need of.
        "!@kind-grip/core/language/all",
      ),
    },
  },
  {
    files: ["stand-ins/src/**/*.ts"],
    rules: {
      "no-restricted-imports": forbid("a stand-in knows only the protocol", "@kind-grip/server*", "@kind-grip/web*", "@kind-grip/core/*/*"),
    },
  },
  {
    files: ["web/src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": reactHooks },
    rules: {
      // The compiler's rules take as long as all others together: `npm run lint` has them, the complete run does without.
      ...(process.env.LINT_QUICKLY ? HOOKS_ALONE : reactHooks.configs.recommended.rules),
      "no-restricted-imports": forbid(
        "the interface knows the core, not the server",
        "@kind-grip/server*",
        "express*",
        "sequelize*",
        "node:*",
        "@kind-grip/core/*/*",
      ),
    },
  },
  {
    // Tests run in Node: what a browser fetches they read from disk.
    files: ["web/src/**/*.test.ts"],
    rules: { "no-restricted-imports": forbid("the interface knows the core, not the server", "@kind-grip/server*", "@kind-grip/core/*/*") },
  },
);
