import { SHIPPED_LIBRARY, type Setting } from "../library";
import { sampleId } from "../session/sample";
import { aimsMissed } from "./aims";
import { candidatesFor, type Candidate } from "./candidates";
import { USUAL_LIMITS, type ComposeLimits } from "./limits";
import { changeOvers, closes, countsAsDose, getsReady, inOrder, LEAST_DOSE_SEC, standOf } from "./shape";

const placed = (...ids: string[]) =>
  ids.map((id) => {
    const movement = SHIPPED_LIBRARY.get(id);
    return { movement, item: { formId: movement.startForm } };
  });
const PLACE: readonly Setting[] = ["any", "table", "wall"];
const idsOf = (list: readonly { movement: { id: string } }[]) => list.map(({ movement }) => movement.id);

describe("a session's order", () => {
  it("is phase by phase, gets ready from the shoulders down, and closes with what loosens", () => {
    expect(
      idsOf(inOrder(placed("shake-out", "palm-away", "fist-and-star", "median-glide", "palm-turn", "shoulder-circles"), PLACE)),
    ).toEqual(["shoulder-circles", "fist-and-star", "palm-turn", "palm-away", "median-glide", "shake-out"]);
  });

  it("closes with release where there is some; the shake-out then stays with what gets ready", () => {
    const order = idsOf(inOrder(placed("forearm-knead", "shake-out", "shoulder-circles", "palm-away"), PLACE));
    expect(order).toEqual(["shoulder-circles", "shake-out", "palm-away", "forearm-knead"]);
  });

  it("keeps together what is done at one place and with one thing in the hand: no other order of a phase changes less", () => {
    const list = placed("squeeze", "lift-palm-down", "loaded-palm-turn", "flat-to-hook-press", "slow-lever-lower", "lift-palm-up");
    const count = (order: readonly { movement: (typeof list)[number]["movement"]; item: { formId: string } }[]) =>
      changeOvers(order.map(({ movement, item }) => standOf(movement, item.formId, PLACE)));
    const best = count(inOrder(list, PLACE));
    let tried = 0;
    const walk = (done: typeof list, rest: typeof list) => {
      if (rest.length === 0) {
        tried++;
        expect(count(done)).toBeGreaterThanOrEqual(best);
      }
      rest.forEach((each, i) => walk([...done, each], [...rest.slice(0, i), ...rest.slice(i + 1)]));
    };
    walk([], list);
    expect(tried).toBe(720);
    expect(count(list)).toBeGreaterThan(best);
  });

  it("loses and invents nothing", () => {
    const many = placed(...SHIPPED_LIBRARY.movements.slice(0, 40).map(({ id }) => id));
    expect(new Set(inOrder(many, PLACE))).toEqual(new Set(many));
    expect(inOrder([], PLACE)).toEqual([]);
  });
});

describe("change-overs", () => {
  const stand = (setting: Setting, ...kit: ("band" | "ball")[]) => ({ setting, kit });
  it.each([
    ["nothing", [], 0],
    ["one item", [stand("table", "band")], 0],
    ["what can be done anywhere is done where people stand", [stand("table"), stand("any"), stand("table")], 0],
    ["another place", [stand("table"), stand("wall")], 1],
    ["kit taken up and put down", [stand("any"), stand("any", "band"), stand("any")], 2],
    ["the same kit kept", [stand("any", "band"), stand("any", "band")], 0],
    ["place and kit at once", [stand("table", "band"), stand("wall", "ball")], 2],
  ] as const)("%s", (_name, stands, count) => expect(changeOvers(stands)).toBe(count));
});

it("tells what closes from what gets ready", () => {
  const of = (id: string) => [getsReady(SHIPPED_LIBRARY.get(id)), closes(SHIPPED_LIBRARY.get(id))];
  expect([of("shoulder-circles"), of("shake-out"), of("forearm-knead"), of("palm-away")]).toEqual([
    [true, false],
    [false, true],
    [false, true],
    [false, false],
  ]);
});

it.each(Object.entries(LEAST_DOSE_SEC))("a dose of %s counts from %d s under tension", (phase, sec) => {
  const dose = (workSec: number) => ({ kind: "timed", sets: 1, workSec, restSec: 0 }) as const;
  expect(countsAsDose({ phase: phase as never }, dose(sec))).toBe(true);
  expect(countsAsDose({ phase: phase as never }, dose(sec - 0.5))).toBe(false);
});

it("every whole dose of the library counts as one, but for the shake-out that only closes", () => {
  const less = SHIPPED_LIBRARY.movements.filter((movement) => !countsAsDose(movement, movement.doses.usual)).map(({ id }) => id);
  expect(less).toEqual([]);
});

describe("the aims of a finished program", () => {
  const limits: ComposeLimits = {
    ...USUAL_LIMITS,
    style: { stretch: "shortHold", load: "pacedReps" },
    aim: "reliefLed",
    weeks: 4,
    slotSec: { preShift: 300, break: 0, postShift: 0 },
    settings: ["any"],
    kit: [],
    people: 4,
  };
  const { candidates } = candidatesFor(SHIPPED_LIBRARY, SHIPPED_LIBRARY.movements, limits, sampleId);
  const of = (...ids: string[]) => ids.map((id) => candidates.find(({ movement }) => movement.id === id)!);
  const full = of("shoulder-circles", "open-chest", "palm-turn", "palm-away", "thumb-to-tips", "shake-out");
  const missed = (chosen: readonly Candidate[], change: Partial<ComposeLimits> = {}) =>
    aimsMissed(chosen, candidates, { ...limits, ...change }).map((each) => (each.aim === "must" ? each.must : each.aim));

  it("are all reached by a full session that gets ready for a minute and closes", () => expect(missed(full)).toEqual([]));
  it("miss a slot that is not used though something may join", () => {
    const short = { slotSec: { ...limits.slotSec, preShift: 299 } };
    expect(missed(of("shoulder-circles", "open-chest", "shake-out"), short)).toEqual(["slot"]);
    // Three items at most: a limit stands in the way, and that is said elsewhere.
    expect(missed(of("shoulder-circles", "open-chest", "shake-out"), { ...short, mostItems: 3 })).toEqual([]);
  });
  it("miss a minute of getting ready", () => {
    expect(missed([...of("shrug-and-drop", "shake-out"), ...full.slice(2, 5)], { mostItems: 5 })).toEqual(["ready"]);
    expect(
      missed([...of("shrug-and-drop", "shake-out"), ...full.slice(2, 5)], { mostItems: 5, slotSec: { ...limits.slotSec, preShift: 239 } }),
    ).toEqual([]);
  });
  it("miss the shoulders, where a warm-up begins", () => {
    const hands = of("fist-and-star", "palm-turn", "palm-away", "thumb-to-tips", "hand-drop", "shake-out");
    expect(missed(hands, { mostItems: 6 })).toEqual(["shoulders"]);
    expect(missed(hands, { mostItems: 6, slotSec: { ...limits.slotSec, preShift: 239 } })).not.toContain("shoulders");
  });
  it("miss a held stretch in a warm-up of five minutes", () => {
    const moving = of("shoulder-circles", "open-chest", "palm-turn", "thumb-to-tips", "wrist-circle", "shake-out");
    expect(missed(moving, { mostItems: 6 })).toEqual(["stretch"]);
    expect(missed(moving, { mostItems: 6, slotSec: { ...limits.slotSec, preShift: 299 } })).toEqual([]);
  });
  it("miss something that closes", () => expect(missed(full.slice(0, 5), { mostItems: 5 })).toEqual(["close"]));
  it("miss a light dose that has room to be whole", () => {
    const light = { ...full[3]!, share: 0.6, sec: full[3]!.sec * 0.6 };
    expect(missed([...full.slice(0, 3), light, ...full.slice(4)])).toContain("light");
  });
});
