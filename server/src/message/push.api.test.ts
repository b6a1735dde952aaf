/**
 * Reminders to phones, all the way: agreed to on the phone, signed and encrypted, taken and opened by the push service stand-in, which
 * knows neither this code nor the library it uses; a phone that is gone, a phone that changed hands, addresses that lead inside.
 */
import { spawn, type ChildProcess } from "node:child_process";
import { createServer, type AddressInfo } from "node:net";
import path from "node:path";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import type { OutsideServices } from "../app";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { outcomeOf, pushOf } from "./push";
import { sendDue } from "./worker";
import { waysOf } from "./ways";
import { processWords } from "../start/processes";

const root = path.resolve(__dirname, "../../..");
const outsides: OutsideServices = {};
let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let standIn: ChildProcess;
let service: string;

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, "127.0.0.1");
  await new Promise((done) => probe.once("listening", done));
  const { port } = probe.address() as AddressInfo;
  await new Promise((done) => probe.close(done));
  return port;
}
beforeAll(async () => {
  const port = await freePort();
  service = `http://127.0.0.1:${port}`;
  standIn = spawn(process.execPath, [...processWords("../../stand-ins/src/push.ts"), "--port", `${port}`], {
    cwd: root,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    env: { ...process.env, STARTER_PID: String(process.pid) },
  });
  test = await openTestApp(undefined, undefined, undefined, outsides);
  outsides.push = pushOf(test.db, { subject: "mailto:hands@practice.example", inside: new Set([`127.0.0.1:${port}`]) });
  trainer = await TestTrainer.make(test);
  for (let tries = 0; tries < 100; tries++) {
    if (await fetch(service).catch(() => undefined)) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error("the push service stand-in did not start");
});
beforeEach(async () => {
  await test.db.models.Message.destroy({ where: {} });
  world = await makeWorld(trainer);
});
afterAll(async () => {
  standIn.kill();
  await test.close();
});

interface Taken {
  phone: string;
  payload: { id: string; text: string };
  ttl: number;
  urgency: string;
  topic: string;
}
const newPhone = async (): Promise<{ endpoint: string; keys: object }> => {
  const body = JSON.stringify({ key: await outsides.push!.key() });
  return (await (await fetch(`${service}/subscriptions`, { method: "POST", body })).json()) as { endpoint: string; keys: object };
};
const takenBy = async (endpoint: string): Promise<Taken[]> => {
  const { messages } = (await (await fetch(`${service}/messages`)).json()) as { messages: Taken[] };
  return messages.filter(({ phone }) => endpoint.endsWith(phone));
};
const memberOf = (person: number) => trainer.member(test, world.crewId, world.people[person]!.id);
const give = async (person: number, address: object, device = "Chrome on Android") =>
  (await memberOf(person)).send("put", "/api/member/contacts", { way: "push", device, address });
const ofCrew = async () =>
  (await trainer.get(`/api/crews/${world.crewId}/contacts`)).body as { personId: string; withdrawnAt: string | null }[];

/** Queued for who can be reached, a week on. */
async function remind(): Promise<{ people: number; startsAt: string }> {
  const weekStart = addDays(mondayOf(new Date().toISOString().slice(0, 10)), 7);
  const startsAt = `${weekStart}T07:00:00.000Z`;
  const placement = {
    id: uuid(),
    programId: world.programId,
    sessionId: world.program.sessions[0]!.id,
    startsAt,
    people: null,
    groupName: null,
  };
  const saved = await trainer.send("put", `/api/crews/${world.crewId}/plan/${weekStart}`, { version: 0, placements: [placement] });
  expect(saved.status).toBe(200);
  const { body } = await trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: placement.id, atOnce: true });
  return { people: body.people, startsAt };
}
const send = (now = new Date(Date.now() + 1000)) => sendDue(test.db, waysOf(outsides), now);
const states = async () =>
  ((await trainer.get(`/api/crews/${world.crewId}/messages`)).body as { state: string; problem: string | null }[]).map(
    ({ state, problem }) => [state, problem],
  );

it("a phone that agreed gets it signed and encrypted, good until the session begins; its keys are seen by nobody", async () => {
  const phone = await newPhone();
  const own = (await give(0, phone)).body;
  expect(own).toMatchObject({ ways: ["push"], contacts: [{ way: "push", address: "Chrome on Android" }] });
  expect(own.pushKey).toBe(await outsides.push!.key());
  const { people, startsAt } = await remind();
  expect(people).toBe(1);
  const now = new Date(Date.now() + 1000);
  await send(now);
  expect(await states()).toEqual([["sent", null]]);
  const [message, ...more] = await takenBy(phone.endpoint);
  expect(more).toEqual([]);
  expect(message).toMatchObject({ urgency: "high", payload: { text: expect.stringContaining("Warm-up") } });
  expect(message!.topic).toBe(message!.payload.id.replaceAll("-", ""));
  expect(message!.ttl).toBe(Math.ceil((new Date(startsAt).getTime() - now.getTime()) / 1000));
  const { keys } = phone as unknown as { keys: { auth: string } };
  for (const address of [`/api/crews/${world.crewId}/contacts`, `/api/crews/${world.crewId}/export.json`])
    expect((await trainer.get(address)).text).not.toContain(keys.auth);
  const [row] = await test.db.models.Contact.findAll({ where: { personId: world.people[0]!.id } });
  expect(row!.get().address).toContain(keys.auth);
});

it("a phone that is gone is forgotten, and its message dropped", async () => {
  const phone = await newPhone();
  await give(0, phone);
  await remind();
  await fetch(phone.endpoint.replace("/push/", "/subscriptions/"), { method: "DELETE" });
  await send();
  expect(await states()).toEqual([["dropped", null]]);
  expect(await ofCrew()).toMatchObject([{ address: "", withdrawnAt: expect.any(String), withdrawnBy: null }]);
});

it("a phone is one person's: given by another of the crew it is theirs, and no longer the first one's", async () => {
  const phone = await newPhone();
  await give(0, phone);
  await give(1, await newPhone());
  await give(2, phone, "The bench tablet");
  const there = (await ofCrew()).filter(({ withdrawnAt }) => withdrawnAt === null).map(({ personId }) => personId);
  expect(there.sort()).toEqual([world.people[1]!.id, world.people[2]!.id].sort());
});

it("signed with another key than the phone was told it is not taken, and tried again", async () => {
  const key = "B".padEnd(87, "A");
  const body = JSON.stringify({ key });
  await give(0, (await (await fetch(`${service}/subscriptions`, { method: "POST", body })).json()) as object);
  await remind();
  await send();
  expect(await states()).toEqual([["waiting", "the push service answered 403"]]);
});

it.each([
  ["http://push.example/1", "address.endpoint"],
  ["http://127.0.0.1:1/1", "address.endpoint"],
  ["ftp://push.example/1", "address.endpoint"],
  ["not an address", "address.endpoint"],
])("%s is no address of a push service", async (endpoint, path) => {
  const { keys } = await newPhone();
  const { status, body } = await give(0, { endpoint, keys });
  expect([status, body.fields[0].path]).toEqual([400, path]);
});

it("an address that leads inside is never called, and forgotten", async () => {
  const { keys } = await newPhone();
  expect((await give(0, { endpoint: "https://127.0.0.1:9/push", keys })).status).toBe(200);
  await remind();
  await send();
  expect(await states()).toEqual([["dropped", null]]);
  expect(await ofCrew()).toMatchObject([{ withdrawnAt: expect.any(String) }]);
});

it("keys that are none are told at their field; a trainer cannot write a phone down", async () => {
  const phone = await newPhone();
  const { status, body } = await give(0, { ...phone, keys: { p256dh: "AA", auth: "!" } });
  expect([status, body.fields.map(({ path }: { path: string }) => path)]).toEqual([400, ["address.keys.p256dh", "address.keys.auth"]]);
  const address = `/api/crews/${world.crewId}/people/${world.people[0]!.id}/contacts`;
  expect((await trainer.send("put", address, { way: "push", device: "x", address: phone })).status).toBe(400);
});

it("every process of a server signs with one pair of keys, however many begin at once", async () => {
  await test.db.models.PushKey.destroy({ where: {} });
  const options = { subject: "mailto:hands@practice.example", inside: new Set<string>() };
  const made = await Promise.all(Array.from({ length: 6 }, () => pushOf(test.db, options).key()));
  expect(new Set(made).size).toBe(1);
});

it.each([
  [200, { taken: true }],
  [201, { taken: true }],
  [299, { taken: true }],
  [199, { taken: false, problem: "the push service answered 199" }],
  [300, { taken: false, problem: "the push service answered 300" }],
  [404, { taken: false, gone: true }],
  [410, { taken: false, gone: true }],
  [429, { taken: false, problem: "the push service answered 429" }],
])("%i is read as %j", (status, outcome) => expect(outcomeOf(status)).toEqual(outcome));
