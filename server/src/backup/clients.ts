/** MariaDB's own client programs, pointed at a database. */
import { spawn, type ChildProcess } from "node:child_process";
import { userInfo } from "node:os";
import path from "node:path";
import * as mariadb from "mariadb";

/** A database as client programs are told of it. The password is in none of their arguments: everybody on the machine can read those. */
export interface Place {
  /** How it is called in what is printed. */
  name: string;
  database: string;
  args: string[];
  password?: string;
  /** May set what holds for one session, read the binary log's position, make databases. */
  isSuper: boolean;
  open(): Promise<mariadb.Connection>;
}

/** The private database of a data folder, as its super-user: by the socket, for the same user of the machine alone. */
export function privatePlace(dataDir: string): Place {
  const socketPath = path.join(dataDir, "mariadb", "socket");
  const user = userInfo().username;
  const database = "kind_grip";
  return {
    name: dataDir,
    database,
    args: [`--socket=${socketPath}`, `--user=${user}`],
    isSuper: true,
    open: () => mariadb.createConnection({ socketPath, user, database, connectTimeout: 3000 }),
  };
}

/** @param url as in DATABASE_URL; of a cluster's hosts the first is asked */
export function placeOf(url: string): Place {
  const read = new URL(url.replace(/^(mariadb|mysql):/, "http:").replace(/,[^/]*(?=\/)/, ""));
  const database = decodeURIComponent(read.pathname.slice(1));
  const [user, password] = [decodeURIComponent(read.username), decodeURIComponent(read.password)];
  const port = read.port === "" ? 3306 : Number(read.port);
  if (database === "") throw new Error(`${read.hostname}: the address names no database`);
  return {
    name: `${read.hostname}:${port}/${database}`,
    database,
    args: [`--host=${read.hostname}`, `--port=${port}`, `--user=${user}`],
    password,
    isSuper: false,
    open: () => mariadb.createConnection({ host: read.hostname, port, user, password, database, connectTimeout: 3000 }),
  };
}

export interface Client {
  process: ChildProcess;
  /** Rejects with what it said when it did not end well. */
  ended: Promise<void>;
}

/** @param stdin whether something is to be written to it */
export function client(
  program: string,
  args: readonly string[],
  { place, stdin = false }: { place?: Place; stdin?: boolean } = {},
): Client {
  const child = spawn(program, ["--no-defaults", ...(place?.args ?? []), ...args], {
    stdio: [stdin ? "pipe" : "ignore", "pipe", "pipe"],
    // Moments given to it are in UTC.
    env: { ...process.env, TZ: "UTC", ...(place?.password ? { MYSQL_PWD: place.password } : {}) },
  });
  let said = "";
  child.stderr!.on("data", (part: Buffer) => (said = (said + part.toString()).slice(-2000)));
  const ended = new Promise<void>((resolve, reject) => {
    child.once("error", (error: NodeJS.ErrnoException) =>
      reject(error.code === "ENOENT" ? new Error(`${program} is missing. Install it (Debian: apt-get install mariadb-client)`) : error),
    );
    child.once("close", (status) => (status === 0 ? resolve() : reject(new Error(`${program}: ${said.trim() || `ended with ${status}`}`))));
  });
  // Whoever waits for the streams first learns of it then.
  ended.catch(() => undefined);
  return { process: child, ended };
}
