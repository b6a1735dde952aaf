import { nearnessText } from "./nearness-text";

it.each([
  [0, "Proven best"],
  [0.0004, "Proven best"],
  [0.0005, "Within 0.1 % of the best there is"],
  [0.0099, "Within 1.0 % of the best there is"],
  [0.0312, "Within 3.2 % of the best there is"],
  [Infinity, "The best found in the time there is; how near it is to the best of all is not known"],
])("a gap of %d is said as: %s", (gap, text) => expect(nearnessText(gap)).toBe(text));
