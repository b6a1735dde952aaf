/** One question for many who ask at the same time, and never an answer that is older than its asking. */
import { AskedTogether } from "./asked-together";

/** A question that a test answers; each time it is begun counts one. */
function questions() {
  const open: { answer(value: number): void; fail(error: Error): void }[] = [];
  const begin = () => new Promise<number>((answer, fail) => open.push({ answer, fail }));
  return { open, begin };
}
const settle = () => new Promise((done) => setImmediate(done));

it("those who come while one is under way share the next one, not it", async () => {
  const together = new AskedTogether<number>();
  const { open, begin } = questions();
  const first = together.ask("a", begin);
  const others = [together.ask("a", begin), together.ask("a", begin), together.ask("a", begin)];
  expect(open).toHaveLength(1);
  open[0]!.answer(1);
  expect(await first).toBe(1);
  await settle();
  expect(open).toHaveLength(2);
  open[1]!.answer(2);
  expect(await Promise.all(others)).toEqual([2, 2, 2]);
});

it("two hundred at once are two questions", async () => {
  const together = new AskedTogether<number>();
  let begun = 0;
  const answers = await Promise.all(Array.from({ length: 200 }, () => together.ask("a", async () => (await settle(), ++begun))));
  expect([begun, answers[0], new Set(answers.slice(1))]).toEqual([2, 1, new Set([2])]);
});

it("different questions are not shared, and one asked later is asked anew", async () => {
  const together = new AskedTogether<number>();
  const { open, begin } = questions();
  const [a, b] = [together.ask("a", begin), together.ask("b", begin)];
  open[0]!.answer(1);
  open[1]!.answer(2);
  expect(await Promise.all([a, b])).toEqual([1, 2]);
  await settle();
  void together.ask("a", begin);
  expect(open).toHaveLength(3);
});

it("one that fails fails for whoever asked it; those who wait for the next get that", async () => {
  const together = new AskedTogether<number>();
  const { open, begin } = questions();
  const [first, second] = [together.ask("a", begin), together.ask("a", begin)];
  open[0]!.fail(new Error("away"));
  await expect(first).rejects.toThrow("away");
  await settle();
  const third = together.ask("a", begin);
  open[1]!.answer(7);
  expect(await second).toBe(7);
  await settle();
  open[2]!.answer(8);
  expect(await third).toBe(8);
});
