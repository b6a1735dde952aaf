/** The trail is only added to, sealed in a chain, and whoever touches what was sealed is found. */
import type { TrailState } from "@kind-grip/core/api";
import { createHash } from "node:crypto";
import { Op } from "sequelize";
import { v7 as uuid } from "uuid";
import { openTestApp, type TestApp } from "../test/test-app";
import { noteChanged, noteSeen, noteSignIn, signInTrailOf } from "./audit";
import { exportTrail, NO_HASH, removeSegments, sealedLine, sealTrails, segmentHash, SETTLED_MS, trailState } from "./seal";

let test: TestApp;
let practiceId: string;
let crewId: string;
const actor = () => ({ accountId: uuid(), practiceId });
const T0 = Date.parse("2026-03-01T08:00:00Z");
const at = (min: number) => new Date(T0 + min * 60_000);
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(() => {
  [practiceId, crewId] = [uuid(), uuid()];
});
afterAll(() => test.close());

const place = { personId: null, subject: "baseline" as const, what: "grip" };
const seen = (who: ReturnType<typeof actor>, min: number) => noteSeen(test.db, who, at(min), { ...place, crewId });
const changed = (min: number, what = "grip") =>
  test.db.sequelize.transaction((transaction) => noteChanged(test.db, actor(), at(min), { ...place, what, crewId }, transaction));
const entries = (where: object = {}) => test.db.models.TrailEntry.findAll({ where: { practiceId, ...where }, order: ["at", "id"] });
const seal = (min: number) => sealTrails(test.db, at(min));
const state = (): Promise<TrailState> => trailState(test.db, practiceId);
/** Three seals of two, one and two entries. */
async function threeSeals(): Promise<void> {
  await changed(0, "a");
  await changed(1, "b");
  await seal(60);
  await changed(61, "c");
  await seal(120);
  await changed(121, "d");
  await changed(122, "e");
  await seal(180);
}

describe("lines", () => {
  it("readings within a quarter of an hour of the last are one, each a row of its own", async () => {
    const who = actor();
    for (const min of [0, 10, 20, 36]) await seen(who, min);
    const rows = (await entries()).map((row) => row.get());
    expect(rows.map(({ lineId }) => lineId)).toEqual([rows[0]!.id, rows[0]!.id, rows[0]!.id, rows[3]!.id]);
    expect(new Set(rows.map(({ id }) => id)).size).toBe(4);
  });
  it("of different people, parts and crews stay apart", async () => {
    const who = actor();
    await seen(who, 0);
    await seen(actor(), 1);
    await noteSeen(test.db, who, at(2), { ...place, crewId, what: "range" });
    await noteSeen(test.db, who, at(3), { ...place, crewId: uuid() });
    expect(new Set((await entries()).map((row) => row.get().lineId)).size).toBe(4);
  });
  it("of sign-ins are of the practice, newest first, a page at a time", async () => {
    const caller = { ...actor(), role: "trainer" as const };
    for (let i = 0; i < 63; i++) await noteSignIn(test.db, caller, `act ${i}`);
    await changed(0);
    const [first, second] = [await signInTrailOf(test.db, caller, 0), await signInTrailOf(test.db, caller, 1)];
    expect([first.total, first.entries.length, second.entries.length]).toEqual([63, 60, 3]);
    expect([first.entries[0]!.what, second.entries.at(-1)!.what]).toEqual(["act 62", "act 0"]);
    expect(first.entries[0]!.by).toBe("somebody gone");
  });
});

describe("seals", () => {
  it("take what has settled, in order, each over the one before", async () => {
    await threeSeals();
    const segments = (await test.db.models.TrailSegment.findAll({ where: { practiceId }, order: ["number"] })).map((row) => row.get());
    expect(segments.map(({ number, entries }) => [number, entries])).toEqual([
      [1, 2],
      [2, 1],
      [3, 2],
    ]);
    expect(segments.map(({ previousHash }) => previousHash)).toEqual([NO_HASH, segments[0]!.hash, segments[1]!.hash]);
    expect(await state()).toEqual({ segments: 3, sealed: 5, open: 0, lastHash: segments[2]!.hash, broken: null });
  });
  it("leave what was written less than ten minutes ago", async () => {
    await changed(0);
    await changed(30);
    await sealTrails(test.db, new Date(at(30).getTime() + SETTLED_MS));
    expect(await state()).toMatchObject({ segments: 1, sealed: 1, open: 1 });
    await sealTrails(test.db, new Date(at(30).getTime() + SETTLED_MS + 1));
    expect(await state()).toMatchObject({ segments: 2, sealed: 2, open: 0, broken: null });
  });
  it("are made once by several servers at the same time", async () => {
    for (let i = 0; i < 8; i++) await changed(i);
    await Promise.all([seal(60), seal(60), seal(60), seal(60)]);
    expect(await state()).toMatchObject({ sealed: 8, open: 0, broken: null });
  });
  it.each<[string, () => Promise<unknown>, number]>([
    ["changed", async () => test.db.models.TrailEntry.update({ what: "x" }, { where: { practiceId, what: "c" } }), 2],
    ["moved in time", async () => test.db.models.TrailEntry.update({ at: at(0.5) }, { where: { practiceId, what: "b" } }), 1],
    ["taken out", async () => test.db.models.TrailEntry.destroy({ where: { practiceId, what: "e" } }), 3],
    [
      "put under another name",
      async () => test.db.models.TrailEntry.update({ accountId: uuid() }, { where: { practiceId, what: "a" } }),
      1,
    ],
    ["taken out with its seal", async () => test.db.models.TrailSegment.destroy({ where: { practiceId, number: 2 } }), 2],
    ["sealed anew", async () => test.db.models.TrailSegment.update({ hash: "f".repeat(64) }, { where: { practiceId, number: 1 } }), 1],
  ])("tell an entry that was %s", async (_, touch, broken) => {
    await threeSeals();
    await touch();
    expect((await state()).broken).toBe(broken);
  });
  it("of another practice are a chain of their own", async () => {
    await threeSeals();
    const first = practiceId;
    practiceId = uuid();
    await threeSeals();
    await test.db.models.TrailEntry.destroy({ where: { practiceId, what: "a" } });
    expect((await state()).broken).toBe(1);
    expect((await trailState(test.db, first)).broken).toBeNull();
  });
});

describe("retention", () => {
  it("takes whole old seals out; their hashes stay, and the chain holds", async () => {
    await threeSeals();
    const before = await state();
    expect(await removeSegments(test.db, practiceId, at(100))).toBe(3);
    expect((await entries()).map((row) => row.get().what)).toEqual(["d", "e"]);
    expect(await state()).toEqual(before);
    await changed(200);
    await seal(300);
    expect((await state()).broken).toBeNull();
  });
  it("leaves a seal that ends later, and what is not sealed", async () => {
    await threeSeals();
    await changed(190);
    expect(await removeSegments(test.db, practiceId, at(122))).toBe(3);
    expect(await entries({ what: { [Op.in]: ["d", "e", "grip"] } })).toHaveLength(3);
  });
});

it("the open file says everything that is needed to check it by its description", async () => {
  await threeSeals();
  await changed(200);
  const file = JSON.parse(JSON.stringify(await exportTrail(test.db, practiceId, at(210)))) as {
    entries: Record<string, unknown>[];
    segments: { id: string; previousHash: string; hash: string }[];
  };
  const keys = ["id", "lineId", "crewId", "personId", "accountId", "act", "subject", "what", "at", "times"];
  for (const { id, previousHash, hash } of file.segments) {
    const lines = file.entries.filter(({ segmentId }) => segmentId === id).map((entry) => JSON.stringify(keys.map((key) => entry[key])));
    expect(
      createHash("sha256")
        .update([previousHash, ...lines].join("\n"))
        .digest("hex"),
    ).toBe(hash);
  }
  expect(file.entries.filter(({ segmentId }) => segmentId === null)).toHaveLength(1);
  const [row] = await entries();
  expect(sealedLine(row!.get({ plain: true }))).toContain(row!.get().id);
  expect(segmentHash(NO_HASH, [])).toHaveLength(64);
});
