/** A database of its own beside the others', with nothing in it, for what looks at all of one. */
import * as mariadb from "mariadb";
import { v7 as uuid } from "uuid";
import { openTestApp, type TestApp } from "./test-app";

/** @returns its address; it ends with the server of the tests */
export async function emptyDatabase(): Promise<string> {
  const url = new URL(process.env.TEST_DATABASE_URL!);
  const connection = await mariadb.createConnection(url.href);
  url.pathname = `/kind_grip_empty_${uuid().slice(-12)}`;
  await connection.query(`CREATE DATABASE ${url.pathname.slice(1)}`);
  await connection.end();
  return url.href;
}

/** Runs what a dump says. */
export async function fillDatabase(address: string, dump: string): Promise<void> {
  const { hostname: host, port, username: user, password, pathname } = new URL(address);
  const database = pathname.slice(1);
  const connection = await mariadb.createConnection({ host, port: Number(port), user, password, database, multipleStatements: true });
  await connection.query(dump);
  await connection.end();
}

export async function onEmptyDatabase(run: (empty: TestApp) => Promise<void>): Promise<void> {
  const empty = await openTestApp(await emptyDatabase());
  try {
    await run(empty);
  } finally {
    await empty.db.sequelize.query(`DROP DATABASE ${empty.db.sequelize.config.database}`);
    await empty.close();
  }
}
