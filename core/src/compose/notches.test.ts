import { DEFAULT_STYLE, SHIPPED_LIBRARY } from "../library";
import { sampleId } from "../session/sample";
import { composer, limitsWith, notchGains, USUAL_LIMITS, type ComposeInput, type ComposeLimits } from ".";
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
    const gains = notchGains(input(), sampleId);
    expect(gains.length).toBeGreaterThan(2);
    expect(gains.map(({ gain }) => gain)).toEqual([...gains.map(({ gain }) => gain)].sort((a, b) => b - a));
    const lever = gains.find(({ notch }) => notch.kind === "kit" && notch.kit === "hammer")!;
    expect(lever.regions).toContainEqual({ region: "pronators", kind: "strength" });
    for (const { gain } of gains) expect(gain).toBeGreaterThan(0);
  });

  it("brings nothing where nothing is needed", () => expect(notchGains(input({}, []), sampleId)).toEqual([]));
});

describe("alternatives", () => {
  it("are asked after the best, keep the rules, and differ as their taste says", async () => {
    const ask = composer(input({ slotSec: { preShift: 300, break: 180, postShift: 360 } }), sampleId);
    expect(await ask.alternatives(solveInNode, { timeLimitSec: 5, gap: 0.05 })).toEqual([]);
    const best = (await ask.best(solveInNode, { timeLimitSec: 12, gap: 0.05 }))!;
    const others = await ask.alternatives(solveInNode, { timeLimitSec: 5, gap: 0.05 });
    expect(others.length).toBeGreaterThan(0);
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
});
