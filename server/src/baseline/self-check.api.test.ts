/** What people answer on their own phones before a round: filed once, acting at once, lost by nothing that happens meanwhile. */
import { emptyRecord, type BaselineRecord, type SelfCheck } from "@kind-grip/core/baseline";
import type { MemberDay } from "@kind-grip/core/api";
import { QUESTION_IDS, type SafetyAnswers, type Symptom } from "@kind-grip/core/safety";
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let roundId: string;
let member: TestCaller;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  roundId = uuid();
  await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Spring", asksOnPhones: true });
  member = await trainer.member(test, world.crewId, world.people[0]!.id);
});
afterAll(() => test.close());

const noTo = (change: Partial<SafetyAnswers> = {}) =>
  ({ ...Object.fromEntries(QUESTION_IDS.map((id) => [id, false])), ...change }) as SafetyAnswers;
const felt = (change: Partial<Symptom> = {}): Symptom => ({
  id: uuid(),
  side: "right",
  region: "wristFlexors",
  kind: "ache",
  level: 3,
  since: null,
  nights: "never",
  constant: false,
  ...change,
});
const checkOf = (change: Partial<SelfCheck> = {}): SelfCheck => ({
  id: uuid(),
  roundId,
  at: new Date().toISOString(),
  safety: noTo(),
  symptoms: [],
  handedness: "left",
  ...change,
});
const send = (check: SelfCheck, by = member) => by.send("put", `/api/member/self-checks/${check.id}`, check);
const day = async (of = member) => (await of.get("/api/member/day")).body as MemberDay;
const record = async (person = 0) =>
  ((await trainer.get(`/api/rounds/${roundId}/records`)).body as { personId: string; version: number; record: BaselineRecord }[]).find(
    ({ personId }) => personId === world.people[person]!.id,
  );
const restrictions = async () =>
  (
    (await trainer.get(`/api/crews/${world.crewId}/held-out`)).body.restrictions as {
      personId: string;
      question: string;
      roundId: string | null;
    }[]
  ).map(({ question, roundId: of }) => [question, of]);

describe("asked on the phone", () => {
  it("while a round that asks is open, until it was answered", async () => {
    expect((await day()).selfCheck).toEqual({ id: roundId, name: "Spring" });
    expect((await send(checkOf())).body.stored).toBe("new");
    expect((await day()).selfCheck).toBeNull();
  });
  it("not by a round that does not ask, or that is closed, or whose questions the trainer asked", async () => {
    await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring", closed: false, asksOnPhones: false });
    expect((await day()).selfCheck).toBeNull();
    await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring", closed: true, asksOnPhones: true });
    expect((await day()).selfCheck).toBeNull();
    await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring", closed: false });
    expect((await day()).selfCheck).not.toBeNull();
    const asked = { ...emptyRecord(), safety: noTo(), symptomsAsked: true };
    await trainer.send("put", `/api/rounds/${roundId}/people/${world.people[0]!.id}`, { version: 0, record: asked });
    expect((await day()).selfCheck).toBeNull();
  });
});

describe("what was answered", () => {
  it("is in the record, once, and tells nobody's main hand over what is known", async () => {
    const check = checkOf({ symptoms: [felt()] });
    expect((await send(check)).body).toEqual({ id: check.id, stored: "new" });
    expect((await send(check)).body).toEqual({ id: check.id, stored: "already" });
    expect(await record()).toMatchObject({
      version: 1,
      record: { symptoms: check.symptoms, symptomsAsked: true, selfCheck: { handedness: "left" } },
    });
    const people = (await trainer.get(`/api/crews/${world.crewId}/people`)).body as { id: string; handedness: string }[];
    expect(people.find(({ id }) => id === world.people[0]!.id)!.handedness).toBe("right");
  });
  it("tells the main hand of somebody of whom none is known", async () => {
    const { id, ...person } = world.people[0]!;
    await trainer.send("put", `/api/crews/${world.crewId}/people/${id}`, { version: 1, person: { ...person, handedness: null } });
    await send(checkOf());
    const people = (await trainer.get(`/api/crews/${world.crewId}/people`)).body as { id: string; handedness: string }[];
    expect(people.find((each) => each.id === id)!.handedness).toBe("left");
  });
  it("stops a save of the trainer's that did not know of it", async () => {
    await send(checkOf({ symptoms: [felt()] }));
    const blind = await trainer.send("put", `/api/rounds/${roundId}/people/${world.people[0]!.id}`, { version: 0, record: emptyRecord() });
    expect([blind.status, blind.body.code]).toEqual([409, "stale"]);
    expect(blind.body.detail.record.symptoms).toHaveLength(1);
  });
  it("is heard of by version, without a word of what it is", async () => {
    await send(checkOf({ symptoms: [felt()] }));
    expect((await trainer.get(`/api/rounds/${roundId}/versions`)).body).toEqual([{ personId: world.people[0]!.id, version: 1 }]);
  });
  it("has to be whole", async () => {
    const { status, body } = await send(checkOf({ safety: noTo({ hotJoint: null }) }));
    expect([status, body.fields[0]]).toEqual([400, { path: "safety", message: "has a question without an answer" }]);
    expect(await record()).toBeUndefined();
  });
});

describe("what it does by itself", () => {
  it("a yes that means stop holds out of everything before the answer is there", async () => {
    await send(checkOf({ safety: noTo({ growingWeakness: true, anticoagulants: true }) }));
    expect((await restrictions()).sort()).toEqual([
      ["anticoagulants", roundId],
      ["growingWeakness", roundId],
    ]);
    expect(await day()).toMatchObject({ heldOut: true, clinicianFirst: true, anyTime: [] });
  });
  it("sharp pain pauses its place until the trainer has answered; an ache pauses nothing", async () => {
    await send(checkOf({ symptoms: [felt({ kind: "sharpPain" }), felt({ side: "left", region: "thumbBase" })] }));
    const { alerts } = await day();
    expect(alerts).toMatchObject([{ kind: "sharpPain", side: "right", regions: ["wristFlexors"], pauses: true }]);
    const other = await trainer.member(test, world.crewId, world.people[1]!.id);
    await send(checkOf({ symptoms: [felt()] }), other);
    expect((await day(other)).alerts).toEqual([]);
  });
  it("also when the round was closed meanwhile, and when it is gone", async () => {
    await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring", closed: true });
    expect((await send(checkOf({ safety: noTo({ chestPain: true }) }))).body.stored).toBe("new");
    expect((await record())?.record.safety.chestPain).toBe(true);
    const other = await trainer.member(test, world.crewId, world.people[1]!.id);
    expect((await send(checkOf({ roundId: uuid(), safety: noTo({ hotJoint: true }) }), other)).body.stored).toBe("new");
    expect((await restrictions()).sort()).toEqual([
      ["chestPain", roundId],
      ["hotJoint", null],
    ]);
  });
  it("a round of another crew is none of theirs", async () => {
    const elsewhere = await makeWorld(trainer);
    const foreign = uuid();
    await trainer.send("post", `/api/crews/${elsewhere.crewId}/rounds`, { id: foreign, name: "Other", asksOnPhones: true });
    await send(checkOf({ roundId: foreign }));
    expect((await trainer.get(`/api/rounds/${foreign}/records`)).body).toEqual([]);
  });
  it("three phones, each sending three times at once, lose nothing", async () => {
    const others = await Promise.all([1, 2].map((i) => trainer.member(test, world.crewId, world.people[i]!.id)));
    const checks = [member, ...others].flatMap((by) => [1, 2, 3].map(() => ({ by, check: checkOf({ symptoms: [felt()] }) })));
    const answers = await Promise.all(checks.map(({ by, check }) => send(check, by)));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    for (const person of [0, 1, 2]) expect((await record(person))?.record.symptoms).toHaveLength(1);
  });
});
