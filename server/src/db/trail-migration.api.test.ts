/** The trail of an earlier version is carried over whole: who, what, of whom, when and how often; a start that broke in the middle goes on. */
import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { trail } from "./migrations/0014-trail";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let accountId: string;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  accountId = (await test.db.models.Account.findOne({ where: { email: trainer.email } }))!.get().id;
});
afterAll(() => test.close());

const ask = (sql: string, replacements: object = {}) =>
  test.db.sequelize.query(sql, { replacements: replacements as Record<string, unknown> });
const up = () => trail.up(test.db.sequelize.getQueryInterface());
/** The table as it was, with a reading that was counted seven times and a change. */
async function asItWas(): Promise<void> {
  await ask(`CREATE TABLE audit_entries (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NULL, accountId CHAR(36) NOT NULL, act VARCHAR(10) NOT NULL,
    subject VARCHAR(20) NOT NULL, what VARCHAR(160) NOT NULL, at DATETIME(3) NOT NULL, lastAt DATETIME(3) NOT NULL, times INT NOT NULL)`);
  const of = { crewId: world.crewId, personId: world.people[0]!.id, accountId };
  const row =
    "INSERT INTO audit_entries (crewId, personId, accountId, act, subject, what, at, lastAt, times) VALUES (:crewId, :personId, :accountId";
  await ask(`${row}, 'saw', 'baseline', 'record', '2026-03-01 08:00:00', '2026-03-01 08:09:00', 7)`, of);
  await ask(`${row}, 'changed', 'restriction', 'raised', '2026-03-02 08:00:00', '2026-03-02 08:00:00', 1)`, of);
}
const lines = async () => {
  const { body } = await trainer.get(`/api/crews/${world.crewId}/audit?page=0`);
  type Line = { act: string; what: string; at: string; lastAt: string; times: number; by: string };
  return (body.entries as Line[])
    .filter(({ what }) => ["record", "raised"].includes(what))
    .map(({ act, what, at, lastAt, times, by }) => [act, what, at, lastAt, times, by]);
};
const CARRIED = [
  ["changed", "raised", "2026-03-02T08:00:00.000Z", "2026-03-02T08:00:00.000Z", 1, "Test"],
  ["saw", "record", "2026-03-01T08:00:00.000Z", "2026-03-01T08:09:00.000Z", 7, "Test"],
];
const oldTable = () => test.db.sequelize.query("SHOW TABLES LIKE 'audit_entries'", { type: QueryTypes.SELECT });

it("every line is there with its first and last moment and its count, and the old table is gone", async () => {
  await asItWas();
  await up();
  expect(await lines()).toEqual(CARRIED);
  expect(await oldTable()).toEqual([]);
  const ids = await test.db.models.TrailEntry.findAll({ where: { crewId: world.crewId, what: ["record", "raised"] }, attributes: ["id"] });
  for (const row of ids) expect(row.get().id).toMatch(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/);
});

it("run again after it broke off between carrying over and clearing away, nothing is there twice", async () => {
  await asItWas();
  await up();
  expect(await lines()).toEqual(CARRIED);
  await up();
  expect(await lines()).toEqual(CARRIED);
});

it("rows of a crew that is not there any more stop nothing", async () => {
  await asItWas();
  await ask("UPDATE audit_entries SET crewId = :crewId", { crewId: uuid() });
  await up();
  expect(await oldTable()).toEqual([]);
});
