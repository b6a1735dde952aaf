/** The demo's eight weeks, replayed: each decision of its stories is the one the rules come to. */
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { respond, type DecisionKind, type Fired } from "@kind-grip/core/response";
import { openTestApp, TestCaller, type TestApp } from "../test/test-app";
import { itemFacts } from "../response/item-facts";
import type { DecisionEntry, WaitingDecision } from "@kind-grip/core/api";
import { DEMO_PASSWORD, DEMO_SIGN_INS, seedDemo } from "./load";
import { DEMO_NOW } from "./practice";
import { DEMO_MEMBER } from "./staff";

let test: TestApp;
let maren: TestCaller;
let crews: { id: string; name: string }[];
beforeAll(async () => {
  test = await openTestApp();
  if ((await test.db.models.Account.count({ where: { email: DEMO_SIGN_INS[0].email } })) === 0) await seedDemo(test.db);
  maren = await TestCaller.signedIn(test, "/api/sign-in", { email: DEMO_SIGN_INS[0].email, password: DEMO_PASSWORD });
  crews = (await maren.get("/api/crews")).body;
});
afterAll(() => test.close());

const crewOf = (name: string) => crews.find((crew) => crew.name.startsWith(name))!.id;
const personId = async (crewId: string, name: string) =>
  ((await maren.get(`/api/crews/${crewId}/people`)).body as { id: string; name: string }[]).find((person) => person.name === name)!.id;
const decisionsOf = async (crew: string, name: string): Promise<DecisionEntry[]> => {
  const crewId = crewOf(crew);
  const { body } = await maren.get(`/api/crews/${crewId}/decisions/history?personId=${await personId(crewId, name)}`);
  return [...(body.decisions as DecisionEntry[])].reverse();
};
const proposedOn = async (crew: string, name: string, day: string): Promise<Map<string, { kind: DecisionKind; fired: Fired }>> => {
  const row = (await test.db.models.Crew.findByPk(crewOf(crew), { rejectOnEmpty: true })).get({ plain: true });
  const facts = await itemFacts(test.db, SHIPPED_LIBRARY, row, new Date(`${day}T03:00:00Z`), [await personId(row.id, name)]);
  return new Map(
    facts.flatMap((each) => {
      const found = respond(SHIPPED_LIBRARY, each.facts);
      return found ? [[each.facts.item.movementId, { kind: found.kind, fired: found.fired[0]! }] as const] : [];
    }),
  );
};

it("a flare that settled: up to 2 in the first four days is held, and nothing was eased", async () => {
  const during = await proposedOn("Ridgeline", "Ives Tarrant", "2026-02-05");
  expect(during.get("palm-away")).toMatchObject({ kind: "hold", fired: { rule: "settling", rise: 2 } });
  expect((await proposedOn("Ridgeline", "Ives Tarrant", "2026-02-11")).get("palm-away")!.kind).not.toBe("ease");
  expect(
    (await decisionsOf("Ridgeline", "Ives Tarrant")).filter(({ decided, decidedAt }) => decided === "ease" && decidedAt < "2026-02-20"),
  ).toEqual([]);
});

it("a load step too soon: against the proposal, mornings up by more than 2, eased the Monday after", async () => {
  const lift = (await decisionsOf("Tansy", "Viggo Marsh")).filter(({ movementId }) => movementId === "lift-palm-down");
  const steps = lift.map(({ decidedAt, proposed, decided, why }) => [decidedAt.slice(0, 10), proposed !== decided && !!why, decided]);
  expect(steps).toContainEqual(["2026-02-26", true, "progress"]);
  const after = lift.find(({ decidedAt }) => decidedAt > "2026-02-27")!;
  expect([after.decidedAt.slice(0, 10), after.decided]).toEqual(["2026-03-02", "ease"]);
  expect(after.response.fired[0]).toMatchObject({ rule: "morningRaised", allowed: 2 });
});

it("a week without gain: no better after 7 days with 70 % done, paused and referred, out of those items from then on", async () => {
  const [first] = (await decisionsOf("Saltmarsh", "Freya Holloway")).filter(({ decided }) => decided === "pauseAndRefer");
  expect(first!.response.fired[0]).toMatchObject({ rule: "noGain", before: 5 });
  expect(first!.decidedAt < "2026-02-24").toBe(true);
  const may = (await maren.get(`/api/crews/${crewOf("Saltmarsh")}/participation`)).body as {
    personId: string;
    outOf: { movements?: string[] }[];
  }[];
  const own = may.find(({ personId: id }) => id === first!.personId)!;
  expect(own.outOf.flatMap(({ movements = [] }) => movements)).toContain(first!.movementId);
});

it("every stored decision names the rules and the thresholds it came from, and the queue is the rules' answer today", async () => {
  for (const { id } of crews) {
    const { decisions } = (await maren.get(`/api/crews/${id}/decisions/history`)).body as { decisions: DecisionEntry[] };
    for (const { response, settings } of decisions) expect([response.fired.length > 0, settings.progressRuns]).toEqual([true, 3]);
    const waiting = (await maren.get(`/api/crews/${id}/decisions`)).body as WaitingDecision[];
    const counted = await test.db.models.Proposal.count({ where: { crewId: id } });
    expect(waiting.length).toBe(counted);
    const raises = waiting.filter(({ response }) => response.kind === "progress").map((each) => each.personId);
    expect(new Set(raises).size).toBe(raises.length);
  }
});

it("the demo's crew member gets in with the code and PIN the start command prints", async () => {
  const member = await TestCaller.signedIn(test, "/api/member/sign-in", { code: DEMO_MEMBER.codes[0], pin: DEMO_MEMBER.pin });
  const day = (await member.get("/api/member/day")).body;
  expect([day.person.name, day.today, day.sessions.length > 0]).toEqual(["Aron Thistlewood", DEMO_NOW.toISOString().slice(0, 10), true]);
});
