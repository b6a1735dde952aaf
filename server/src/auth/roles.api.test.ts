/** Every route, every role, one's own crew and somebody else's. */
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";
import type { Role } from "@kind-grip/core/api";

let test: TestApp;
let own: SampleWorld;
let foreign: SampleWorld;
let callers: Record<Role, TestCaller>;
beforeAll(async () => {
  test = await openTestApp();
  const [trainer, other] = [await TestTrainer.make(test), await TestTrainer.make(test)];
  own = await makeWorld(trainer);
  foreign = await makeWorld(other);
  callers = {
    trainer,
    lead: await trainer.staff(test, "lead", [own.crewId]),
    employer: await trainer.staff(test, "employer", [own.crewId]),
    member: await trainer.member(test, own.crewId, own.people[0]!.id),
  };
});
afterAll(() => test.close());

const filled = (path: string, world: SampleWorld) =>
  path
    .replace(":crewId", world.crewId)
    .replace(":programId", world.programId)
    .replace(":personId", world.people[0]!.id)
    .replace(":weekStart", "2026-03-02")
    .replace(":token", `${"x".repeat(43)}.ics`)
    .replace(/:\w+Id/g, () => uuid());
const call = (caller: TestCaller, method: string, address: string) =>
  method === "get" ? caller.get(address) : caller.send(method as "put", address, {});

/** What each role but the trainer may call; everything else answers 403. Written out, so that a slip in a declaration shows. */
const ALLOWED: Record<Exclude<Role, "trainer">, string[]> = {
  lead: [
    "delete /api/me/passkeys/:passkeyId",
    "delete /api/me/sessions/:sessionId",
    "delete /api/own-week/calendar-links/:linkId",
    "get /api/crews",
    "get /api/crews/:crewId",
    "get /api/crews/:crewId/last-presence",
    "get /api/crews/:crewId/participation",
    "get /api/crews/:crewId/people",
    "get /api/crews/:crewId/placements/:placementId/own-answers",
    "get /api/crews/:crewId/plan/:weekStart",
    "get /api/crews/:crewId/programs",
    "get /api/crews/:crewId/quick-test",
    "get /api/crews/:crewId/ramps",
    "get /api/me/passkeys",
    "get /api/me/second-factor",
    "get /api/me/sessions",
    "get /api/movements",
    "get /api/own-week/:weekStart",
    "get /api/own-week/calendar-links",
    "get /api/practice/texts",
    "get /api/programs/:programId",
    "get /api/today",
    "post /api/crews/:crewId/card-holder",
    "post /api/me/leave",
    "post /api/me/passkeys",
    "post /api/me/passkeys/question",
    "post /api/me/second-factor",
    "post /api/me/second-factor/end",
    "post /api/own-week/calendar-links",
    "put /api/crews/:crewId/people/:personId/symptom-reports/:reportId",
    "put /api/crews/:crewId/placements/:placementId/ended",
    "put /api/me/measures",
    "put /api/me/name",
    "put /api/me/password",
    "put /api/me/second-factor",
    "put /api/runs/:runId",
  ],
  employer: [
    "delete /api/me/passkeys/:passkeyId",
    "delete /api/me/sessions/:sessionId",
    "get /api/crews",
    "get /api/crews/:crewId/report",
    "get /api/crews/:crewId/report.csv",
    "get /api/crews/:crewId/report.pdf",
    "get /api/crews/:crewId/report.xlsx",
    "get /api/me/passkeys",
    "get /api/me/second-factor",
    "get /api/me/sessions",
    "post /api/me/leave",
    "post /api/me/passkeys",
    "post /api/me/passkeys/question",
    "post /api/me/second-factor",
    "post /api/me/second-factor/end",
    "put /api/me/measures",
    "put /api/me/name",
    "put /api/me/password",
    "put /api/me/second-factor",
  ],
  member: [
    "delete /api/member/contacts/:contactId",
    "get /api/member/contacts",
    "get /api/member/day",
    "get /api/member/everything",
    "get /api/member/everything.json",
    "get /api/member/progress",
    "get /api/member/pulse",
    "get /api/meter",
    "put /api/member/arrivals/:arrivalId",
    "put /api/member/check-ins/:checkInId",
    "put /api/member/contacts",
    "put /api/member/efforts/:effortId",
    "put /api/member/language",
    "put /api/member/late",
    "put /api/member/quick-test",
    "put /api/member/reminder",
    "put /api/member/runs/:runId",
    "put /api/member/self-checks/:checkId",
    "put /api/member/symptom-reports/:reportId",
  ],
};

describe.each(["lead", "employer", "member"] as const)("a %s", (role) => {
  it("may call what the list says, and nothing else", async () => {
    const open: string[] = [];
    for (const { method, path, roles } of test.app.declared) {
      if (roles === "anyone") continue;
      const { status } = await call(callers[role], method, filled(path, own));
      if (status !== 403) open.push(`${method} ${path}`);
      expect([path, status >= 500]).toEqual([path, false]);
    }
    expect(open.sort()).toEqual(ALLOWED[role]);
  });
  it("does not see another trainer's crew", async () => {
    for (const route of ALLOWED[role].filter((each) => /^get .*:/.test(each) && !each.includes("own-week"))) {
      const path = route.slice(4);
      expect([path, (await callers[role].get(filled(path, foreign))).status]).toEqual([path, 404]);
    }
  });
});

it("a trainer may call everything but a crew member's own page", async () => {
  for (const { method, path, roles } of test.app.declared) {
    if (roles === "anyone" || method !== "get") continue;
    const { status } = await callers.trainer.get(filled(path, own));
    expect([path, status === 403]).toEqual([path, path.startsWith("/api/member/")]);
  }
});

it("a crew lead sees names, no badges, no hands, nobody held out and nothing to decide", async () => {
  const people = (await callers.lead.get(`/api/crews/${own.crewId}/people`)).body as { name: string; badge: null; handedness: null }[];
  expect(people.map(({ name, badge, handedness }) => [name, badge, handedness])).toEqual(own.people.map(({ name }) => [name, null, null]));
  await callers.trainer.send("post", `/api/crews/${own.crewId}/restrictions`, { personId: own.people[2]!.id, question: "hotJoint" });
  const today = (await callers.lead.get("/api/today")).body;
  expect([today.heldOut, today.decisions, today.alerts, today.clashes]).toEqual([[], [], [], []]);
  const may = (await callers.lead.get(`/api/crews/${own.crewId}/participation`)).text;
  expect(may).toContain(own.people[2]!.id);
  expect(may).not.toMatch(/hotJoint/);
});

it("an employer gets crews they were given, and not one they were taken from", async () => {
  expect((await callers.employer.get("/api/crews")).body).toHaveLength(1);
  const staff = (await callers.trainer.get("/api/practice/staff")).body as { id: string; role: string }[];
  const { id } = staff.find(({ role }) => role === "employer")!;
  await callers.trainer.send("put", `/api/practice/staff/${id}`, { crewIds: [] });
  expect((await callers.employer.get(`/api/crews/${own.crewId}/report`)).status).toBe(404);
  expect((await callers.trainer.send("delete", `/api/practice/staff/${id}`)).status).toBe(200);
  expect((await callers.employer.get("/api/crews")).status).toBe(401);
});

it("nobody is given somebody else's crew, or an address that is taken", async () => {
  const add = (change: object) =>
    callers.trainer.send("post", "/api/practice/invitations", {
      id: uuid(),
      name: "A",
      email: `${uuid()}@test.example`,
      role: "lead",
      crewIds: [own.crewId],
      ...change,
    });
  expect((await add({ crewIds: [foreign.crewId] })).body.fields).toEqual([{ path: "crewIds", message: "names a crew that is not yours" }]);
  expect((await add({ role: "trainer" })).body.fields).toMatchObject([{ path: "crewIds" }]);
  expect((await add({ role: "member" })).status).toBe(400);
  const email = `${uuid()}@test.example`;
  expect((await add({ email })).status).toBe(200);
  expect((await add({ email })).body.fields).toEqual([{ path: "email", message: "is invited already" }]);
});
