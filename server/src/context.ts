/** What every subject of the server gets: the database and the time. */
import type { Caller } from "./auth/caller";
import type { Db } from "./db/connection";

export interface AppContext {
  db: Db;
  /** The moment it is for a trainer's practice; demo practices live on a fixed day. */
  now(caller: Caller): Promise<Date>;
}

/** The practice's clock: real time, or for a demo practice its own moment plus the time this server has been up. */
export function practiceClock(db: Db): AppContext["now"] {
  const startedMs = Date.now();
  // A practice is a demo from its beginning, or never.
  const demoNows = new Map<string, Date | null>();
  return async ({ practiceId }) => {
    if (!demoNows.has(practiceId)) demoNows.set(practiceId, (await db.models.Practice.findByPk(practiceId))?.get().demoNow ?? null);
    const demoNow = demoNows.get(practiceId);
    return new Date(demoNow ? demoNow.getTime() + (Date.now() - startedMs) : Date.now());
  };
}
