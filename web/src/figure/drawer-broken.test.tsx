/** A drawer that cannot be loaded refuses its picture and makes room for another. */
import { motionDrawer, stillOf } from "./drawer";

const workers: EventTarget[] = [];
const Silent = globalThis.Worker;
beforeAll(() => {
  Object.defineProperty(navigator, "hardwareConcurrency", { value: 2, configurable: true });
  globalThis.Worker = class extends Silent {
    constructor(url: string | URL) {
      super(url);
      workers.push(this);
    }
  };
});
afterAll(() => {
  globalThis.Worker = Silent;
});

it("a still is refused, and asked for again it is drawn by another drawer", async () => {
  const first = stillOf("a", () => new Promise(() => undefined));
  await Promise.resolve();
  await Promise.resolve();
  expect(workers).toHaveLength(1);
  workers[0]!.dispatchEvent(new ErrorEvent("error"));
  await expect(first).rejects.toThrow();
  expect(await stillOf("a", () => Promise.resolve("<svg/>"))).toBe("<svg/>");
  expect(workers).toHaveLength(2);
});

it("what moves is drawn by a new one after the old one broke", () => {
  const before = motionDrawer();
  expect(motionDrawer()).toBe(before);
  workers.at(-1)!.dispatchEvent(new ErrorEvent("error"));
  expect(motionDrawer()).not.toBe(before);
});
