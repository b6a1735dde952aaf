/** A server with nothing on it, started as its users start one; its first day is for whoever opens the address it prints. */
import { execFile, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { promisify } from "node:util";

const root = path.resolve(import.meta.dirname, "..");

export interface EmptyServer {
  url: string;
  /** The one-time address of the first day. */
  first: string;
  /** bin/admin of this server. @returns what it printed */
  admin(...words: string[]): Promise<string>;
  /** E-mails its stand-in took, the newest first. */
  mails(): Promise<{ to: string; subject: string; text: string }[]>;
  stop(): Promise<void>;
}

export async function startEmptyServer(port: number): Promise<EmptyServer> {
  const data = mkdtempSync(path.join(tmpdir(), "kind-grip-empty-"));
  const args = ["--enable-source-maps", "server/built/start.mjs", "--empty", "--port", String(port), "--data", data];
  const env = { ...process.env, STAND_INS: "yes" };
  const child = spawn(process.execPath, args, { cwd: root, env, stdio: ["ignore", "pipe", "pipe"] });
  let said = "";
  const first = await new Promise<string>((resolve, reject) => {
    const hear = (part: Buffer) => {
      said += part.toString();
      const found = /(http:\S+\/link#\S+)[\s\S]*Ctrl-C/.exec(said);
      if (found) resolve(found[1]!);
    };
    child.stdout.on("data", hear);
    child.stderr.on("data", hear);
    child.once("exit", () => reject(new Error(`it did not start:\n${said}`)));
  });
  return {
    url: `http://127.0.0.1:${port}`,
    first,
    async admin(...words) {
      const run = promisify(execFile);
      return (await run(path.join(root, "bin/admin"), [...words, "--data", data, "--address", `http://127.0.0.1:${port}`])).stdout;
    },
    async mails() {
      const answer = await fetch(`http://127.0.0.1:${port + 5}/mails`);
      return ((await answer.json()) as { mails: { to: string; subject: string; text: string }[] }).mails;
    },
    async stop() {
      const over = new Promise((resolve) => child.once("exit", resolve));
      child.kill("SIGTERM");
      await over;
      rmSync(data, { recursive: true, force: true });
    },
  };
}
