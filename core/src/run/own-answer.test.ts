import * as v from "valibot";
import { mayArrive, OwnEffort } from "./own-answer";

const MIN = 60_000;

it.each([
  [-46, false],
  [-45, true],
  [0, true],
  [20, true],
  [21, false],
])('%i min from the start, "I am here" is offered: %p', (minutes, offered) => {
  const starts = Date.parse("2026-03-26T07:00:00Z");
  expect(mayArrive(starts, starts + minutes * MIN)).toBe(offered);
});

it("an effort names what it is of", () => {
  const id = "019d0000-0000-7000-8000-000000000001";
  const effort = { id, placementId: null, runId: null, effort: 2, at: "2026-03-26T07:00:00.000Z" };
  expect(v.is(OwnEffort, effort)).toBe(false);
  expect(v.is(OwnEffort, { ...effort, placementId: id })).toBe(true);
  expect(v.is(OwnEffort, { ...effort, runId: id })).toBe(true);
  expect(v.is(OwnEffort, { ...effort, runId: id, effort: 11 })).toBe(false);
});
