/** A crew shared among trainers: nothing before it is accepted, everything but whose it is after, nothing again the moment it ends. */
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let practiceId: string;
let maren: TestTrainer;
let teo: TestTrainer;
let teoId: string;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  practiceId = uuid();
  [maren, teo] = [await TestTrainer.make(test, practiceId), await TestTrainer.make(test, practiceId)];
  teoId = (await test.db.models.Account.findOne({ where: { email: teo.email } }))!.get().id;
  world = await makeWorld(maren);
});
afterAll(() => test.close());

const crew = () => `/api/crews/${world.crewId}`;
const colleagues = async (by = maren) => (await by.get(`${crew()}/colleagues`)).body;
const invite = (by = maren, id = teoId) => by.send("put", `${crew()}/colleagues/${id}`);
const accept = () => teo.send("post", `/api/invitations/${world.crewId}/accept`);
const share = async () => {
  await invite();
  expect((await accept()).status).toBe(204);
};
const crewsOf = async (by: TestTrainer) =>
  ((await by.get("/api/crews")).body as { id: string; sharedBy: string | null }[]).map(({ sharedBy }) => sharedBy);

it("an invited colleague sees the invitation and nothing of the crew; declining needs no right on it", async () => {
  expect((await invite()).body.colleagues).toMatchObject([{ accountId: teoId, accepted: false }]);
  expect((await teo.get("/api/invitations")).body).toMatchObject([{ crewId: world.crewId, by: "Test" }]);
  for (const path of [crew(), `${crew()}/people`, `${crew()}/colleagues`, `/api/programs/${world.programId}`])
    expect([path, (await teo.get(path)).status]).toEqual([path, 404]);
  expect(await crewsOf(teo)).toEqual([]);
  expect((await teo.send("delete", `/api/invitations/${world.crewId}`)).status).toBe(204);
  expect((await teo.get("/api/invitations")).body).toEqual([]);
  expect((await accept()).status).toBe(404);
});

it("who accepted works with everything of the crew, on Today too; twice is once", async () => {
  await share();
  expect((await accept()).status).toBe(204);
  expect(await crewsOf(teo)).toEqual(["Test"]);
  expect(await crewsOf(maren)).toEqual([null]);
  const program = { ...world.program, name: "Teo's change" };
  expect((await teo.send("put", `/api/programs/${world.programId}`, { version: 1, program })).status).toBe(200);
  const hold = { personId: world.people[0]!.id, question: "sharpPain" };
  expect((await teo.send("post", `${crew()}/restrictions`, hold)).status).toBe(200);
  expect((await teo.get("/api/today")).body.crews).toHaveLength(1);
  const trail = JSON.stringify((await maren.get(`${crew()}/audit?page=0`)).body.entries);
  expect(trail).toContain("invited Test");
  expect(trail).toContain("accepted to share the crew");
});

it("does not decide whose it is: no removing, no inviting on, no leads, no ending of others", async () => {
  await share();
  const ida = await TestTrainer.make(test, practiceId);
  const idaId = (await test.db.models.Account.findOne({ where: { email: ida.email } }))!.get().id;
  expect((await teo.send("delete", crew())).body.code).toBe("notOwn");
  expect((await invite(teo, idaId)).body.code).toBe("notOwn");
  const lead = { id: uuid(), name: "Lead", email: `${uuid()}@test.example`, role: "lead", crewIds: [world.crewId] };
  expect((await teo.send("post", "/api/practice/invitations", lead)).status).toBe(400);
  await invite(maren, idaId);
  expect((await teo.send("delete", `${crew()}/colleagues/${idaId}`)).body.code).toBe("notOwn");
  expect(await colleagues(teo)).toMatchObject({ own: false, others: [], colleagues: [{ accountId: teoId }] });
  expect(await colleagues()).toMatchObject({ own: true, colleagues: [{}, {}] });
});

it("ends at once from either side, also for what is open in a browser", async () => {
  await share();
  expect((await teo.get(`${crew()}/people`)).status).toBe(200);
  expect((await maren.send("delete", `${crew()}/colleagues/${teoId}`)).status).toBe(204);
  expect((await teo.get(`${crew()}/people`)).status).toBe(404);
  expect((await teo.send("put", `/api/programs/${world.programId}`, { version: 1, program: world.program })).status).toBe(404);
  await share();
  expect((await teo.send("delete", `/api/invitations/${world.crewId}`)).status).toBe(204);
  expect(await crewsOf(teo)).toEqual([]);
  expect((await maren.send("delete", `${crew()}/colleagues/${teoId}`)).status).toBe(404);
});

it("nobody of another practice, no lead and not oneself can be invited", async () => {
  const stranger = await TestTrainer.make(test);
  const strangerId = (await test.db.models.Account.findOne({ where: { email: stranger.email } }))!.get().id;
  const marenId = (await test.db.models.Account.findOne({ where: { email: maren.email } }))!.get().id;
  await maren.staff(test, "lead", [world.crewId]);
  const leadId = (await test.db.models.Account.findOne({ where: { practiceId, role: "lead" } }))!.get().id;
  for (const id of [strangerId, marenId, leadId, uuid()]) expect((await invite(maren, id)).status).toBe(404);
  expect((await invite(stranger, teoId)).status).toBe(404);
});

it("two invitations and two acceptances in the same moment are one share", async () => {
  const sent = await Promise.all([1, 2, 3, 4].map(() => invite()));
  expect(sent.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
  expect((await Promise.all([accept(), accept()])).map(({ status }) => status)).toEqual([204, 204]);
  expect((await colleagues()).colleagues).toHaveLength(1);
});
