import { emptyRecord } from "@kind-grip/core/baseline";
import { BLOCK_DAYS, readableBlocks } from "@kind-grip/core/followup";
import { strFromU8, unzipSync } from "fflate";
import { v7 as uuid } from "uuid";
import type { ReportEntry } from "@kind-grip/core/api";
import { makeWorld, samplePeople, sampleRun, sampleWork, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const grow = async (count: number) => {
  const more = samplePeople(count, { badge: null }).map((person, i) => ({ ...person, name: `Grown ${world.people.length + i}` }));
  // The same names stand in every world: they are other people.
  const answers = more.map(({ id }) => ({ id, sameAs: null }));
  await trainer.send("post", `/api/crews/${world.crewId}/people`, { people: more, answers });
  world.people.push(...more);
};
const DAY = 86_400_000;
const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);
/** A Wednesday in the block so many blocks before the one that was closed last. */
const inBlock = (blocksBack = 0) => {
  const latest = readableBlocks(dayOf(Date.now() - 400 * DAY), dayOf(Date.now())).at(-1)!;
  return Date.parse(`${latest}T07:00:00Z`) + 2 * DAY - blocksBack * BLOCK_DAYS * DAY;
};
/** Some people there, on a day. */
const lead = async (atMs: number, who = world.people, change: object = {}) => {
  const at = new Date(atMs).toISOString();
  const run = sampleRun(world);
  const people = who.map(({ id }) => ({ ...run.people[0]!, personId: id, present: true, effort: 2, marks: [] }));
  const sent = { ...run, startedAt: at, endedAt: at, people, ...change };
  expect((await trainer.send("put", `/api/runs/${sent.id}`, sent)).status).toBe(200);
  return sent;
};
const report = async () => (await trainer.get(`/api/crews/${world.crewId}/report`)).body as ReportEntry;

it("a crew of four has no figures, one of five has", async () => {
  await grow(1);
  await lead(inBlock());
  expect((await report()).blocks.at(0)!.figures).toEqual({
    people: null,
    adherence: null,
    secPerPersonDay: null,
    meanEffort: null,
    morningsRaised: null,
    minutesGiven: null,
    reported: null,
    workStrain: null,
    morningsChange: null,
  });
  world = await makeWorld(trainer);
  await grow(2);
  await lead(inBlock());
  expect((await report()).blocks.at(0)!.figures).toMatchObject({ people: 5, adherence: 1, meanEffort: 2 });
});

it("is the same for the employer contact, and has no name in it; the CSV is rounded for people", async () => {
  await grow(3);
  await lead(inBlock());
  await lead(inBlock() + DAY, world.people, { items: sampleRun(world).items.map((item) => ({ ...item, doneSec: 37.33333 })) });
  const employer = await trainer.staff(test, "employer", [world.crewId]);
  const theirs = await employer.get(`/api/crews/${world.crewId}/report`);
  expect(theirs.body).toEqual(await report());
  expect(theirs.text).not.toMatch(/Person \d|Grown|behind/);
  const csv = (await employer.get(`/api/crews/${world.crewId}/report.csv`)).text;
  expect(csv).not.toMatch(/Person \d|Grown/);
  expect(csv).not.toMatch(/\d\.\d{4}/);
});

it("a block is frozen when it was first read: what comes later never changes it", async () => {
  await grow(3);
  await lead(inBlock());
  const before = await report();
  await lead(inBlock() + DAY, world.people, { items: sampleRun(world).items.map((item) => ({ ...item, status: "skipped", doneSec: 0 })) });
  await lead(inBlock(3));
  expect((await report()).blocks[0]).toEqual(before.blocks[0]);
});

it("the block that goes on, and the week after its end, are not in it; it says when they will be", async () => {
  await grow(3);
  await lead(Date.now() - 60_000);
  const { blocks, next } = await report();
  expect(blocks).toEqual([]);
  expect(next.from <= dayOf(Date.now()) && dayOf(Date.now()) < next.readableOn).toBe(true);
});

it("read at once by two on two servers it is worked out once", async () => {
  const { app, close } = await openTestApp();
  await grow(3);
  await lead(inBlock());
  const employer = await trainer.staff({ ...test, app }, "employer", [world.crewId]);
  const answers = await Promise.all([0, 1, 2, 3].map((i) => (i % 2 ? employer : trainer).get(`/api/crews/${world.crewId}/report`)));
  expect(new Set(answers.map(({ text }) => text)).size).toBe(1);
  await close();
});

it("somebody who came is in no figure that, beside an earlier one, would show them", async () => {
  await grow(3);
  const known = world.people.slice(0, 6);
  await lead(inBlock(1), known);
  await grow(1);
  await lead(inBlock(0));
  const [latest, earlier] = (await report()).blocks;
  expect([earlier!.figures.people, latest!.figures.people]).toEqual([6, 6]);
});

it("what was measured is shown once both rounds are closed, of five people on, and then stays", async () => {
  await grow(3);
  const measure = async (name: string, kg: number, who: readonly { id: string }[]) => {
    const roundId = uuid();
    await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name });
    const save = (id: string, version: number, grip: number) =>
      trainer.send("put", `/api/rounds/${roundId}/people/${id}`, {
        version,
        record: { ...emptyRecord(), grip: { left: trials(grip), right: trials(grip) } },
      });
    for (const [i, { id }] of who.entries()) expect((await save(id, 0, kg + i)).status).toBe(200);
    const close = (closed: boolean) => trainer.send("put", `/api/rounds/${roundId}`, { name, closed });
    return { close, save };
  };
  const trials = (kg: number) => [kg, kg, kg].map((each) => ({ kg: each, faults: [], from: "typed" }));
  const first = await measure("First", 30, world.people);
  const second = await measure("Second", 34, world.people);
  expect((await report()).changes).toEqual([]);
  await first.close(true);
  await second.close(true);
  const { changes } = await report();
  expect(changes).toMatchObject([{ first: "First", last: "Second", changes: [{ measure: "grip", people: 6, mean: 4 }] }]);
  await second.close(false);
  await second.save(world.people[0]!.id, 1, 99);
  await second.close(true);
  expect((await report()).changes).toEqual(changes);
});

it("roll-ups are written with the run: stored twice counts once, led and followed alone is due once", async () => {
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  const placementId = uuid();
  const run = await lead(Date.now() - 60_000, world.people, { placementId });
  await trainer.send("put", `/api/runs/${run.id}`, run);
  const alone = { ...run, id: uuid(), alone: true, people: [run.people[0]!] };
  expect((await member.send("put", `/api/member/runs/${alone.id}`, alone)).body.stored).toBe("new");
  const rows = await test.db.models.PersonDay.findAll({ where: { crewId: world.crewId }, order: ["runs"] });
  expect(rows.map((row) => [row.get().runs, row.get().itemsDue, row.get().itemsDone])).toEqual([
    [1, 2, 2],
    [1, 2, 2],
    [2, 2, 4],
  ]);
});

it("fifty people finishing at the same moment on two servers: every row once", async () => {
  const { app, close } = await openTestApp();
  const other = { ...test, app };
  await grow(47);
  const members = await Promise.all(world.people.map((person, i) => trainer.member(i % 2 === 0 ? test : other, world.crewId, person.id)));
  const at = new Date().toISOString();
  const runs = world.people.map((person) => {
    const run = sampleRun(world);
    return {
      ...run,
      startedAt: at,
      endedAt: at,
      alone: true,
      people: [{ ...run.people[0]!, personId: person.id, present: true, effort: 3, marks: [] }],
    };
  });
  const answers = await Promise.all(runs.flatMap((run, i) => [1, 2].map(() => members[i]!.send("put", `/api/member/runs/${run.id}`, run))));
  expect(answers.filter(({ status }) => status !== 200).map(({ status, body }) => [status, body])).toEqual([]);
  expect(answers.filter(({ body }) => body.stored === "new")).toHaveLength(50);
  const rows = await test.db.models.PersonDay.findAll({ where: { crewId: world.crewId } });
  expect(rows.map((row) => [row.get().runs, row.get().itemsDone, row.get().effortSum])).toEqual(Array(50).fill([1, 2, 3]));
  await close();
}, 180_000);

it("everything of a crew comes out as one open file, and that is in the trail", async () => {
  await lead(Date.now() - DAY);
  const answer = await trainer.get(`/api/crews/${world.crewId}/export.json`);
  expect(answer.body).toMatchObject({ format: "kind-grip-crew", version: 2, people: [{}, {}, {}], runs: [{}], runPeople: [{}, {}, {}] });
  const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body;
  expect(entries).toMatchObject([{ subject: "export", act: "saw" }]);
});

describe("what the program did", () => {
  const tell = async (person: number, regions: string[], kind = "sharpPain") => {
    const member = await trainer.member(test, world.crewId, world.people[person]!.id);
    const id = uuid();
    const body = { id, at: new Date().toISOString(), kind, movementId: null, words: null, side: null, regions };
    expect((await member.send("put", `/api/member/symptom-reports/${id}`, body)).status).toBe(200);
    return id;
  };
  const told = async (ids: string[], atMs: number) =>
    test.db.models.SymptomAlert.update({ since: new Date(atMs) }, { where: { causeId: ids } });

  it("people who told of a symptom are counted from five on; minutes given to all are added up", async () => {
    await grow(5);
    await lead(inBlock());
    const five: string[] = [];
    for (const person of [0, 1, 2, 3, 4]) five.push(await tell(person, ["thumbBase"]));
    await told(five, inBlock());
    const [latest] = (await report()).blocks;
    expect(latest!.figures.reported).toEqual({ people: 5, regions: [{ region: "thumbBase", people: 5 }] });
    expect(latest!.figures.minutesGiven).toBe(15);
  });
  it("the work's strain stands where it was described by the end of the block, and not where it was changed since", async () => {
    await grow(2);
    await lead(inBlock());
    await lead(inBlock(1));
    await test.db.models.Work.upsert({
      crewId: world.crewId,
      document: sampleWork(),
      version: 1,
      changedAt: new Date(inBlock() + DAY),
    });
    const { blocks } = await report();
    expect(blocks[0]!.figures.workStrain).toBeGreaterThan(0);
    expect(blocks[1]!.figures.workStrain).toBeNull();
  });
  it("mornings are held against the first four weeks, person by person", async () => {
    await grow(3);
    await lead(inBlock(1));
    const answer = (back: number, level: number) =>
      test.db.models.CheckIn.bulkCreate(
        world.people.map(({ id }) => ({
          id: uuid(),
          crewId: world.crewId,
          personId: id,
          day: dayOf(inBlock(back) + DAY),
          level,
          regions: [],
          tingling: false,
          stillThere: null,
          at: new Date(inBlock(back) + DAY),
        })),
      );
    await answer(1, 4);
    await answer(0, 0);
    const { blocks } = await report();
    expect(blocks[0]!.figures.morningsChange).toEqual({ people: 6, mean: -1, low: -1, high: -1 });
    expect(blocks[1]!.figures.morningsChange).toBeNull();
  });
  it("figures that an earlier version gave out stay; what it did not tell is not told", async () => {
    await grow(2);
    await lead(inBlock());
    await report();
    const old = { people: 5, adherence: 1, secPerPersonDay: 120, meanEffort: 2, morningsRaised: null };
    await test.db.models.FrozenBlock.update({ figures: old as never }, { where: { crewId: world.crewId } });
    expect((await report()).blocks[0]!.figures).toEqual({
      ...old,
      minutesGiven: null,
      reported: null,
      workStrain: null,
      morningsChange: null,
    });
  });
});

describe("the first-aid book", () => {
  const save = (version: number, book: object, by: TestCaller = trainer) =>
    by.send("put", `/api/crews/${world.crewId}/first-aid`, { version, book });
  const caseOn = (day: string, region: string | null = "thumbBase") => ({ id: uuid(), day, region });
  const since = () => dayOf(inBlock(3));

  it("is kept whole with a version, told to the employer as counts, in the trail", async () => {
    await grow(3);
    await lead(inBlock());
    expect((await report()).firstAid).toBeNull();
    const book = { since: since(), cases: [caseOn(dayOf(inBlock(2))), caseOn(dayOf(inBlock(2))), caseOn(dayOf(inBlock()), null)] };
    expect((await save(0, book)).body).toEqual({ version: 1, book });
    expect((await save(0, book)).body).toEqual({ version: 1, book });
    const other = await save(0, { since: since(), cases: [] });
    expect([other.status, other.body.detail]).toEqual([409, { version: 1, book }]);
    const employer = await trainer.staff(test, "employer", [world.crewId]);
    const theirs = (await employer.get(`/api/crews/${world.crewId}/report`)).body as ReportEntry;
    expect(theirs.firstAid!.change).toMatchObject({ before: { cases: 2 }, after: { cases: 1 } });
    expect(theirs.firstAid!.blocks.find(({ from }) => from <= dayOf(inBlock(2)))).toMatchObject({ cases: 2 });
    expect((await employer.get(`/api/crews/${world.crewId}/first-aid`)).status).toBe(403);
    expect((await trainer.get(`/api/crews/${world.crewId}/audit`)).text).toContain("first-aid book");
  });
  it("refuses days that have not come, and cases from before it begins", async () => {
    const tomorrow = dayOf(Date.now() + 2 * DAY);
    expect(fieldsOf(await save(0, { since: since(), cases: [caseOn(tomorrow)] }))).toEqual({ "book.cases.0.day": "has not come yet" });
    expect(fieldsOf(await save(0, { since: since(), cases: [caseOn("2020-01-01")] }))).toEqual({
      "book.cases": "is before the day the book begins",
    });
  });
});

describe("as files", () => {
  it("a workbook has numbers as numbers, a sheet a table, and the notes; paper is paper; for the employer too", async () => {
    await grow(5);
    await lead(inBlock());
    await lead(inBlock(1));
    const employer = await trainer.staff(test, "employer", [world.crewId]);
    const { body } = await employer
      .get(`/api/crews/${world.crewId}/report.xlsx`)
      .buffer(true)
      .parse((answer, done) => {
        const parts: Buffer[] = [];
        answer.on("data", (part: Buffer) => parts.push(part));
        answer.on("end", () => done(null, Buffer.concat(parts)));
      })
      .expect(200);
    const files = unzipSync(body as Buffer);
    const text = (name: string) => strFromU8(files[name]!);
    expect(text("xl/workbook.xml")).toMatch(/name="Four weeks at a time".*name="About these figures"/s);
    // Eight people, all done of what was due: 1 as a number, shown as a share.
    expect(text("xl/worksheets/sheet1.xml")).toMatch(/<v>8<\/v>.*<v>1<\/v>/s);
    expect(text("xl/worksheets/sheet1.xml") + text("xl/sharedStrings.xml")).not.toMatch(/Person \d|Grown/);
    const paper = await employer.get(`/api/crews/${world.crewId}/report.pdf`).expect(200);
    expect([paper.headers["content-type"], (paper.body as Buffer).subarray(0, 5).toString()]).toEqual(["application/pdf", "%PDF-"]);
  });
  it("of another's crew there is none", async () => {
    const stranger = await TestTrainer.make(test);
    for (const file of ["report.xlsx", "report.pdf", "report.csv"])
      expect((await stranger.get(`/api/crews/${world.crewId}/${file}`)).status).toBe(404);
  });
});
