/** An empty practice of its own, started as its users start one. */
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

export interface EmptyPractice {
  url: string;
  email: string;
  password: string;
  stop(): Promise<void>;
}

export async function startEmptyPractice(port: number): Promise<EmptyPractice> {
  const data = mkdtempSync(path.join(tmpdir(), "kind-grip-empty-"));
  const args = ["--import", "tsx", "server/src/start.ts", "--empty", "--port", String(port), "--data", data];
  const child = spawn(process.execPath, args, { cwd: path.resolve(import.meta.dirname, ".."), stdio: ["ignore", "pipe", "pipe"] });
  let said = "";
  const signIn = await new Promise<{ email: string; password: string }>((resolve, reject) => {
    const hear = (part: Buffer) => {
      said += part.toString();
      const found = /Sign in: (\S+)\s+password: (\S+)[\s\S]*Ctrl-C/.exec(said);
      if (found) resolve({ email: found[1]!, password: found[2]! });
    };
    child.stdout.on("data", hear);
    child.stderr.on("data", hear);
    child.once("exit", () => reject(new Error(`it did not start:\n${said}`)));
  });
  return {
    url: `http://127.0.0.1:${port}`,
    ...signIn,
    async stop() {
      const over = new Promise((resolve) => child.once("exit", resolve));
      child.kill("SIGTERM");
      await over;
      rmSync(data, { recursive: true, force: true });
    },
  };
}
