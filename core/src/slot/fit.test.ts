import fc from "fast-check";
import * as v from "valibot";
import { SHIPPED_LIBRARY, newItem, DEFAULT_STYLE } from "../library";
import { regionNeeds } from "../need";
import { sampleDay, sampleEffort, sampleTask } from "../strain/sample";
import { compileGroup, Dose, type Item, type Session } from "../session";
import { sampleId, sampleItem, sampleSession, sampleTimings } from "../session/sample";
import { doseLadder, fitToSlot, LEAST_SHARE, priorityOf, worthAt, worthOf, type FitOptions } from ".";

const timings = sampleTimings(8, 3);
const holds = (reps: number, holdSec: number, restSec = 5): Dose => ({ kind: "holds", reps, holdSec, restSec });
const options = (change: Partial<FitOptions> = {}): FitOptions => ({ personIds: [], library: { ...SHIPPED_LIBRARY, timings }, ...change });
const total = (session: Session, personIds: readonly string[] = []) => compileGroup(session, timings, personIds).totalSec;
/** Doses small enough for an exhaustive search. */
const smallItem = fc
  .record({
    reps: fc.integer({ min: 1, max: 3 }),
    holdSec: fc.integer({ min: 2, max: 8 }).map((n) => n * 2),
    restSec: fc.integer({ min: 0, max: 6 }),
    sides: fc.constantFrom("together" as const, "inTurn" as const),
    pairedWithNext: fc.boolean(),
  })
  .map(({ reps, holdSec, restSec, ...rest }) => sampleItem(holds(reps, holdSec, restSec), rest));

describe("the ladder of doses", () => {
  const kinds: Dose[] = [
    holds(3, 20),
    { kind: "reps", sets: 2, reps: 10, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 0 }, restSec: 20 },
    { kind: "timed", sets: 2, workSec: 30, restSec: 10 },
    { kind: "steps", rounds: 2, stepsUsed: 3, stepSec: 3, slides: 1, slideReps: 4, slideSec: 3, restSec: 5 },
  ];
  it.each(kinds.map((dose) => [dose.kind, dose] as const))(
    "%s: from the full dose down to what is worth doing, every one a sound dose",
    (_, dose) => {
      const ladder = doseLadder(dose);
      expect(ladder[0]).toEqual({ dose, share: 1 });
      expect(ladder.length).toBeGreaterThan(2);
      for (const step of ladder) {
        expect(v.safeParse(Dose, step.dose).issues).toBeUndefined();
        expect(step.share).toBeGreaterThanOrEqual(LEAST_SHARE - 1e-9);
      }
      expect(ladder.map(({ share }) => share)).toEqual([...ladder.map(({ share }) => share)].sort((a, b) => b - a));
    },
  );
  it("upwards too when the slot is to be filled, by half at most", () => {
    const shares = doseLadder(holds(4, 20), true).map(({ share }) => share);
    expect(Math.max(...shares)).toBe(1.5);
    expect(shares).toContain(1);
  });
  it("a whole dose is worth 1, none of it nothing, and the first half more than the second", () => {
    expect([worthOf(0), worthOf(1)]).toEqual([0, 1]);
    expect(worthOf(0.5)).toBeGreaterThan(0.5);
  });
});

describe("a session that fits", () => {
  it("is left exactly as it is", () => {
    const session = sampleSession([sampleItem(holds(2, 10)), sampleItem(holds(3, 15))]);
    const fit = fitToSlot(session, total(session), options());
    expect([fit.session, fit.cuts, fit.fits]).toEqual([session, [], true]);
    expect(fit.worth).toBeCloseTo(1, 12);
  });
  it("half a second less and something is cut", () => {
    const session = sampleSession([sampleItem(holds(2, 10)), sampleItem(holds(3, 15))]);
    const fit = fitToSlot(session, total(session) - 0.5, options());
    expect(fit.cuts.length).toBeGreaterThan(0);
    expect(fit.totalSec).toBeLessThanOrEqual(total(session) - 0.5);
  });
});

/** Every choice of dose, sides or dropping for every item, the slow way. */
function exhaustive(session: Session, slotSec: number): number {
  let best = -Infinity;
  const walk = (index: number, chosen: (Item | null)[], worth: number) => {
    if (index === session.items.length) {
      // A chain stays paired among what is left of it, and with nothing behind it.
      const left = chosen.flatMap((item, i) => {
        if (!item) return [];
        let more = false;
        for (let k = i; k < session.items.length - 1 && session.items[k]!.pairedWithNext; k++) more ||= chosen[k + 1] !== null;
        return [{ ...item, pairedWithNext: more }];
      });
      if (total({ ...session, items: left }) <= slotSec + 1e-9) best = Math.max(best, worth);
      return;
    }
    const item = session.items[index]!;
    const sides = item.sides === "inTurn" ? (["inTurn", "alternating"] as const) : [item.sides];
    for (const { dose, share } of doseLadder(item.dose))
      for (const mode of sides) walk(index + 1, [...chosen, { ...item, dose, sides: mode }], worth + Math.sqrt(share));
    walk(index + 1, [...chosen, null], worth);
  };
  walk(0, [], 0);
  return best;
}

it("is always as good as the best of all choices, on 200 small cases", () => {
  fc.assert(
    fc.property(fc.array(smallItem, { minLength: 1, maxLength: 3 }), fc.double({ min: 0.05, max: 1.1, noNaN: true }), (items, share) => {
      const session = sampleSession(items.map((item, i) => ({ ...item, pairedWithNext: item.pairedWithNext && i < items.length - 1 })));
      const slotSec = Math.max(1, Math.round(total(session) * share * 2) / 2);
      const fit = fitToSlot(session, slotSec, options());
      expect(fit.fits).toBe(true);
      expect(fit.totalSec).toBeLessThanOrEqual(slotSec);
      expect(fit.worth * items.length).toBeCloseTo(exhaustive(session, slotSec), 9);
    }),
    { numRuns: 200, seed: 20260326 },
  );
}, 60_000);

describe("whatever the session", () => {
  const sessions = fc
    .array(smallItem, { minLength: 1, maxLength: 6 })
    .map((items) => sampleSession(items.map((item, i) => ({ ...item, pairedWithNext: item.pairedWithNext && i < items.length - 1 }))));
  it("a longer slot never holds less", () => {
    fc.assert(
      fc.property(sessions, (session) => {
        const lengths = Array.from({ length: 12 }, (_, i) => Math.round((total(session) * (i + 1)) / 6));
        const worth = worthAt(
          session,
          lengths.map((sec) => Math.max(1, sec)),
          options(),
        );
        worth.forEach((value, i) => expect(value).toBeGreaterThanOrEqual(i === 0 ? 0 : worth[i - 1]! - 1e-12));
      }),
      { numRuns: 40 },
    );
  });
  it("the gains add up to what it got shorter", () => {
    fc.assert(
      fc.property(sessions, fc.double({ min: 0.1, max: 1, noNaN: true }), (session, share) => {
        const fit = fitToSlot(session, Math.max(1, total(session) * share), options());
        expect(fit.cuts.reduce((sum, { gainedSec }) => sum + gainedSec, 0)).toBeCloseTo(fit.beforeSec - fit.totalSec, 6);
        expect(fit.totalSec).toBeCloseTo(total(fit.session), 6);
      }),
      { numRuns: 60 },
    );
  });
});

describe("what must stay stays", () => {
  it("items that are kept are not touched, and when they alone are too long it says so", () => {
    const [a, b] = [sampleItem(holds(3, 20)), sampleItem(holds(3, 20))];
    const session = sampleSession([a, b]);
    const kept = fitToSlot(session, total({ ...session, items: [a] }), options({ kept: new Set([a.id]) }));
    expect([kept.session.items, kept.fits]).toEqual([[a], true]);
    const tooLong = fitToSlot(session, 10, options({ kept: new Set([a.id]) }));
    expect([tooLong.session.items, tooLong.fits]).toEqual([[a], false]);
  });
  it("the first item that gets ready is never dropped", () => {
    const items = ["fist-and-star", "wrist-circle", "palm-away"].map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId()));
    const session = sampleSession(items);
    const fit = fitToSlot(session, 25, { personIds: [], library: SHIPPED_LIBRARY, priorityOf: (item) => (item === items[0] ? 0.01 : 5) });
    expect(fit.session.items[0]!.movementId).toBe("fist-and-star");
  });
  it("the more important item is kept when only one can stay", () => {
    const [a, b] = [sampleItem(holds(1, 10, 0)), sampleItem(holds(1, 10, 0))];
    const session = sampleSession([a, b]);
    const slotSec = total({ ...session, items: [a] });
    for (const important of [a, b]) {
      const fit = fitToSlot(session, slotSec, options({ priorityOf: (item) => (item.id === important.id ? 1.2 : 1) }));
      expect(fit.session.items.map(({ id }) => id)).toEqual([important.id]);
    }
  });
});

it("a person's own longer dose is cut with the item's", () => {
  const personId = sampleId();
  const item = sampleItem(holds(3, 20), { personal: { [personId]: { formId: "elbow-90", dose: holds(3, 20) } } });
  const session = sampleSession([item]);
  const fit = fitToSlot(session, total(session, [personId]) * 0.6, options({ personIds: [personId] }));
  expect(fit.fits).toBe(true);
  expect(fit.totalSec).toBeLessThanOrEqual(total(session, [personId]) * 0.6);
});

it("whoever does more than is written goes on doing it while the item is not shortened", () => {
  const personId = sampleId();
  const item = sampleItem(holds(3, 20), { personal: { [personId]: { formId: "elbow-90", dose: holds(4, 20) } } });
  const session = sampleSession([item]);
  const long = total(session, [personId]);
  const fit = fitToSlot(session, long, options({ personIds: [personId] }));
  expect([fit.session, fit.cuts, fit.totalSec]).toEqual([session, [], long]);
});
it("fills a slot that is longer, up to half as much again", () => {
  const session = sampleSession([sampleItem(holds(4, 10))]);
  const fit = fitToSlot(session, 600, options({ fuller: true }));
  expect(fit.session.items[0]!.dose).toEqual(holds(6, 10));
  expect(fit.worth).toBeGreaterThan(1);
  expect(fitToSlot(session, 600, options()).session).toEqual(session);
});

it("every item of the library can be fitted, whatever its dose and sides", () => {
  for (const movement of SHIPPED_LIBRARY.movements) {
    const session = sampleSession([
      newItem(SHIPPED_LIBRARY.get("fist-and-star"), DEFAULT_STYLE, sampleId()),
      newItem(movement, DEFAULT_STYLE, sampleId()),
    ]);
    const before = compileGroup(session, SHIPPED_LIBRARY.timings, []).totalSec;
    const fit = fitToSlot(session, before - 4, { personIds: [], library: SHIPPED_LIBRARY });
    expect([movement.id, fit.fits, fit.totalSec <= before - 4]).toEqual([movement.id, true, true]);
  }
});

describe("weights", () => {
  it("an item that answers a need matters more", () => {
    const task = sampleTask("t", [sampleEffort("a", { effort: 6, perMin: 10, secEach: 3 })]);
    const day = sampleDay([[task, 240]]);
    const needs = regionNeeds({ tasks: [task], days: [day] }, day);
    const item = newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId());
    expect(priorityOf(SHIPPED_LIBRARY, item, needs)).toBeGreaterThan(priorityOf(SHIPPED_LIBRARY, item, []));
    expect(priorityOf(SHIPPED_LIBRARY, { ...item, movementId: "gone" }, needs)).toBe(0.5);
  });
});
