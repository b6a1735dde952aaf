import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { placeableSessions, placedOf } from "./placed";

const program = (items: number): Program => ({
  name: "P",
  style: DEFAULT_STYLE,
  weeks: 4,
  sessions: [
    {
      id: "s1",
      name: "S",
      slot: "break",
      items: Array.from({ length: items }, (_, i) => newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, `i${i}`)),
    },
  ],
});
const entry = (items: number) => ({ id: "p1", crewId: "c", version: 1, changedAt: "", program: program(items) });
const placement = { id: "x", programId: "p1", sessionId: "s1", startsAt: "2026-03-24T10:00:00.000Z", people: null, groupName: null };

it("only sessions with items can be placed, as long as the group takes", () => {
  expect(placeableSessions(SHIPPED_LIBRARY, [entry(0)], [], new Map())).toEqual([]);
  expect(placeableSessions(SHIPPED_LIBRARY, [entry(2)], [], new Map())[0]).toMatchObject({ programId: "p1", lengthSec: 24 });
});

it("a placement spans its session; one whose session is gone is left out", () => {
  const sessions = placeableSessions(SHIPPED_LIBRARY, [entry(2)], [], new Map());
  const startMs = Date.parse(placement.startsAt);
  expect(placedOf([placement, { ...placement, id: "y", sessionId: "gone" }], sessions)).toMatchObject([
    { id: "x", startMs, endMs: startMs + 24_000 },
  ]);
});
