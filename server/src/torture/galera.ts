/** Three MariaDB nodes on loopback that are one database (Galera): started, killed without a word, brought back. */
import { execFileSync, spawn, spawnSync, type ChildProcess } from "node:child_process";
import { chmodSync, cpSync, existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { userInfo } from "node:os";
import path from "node:path";
import * as mariadb from "mariadb";
import { freePort } from "../db/private-server";

const PROVIDERS = ["/usr/lib/galera/libgalera_smm.so", "/usr/lib64/galera-4/libgalera_smm.so"];
const USER = "kind_grip";
const PASSWORD = "cluster";
const DATABASE = "kind_grip";
const PATIENCE_SEC = 60;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Some virtual machines refuse to set how a thread is scheduled, and Galera gives up then. For this bench alone the call is answered as if
 * it had been done; a real server needs none of it.
 */
const SHIM = `#define _GNU_SOURCE
#include <pthread.h>
int pthread_setschedparam(pthread_t thread, int policy, const struct sched_param *param) {
  (void)thread; (void)policy; (void)param;
  return 0;
}
`;

export interface GaleraNode {
  readonly port: number;
  kill(): Promise<void>;
  /** Again, with what it missed. */
  bringBack(): Promise<void>;
}

export interface GaleraCluster {
  nodes: readonly GaleraNode[];
  /** The address of the database, beginning with one of the nodes. */
  url(first: number): string;
  stop(): Promise<void>;
}

/** @throws Error where the packages are missing, with their names */
export async function startCluster(folder: string, say: (line: string) => void): Promise<GaleraCluster> {
  const provider = PROVIDERS.find(existsSync);
  if (!provider) throw new Error("Galera is missing: install Debian's packages mariadb-server and galera-4");
  const preload = shimIn(folder);
  const user = userInfo().username;
  const ports = await Promise.all(Array.from({ length: 3 }, freePort));
  const groups = await Promise.all(Array.from({ length: 3 }, freePort));
  const transfers = await Promise.all(Array.from({ length: 3 }, freePort));
  const members = groups.map((port) => `127.0.0.1:${port}`).join(",");
  const place = (n: number) => path.join(folder, `node-${n + 1}`);
  const socket = (n: number) => path.join(place(n), "s.sock");

  const options = (n: number, cluster: string): string[] => [
    "--no-defaults",
    `--datadir=${path.join(place(n), "tables")}`,
    `--tmpdir=${path.join(place(n), "working")}`,
    `--socket=${socket(n)}`,
    `--pid-file=${path.join(place(n), "pid")}`,
    `--log-error=${path.join(place(n), "mariadb.log")}`,
    "--bind-address=127.0.0.1",
    `--port=${ports[n]}`,
    `--user=${user}`,
    "--skip-name-resolve",
    "--character-set-server=utf8mb4",
    "--collation-server=utf8mb4_unicode_ci",
    "--max-connections=200",
    "--innodb-buffer-pool-size=96M",
    "--innodb-flush-log-at-trx-commit=0",
    "--innodb-autoinc-lock-mode=2",
    "--binlog-format=ROW",
    "--wsrep-on=ON",
    `--wsrep-provider=${provider}`,
    `--wsrep-cluster-name=kind-grip`,
    `--wsrep-cluster-address=${cluster}`,
    `--wsrep-node-address=127.0.0.1`,
    `--wsrep-node-name=node-${n + 1}`,
    "--wsrep-sst-method=rsync",
    "--wsrep-retry-autocommit=8",
    // A node that died is given up within three seconds; what it missed is kept for when it comes back.
    `--wsrep-provider-options=base_host=127.0.0.1;base_port=${groups[n]};gmcast.listen_addr=tcp://127.0.0.1:${groups[n]};ist.recv_addr=127.0.0.1:${transfers[n]};evs.keepalive_period=PT0.3S;evs.inactive_check_period=PT0.3S;evs.suspect_timeout=PT1S;evs.inactive_timeout=PT2S;evs.install_timeout=PT2S;gcache.size=64M`,
  ];
  const environment = { ...process.env, ...(preload ? { LD_PRELOAD: preload } : {}) };
  const children: (ChildProcess | undefined)[] = [];
  const launch = (n: number, cluster: string, more: string[] = []) => {
    children[n] = spawn("mariadbd", [...options(n, cluster), ...more], { stdio: "ignore", env: environment });
  };
  const ask = async <Row>(n: number, sql: string): Promise<Row[]> => {
    const connection = await mariadb.createConnection({ socketPath: socket(n), user, connectTimeout: 1000 });
    try {
      return await connection.query<Row[]>(sql);
    } finally {
      await connection.end();
    }
  };
  const untilReady = async (n: number) => {
    for (let tries = 0; tries < PATIENCE_SEC * 10; tries++) {
      const child = children[n];
      if (child && child.exitCode !== null) break;
      const [row] = await ask<{ Value: string }>(n, "SHOW STATUS LIKE 'wsrep_ready'").catch(() => []);
      if (row?.Value === "ON") return;
      await pause(100);
    }
    throw new Error(`node ${n + 1} did not start; its log is ${path.join(place(n), "mariadb.log")}`);
  };
  const end = async (n: number, signal: NodeJS.Signals) => {
    const child = children[n];
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await gone;
  };

  for (let n = 0; n < 3; n++) mkdirSync(path.join(place(n), "working"), { recursive: true });
  mkdirSync(path.join(place(0), "tables"));
  execFileSync(
    "mariadb-install-db",
    [
      "--no-defaults",
      `--datadir=${path.join(place(0), "tables")}`,
      `--tmpdir=${path.join(place(0), "working")}`,
      `--user=${user}`,
      `--auth-root-socket-user=${user}`,
      "--skip-test-db",
    ],
    { stdio: "ignore" },
  );
  // The first node alone, for the database and its user; its tables are the beginning of the others too.
  launch(0, "gcomm://", ["--wsrep-new-cluster"]);
  await untilReady(0);
  await ask(0, `CREATE DATABASE ${DATABASE} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  await ask(0, `CREATE USER '${USER}'@'127.0.0.1' IDENTIFIED BY '${PASSWORD}'`);
  await ask(0, `GRANT ALL ON ${DATABASE}.* TO '${USER}'@'127.0.0.1'`);
  await end(0, "SIGTERM");
  for (const n of [1, 2]) {
    cpSync(place(0), place(n), { recursive: true, filter: (file) => !/galera\.cache|gvwstate|\.sock$|pid$|mariadb\.log/.test(file) });
    const uuidFile = path.join(place(n), "tables", "grastate.dat");
    writeFileSync(uuidFile, readFileSync(uuidFile, "utf8").replace("safe_to_bootstrap: 1", "safe_to_bootstrap: 0"));
  }
  // rsync hands over as nobody when it is started by root, as in a container.
  for (const n of [0, 1, 2]) for (const dir of [folder, place(n), path.join(place(n), "tables")]) chmodSync(dir, 0o777);
  launch(0, `gcomm://${members}`, ["--wsrep-new-cluster"]);
  await untilReady(0);
  for (const n of [1, 2]) {
    launch(n, `gcomm://${members}`);
    await untilReady(n);
    say(`node ${n + 1} has joined`);
  }

  /** Where a node that was killed had got to. */
  const recovered = (n: number): string => {
    spawnSync("mariadbd", [...options(n, `gcomm://${members}`), "--wsrep-recover"], { env: environment, stdio: "ignore" });
    const log = readFileSync(path.join(place(n), "mariadb.log"), "utf8");
    const found = [...log.matchAll(/Recovered position:?\s+([0-9a-f-]+:\d+)/g)].at(-1)?.[1];
    if (!found) throw new Error(`node ${n + 1} does not know where it was`);
    return found;
  };
  return {
    nodes: ports.map((port, n) => ({
      port,
      kill: () => end(n, "SIGKILL"),
      async bringBack() {
        launch(n, `gcomm://${members}`, [`--wsrep-start-position=${recovered(n)}`]);
        await untilReady(n);
      },
    })),
    url: (first) => {
      const order = [...ports.slice(first), ...ports.slice(0, first)].map((port) => `127.0.0.1:${port}`);
      return `mariadb://${USER}:${PASSWORD}@${order.join(",")}/${DATABASE}`;
    },
    async stop() {
      await Promise.all([0, 1, 2].map((n) => end(n, "SIGKILL")));
    },
  };
}

/** @returns undefined where there is no compiler: real machines need none of it */
function shimIn(folder: string): string | undefined {
  const [source, library] = [path.join(folder, "schedule.c"), path.join(folder, "schedule.so")];
  writeFileSync(source, SHIM);
  return spawnSync("cc", ["-shared", "-fPIC", "-O1", "-o", library, source]).status === 0 ? library : undefined;
}
