/** `npm run torture`: the long form, within ten minutes on loopback. Options: --kills N, --bursts N. Ends with 1 when anything is wrong. */
import { parseArgs } from "node:util";
import { fillDisk } from "./full-disk";
import { storm } from "./storm";
import { tell, writtenRows } from "./told";

const { values } = parseArgs({ options: { kills: { type: "string", default: "50" }, bursts: { type: "string", default: "10" } } });
const result = await storm({
  kills: Number(values.kills),
  everyMs: [300, 2500],
  writers: 12,
  crews: 6,
  bursts: Number(values.bursts),
  say: (line) => process.stdout.write(`${line}\n`),
});
process.stdout.write("a disk that runs full\n");
const disk = await fillDisk();
const isWell = tell([
  ["calls", result.calls],
  ["servers killed", result.kills.servers],
  ["database killed", result.kills.database],
  ...writtenRows(result),
  ["a full disk", disk === null ? "not tried" : disk.length === 0 ? "said" : "wrong", disk ?? []],
]);
process.exit(isWell ? 0 : 1);
