import { savedText } from "./saved-text";

it.each([
  [{ alternatingSec: 86, pairedSec: 0 }, "Saves 1 min 26 s by alternating sides"],
  [{ alternatingSec: 28, pairedSec: 12 }, "Saves 28 s by alternating sides and 12 s by items that take turns"],
  [{ alternatingSec: 0.5, pairedSec: 0 }, undefined],
  [{ alternatingSec: -6, pairedSec: -3 }, undefined],
])("%j: %s", (saved, text) => expect(savedText(saved)).toBe(text));
