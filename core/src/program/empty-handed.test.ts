/** A form without anything in the hand: whoever does it holds nothing, whatever the item was written with; on every way to a person. */
import { DEFAULT_STYLE, holdingForm, newItem, SHIPPED_LIBRARY } from "../library";
import { easierThan, presentOf } from "../response";
import { FULL_PARTICIPATION, personalSession, sessionWithin } from "../safety";
import { compileGroup, compilePerson, heldIn, type Item, type Session } from "../session";
import { lightened } from "./settling";
import { nextRaise, sessionOn, withRamps } from ".";

const { timings } = SHIPPED_LIBRARY;
const kit = [
  { kind: "dumbbell" as const, massKg: 1.5, count: 4 },
  { kind: "band" as const, massKg: null, count: 4 },
];
/** Lifting a weight with the palm down; some lift the empty hand. */
const loaded: Item = {
  ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, "lift"),
  formId: "load",
  loadKg: 1.5,
  personal: { ann: { formId: "unloaded" }, bo: { formId: "load", loadKg: 1 } },
};
const session: Session = { id: "s", name: "Strong hands", slot: "postShift", items: [loaded] };

it("is told by its kit: forms without a weight are, a dumbbell's and a bottle's are not; nor is any of a movement that needs a piece", () => {
  const empty = [...timings.get("lift-palm-down")!].filter(([, { emptyHanded }]) => emptyHanded).map(([id]) => id);
  expect(empty).toEqual(["unloaded", "band"]);
  for (const movement of SHIPPED_LIBRARY.movements.filter(({ kit: needed }) => needed.includes("hammer")))
    expect([...timings.get(movement.id)!.values()].some(({ emptyHanded }) => emptyHanded)).toBe(false);
});

it("whoever does it holds nothing: on their own page, in a run, in what they do now, beside others who do", () => {
  expect(heldIn(loaded, timings, loaded.personal.ann).loadKg).toBeNull();
  expect(heldIn(loaded, timings, loaded.personal.bo).loadKg).toBe(1);
  expect(heldIn(loaded, timings).loadKg).toBe(1.5);
  const own = (id: string) => personalSession(SHIPPED_LIBRARY, session, id, FULL_PARTICIPATION).items[0]!;
  expect(["ann", "bo", "cy"].map((id) => [own(id).formId, own(id).loadKg])).toEqual([
    ["unloaded", null],
    ["load", 1],
    ["load", 1.5],
  ]);
  expect(presentOf(SHIPPED_LIBRARY, loaded, "ann").loadKg).toBeNull();
  const held = (id: string) => [...new Set(compilePerson(session, timings, id).segments.map((segment) => segment.held.loadKg))];
  expect([held("ann"), held("bo"), held("cy")]).toEqual([[null], [1], [1.5]]);
  expect(compileGroup(session, timings, ["ann", "cy"]).segments.every((segment) => segment.held.loadKg === 1.5)).toBe(true);
});

it("an item that was written with a load and then given such a form is without it for everybody", () => {
  const forgotten: Session = { ...session, items: [{ ...loaded, formId: "unloaded", personal: {} }] };
  expect(sessionWithin(SHIPPED_LIBRARY, forgotten, new Map()).items[0]!.loadKg).toBeNull();
  expect(personalSession(SHIPPED_LIBRARY, forgotten, "cy").items[0]!.loadKg).toBeNull();
  expect(sessionWithin(SHIPPED_LIBRARY, session, new Map()).items[0]).toBe(loaded);
});

it("easing to it puts the load down, and so does coming back", () => {
  const place = { settings: ["any" as const], kit };
  const movement = SHIPPED_LIBRARY.get("lift-palm-down");
  const eased = easierThan(SHIPPED_LIBRARY, { present: presentOf(SHIPPED_LIBRARY, loaded, "cy"), place }, movement);
  expect(heldIn({ ...loaded, ...eased! }, timings).loadKg).toBeNull();
  const away = { days: 20, form: "easier" as const, loadWaits: false };
  const back = withRamps(SHIPPED_LIBRARY, session, new Map([["cy", away as never]])).items[0]!;
  expect([back.personal.cy!.formId, heldIn(back, timings, back.personal.cy).loadKg]).toEqual(["band", null]);
});

it("a load that is sent to an item goes into the form that can hold it, and into none that has no such form", () => {
  const lift = SHIPPED_LIBRARY.get("lift-palm-down");
  expect(["unloaded", "band", "load"].map((id) => holdingForm(lift, id)?.id)).toEqual(["load", "load", "load"]);
  expect(holdingForm(SHIPPED_LIBRARY.get("palm-away"), SHIPPED_LIBRARY.get("palm-away").forms[0]!.id)).toBeUndefined();
});

it("going on to a band leaves the dumbbell behind", () => {
  const present = { formId: "load", dose: loaded.dose, loadKg: 1.5, tool: null, gripM: null };
  const steps = [present];
  for (let i = 0; i < 12; i++) steps.push(nextRaise(SHIPPED_LIBRARY, loaded, steps.at(-1)!, { settings: ["any"], kit }).next as never);
  const bands = steps.filter(({ formId }) => formId === "band");
  expect(bands.every(({ loadKg }) => loadKg === null)).toBe(true);
});

it("in the settling-in week the load of whoever has one of their own waits as everybody's does", () => {
  const light = lightened(SHIPPED_LIBRARY, loaded, true);
  expect([light.formId, light.loadKg]).toEqual(["unloaded", null]);
  expect(["ann", "bo", "cy"].map((id) => heldIn(light, timings, light.personal[id]).loadKg)).toEqual([null, null, null]);
  // In a week that is only lighter it does not.
  expect(lightened(SHIPPED_LIBRARY, loaded, false).personal.bo).toMatchObject({ formId: "load", loadKg: 1 });
  const week = { settlingFrom: "2026-03-23", lighterWeeks: [] };
  expect(sessionOn(SHIPPED_LIBRARY, week, session, "2026-03-24").items[0]!.personal.bo).toMatchObject({ formId: "unloaded", loadKg: null });
});
