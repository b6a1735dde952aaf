import { isFinal } from "../base/final";
import { sendWaiting, type Outcome } from "./send-waiting";
import type { Waiting } from "./phone-store";

const boxOf = (...ids: string[]) => {
  const list = ids.map((id, i) => ({ seq: i + 1, kind: "symptom-reports", body: { id } }) as Waiting);
  return {
    list,
    first: async () => list.find(({ refused }) => refused === undefined),
    drop: async (seq: number) =>
      void list.splice(
        list.findIndex((each) => each.seq === seq),
        1,
      ),
    refuse: async (seq: number, why: string) => void (list.find((each) => each.seq === seq)!.refused = why),
  };
};
const sent: string[] = [];
const answering =
  (outcomes: Record<string, Outcome>) =>
  async ({ body }: Waiting): Promise<Outcome> => {
    sent.push(body.id);
    return outcomes[body.id] ?? { done: true };
  };
beforeEach(() => sent.splice(0));

it("goes out in order, and what was confirmed leaves", async () => {
  const box = boxOf("a", "b", "c");
  expect(await sendWaiting(box, answering({}))).toBe(true);
  expect([sent, box.list]).toEqual([["a", "b", "c"], []]);
});

it("stops at the first that could not be sent: nothing overtakes it", async () => {
  const box = boxOf("a", "b", "c");
  expect(await sendWaiting(box, answering({ b: { done: false, final: false, message: "away" } }))).toBe(false);
  expect([sent, box.list.map(({ body }) => body.id)]).toEqual([
    ["a", "b"],
    ["b", "c"],
  ]);
  expect(await sendWaiting(box, answering({}))).toBe(true);
  expect(sent).toEqual(["a", "b", "b", "c"]);
});

it("what will never be taken stays to be read and holds nothing up", async () => {
  const box = boxOf("a", "b");
  expect(await sendWaiting(box, answering({ a: { done: false, final: true, message: "is not your crew" } }))).toBe(true);
  expect(box.list).toMatchObject([{ body: { id: "a" }, refused: "is not your crew" }]);
});

it.each([
  [400, true],
  [401, false],
  [403, true],
  [409, true],
  [429, false],
  [500, false],
  [503, false],
  ["FETCH_ERROR", false],
  ["TIMEOUT_ERROR", false],
] as const)("an answer of %s is final: %s", (status, final) => expect(isFinal(status)).toBe(final));
