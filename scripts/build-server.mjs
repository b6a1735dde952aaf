/**
 * `npm run build:server [-- SOURCE]`: the server in a few files that Node reads as they are, into server/built. From its sources it runs as well, by
 * tsx, as tests and scripts do; reading a thousand of them takes seconds of processor at every start, and again in every thread.
 */
import { readFileSync } from "node:fs";
import { build } from "esbuild";

const { dependencies } = JSON.parse(readFileSync("server/package.json", "utf8"));
const installed = Object.keys(dependencies).filter((name) => !name.startsWith("@kind-grip/"));

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
