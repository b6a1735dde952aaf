/** Where people agreed to be reminded: by themselves and through their trainer, taken back, and nobody else's. */
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let member: TestCaller;
const MAIL = { way: "email", address: "Ann@Crew.Example" };
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, { mail: () => Promise.resolve() });
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  member = await trainer.member(test, world.crewId, world.people[0]!.id);
});
afterAll(() => test.close());

const own = async () => (await member.get("/api/member/contacts")).body;
const ofCrew = async () => (await trainer.get(`/api/crews/${world.crewId}/contacts`)).body;
const forPerson = (person = 0) => `/api/crews/${world.crewId}/people/${world.people[person]!.id}/contacts`;

it("given on the own phone it is there with when and by whom; the ways are those of the server", async () => {
  expect(await own()).toEqual({ contacts: [], ways: ["email"], pushKey: null });
  const { body } = await member.send("put", "/api/member/contacts", MAIL);
  expect(body.contacts).toMatchObject([{ way: "email", address: "ann@crew.example", givenBy: null, withdrawnAt: null }]);
  expect(await ofCrew()).toMatchObject([{ personId: world.people[0]!.id, givenBy: null }]);
});

it("taken back, the address is forgotten; that there was a consent, and until when, stays for the trainer", async () => {
  const { body } = await member.send("put", "/api/member/contacts", MAIL);
  const address = `/api/member/contacts/${body.contacts[0].id}`;
  expect((await member.send("delete", address)).body.contacts).toEqual([]);
  const [kept] = await ofCrew();
  expect(kept).toMatchObject({ address: "", withdrawnBy: null });
  await member.send("delete", address);
  expect(await ofCrew()).toEqual([kept]);
  const row = await test.db.models.Contact.findByPk(kept.id);
  expect(row!.get().address).toBeNull();
});

it("another address of the same way takes its place; the same again changes nothing; two at once leave one", async () => {
  await member.send("put", "/api/member/contacts", MAIL);
  await member.send("put", "/api/member/contacts", MAIL);
  expect(await ofCrew()).toHaveLength(1);
  await Promise.all(
    ["a", "b", "c"].map((name) => member.send("put", "/api/member/contacts", { ...MAIL, address: `${name}@crew.example` })),
  );
  const all = (await ofCrew()) as { withdrawnAt: string | null }[];
  expect([all.length, all.filter(({ withdrawnAt }) => withdrawnAt === null).length]).toEqual([4, 1]);
});

it("a trainer writes down what a person told them, with their own name, and takes it back for them", async () => {
  const { body } = await trainer.send("put", forPerson(1), { way: "telephone", address: "0049 170 1234567" });
  expect(body).toMatchObject([{ address: "+491701234567", givenBy: expect.any(String) }]);
  const after = await trainer.send("delete", `${forPerson(1)}/${body[0].id}`);
  expect(after.body).toMatchObject([{ address: "", withdrawnBy: body[0].givenBy }]);
});

it.each([
  ["no address", { way: "email", address: "ann" }, "address"],
  ["a number of no country", { way: "telephone", address: "0170 1234567" }, "address"],
  ["a way there is none", { way: "pigeon", address: "loft" }, "way"],
])("%s is refused, by its field", async (_, contact, path) => {
  const { status, body } = await member.send("put", "/api/member/contacts", contact);
  expect([status, body.fields[0].path]).toEqual([400, path]);
  expect(await ofCrew()).toEqual([]);
});

it("nobody reaches another's: another member, another person's address, another crew, another practice", async () => {
  const id = (await member.send("put", "/api/member/contacts", MAIL)).body.contacts[0].id;
  const other = await trainer.member(test, world.crewId, world.people[1]!.id);
  expect((await other.send("delete", `/api/member/contacts/${id}`)).status).toBe(404);
  expect((await trainer.send("delete", `${forPerson(1)}/${id}`)).status).toBe(404);
  const stranger = await TestTrainer.make(test);
  expect((await stranger.get(`/api/crews/${world.crewId}/contacts`)).status).toBe(404);
  expect((await stranger.send("put", forPerson(), MAIL)).status).toBe(404);
  const elsewhere = await makeWorld(stranger);
  const foreign = `/api/crews/${elsewhere.crewId}/people/${world.people[0]!.id}/contacts`;
  expect((await stranger.send("put", foreign, MAIL)).status).toBe(404);
  expect((await stranger.send("delete", `${foreign}/${id}`)).status).toBe(404);
  expect(await ofCrew()).toHaveLength(1);
});

it("goes with the person, and is in the crew's export", async () => {
  await member.send("put", "/api/member/contacts", MAIL);
  expect((await trainer.get(`/api/crews/${world.crewId}/export.json`)).body.contacts).toMatchObject([{ address: "ann@crew.example" }]);
});
