/**
 * The one way to write: a transaction that sees what is committed, begun anew when the database asks for that, and never a second
 * connection inside it. What runs in it may run more than once: it changes nothing but the database.
 */
import { AsyncLocalStorage } from "node:async_hooks";
import { Transaction, type QueryOptions, type Sequelize } from "sequelize";
import type { Db } from "./connection";

/** Reads everything as it stands at one moment, while others go on writing. */
export const inOneMoment = <Result>({ sequelize }: Db, read: (transaction: Transaction) => Promise<Result>): Promise<Result> =>
  sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ }, read);

/** Deadlock, lock time-out, a cluster's "certification failed" and "not ready", and connections that were lost before the commit. */
const WORTH_ANOTHER_TRY = new Set(["ER_LOCK_DEADLOCK", "ER_LOCK_WAIT_TIMEOUT", "ER_UNKNOWN_COM_ERROR", "WSREP_NOT_READY"]);
/** Six were too few for fifty changes of one crew at once on two nodes of a cluster: one of three hundred was turned away. */
const TRIES = 14;
const FIRST_WAIT_MS = 15;
const LONGEST_WAIT_MS = 240;

const inside = new AsyncLocalStorage<true>();

/**
 * @param work everything it asks of the database carries the transaction it is given
 * @throws what `work` throws; what the database says when it still asks for another try after several
 */
export async function inTransaction<Result>(db: Db, work: (transaction: Transaction) => Promise<Result>): Promise<Result> {
  for (let tries = 1; ; tries++) {
    try {
      return await inside.run(true, () =>
        db.sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED }, (transaction) => work(transaction)),
      );
    } catch (error) {
      if (tries >= TRIES || !isWorthAnotherTry(error)) throw error;
      // Whoever collided waits a different while each, or they would collide again.
      await new Promise((resolve) =>
        setTimeout(resolve, Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (tries - 1)) * (0.5 + Math.random())),
      );
    }
  }
}

export function isWorthAnotherTry(error: unknown): boolean {
  const { parent, code, errno, sqlState } = error as { parent?: unknown; code?: string; errno?: number; sqlState?: string };
  if (parent) return isWorthAnotherTry(parent);
  return WORTH_ANOTHER_TRY.has(code ?? "") || errno === 1213 || errno === 1205 || errno === 1047 || sqlState === "40001";
}

/**
 * Makes a question that is asked inside a transaction but not of it fail. It would take a second connection of the pool: enough writers
 * at once and all of them wait for one another. For tests; a running server answers rather than being strict.
 */
export function refuseSecondConnections(sequelize: Sequelize): void {
  const ask = sequelize.query.bind(sequelize) as (sql: unknown, options?: QueryOptions) => Promise<unknown>;
  sequelize.query = ((sql: unknown, options?: QueryOptions) => {
    if (inside.getStore() && !options?.transaction)
      throw new Error(`asked outside the transaction it runs in: ${String(sql).slice(0, 200)}`);
    return ask(sql, options);
  }) as typeof sequelize.query;
}
