/** `npm run torture`: the long form, within ten minutes on loopback. Options: --kills N, --bursts N. Ends with 1 when anything is wrong. */
import { parseArgs } from "node:util";
import { storm } from "./storm";

const { values } = parseArgs({ options: { kills: { type: "string", default: "50" }, bursts: { type: "string", default: "10" } } });
const result = await storm({
  kills: Number(values.kills),
  everyMs: [300, 2500],
  writers: 12,
  crews: 6,
  bursts: Number(values.bursts),
  say: (line) => process.stdout.write(`${line}\n`),
});
const rows: readonly (readonly [name: string, count: number, which?: readonly string[]])[] = [
  ["calls", result.calls],
  ["servers killed", result.kills.servers],
  ["database killed", result.kills.database],
  ["turned away while something was broken", result.turnedAway],
  ["confirmed", result.confirmed],
  ["lost", result.lost.length, result.lost],
  ["doubled", result.doubled.length, result.doubled],
  ["half saved", result.halfSaved.length, result.halfSaved],
  ["roll-ups that are not their sum", result.wrongSums.length, result.wrongSums],
  ["other answers of 500 and above", result.failed.length, result.failed],
  ["calls in bursts of 50", result.burst.calls],
  ["of them turned away or failed", result.burst.failed.length, result.burst.failed],
];
for (const [name, count, which = []] of rows)
  process.stdout.write(
    `${name.padEnd(42)} ${String(count).padStart(6)}${which
      .slice(0, 5)
      .map((each) => `\n    ${each}`)
      .join("")}\n`,
  );
process.exit(rows.some(([, , which = []]) => which.length > 0) ? 1 : 0);
