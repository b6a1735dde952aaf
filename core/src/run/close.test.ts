import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "../library";
import { closeIndexOf } from ".";

const session = (...movementIds: string[]) => ({ items: movementIds.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, id)) });

it.each([
  ["what is shaken out at the end", ["fist-and-star", "palm-away", "shake-out"], 2],
  ["two that let go", ["palm-away", "forearm-roll", "shake-out"], 1],
  ["the last where nothing lets go", ["shake-out", "palm-away"], 1],
  ["the last of a warm-up", ["shake-out", "fist-and-star", "wrist-circle"], 2],
  ["the only one", ["palm-away"], 0],
  ["nothing of nothing", [], -1],
])("the close is %s", (_, ids, index) => {
  const phases = ids.map((id) => SHIPPED_LIBRARY.get(id).phase);
  expect([phases, closeIndexOf(SHIPPED_LIBRARY, session(...ids))]).toEqual([phases, index]);
});
