/**
 * `npm run build:server [-- SOURCE]`: the server in a few files that Node reads as they are, into server/built. From its sources it runs as well, by
 * tsx, as tests and scripts do; reading a thousand of them takes seconds of processor at every start, and again in every thread.
 */
import { readFileSync, rmSync } from "node:fs";
import { build } from "esbuild";

const { dependencies } = JSON.parse(readFileSync("server/package.json", "utf8"));
/** Of these a part is used: that part comes along. Everything else is read from where it is installed. */
const TAKEN_IN = /^(@kind-grip\/.*|es-toolkit|luxon|uuid|valibot)$/;
const installed = Object.keys(dependencies).filter((name) => !TAKEN_IN.test(name));

rmSync("server/built", { recursive: true, force: true });
await build({
  entryPoints: ["server/src/start.ts", "server/src/job/task.ts", "server/src/booking/read-calendar.ts", ...process.argv.slice(2)],
  entryNames: "[name]",
  outdir: "server/built",
  outExtension: { ".js": ".mjs" },
  bundle: true,
  splitting: true,
  platform: "node",
  format: "esm",
  target: "node20.19",
  sourcemap: true,
  external: installed.flatMap((name) => [name, `${name}/*`]),
  logLevel: "warning",
});
