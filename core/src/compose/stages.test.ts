/** The aims in their order, held against counting every program there could be. */
import fc from "fast-check";
import { DEFAULT_STYLE, REGIONS, SHIPPED_LIBRARY, type Region } from "../library";
import { sampleId } from "../session/sample";
import { candidatesFor, fullerThan, type Candidate } from "./candidates";
import { dosed, filledUp, mayJoin } from "./finish";
import { USUAL_LIMITS, type ComposeLimits } from "./limits";
import { KEPT, modelOf, secondsWorth, type Stage } from "./model";
import { targetsOf, type Wanted } from "./targets";
import { x } from "./standing";
import { solveInNode } from "./sample";
import { searched } from "./search";
import { beginsAtShoulders, CLOSE_FROM_SEC, closes, getsReady, LEAST_READY_SEC, READY_FROM_SEC, STRETCH_FROM_SEC } from "./shape";

const LIMITS: ComposeLimits = {
  ...USUAL_LIMITS,
  style: DEFAULT_STYLE,
  aim: "reliefLed",
  weeks: 4,
  slotSec: { preShift: 250, break: 0, postShift: 0 },
  settings: ["any"],
  kit: [],
  people: 4,
  mostMovements: 5,
  mostItems: 6,
};
const OPPOSITES = [{ posture: "closedHand" as const, left: 60, right: 120 }];

/** Some movements, what is needed, and every program of one session that keeps the limits. */
function world(ids: readonly string[], needs: readonly number[], slotSec: number) {
  const limits = { ...LIMITS, slotSec: { preShift: slotSec, break: 0, postShift: 0 } };
  const asked = new Map<Region, number>(REGIONS.map((region, i) => [region, needs[i]!]));
  const wanted: Wanted = { needs: asked, strengthNeeds: asked, opposites: OPPOSITES };
  const { candidates } = candidatesFor(
    SHIPPED_LIBRARY,
    ids.map((id) => SHIPPED_LIBRARY.get(id)),
    limits,
    sampleId,
  );
  const secOf = (list: readonly Candidate[]) => list.reduce((sum, { sec }) => sum + sec, 0);
  const allReady = secOf(candidates.filter(({ movement }) => getsReady(movement)));
  const canClose = candidates.some(({ movement }) => closes(movement));
  const atShoulders = ({ movement }: Candidate) => beginsAtShoulders(movement);
  const isStretch = ({ movement }: Candidate) => movement.phase === "stretch";
  const keeps = (chosen: readonly Candidate[]) => {
    if (chosen.length === 0) return true;
    const ids = chosen.map(({ movement }) => movement.id);
    const ready = chosen.filter(({ movement }) => getsReady(movement));
    return (
      new Set(ids).size === ids.length &&
      secOf(chosen) <= slotSec &&
      chosen.length <= Math.min(limits.mostItems, limits.mostMovements) &&
      chosen.filter(({ movement }) => movement.phase === "glide").length <= 1 &&
      ready.length > 0 &&
      (slotSec < READY_FROM_SEC || !candidates.some(atShoulders) || chosen.some(atShoulders)) &&
      (slotSec < STRETCH_FROM_SEC || !candidates.some(isStretch) || chosen.some(isStretch)) &&
      (slotSec < READY_FROM_SEC || secOf(ready) >= Math.min(LEAST_READY_SEC, allReady)) &&
      (slotSec < CLOSE_FROM_SEC || !canClose || chosen.some(({ movement }) => closes(movement)))
    );
  };
  const programs: Candidate[][] = [];
  expect(candidates.length).toBeLessThan(17);
  for (let mask = 0; mask < 2 ** candidates.length; mask++) {
    const chosen = candidates.filter((_, i) => mask & (1 << i));
    if (keeps(chosen)) programs.push(chosen);
  }
  const cover = (chosen: readonly Candidate[]) =>
    targetsOf(wanted, limits).reduce((sum, { region, kind, need, target }) => {
      const points = chosen.reduce((all, each) => all + (each.gives === kind ? (each.points.get(region) ?? 0) : 0), 0);
      return sum + (need / 100) * Math.min(target, points);
    }, 0) + (chosen.some(({ movement }) => movement.reverses.includes("closedHand")) ? 1.2 * 2 : 0);
  const fill = (chosen: readonly Candidate[]) => chosen.reduce((sum, each) => sum + secondsWorth(each, wanted) / slotSec, 0);
  const solved = async (stage: Stage) => {
    const answer = (await solveInNode(modelOf(candidates, wanted, limits, new Set(), stage).lp, { timeLimitSec: 60, gap: 0 }))!;
    return { value: answer.objective, chosen: candidates.filter((_, i) => answer.columns.get(x(i))! > 0.5) };
  };
  return { limits, wanted, candidates, programs, cover, fill, solved, keeps, secOf };
}

const FEW = [
  "shoulder-circles",
  "shrug-and-drop",
  "shake-out",
  "fist-and-star",
  "palm-turn",
  "thumb-to-tips",
  "palm-away",
  "hand-drop",
  "median-glide",
];
const most = (list: readonly number[]) => list.reduce((best, each) => Math.max(best, each), -Infinity);

it("each aim is as good as it can be while the ones before it keep 99 %", async () => {
  const worlds = fc.record({
    ids: fc.subarray(FEW, { minLength: 5 }),
    needs: fc.array(fc.integer({ min: 0, max: 90 }), { minLength: REGIONS.length, maxLength: REGIONS.length }),
    slotSec: fc.integer({ min: 100, max: 420 }),
  });
  await fc.assert(
    fc.asyncProperty(worlds, async ({ ids, needs, slotSec }) => {
      const { programs, cover, fill, solved } = world(ids, needs, slotSec);
      const covered = most(programs.map(cover));
      const first = await solved({ aim: "cover", plain: true });
      expect(first.value).toBeCloseTo(covered, 4);
      // What only a proof needs takes nothing away.
      expect((await solved({ aim: "cover" })).value).toBeCloseTo(covered, 4);
      const near = programs.filter((each) => cover(each) >= covered * KEPT - 1e-6);
      const lightIn = (chosen: readonly Candidate[]) => chosen.filter(({ share }) => share < 1).length;
      const light = Math.min(...near.map(lightIn));
      expect(-(await solved({ aim: "whole", covered })).value).toBeCloseTo(light, 4);
      const covering = near.filter((each) => lightIn(each) <= light);
      const filled = most(covering.map(fill));
      expect((await solved({ aim: "fill", covered, light })).value).toBeCloseTo(filled, 4);
      const full = covering.filter((each) => fill(each) >= filled * KEPT - 1e-6);
      const few = await solved({ aim: "few", covered, light, filled });
      expect(-few.value).toBeCloseTo(Math.min(...full.map((each) => each.length)), 4);
    }),
    { numRuns: 25, seed: 1126 },
  );
}, 120_000);

it("the search keeps every limit and comes near to the best", () => {
  const shares: number[] = [];
  for (let i = 0; i < 20; i++) {
    const needs = REGIONS.map((_, k) => (i * 37 + k * 23) % 91);
    const { candidates, wanted, limits, programs, cover, keeps } = world(FEW, needs, 140 + i * 14);
    const found = searched(candidates, wanted, limits, new Set())!;
    expect(keeps(found)).toBe(true);
    shares.push(cover(found) / most(programs.map(cover)));
  }
  expect(Math.min(...shares)).toBeGreaterThan(0.97);
  expect(shares.filter((share) => share > 0.9999).length).toBeGreaterThan(12);
});

it("the search has the same answer every time, keeps what is locked, and says when that cannot be", () => {
  const { candidates, wanted, limits } = world(
    FEW,
    REGIONS.map((_, i) => i * 7),
    250,
  );
  const again = () => searched(candidates, wanted, limits, new Set([6]))!;
  expect(again()).toEqual(again());
  expect(again()).toContain(candidates[6]);
  const all = new Set(candidates.map((_, i) => i));
  expect(searched(candidates, wanted, limits, all)).toBeUndefined();
});

it("filling up adds until nothing may join, and takes nothing away", () => {
  const { candidates, wanted, limits, keeps } = world(
    FEW,
    REGIONS.map(() => 30),
    300,
  );
  const start = searched(candidates, wanted, limits, new Set(), [], 0)!.slice(0, 3);
  const full = filledUp(start, candidates, wanted, limits);
  expect(full.slice(0, start.length)).toEqual(start);
  expect(candidates.some((each) => mayJoin(full, each, limits))).toBe(false);
  expect(keeps(full) || full.length > 0).toBe(true);
});

it("a fuller dose has at least as much of everything", () => {
  const limits = { ...LIMITS, slotSec: { preShift: 900, break: 900, postShift: 900 }, settings: ["any", "table"] as const };
  for (const movement of SHIPPED_LIBRARY.movements.filter(({ kit, phase }) => kit.length === 0 && phase !== "strengthen")) {
    const [whole] = candidatesFor(SHIPPED_LIBRARY, [movement], limits, sampleId).candidates;
    for (const { item, share } of whole ? fullerThan(SHIPPED_LIBRARY, whole, limits) : [])
      for (const [key, value] of Object.entries(whole!.item.dose))
        if (typeof value === "number") expect([movement.id, share, (item.dose as never)[key] >= value]).toEqual([movement.id, share, true]);
  }
});

it("what flares easily is never raised above its dose", () => {
  const [tilt] = candidatesFor(
    SHIPPED_LIBRARY,
    [SHIPPED_LIBRARY.get("thumb-wrap-tilt")],
    { ...LIMITS, slotSec: { preShift: 900, break: 0, postShift: 0 } },
    sampleId,
  ).candidates;
  expect(fullerThan(SHIPPED_LIBRARY, tilt!, LIMITS)).toEqual([tilt]);
});

describe("doses", () => {
  const { candidates, wanted, limits, secOf } = world(
    ["shoulder-circles", "palm-turn", "palm-away", "shake-out"],
    REGIONS.map((_, i) => i * 7),
    900,
  );

  it("grow as few as needed until enough of the slot is used, and never over it", () => {
    for (const slotSec of [160, 200, 240, 280, 900]) {
      const own = { ...limits, slotSec: { ...limits.slotSec, preShift: slotSec } };
      const chosen = candidates.filter((_, i) => secOf(candidates.slice(0, i + 1)) <= slotSec);
      const done = dosed(SHIPPED_LIBRARY, chosen, wanted, own, []);
      expect(done.map(({ movement }) => movement.id)).toEqual(chosen.map(({ movement }) => movement.id));
      expect(secOf(done)).toBeLessThanOrEqual(slotSec);
      expect(secOf(done)).toBeGreaterThanOrEqual(secOf(chosen));
      for (const { share } of done) expect(share).toBeLessThanOrEqual(1.5 + 1e-9);
      // Enough is enough: without any one of the raised doses it would not be.
      const raised = done.filter(({ share }) => share > 1);
      const before = (each: Candidate) => chosen.find(({ movement }) => movement.id === each.movement.id)!;
      if (secOf(done) >= slotSec * 0.93)
        for (const each of raised) expect(secOf(done) - each.sec + before(each).sec).toBeLessThan(slotSec * 0.93);
    }
  });

  it("that are locked stay as they are", () => {
    const locks = candidates.map(({ slot, movement, share }) => ({ slot, movementId: movement.id, share }));
    expect(dosed(SHIPPED_LIBRARY, candidates, wanted, limits, locks)).toEqual(candidates);
  });

  it("that are light become whole where there is room, before any is raised", () => {
    const whole = candidates.find(({ movement }) => movement.id === "palm-away")!;
    const light: Candidate = {
      ...whole,
      item: { ...whole.item, dose: { kind: "holds", reps: 2, holdSec: 8, restSec: 4 } },
      share: 0.5,
      sec: whole.sec / 2,
    };
    const own = { ...limits, slotSec: { ...limits.slotSec, preShift: Math.ceil(whole.sec) } };
    expect(dosed(SHIPPED_LIBRARY, [light], wanted, own, []).map(({ share }) => share)).toEqual([1]);
    const tight = { ...limits, slotSec: { ...limits.slotSec, preShift: Math.floor(whole.sec) - 1 } };
    expect(dosed(SHIPPED_LIBRARY, [light], wanted, tight, [])[0]!.share).toBeLessThan(1);
  });
});

it("a light dose is offered only where the whole one takes more than a third of the session, and never of a glide", () => {
  const at = (preShift: number, id: string) =>
    candidatesFor(SHIPPED_LIBRARY, [SHIPPED_LIBRARY.get(id)], { ...LIMITS, slotSec: { preShift, break: 0, postShift: 0 } }, sampleId)
      .candidates;
  const { sec } = at(900, "palm-away")[0]!;
  expect(at(Math.ceil(sec * 3), "palm-away").map(({ share }) => share)).toEqual([1]);
  expect(at(Math.floor(sec * 3) - 1, "palm-away").map(({ share }) => share < 1)).toEqual([false, true]);
  expect(at(Math.ceil(sec) - 1, "palm-away").map(({ share }) => share < 1)).toEqual([true]);
  const glide = at(900, "median-glide")[0]!.sec;
  expect(at(Math.ceil(glide), "median-glide").map(({ share }) => share)).toEqual([1]);
  expect(at(Math.ceil(glide) - 1, "median-glide")).toEqual([]);
});
