import { DEFAULT_STYLE, SHIPPED_LIBRARY } from "../library";
import { sampleId } from "../session/sample";
import { composer, limitsWith, MET, neediest, notchGains, USUAL_LIMITS, type ComposeInput, type ComposeLimits } from ".";
import { candidatesFor } from "./candidates";
import { modelOf } from "./model";
import { x } from "./standing";
import { notchesOf } from "./notches";
import { brokenRules, SAMPLE_NAMES, sampleNeed as need, solveInNode } from "./sample";

const LIMITS: ComposeLimits = {
  ...USUAL_LIMITS,
  style: DEFAULT_STYLE,
  aim: "loadLed",
  weeks: 4,
  slotSec: { preShift: 240, break: 120, postShift: 300 },
  settings: ["any", "table"],
  kit: [{ kind: "band", massKg: null, count: 8 }],
  people: 6,
};
const input = (
  limits: Partial<ComposeLimits> = {},
  needs = [need("pronators", 80), need("wristExtensors", 70), need("thumbBase", 50)],
): ComposeInput => ({
  library: SHIPPED_LIBRARY,
  needs,
  opposites: [{ posture: "closedHand", left: 60, right: 120 }],
  limits: { ...LIMITS, ...limits },
  ...SAMPLE_NAMES,
});

const gainsOf = (asked: ComposeInput) => notchGains(asked, composer(asked, sampleId).first()!, sampleId);

describe("one notch", () => {
  it("of every limit there is, of no kit that is there already", () => {
    const kinds = notchesOf(input()).map((notch) => (notch.kind === "kit" ? notch.kit : notch.kind));
    expect(kinds).toEqual(expect.arrayContaining(["minutes", "break", "movement", "item", "dumbbell", "hammer"]));
    expect(kinds).not.toContain("band");
    const bare = notchesOf(input({ slotSec: { preShift: 240, break: 0, postShift: 0 }, breaksADay: 3 })).map(({ kind }) => kind);
    expect([bare.filter((kind) => kind === "minutes").length, bare.includes("break")]).toEqual([1, false]);
  });

  it.each(notchesOf(input()).map((notch) => [JSON.stringify(notch), notch] as const))("%s loosens one limit and no other", (_, notch) => {
    const after = limitsWith(LIMITS, notch);
    const changed = (Object.keys(LIMITS) as (keyof ComposeLimits)[]).filter(
      (key) => JSON.stringify(after[key]) !== JSON.stringify(LIMITS[key]),
    );
    expect(changed).toHaveLength(1);
  });

  it("says what it brings to whom, the most first: turning strength wants a lever", () => {
    const gains = gainsOf(input());
    expect(gains.length).toBeGreaterThan(2);
    expect(gains.map(({ gain }) => gain)).toEqual([...gains.map(({ gain }) => gain)].sort((a, b) => b - a));
    const lever = gains.find(({ notch }) => notch.kind === "kit" && notch.kit === "hammer")!;
    expect(lever.regions).toContainEqual({ region: "pronators", kind: "strength" });
    for (const { gain } of gains) expect(gain).toBeGreaterThan(0);
  });

  it("minutes for a session that is full of items come with one more item, and both limits give", () => {
    const full = composer(input({ mostItems: 3 }), sampleId).first()!;
    const minutes = notchesOf(input({ mostItems: 3 }), full).filter((notch) => notch.kind === "minutes");
    for (const notch of minutes) {
      const items = full.program.sessions.find(({ slot }) => slot === notch.slot)!.items.length;
      expect(notch.withItem).toBe(items >= 3);
      const after = limitsWith({ ...LIMITS, mostItems: 3 }, notch);
      expect(after.mostItems).toBe(items >= 3 ? 4 : 3);
      expect(after.slotSec[notch.slot]).toBe(LIMITS.slotSec[notch.slot] + 120);
    }
    expect(minutes.some(({ withItem }) => withItem)).toBe(true);
  });
  it("brings nothing where nothing is needed", () => expect(gainsOf(input({}, []))).toEqual([]));
  it("is held against the program there is: a need that is met already is never called a gain", () => {
    const asked = input({ slotSec: { preShift: 300, break: 180, postShift: 480 } });
    const base = composer(asked, sampleId).first()!;
    const met = new Set(base.met.filter(({ covered }) => covered >= MET).map(({ region, kind }) => `${kind} ${region}`));
    expect(met.size).toBeGreaterThan(0);
    for (const { regions } of notchGains(asked, base, sampleId))
      for (const { region, kind } of regions) expect(met).not.toContain(`${kind} ${region}`);
  });
  it("the search begins with the program there is: with the same limits it is never worse", () => {
    const asked = input();
    const base = composer(asked, sampleId).first()!;
    const again = composer({ ...asked, from: [...base.places.values()] }, sampleId).first()!;
    expect(again.covered).toBeGreaterThanOrEqual(base.covered - 1e-9);
  });
});

describe("alternatives", () => {
  it("are asked after the best, keep the rules, and differ as their taste says", async () => {
    const ask = composer(input({ slotSec: { preShift: 300, break: 180, postShift: 360 } }), sampleId);
    expect(await ask.alternatives(solveInNode, { timeLimitSec: 5, gap: 0.05 })).toEqual([]);
    const best = (await ask.best(solveInNode, { timeLimitSec: 12, gap: 0.05 }))!;
    const told: number[] = [];
    const others = await ask.alternatives(solveInNode, { timeLimitSec: 5, gap: 0.05 }, (soFar) => told.push(soFar.length));
    expect(told).toEqual(others.map((_, i) => i + 1));
    // With the best there are three to choose from.
    expect(others.length).toBeGreaterThanOrEqual(2);
    const counted = new Map(
      others.map(({ taste, proposal }) => [taste, new Set([...proposal.places.values()].map(({ movementId }) => movementId)).size]),
    );
    if (counted.has("fewest") && counted.has("variety")) expect(counted.get("fewest")!).toBeLessThan(counted.get("variety")!);
    for (const { proposal } of others) {
      expect(brokenRules(proposal, { ...LIMITS, slotSec: { preShift: 300, break: 180, postShift: 360 } })).toEqual([]);
      expect(proposal.missed).toEqual([]);
      expect(proposal.covered).toBeGreaterThan(best.covered * 0.85);
    }
  }, 120_000);
  it("of other movements: as few of the known ones as keep it nearly as good", async () => {
    const limits = { ...LIMITS, slotSec: { preShift: 300, break: 0, postShift: 0 } };
    const { candidates } = candidatesFor(SHIPPED_LIBRARY, SHIPPED_LIBRARY.movements, limits, sampleId);
    const asked = input({ slotSec: limits.slotSec });
    const wanted = { needs: neediest(asked.needs), strengthNeeds: neediest(asked.needs, "strengthNeed"), opposites: [] };
    const best = composer(asked, sampleId).first()!;
    const known = new Set([...best.places.values()].map(({ movementId }) => movementId));
    const reached = { covered: 0, light: 0, filled: 0 };
    const solved = (await solveInNode(modelOf(candidates, wanted, limits, new Set(), { aim: "others", ...reached, known }).lp, {
      timeLimitSec: 10,
      gap: 0,
    }))!;
    const again = candidates.filter(({ movement }, i) => (solved.columns.get(x(i)) ?? 0) > 0.5 && known.has(movement.id));
    expect(new Set(again.map(({ movement }) => movement.id)).size).toBeCloseTo(-solved.objective);
    expect(again.length).toBeLessThan(known.size);
  }, 60_000);
});
