/**
 * Does what is asked for, one after the other, in a thread of its own: whoever asks for anything else meanwhile is answered as always.
 * Any number of server processes may run one: work is taken for a few seconds at a time, and what a process took that was killed is taken
 * by the next.
 */
import { MessageChannel } from "node:worker_threads";
import Piscina from "piscina";
import { v7 as uuid } from "uuid";
import type { Db } from "../db/connection";
import { threadFile } from "../built";
import type { JobRow } from "./tables";
import { putAway } from "./put-away";
import type { JobTask, ThreadExport, ThreadPaper } from "./task";

/** Without a sign of life for this long, another may take it. */
export const LEASE_MS = 15_000;
const SIGN_OF_LIFE_MS = 1000;
const LOOK_MS = 1000;
const MOST_TRIES = 3;
/** What was made, and what was not, is forgotten after a day: it can be asked for again. */
const KEPT_MS = 24 * 3600_000;
/** A thread that has had nothing to do for so long is let go, with what it holds. To begin anew costs several seconds of processor. */
const IDLE_MS = 10 * 60_000;

const PAPER_MAKER = threadFile("./job/make-paper.ts");
const EXPORT_MAKER = threadFile("./job/make-export.ts");

export class JobWorker {
  private pool: Piscina | undefined;
  private readonly timer: NodeJS.Timeout;
  private round: Promise<void> | undefined;
  private stopped = false;
  private lookedForOld = 0;

  /** @param isAtWork false where another process makes what is asked for here */
  constructor(
    private readonly db: Db,
    private readonly isAtWork = true,
  ) {
    this.timer = setInterval(() => this.wake(), LOOK_MS);
    this.timer.unref();
  }

  /** Looks for work now instead of within a second. */
  wake(): void {
    if (!this.isAtWork) return;
    // A database that is away is asked again the next time.
    this.round ??= this.doAll()
      .catch(() => undefined)
      .finally(() => (this.round = undefined));
  }

  async stop(): Promise<void> {
    this.stopped = true;
    clearInterval(this.timer);
    await this.pool?.destroy();
    await this.round;
  }

  private async doAll(): Promise<void> {
    await this.forgetOld();
    for (let job = await this.take(); job && !this.stopped; job = await this.take()) await this.make(job);
  }

  private async take(now = new Date()): Promise<JobRow | undefined> {
    const takenBy = uuid();
    await this.db.sequelize.query(
      `UPDATE jobs SET state = 'making', takenBy = :takenBy, takenUntil = :until, tries = tries + 1
       WHERE state = 'waiting' OR (state = 'making' AND takenUntil < :now) ORDER BY askedAt LIMIT 1`,
      { replacements: { takenBy, now, until: new Date(now.getTime() + LEASE_MS) } },
    );
    const job = (await this.db.models.Job.findOne({ where: { takenBy }, attributes: { exclude: ["file"] } }))?.get({ plain: true });
    if (!job || job.tries <= MOST_TRIES) return job;
    await this.end(job, { state: "failed", problem: "It was begun several times and never finished." });
    return this.take(now);
  }

  private async make(job: JobRow): Promise<void> {
    const gone = new AbortController();
    let progress: number | null = null;
    const signs = setInterval(() => {
      void this.stillWanted(job, progress).then((wanted) => wanted || gone.abort());
    }, SIGN_OF_LIFE_MS);
    try {
      await this.run(job, gone.signal, (share) => (progress = share));
    } catch (error) {
      // Stopped or taken back: whoever asked begins anew, or nobody wants it.
      if (!this.stopped && !gone.signal.aborted) await this.end(job, { state: "failed", problem: (error as Error).message.slice(0, 600) });
    } finally {
      clearInterval(signs);
    }
  }

  /** Tells how far it is and takes it for another while. @returns false when it was taken back, or taken by another */
  private async stillWanted({ id, takenBy }: JobRow, progress: number | null): Promise<boolean> {
    const change = { progress, takenUntil: new Date(Date.now() + LEASE_MS) };
    // Away for a moment: as long as the lease lasts nobody else begins.
    const [changed] = await this.db.models.Job.update(change, { where: { id, takenBy, state: "making" } }).catch(() => [1]);
    return changed > 0;
  }

  private async end({ id, takenBy }: JobRow, change: Partial<JobRow>): Promise<void> {
    await this.db.models.Job.update(change, { where: { id, takenBy, state: "making" } });
  }

  private async run({ id, takenBy, task }: JobRow, signal: AbortSignal, onProgress: (share: number) => void): Promise<void> {
    this.pool ??= new Piscina({
      execArgv: PAPER_MAKER.execArgv,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: IDLE_MS,
    });
    const job = { id, takenBy: takenBy! };
    const asked = JSON.parse(task!) as JobTask;
    if (asked.kind === "crewExport" || asked.kind === "trailExport") {
      const sent: ThreadExport = { task: asked, job, databaseUrl: this.db.url, dataKeys: this.db.keys.toText() };
      await this.pool.run(sent, { filename: EXPORT_MAKER.filename, signal });
      return;
    }
    const { port1, port2 } = new MessageChannel();
    port1.on("message", onProgress);
    const sent: ThreadPaper = { task: asked, progress: port2 };
    const paper = (await this.pool.run(sent, { filename: PAPER_MAKER.filename, signal, transferList: [port2] })) as Uint8Array;
    await putAway(this.db, job, Buffer.from(paper.buffer, paper.byteOffset, paper.byteLength));
  }

  private async forgetOld(now = Date.now()): Promise<void> {
    if (now - this.lookedForOld < KEPT_MS / 24) return;
    this.lookedForOld = now;
    await this.db.sequelize.query("DELETE FROM jobs WHERE askedAt < :until", { replacements: { until: new Date(now - KEPT_MS) } });
  }
}
