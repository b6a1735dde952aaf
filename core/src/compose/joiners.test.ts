import { DEFAULT_STYLE, misfitsOf, newItem, PHASES, SHIPPED_LIBRARY } from "../library";
import { compilePerson } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { joined, joinersFor, type JoinerOptions } from "./joiners";
import { sampleNeed } from "./sample";

const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId());
const options = (change: Partial<JoinerOptions> = {}): JoinerOptions => ({
  library: SHIPPED_LIBRARY,
  offered: SHIPPED_LIBRARY.movements,
  needs: [sampleNeed("wristExtensors", 80), sampleNeed("thumbBase", 30)],
  style: DEFAULT_STYLE,
  settings: ["any"],
  kit: [],
  people: 6,
  ...change,
});
const session = sampleSession([item("shoulder-circles"), item("palm-away"), item("median-glide"), item("shake-out")]);
const ids = (sec: number, change: Partial<JoinerOptions> = {}, of = session) =>
  joinersFor(of, sec, options(change), sampleId).map(({ item: { movementId } }) => movementId);

it.each([20, 60, 120, 400])("what fits into %d s: whole, possible there, for what is needed, not there yet", (sec) => {
  for (const joiner of joinersFor(session, sec, options(), sampleId)) {
    const movement = SHIPPED_LIBRARY.get(joiner.item.movementId);
    expect(joiner.sec).toBeLessThanOrEqual(sec);
    expect(compilePerson(joined(SHIPPED_LIBRARY, session, joiner.item), SHIPPED_LIBRARY.timings).totalSec).toBeLessThanOrEqual(
      compilePerson(session, SHIPPED_LIBRARY.timings).totalSec + sec,
    );
    expect(session.items.map(({ movementId }) => movementId)).not.toContain(movement.id);
    expect(misfitsOf(movement, movement.startForm, { settings: ["any"], kit: [] })).toEqual([]);
    expect(["glide", "strengthen"]).not.toContain(movement.phase);
    expect(movement.weightBearing).toBeFalsy();
    expect(joiner.regions.length).toBeGreaterThan(0);
  }
});

it("the more needed region comes first, and nothing is proposed where nothing is needed or no time is left", () => {
  const [first] = joinersFor(session, 200, options(), sampleId);
  expect(first!.regions[0]).toBe("wristExtensors");
  expect(ids(200, { needs: [] })).toEqual([]);
  expect(ids(0)).toEqual([]);
  expect(ids(-30)).toEqual([]);
});

it("strengthening is proposed after the shift only", () => {
  const after = { ...session, slot: "postShift" as const };
  const phases = (of: typeof session) => ids(900, { kit: [{ kind: "dumbbell", massKg: 1, count: 6 }], settings: ["any", "table"] }, of);
  expect(phases(after).some((id) => SHIPPED_LIBRARY.get(id).phase === "strengthen")).toBe(true);
  expect(phases(session).some((id) => SHIPPED_LIBRARY.get(id).phase === "strengthen")).toBe(false);
});

it("joins where its phase belongs, and what closes stays last", () => {
  for (const movement of SHIPPED_LIBRARY.movements) {
    const { items } = joined(SHIPPED_LIBRARY, session, item(movement.id));
    expect(items.at(-1)!.movementId).toBe("shake-out");
    const phases = items.slice(0, -1).map(({ movementId }) => PHASES.indexOf(SHIPPED_LIBRARY.get(movementId).phase));
    expect([movement.id, phases]).toEqual([movement.id, [...phases].sort((a, b) => a - b)]);
  }
  expect(joined(SHIPPED_LIBRARY, sampleSession([]), item("palm-away")).items).toHaveLength(1);
});
