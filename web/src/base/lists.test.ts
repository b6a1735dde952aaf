/** Names and lengths in words. */
import { hoursText } from "./hours";
import { firstListText } from "./lists";

it.each([
  [[], ""],
  [["a"], "a"],
  [["a", "b", "c"], "a, b and c"],
  [["a", "b", "c", "d"], "a, b, c and d"],
  [["a", "b", "c", "d", "e"], "a, b, c and 2 more"],
])("of %j the first three, a single one over by name", (names, said) => expect(firstListText(names, 3)).toBe(said));

it.each([
  [0, "0 min"],
  [59, "59 min"],
  [60, "1 h"],
  [384, "6 h 24 min"],
])("%s minutes", (min, said) => expect(hoursText(min)).toBe(said));
