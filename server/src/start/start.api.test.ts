/** The start command as a process: killed at any moment, twice at once, on a taken port, told to stop while somebody has half asked. */
import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { connect as connectTo, createServer } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { freePort } from "../db/private-server";
import { isAlive, processWords } from "./processes";

const root = path.resolve(__dirname, "../../..");
/** The long form: `LONG_TESTS=1 npm run test:api`. */
const LONG = process.env.LONG_TESTS === "1";
const folders: string[] = [];
const started: ChildProcess[] = [];
const newFolder = () => {
  folders.push(mkdtempSync(path.join(tmpdir(), "kind-grip-start-")));
  return path.join(folders.at(-1)!, "data");
};
afterAll(async () => {
  for (const each of started) if (each.exitCode === null && each.signalCode === null) each.kill("SIGTERM");
  await Promise.all(started.map(ended));
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

interface Started {
  process: ChildProcess;
  said(): string;
}

function start(data: string, port: number, more: readonly string[] = []): Started {
  const child = spawn(process.execPath, [...processWords("./start.ts"), "--empty", "--port", String(port), "--data", data, ...more], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: "", METER_PORT: "0", GATEWAY_URL: "http://127.0.0.1:9" },
  });
  started.push(child);
  let text = "";
  for (const stream of [child.stdout!, child.stderr!]) stream.on("data", (part: Buffer) => (text += part.toString()));
  return { process: child, said: () => text };
}
const ended = (child: ChildProcess): Promise<void> =>
  child.exitCode !== null || child.signalCode !== null ? Promise.resolve() : new Promise((resolve) => child.once("exit", () => resolve()));
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
async function until<Result>(look: () => Promise<Result | undefined> | Result | undefined, seconds = 60): Promise<Result> {
  for (let tries = 0; tries < seconds * 20; tries++) {
    const found = await look();
    if (found !== undefined) return found;
    await pause(50);
  }
  throw new Error("it did not come to that");
}
const isReady = (port: number) =>
  fetch(`http://127.0.0.1:${port}/readyz`).then(
    (answer) => (answer.ok ? true : undefined),
    () => undefined,
  );
async function ready({ process: child, said }: Started, port: number): Promise<void> {
  await until(async () => {
    if (child.exitCode !== null) throw new Error(`it ended: ${said()}`);
    return isReady(port);
  });
}

it("killed while it is installed for the first time, again and again, it starts all the same, leaves no database behind, and stops when told to while somebody has half asked", async () => {
  const [data, port] = [newFolder(), await freePort()];
  for (const afterMs of LONG ? [300, 900, 1600, 2600, 3600] : [900, 1600]) {
    const one = start(data, port);
    await pause(afterMs);
    one.process.kill("SIGKILL");
    await ended(one.process);
  }
  const last = start(data, port);
  await ready(last, port);
  // Killed while it serves: its database is still there, and is ended by the next start.
  last.process.kill("SIGKILL");
  await ended(last.process);
  const next = start(data, port);
  await ready(next, port);
  expect(readdirSync(path.join(data, "mariadb")).filter((name) => name.startsWith("tables-being-made"))).toEqual([]);
  const second = start(data, await freePort());
  await ended(second.process);
  expect(second.process.exitCode).toBe(1);
  expect(second.said()).toContain(`Kind Grip runs on this data already (process ${next.process.pid})`);
  // An idle connection outlives those of proxies: nobody sends on one that is just being closed.
  expect((await fetch(`http://127.0.0.1:${port}/readyz`)).headers.get("keep-alive")).toBe("timeout=75");
  const socket = connectTo(port, "127.0.0.1");
  socket.on("error", () => undefined);
  await new Promise<void>((resolve) => socket.once("connect", () => resolve()));
  socket.write("GET /api/me HTTP/1.1\r\nHost: here\r\nX-Unfinished: ");
  await pause(200);
  next.process.kill("SIGTERM");
  await until(() => (next.process.exitCode === null ? undefined : true), 20);
  expect(next.process.exitCode).toBe(0);
  socket.destroy();
}, 240_000);

it("a taken port is said before the database takes its time", async () => {
  const holder = createServer();
  const port = await new Promise<number>((resolve) => {
    holder.listen(0, "127.0.0.1", () => resolve((holder.address() as { port: number }).port));
  });
  const one = start(newFolder(), port);
  await ended(one.process);
  expect([one.process.exitCode, one.said().trim()]).toEqual([1, `Could not start: port ${port} is in use; choose another with --port`]);
  expect(isAlive(one.process.pid!)).toBe(false);
  holder.close();
}, 60_000);
