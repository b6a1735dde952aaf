/**
 * One server at a time brings a database up to date and fills an empty one. The lock is a row, because `GET_LOCK` does not cross the nodes
 * of a cluster; it is renewed while its holder lives and runs out soon after it was killed.
 */
import { randomUUID } from "node:crypto";
import { QueryTypes } from "sequelize";
import type { Db } from "./connection";

const GOOD_FOR_SEC = 8;
const RENEW_EVERY_MS = 2000;
const LOOK_AGAIN_MS = 250;

interface StartLockOptions {
  /** Give up after this long, seconds. */
  patienceSec?: number;
  /** Called once when somebody else holds it. */
  onWait?(): void;
}

/** @throws Error when another server holds the lock for longer than the patience */
export async function withStartLock<Result>(
  { sequelize }: Db,
  work: () => Promise<Result>,
  { patienceSec = 180, onWait }: StartLockOptions = {},
): Promise<Result> {
  const holder = randomUUID();
  const ask = (sql: string) => sequelize.query(sql, { replacements: { holder } });
  await ask(
    "CREATE TABLE IF NOT EXISTS start_lock (id TINYINT NOT NULL PRIMARY KEY, holder CHAR(36) NOT NULL, goodUntil DATETIME(3) NOT NULL)",
  );
  const renew = () => ask(`UPDATE start_lock SET goodUntil = NOW(3) + INTERVAL ${GOOD_FOR_SEC} SECOND WHERE id = 1 AND holder = :holder`);
  const take = async () => {
    await ask("INSERT IGNORE INTO start_lock (id, holder, goodUntil) VALUES (1, '', '2000-01-01')");
    await ask(
      `UPDATE start_lock SET holder = :holder, goodUntil = NOW(3) + INTERVAL ${GOOD_FOR_SEC} SECOND WHERE id = 1 AND goodUntil < NOW(3)`,
    );
    const [row] = await sequelize.query<{ holder: string }>("SELECT holder FROM start_lock WHERE id = 1", { type: QueryTypes.SELECT });
    return row?.holder === holder;
  };
  const givesUpAt = Date.now() + patienceSec * 1000;
  for (let waited = false; !(await take()); waited = true) {
    if (!waited) onWait?.();
    if (Date.now() > givesUpAt) throw new Error("another server has been bringing this database up to date for too long");
    await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
  }
  const timer = setInterval(() => void renew().catch(() => undefined), RENEW_EVERY_MS);
  try {
    return await work();
  } finally {
    clearInterval(timer);
    // Given back at once; when that cannot be said any more, it runs out.
    await ask("UPDATE start_lock SET goodUntil = '2000-01-01' WHERE id = 1 AND holder = :holder").catch(() => undefined);
  }
}
