import fc from "fast-check";
import { SHIPPED_LIBRARY } from "../library";
import { boutsOf, compileGroup, compilePerson, groupWaits, type Dose, type Item, type Segment, type Session, type Sides } from ".";
import { sampleId, sampleItem, sampleSession, sampleTimings } from "./sample";

const holds = (reps: number, holdSec: number, restSec: number): Dose => ({ kind: "holds", reps, holdSec, restSec });
const timings = sampleTimings(8, 3);
const totalOf = (...items: Item[]) => compilePerson(sampleSession(items), timings).totalSec;

describe("worked examples", () => {
  test.each<[string, Dose, Sides, number]>([
    ["3 × 20 s, rest 10, in turn", holds(3, 20, 10), "inTurn", 171],
    ["3 × 20 s, rest 10, alternating", holds(3, 20, 10), "alternating", 143],
    ["3 × 5 s, rest 15, in turn", holds(3, 5, 15), "inTurn", 101],
    ["3 × 5 s, rest 15, alternating", holds(3, 5, 15), "alternating", 61],
    ["3 × 20 s, rest 10, together: ready + n·w + (n−1)·r", holds(3, 20, 10), "together", 88],
  ])("%s", (_, dose, sides, seconds) => {
    expect(totalOf(sampleItem(dose, { sides }))).toBe(seconds);
  });

  test("a set of 12 paced repetitions at 3-0-3-1 lasts 84 s, 72 s of them under tension", () => {
    const dose: Dose = { kind: "reps", sets: 1, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 0 };
    expect(boutsOf(dose)).toMatchObject({ lengthSec: 84, tensionSec: 72, repsPerBout: 12 });
  });

  test("a glide of 3 steps of 4 s and 2 slides three times over, 3 s each, lasts 30 s", () => {
    const dose: Dose = { kind: "steps", rounds: 1, stepsUsed: 3, stepSec: 4, slides: 2, slideReps: 3, slideSec: 3, restSec: 0 };
    expect(boutsOf(dose)).toMatchObject({ count: 1, lengthSec: 30 });
  });
});

describe("paired items", () => {
  test("rest is only added where the other item did not already cover it", () => {
    const first = sampleItem(holds(2, 20, 40), { pairedWithNext: true });
    const second = sampleItem(holds(2, 20, 40));
    // 8+20 · 8+20 · the first has rested 8+20+8 = 36 of 40 s: 4 more, then 8+20 · by then the second has rested 40: 8+20.
    expect(totalOf(first, second)).toBe(28 + 28 + 4 + 28 + 28);
  });

  test("unpaired, the same two take the rests in full", () => {
    expect(totalOf(sampleItem(holds(2, 20, 40)), sampleItem(holds(2, 20, 40)))).toBe(2 * (8 + 20 + 40 + 20));
  });
});

describe("a person's own form", () => {
  const person = sampleId();
  test("takes its own change-over and dose", () => {
    const item = sampleItem(holds(3, 10, 5), { sides: "inTurn", personal: { [person]: { formId: "elbow-90", dose: holds(2, 6, 5) } } });
    expect(compilePerson(sampleSession([item]), timings, person).totalSec).toBe(8 + 2 * (12 + 5) + 3);
  });

  test("of a glide stops at the form's last step", () => {
    const dose: Dose = { kind: "steps", rounds: 1, stepsUsed: 4, stepSec: 4, slides: 0, slideReps: 1, slideSec: 3, restSec: 0 };
    const item = sampleItem(dose, {
      movementId: "median-glide",
      formId: "steps-4",
      sides: "inTurn",
      personal: { [person]: { formId: "steps-2" } },
    });
    const session = sampleSession([item]);
    const saved =
      compilePerson(session, SHIPPED_LIBRARY.timings).totalSec - compilePerson(session, SHIPPED_LIBRARY.timings, person).totalSec;
    expect(saved).toBe(2 * 2 * 4);
  });
});

test("a group waits at each step for its slowest form", () => {
  const slow = sampleId();
  const quick = sampleId();
  const item = sampleItem(holds(2, 10, 4), {
    personal: { [slow]: { formId: "elbow-90", dose: holds(3, 12, 4) }, [quick]: { formId: "elbow-90", dose: holds(1, 30, 4) } },
  });
  const session = sampleSession([item]);
  // ready 8 · first hold 30 (the quick one's; the slow one has rested by its end) · second 12 · rest 4 · third 12
  expect(compileGroup(session, timings, [slow, quick]).totalSec).toBe(8 + 30 + 12 + 4 + 12);
  expect(groupWaits(session, timings, [slow, quick]).get(slow)).toBe(66 - (8 + 36 + 8));
});

const seconds = (max: number) => fc.integer({ min: 0, max: max * 2 }).map((half) => half / 2);
const someDose: fc.Arbitrary<Dose> = fc.oneof(
  fc.record({
    kind: fc.constant("holds" as const),
    reps: fc.integer({ min: 1, max: 6 }),
    holdSec: seconds(40).map((s) => s + 1),
    restSec: seconds(40),
  }),
  fc.record({
    kind: fc.constant("reps" as const),
    sets: fc.integer({ min: 1, max: 4 }),
    reps: fc.integer({ min: 1, max: 20 }),
    tempo: fc.record({ outSec: seconds(5).map((s) => s + 1), endPauseSec: seconds(3), backSec: seconds(5), startPauseSec: seconds(3) }),
    restSec: seconds(60),
  }),
  fc.record({
    kind: fc.constant("timed" as const),
    sets: fc.integer({ min: 1, max: 4 }),
    workSec: seconds(60).map((s) => s + 5),
    restSec: seconds(60),
  }),
  fc.record({
    kind: fc.constant("steps" as const),
    rounds: fc.integer({ min: 1, max: 3 }),
    stepsUsed: fc.integer({ min: 1, max: 6 }),
    stepSec: seconds(6).map((s) => s + 1),
    slides: fc.integer({ min: 0, max: 3 }),
    slideReps: fc.integer({ min: 1, max: 5 }),
    slideSec: seconds(5).map((s) => s + 1),
    restSec: seconds(30),
  }),
);
const people = [sampleId(), sampleId(), sampleId()];
const someItem: fc.Arbitrary<Item> = fc.constantFrom(...SHIPPED_LIBRARY.movements).chain((movement) => {
  const formId = fc.constantFrom(...movement.forms.map((form) => form.id));
  const own = fc.record({ formId, dose: fc.option(someDose, { nil: undefined }) });
  return fc
    .record({
      dose: someDose,
      formId,
      sides: fc.constantFrom<Sides>("together", "inTurn", "alternating"),
      firstSide: fc.constantFrom("left" as const, "right" as const),
      pairedWithNext: fc.boolean(),
      own: fc.array(own, { maxLength: 3 }),
    })
    .map(({ own: list, ...rest }) =>
      sampleItem(rest.dose, { ...rest, movementId: movement.id, personal: Object.fromEntries(list.map((each, i) => [people[i]!, each])) }),
    );
});
const someSession: fc.Arbitrary<Session> = fc.array(someItem, { maxLength: 6 }).map((items) => sampleSession(items));
const tension = (segment: Segment) => segment.kind === "work" || segment.kind === "hold";

describe("laws", () => {
  const check = (law: (session: Session) => void) => fc.assert(fc.property(someSession, law), { numRuns: 300 });

  test("the total is the sum of the segments, which lie end to end without overlap", () => {
    check((session) => {
      const timeline = compileGroup(session, SHIPPED_LIBRARY.timings, people);
      let clock = 0;
      for (const segment of timeline.segments) {
        expect(segment.startSec).toBe(clock);
        expect(segment.lengthSec).toBeGreaterThan(0);
        expect(segment.leadSec).toBeLessThanOrEqual(segment.lengthSec);
        clock += segment.lengthSec;
      }
      expect(timeline.totalSec).toBe(clock);
    });
  });

  test("both sides get the same seconds", () => {
    check((session) => {
      const sum = (side: "left" | "right") =>
        compilePerson(session, SHIPPED_LIBRARY.timings)
          .segments.filter((each) => tension(each) && (each.side === side || each.side === "both"))
          .reduce((total, each) => total + each.lengthSec, 0);
      expect(sum("left")).toBe(sum("right"));
    });
  });

  test("a side rests at least as long as its dose asks, whatever came between", () => {
    check((session) => {
      const rested = new Map<string, number>();
      for (const segment of compilePerson(session, SHIPPED_LIBRARY.timings).segments.filter(tension)) {
        const key = `${segment.itemId} ${segment.side}`;
        const before = rested.get(key);
        if (before !== undefined) expect(segment.startSec - before).toBeGreaterThanOrEqual(segment.dose.restSec);
        rested.set(key, segment.startSec + segment.lengthSec);
      }
    });
  });

  test("alternating is never longer than in turn when the rest is at least one change of sides", () => {
    fc.assert(
      fc.property(someItem, seconds(30), (item, extra) => {
        const switchSec = SHIPPED_LIBRARY.timings.get(item.movementId)!.get(item.formId)!.switchSec;
        const dose = { ...item.dose, restSec: switchSec + extra };
        const total = (sides: Sides) => compilePerson(sampleSession([{ ...item, dose, sides }]), SHIPPED_LIBRARY.timings).totalSec;
        expect(total("alternating")).toBeLessThanOrEqual(total("inTurn"));
      }),
      { numRuns: 300 },
    );
  });

  test("a group takes at least as long as each of its people", () => {
    check((session) => {
      const group = compileGroup(session, SHIPPED_LIBRARY.timings, people).totalSec;
      for (const person of people) expect(group).toBeGreaterThanOrEqual(compilePerson(session, SHIPPED_LIBRARY.timings, person).totalSec);
    });
  });

  test("a group of paired items is never shorter than one of its people, whatever doses of their own they have", () => {
    const bouts = fc.record({ reps: fc.integer({ min: 1, max: 6 }), holdSec: seconds(60), restSec: seconds(120) });
    const dose = bouts.map((each) => ({ kind: "holds" as const, ...each, holdSec: Math.max(1, each.holdSec) }));
    fc.assert(
      fc.property(
        fc.array(dose, { minLength: 4, maxLength: 4 }),
        fc.constantFrom<Sides>("inTurn", "alternating", "together"),
        ([a, b, c, d], sides) => {
          const item = (own: typeof a, theirs: typeof a, paired: boolean) =>
            sampleItem(own!, { sides, pairedWithNext: paired, personal: { p: { formId: "elbow-soft", dose: theirs! } } });
          const session = sampleSession([item(a, c, true), item(b, d, false)]);
          for (const [id, waitSec] of groupWaits(session, sampleTimings(12, 6), ["p", "q"]))
            expect([id, waitSec >= -1e-9]).toEqual([id, true]);
        },
      ),
      { numRuns: 2000 },
    );
  });

  test("pairing never makes a session shorter than its work, nor longer than unpaired by more than its extra change-overs", () => {
    check((session) => {
      const paired = compilePerson(session, SHIPPED_LIBRARY.timings);
      const work = paired.segments.filter(tension).reduce((sum, each) => sum + each.lengthSec, 0);
      const alone = compilePerson(
        { ...session, items: session.items.map((item) => ({ ...item, pairedWithNext: false })) },
        SHIPPED_LIBRARY.timings,
      );
      const ready = (timeline: { segments: Segment[] }) =>
        timeline.segments.filter((each) => each.kind === "ready" || each.kind === "switch").reduce((sum, each) => sum + each.lengthSec, 0);
      expect(paired.totalSec).toBeGreaterThanOrEqual(work);
      expect(paired.totalSec).toBeLessThanOrEqual(alone.totalSec + ready(paired) - Math.min(ready(alone), ready(paired)));
    });
  });
});

test("an empty session takes no time", () => {
  expect(compilePerson(sampleSession([]), timings)).toEqual({ segments: [], items: [], totalSec: 0 });
});
