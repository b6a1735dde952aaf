import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "../library";
import { compilePerson, type Session, type SessionSlot } from "../session";
import { sampleId } from "../session/sample";
import { bookingSessions, shapesOf } from ".";

const session = (slot: SessionSlot, ...movements: string[]): Session => ({
  id: sampleId(),
  name: `${slot} ${movements.join(" ")}`,
  slot,
  items: movements.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())),
});
const laidAs = (...sessions: Session[]) =>
  Object.fromEntries(Object.entries(bookingSessions(SHIPPED_LIBRARY, { sessions })).map(([kind, { name }]) => [kind, name]));

it("each kind is the first session of its slot that has anything in it", () => {
  expect(
    laidAs(
      session("preShift"),
      session("preShift", "fist-and-star"),
      session("reset", "shake-out"),
      session("break", "palm-away"),
      session("postShift", "lift-palm-down"),
      session("postShift", "forearm-knead"),
    ),
  ).toEqual({
    warmUp: "preShift fist-and-star",
    reset: "reset shake-out",
    longer: "break palm-away",
    strength: "postShift lift-palm-down",
    closing: "postShift forearm-knead",
  });
});

it.each([["palm-away"], ["median-glide"], ["lift-palm-down"]])("a reset with %s is none", (movement) => {
  expect(laidAs(session("reset", "shake-out", movement), session("reset", "finger-wave"))).toEqual({ reset: "reset finger-wave" });
});

it("what strengthens is laid on light days only, whatever it was written for", () => {
  expect(laidAs(session("break", "lift-palm-down"), session("preShift", "lift-palm-down"))).toEqual({ strength: "break lift-palm-down" });
});

describe("what each takes", () => {
  const sessions = bookingSessions(SHIPPED_LIBRARY, {
    sessions: [session("reset", "shake-out"), session("break", "median-glide"), session("postShift", "lift-palm-down")],
  });
  it("is whole minutes for the slowest of the people, and whether it moves or glides", () => {
    const shapes = shapesOf(SHIPPED_LIBRARY, sessions, [], [sampleId()]);
    expect(shapes.reset).toEqual({ lengthMin: 1, moves: false, glides: false, shares: null });
    const { totalSec } = compilePerson(sessions.longer!, SHIPPED_LIBRARY.timings);
    expect([shapes.longer!.lengthMin, shapes.longer!.glides]).toEqual([Math.ceil(totalSec / 60), true]);
  });
  it("shares what is held with as many as there are pieces", () => {
    const kit = [{ kind: "dumbbell" as const, massKg: 1, count: 2 }];
    const loaded = {
      ...sessions,
      strength: { ...sessions.strength!, items: sessions.strength!.items.map((item) => ({ ...item, formId: "load", loadKg: 1 })) },
    };
    expect(shapesOf(SHIPPED_LIBRARY, loaded, kit, []).strength!.shares).toEqual({ kit: "kit", people: 2 });
    expect(shapesOf(SHIPPED_LIBRARY, loaded, kit, []).reset!.shares).toBeNull();
  });
});
