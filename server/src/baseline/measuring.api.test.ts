/** People measured twice, in any crew of the practice, and what its differences are held against since. */
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { v7 as uuid } from "uuid";
import { makeWorld, samplePeople, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
});
afterAll(() => test.close());

const isStored = ({ status, text }: { status: number; text: string }) => expect([status, text]).toEqual([200, text]);
const withFlexion = (deg: number): BaselineRecord => {
  const record = structuredClone(emptyRecord());
  record.range.wristFlexion.right.active = deg;
  return record;
};
const addRound = (by: TestTrainer, world: SampleWorld, id: string, repeats?: string) =>
  by.send("post", `/api/crews/${world.crewId}/rounds`, { id, name: repeats ? "Second" : "First", repeats });

/** Two sittings of a crew, a week apart; person i reads 60° and then 60° and what is said. */
async function measuredTwice(
  by: TestTrainer,
  differences: readonly number[],
  days = 7,
): Promise<{ world: SampleWorld; first: string; second: string }> {
  const world = await makeWorld(by);
  const more = samplePeople(differences.length - world.people.length).map((person, i) => ({
    ...person,
    name: `More ${i}`,
    badge: `M-${i}`,
  }));
  if (more.length > 0) await by.send("post", `/api/crews/${world.crewId}/people`, { people: more }).then(isStored);
  const people = [...world.people, ...more].slice(0, differences.length);
  const [first, second] = [uuid(), uuid()];
  await addRound(by, world, first);
  for (const { id } of people)
    await by.send("put", `/api/rounds/${first}/people/${id}`, { version: 0, record: withFlexion(60) }).then(isStored);
  await addRound(by, world, second, first);
  for (const [i, { id }] of people.entries())
    await by.send("put", `/api/rounds/${second}/people/${id}`, { version: 0, record: withFlexion(60 + differences[i]!) }).then(isStored);
  await test.db.models.Round.update({ startedOn: "2026-03-02" }, { where: { id: first } });
  await test.db.models.Round.update({ startedOn: `2026-03-${String(2 + days).padStart(2, "0")}` }, { where: { id: second } });
  return { world, first, second };
}
const measuring = async (by: TestTrainer) => (await by.get("/api/practice/measuring").expect(200)).body;
const choose = (by: TestTrainer, own: boolean, id = uuid()) => by.send("post", "/api/practice/measuring", { id, own });
const TEN = [4, -4, 4, -4, 4, -4, 4, -4, 4, -4];

describe("a second sitting", () => {
  it("is of a round of the crew in which somebody was measured, is not asked on phones, and is told as one", async () => {
    const world = await makeWorld(trainer);
    const [first, second] = [uuid(), uuid()];
    await addRound(trainer, world, first);
    expect(fieldsOf(await addRound(trainer, world, second, first))).toEqual({ repeats: "has nobody measured in it yet" });
    await trainer.send("put", `/api/rounds/${first}/people/${world.people[0]!.id}`, { version: 0, record: withFlexion(60) });
    const made = await trainer.send("post", `/api/crews/${world.crewId}/rounds`, {
      id: second,
      name: "Second",
      repeats: first,
      asksOnPhones: true,
    });
    expect(made.body).toMatchObject({ repeats: first, asksOnPhones: false });
    expect(
      (await trainer.send("put", `/api/rounds/${second}`, { name: "Second", closed: false, asksOnPhones: true })).body.asksOnPhones,
    ).toBe(false);
    await trainer.send("put", `/api/rounds/${second}/people/${world.people[0]!.id}`, { version: 0, record: withFlexion(61) });
    expect(fieldsOf(await addRound(trainer, world, uuid(), second))).toEqual({ repeats: "is itself a second sitting" });
    const other = await makeWorld(trainer);
    expect(fieldsOf(await addRound(trainer, other, uuid(), first))).toEqual({ repeats: "is no round of this crew" });
  });
  it("is no before and after: the review holds rounds of their own against each other", async () => {
    const { world } = await measuredTwice(trainer, [20, 20]);
    const { body } = await trainer.get(`/api/crews/${world.crewId}/review?weeks=4`).expect(200);
    expect(body.rounds).toBeNull();
  });
});

describe("the noise", () => {
  it("is worked out from ten people on, without their names, and holds when it is chosen; a way back is kept too", async () => {
    const { world, second } = await measuredTwice(trainer, TEN);
    const before = await measuring(trainer);
    expect(before).toMatchObject({
      used: {},
      chosen: [],
      found: [{ measure: "wristFlexion", people: 10, own: { countsFrom: 8, firstOn: "2026-03-02", lastOn: "2026-03-09" } }],
      sittings: [{ roundId: second, crew: { id: world.crewId }, people: 10, isApart: true }],
    });
    for (const { id, name } of world.people) {
      expect(JSON.stringify(before)).not.toContain(id);
      expect(JSON.stringify(before)).not.toContain(name);
    }
    expect((await trainer.get("/api/me")).body.account.noise).toEqual({});
    const id = uuid();
    for (let i = 0; i < 2; i++)
      expect((await choose(trainer, true, id)).body).toMatchObject({ used: { wristFlexion: { countsFrom: 8 } }, chosen: [{ own: true }] });
    expect((await trainer.get("/api/me")).body.account.noise.wristFlexion.countsFrom).toBe(8);
    expect((await choose(trainer, false)).body).toMatchObject({ used: {}, chosen: [{ own: false }, { own: true }] });
    expect((await trainer.get("/api/me")).body.account.noise).toEqual({});
  });
  it("of nine people, and of sittings five weeks apart, cannot be chosen", async () => {
    await measuredTwice(trainer, TEN.slice(0, 9));
    const answer = await choose(trainer, true);
    expect([answer.status, answer.body.code]).toEqual([409, "tooFew"]);
    const { second } = await measuredTwice(trainer, TEN);
    await test.db.models.Round.update({ startedOn: "2026-04-06" }, { where: { id: second } });
    expect((await measuring(trainer)).sittings).toEqual(
      expect.arrayContaining([expect.objectContaining({ roundId: second, people: 10, isApart: false })]),
    );
    expect((await choose(trainer, true)).status).toBe(409);
  });
  it("is of all trainers of the practice, and of no other practice; a colleague's crew is not named", async () => {
    const practiceId = uuid();
    const [ada, bo] = [await TestTrainer.make(test, practiceId), await TestTrainer.make(test, practiceId)];
    await measuredTwice(ada, TEN.slice(0, 5));
    const { world } = await measuredTwice(bo, TEN.slice(0, 5));
    expect(await measuring(ada)).toMatchObject({ found: [{ people: 10, own: { countsFrom: 8 } }] });
    expect((await measuring(bo)).sittings.map(({ crew }: { crew: { id: string } | null }) => crew?.id ?? null).sort()).toEqual(
      [world.crewId, null].sort(),
    );
    await choose(ada, true).then(isStored);
    expect((await bo.get("/api/me")).body.account.noise.wristFlexion.countsFrom).toBe(8);
    expect(await measuring(trainer)).toMatchObject({ used: {}, found: [], sittings: [] });
  });
  it("counts what was measured beyond it in the review", async () => {
    await measuredTwice(trainer, TEN);
    const world = await makeWorld(trainer);
    const [first, last] = [uuid(), uuid()];
    for (const [round, deg, day] of [
      [first, 60, "2026-03-02"],
      [last, 69, "2026-04-20"],
    ] as const) {
      await addRound(trainer, world, round);
      await trainer.send("put", `/api/rounds/${round}/people/${world.people[0]!.id}`, { version: 0, record: withFlexion(deg) });
      await test.db.models.Round.update({ startedOn: day }, { where: { id: round } });
    }
    const better = async () => {
      const { body } = await trainer.get(`/api/crews/${world.crewId}/review?weeks=4`).expect(200);
      return (body.people as { changes: { verdict: string; countsFrom: number }[] }[]).flatMap(({ changes }) => changes ?? []);
    };
    expect(await better()).toEqual([]);
    await choose(trainer, true).then(isStored);
    expect(await better()).toMatchObject([{ verdict: "better", countsFrom: 8 }]);
  });
});
