/** A demo that is started again: its clock goes on from what was written last, so that what was held out today stays held out. */
import { v7 as uuid } from "uuid";
import { practiceClock } from "../context";
import { makeWorld } from "../test/samples";
import { openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

const DEMO_NOW = new Date("2026-03-26T05:40:00.000Z");
const practiceId = uuid();
let test: TestApp;
beforeAll(async () => {
  test = await openTestApp();
  await test.db.models.Practice.create({ id: practiceId, name: "A demo", demoNow: DEMO_NOW });
});
afterAll(() => test.close());

it("begins at the demo's own moment, and after a restart not before what was entered", async () => {
  const caller = { role: "trainer" as const, accountId: uuid(), practiceId };
  expect((await practiceClock(test.db)(caller)).getTime() - DEMO_NOW.getTime()).toBeLessThan(5000);
  const trainer = await TestTrainer.make(test, practiceId);
  const world = await makeWorld(trainer);
  const [person] = world.people;
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: person!.id, question: "hotJoint" });
  // Entered late in the day, by a server that had been up for hours.
  const late = new Date(DEMO_NOW.getTime() + 7 * 3600_000);
  await test.db.models.Restriction.update({ since: late }, { where: { personId: person!.id } });
  const again = await openTestApp();
  expect((await practiceClock(again.db)(caller)).getTime()).toBeGreaterThan(late.getTime());
  const restarted = await TestTrainer.make(again, practiceId);
  expect(restarted.email).not.toBe(trainer.email);
  const member = await trainer.member({ ...test, app: again.app }, world.crewId, person!.id);
  expect((await member.get("/api/member/day")).body.heldOut).toBe(true);
  await again.close();
});

it("whoever leaves in the demo's next month is let in with their card: it is the demo's clock that says who is gone", async () => {
  const trainer = await TestTrainer.make(test, practiceId);
  const world = await makeWorld(trainer);
  const [person] = world.people;
  const { body } = await trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: [person!.id] });
  const card = { token: body.cards[0].token };
  await test.db.models.Person.update({ leftOn: "2026-04-30" }, { where: { id: person!.id } });
  await (await TestCaller.signedIn(test, "/api/member/card", card)).get("/api/member/day").expect(200);
  await test.db.models.Person.update({ leftOn: "2026-03-25" }, { where: { id: person!.id } });
  await expect(TestCaller.signedIn(test, "/api/member/card", card)).rejects.toThrow("401");
});
