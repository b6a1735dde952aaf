/** The whole block on one sheet: weeks of every item, light weeks, the day of the review, and the way up in load. */
import { screen, waitFor, within } from "@testing-library/react";
import { newItem, SHIPPED_LIBRARY, DEFAULT_STYLE } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, sampleProgram, sampleSession } from "../testing/sample";
import BlockPage from "./BlockPage";

const crew = sampleCrew({
  kit: [
    { kind: "dumbbell", massKg: 2, count: 8 },
    { kind: "dumbbell", massKg: 1.5, count: 8 },
  ],
});
const withProgram = (change: Partial<Program>) => {
  const entry = sampleProgram(crew.id, [sampleSession(["shake-out", "palm-away"]), sampleSession([], { id: sampleId(), name: "After" })]);
  const lift = newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId());
  entry.program.sessions[1]!.items = [lift];
  Object.assign(entry.program, change);
  const shown = showCrewPage(<BlockPage />, "program/:programId/block", {
    crew,
    at: `program/${entry.id}/block`,
    answers: {
      [`GET /programs/${entry.id}`]: entry,
      [`PUT /programs/${entry.id}`]: (body: unknown) => ({ ...entry, ...(body as object), version: 2 }),
    },
  });
  return { ...shown, saved: () => shown.server.calls("PUT").map(({ body }) => (body as { program: Program }).program) };
};
const weeks = () => screen.findByRole("region", { name: "Weeks" });
const row = async (name: string) => within(await weeks()).getByRole("row", { name: new RegExp(`^${name}`) });

it("shows every item of every session by weeks with their days, and when the review is", async () => {
  withProgram({ settlingFrom: "2026-03-30", weeks: 4 });
  const heads = within(await weeks())
    .getAllByRole("columnheader")
    .map(({ textContent }) => textContent);
  expect(heads).toHaveLength(5);
  expect(heads[1]).toMatch(/Week 1.*30 Mar.*settling in/);
  expect(heads[4]).toMatch(/Week 4.*20 Apr/);
  expect(within(await row("Palm-away stretch")).getAllByRole("cell")).toHaveLength(4);
  expect(await row("Lift, palm down")).toBeInTheDocument();
  expect(screen.getByText("Monday 27 April 2026")).toBeInTheDocument();
});

it("a week is made lighter and full again with one press, and both are saved", async () => {
  const { user, saved } = withProgram({ settlingFrom: "2026-03-30", weeks: 6 });
  const before = within(await row("Palm-away stretch"))
    .getAllByRole("cell")
    .map(({ textContent }) => textContent);
  await user.click(screen.getByRole("button", { name: "Week 4 lighter", pressed: false }));
  const after = within(await row("Palm-away stretch"))
    .getAllByRole("cell")
    .map(({ textContent }) => textContent);
  expect(after[3]).not.toBe(before[3]);
  expect(after[4]).toBe(before[3]);
  await waitFor(() => expect(saved().at(-1)?.lighterWeeks).toEqual([4]));
  await user.click(screen.getByRole("button", { name: "Week 4 lighter", pressed: true }));
  await waitFor(() => expect(saved().at(-1)?.lighterWeeks).toEqual([]));
});

it("without a first day no week can be lighter and no review is named", async () => {
  withProgram({ settlingFrom: null, lighterWeeks: [3] });
  await weeks();
  expect(screen.queryByRole("button", { name: /lighter/ })).toBeNull();
  expect(screen.getByText(/No first day is set/)).toBeInTheDocument();
  expect(screen.queryByText(/measured anew/)).toBeNull();
});

it("the way up in load is that of the crew's kit, with large steps marked", async () => {
  withProgram({ settlingFrom: "2026-03-30" });
  const ladder = await screen.findByRole("region", { name: "The way up in load" });
  const rungs = within(ladder)
    .getAllByRole("listitem")
    .map(({ textContent }) => textContent);
  expect(rungs[0]).toMatch(/1.5 kg.*1\.18 N·m$/);
  expect(rungs.some((text) => /\+\d+ %, large/.test(text!))).toBe(true);
});

it("nothing in any session says what to do", async () => {
  withProgram({ sessions: [sampleSession([])] });
  expect(await screen.findByText("Nothing is in it yet")).toBeInTheDocument();
});
