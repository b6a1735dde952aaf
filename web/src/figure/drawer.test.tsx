/** Stills are shared out to a few workers, the last asked for first, and none is drawn twice. */
import { stillOf } from "./drawer";

/** What a drawer was asked for, to be answered by hand. */
class Asked {
  readonly keys: string[] = [];
  private readonly answers = new Map<string, (svg: string) => void>();
  readonly drawers = new Set<unknown>();

  still(key: string): Promise<string> {
    return stillOf(key, (drawer) => {
      this.keys.push(key);
      this.drawers.add(drawer);
      return new Promise((resolve) => this.answers.set(key, resolve));
    });
  }
  answer(key: string): void {
    this.answers.get(key)!(`<svg>${key}</svg>`);
  }
}
const settled = () => new Promise((resolve) => setTimeout(resolve));

it("starts as many as there are cores to spare, draws the last asked for first, and keeps what is drawn", async () => {
  Object.defineProperty(navigator, "hardwareConcurrency", { value: 3, configurable: true });
  const asked = new Asked();
  const pictures = ["a", "b", "c", "d"].map((key) => asked.still(key));
  await settled();
  expect(asked.keys).toEqual(["d", "c"]);
  expect(asked.drawers.size).toBe(2);
  asked.answer("d");
  await settled();
  expect(asked.keys).toEqual(["d", "c", "b"]);
  asked.answer("c");
  asked.answer("b");
  await settled();
  asked.answer("a");
  expect(await Promise.all(pictures)).toEqual(["a", "b", "c", "d"].map((key) => `<svg>${key}</svg>`));
  expect(asked.drawers.size).toBe(2);
  expect(await asked.still("a")).toBe("<svg>a</svg>");
  expect(asked.keys).toHaveLength(4);
});
