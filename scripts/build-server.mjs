/**
 * `npm run build:server [-- SOURCE --into FOLDER]`: the server in a few files that Node reads as they are, into server/built; its stand-ins
 * too. From its sources it runs as well, by tsx, as scripts do; reading a thousand of them takes seconds of processor at every start, and
 * again in every thread. The folder lies beside server/src.
 */
import { readFileSync, renameSync, rmSync } from "node:fs";
import { parseArgs } from "node:util";
import { build } from "esbuild";

const {
  values: { into },
  positionals: more,
} = parseArgs({ allowPositionals: true, options: { into: { type: "string", default: "server/built" } } });

const dependencies = ["server", "stand-ins"].flatMap((each) =>
  Object.keys(JSON.parse(readFileSync(`${each}/package.json`, "utf8")).dependencies),
);
/** Of these a part is used: that part comes along. Everything else is read from where it is installed. */
const TAKEN_IN = /^(@kind-grip\/.*|es-toolkit|luxon|uuid|valibot)$/;
const installed = dependencies.filter((name) => !TAKEN_IN.test(name));

/** Beside what is there, and put in its place when it is whole: two that are started at once do not read half of it. */
const outdir = `${into}-${process.pid}`;
await build({
  entryPoints: [
    ...["start", "job/make-paper", "job/make-export", "booking/read-calendar", "demo/load-beside"].map((file) => `server/src/${file}.ts`),
    ...["meter", "gateway", "booking-calendar", "mail", "push"].map((file) => `stand-ins/src/${file}.ts`),
    ...more,
  ],
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
rmSync(into, { recursive: true, force: true });
renameSync(outdir, into);
