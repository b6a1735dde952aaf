/**
 * `npm run cluster`: three database nodes and two servers on loopback with the demo; a node is killed in the middle of writing and brought
 * back. Prints what was confirmed, lost and doubled, and how long writes waited. Options: --seconds N between the steps, --bursts N.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { parseArgs } from "node:util";
import { connect } from "../db/connection";
import { migrate } from "../db/migrate";
import { loadDemo } from "../demo/load";
import { startCluster } from "./galera";
import { ROOT, startServer, TORTURE_KEYS, type RunningServer } from "./servers";
import { writeThrough } from "./storm";
import { tell, writtenRows } from "./told";

const { values } = parseArgs({ options: { seconds: { type: "string", default: "10" }, bursts: { type: "string", default: "6" } } });
const say = (line: string) => void process.stdout.write(`${line}\n`);
const pause = () => new Promise((resolve) => setTimeout(resolve, Number(values.seconds) * 1000));

const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-cluster-"));
const cluster = await startCluster(folder, say);
const servers: RunningServer[] = [];
let isWell = false;
try {
  const db = connect(cluster.url(0), TORTURE_KEYS);
  await migrate(db);
  say("loading the demo …");
  await loadDemo(db);
  // Each server prefers another node: writes of one crew meet on two.
  servers.push(await startServer(ROOT, cluster.url(0)), await startServer(ROOT, cluster.url(1)));
  say(`two servers: ${servers.map(({ base }) => base).join(", ")}`);
  const [killed] = cluster.nodes;
  const result = await writeThrough({ db, servers, writers: 8, crews: 3, bursts: Number(values.bursts), say }, async () => {
    await pause();
    say(`the node on port ${killed!.port} is killed`);
    await killed!.kill();
    await pause();
    say("it comes back");
    await killed!.bringBack();
    say("it has caught up");
    await pause();
  });
  const nodes = await db.nodes.all();
  isWell = tell([
    ["calls", result.calls],
    ...writtenRows(result),
    ["longest time nothing was confirmed, s", (result.longestWaitMs / 1000).toFixed(1), result.longestWaitMs > 3000 ? ["over 3 s"] : []],
    ["nodes ready in the end", `${nodes.filter(({ state }) => state === "ready").length} of ${nodes.length}`],
  ]);
  await db.sequelize.close();
} finally {
  for (const server of servers) server.stop();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(isWell ? 0 : 1);
