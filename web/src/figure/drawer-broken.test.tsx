/** A drawer that cannot be loaded refuses its picture and makes room for another. */
let drawer: typeof import("./drawer");
const workers: EventTarget[] = [];
const Silent = globalThis.Worker;
beforeAll(async () => {
  Object.defineProperty(navigator, "hardwareConcurrency", { value: 2, configurable: true });
  globalThis.Worker = class extends Silent {
    constructor(url: string | URL) {
      super(url);
      workers.push(this);
    }
  };
  // Drawers of its own: whichever tests came before may have had some made.
  await jest.isolateModulesAsync(async () => void (drawer = await import("./drawer")));
});
afterAll(() => {
  globalThis.Worker = Silent;
});

it("a still is refused, and asked for again it is drawn by another drawer", async () => {
  const first = drawer.stillOf("a", () => new Promise(() => undefined));
  await Promise.resolve();
  await Promise.resolve();
  expect(workers).toHaveLength(1);
  workers[0]!.dispatchEvent(new ErrorEvent("error"));
  await expect(first).rejects.toThrow();
  expect(await drawer.stillOf("a", () => Promise.resolve("<svg/>"))).toBe("<svg/>");
  expect(workers).toHaveLength(2);
});

it("what moves is drawn by a new one after the old one broke", () => {
  const before = drawer.motionDrawer();
  // A drawer is called through a stand-in that no message can print: told apart without one.
  expect(drawer.motionDrawer() === before).toBe(true);
  workers.at(-1)!.dispatchEvent(new ErrorEvent("error"));
  expect(drawer.motionDrawer() === before).toBe(false);
});
