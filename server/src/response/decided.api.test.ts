/** Of all decisions about an item only those that count are read, and they are the ones a reading of all of them would find. */
import { USUAL_THRESHOLDS, type DecisionKind, type Response } from "@kind-grip/core/response";
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { decisionsThatCount, loadsHeldLast } from "./decided";
import type { DecisionRow } from "./tables";

let test: TestApp;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  world = await makeWorld(await TestTrainer.make(test));
});
beforeEach(() => test.db.models.Decision.destroy({ where: { crewId: world.crewId } }));
afterAll(() => test.close());

const FIRST_MS = Date.parse("2025-01-06T08:00:00Z");
let made = 0;
/** A decision, each a day after the one before. @param next whether its proposal says what is done next */
function decision(item: number, decided: DecisionKind, next = true, person = 0): DecisionRow {
  const { movementId, formId, dose } = world.program.sessions[0]!.items[item]!;
  const was = { formId, dose, loadKg: null };
  return {
    id: uuid(),
    crewId: world.crewId,
    personId: world.people[person]!.id,
    programId: world.programId,
    itemId: world.program.sessions[0]!.items[item]!.id,
    movementId,
    proposed: decided,
    decided,
    why: null,
    response: { kind: decided, fired: [], next: next ? was : null } as unknown as Response,
    was: was as DecisionRow["was"],
    settings: USUAL_THRESHOLDS,
    settingsVersion: 1,
    decidedBy: uuid(),
    decidedAt: new Date(FIRST_MS + made++ * 86_400_000),
    resumedAt: null,
    resumedWhy: null,
  };
}
const store = (rows: DecisionRow[]) => test.db.models.Decision.bulkCreate(rows);
const read = async (at = new Date(FIRST_MS + made * 86_400_000), personId?: string[]) =>
  (await decisionsThatCount(test.db, world.crewId, at, personId ? { personId } : {})).map(({ id }) => id);
const changes = ({ decided, response }: DecisionRow) => decided === "pauseAndRefer" || (decided !== "hold" && response.next !== null);

it("reads two of fifty: the last, and the last that changed something", async () => {
  const rows = [...Array.from({ length: 48 }, () => decision(0, "progress")), decision(0, "progress"), decision(0, "hold")];
  await store(rows);
  expect(await read()).toEqual([rows[48]!.id, rows[49]!.id]);
});

it("goes on past what was decided but had nothing to change", async () => {
  const rows = [decision(0, "progress"), decision(0, "ease", false), decision(0, "ease", false), decision(0, "hold")];
  await store(rows);
  expect(await read()).toEqual(expect.arrayContaining([rows[0]!.id, rows[3]!.id]));
});

it("knows nothing of what was decided later, nor of others", async () => {
  const rows = [decision(0, "progress"), decision(0, "pauseAndRefer"), decision(0, "progress", true, 1)];
  await store(rows);
  expect(await read(rows[0]!.decidedAt)).toEqual([rows[0]!.id]);
  expect(await read(undefined, [world.people[1]!.id])).toEqual([rows[2]!.id]);
  expect(await read(undefined, [])).toEqual([]);
});

it("finds what reading all of them finds, whatever they are", async () => {
  const kinds: DecisionKind[] = ["hold", "progress", "ease", "pauseAndRefer"];
  let seed = 7;
  const random = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
  for (let round = 0; round < 6; round++) {
    await test.db.models.Decision.destroy({ where: { crewId: world.crewId } });
    const rows = Array.from({ length: 30 }, () => decision(random(2), kinds[random(4)]!, random(3) > 0, random(2)));
    await store(rows);
    const found = new Set(await read());
    for (const item of [0, 1])
      for (const person of [0, 1]) {
        const itemId = world.program.sessions[0]!.items[item]!.id;
        const own = rows.filter((row) => row.itemId === itemId && row.personId === world.people[person]!.id);
        for (const wanted of [own.at(-1), own.findLast(changes)]) if (wanted) expect(found).toContain(wanted.id);
      }
  }
});

it("knows what each person held last of a movement, whichever item it was in", async () => {
  const { movementId } = world.program.sessions[0]!.items[0]!;
  const held = (kg: number | null) => ({ loadKg: kg, tool: kg === null ? null : ("dumbbell" as const) });
  const changed = (was: number | null, next: number | null, decided: DecisionKind = "ease", person = 0): DecisionRow => {
    const row = decision(0, decided, true, person);
    const response = { ...row.response, next: { ...row.was, ...held(next) } };
    // An item of another block.
    return { ...row, itemId: uuid(), was: { ...row.was, ...held(was) }, response };
  };
  const rows = [changed(1, 0.5), changed(0.5, null), changed(null, null), changed(2, null, "ease", 1), changed(0.5, 1, "progress", 1)];
  await store([...rows, { ...changed(3, 4), decided: "hold" }]);
  const asked = [0, 1].map((person) => ({ personId: world.people[person]!.id, movementId }));
  const kg = async (at = new Date(FIRST_MS + made * 86_400_000), of = asked) => {
    const found = await loadsHeldLast(test.db, world.crewId, at, of);
    return asked.map(({ personId }) => found.get(`${personId} ${movementId}`)?.held.loadKg);
  };
  expect(await kg()).toEqual([0.5, 1]);
  expect(await kg(rows[3]!.decidedAt)).toEqual([0.5, 2]);
  expect(await kg(undefined, asked.slice(0, 1))).toEqual([0.5, undefined]);
  expect(await kg(undefined, [{ ...asked[0]!, movementId: "palm-away" }])).toEqual([undefined, undefined]);
  expect(await kg(undefined, [])).toEqual([undefined, undefined]);
});
