/** Starting on a database: broken off anywhere and begun again, and two at once. */
import { QueryTypes, type Sequelize } from "sequelize";
import { TEST_KEYS } from "../test/data-keys";
import { emptyDatabase } from "../test/empty-database";
import { connect, type Db } from "./connection";
import { migrate } from "./migrate";
import { withStartLock } from "./start-lock";

/** Broken off after every third step in the long form: `LONG_TESTS=1 npm run test:api`. */
const EVERY = process.env.LONG_TESTS === "1" ? 3 : 29;

const opened: Db[] = [];
const openOn = (url: string): Db => {
  const db = connect(url, TEST_KEYS);
  opened.push(db);
  return db;
};
afterAll(() => Promise.all(opened.map((db) => db.sequelize.close())));

const shapeOf = ({ sequelize }: Db) =>
  sequelize.query<{ t: string; c: string; k: string }>(
    `SELECT TABLE_NAME AS t, COLUMN_NAME AS c, COLUMN_TYPE AS k, IS_NULLABLE AS n, COLUMN_KEY AS i FROM information_schema.COLUMNS
     WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME <> 'start_lock' ORDER BY TABLE_NAME, COLUMN_NAME`,
    { type: QueryTypes.SELECT },
  );

/** Makes the database break off after so many changes of its shape, as a kill would. */
function breakAfter(sequelize: Sequelize, changes: number): { asked(): number } {
  const ask = sequelize.query.bind(sequelize) as (...all: unknown[]) => Promise<unknown>;
  let asked = 0;
  sequelize.query = (async (...all: unknown[]) => {
    const sql = typeof all[0] === "string" ? all[0] : (all[0] as { query: string }).query;
    if (/^\s*(CREATE|ALTER|RENAME|UPDATE|INSERT)/i.test(sql) && ++asked > changes) throw new Error("broken off");
    return ask(...all);
  }) as typeof sequelize.query;
  return { asked: () => asked };
}

it("a start that was broken off after any step goes on at the next, and comes to the same tables", async () => {
  const whole = openOn(await emptyDatabase());
  const { asked } = breakAfter(whole.sequelize, Infinity);
  await migrate(whole);
  const [wanted, steps] = [await shapeOf(whole), asked()];
  expect(steps).toBeGreaterThan(60);
  for (let after = 0; after < steps; after += EVERY) {
    const url = await emptyDatabase();
    const broken = openOn(url);
    breakAfter(broken.sequelize, after);
    await expect(migrate(broken)).rejects.toThrow("broken off");
    const again = openOn(url);
    await migrate(again);
    expect([after, await shapeOf(again)]).toEqual([after, wanted]);
    expect(await migrate(again)).toEqual([]);
    await Promise.all([broken, again].map((db) => db.sequelize.close()));
    opened.splice(-2);
  }
}, 240_000);

describe("several servers starting on one database", () => {
  it("bring it up to date one after the other, each once", async () => {
    const url = await emptyDatabase();
    const ran = await Promise.all(
      Array.from({ length: 4 }, async () => {
        const db = openOn(url);
        return withStartLock(db, () => migrate(db));
      }),
    );
    expect(ran.filter((names) => names.length > 0)).toHaveLength(1);
  }, 60_000);
  it("never work at the same time, and the one that waits says so", async () => {
    const url = await emptyDatabase();
    let [inside, most] = [0, 0];
    const waited: number[] = [];
    await Promise.all(
      [1, 2, 3].map((each) =>
        withStartLock(
          openOn(url),
          async () => {
            most = Math.max(most, ++inside);
            await new Promise((resolve) => setTimeout(resolve, 120));
            inside--;
          },
          { onWait: () => waited.push(each) },
        ),
      ),
    );
    expect([most, waited.length]).toEqual([1, 2]);
  }, 60_000);
  it("the lock of one that was killed runs out", async () => {
    const db = openOn(await emptyDatabase());
    await withStartLock(db, async () => undefined);
    await db.sequelize.query("UPDATE start_lock SET holder = 'killed', goodUntil = NOW(3) + INTERVAL 1 SECOND");
    expect(await withStartLock(db, async () => "mine")).toBe("mine");
  }, 60_000);
  it("who waits for too long says so", async () => {
    const db = openOn(await emptyDatabase());
    await withStartLock(db, async () => undefined);
    await db.sequelize.query("UPDATE start_lock SET holder = 'other', goodUntil = NOW(3) + INTERVAL 1 HOUR");
    await expect(withStartLock(db, async () => undefined, { patienceSec: 0.3 })).rejects.toThrow(/for too long/);
  }, 60_000);
  it("is given back when the work fails", async () => {
    const db = openOn(await emptyDatabase());
    await expect(withStartLock(db, () => Promise.reject(new Error("no"))) as Promise<never>).rejects.toThrow("no");
    expect(await withStartLock(db, async () => "next", { patienceSec: 1 })).toBe("next");
  }, 60_000);
});
