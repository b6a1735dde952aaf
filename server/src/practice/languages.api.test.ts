/** What a crew reads, how a practice writes quantities and times, and the texts it says in its own words. */
import type { MemberDay } from "@kind-grip/core/api";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { METRIC, type Measures } from "@kind-grip/core/units";
import { constants, inflateSync } from "node:zlib";
import { v7 as uuid } from "uuid";
import { agreeByTelephone, BY_TELEPHONE, makeWorld, sampleCrew, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, BY_TELEPHONE);
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test, uuid());
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const POUNDS: Measures = { ...METRIC, mass: "lb", length: "in", clock: "12h" };
const customs = (language: string, measures: object = METRIC) => trainer.send("put", "/api/practice/customs", { language, measures });
const correct = (language: string, key: string, text: string | null) =>
  trainer.send("put", `/api/practice/texts/${language}`, { key, text });
const speaks = async (i: number, language: string | null) => {
  const { id, ...person } = world.people[i]!;
  const answer = await trainer.send("put", `/api/crews/${world.crewId}/people/${id}`, { version: 1, person: { ...person, language } });
  expect(answer.status).toBe(200);
};
const crewSpeaks = async (language: string | null) => {
  const { version } = (await trainer.get(`/api/crews/${world.crewId}`)).body;
  await trainer.send("put", `/api/crews/${world.crewId}`, { version, crew: sampleCrew({ language: language as never }) });
};
const member = async (i: number) => {
  const { cards } = (await trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: [world.people[i]!.id] })).body;
  return TestCaller.signedIn(test, "/api/member/card", { token: cards[0].token });
};
const place = async () => {
  const weekStart = addDays(mondayOf(new Date().toISOString().slice(0, 10)), 7);
  const placement = {
    id: uuid(),
    programId: world.programId,
    sessionId: world.program.sessions[0]!.id,
    startsAt: `${weekStart}T14:30:00.000Z`,
    people: null,
    groupName: null,
  };
  expect((await trainer.send("put", `/api/crews/${world.crewId}/plan/${weekStart}`, { version: 0, placements: [placement] })).status).toBe(
    200,
  );
  return placement.id;
};
/** What a paper's streams hold, unpacked, as long as letters are told apart by it. A stream may end with what looks like a line's end. */
const sizeOf = (pdf: Buffer) =>
  [...pdf.toString("latin1").matchAll(/FlateDecode[\s\S]*?stream\r?\n([\s\S]*?)\r?\nendstream/g)].reduce(
    (sum, [, packed]) => sum + inflateSync(Buffer.from(packed!, "latin1"), { finishFlush: constants.Z_SYNC_FLUSH }).length,
    0,
  );

describe("the practice", () => {
  it("reads English in kilograms until it says otherwise; every sign-in is told", async () => {
    expect((await trainer.get("/api/practice/customs")).body).toMatchObject({ language: "en", measures: METRIC });
    expect((await customs("es", POUNDS)).body).toMatchObject({ language: "es", measures: POUNDS });
    expect((await trainer.get("/api/me")).body.account).toMatchObject({ language: "es", measures: POUNDS, ownMeasures: null });
  });

  it.each([
    ["fr", METRIC, "language"],
    ["es", { ...METRIC, mass: "stone" }, "measures.mass"],
    ["es", { ...METRIC, clock: "13h" }, "measures.clock"],
  ])("refuses %s with %j at its field", async (language, measures, field) => {
    expect(Object.keys(fieldsOf(await customs(language, measures)))).toEqual([field]);
    expect((await trainer.get("/api/practice/customs")).body.language).toBe("en");
  });

  it("whoever works in it may be used to other measures than it", async () => {
    await customs("en", POUNDS);
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    await lead.send("put", "/api/me/measures", { measures: { ...METRIC, decimal: "comma" } });
    expect((await lead.get("/api/me")).body.account.measures).toEqual({ ...METRIC, decimal: "comma" });
    expect((await trainer.get("/api/me")).body.account.measures).toEqual(POUNDS);
    await lead.send("put", "/api/me/measures", { measures: null });
    expect((await lead.get("/api/me")).body.account.measures).toEqual(POUNDS);
  });
});

describe("a crew member reads", () => {
  it("their own language, else the crew's, else the practice's", async () => {
    const phone = await member(0);
    const reads = async () => {
      const { language, usualLanguage } = (await phone.get("/api/member/day")).body as MemberDay;
      return [language, usualLanguage];
    };
    expect(await reads()).toEqual(["en", "en"]);
    await customs("es");
    expect(await reads()).toEqual(["es", "es"]);
    await crewSpeaks("pl");
    expect(await reads()).toEqual(["pl", "pl"]);
    await speaks(0, "ar");
    expect(await reads()).toEqual(["ar", "pl"]);
  });

  it("what they chose on their phone; a trainer who had the person open meanwhile is told", async () => {
    const phone = await member(0);
    expect((await phone.send("put", "/api/member/language", { language: "de" })).body.language).toBe("de");
    const { id, ...person } = world.people[0]!;
    const late = await trainer.send("put", `/api/crews/${world.crewId}/people/${id}`, { version: 1, person });
    expect([late.status, late.body.detail.language]).toEqual([409, "de"]);
    expect((await phone.send("put", "/api/member/language", { language: null })).body.language).toBe("en");
    expect((await phone.send("put", "/api/member/language", { language: "xx" })).status).toBe(400);
  });

  it("a reminder in their language and clock", async () => {
    await customs("en", { ...METRIC, clock: "12h" });
    await speaks(0, "es");
    await speaks(1, "ar");
    await agreeByTelephone(trainer, world);
    await trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: await place() });
    const rows = (await trainer.get(`/api/crews/${world.crewId}/messages`)).body as { personId: string; text: string }[];
    const told = (i: number) => rows.find(({ personId }) => personId === world.people[i]!.id)!.text;
    expect(told(0)).toMatch(/^Calentamiento a las 2:30\sp\.\s?m\., Bench 1\.$/);
    expect(told(1)).toMatch(/^إحماء، الساعة ٢:٣٠\sم، Bench 1\.$/);
    expect(told(2)).toMatch(/^Warm-up at 2:30\spm, Bench 1\.$/);
  });

  it("their calendar in their language", async () => {
    await speaks(0, "de");
    await place();
    const link = await trainer.send("post", `/api/crews/${world.crewId}/calendar-links`, {
      id: uuid(),
      name: "Own",
      personId: world.people[0]!.id,
    });
    const { text } = await trainer.get(link.body.path);
    expect(text.replace(/\r\n /g, "")).toContain("SUMMARY:Aufwärmen (");
  });
});

describe("paper", () => {
  const paper = async (kind: "hand-out" | "sheets", query = "") => {
    const answer = await trainer.agent
      .get(`/api/programs/${world.programId}/${kind}.pdf${query}`)
      .buffer(true)
      .parse((from, done) => {
        const parts: Buffer[] = [];
        from.on("data", (part: Buffer) => parts.push(part));
        from.on("end", () => done(null, Buffer.concat(parts)));
      });
    expect([answer.status, answer.status === 200 || String(answer.body)]).toEqual([200, true]);
    return answer.body as Buffer;
  };

  it("is in the crew's language, or in the one asked for; each person's sheet in their own", async () => {
    const english = sizeOf(await paper("hand-out"));
    const arabic = sizeOf(await paper("hand-out", "?language=ar"));
    expect(arabic).not.toBe(english);
    await crewSpeaks("ar");
    expect(sizeOf(await paper("hand-out"))).toBe(arabic);
    expect(sizeOf(await paper("hand-out", "?language=en"))).toBe(english);
    const sheets = sizeOf(await paper("sheets"));
    await speaks(0, "pl");
    expect(sizeOf(await paper("sheets"))).not.toBe(sheets);
    expect((await trainer.get(`/api/programs/${world.programId}/hand-out.pdf?language=xx`)).status).toBe(400);
  });

  it("that was asked for in a language is given out as long as it is still so", async () => {
    const asked = await trainer.send("post", `/api/programs/${world.programId}/papers`, { kind: "handOut", language: "es" });
    const file = async () => (await trainer.get(`/api/jobs/${asked.body.id}/file`)).status;
    await paper("hand-out", "?language=es");
    expect(await file()).toBe(200);
    await correct("es", "movements.palm-away.name", "Palma lejos");
    expect(await file()).toBe(409);
  });
});

describe("a text in the practice's own words", () => {
  const KEY = "movements.palm-away.steps.0";

  it("is read by its crews in that language, until it is taken back", async () => {
    const phone = await member(0);
    const read = async () => ((await phone.get("/api/member/day")).body as MemberDay).corrections;
    expect((await correct("en", KEY, "Reach out.")).body.corrections).toEqual({ en: { [KEY]: "Reach out." } });
    expect(await read()).toEqual({ [KEY]: "Reach out." });
    await speaks(0, "de");
    expect(await read()).toEqual({});
    await correct("en", KEY, null);
    expect((await trainer.get("/api/practice/texts")).body.corrections).toEqual({});
  });

  it.each([
    ["cues.step", "Schritt", { text: "leaves out {{count}}" }],
    ["cues.step", "Schritt {{count}} {{of}}", { text: "asks for {{of}}, which is not known there" }],
    ["cues.step", " ", { text: "is empty" }],
    ["cues.nothing", "Etwas", { key: "is no text" }],
    ["cues", "Etwas", { key: "is no text" }],
    ["movements.palm-away.steps.9", "Etwas", { key: "is no text" }],
  ])("%s as %j is refused at its field", async (key, text, fields) => {
    expect(fieldsOf(await correct("de", key, text))).toEqual(fields);
  });

  it("is each practice's own, and goes along in a file", async () => {
    await correct("pl", "cues.rest", "Przerwa.");
    const other = await TestTrainer.make(test, uuid());
    expect((await other.get("/api/practice/texts")).body.corrections).toEqual({});
    const { text } = await trainer.get("/api/practice/texts/file");
    expect(JSON.parse(text)).toEqual({ format: "kind-grip-texts", version: 1, texts: { pl: { "cues.rest": "Przerwa." } } });
  });

  it("who read a language through is noted with the day, and can be taken back", async () => {
    const note = (readBy: string | null) => trainer.send("put", "/api/practice/texts/pl/reading", { readBy });
    const today = new Date().toISOString().slice(0, 10);
    expect((await note("Zofia, physiotherapist")).body.readings).toEqual([
      { language: "pl", readBy: "Zofia, physiotherapist", readOn: today },
    ]);
    expect((await note(null)).body.readings).toEqual([]);
    expect(fieldsOf(await note(" "))).toHaveProperty("readBy");
  });
});
