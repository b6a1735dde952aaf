/** The loop that closes: a report pauses by itself, everywhere; the trainer answers once; the answer reaches the person. */
import type { MemberDay, PersonAlert } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { RunRecord } from "@kind-grip/core/run";
import { v7 as uuid } from "uuid";
import { agreeByTelephone, BY_TELEPHONE, makeWorld, sampleCrew, samplePeople, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let member: TestCaller;
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, BY_TELEPHONE);
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  member = await trainer.member(test, world.crewId, world.people[0]!.id);
});
afterAll(() => test.close());

const crew = () => `/api/crews/${world.crewId}`;
const me = () => world.people[0]!.id;
const today = () => new Date().toISOString().slice(0, 10);
const reportOf = (change: object = {}) => ({
  id: uuid(),
  at: new Date().toISOString(),
  kind: "sharpPain",
  movementId: null,
  words: null,
  side: null,
  regions: [],
  stillThere: null,
  freshInjury: null,
  ...change,
});
const tell = async (change: object = {}) => {
  const body = reportOf(change);
  expect((await member.send("put", `/api/member/symptom-reports/${body.id}`, body)).status).toBe(200);
  return body;
};
const checkIn = async (change: object) => {
  const body = { id: uuid(), day: today(), level: 1, regions: [], tingling: false, stillThere: null, ...change };
  expect((await member.send("put", `/api/member/check-ins/${body.id}`, body)).status).toBe(200);
};
const day = async () => (await member.get("/api/member/day")).body as MemberDay;
const movementsLeft = async () => [
  ...new Set((await day()).anyTime.flatMap(({ session }) => session.items.map(({ movementId }) => movementId))),
];
const alerts = async () => ((await trainer.get("/api/today")).body.alerts as PersonAlert[]).filter(({ crewId }) => crewId === world.crewId);
const answer = async (change: object, of?: PersonAlert) => {
  const alert = of ?? (await alerts())[0]!;
  return trainer.send("post", `${crew()}/people/${alert.personId}/alerts/answer`, {
    alertIds: alert.reports.map(({ alertId }) => alertId),
    answer: { reply: null, ...change },
  });
};
const runNow = (change: Partial<RunRecord> = {}): RunRecord => {
  const at = new Date().toISOString();
  const run = sampleRun(world);
  return {
    ...run,
    startedAt: at,
    endedAt: at,
    people: run.people.map((person) => ({ ...person, present: true, effort: 2, marks: [] })),
    ...change,
  };
};
const store = (run: RunRecord) => trainer.send("put", `/api/runs/${run.id}`, run);
const ALL = ["fist-and-star", "palm-away", "shake-out"];

it.each([
  ["begins next week", { startedOn: 7, leftOn: null }],
  ["had their last day yesterday, after telling", { startedOn: -90, leftOn: -1 }],
])("of somebody who %s waits on Today until it is answered", async (_, { startedOn, leftOn }) => {
  const on = (days: number | null) => (days === null ? null : addDays(today(), days));
  await tell();
  await test.db.models.Person.update({ startedOn: on(startedOn), leftOn: on(leftOn) }, { where: { id: me() } });
  await trainer.send("put", crew(), { version: 1, crew: sampleCrew({ name: "Changed" }) });
  expect(await alerts()).toMatchObject([{ personId: me(), reports: [{ kind: "sharpPain" }] }]);
  expect((await answer({ answer: "giveBack" })).status).toBe(204);
  expect(await alerts()).toEqual([]);
});

describe("a report", () => {
  it.each([
    ["sharp pain", {}],
    ["tingling that stays", { kind: "tingling", stillThere: true }],
    ["tingling of which nothing more is known", { kind: "tingling" }],
    ["numbness that went away", { kind: "numbness", stillThere: false, freshInjury: false }],
    ["weakness", { kind: "weakness", stillThere: false, freshInjury: false }],
    ["swelling", { kind: "swelling", freshInjury: false }],
  ])("of %s without a place pauses everything, and says so at once", async (_, change) => {
    expect(await movementsLeft()).toEqual(ALL);
    const { id } = await tell(change);
    const { heldOut, sessions, anyTime, alerts: own } = await day();
    expect([heldOut, sessions, anyTime]).toEqual([true, [], []]);
    expect(own).toMatchObject([{ causeId: id, pauses: true, answer: null }]);
    // Nobody else is paused.
    const other = await trainer.member(test, world.crewId, world.people[1]!.id);
    expect(((await other.get("/api/member/day")).body as MemberDay).anyTime).toHaveLength(2);
  });
  it.each([
    ["something else", { kind: "other", words: "the floor is wet" }],
    ["tingling that went away", { kind: "tingling", stillThere: false }],
  ])("of %s pauses nothing, and waits for the trainer", async (_, change) => {
    await tell(change);
    expect(await movementsLeft()).toEqual(ALL);
    expect(await alerts()).toMatchObject([{ personId: me(), pauses: false }]);
  });
  it("that names a place pauses what touches it, and no more", async () => {
    const [place] = SHIPPED_LIBRARY.find("palm-away")!.regions.stretched;
    await tell({ regions: [place], side: "left" });
    const left = await movementsLeft();
    for (const id of ALL) {
      const { worked, stretched, released } = SHIPPED_LIBRARY.find(id)!.regions;
      expect([id, left.includes(id)]).toEqual([id, ![...worked, ...stretched, ...released].includes(place!)]);
    }
    expect(left).not.toContain("palm-away");
    expect((await day()).heldOut).toBe(false);
  });
  it.each([
    ["numbness that stays", { kind: "numbness", stillThere: true, freshInjury: false }, "lastingNumbness"],
    ["weakness that stays", { kind: "weakness", stillThere: true, freshInjury: false }, "growingWeakness"],
    ["swelling since a fresh injury", { kind: "swelling", freshInjury: true }, "freshInjury"],
  ])("of %s holds out by rule 2 besides", async (_, change, question) => {
    await tell(change);
    const { restrictions } = (await trainer.get(`${crew()}/held-out`)).body as { restrictions: { personId: string; question: string }[] };
    expect(restrictions).toMatchObject([{ personId: me(), question }]);
    // Given back, the restriction still holds: only a clearance lifts it.
    expect((await answer({ answer: "giveBack" })).status).toBe(204);
    expect((await day()).heldOut).toBe(true);
  });
  it("of a phone whose clock is ahead counts from now", async () => {
    await tell({ at: new Date(Date.now() + 3600_000).toISOString() });
    expect((await day()).heldOut).toBe(true);
  });
  it("reaches every path: run, hand-out, calendar, plan, reminder, decision", async () => {
    await tell();
    const run = runNow({ startedAt: new Date(Date.now() + 5).toISOString(), endedAt: new Date(Date.now() + 5).toISOString() });
    await new Promise((resolve) => setTimeout(resolve, 10));
    expect((await store(run)).body).toMatchObject({ code: "heldOut", detail: { withoutPeople: [me()] } });
    const may = (await trainer.get(`${crew()}/participation`)).body as { personId: string; heldOut: boolean }[];
    expect(may).toMatchObject([{ personId: me(), heldOut: true }]);
    expect(JSON.stringify((await trainer.get(`/api/programs/${world.programId}/hand-out`)).body)).not.toContain(me());
    const monday = new Date(Date.now() - ((new Date().getUTCDay() + 6) % 7) * 86_400_000).toISOString().slice(0, 10);
    const placement = {
      id: uuid(),
      programId: world.programId,
      sessionId: world.program.sessions[0]!.id,
      startsAt: new Date(Date.now() + 60_000).toISOString(),
    };
    const plan = (version: number, people: string[] | null) =>
      trainer.send("put", `${crew()}/plan/${monday}`, { version, placements: [{ ...placement, people }] });
    expect(fieldsOf(await plan(0, [me()]))).toEqual({ "placements.0.people": "names only people who are held out of it" });
    expect((await plan(0, [me(), world.people[1]!.id])).status).toBe(200);
    const { body: link } = await trainer.send("post", `${crew()}/calendar-links`, { id: uuid(), name: "Own", personId: me() });
    expect((await trainer.get(link.path)).text).not.toContain("BEGIN:VEVENT");
    await agreeByTelephone(trainer, world);
    const { body } = await trainer.send("post", `${crew()}/reminders`, { placementId: placement.id });
    expect(body.people).toBe(1);
  });
  it("is told by a lead of somebody in a run, once", async () => {
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    const body = reportOf();
    const address = `${crew()}/people/${world.people[1]!.id}/symptom-reports/${body.id}`;
    expect((await lead.send("put", address, body)).body.stored).toBe("new");
    expect((await lead.send("put", address, body)).body.stored).toBe("already");
    expect(await alerts()).toMatchObject([{ personId: world.people[1]!.id, pauses: true, reports: [{ cause: "run" }] }]);
    // The same id for somebody else is nobody's.
    expect((await lead.send("put", `${crew()}/people/${me()}/symptom-reports/${body.id}`, body)).status).toBe(404);
  });
});

describe("a morning", () => {
  it.each([
    ["6, with nothing usual", { level: 6 }, true],
    ["5", { level: 5 }, false],
    ["2 with tingling that is still there", { level: 2, tingling: true, stillThere: true }, true],
    ["2 with tingling that is gone", { level: 2, tingling: true, stillThere: false }, false],
  ])("of %s", async (_, change, pauses) => {
    await checkIn(change);
    expect((await day()).heldOut).toBe(pauses);
    expect((await alerts()).length).toBe(pauses ? 1 : 0);
  });
  it("of 6 that is usual for the person pauses nothing; of 7 does, where it is", async () => {
    const roundId = uuid();
    await trainer.send("post", `${crew()}/rounds`, { id: roundId, name: "First" });
    const { emptyRecord } = await import("@kind-grip/core/baseline");
    const [place] = SHIPPED_LIBRARY.find("palm-away")!.regions.stretched;
    const symptom = { id: uuid(), side: "left", region: place, kind: "ache", level: 6, since: null, nights: "never", constant: false };
    const record = { ...emptyRecord(), symptomsAsked: true, symptoms: [symptom] };
    expect((await trainer.send("put", `/api/rounds/${roundId}/people/${me()}`, { version: 0, record })).status).toBe(200);
    await checkIn({ level: 6, regions: [place] });
    expect(await alerts()).toEqual([]);
    const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
    await checkIn({ level: 7, regions: [place], day: yesterday });
    expect(await alerts()).toMatchObject([{ reports: [{ kind: "morning", level: 7, regions: [place] }] }]);
    expect(await movementsLeft()).not.toContain("palm-away");
  });
});

describe("a mark in a run", () => {
  const withMarks = (marks: object[]) => {
    const run = runNow();
    run.people[0]!.marks = marks as RunRecord["people"][number]["marks"];
    return run;
  };
  it.each([
    ["sharp pain", (itemId: string) => [{ kind: "sharpPain", itemId }], true],
    [
      "tingling twice at one item",
      (itemId: string) => [
        { kind: "tingling", itemId },
        { kind: "tingling", itemId },
      ],
      true,
    ],
    ["tingling once", (itemId: string) => [{ kind: "tingling", itemId }], false],
    [
      "too much",
      (itemId: string) => [
        { kind: "tooMuch", itemId },
        { kind: "tooMuch", itemId },
      ],
      false,
    ],
  ])("of %s", async (_, marksAt, pauses) => {
    expect((await store(withMarks(marksAt(world.program.sessions[0]!.items[1]!.id)))).status).toBe(200);
    expect((await day()).heldOut).toBe(pauses);
  });
  it("that was reported at once is one alert, not two", async () => {
    const run = withMarks([{ kind: "sharpPain", itemId: null }]);
    const startedAt = new Date(Date.now() - 60_000).toISOString();
    const body = reportOf();
    await trainer.send("put", `${crew()}/people/${me()}/symptom-reports/${body.id}`, body);
    expect((await store({ ...run, startedAt, endedAt: new Date().toISOString() })).status).toBe(200);
    const [alert] = await alerts();
    expect(alert!.reports).toHaveLength(1);
    // It happened in the run that it came from: no contradiction.
    expect((await trainer.get("/api/today")).body.clashes).toEqual([]);
  });
});

describe("the answer", () => {
  it("give back: everything is theirs again, with the reply on the phone", async () => {
    await tell();
    expect((await answer({ answer: "giveBack", reply: "Go on, gently" })).status).toBe(204);
    expect(await movementsLeft()).toEqual(ALL);
    expect((await day()).alerts).toMatchObject([{ pauses: false, answer: "giveBack", reply: "Go on, gently" }]);
    expect(await alerts()).toEqual([]);
  });
  it("give back decides what the same morning proposed to ease, too: it does not come a second time", async () => {
    const at = new Date(Date.now() - 86_400_000).toISOString();
    expect((await store(runNow({ startedAt: at, endedAt: at }))).status).toBe(200);
    await checkIn({ level: 7, tingling: true, stillThere: true });
    // While it is paused there is nothing to decide.
    expect((await trainer.get(`${crew()}/decisions`)).body).toEqual([]);
    expect((await answer({ answer: "giveBack", reply: "Slept on it; go on" })).status).toBe(204);
    expect(await movementsLeft()).toEqual(ALL);
    expect((await trainer.get(`${crew()}/decisions`)).body).toEqual([]);
    const { decisions } = (await trainer.get(`${crew()}/decisions/history?personId=${me()}`)).body as {
      decisions: { proposed: string; decided: string; why: string }[];
    };
    expect(decisions.length).toBeGreaterThan(1);
    for (const decision of decisions) expect(decision).toMatchObject({ proposed: "ease", decided: "hold", why: "Slept on it; go on" });
  });
  it("ease: what touches the place goes a step easier, nothing else does, and the record says why", async () => {
    const [place] = SHIPPED_LIBRARY.find("palm-away")!.regions.stretched;
    await tell({ regions: [place] });
    const before = world.program.sessions[0]!.items;
    expect((await answer({ answer: "ease" })).status).toBe(204);
    const { program } = (await trainer.get(`/api/programs/${world.programId}`)).body as { program: Program };
    const own = program.sessions[0]!.items.map((item) => item.personal[me()]);
    expect(own[1]).toBeDefined();
    expect(own[1]!.formId).not.toBe(before[1]!.formId);
    const { decisions } = (await trainer.get(`${crew()}/decisions/history?personId=${me()}`)).body;
    expect(decisions[0]).toMatchObject({ decided: "ease", response: { fired: [{ rule: "reported", kind: "sharpPain" }] } });
    expect(await movementsLeft()).toContain("palm-away");
  });
  it("keep paused: answered, and still paused, until it is given back", async () => {
    await tell();
    const [alert] = await alerts();
    await answer({ answer: "keepPaused", reply: "I come at noon" });
    expect(await alerts()).toEqual([]);
    expect(await day()).toMatchObject({ heldOut: true, alerts: [{ pauses: true, answer: "keepPaused", reply: "I come at noon" }] });
    const { reports } = (await trainer.get(`${crew()}/held-out`)).body as { reports: { personId: string }[] };
    expect(reports).toMatchObject([{ personId: me(), reports: [{ pauses: true, answer: "keepPaused" }] }]);
    expect((await answer({ answer: "giveBack" }, alert)).status).toBe(204);
    expect(await movementsLeft()).toEqual(ALL);
  });
  it("refer: held out with the reason, in words where it is none of the list", async () => {
    await tell();
    expect(fieldsOf(await answer({ answer: "refer" }))).toEqual({ "answer.reason": "say why they are held out" });
    expect(fieldsOf(await answer({ answer: "refer", reason: "other" }))).toEqual({ "answer.words": "say in words what it is" });
    expect((await answer({ answer: "refer", reason: "other", words: "Hit by a slate" })).status).toBe(204);
    const { restrictions } = (await trainer.get(`${crew()}/held-out`)).body as {
      restrictions: { id: string; question: string; words: string }[];
    };
    expect(restrictions).toMatchObject([{ question: "other", words: "Hit by a slate" }]);
    expect((await day()).heldOut).toBe(true);
    expect((await trainer.get(`/api/restrictions/${restrictions[0]!.id}/referral.pdf`)).status).toBe(200);
  });
  it("sent twice is one answer; another one after it is refused; what came meanwhile stays open", async () => {
    await tell();
    const [alert] = await alerts();
    await tell({ kind: "swelling", freshInjury: false });
    expect((await answer({ answer: "giveBack" }, alert)).status).toBe(204);
    expect((await answer({ answer: "giveBack" }, alert)).status).toBe(204);
    expect((await answer({ answer: "keepPaused" }, alert)).body.code).toBe("answered");
    expect(await alerts()).toMatchObject([{ reports: [{ kind: "swelling" }] }]);
    expect((await day()).heldOut).toBe(true);
  });
  it("nine items and one person are one line on Today", async () => {
    await tell();
    const { body } = await trainer.get("/api/today");
    expect(body.alerts.filter((alert: PersonAlert) => alert.crewId === world.crewId)).toHaveLength(1);
    expect(body.decisions.filter((each: { crewId: string }) => each.crewId === world.crewId)).toEqual([]);
  });
  it("every reading is in the trail", async () => {
    await tell();
    await alerts();
    const run = runNow({ people: runNow().people.slice(1) });
    await store(run);
    await trainer.get(`/api/runs/${run.id}`);
    await trainer.get(`${crew()}/runs.csv`);
    await trainer.get(`${crew()}/decisions/history`);
    const { entries } = (await trainer.get(`${crew()}/audit`)).body as { entries: { act: string; subject: string; what: string }[] };
    const seen = entries.filter(({ act }) => act === "saw").map(({ what }) => what);
    expect(seen).toEqual(
      expect.arrayContaining(["symptom reports on Today", "marks and efforts of a run", "runs as CSV", "decisions taken"]),
    );
  });
});

describe("a run that comes late", () => {
  const earlier = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
  const clashes = async () =>
    ((await trainer.get("/api/today")).body.clashes as { crewId: string; personId: string; runId: string; kind: string }[]).filter(
      ({ crewId }) => crewId === world.crewId,
    );
  const runsOf = async () => (await test.db.models.PersonDay.findOne({ where: { personId: me() } }))?.get().runs ?? 0;
  it("with somebody who is held out by now is stored, shown, and counts for nothing until it is said to have been before", async () => {
    await trainer.send("post", `${crew()}/restrictions`, { personId: me(), question: "hotJoint" });
    const run = runNow({ startedAt: earlier(60), endedAt: earlier(50) });
    expect((await store(run)).body.stored).toBe("new");
    expect(await clashes()).toMatchObject([{ personId: me(), runId: run.id, kind: "heldOut" }]);
    expect(await runsOf()).toBe(0);
    for (let i = 0; i < 2; i++)
      expect((await trainer.send("post", `/api/runs/${run.id}/clashes/${me()}`, { answer: "before" })).status).toBe(204);
    expect([await clashes(), await runsOf()]).toEqual([[], 1]);
  });
  it("that was a mistake never counts", async () => {
    await trainer.send("post", `${crew()}/restrictions`, { personId: me(), question: "hotJoint" });
    const run = runNow({ startedAt: earlier(60), endedAt: earlier(50) });
    await store(run);
    await trainer.send("post", `/api/runs/${run.id}/clashes/${me()}`, { answer: "mistake" });
    expect([await clashes(), await runsOf()]).toEqual([[], 0]);
    expect((await trainer.send("post", `/api/runs/${run.id}/clashes/${world.people[1]!.id}`, { answer: "before" })).status).toBe(404);
  });
  it.each(["trainer", "lead", "phone"] as const)("dated back by a %s shows as what it is", async (who) => {
    await tell();
    const caller = who === "trainer" ? trainer : who === "lead" ? await trainer.staff(test, "lead", [world.crewId]) : member;
    const run = runNow({ startedAt: earlier(3 * 24 * 60), endedAt: earlier(3 * 24 * 60) });
    const sent = who === "phone" ? { ...run, alone: true, people: run.people.slice(0, 1) } : run;
    const answered = await caller.send("put", `${who === "phone" ? "/api/member" : "/api"}/runs/${run.id}`, sent);
    expect(answered.status).toBe(200);
    expect(await clashes()).toMatchObject([{ personId: me(), runId: run.id }]);
    expect(await runsOf()).toBe(0);
  });
  it("from a clock that is ahead ends now", async () => {
    const now = Date.now();
    const ahead = (minutes: number) => new Date(now + minutes * 60_000).toISOString();
    const run = runNow({ startedAt: ahead(50), endedAt: ahead(60) });
    await store(run);
    const stored = (await trainer.get(`/api/runs/${run.id}`)).body as RunRecord;
    expect(Date.parse(stored.endedAt)).toBeLessThanOrEqual(Date.now());
    expect(Date.parse(stored.endedAt) - Date.parse(stored.startedAt)).toBe(600_000);
  });
  it("cannot carry another crew's placement", async () => {
    const foreign = await makeWorld(trainer);
    const monday = new Date(Date.now() - ((new Date().getUTCDay() + 6) % 7) * 86_400_000).toISOString().slice(0, 10);
    const placement = {
      id: uuid(),
      programId: foreign.programId,
      sessionId: foreign.program.sessions[0]!.id,
      startsAt: new Date().toISOString(),
    };
    await trainer.send("put", `/api/crews/${foreign.crewId}/plan/${monday}`, { version: 0, placements: [placement] });
    expect(fieldsOf(await store(runNow({ placementId: placement.id })))).toEqual({ placementId: "is not of this crew" });
  });
});

describe("the same person added again", () => {
  const add = (crewId: string, name: string, sameAs?: string | null) => {
    const [person] = samplePeople(1, { name, badge: null });
    const answers = sameAs === undefined ? [] : [{ id: person!.id, sameAs }];
    return trainer
      .send("post", `/api/crews/${crewId}/people`, { people: [person!], answers })
      .then((answered) => ({ person: person!, answered }));
  };
  it("is asked about where something follows them, and takes it along into another crew", async () => {
    const name = `Ilse ${uuid().slice(-8).replace(/\d/g, "q")}`;
    const { person } = await add(world.crewId, name, null);
    const other = await makeWorld(trainer);
    // Nothing follows them yet: no question.
    expect((await add(other.crewId, name)).answered.status).toBe(200);
    await trainer.send("post", `${crew()}/restrictions`, { personId: person.id, question: "hotJoint" });
    const third = await makeWorld(trainer);
    const asked = await add(third.crewId, name.toUpperCase());
    expect([asked.answered.status, asked.answered.body.code, asked.answered.body.detail[0].candidates]).toMatchObject([
      409,
      "similar",
      [{ personId: person.id, limited: true }],
    ]);
    expect(JSON.stringify(asked.answered.body)).not.toMatch(/hotJoint/);
    const again = await add(third.crewId, name, person.id);
    expect(again.answered.status).toBe(200);
    const may = (await trainer.get(`/api/crews/${third.crewId}/participation`)).body as { personId: string; heldOut: boolean }[];
    expect(may).toMatchObject([{ personId: again.person.id, heldOut: true }]);
    expect((await add(third.crewId, `${name} x`, uuid())).answered.status).toBe(400);
  });
  it("in the same crew comes back with everything, instead of standing there twice", async () => {
    const { person } = await add(world.crewId, "Mara Tolle", null);
    await trainer.send("put", `${crew()}/people/${person.id}`, {
      version: 1,
      person: { name: "Mara Tolle", badge: null, handedness: "right", startedOn: "2024-01-01", leftOn: "2024-06-01", language: null },
    });
    expect((await add(world.crewId, "Tolle, Mara")).answered.body.code).toBe("similar");
    const { answered } = await add(world.crewId, "Tolle, Mara", person.id);
    expect(answered.body).toMatchObject([{ id: person.id, leftOn: null }]);
    const people = (await trainer.get(`${crew()}/people`)).body as { name: string }[];
    expect(people.filter(({ name }) => name.includes("Mara"))).toHaveLength(1);
  });
});
