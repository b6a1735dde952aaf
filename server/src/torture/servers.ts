/** Server processes on one database, and clients that go on when one of them is killed. */
import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { connect } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { DataKeys, newKey } from "../db/data-keys";
import { freePort } from "../db/private-server";
import { processWords } from "../start/processes";

/** Of every server of a trial. */
export const TORTURE_KEYS = DataKeys.read(newKey());

export interface RunningServer {
  readonly base: string;
  readonly port: number;
  /** Ends it without a word, and starts it again. */
  killAndRestart(): Promise<void>;
  stop(): void;
  /** Lets it end by itself, with what it started. */
  end(): Promise<void>;
}

const PATIENCE_SEC = 60;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

interface ServerOptions {
  /** What it is given besides. */
  env?: NodeJS.ProcessEnv;
  /** Its own folder. */
  data?: string;
}

/** @param databaseUrl null for a private database with the demo, in its own folder */
export async function startServer(
  root: string,
  databaseUrl: string | null,
  { env = {}, data = mkdtempSync(path.join(tmpdir(), "kind-grip-torture-")) }: ServerOptions = {},
): Promise<RunningServer> {
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let child: ChildProcess | undefined;
  const launch = async () => {
    const filled = databaseUrl === null ? [] : ["--empty"];
    child = spawn(process.execPath, [...processWords("./start.ts"), ...filled, "--port", String(port), "--data", data], {
      cwd: root,
      env: {
        ...process.env,
        ...env,
        DATABASE_URL: databaseUrl ?? "",
        COOKIE_SECRET: "torture",
        DATA_KEYS: TORTURE_KEYS.toText(),
        METER_PORT: "0",
        GATEWAY_URL: "http://127.0.0.1:9",
        LOG_LEVEL: "silent",
      },
      stdio: "ignore",
    });
    for (let tries = 0; tries < PATIENCE_SEC * 10; tries++) {
      if (await isReady(base)) return;
      await pause(100);
    }
    throw new Error(`the server on port ${port} did not start`);
  };
  await launch();
  return {
    base,
    port,
    async killAndRestart() {
      child!.kill("SIGKILL");
      await new Promise((resolve) => child!.once("exit", resolve));
      await launch();
    },
    stop: () => void child?.kill("SIGKILL"),
    async end() {
      const gone = new Promise((resolve) => child!.once("exit", resolve));
      child!.kill("SIGTERM");
      await gone;
    },
  };
}

export function isReady(base: string): Promise<boolean> {
  return fetch(`${base}/readyz`, { signal: AbortSignal.timeout(2000) }).then(
    (answer) => answer.ok,
    () => false,
  );
}

export interface Answer {
  /** 0 when there was no answer. */
  status: number;
  body: unknown;
}

/** Somebody signed in, known to every server: sessions are in the database. */
export class Client {
  private cookie = "";
  private token = "signed-out";

  constructor(private readonly bases: readonly string[]) {}

  async signIn(email: string, password: string): Promise<void> {
    for (let tries = 0; tries < 100; tries++) {
      this.token = "signed-out";
      const { status, body } = await this.send("POST", "/api/sign-in", { email, password });
      if (status === 200) {
        this.token = (body as { csrfToken: string }).csrfToken;
        return;
      }
      await pause(200);
    }
    throw new Error(`${email} could not sign in`);
  }

  /** To one of the servers, whichever. */
  async send(method: string, address: string, body?: object): Promise<Answer> {
    const base = this.bases[Math.floor(Math.random() * this.bases.length)]!;
    try {
      const answer = await fetch(`${base}${address}`, {
        method,
        headers: { "content-type": "application/json", "x-csrf-token": this.token, ...(this.cookie ? { cookie: this.cookie } : {}) },
        ...(body ? { body: JSON.stringify(body) } : {}),
        signal: AbortSignal.timeout(20_000),
      });
      const session = answer.headers.getSetCookie().find((each) => each.startsWith("kind-grip="));
      if (session) this.cookie = session.split(";")[0]!;
      const text = await answer.text();
      return { status: answer.status, body: text ? JSON.parse(text) : undefined };
    } catch {
      return { status: 0, body: undefined };
    }
  }
}

/** Connections that ask for half a thing and wait. @returns lets go of them */
export function halfOpen(port: number, count: number): () => void {
  const sockets = Array.from({ length: count }, () => {
    const socket = connect(port, "127.0.0.1");
    socket.on("error", () => undefined);
    socket.write("PUT /api/runs/1 HTTP/1.1\r\nHost: here\r\nContent-Length: 100\r\n\r\n{");
    return socket;
  });
  return () => sockets.forEach((socket) => socket.destroy());
}

/** The checkout this file is in. */
export const ROOT = path.resolve(typeof __dirname === "string" ? __dirname : path.dirname(fileURLToPath(import.meta.url)), "../../..");
