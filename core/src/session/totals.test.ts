import { torqueIn } from "../program";
import { SHIPPED_LIBRARY } from "../library";
import { rulerOf } from "../slot";
import {
  type Session,
  addItem,
  alternatingSaving,
  changeItem,
  compileGroup,
  compilePerson,
  duplicateItem,
  moveItem,
  removeItem,
  savedIn,
  sessionTotals,
  setPersonalForm,
  type Dose,
} from ".";
import { sampleId, sampleItem, sampleSession, sampleTimings } from "./sample";

const timings = sampleTimings(8, 3);
const holds: Dose = { kind: "holds", reps: 3, holdSec: 20, restSec: 10 };
const paced: Dose = { kind: "reps", sets: 2, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 45 };

describe("totals", () => {
  it("count each hand's seconds, repetitions and load", () => {
    const session = sampleSession([
      sampleItem(holds, { sides: "inTurn" }),
      sampleItem(paced, { movementId: "lift-palm-down", formId: "load", loadKg: 1.5, sides: "together" }),
    ]);
    const totals = sessionTotals(session, compilePerson(session, timings), SHIPPED_LIBRARY.tensionRegions, torqueIn(SHIPPED_LIBRARY));
    expect(totals.workSec).toEqual({ left: 60 + 168, right: 60 + 168 });
    expect(totals.tensionSec).toEqual({ left: 60 + 144, right: 60 + 144 });
    expect(totals.repetitions).toEqual({ left: 3 + 24, right: 3 + 24 });
    expect(totals.leftShare).toBe(0.5);
    expect(totals.loadedNmSec.left).toBeCloseTo(144 * 9.81 * 1.5 * 0.08, 9);
    expect(totals.regions.find(({ region }) => region === "elbowOuter")?.tensionSec).toEqual({ left: 144, right: 144 });
    expect(totals.restSec).toBe(totals.totalSec - 120 - 168);
  });

  it("of nothing are nothing, and even", () => {
    const session = sampleSession([]);
    expect(sessionTotals(session, compilePerson(session, timings), SHIPPED_LIBRARY.tensionRegions)).toMatchObject({
      totalSec: 0,
      leftShare: 0.5,
      regions: [],
    });
  });
});

it("count a person's own dose and load, in their totals, by region and in pacing", () => {
  const own = { kind: "holds" as const, reps: 5, holdSec: 10, restSec: 5 };
  const item = sampleItem(holds, {
    movementId: "lift-palm-down",
    formId: "load",
    loadKg: 1,
    sides: "together",
    personal: { p: { formId: "load", dose: own, loadKg: 2 } },
  });
  const session = sampleSession([item]);
  const timeline = compilePerson(session, SHIPPED_LIBRARY.timings, "p");
  const totals = sessionTotals(session, timeline, SHIPPED_LIBRARY.tensionRegions, torqueIn(SHIPPED_LIBRARY));
  expect([totals.tensionSec.left, totals.repetitions.left]).toEqual([50, 5]);
  expect(totals.loadedNmSec.left).toBeCloseTo(50 * 9.81 * 2 * 0.08, 9);
  expect(totals.regions[0]!.tensionSec.left).toBe(50);
  expect(timeline.segments.filter(({ kind }) => kind === "hold").map(({ dose, setCount }) => [dose, setCount])).toEqual(
    Array(5).fill([own, 5]),
  );
  // In the group the leader shows the item's own; the person waits or is waited for.
  const group = sessionTotals(
    session,
    compileGroup(session, SHIPPED_LIBRARY.timings, ["p", "q"]),
    SHIPPED_LIBRARY.tensionRegions,
    torqueIn(SHIPPED_LIBRARY),
  );
  expect([group.tensionSec.left, group.repetitions.left]).toEqual([60, 3]);
});

describe("what alternating saves", () => {
  it.each([
    [{ ...holds }, 171 - 143],
    [{ ...holds, holdSec: 5, restSec: 15 }, 101 - 61],
    [{ ...holds, restSec: 0 }, -12],
  ] as [Dose, number][])("%j: %d s", (dose, saved) => {
    expect(alternatingSaving(sampleItem(dose, { sides: "inTurn" }), timings)).toBe(saved);
  });
});

describe("the slot as a ruler", () => {
  const first = sampleItem(holds);
  const second = sampleItem(holds);
  const timeline = compilePerson(sampleSession([first, second]), timings);
  it.each([
    [176, 0, 0, []],
    [177, 1, 0, []],
    [175, 0, 1, [{ itemId: second.id, overSec: 1 }]],
    [
      80,
      0,
      96,
      [
        { itemId: first.id, overSec: 8 },
        { itemId: second.id, overSec: 96 },
      ],
    ],
  ])("of %d s", (slotSec, spareSec, overSec, beyond) => {
    expect(rulerOf(timeline, slotSec)).toEqual({ slotSec, usedSec: 176, spareSec, overSec, beyond });
  });
  it("without length is refused", () => expect(() => rulerOf(timeline, 0)).toThrow(RangeError));
});

describe("what a session saves", () => {
  const timings = sampleTimings(8, 3);
  it("is the difference to one side after the other: 143 s against 171 s", () => {
    const alternating = sampleItem({ kind: "holds", reps: 3, holdSec: 20, restSec: 10 }, { sides: "alternating" });
    expect(savedIn(sampleSession([alternating]), timings)).toEqual({ alternatingSec: 28, pairedSec: 0 });
  });
  it("and to one item after the other", () => {
    const rested = { kind: "holds" as const, reps: 3, holdSec: 10, restSec: 40 };
    const [first, second] = [sampleItem(rested, { pairedWithNext: true }), sampleItem(rested)];
    const session = sampleSession([first, second]);
    const apart = compilePerson(sampleSession([{ ...first, pairedWithNext: false }, second]), timings).totalSec;
    expect(savedIn(session, timings)).toEqual({ alternatingSec: 0, pairedSec: apart - compilePerson(session, timings).totalSec });
    expect(savedIn(session, timings).pairedSec).toBeGreaterThan(0);
  });
  it("is nothing where sides are done together or in turn", () => {
    expect(
      savedIn(sampleSession([sampleItem({ kind: "holds", reps: 3, holdSec: 20, restSec: 10 }, { sides: "inTurn" })]), timings),
    ).toEqual({
      alternatingSec: 0,
      pairedSec: 0,
    });
  });
});

describe("edits", () => {
  const [a, b, c] = [sampleItem(holds), sampleItem(holds, { pairedWithNext: true }), sampleItem(holds)];
  const session = sampleSession([a, b, c]);
  const order = (edited: Session) => edited.items.map((item) => [a, b, c].findIndex((each) => each.id === item.id));

  it("move to where they say", () => {
    expect(order(moveItem(session, a.id, 2))).toEqual([1, 2, 0]);
    expect(order(moveItem(session, c.id, 0))).toEqual([2, 0, 1]);
    expect(order(moveItem(session, c.id, 99))).toEqual([0, 1, 2]);
    expect(moveItem(session, "unknown", 0)).toBe(session);
  });
  it("never leave the last item paired with nothing", () => {
    expect(removeItem(session, c.id).items.at(-1)).toMatchObject({ id: b.id, pairedWithNext: false });
    expect(moveItem(session, b.id, 2).items.at(-1)?.pairedWithNext).toBe(false);
    expect(changeItem(session, c.id, { pairedWithNext: true }).items.at(-1)?.pairedWithNext).toBe(false);
  });
  it("double an item right behind it, and do not touch the session they came from", () => {
    const newId = sampleId();
    expect(duplicateItem(session, b.id, newId).items.map((item) => item.id)).toEqual([a.id, b.id, newId, c.id]);
    expect(addItem(session, sampleItem(holds), 0).items).toHaveLength(4);
    expect(session.items).toHaveLength(3);
  });
  it("give a person a form and take it back", () => {
    const person = sampleId();
    const eased = setPersonalForm(session, a.id, person, { formId: "elbow-90" });
    expect(eased.items[0]!.personal).toEqual({ [person]: { formId: "elbow-90" } });
    expect(setPersonalForm(eased, a.id, person, { formId: a.formId }).items[0]!.personal).toEqual({});
    expect(setPersonalForm(eased, a.id, person, undefined).items[0]!.personal).toEqual({});
  });
});

it("the library knows the seconds of every form", () => {
  expect(SHIPPED_LIBRARY.timings.get("palm-away")?.get("elbow-soft")).toMatchObject({ readySec: 8, switchSec: 3 });
});
