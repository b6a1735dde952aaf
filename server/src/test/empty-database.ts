/** A database of its own beside the others', with nothing in it, for what looks at all of one. */
import { v7 as uuid } from "uuid";
import { openTestApp, type TestApp } from "./test-app";

/** @param test whose database server it is on */
export async function onEmptyDatabase(test: TestApp, run: (empty: TestApp) => Promise<void>): Promise<void> {
  const name = `kind_grip_empty_${uuid().slice(-12)}`;
  await test.db.sequelize.query(`CREATE DATABASE ${name}`);
  const url = new URL(process.env.TEST_DATABASE_URL!);
  url.pathname = `/${name}`;
  const empty = await openTestApp(url.href);
  try {
    await run(empty);
  } finally {
    await empty.close();
    await test.db.sequelize.query(`DROP DATABASE ${name}`);
  }
}
