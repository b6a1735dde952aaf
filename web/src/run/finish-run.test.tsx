/** What is asked after a run, and that each answer is kept under the person it is of. */
import { screen, within } from "@testing-library/react";
import { useState } from "react";
import type { QuickReadings } from "../quicktest/quick-readings";
import { dosed, startedRun } from "../testing/run";
import { sampleCrew, samplePerson, sampleSession } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { FinishRun } from "./FinishRun";
import { everythingWaiting } from "./outbox";
import { keepUnderWay, underWay } from "./run-store";

const crew = sampleCrew();
const people = ["Ann Early", "Bo Late", "Cy Away"].map((name) => samplePerson({ name }));
const [ann, bo, cy] = people.map(({ id }) => id) as [string, string, string];
const session = dosed(sampleSession());
const PROGRAM = "program";
const OWNER = "test@test.example";
const outbox = () => everythingWaiting().flatMap((each) => (each.kind === "run" ? [each.run] : []));
const ENDED = Date.parse("2026-03-26T09:10:00Z");

function open({
  leftOut = new Map(),
  byPhone = {},
  before = {},
}: {
  before?: Record<string, number>;
  leftOut?: Map<string, Set<string>>;
  byPhone?: Record<string, number>;
} = {}) {
  const said = Object.entries(byPhone).map(([personId, effort]) => ({ personId, effort }));
  new TestServer({ ...SIGNED_IN, [`GET /crews/${crew.id}/placements/placement/own-answers`]: said });
  const run = startedRun(session, { marks: [{ personId: bo, kind: "tingling", itemId: session.items[1]!.id }] });
  keepUnderWay(PROGRAM, session.id, { ...run, owner: OWNER, keptAtMs: Date.now() });
  function Page() {
    const [readings, setReadings] = useState<QuickReadings>(
      Object.fromEntries(Object.entries(before).map(([id, value]) => [id, { before: value, after: null }])),
    );
    return (
      <FinishRun
        quick={{ test: Object.keys(before).length > 0 ? "twistLid" : null, readings, onReadings: setReadings }}
        crew={crew}
        people={people}
        leftOut={{ current: leftOut }}
        programId={PROGRAM}
        placementId="placement"
        run={run as never}
        owner={OWNER}
        practiceNow={() => ENDED}
      />
    );
  }
  return showPage(<Page />);
}
const keep = () => screen.getByRole("button", { name: "Keep this run" });
const kept = () => Object.fromEntries(outbox()[0]!.people.map((person) => [person.personId, person]));

beforeEach(() => localStorage.clear());

it("keeps each effort under its person; who was not there has none, also when it was tapped before", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Ann Early: 3" }));
  await user.click(screen.getByRole("button", { name: "Cy Away: 8" }));
  await user.click(screen.getByRole("button", { name: "Cy Away was here" }));
  expect(screen.getByText("2 here, efforts of 1")).toBeInTheDocument();
  await user.click(keep());
  expect(Object.values(kept()).map(({ personId, present, effort }) => [personId, present, effort])).toEqual([
    [ann, true, 3],
    [bo, true, null],
    [cy, false, null],
  ]);
});

it("one answer for all who did not say leaves those who did as they are", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Ann Early: 7" }));
  await user.click(screen.getByRole("button", { name: "All: 2" }));
  await user.click(screen.getByRole("button", { name: "All: 3" }));
  await user.click(screen.getByRole("button", { name: "Cy Away was here" }));
  expect(screen.getByText("2 here, efforts of 2")).toBeInTheDocument();
  await user.click(keep());
  expect(kept()).toMatchObject({ [ann]: { effort: 7 }, [bo]: { effort: 3 }, [cy]: { effort: null, present: false } });
});

it("shows a mark made while it was led, and takes it away or adds one for that person only", async () => {
  const { user } = open();
  const row = (name: string) => within(screen.getByRole("button", { name: `${name} was here` }).closest("li")!);
  await screen.findByRole("button", { name: "Bo Late was here" });
  expect(row("Bo Late").getByRole("button", { name: /tingling/i })).toHaveAttribute("aria-pressed", "true");
  expect(row("Ann Early").getByRole("button", { name: /tingling/i })).toHaveAttribute("aria-pressed", "false");
  await user.click(row("Ann Early").getByRole("button", { name: /sharp/i }));
  await user.click(keep());
  expect(kept()[bo]!.marks).toEqual([{ kind: "tingling", itemId: session.items[1]!.id }]);
  expect(kept()[ann]!.marks).toEqual([{ kind: "sharpPain", itemId: null }]);
  expect(kept()[cy]!.marks).toEqual([]);
});

it("says what somebody was left out of, in the order of the session, and nothing that it does not have", async () => {
  const [first, second] = session.items.map(({ id }) => id) as [string, string];
  const { user } = open({
    leftOut: new Map([
      [ann, new Set([second, "cut for want of time", first])],
      [bo, new Set([second])],
    ]),
  });
  await user.click(await screen.findByRole("button", { name: "Keep this run" }));
  expect(kept()[ann]!.leftOut).toEqual([first, second]);
  expect(kept()[bo]!.leftOut).toEqual([second]);
  expect(kept()[cy]!.leftOut).toEqual([]);
});

it("counts items by how much of them was played", async () => {
  const { user } = open();
  expect(await screen.findByText(/1 of 2 items done/)).toBeInTheDocument();
  await user.click(keep());
  expect(outbox()[0]!.items.map(({ status }) => status)).toEqual(["done", "skipped"]);
  expect(outbox()[0]).toMatchObject({ crewId: crew.id, programId: PROGRAM, endedAt: new Date(ENDED).toISOString(), alone: false });
});

it("is then no longer under way; one that did not happen leaves nothing", async () => {
  const first = open();
  await first.user.click(await screen.findByRole("button", { name: "Keep this run" }));
  expect(underWay(PROGRAM, session.id, OWNER)).toBeUndefined();
  expect(await screen.findByText("at /today")).toBeInTheDocument();
  first.unmount();
  localStorage.clear();
  const second = open();
  await second.user.click(await screen.findByRole("button", { name: "It did not happen" }));
  expect([outbox(), underWay(PROGRAM, session.id, OWNER)]).toEqual([[], undefined]);
});

it("what phones said is there, is not written over for all, and can be changed by a tap", async () => {
  const { user } = open({ byPhone: { [ann]: 4, [bo]: 5 } });
  expect(await screen.findByRole("button", { name: "Ann Early: 4", pressed: true })).toBeInTheDocument();
  expect(screen.getAllByRole("img", { name: "said on their phone" })).toHaveLength(2);
  await user.click(screen.getByRole("button", { name: "All: 2" }));
  await user.click(screen.getByRole("button", { name: "Bo Late: 1" }));
  await user.click(keep());
  expect(Object.values(kept()).map(({ effort }) => effort)).toEqual([4, 1, 2]);
});

it("whoever was asked before is asked after, with what it was; the pair is kept under their name, and of nobody who was not there", async () => {
  const { user } = open({ before: { [ann]: 5, [cy]: 6 } });
  expect(await screen.findAllByText(/^Twist a tight lid: was [56]$/)).toHaveLength(2);
  await user.click(screen.getByRole("button", { name: "Ann Early, after: 3" }));
  await user.click(screen.getByRole("button", { name: "Cy Away, after: 2" }));
  await user.click(screen.getByRole("button", { name: "Cy Away was here" }));
  await user.click(keep());
  expect(Object.values(kept()).map(({ quick }) => quick)).toEqual([{ test: "twistLid", before: 5, after: 3 }, null, null]);
});
