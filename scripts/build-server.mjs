/**
 * `npm run build:server [-- SOURCE]`: the server in a few files that Node reads as they are, into server/built. From its sources it runs
 * as well, by tsx, as tests and scripts do; reading a thousand of them takes seconds of processor at every start, and again in every thread.
 */
import { readFileSync, renameSync, rmSync } from "node:fs";
import { build } from "esbuild";

const { dependencies } = JSON.parse(readFileSync("server/package.json", "utf8"));
/** Of these a part is used: that part comes along. Everything else is read from where it is installed. */
const TAKEN_IN = /^(@kind-grip\/.*|es-toolkit|luxon|uuid|valibot)$/;
const installed = Object.keys(dependencies).filter((name) => !TAKEN_IN.test(name));

/** Beside what is there, and put in its place when it is whole: two that are started at once do not read half of it. */
const outdir = `server/.built-${process.pid}`;
await build({
  entryPoints: ["start.ts", "job/make-paper.ts", "job/make-export.ts", "booking/read-calendar.ts"]
    .map((file) => `server/src/${file}`)
    .concat(process.argv.slice(2)),
  entryNames: "[name]",
  outdir,
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
rmSync("server/built", { recursive: true, force: true });
renameSync(outdir, "server/built");
