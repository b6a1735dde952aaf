import fc from "fast-check";
import { DEFAULT_STYLE, newItem, PHASES, REGIONS, SHIPPED_LIBRARY } from "../library";
import { compilePerson, type Item } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import type { Candidate } from "./candidates";
import { composer, USUAL_LIMITS, type ComposeInput, type ComposeLimits } from ".";
import { arranged, LEAST_SAVED_SEC, withRoom } from "./pairs";
import { brokenRules, SAMPLE_NAMES, sampleNeed } from "./sample";
import { changeOvers, inOrder, standOf } from "./shape";

const limits: ComposeLimits = {
  ...USUAL_LIMITS,
  style: DEFAULT_STYLE,
  aim: "loadLed",
  weeks: 4,
  slotSec: { preShift: 480, break: 180, postShift: 840 },
  settings: ["any", "table", "bar"],
  kit: [
    { kind: "dumbbell", massKg: 1, count: 10 },
    { kind: "band", massKg: null, count: 10 },
  ],
  people: 6,
};
const secOf = (items: Item[]) => compilePerson(sampleSession(items), SHIPPED_LIBRARY.timings).totalSec;
const candidate = (id: string, item: Partial<Item> = {}, sec?: number): Candidate => {
  const movement = SHIPPED_LIBRARY.get(id);
  const made = { ...newItem(movement, DEFAULT_STYLE, sampleId()), ...item };
  return { slot: "postShift", movement, item: made, share: 1, sec: sec ?? secOf([made]), gives: "strength", points: new Map() };
};
const rested = (restSec: number): Partial<Item> => ({
  dose: { kind: "reps", sets: 3, reps: 8, tempo: { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 }, restSec },
});
const apart = ["arm-raise-push", "fist-clench-hold"] as const;
const tissue = (id: string) => Object.values(SHIPPED_LIBRARY.get(id).regions).flat();

it("two that work other tissue take turns where that saves time, and what is saved is exact", () => {
  expect(tissue(apart[0]).some((region) => tissue(apart[1]).includes(region))).toBe(false);
  const [first, second] = apart.map((id) => candidate(id, { ...rested(60), sides: "together", loadKg: null }));
  const { order, paired, savedSec } = arranged(SHIPPED_LIBRARY, [first!, second!], { ...limits, kit: [] });
  expect([...paired]).toEqual([first!.item.id]);
  const items = order.map(({ item }) => ({ ...item, pairedWithNext: paired.has(item.id) }));
  expect(secOf(items)).toBeCloseTo(first!.sec + second!.sec - savedSec);
});

it.each([
  ["the same tissue", [candidate("fist-clench-hold", rested(60)), candidate("fist-clench-hold", rested(60))]],
  ["another phase", [candidate("forearm-knead"), candidate("fist-clench-hold", rested(60))]],
  ["no rest to fill", [candidate("arm-raise-push", rested(0)), candidate("fist-clench-hold", rested(0))]],
  ["kit that is shared out", [candidate("arm-raise-push", rested(60), 2000), candidate("fist-clench-hold", rested(60))]],
])("not with %s", (_, order) => {
  expect(arranged(SHIPPED_LIBRARY, order, limits)).toEqual({ order, paired: new Set(), savedSec: 0 });
});

it("of any items: phases stay in order, place and kit change no more often, each is in one pair, little is not saved for", () => {
  const all = SHIPPED_LIBRARY.movements.filter(({ phase }) => phase === "stretch" || phase === "strengthen").map(({ id }) => id);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...all), { minLength: 2, maxLength: 6 }),
      fc.integer({ min: 0, max: 90 }),
      (ids, restSec) => {
        const before = inOrder(
          ids.map((id) => candidate(id, rested(restSec))),
          limits.settings,
        );
        const { order, paired, savedSec } = arranged(SHIPPED_LIBRARY, before, limits);
        expect(new Set(order)).toEqual(new Set(before));
        const phases = order.map(({ movement }) => PHASES.indexOf(movement.phase));
        expect(phases).toEqual([...phases].sort((a, b) => a - b));
        const changes = (list: readonly Candidate[]) =>
          changeOvers(list.map(({ movement, item }) => standOf(movement, item.formId, limits.settings)));
        expect(changes(order)).toBeLessThanOrEqual(changes(before));
        order.forEach(({ item, movement }, i) => {
          if (!paired.has(item.id)) return;
          const next = order[i + 1]!;
          expect(paired.has(next.item.id)).toBe(false);
          const { worked, stretched } = next.movement.regions;
          expect(
            [...movement.regions.worked, ...movement.regions.stretched].some((region) => [...worked, ...stretched].includes(region)),
          ).toBe(false);
        });
        expect(savedSec).toBeGreaterThanOrEqual(paired.size * LEAST_SAVED_SEC);
        const items = order.map(({ item }) => ({ ...item, pairedWithNext: paired.has(item.id) }));
        expect(secOf(items)).toBeCloseTo(order.reduce((sum, { sec }) => sum + sec, 0) - savedSec);
      },
    ),
    { numRuns: 60 },
  );
});

it("a composed session has its pairs, uses what they save, and still fits", () => {
  const needs = [10, 1, 63, 74, 58, 90, 3, 38, 3, 57, 37, 4, 78].map((need, i) => sampleNeed(REGIONS[i]!, need));
  const own: ComposeLimits = {
    ...limits,
    style: { stretch: "activeAssisted", load: "lightAndMany" },
    slotSec: { preShift: 420, break: 180, postShift: 780 },
    settings: ["any", "table", "wall"],
    kit: (["dumbbell", "dowel", "band", "ball", "roller", "towel", "edge"] as const).map((kind) => ({ kind, massKg: 1, count: 14 })),
  };
  const input: ComposeInput = { library: SHIPPED_LIBRARY, needs, opposites: [], limits: own, ...SAMPLE_NAMES };
  const proposal = composer(input, sampleId).first()!;
  const session = proposal.program.sessions.find(({ slot }) => slot === "postShift")!;
  expect(session.items.some(({ pairedWithNext }) => pairedWithNext)).toBe(true);
  const { totalSec } = compilePerson(session, SHIPPED_LIBRARY.timings);
  expect(proposal.seconds.get("postShift")).toBeCloseTo(totalSec);
  expect(secOf(session.items.map((item) => ({ ...item, pairedWithNext: false })))).toBeGreaterThanOrEqual(totalSec + LEAST_SAVED_SEC);
  expect(brokenRules(proposal, own)).toEqual([]);
});

it("room is added to each session for itself", () => {
  expect(withRoom(limits, (slot) => (slot === "break" ? 0 : 20)).slotSec).toEqual({ preShift: 500, break: 180, postShift: 860 });
});
