import { DEFAULT_STYLE, MOVEMENTS, movementOf, newItem } from "../library";
import { sampleId } from "../session/sample";
import { boutsOf } from "../session";
import { weeksAhead } from ".";

const item = (movementId: string, change: object = {}) => ({ ...newItem(movementOf(movementId), DEFAULT_STYLE, sampleId()), ...change });
const kit = (...masses: number[]) => masses.map((massKg) => ({ kind: "dumbbell" as const, massKg, count: 6 }));
const place = { settings: ["any", "table"] as const, kit: kit(0.5, 1, 1.5) };
const tension = (dose: Parameters<typeof boutsOf>[0]) => boutsOf(dose).count * boutsOf(dose).tensionSec;

it("settles in, then does the item as written, then raises one thing at a time", () => {
  const written = item("palm-away");
  const weeks = weeksAhead(written, 8, place);
  expect(weeks.map(({ week }) => week)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect(weeks.slice(0, 2).map(({ change }) => change)).toEqual(["settling", "asWritten"]);
  expect(tension(weeks[0]!.dose)).toBeLessThan(tension(written.dose));
  expect(weeks[1]).toMatchObject({ dose: written.dose, formId: written.formId });
});
it("whatever the movement, no week changes two things, and once it stops it stays", () => {
  for (const movement of MOVEMENTS) {
    const weeks = weeksAhead(item(movement.id), 10, place);
    weeks.slice(2).forEach((week, i) => {
      const before = weeks[i + 1]!;
      const raised = [
        tension(week.dose) > tension(before.dose) + 1e-9,
        movement.forms.findIndex(({ id }) => id === week.formId) > movement.forms.findIndex(({ id }) => id === before.formId),
        week.change === "load",
      ].filter(Boolean).length;
      expect([movement.id, week.week, raised <= 1]).toEqual([movement.id, week.week, true]);
      if (before.stop) expect([movement.id, week.stop]).toEqual([movement.id, before.stop]);
    });
  }
});
describe("load", () => {
  const lift = (masses: number[]) => weeksAhead(item("lift-palm-down"), 12, { ...place, kit: kit(...masses) });
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
  it("without any kit it says what is needed", () => {
    const weeks = weeksAhead(item("lift-palm-down"), 8, { ...place, kit: [] });
    expect(weeks.every(({ loadKg }) => loadKg === null)).toBe(true);
    expect(weeks.at(-1)!.stop).toMatchObject({ kind: "kit" });
  });
});
it("a movement nobody knows has no weeks", () => {
  expect(weeksAhead({ ...item("palm-away"), movementId: "gone" }, 4, place)).toEqual([]);
});
