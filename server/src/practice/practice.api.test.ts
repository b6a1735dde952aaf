import { USUAL_SETTINGS } from "@kind-grip/core/response";
import { v7 as uuid } from "uuid";
import { makeWorld } from "../test/samples";
import { fieldsOf, openTestApp, PASSWORD, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let practiceId: string;
let trainer: TestTrainer;
let crewId: string;
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  practiceId = uuid();
  trainer = await TestTrainer.make(test, practiceId);
  ({ crewId } = await makeWorld(trainer));
});
afterAll(() => test.close());

describe("settings of the practice", () => {
  const settings = (thresholds: object) => ({ ...USUAL_SETTINGS, thresholds: { ...USUAL_SETTINGS.thresholds, ...thresholds } });
  const save = (version: number, thresholds: object) =>
    trainer.send("put", "/api/practice/settings", { version, settings: settings(thresholds) });

  it("are the usual ones until they are changed, and then have a version that grows", async () => {
    expect((await trainer.get("/api/practice/settings")).body).toEqual({ settings: USUAL_SETTINGS, version: 1 });
    expect((await save(1, { progressRuns: 4 })).body.version).toBe(2);
    expect((await trainer.get("/api/practice/settings")).body).toEqual({ settings: settings({ progressRuns: 4 }), version: 2 });
  });

  it("saved by two at once, the second sees what the first made of them; the same twice is once", async () => {
    await save(1, { progressRuns: 4 });
    const late = await save(1, { progressRuns: 5 });
    expect([late.status, late.body.detail.settings.thresholds.progressRuns]).toEqual([409, 4]);
    const again = await save(1, { progressRuns: 4 });
    expect([again.status, again.body.version]).toEqual([200, 2]);
  });

  it.each([
    ["settlingDays", 0, 1, "must be 1 to 14"],
    ["settlingDays", 15, 14, "must be 1 to 14"],
    ["noGainPercent", 49, 50, "must be 50 to 100"],
    ["progressRuns", 1, 2, "must be 2 to 10"],
    ["progressMargin", 1.5, 2, "must be a whole number"],
  ])("%s of %d is refused at its field, %d is not", async (field, bad, good, message) => {
    expect(fieldsOf(await save(1, { [field]: bad }))).toEqual({ [`settings.thresholds.${field}`]: message });
    expect((await save(1, { [field]: good })).status).toBe(200);
  });

  it("are each practice's own", async () => {
    await save(1, { progressRuns: 6 });
    const other = await TestTrainer.make(test);
    expect((await other.get("/api/practice/settings")).body).toEqual({ settings: USUAL_SETTINGS, version: 1 });
  });
});

describe("staff", () => {
  const staff = (change: object = {}) => ({
    id: uuid(),
    name: "Ivo",
    email: `${uuid()}@test.example`,
    role: "lead" as const,
    crewIds: [crewId],
    ...change,
  });
  const add = (someone: object, by = trainer) => by.send("post", "/api/practice/invitations", someone);
  const signIn = (email: string, password: string) => TestCaller.signedIn(test, "/api/sign-in", { email, password });

  it("invited and accepted, see the crews they are given", async () => {
    const ivo = staff();
    const theirs = await trainer.invited(test, ivo);
    const known = (await trainer.get("/api/practice/staff")).body;
    expect(known).toContainEqual({ id: ivo.id, name: "Ivo", email: ivo.email, role: "lead", crewIds: [crewId] });
    expect((await theirs.get("/api/crews")).body.map(({ id }: { id: string }) => id)).toEqual([crewId]);
  });

  it("never take the place of an account that is there: not a trainer's, not another practice's, not under another address", async () => {
    const accounts = async () =>
      (await test.db.models.Account.findAll({ where: { practiceId }, order: ["email"] })).map((row) => row.get({ plain: true }));
    const me = (await accounts())[0]!;
    expect((await add(staff({ id: me.id }))).status).toBe(409);
    expect(fieldsOf(await add(staff({ id: me.id, email: me.email })))).toEqual({ email: "has a sign-in already" });
    const other = await TestTrainer.make(test);
    const theirs = staff({ crewIds: [(await makeWorld(other)).crewId] });
    expect((await add(theirs, other)).status).toBe(200);
    expect((await add(staff({ id: theirs.id }))).status).toBe(409);
    await other.invited(test, theirs);
    expect(fieldsOf(await add(staff({ email: theirs.email })))).toEqual({ email: "has a sign-in already" });
    expect(await accounts()).toEqual([me]);
    await signIn(me.email, PASSWORD);
  });

  it("are given the trainer's own crews only, and lose what is taken at once", async () => {
    const other = await makeWorld(await TestTrainer.make(test));
    expect(fieldsOf(await add(staff({ crewIds: [other.crewId] })))).toEqual({ crewIds: "names a crew that is not yours" });
    const ivo = staff();
    const theirs = await trainer.invited(test, ivo);
    const second = await makeWorld(trainer);
    const change = (crewIds: string[]) => trainer.send("put", `/api/practice/staff/${ivo.id}`, { crewIds });
    expect(fieldsOf(await change([other.crewId]))).toEqual({ crewIds: "names a crew that is not yours" });
    await change([second.crewId]);
    expect((await theirs.get("/api/crews")).body.map(({ id }: { id: string }) => id)).toEqual([second.crewId]);
    expect((await theirs.get(`/api/crews/${crewId}/people`)).status).toBe(404);
  });

  it("whose sign-in is ended are out with the next call; a trainer's cannot be ended here", async () => {
    const ivo = staff();
    const theirs = await trainer.invited(test, ivo);
    expect((await trainer.send("delete", `/api/practice/staff/${ivo.id}`)).body.map(({ name }: { name: string }) => name)).not.toContain(
      "Ivo",
    );
    expect((await theirs.get("/api/crews")).status).toBe(401);
    const [me] = await test.db.models.Account.findAll({ where: { practiceId } });
    expect((await trainer.send("delete", `/api/practice/staff/${me!.get().id}`)).status).toBe(409);
    expect((await trainer.send("delete", `/api/practice/staff/${uuid()}`)).status).toBe(404);
  });

  it("a colleague cannot make a lead's invitation theirs, nor end the sign-in; whoever gave it can", async () => {
    const colleague = await TestTrainer.make(test, practiceId);
    const ivo = staff();
    await add(ivo);
    expect((await add({ ...ivo, crewIds: [(await makeWorld(colleague)).crewId] }, colleague)).status).toBe(409);
    const theirs = await trainer.invited(test, ivo);
    expect((await colleague.send("delete", `/api/practice/staff/${ivo.id}`)).body.code).toBe("shared");
    // Whoever has a sign-in is not invited again.
    expect(fieldsOf(await add(ivo))).toEqual({ email: "has a sign-in already" });
    await signIn(ivo.email, PASSWORD);
    await trainer.send("put", `/api/practice/staff/${ivo.id}`, { crewIds: [] });
    expect((await colleague.send("delete", `/api/practice/staff/${ivo.id}`)).body.code).toBe("shared");
    expect((await theirs.get("/api/crews")).status).toBe(200);
    expect((await trainer.send("delete", `/api/practice/staff/${ivo.id}`)).status).toBe(200);
    expect((await theirs.get("/api/crews")).status).toBe(401);
  });

  it("a lead of two trainers is ended by neither alone, and loses only what each takes back", async () => {
    const colleague = await TestTrainer.make(test, practiceId);
    const other = await makeWorld(colleague);
    const ivo = staff();
    const theirs = await trainer.invited(test, ivo);
    expect((await colleague.send("put", `/api/practice/staff/${ivo.id}`, { crewIds: [other.crewId] })).status).toBe(200);
    for (const each of [trainer, colleague]) expect((await each.send("delete", `/api/practice/staff/${ivo.id}`)).body.code).toBe("shared");
    await colleague.send("put", `/api/practice/staff/${ivo.id}`, { crewIds: [] });
    expect((await theirs.get("/api/crews")).body.map(({ id }: { id: string }) => id)).toEqual([crewId]);
    expect((await trainer.send("delete", `/api/practice/staff/${ivo.id}`)).status).toBe(200);
  });

  it.each([
    [{ email: "ivo" }, { email: "is not an e-mail address" }],
    [{ role: "member" }, { role: "must be trainer, crew lead or employer contact" }],
    [{ role: "trainer" }, { crewIds: "are not given to a trainer: share them when they are there" }],
    [{ crewIds: [] }, { crewIds: "names no crew" }],
  ])("with %j are refused at their field", async (change, fields) => {
    expect(fieldsOf(await add(staff(change)))).toEqual(fields);
  });
});
