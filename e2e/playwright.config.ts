/** Journeys through the real interface in Debian's Chromium, on a fresh demo with a MariaDB of its own. */
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { defineConfig } from "@playwright/test";
import { BROWSER } from "./browser";

const PORT = 4199;
process.env.JOURNEY_DATA ??= mkdtempSync(path.join(tmpdir(), "kind-grip-journeys-"));

export default defineConfig({
  testDir: ".",
  workers: 1,
  timeout: 240_000,
  expect: { timeout: 40_000 },
  reporter: [["list"], ["json"]],
  outputDir: path.join(tmpdir(), "kind-grip-journey-results"),
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    browserName: "chromium",
    launchOptions: BROWSER,
    viewport: { width: 1280, height: 800 },
    timezoneId: "America/Chicago",
    // A page that never comes is said, not waited for until the whole journey runs out of time.
    navigationTimeout: 60_000,
    screenshot: "only-on-failure",
    // Pictures stand still and nothing slides: a tenth less to draw. The whole path is walked with everything moving.
    contextOptions: { reducedMotion: "reduce" },
  },
  webServer: {
    command: `npm run --silent build:server && exec node --enable-source-maps server/built/start.mjs --port ${PORT} --data ${process.env.JOURNEY_DATA}`,
    cwd: path.resolve(import.meta.dirname, ".."),
    url: `http://127.0.0.1:${PORT}/readyz`,
    timeout: 90_000,
    gracefulShutdown: { signal: "SIGTERM", timeout: 15_000 },
  },
});
