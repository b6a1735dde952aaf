import fc from "fast-check";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, KIT_KINDS, LOAD_SCHOOLS, REGIONS, SETTINGS, STRETCH_SCHOOLS, WORK_POSTURES } from "../library";
import { sampleId } from "../session/sample";
import type { RegionNeed } from "../need";
import { candidatesFor } from "./candidates";
import { composer, neediest, USUAL_LIMITS, type ComposeInput, type ComposeLimits, type Proposal } from ".";
import { modelOf } from "./model";
import { targetsOf } from "./targets";
import { brokenRules, SAMPLE_NAMES, sampleNeed as need, solveInNode } from "./sample";

/** Good within a tenth; most of it is there at once. */
const QUICK = { timeLimitSec: 6, gap: 0.1 };
const limits = (change: Partial<ComposeLimits> = {}): ComposeLimits => ({
  ...USUAL_LIMITS,
  style: DEFAULT_STYLE,
  aim: "loadLed",
  weeks: 4,
  slotSec: { preShift: 300, break: 180, postShift: 480 },
  settings: ["any", "table"],
  kit: [
    { kind: "dumbbell", massKg: 1, count: 10 },
    { kind: "band", massKg: null, count: 10 },
  ],
  people: 8,
  ...change,
});
const NEEDS = [need("fingerFlexors", 80), need("wristExtensors", 60), need("thumbBase", 40)];
const run = (change: Partial<ComposeInput> = {}) =>
  composer(
    {
      library: SHIPPED_LIBRARY,
      needs: NEEDS,
      opposites: [{ posture: "closedHand", left: 60, right: 120 }],
      limits: limits(),
      ...SAMPLE_NAMES,
      ...change,
    },
    sampleId,
  ).best(solveInNode, QUICK);
const movementsOf = ({ program }: Proposal) =>
  program.sessions.flatMap((session) => session.items.map(({ movementId }) => SHIPPED_LIBRARY.find(movementId)!));

it("covers what is needed, keeps every rule, and says why each item is there", async () => {
  const proposal = (await run())!;
  expect(brokenRules(proposal, limits())).toEqual([]);
  expect(proposal.covered).toBeGreaterThan(0.5);
  expect(proposal.program.sessions.map(({ slot }) => slot)).toEqual(["preShift", "break", "postShift"]);
  for (const [itemId, { regions, reverses }] of proposal.reasons) {
    const item = proposal.program.sessions.flatMap(({ items }) => items).find(({ id }) => id === itemId)!;
    for (const { region, need: value } of regions) expect(value).toBe(NEEDS.find((each) => each.region === region)!.need);
    for (const posture of reverses) expect(SHIPPED_LIBRARY.find(item.movementId)!.reverses).toContain(posture);
  }
  // What is reported as covered is what the items give.
  for (const { region, kind, covered } of proposal.unmet) {
    const given = movementsOf(proposal).filter(
      (movement) =>
        (movement.phase === "strengthen") === (kind === "strength") &&
        [...movement.regions.worked, ...movement.regions.stretched, ...movement.regions.released].includes(region),
    );
    expect([region, covered === 0]).toEqual([region, given.length === 0]);
  }
});
it("load-led strengthens, after the shift only; relief-led does not at all", async () => {
  const load = (await run())!;
  expect(movementsOf(load).some(({ phase }) => phase === "strengthen")).toBe(true);
  const relief = limits({ aim: "reliefLed" });
  const easy = (await run({ limits: relief }))!;
  expect(brokenRules(easy, relief)).toEqual([]);
  expect(movementsOf(easy).some(({ phase }) => phase === "strengthen")).toBe(false);
});
it("the same input gives the same proposal", async () => {
  let made = 0;
  const once = async () => {
    made = 0;
    return composer(
      {
        library: SHIPPED_LIBRARY,
        needs: NEEDS,
        opposites: [],
        limits: limits({ slotSec: { preShift: 180, break: 0, postShift: 0 } }),
        ...SAMPLE_NAMES,
      },
      () => `id-${++made}`,
    ).best(solveInNode, { timeLimitSec: 20, gap: 0.02 });
  };
  expect((await once())!.program).toEqual((await once())!.program);
});
it("what is locked stays; what cannot be locked is said", async () => {
  const first = (await run())!;
  const locked = [...first.places.values()].slice(0, 2);
  const again = (await run({ locked, limits: limits({ slotSec: { preShift: 300, break: 120, postShift: 240 } }) }))!;
  for (const place of locked) expect([...again.places.values()]).toContainEqual(place);
  expect(await run({ locked: [{ slot: "break", movementId: "gone", share: 1 }] })).toBeUndefined();
});
it("what the trainer does not want is not proposed again", async () => {
  const first = movementsOf((await run())!)[1]!.id;
  expect(movementsOf((await run({ excluded: [first] }))!).map(({ id }) => id)).not.toContain(first);
});
it("a session without time is left out, and more time never covers less", async () => {
  const none = (await run({ limits: limits({ slotSec: { preShift: 300, break: 0, postShift: 0 } }) }))!;
  expect(none.program.sessions.map(({ slot }) => slot)).toEqual(["preShift"]);
  const exact = { timeLimitSec: 20, gap: 0.001 };
  const at = async (sec: number) =>
    (await composer(
      {
        library: SHIPPED_LIBRARY,
        needs: NEEDS.slice(0, 1),
        opposites: [],
        limits: limits({ slotSec: { preShift: sec, break: 0, postShift: 0 }, mostItems: 3 }),
        ...SAMPLE_NAMES,
      },
      sampleId,
    ).best(solveInNode, exact))!.covered;
  expect(await at(200)).toBeGreaterThanOrEqual((await at(60)) - 0.002);
});
describe("what stands in the way is named", () => {
  it("kit that is not there", async () => {
    const bare = (await run({ needs: [need("thumbBase", 90)], limits: limits({ kit: [] }) }))!;
    expect(bare.unmet.find(({ kind }) => kind === "strength")!.because.kind).toBe("kit");
  });
  it("time that no session has", async () => {
    const none = (await run({ limits: limits({ slotSec: { preShift: 0, break: 0, postShift: 0 } }) }))!;
    expect(none.program.sessions).toEqual([]);
    expect(none.missed).toEqual([{ aim: "nothing" }]);
    expect(new Set(none.unmet.map(({ because }) => because.kind))).toEqual(new Set(["time"]));
  });
  it("time that is not there", async () => {
    const short = (await run({ limits: limits({ slotSec: { preShift: 40, break: 0, postShift: 0 }, aim: "reliefLed" }) }))!;
    expect(short.unmet.some(({ because }) => because.kind === "time")).toBe(true);
  });
});
it("too little kit costs the group time, and without any it is out", () => {
  const secOf = (count: number) =>
    candidatesFor(
      SHIPPED_LIBRARY,
      [SHIPPED_LIBRARY.find("finger-open-band")!],
      limits({ kit: count > 0 ? [{ kind: "band", massKg: null, count }] : [], slotSec: { preShift: 0, break: 0, postShift: 3600 } }),
      sampleId,
    ).candidates[0]?.sec;
  const each = SHIPPED_LIBRARY.find("finger-open-band")!.sideModes[0] === "together" ? 2 : 1;
  expect(secOf(4 * each)!).toBeGreaterThan(secOf(8 * each)!);
  expect(secOf(0)).toBeUndefined();
});
it("a solver that finds little never takes the better first answer away", async () => {
  const input = { library: SHIPPED_LIBRARY, needs: NEEDS, opposites: [], limits: limits(), ...SAMPLE_NAMES };
  const poor = composer(input, sampleId);
  const first = poor.first()!;
  const best = (await poor.best(() => Promise.resolve({ columns: new Map(), objective: 0, bound: 1, prices: new Map() }), QUICK))!;
  expect(best.covered).toBeGreaterThanOrEqual(0.985 * first.covered);
  expect(best.missed).toEqual([]);
});
it("the need of a region is that of the needier side", () => {
  expect(neediest([need("thumbBase", 20), { ...need("thumbBase", 70), side: "left" }]).get("thumbBase")).toBe(70);
});
it("the model is one the solver can read whatever the crew", () => {
  const { candidates } = candidatesFor(SHIPPED_LIBRARY, [], limits(), sampleId);
  expect(
    modelOf(candidates, { needs: new Map(), strengthNeeds: new Map(), opposites: [] }, limits(), new Set(), { aim: "cover" }).lp,
  ).toMatch(/^Maximize\n objective: .+\nSubject To/);
});

it("no proposal breaks a hard rule, for random crews with random kit, places, slots and needs", async () => {
  const crews = fc.record({
    style: fc.record({ stretch: fc.constantFrom(...STRETCH_SCHOOLS), load: fc.constantFrom(...LOAD_SCHOOLS) }),
    aim: fc.constantFrom("loadLed" as const, "reliefLed" as const),
    slotSec: fc.record({
      preShift: fc.integer({ min: 0, max: 9 }),
      break: fc.integer({ min: 0, max: 5 }),
      postShift: fc.integer({ min: 0, max: 12 }),
    }),
    breaksADay: fc.integer({ min: 1, max: 3 }),
    strengthDays: fc.integer({ min: 1, max: 5 }),
    settings: fc.subarray([...SETTINGS]),
    kit: fc.array(fc.record({ kind: fc.constantFrom(...KIT_KINDS), massKg: fc.constant(1), count: fc.integer({ min: 1, max: 12 }) }), {
      maxLength: 4,
    }),
    people: fc.integer({ min: 1, max: 20 }),
    mostMovements: fc.integer({ min: 3, max: 15 }),
    mostItems: fc.integer({ min: 2, max: 8 }),
    needs: fc.array(fc.integer({ min: 0, max: 100 }), { minLength: REGIONS.length, maxLength: REGIONS.length }),
    postures: fc.subarray([...WORK_POSTURES]),
  });
  let asked = 0;
  await fc.assert(
    fc.asyncProperty(crews, async ({ needs, postures, slotSec, ...rest }) => {
      const own = limits({
        ...rest,
        slotSec: { preShift: slotSec.preShift * 60, break: slotSec.break * 60, postShift: slotSec.postShift * 60 },
      });
      const question = {
        needs: needs.map((value, i) => need(REGIONS[i]!, value)),
        opposites: postures.map((posture) => ({ posture, left: 30, right: 90 })),
        limits: own,
      };
      const first = composer({ library: SHIPPED_LIBRARY, ...question, ...SAMPLE_NAMES }, sampleId).first();
      expect(first && [...brokenRules(first, own), ...first.missed]).toEqual([]);
      // The solver takes seconds for each: every fifth crew has its best looked at as well.
      const best = asked++ % 5 === 0 ? await run(question) : undefined;
      expect(best && [...brokenRules(best, own), ...best.missed]).toEqual(best && []);
    }),
    { numRuns: 12, seed: 20260326 },
  );
}, 120_000);

it("a symptom asks for relief and never for strength", async () => {
  const sore = { ...need("fingerFlexors", 90), strengthNeed: 20 };
  const targets = (each: RegionNeed) =>
    targetsOf({ needs: neediest([each]), strengthNeeds: neediest([each], "strengthNeed"), opposites: [] }, limits({ aim: "loadLed" }));
  const of = (each: RegionNeed, kind: string) => targets(each).find((target) => target.kind === kind)?.target ?? 0;
  expect(of(sore, "relief")).toBe(of(need("fingerFlexors", 90), "relief"));
  expect(of(sore, "strength")).toBe(of(need("fingerFlexors", 20), "strength"));
});

it("what only a proof needs changes nothing of what is best", async () => {
  const opposites = [{ posture: "closedHand" as const, left: 60, right: 120 }];
  const short = limits({ slotSec: { preShift: 150, break: 90, postShift: 150 }, mostItems: 3, mostMovements: 4 });
  // A dozen movements, so that the best can be proven exactly both ways.
  for (const from of [0, 9, 18]) {
    const movements = SHIPPED_LIBRARY.movements.filter((_, i) => (i + from) % 7 === 0);
    const { candidates } = candidatesFor(SHIPPED_LIBRARY, movements, short, sampleId);
    const asked = new Map(NEEDS.map(({ region, need: value }) => [region, value]));
    const wanted = { needs: asked, strengthNeeds: asked, opposites };
    const value = async (plain: boolean, locked = new Set<number>()) =>
      (await solveInNode(modelOf(candidates, wanted, short, locked, { aim: "cover", plain }).lp, { timeLimitSec: 60, gap: 0 }))?.objective;
    expect(await value(false)).toBeCloseTo((await value(true))!, 5);
    // A lock on a movement that another one outdoes stays possible.
    for (const i of [0, candidates.length - 1])
      expect((await value(false, new Set([i])))?.toFixed(4)).toBe((await value(true, new Set([i])))?.toFixed(4));
  }
}, 120_000);

it("the first answer keeps the rules too; the best begins with it, is no worse, and says how near it is", async () => {
  const ask = composer({ library: SHIPPED_LIBRARY, needs: NEEDS, opposites: [], limits: limits(), ...SAMPLE_NAMES }, sampleId);
  const first = ask.first()!;
  expect(brokenRules(first, limits())).toEqual([]);
  const best = (await ask.best(solveInNode, { timeLimitSec: 10, gap: 0.03 }))!;
  expect(brokenRules(best, limits())).toEqual([]);
  // Covering keeps 99 % while the slots are filled and movements saved.
  expect(best.covered).toBeGreaterThanOrEqual(first.covered * 0.99 - 1e-9);
  expect(best.gap).toBeLessThanOrEqual(0.03 + 1e-6);
}, 30_000);
