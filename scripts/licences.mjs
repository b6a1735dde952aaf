/** `npm run licences [-- --check]`: licences of everything that is installed to run, by licence; --check fails for one that was not looked at. */
import { readFileSync } from "node:fs";

/** Looked at: they allow use in a product whose own code stays closed, with their text passed on. */
const LOOKED_AT = new Set([
  "MIT",
  "ISC",
  "BSD-2-Clause",
  "BSD-3-Clause",
  "Apache-2.0",
  "0BSD",
  "Unlicense",
  "CC0-1.0",
  "BlueOak-1.0.0",
  "OFL-1.1",
  "Python-2.0",
  "MIT-0",
]);
/** Looked at one by one, and why they are right. */
const ONE_BY_ONE = {
  mariadb: "LGPL-2.1-or-later: used as it is published, as a package of its own on the server",
  "ical.js": "MPL-2.0: used as it is published; changes of its own files would have to be open",
  "web-push": "MPL-2.0: as ical.js",
  pako: "MIT, with parts under Zlib, which asks no more",
  jstat: "MIT by the text in its folder",
  "png-js": "MIT by the text in its folder",
};

const { packages } = JSON.parse(readFileSync("package-lock.json", "utf8"));
const groups = new Map();
for (const [place, { license = "not said", version, dev, link }] of Object.entries(packages)) {
  if (!place.includes("node_modules/") || dev || link) continue;
  const name = place.slice(place.lastIndexOf("node_modules/") + "node_modules/".length);
  if (name.startsWith("@kind-grip/")) continue;
  groups.set(license, (groups.get(license) ?? new Map()).set(`${name} ${version}`, name));
}

/** One of several that may be chosen is enough. */
const isLookedAt = (license) =>
  license
    .replace(/[()]/g, "")
    .split(" OR ")
    .some((choice) => choice.split(" AND ").every((each) => LOOKED_AT.has(each)));
const open = [];
for (const [license, those] of [...groups].sort(([a], [b]) => a.localeCompare(b))) {
  const unknown = isLookedAt(license) ? [] : [...those].filter(([, name]) => !(name in ONE_BY_ONE));
  open.push(...unknown.map(([what]) => `${what}: ${license}`));
  if (!process.argv.includes("--check")) process.stdout.write(`${license} (${those.size})\n  ${[...those.keys()].sort().join("\n  ")}\n`);
}
for (const what of open) process.stderr.write(`Not looked at: ${what}\n`);
process.exitCode = open.length === 0 ? 0 : 1;
