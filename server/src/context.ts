/** What every subject of the server gets: the database and the time. */
import { QueryTypes } from "sequelize";
import type { ContactWay } from "@kind-grip/core/contact";
import type { Caller } from "./auth/caller";
import type { Db } from "./db/connection";
import type { Request } from "express";
import type { JobWorker } from "./job/worker";
import type { Mailer } from "./message/mail";
import type { Push } from "./message/push";

export interface AppContext {
  db: Db;
  /** The moment it is for a trainer's practice; demo practices live on a fixed day. */
  now(caller: Pick<Caller, "practiceId">): Promise<Date>;
  /** Of this installation; what it signs is good on every server of it. */
  secret: string;
  /** `host:port` of machines of the inside network that calendars may be read from. */
  insideCalendars: ReadonlySet<string>;
  /** Does what takes a while, beside everything else. */
  worker: JobWorker;
  /** Undefined where no mail server was named. */
  mail(): Mailer | undefined;
  /** Undefined where phones cannot be reached. */
  push(): Push | undefined;
  /** The ways this server can reach people by. */
  ways(): ContactWay[];
  /** What pages of the interface begin with, as it is passed on: PUBLIC_ADDRESS, else what the browser asked for. */
  addressOf(request: Request): string;
}

/**
 * The practice's clock: real time, or for a demo practice its own moment plus the time this server has been up. A demo that is started
 * again goes on from what was written last: what was held out stays held out.
 */
export function practiceClock(db: Db): AppContext["now"] {
  const startedMs = Date.now();
  // A practice is a demo from its beginning, or never.
  const demoNows = new Map<string, Promise<number | null>>();
  return async ({ practiceId }) => {
    if (!demoNows.has(practiceId)) demoNows.set(practiceId, demoMoment(db, practiceId));
    const demoNow = await demoNows.get(practiceId)!.catch((error: unknown) => {
      demoNows.delete(practiceId);
      throw error;
    });
    return new Date(demoNow === null ? Date.now() : demoNow + (Date.now() - startedMs));
  };
}

/** Where a demo's clock stands as a server starts: the demo's own moment, or just after the last thing written. Null for no demo. */
async function demoMoment({ models, sequelize }: Db, practiceId: string): Promise<number | null> {
  const demoNow = (await models.Practice.findByPk(practiceId))?.get().demoNow;
  if (!demoNow) return null;
  const moments = await sequelize.query<{ at: Date | null }>(LAST_WRITTEN, { replacements: { practiceId }, type: QueryTypes.SELECT });
  return Math.max(demoNow.getTime(), ...moments.flatMap(({ at }) => (at ? [new Date(at).getTime() + 1000] : [])));
}

const OF_PRACTICE = "JOIN crews c ON c.id = t.crewId JOIN accounts a ON a.id = c.trainerId WHERE a.practiceId = :practiceId";
const LAST_WRITTEN = [
  ["restrictions", "since"],
  ["clearances", "enteredAt"],
  ["symptom_alerts", "since"],
  ["symptom_alerts", "answeredAt"],
  ["decisions", "decidedAt"],
  ["check_ins", "at"],
  ["runs", "endedAt"],
  ["trail_entries", "at"],
]
  .map(([table, column]) => `SELECT MAX(t.${column}) AS at FROM ${table} t ${OF_PRACTICE}`)
  .join(" UNION ALL ");
