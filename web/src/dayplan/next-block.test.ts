import { newItem, DEFAULT_STYLE, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Series } from "@kind-grip/core/dayplan";
import type { ShiftSession } from "@kind-grip/core/session";
import { nextBlocks } from "./next-block";
import type { PlaceableSession } from "./placed";

const session = (programId: string, id: string, slot: ShiftSession["slot"], name = id): PlaceableSession => ({
  programId,
  programName: programId,
  session: { id, name, slot, items: [newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, id)] },
  lengthSec: 60,
});
const series = (programId: string, untilDate: string | null = null) => ({ programId, untilDate }) as Series;
const blocks = (sessions: PlaceableSession[], ...list: Series[]) => nextBlocks(sessions, { groups: [], series: list }, "2026-03-26");
const one = [session("block 1", "w1", "preShift", "Warm-up"), session("block 1", "b1", "break", "Break")];
const two = [session("block 2", "w2", "preShift", "Warm-up"), session("block 2", "b2", "break", "Pause")];

it("is the program that is in no plan, each session in the place of its like", () => {
  const [found] = blocks([...one, ...two], series("block 1"));
  expect([found!.name, found!.instead]).toEqual(["block 2", "block 1"]);
  const nextOf = (sessionId: string) => found!.nextOf({ programId: "block 1", sessionId });
  expect([nextOf("w1"), nextOf("b1"), nextOf("gone")]).toEqual([
    { programId: "block 2", sessionId: "w2" },
    { programId: "block 2", sessionId: "b2" },
    null,
  ]);
});

it("of two of a kind only the one of the same name is its like", () => {
  const more = [...two, session("block 2", "b3", "break", "Break")];
  expect(blocks([...one, ...more], series("block 1"))[0]!.nextOf({ programId: "block 1", sessionId: "b1" })?.sessionId).toBe("b3");
  const others = [...two, session("block 2", "b3", "break", "Rest")];
  expect(blocks([...one, ...others], series("block 1"))[0]!.nextOf({ programId: "block 1", sessionId: "b1" })).toBeNull();
});

it("is not there where nothing is planned, where both are, once it was planned, or where nothing belongs together", () => {
  expect(blocks([...one, ...two])).toEqual([]);
  expect(blocks([...one, ...two], series("block 1"), series("block 2"))).toEqual([]);
  expect(blocks([...one, ...two], series("block 1", "2026-03-25"))).toEqual([]);
  expect(blocks([...one, ...two], series("block 1"), series("block 2", "2026-03-01"))).toEqual([]);
  expect(blocks([...one, session("block 2", "p2", "postShift")], series("block 1"))).toEqual([]);
});
