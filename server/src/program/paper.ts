/**
 * Paper is made in a thread of its own: drawing and setting sixty sheets takes a processor for a minute or two, and whoever asks for
 * anything else meanwhile is answered as always. What was made of the same is kept for a while; who goes away is not worked for any more.
 */
import { createHash } from "node:crypto";
import { createRequire } from "node:module";
import type { Response } from "express";
import Piscina from "piscina";
import type { PaperTask } from "./paper-task";

/** Papers kept, the oldest forgotten first: the same program is printed again and again on the morning it is first used. */
const KEPT = 12;
/** A thread that has nothing to do is let go, with what it holds. */
const IDLE_MS = 60_000;

const require = createRequire(import.meta.url);

interface Printing {
  paper: Promise<Buffer>;
  made: boolean;
  /** How many wait for it: when the last of them goes away before it is made, the work ends. */
  waiting: number;
  gone: AbortController;
}

export class PaperPress {
  private pool: Piscina | undefined;
  private readonly kept = new Map<string, Printing>();

  /** @param response whose answer it is */
  async print(task: PaperTask, response: Pick<Response, "once">): Promise<Buffer> {
    const key = createHash("sha256").update(JSON.stringify(task)).digest("hex");
    const printing = this.kept.get(key) ?? this.begin(key, task);
    printing.waiting++;
    response.once("close", () => {
      if (--printing.waiting > 0 || printing.made) return;
      this.forget(key, printing);
      printing.gone.abort();
    });
    return printing.paper;
  }

  private begin(key: string, task: PaperTask): Printing {
    const gone = new AbortController();
    const printing: Printing = { paper: this.run(task, gone.signal), made: false, waiting: 0, gone };
    this.kept.set(key, printing);
    if (this.kept.size > KEPT) this.kept.delete(this.kept.keys().next().value!);
    printing.paper.then(
      () => (printing.made = true),
      () => this.forget(key, printing),
    );
    return printing;
  }

  /** The next who asks begins anew. */
  private forget(key: string, printing: Printing): void {
    if (this.kept.get(key) === printing) this.kept.delete(key);
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
