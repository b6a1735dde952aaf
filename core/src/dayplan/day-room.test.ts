import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import { hasRoomFor } from ".";

const session = (...ids: string[]) => sampleSession(ids.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())));
const times = (count: number, ...ids: string[]) => Array.from({ length: count }, () => session(...ids));

it.each([
  ["stretching after two sessions that move", times(2, "wrist-circle"), session("palm-away"), true],
  ["stretching after three", times(3, "wrist-circle"), session("palm-away"), false],
  ["letting go after three", times(3, "wrist-circle"), session("shoulder-circles", "forearm-knead"), true],
  ["a glide after one", times(1, "median-glide"), session("radial-glide"), true],
  ["a glide after two", times(2, "median-glide"), session("radial-glide"), false],
  ["stretching after three that only get ready or strengthen", times(3, "shake-out", "hook-pull-apart"), session("palm-away"), true],
  ["anything on an empty day", [], session("palm-away", "median-glide"), true],
])("%s: %s", (_, planned, more, room) => expect(hasRoomFor(SHIPPED_LIBRARY, planned, more)).toBe(room));
