import session from "express-session";
import { touchSeldom } from "./session";

const data = { cookie: new session.Cookie() } as session.SessionData;

function storeAt(clock: { ms: number }): { store: session.Store; touched: string[] } {
  const touched: string[] = [];
  const store = new session.MemoryStore();
  store.touch = (sid, _data, done) => {
    touched.push(sid);
    done?.();
  };
  touchSeldom(store, () => clock.ms);
  return { store, touched };
}

describe("a session's expiry", () => {
  it.each([
    [59_999, 1],
    [60_000, 2],
    [600_000, 2],
  ])("is written again %d ms later: %d times in all", (later, times) => {
    const clock = { ms: 1_000_000 };
    const { store, touched } = storeAt(clock);
    store.touch!("a", data);
    clock.ms += later;
    store.touch!("a", data);
    expect(touched).toHaveLength(times);
  });

  it("is each session's own, and whoever asks is always answered", () => {
    const clock = { ms: 1_000_000 };
    const { store, touched } = storeAt(clock);
    let answered = 0;
    for (const sid of ["a", "b", "a", "b", "c"]) store.touch!(sid, data, () => answered++);
    expect(touched).toEqual(["a", "b", "c"]);
    expect(answered).toBe(5);
  });

  it("is written in any case when more sessions are about than are remembered", () => {
    const clock = { ms: 1_000_000 };
    const { store, touched } = storeAt(clock);
    for (let i = 0; i < 5001; i++) store.touch!(`s${i}`, data);
    store.touch!("s0", data);
    expect(touched).toHaveLength(5002);
  });
});
