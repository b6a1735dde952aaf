import * as amounts from "./amounts";

it.each(Object.entries(amounts))("%s says one as one", (_name, text) => {
  const [one, none, many] = [text(1), text(0), text(12)];
  expect([one, none, many]).toEqual([
    expect.stringMatching(/^1 \w+[^s]$/),
    expect.stringMatching(/^0 \w+$/),
    expect.stringMatching(/^12 \w+$/),
  ]);
  expect(one.slice(2)).not.toBe(many.slice(3));
  expect(none.slice(2)).toBe(many.slice(3));
});
