import { unpackPresses } from "@kind-grip/core/observe";
import { dropWatch, keepWatch, keptWatch, Watch, type Watched } from "./watch";

const WATCHED: Watched = { id: "o", crewId: "c", taskId: "t", personId: null, from: "line", effortIds: { left: "l", right: "r" } };
const pressesOf = (watch: Watch, side: "left" | "right", at = 1e6) =>
  unpackPresses(watch.observation(at)!.hands.find((hand) => hand.side === side)!.presses);

const stored = new Map<string, string>();
beforeAll(() => {
  const storage = {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
    removeItem: (key: string) => void stored.delete(key),
  };
  Object.assign(globalThis, { localStorage: storage });
});

it("counts from the start, each hand for itself, and not while it stands", () => {
  const watch = new Watch(WATCHED);
  watch.press("left", 50);
  watch.start(100);
  watch.press("left", 200);
  watch.press("right", 300);
  watch.release("left", 700);
  watch.release("right", 900);
  watch.pause(1100);
  watch.press("left", 1200);
  watch.release("left", 1300);
  watch.start(5100);
  watch.press("left", 5200);
  watch.release("left", 5300);
  expect(pressesOf(watch, "left")).toEqual([
    { startMs: 100, endMs: 600 },
    { startMs: 1100, endMs: 1200 },
  ]);
  expect(pressesOf(watch, "right")).toEqual([{ startMs: 200, endMs: 800 }]);
});
it("what is held down when it is stopped ends there; pressed again without letting go, the first ends", () => {
  const watch = new Watch(WATCHED);
  watch.start(0);
  watch.press("left", 100);
  watch.press("left", 500);
  watch.pause(2000);
  expect(pressesOf(watch, "left")).toEqual([
    { startMs: 100, endMs: 500 },
    { startMs: 500, endMs: 2000 },
  ]);
  expect(watch.isDown("left")).toBe(false);
});
it("a hand that is not watched is not counted; less than a second is no observation", () => {
  const watch = new Watch({ ...WATCHED, effortIds: { right: "r" } });
  watch.start(0);
  watch.press("left", 10);
  watch.release("left", 20);
  expect(watch.observation(999)).toBeNull();
  expect(watch.observation(1000)!.hands.map(({ side }) => side)).toEqual(["right"]);
});
it("loses none of four presses a second a hand for ten minutes", () => {
  const watch = new Watch(WATCHED);
  watch.start(0);
  for (let at = 0; at < 600_000; at += 250)
    for (const side of ["left", "right"] as const) {
      watch.press(side, at + 10);
      watch.release(side, at + 130);
    }
  expect([pressesOf(watch, "left").length, pressesOf(watch, "right").length]).toEqual([2400, 2400]);
  expect(watch.seenUntil(600_000)[0]!.rhythm).toMatchObject({ efforts: 2400, perMin: { value: 240 } });
});
it("goes on after the page was lost, for whoever it belongs to", () => {
  const watch = new Watch(WATCHED);
  watch.start(0);
  watch.press("right", 100);
  watch.release("right", 600);
  watch.posture("right", 25, 700);
  keepWatch("me", watch.kept(2000)!);
  expect(keptWatch("somebody else", "c")).toBeNull();
  const again = Watch.from(keptWatch("me", "c")!);
  expect([again.runs, again.begun, again.clockAt(1e6)]).toEqual([false, true, 2000]);
  expect(again.observation(0)).toEqual(watch.observation(2000));
  dropWatch("c");
  expect(keptWatch("me", "c")).toBeNull();
});
it("a film that is wound back is watched again from there; its own time is the clock", () => {
  const watch = new Watch({ ...WATCHED, from: "video" });
  let film = 0;
  watch.start(0);
  watch.followFilm(() => film);
  for (const at of [1000, 3000, 5000]) {
    film = at;
    watch.press("left", 1e9);
    film = at + 500;
    watch.release("left", 1e9);
  }
  watch.posture("left", 50, 1e9);
  film = 3200;
  watch.windTo(3200, 0);
  expect(pressesOf(watch, "left")).toEqual([
    { startMs: 1000, endMs: 1500 },
    { startMs: 3000, endMs: 3200 },
  ]);
  expect(watch.observation(0)).toMatchObject({ lengthMs: 3200, hands: [{ postures: [] }, {}] });
});
it("garbage in the browser's store is nothing", () => {
  stored.set("kind-grip.watching.c", "{");
  expect(keptWatch("me", "c")).toBeNull();
});
