/**
 * fast-check as unit tests know it: in complete runs what chance gives is the same each time, so that a run tells of the change it is of.
 * `npm run properties` goes on with seeds that nobody has tried; what fails there gets a test of its own.
 */
const path = require("node:path");
const fc = require(path.resolve(__dirname, "../node_modules/fast-check/lib/cjs/fast-check.js"));

const seed = process.env.CHECK_SEED ? Number(process.env.CHECK_SEED) : 20261129;
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed });

module.exports = fc;
