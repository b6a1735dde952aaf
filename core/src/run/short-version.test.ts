import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "../library";
import { compileGroup } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { SHIPPED_TEMPLATES, shippedProgram, type ShippedTemplateId } from "../template";
import { itemsDone, lighterThan, shortVersion } from ".";

const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId());
const names = { preShift: "Before", break: "Break", postShift: "After" };
const sessions = (Object.keys(SHIPPED_TEMPLATES) as ShippedTemplateId[]).flatMap((id) =>
  shippedProgram(SHIPPED_LIBRARY, id, id, names, sampleId).sessions.map((session) => [`${id}, ${session.name}`, session] as const),
);
const secOf = (session: (typeof sessions)[number][1], people: readonly string[] = []) =>
  compileGroup(session, SHIPPED_LIBRARY.timings, people).totalSec;

it.each(sessions)("%s: half as long, begun and closed as it is written, in its order", (_, session) => {
  const short = shortVersion(SHIPPED_LIBRARY, session, [])!;
  expect(secOf(short)).toBeLessThanOrEqual(secOf(session) / 2);
  expect(secOf(short)).toBeGreaterThan(secOf(session) / 4);
  const kept = session.items.filter(({ id }) => short.items.some((each) => each.id === id));
  expect(short.items.map(({ id }) => id)).toEqual(kept.map(({ id }) => id));
  expect(short.items.at(-1)).toEqual(session.items.at(-1));
  const phaseOf = (each: typeof session) => SHIPPED_LIBRARY.get(each.items[0]!.movementId).phase;
  if (phaseOf(session) === "getReady") expect(phaseOf(short)).toBe("getReady");
});

it("counts the slowest of the group", () => {
  const person = sampleId();
  const [, session] = sessions[0]!;
  const slow = {
    ...session,
    items: session.items.map((each) => ({
      ...each,
      personal: { [person]: { formId: SHIPPED_LIBRARY.get(each.movementId).forms[0]!.id } },
    })),
  };
  const short = shortVersion(SHIPPED_LIBRARY, slow, [person])!;
  expect(secOf(short, [person])).toBeLessThanOrEqual(secOf(slow, [person]) / 2);
});

it("a single item has no short version", () => {
  expect(shortVersion(SHIPPED_LIBRARY, sampleSession([item("palm-away")]), [])).toBeUndefined();
  expect(shortVersion(SHIPPED_LIBRARY, sampleSession([]), [])).toBeUndefined();
});

it("less of an item, done to its end, is done in part: nobody progresses by half a dose", () => {
  const written = sampleSession([item("fist-and-star"), item("palm-away"), item("shake-out")]);
  const halved = { ...written.items[1]!, dose: { ...written.items[1]!.dose, reps: 4 } as never };
  const led = { ...written, items: [written.items[0]!, halved, written.items[2]!] };
  expect([...lighterThan(led, written)]).toEqual([halved.id]);
  const timeline = compileGroup(led, SHIPPED_LIBRARY.timings, []);
  const all: [number, number][] = [[0, timeline.totalSec]];
  expect(itemsDone(led, timeline, all, written).map(({ status }) => status)).toEqual(["done", "part", "done"]);
  expect(itemsDone(led, timeline, all).map(({ status }) => status)).toEqual(["done", "done", "done"]);
});
