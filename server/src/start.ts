/**
 * The start command: database, migrations, data, interface, server; and all of it stopped again on Ctrl-C.
 * Options: --empty (no demo data), --port N, --reset (throw away what was kept), --data DIR.
 */
import { spawn } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import type { Server } from "node:http";
import { createServer } from "node:net";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { createApp } from "./app";
import { makeFirstLink, pathOf } from "./auth/one-time-links";
import { connect, type Db } from "./db/connection";
import { migrate } from "./db/migrate";
import { withStartLock } from "./db/start-lock";
import { dataKeysOf, startOwnDatabase } from "./start/command";
import { openDataFolder } from "./start/data-folder";
import { openOutsides, type KeptCalendar, type Outsides } from "./start/outsides";
import { roleSetting, setting, wholeSetting } from "./start/settings";
import { surroundingsOf } from "./start/surroundings";
import { freeBytesOf } from "./http/disk";
import { DEMO_PASSWORD, DEMO_SIGN_INS, loadDemo } from "./demo/load";
import { DEMO_MEMBER, DEMO_STAFF } from "./demo/staff";
import { processWords } from "./start/processes";

/** A call that is being answered when the server is told to stop has this long. */
const FINISH_WITHIN_MS = 5000;

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");

async function start(): Promise<void> {
  const { values: options } = parseArgs({
    options: {
      empty: { type: "boolean", default: false },
      reset: { type: "boolean", default: false },
      port: { type: "string", default: setting("PORT") },
      data: { type: "string", default: path.join(root, ".data") },
    },
  });
  const port = Number(options.port);
  const role = roleSetting();
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`--port takes a number from 1 to 65535, not "${options.port}"`);
  const outside = setting("DATABASE_URL") || undefined;
  const publicAddress = setting("PUBLIC_ADDRESS").replace(/\/$/, "") || undefined;
  if (options.reset && outside)
    throw new Error("--reset only throws away the private database; DATABASE_URL names one of yours, empty it yourself");
  // What would stop the start anyway is said before the database takes its time.
  await refuseTakenPort(port);
  const folder = openDataFolder(options.data, { reset: options.reset });

  say(outside ? "Using the database of DATABASE_URL …" : "Starting MariaDB on loopback …");
  const database = outside ? undefined : await startOwnDatabase(options.data);
  const db = connect(outside ?? database!.url, dataKeysOf(options.data));
  let server: Server | undefined;
  let outsides: Outsides | undefined;
  let app: ReturnType<typeof createApp> | undefined;
  const stop = once(async () => {
    say("\nStopping …");
    await closed(server);
    await app?.stop();
    outsides?.stop();
    await db.sequelize.close();
    await database?.stop();
    folder.release();
    process.exit(process.exitCode ?? 0);
  });
  process.on("SIGINT", stop);
  process.on("SIGTERM", stop);

  const kept = { begin: path.join(options.data, "booking-calendar-begin.json"), file: path.join(options.data, "booking-calendar.json") };
  try {
    const { lines, withDemo } = await withStartLock(
      db,
      async () => {
        const ran = await migrate(db);
        if (ran.length > 0) say(`Brought the database up to date: ${ran.join(", ")}`);
        if (role === "works") return { lines: ["Works for the servers beside it."], withDemo: false };
        return signInsFor(db, options.empty, kept, publicAddress ?? `http://127.0.0.1:${port}`);
      },
      { onWait: () => say("Another server is bringing the database up to date; waiting for it …") },
    );
    outsides = openOutsides({
      db,
      root,
      port,
      data: options.data,
      kept,
      isAtWork: role !== "answers",
      everyMs: 1000 * wholeSetting("READ_CALENDARS_EVERY_SEC", { least: 1, most: 86_400 }),
    });
    if (withDemo || setting("STAND_INS") === "yes") await outsides.startStandIns();
    const loadDemoBeside = async () => {
      writeFileSync(kept.begin, await demoLoadedInto(db));
      rmSync(kept.file, { force: true });
      await outsides!.startStandIns();
    };
    app = createApp({
      db,
      outsides: outsides.services,
      insideCalendars: outsides.insideCalendars,
      secret: secretIn(path.join(options.data, "cookie-secret")),
      webRoot: path.join(root, "web/dist"),
      logLevel: setting("LOG_LEVEL"),
      proxies: wholeSetting("PROXIES", { most: 20 }),
      ...(publicAddress ? { publicAddress } : {}),
      role,
      surroundings: surroundingsOf(outside ? undefined : options.data),
      apiCallsAMinute: wholeSetting("API_CALLS_A_MINUTE", { least: 1 }),
      ...(setting("METRICS_TOKEN") ? { metricsToken: setting("METRICS_TOKEN") } : {}),
      // Its passwords are known to everybody: not where others can reach it.
      ...(isForThisMachine() ? { loadDemo: loadDemoBeside } : {}),
      ...(outside ? {} : { freeBytes: freeBytesOf(options.data) }),
    });
    server = await listen(app, port);
    say(
      [
        "",
        "  Kind Grip is ready",
        `  http://127.0.0.1:${port}`,
        "",
        ...lines.map((line) => `  ${line}`),
        "",
        "  Ctrl-C stops it; everything is kept.",
        "",
      ].join("\n"),
    );
  } catch (error) {
    process.exitCode = 1;
    say(`Could not start: ${(error as Error).message}`);
    await stop();
  }
}

/** What is said about signing in, and whether the demo is here. */
async function signInsFor(db: Db, empty: boolean, kept: KeptCalendar, address: string): Promise<{ lines: string[]; withDemo: boolean }> {
  const isDemoHere = async () => (await db.models.Account.count({ where: { email: DEMO_SIGN_INS[0].email } })) > 0;
  if (empty) {
    const token = await makeFirstLink(db, new Date());
    const lines = token ? ["Begin here; this address can be used once:", address + pathOf(token)] : ["Sign in as before."];
    return { lines, withDemo: await isDemoHere() };
  }
  const loaded = await loadDemo(db);
  if (loaded) {
    writeFileSync(kept.begin, JSON.stringify(loaded));
    rmSync(kept.file, { force: true });
  }
  const withDemo = await isDemoHere();
  if (!withDemo) return { lines: ["Sign in as before (this practice was started without demo data)."], withDemo };
  const lines = [
    ...(loaded ? ["The demo practice is loaded."] : []),
    ...[...DEMO_SIGN_INS, ...DEMO_STAFF].map(({ email }) => `Sign in: ${email}  password: ${DEMO_PASSWORD}`),
    `Crew member: /me  code: ${DEMO_MEMBER.codes[0]}  PIN: ${DEMO_MEMBER.pin}`,
  ];
  return { lines, withDemo };
}

/** Whether only who sits at this machine reaches it, as far as the settings say. */
const isForThisMachine = (): boolean => setting("HOST") === "127.0.0.1" && setting("PUBLIC_ADDRESS") === "" && setting("PROXIES") === "0";

async function refuseTakenPort(port: number): Promise<void> {
  const probe = createServer();
  await new Promise<void>((resolve, reject) => {
    probe.once("error", (error: NodeJS.ErrnoException) =>
      reject(error.code === "EADDRINUSE" ? new Error(`port ${port} is in use; choose another with --port`) : error),
    );
    probe.listen(port, setting("HOST"), () => probe.close(() => resolve()));
  });
}

/** Calls under way are answered; who has not finished asking after that is not waited for. */
async function closed(server: Server | undefined): Promise<void> {
  if (!server) return;
  const impatience = setTimeout(() => server.closeAllConnections(), FINISH_WITHIN_MS);
  await new Promise<void>((resolve) => {
    server.close(() => resolve());
    server.closeIdleConnections();
  });
  clearTimeout(impatience);
}

function listen(app: ReturnType<typeof createApp>, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, setting("HOST"), (error?: Error) => {
      const inUse = (error as NodeJS.ErrnoException | undefined)?.code === "EADDRINUSE";
      if (error) reject(inUse ? new Error(`port ${port} is in use; choose another with --port`) : error);
      else resolve(server);
    });
    server.keepAliveTimeout = KEEP_ALIVE_MS;
  });
}

/** Longer than any proxy or browser keeps an idle connection: whoever sends on one that is closed at that moment gets no answer. */
const KEEP_ALIVE_MS = 75_000;

/** What the booking calendar begins with, as text. A process of its own: what is answered meanwhile does not wait for it. */
async function demoLoadedInto({ url, keys }: Db): Promise<string> {
  const child = spawn(process.execPath, processWords("./demo/load-beside.ts"), {
    cwd: root,
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, DATABASE_URL: url, DATA_KEYS: keys.toText() },
  });
  const said: Buffer[] = [];
  child.stdout.on("data", (part: Buffer) => said.push(part));
  const status = await new Promise<number | null>((resolve) => child.once("close", resolve));
  if (status !== 0) throw new Error(`loading the demo ended with ${status}`);
  return Buffer.concat(said).toString();
}

/** Kept beside the database so that people stay signed in over a restart. */
function secretIn(file: string): string {
  const given = setting("COOKIE_SECRET");
  if (given) return createHash("sha256").update(given).digest("hex");
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString("hex"), { mode: 0o600 });
  return readFileSync(file, "utf8").trim();
}

function once(run: () => Promise<void>): () => Promise<void> {
  let running: Promise<void> | undefined;
  return () => (running ??= run());
}

function say(text: string): void {
  process.stdout.write(`${text}\n`);
}

void start().catch((error: Error) => {
  say(`Could not start: ${error.message}`);
  process.exit(1);
});
