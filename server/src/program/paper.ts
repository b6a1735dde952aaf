/**
 * Paper is made in a thread of its own: drawing and setting sixty sheets takes a processor for a minute or two, and whoever asks for
 * anything else meanwhile is answered as always. What was made of the same is kept for a while; who goes away is not worked for any more.
 */
import { createHash } from "node:crypto";
import { createRequire } from "node:module";
import type { Request } from "express";
import Piscina from "piscina";
import type { PaperTask } from "./paper-task";

/** Papers kept, the oldest forgotten first: the same program is printed again and again on the morning it is first used. */
const KEPT = 12;
/** A thread that has nothing to do is let go, with what it holds. */
const IDLE_MS = 60_000;

const require = createRequire(import.meta.url);

export class PaperPress {
  private pool: Piscina | undefined;
  private readonly kept = new Map<string, Promise<Buffer>>();

  /** @param request whose answer it is: when they go away, the work ends */
  async print(task: PaperTask, request: Request): Promise<Buffer> {
    const key = createHash("sha256").update(JSON.stringify(task)).digest("hex");
    const known = this.kept.get(key);
    if (known) return known;
    const gone = new AbortController();
    request.once("close", () => gone.abort());
    const made = this.run(task, gone.signal);
    this.kept.set(key, made);
    if (this.kept.size > KEPT) this.kept.delete(this.kept.keys().next().value!);
    // What came to nothing is tried anew by the next who asks.
    made.catch(() => this.kept.delete(key));
    return made;
  }

  async stop(): Promise<void> {
    await this.pool?.destroy();
  }

  private async run(task: PaperTask, signal: AbortSignal): Promise<Buffer> {
    this.pool ??= new Piscina({
      filename: require.resolve("./paper-task.ts"),
      execArgv: ["--import", "tsx"],
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: IDLE_MS,
    });
    return Buffer.from((await this.pool.run(task, { signal })) as Uint8Array);
  }
}
