import { BESIDE_SEC, surroundingsOf } from "../crew";
import { DEFAULT_STYLE, misfitsOf, REGIONS, SHIPPED_LIBRARY } from "../library";
import { compilePerson, BESIDE_SLOTS } from "../session";
import { sampleId } from "../session/sample";
import { composer, BESIDE_PHASES, besideSession, joinersFor, USUAL_LIMITS, type ComposeInput, type Proposal } from ".";
import { SAMPLE_NAMES, sampleNeed as need } from "./sample";
import { sampleSession } from "../session/sample";

const input = (change: Partial<ComposeInput> = {}): ComposeInput => ({
  library: SHIPPED_LIBRARY,
  needs: [need("fingerFlexors", 80), need("wristExtensors", 60), need("thumbBase", 40)],
  opposites: [{ posture: "closedHand", left: 60, right: 120 }],
  limits: {
    ...USUAL_LIMITS,
    style: DEFAULT_STYLE,
    aim: "loadLed",
    weeks: 4,
    slotSec: { preShift: 480, break: 180, postShift: 600 },
    settings: ["any", "bar"],
    kit: [{ kind: "dumbbell", massKg: 1, count: 10 }],
    people: 8,
  },
  ...SAMPLE_NAMES,
  ...change,
});
const shift = (of: ComposeInput = input()): Proposal => composer(of, sampleId).first()!;
const place = (slot: (typeof BESIDE_SLOTS)[number]) =>
  surroundingsOf({ settings: ["bar"], kit: [{ kind: "dumbbell", massKg: 1, count: 1 }] }, slot);

describe.each(BESIDE_SLOTS)("a session for %s", (slot) => {
  const made = besideSession(input(), slot, shift(), "Alone", sampleId)!;
  const movements = made.session.items.map(({ movementId }) => SHIPPED_LIBRARY.get(movementId));

  it("needs nothing from the site, loads nothing, and is made of what belongs there", () => {
    for (const { movementId, formId, loadKg } of made.session.items) {
      const movement = SHIPPED_LIBRARY.get(movementId);
      expect([movementId, misfitsOf(movement, formId, place(slot)), loadKg]).toEqual([movementId, [], null]);
      expect(BESIDE_PHASES[slot]).toContain(movement.phase);
      expect(movement.weightBearing).toBeFalsy();
    }
  });

  it("is well used and no longer than nobody minds", () => {
    const { totalSec } = compilePerson(made.session, SHIPPED_LIBRARY.timings);
    expect(totalSec).toBeLessThanOrEqual(BESIDE_SEC[slot]);
    expect(totalSec).toBeGreaterThanOrEqual((slot === "reset" ? 60 / 90 : 0.7) * BESIDE_SEC[slot]);
    expect(made.sec).toBe(totalSec);
  });

  it("begins by getting ready, and says what it is for and what is new", () => {
    expect([made.session.slot, made.session.name, movements[0]!.phase]).toEqual([slot, "Alone", "getReady"]);
    expect(made.regions.every((region) => REGIONS.includes(region))).toBe(true);
    const known = new Set(shift().program.sessions.flatMap(({ items }) => items.map(({ movementId }) => movementId)));
    expect(made.fresh).toEqual([...new Set(movements.map(({ id }) => id))].filter((id) => !known.has(id)));
  });

  it("is the same for the same input", () => {
    const again = besideSession(input(), slot, shift(), "Alone", sampleId)!;
    expect(again.session.items.map(({ movementId }) => movementId)).toEqual(movements.map(({ id }) => id));
  });

  it("proposes what fits in as well from the same", () => {
    const options = { library: SHIPPED_LIBRARY, offered: SHIPPED_LIBRARY.movements, needs: input().needs, style: DEFAULT_STYLE, people: 1 };
    const session = { ...sampleSession([]), slot };
    const joiners = joinersFor(session, 240, { ...options, settings: ["any"], kit: [] }, sampleId);
    expect(joiners.length).toBeGreaterThan(0);
    for (const { item } of joiners) expect(BESIDE_PHASES[slot]).toContain(SHIPPED_LIBRARY.get(item.movementId).phase);
  });
});

it("a day off glides, also where the shift has no glide", () => {
  const movements = SHIPPED_LIBRARY.movements;
  const beside = shift(input({ movements: movements.filter(({ phase }) => phase !== "glide") }));
  const made = besideSession(input(), "offDay", beside, "Off", sampleId)!;
  expect(made.session.items.some(({ movementId }) => SHIPPED_LIBRARY.get(movementId).phase === "glide")).toBe(true);
});

it("after work at home, nothing new to learn where what is known does", () => {
  const made = besideSession(input(), "home", shift(), "Home", sampleId)!;
  expect(made.fresh).toEqual([]);
});

it("nothing where nothing may be done", () => {
  expect(besideSession(input({ movements: [] }), "home", shift(), "Home", sampleId)).toBeUndefined();
});
