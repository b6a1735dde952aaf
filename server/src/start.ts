/**
 * The start command: database, migrations, data, interface, server; and all of it stopped again on Ctrl-C.
 * Options: --empty (no demo data), --port N, --reset (throw away what was kept), --data DIR.
 */
import { spawn, type ChildProcess } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import type { Server } from "node:http";
import { createServer } from "node:net";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { startSealing } from "./audit/seal";
import { startReading } from "./booking/calendars";
import { insideFrom } from "./booking/fetch-calendar";
import { createApp } from "./app";
import { connect, type Db } from "./db/connection";
import { migrate } from "./db/migrate";
import { startPrivateServer } from "./db/private-server";
import { withStartLock } from "./db/start-lock";
import { openDataFolder } from "./start/data-folder";
import { pointDemoCalendar } from "./demo/bookings";
import { loadEmpty } from "./demo/empty";
import { practiceClock } from "./context";
import { freeBytesOf } from "./http/disk";
import { httpGateway, startWorker } from "./message/worker";
import { DEMO_PASSWORD, DEMO_SIGN_INS, loadDemo } from "./demo/load";
import { DEMO_MEMBER, DEMO_STAFF } from "./demo/staff";

/** A call that is being answered when the server is told to stop has this long. */
const FINISH_WITHIN_MS = 5000;

/** Calendars of bookings are read again after so long. */
const READ_CALENDARS_EVERY_SEC = 60;

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");

async function start(): Promise<void> {
  const { values: options } = parseArgs({
    options: {
      empty: { type: "boolean", default: false },
      reset: { type: "boolean", default: false },
      port: { type: "string", default: process.env.PORT ?? "4100" },
      data: { type: "string", default: path.join(root, ".data") },
    },
  });
  const port = Number(options.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`--port takes a number from 1 to 65535, not "${options.port}"`);
  const outside = process.env.DATABASE_URL || undefined;
  if (options.reset && outside)
    throw new Error("--reset only throws away the private database; DATABASE_URL names one of yours, empty it yourself");
  // What would stop the start anyway is said before the database takes its time.
  await refuseTakenPort(port);
  const folder = openDataFolder(options.data, { reset: options.reset });

  say(outside ? "Using the database of DATABASE_URL …" : "Starting MariaDB on loopback …");
  const database = outside ? undefined : await startPrivateServer({ dataDir: path.join(options.data, "mariadb") });
  const db = connect(outside ?? database!.url);
  let server: Server | undefined;
  const standIns: ChildProcess[] = [];
  let stopWorker: (() => void) | undefined;
  let app: ReturnType<typeof createApp> | undefined;
  const stop = once(async () => {
    say("\nStopping …");
    await closed(server);
    await app?.stop();
    stopWorker?.();
    for (const standIn of standIns) standIn.kill();
    await db.sequelize.close();
    await database?.stop();
    folder.release();
    process.exit(process.exitCode ?? 0);
  });
  process.on("SIGINT", stop);
  process.on("SIGTERM", stop);

  const kept = { begin: path.join(options.data, "booking-calendar-begin.json"), file: path.join(options.data, "booking-calendar.json") };
  try {
    const signIns = await withStartLock(
      db,
      async () => {
        const ran = await migrate(db);
        if (ran.length > 0) say(`Brought the database up to date: ${ran.join(", ")}`);
        return signInsFor(db, options.empty, kept);
      },
      { onWait: () => say("Another server is bringing the database up to date; waiting for it …") },
    );
    const meterPort = Number(process.env.METER_PORT ?? port + 1);
    const gatewayPort = Number(process.env.GATEWAY_PORT ?? port + 2);
    const gatewayAddress = process.env.GATEWAY_URL ?? `http://127.0.0.1:${gatewayPort}`;
    standIns.push(startStandIn("meter", meterPort));
    if (!process.env.GATEWAY_URL) standIns.push(startStandIn("gateway", gatewayPort, "--keep", path.join(options.data, "messages.jsonl")));
    const calendarPort = Number(process.env.BOOKING_CALENDAR_PORT ?? port + 3);
    const calendarHost = `127.0.0.1:${calendarPort}`;
    standIns.push(startStandIn("booking-calendar", calendarPort, "--keep", kept.file, "--begin", kept.begin));
    await pointDemoCalendar(db, calendarHost);
    const insideCalendars = new Set([...insideFrom(process.env.INSIDE_CALENDARS), calendarHost]);
    const everyMs = 1000 * Number(process.env.READ_CALENDARS_EVERY_SEC ?? READ_CALENDARS_EVERY_SEC);
    const stops = [
      startWorker(db, httpGateway(gatewayAddress), practiceClock(db)),
      startReading(db, { inside: insideCalendars }, everyMs, practiceClock(db)),
      startSealing(db),
    ];
    stopWorker = () => stops.forEach((stopOne) => stopOne());
    app = createApp({
      db,
      gatewayAddress,
      insideCalendars,
      meterAddress: `ws://127.0.0.1:${meterPort}`,
      secret: secretIn(path.join(options.data, "cookie-secret")),
      webRoot: path.join(root, "web/dist"),
      logLevel: process.env.LOG_LEVEL ?? "warn",
      proxies: Number(process.env.PROXIES ?? 0),
      ...(outside ? {} : { freeBytes: freeBytesOf(options.data) }),
    });
    server = await listen(app, port);
    say(
      [
        "",
        "  Kind Grip is ready",
        `  http://127.0.0.1:${port}`,
        "",
        ...signIns.map((line) => `  ${line}`),
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

async function signInsFor(db: Db, empty: boolean, kept: { begin: string; file: string }): Promise<string[]> {
  if (empty) {
    const made = await loadEmpty(db);
    return made
      ? [`Sign in: ${made.email}  password: ${made.password}`, "Change it under Practice; it is shown only now."]
      : ["Sign in as before."];
  }
  const loaded = await loadDemo(db);
  if (loaded) {
    writeFileSync(kept.begin, JSON.stringify(loaded));
    rmSync(kept.file, { force: true });
  }
  const demo = (await db.models.Account.count({ where: { email: DEMO_SIGN_INS[0].email } })) > 0;
  if (!demo) return ["Sign in as before (this practice was started without demo data)."];
  return [
    ...(loaded ? ["The demo practice is loaded."] : []),
    ...[...DEMO_SIGN_INS, ...DEMO_STAFF].map(({ email }) => `Sign in: ${email}  password: ${DEMO_PASSWORD}`),
    `Crew member: /me  code: ${DEMO_MEMBER.codes[0]}  PIN: ${DEMO_MEMBER.pin}`,
  ];
}

async function refuseTakenPort(port: number): Promise<void> {
  const probe = createServer();
  await new Promise<void>((resolve, reject) => {
    probe.once("error", (error: NodeJS.ErrnoException) =>
      reject(error.code === "EADDRINUSE" ? new Error(`port ${port} is in use; choose another with --port`) : error),
    );
    probe.listen(port, process.env.HOST ?? "127.0.0.1", () => probe.close(() => resolve()));
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
    const server = app.listen(port, process.env.HOST ?? "127.0.0.1", (error?: Error) => {
      const inUse = (error as NodeJS.ErrnoException | undefined)?.code === "EADDRINUSE";
      if (error) reject(inUse ? new Error(`port ${port} is in use; choose another with --port`) : error);
      else resolve(server);
    });
    server.keepAliveTimeout = KEEP_ALIVE_MS;
  });
}

/** Longer than any proxy or browser keeps an idle connection: whoever sends on one that is closed at that moment gets no answer. */
const KEEP_ALIVE_MS = 75_000;

/** Stand-ins for outside things, each a process of its own; the application does without them when they cannot start. */
function startStandIn(name: "meter" | "gateway" | "booking-calendar", port: number, ...more: string[]): ChildProcess {
  const file = path.join(root, `stand-ins/src/${name}.ts`);
  return spawn(process.execPath, ["--import", "tsx", file, "--port", String(port), ...more], {
    cwd: root,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    env: { ...process.env, STARTER_PID: String(process.pid) },
  });
}

/** Kept beside the database so that people stay signed in over a restart. */
function secretIn(file: string): string {
  if (process.env.COOKIE_SECRET) return createHash("sha256").update(process.env.COOKIE_SECRET).digest("hex");
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
