import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { sampleId } from "../session/sample";
import { boutsOf } from "../session";
import { doseLadder } from "../slot";
import { heldTorqueNm, loadRungs, nextRaise, weeksAhead } from ".";

const item = (movementId: string, change: object = {}) => ({
  ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, sampleId()),
  ...change,
});
const kit = (...masses: number[]) => masses.map((massKg) => ({ kind: "dumbbell" as const, massKg, count: 6 }));
const place = { settings: ["any", "table"] as const, kit: kit(0.5, 1, 1.5) };
const tension = (dose: Parameters<typeof boutsOf>[0]) => boutsOf(dose).count * boutsOf(dose).tensionSec;

it("settles in, then does the item as written, then raises one thing at a time", () => {
  const written = item("palm-away");
  const weeks = weeksAhead(SHIPPED_LIBRARY, written, 8, place);
  expect(weeks.map(({ week }) => week)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect(weeks.slice(0, 2).map(({ change }) => change)).toEqual(["settling", "asWritten"]);
  expect(tension(weeks[0]!.dose)).toBeLessThan(tension(written.dose));
  expect(weeks[1]).toMatchObject({ dose: written.dose, formId: written.formId });
});
it("whatever the movement, no week changes two things, and once it stops it stays", () => {
  for (const movement of SHIPPED_LIBRARY.movements) {
    const weeks = weeksAhead(SHIPPED_LIBRARY, item(movement.id), 10, place);
    weeks.slice(2).forEach((week, i) => {
      const before = weeks[i + 1]!;
      const raised = [
        tension(week.dose) > tension(before.dose) + 1e-9,
        // Where the rungs are the loads themselves, a harder rung and the load are one thing.
        (movement.load === undefined || movement.load.rungs === "kit") &&
          movement.forms.findIndex(({ id }) => id === week.formId) > movement.forms.findIndex(({ id }) => id === before.formId),
        week.change === "load",
      ].filter(Boolean).length;
      expect([movement.id, week.week, raised <= 1]).toEqual([movement.id, week.week, true]);
      if (before.stop) expect([movement.id, week.stop]).toEqual([movement.id, before.stop]);
    });
  }
});
it("a lighter week raises nothing, and the week after goes on from before it", () => {
  const written = item("palm-away");
  const plain = weeksAhead(SHIPPED_LIBRARY, written, 8, place);
  const lighter = weeksAhead(SHIPPED_LIBRARY, written, 9, place, [4]);
  expect(lighter[3]).toMatchObject({ week: 4, change: "lighter", formId: lighter[2]!.formId });
  expect(tension(lighter[3]!.dose)).toBeLessThan(tension(lighter[2]!.dose));
  const without = lighter.filter(({ change }) => change !== "lighter");
  expect(without.map(({ week: _, ...rest }) => rest)).toEqual(plain.map(({ week: _, ...rest }) => rest));
});
it("a lighter second week waits with what is written", () => {
  expect(weeksAhead(SHIPPED_LIBRARY, item("palm-away"), 3, place, [2]).map(({ change }) => change)).toEqual([
    "settling",
    "lighter",
    "asWritten",
  ]);
});
describe("load", () => {
  const lift = (masses: number[]) => weeksAhead(SHIPPED_LIBRARY, item("lift-palm-down"), 12, { ...place, kit: kit(...masses) });
  it("comes with the first loaded form, light, and only then grows, as far as the kit goes", () => {
    const weeks = lift([0.5, 1, 1.5]);
    const loads = weeks.map(({ loadKg }) => loadKg);
    expect(loads[0]).toBeNull();
    const first = loads.find((kg) => kg !== null)!;
    expect(first).toBe(1.5);
    expect(weeks.at(-1)!.stop).toMatchObject({ kind: "noHeavier", loadKg: 1.5 });
  });
  it("a step over 10 % is marked, one within is not", () => {
    const marked = (masses: number[]) =>
      lift(masses)
        .filter(({ change }) => change === "load")
        .map(({ large }) => large);
    expect(marked([1.5, 2])).toEqual([true]);
    expect(marked([1.5, 1.6])).toEqual([false]);
  });
  it("of a person who gave their mass begins at 3 % of it", () => {
    const first = (bodyKg: number | null, masses = [0.5, 1, 1.2, 1.5]) =>
      weeksAhead(SHIPPED_LIBRARY, item("lift-palm-down"), 12, { ...place, kit: kit(...masses), bodyKg }).find(
        ({ loadKg }) => loadKg !== null,
      )?.loadKg;
    expect([first(null), first(80), first(40), first(34)]).toEqual([1.5, 1.5, 1.2, 1]);
  });
  it.each(["helped-up-slow-down", "curl-turn-lower"])(
    "is there from the first week where a movement is loaded from the start: %s",
    (id) => {
      const weeks = weeksAhead(SHIPPED_LIBRARY, item(id), 10, { ...place, kit: kit(0.5, 1, 1.5), bodyKg: 40 });
      expect(weeks[0]!.loadKg).toBe(1);
      expect(weeks.at(-1)!.loadKg).toBe(1.5);
      expect(weeks.filter(({ change }) => change === "load").map(({ large }) => large)).toEqual([true]);
      // Nothing light enough in the kit: nothing is loaded.
      expect(weeksAhead(SHIPPED_LIBRARY, item(id), 10, { ...place, kit: kit(3) }).every(({ loadKg }) => loadKg === null)).toBe(true);
    },
  );
  it("a change of tool or grip is a step like any other: marked over a tenth, and none is taken where a smaller one is there", () => {
    const dumbbellAtEnd = item("thumb-side-lift", { formId: "held-end", loadKg: 1, tool: "dumbbell" });
    const hammerOnly = { settings: ["any"] as const, kit: [{ kind: "hammer" as const, massKg: 1.1, count: 1 }, ...kit(1)] };
    for (const week of weeksAhead(SHIPPED_LIBRARY, dumbbellAtEnd, 12, hammerOnly).filter(({ change }) => change === "load")) {
      const movement = SHIPPED_LIBRARY.get("thumb-side-lift");
      const [is] = [heldTorqueNm(movement, week.formId, { loadKg: week.loadKg, tool: week.tool ?? null, gripM: week.gripM ?? null })];
      expect(is).toBeGreaterThan(0);
      expect(week.large).toBe(false);
      expect(week.gripM).not.toBeNull();
    }
    const movement = SHIPPED_LIBRARY.get("thumb-side-lift");
    const nm = (formId: string, tool: string, loadKg: number, gripM: number | null = null) =>
      heldTorqueNm(movement, formId, { loadKg, tool, gripM });
    // The figures of the smallest case: a dumbbell of 1 kg at its end, a hammer of 1.1 kg at its end, and at its middle.
    expect(nm("held-end", "hammer", 1.1) / nm("held-end", "dumbbell", 1) - 1).toBeGreaterThan(1);
    expect(nm("held-end", "hammer", 1.1) / nm("held-middle", "hammer", 1.1) - 1).toBeGreaterThan(0.1);
  });
  it("a turn is loaded by levers only, gripped further out week by week in steps of at most a tenth", () => {
    const turn = weeksAhead(SHIPPED_LIBRARY, item("loaded-palm-turn"), 10, {
      ...place,
      kit: [{ kind: "hammer", massKg: 1, count: 2 }, ...kit(1, 2)],
    });
    const loads = turn.filter(({ change }) => change === "load");
    expect(loads.length).toBeGreaterThan(2);
    expect(loads.every(({ tool, large }) => tool === "hammer" && !large)).toBe(true);
    const grips = loads.map(({ gripM }) => gripM!);
    expect(grips).toEqual([...grips].sort((a, b) => b - a));
  });
  it.each([
    [0.5, 0.5],
    [1, 1],
    [1.5, 1.5],
    [2, 1.5],
  ])(
    "whoever was eased out of a load of %s kg comes back to %s kg: never more than the crew does or a first load may be",
    (writtenKg, kg) => {
      const written = item("lift-palm-down", { formId: "load", loadKg: writtenKg, tool: "dumbbell" });
      const top = doseLadder(written.dose, true).find(({ share }) => share > 1)!.dose;
      const present = { formId: "band", dose: top, loadKg: null };
      const at = { ...place, kit: [...kit(0.5, 1, 1.5, 2), { kind: "band" as const, massKg: null, count: 4 }] };
      expect(nextRaise(SHIPPED_LIBRARY, written, present, at)).toMatchObject({ change: "form", next: { formId: "load", loadKg: kg } });
    },
  );
  it.each([
    [0.5, 0.5],
    [1, 1],
    [null, 1.5],
  ])("in what is loaded from the start, written with %s kg, whoever holds nothing begins with %s kg", (loadKg, kg) => {
    const written = item("helped-up-slow-down", { loadKg, tool: loadKg === null ? null : "dumbbell" });
    const present = { formId: written.formId, dose: written.dose, loadKg: null };
    const raised = nextRaise(SHIPPED_LIBRARY, written, present, { settings: ["any"], kit: kit(0.5, 1, 1.5) });
    expect(raised).toMatchObject({ change: "load", next: { loadKg: kg } });
  });
  it.each([
    [0.5, 0.5],
    [1, 1],
    [1.4, 1],
    [3, 1.5],
    [0.4, null],
  ])("whoever put down %s kg of their own comes back to %s kg of a kit of 0.5, 1 and 1.5 kg", (ownKg, kg) => {
    const written = item("helped-up-slow-down", { loadKg: 2, tool: "dumbbell" });
    const { formId, dose } = written;
    const putDown = { formId, held: { loadKg: ownKg, tool: "dumbbell" as const, gripM: null } };
    const at = { settings: ["any"] as const, kit: kit(0.5, 1, 1.5) };
    const raised = nextRaise(SHIPPED_LIBRARY, written, { formId, dose, loadKg: null }, at, putDown);
    expect(raised.next.loadKg).toBe(kg);
  });
  it.each([
    ["all of the kit is over a first load", [3, 5], null],
    ["all of it is over what was put down", [0.5, 1], 0.3],
  ])("where %s, a harder form with a load waits for lighter kit; it is no top", (_, masses, ownKg) => {
    const written = item("lift-palm-down", { formId: "load", loadKg: 3, tool: "dumbbell" });
    const top = doseLadder(written.dose, true).find(({ share }) => share > 1)!.dose;
    const putDown = ownKg === null ? null : { formId: "load", held: { loadKg: ownKg, tool: "dumbbell" as const, gripM: null } };
    const at = { ...place, kit: [...kit(...masses), { kind: "band" as const, massKg: null, count: 4 }] };
    const raised = nextRaise(SHIPPED_LIBRARY, written, { formId: "band", dose: top, loadKg: null }, at, putDown);
    expect(raised).toMatchObject({ change: "none", stop: { kind: "tooHeavy", needs: expect.arrayContaining(["dumbbell"]) } });
  });
  it("in what is loaded from the start, once the dose is at its top, kit that is all too heavy is told from none", () => {
    const written = item("helped-up-slow-down");
    const top = doseLadder(written.dose, true).find(({ share }) => share > 1)!.dose;
    const stopWith = (masses: number[]) =>
      nextRaise(SHIPPED_LIBRARY, written, { formId: written.formId, dose: top, loadKg: null }, { settings: ["any"], kit: kit(...masses) })
        .stop;
    expect(stopWith([5])).toEqual({ kind: "tooHeavy", needs: ["dumbbell"] });
    expect(stopWith([])).toMatchObject({ kind: "kit" });
  });
  it("without any kit it says what is needed", () => {
    const weeks = weeksAhead(SHIPPED_LIBRARY, item("lift-palm-down"), 8, { ...place, kit: [] });
    expect(weeks.every(({ loadKg }) => loadKg === null)).toBe(true);
    expect(weeks.at(-1)!.stop).toMatchObject({ kind: "kit" });
  });
});
it("a movement nobody knows has no weeks", () => {
  expect(weeksAhead(SHIPPED_LIBRARY, { ...item("palm-away"), movementId: "gone" }, 4, place)).toEqual([]);
});

describe("the way up in load", () => {
  const lift = SHIPPED_LIBRARY.get("lift-palm-down");
  it("begins with the first load there may be and takes the largest small step each time; where there is none it is marked", () => {
    const rungs = loadRungs(lift, kit(1, 1.5, 1.6, 2));
    expect(rungs.map(({ held }) => held.loadKg)).toEqual([1.5, 1.6, 2]);
    expect(rungs.map(({ large }) => large)).toEqual([false, false, true]);
    expect(rungs[0]).toMatchObject({ share: null, torqueNm: expect.closeTo(9.81 * 1.5 * 0.08, 6) as number });
  });
  it("every rung is heavier than the one before, for every movement that is loaded, with much kit and with none", () => {
    const much = [
      ...kit(0.5, 1, 1.5, 2, 3),
      { kind: "hammer" as const, massKg: 0.7, count: 4 },
      { kind: "bar" as const, massKg: 1, count: 4 },
      { kind: "plate" as const, massKg: 1.25, count: 4 },
    ];
    for (const movement of SHIPPED_LIBRARY.movements.filter(({ load }) => load)) {
      const torques = loadRungs(movement, much).map(({ torqueNm }) => torqueNm);
      expect([movement.id, torques]).toEqual([movement.id, [...torques].sort((a, b) => a - b)]);
      expect(new Set(torques).size).toBe(torques.length);
      expect(loadRungs(movement, [])).toEqual([]);
    }
  });
});
