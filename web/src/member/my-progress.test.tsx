/** My four weeks on the phone: days and mornings against what is usual for oneself, also of a day that was kept yesterday; signing out. */
import "fake-indexeddb/auto";
import { act, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import type { MemberProgress } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import { dayWith, emptyPhone } from "../testing/phone";
import { refusal, showPage, TestServer } from "../testing/screen";
import MyProgressPage from "./MyProgressPage";
import PhoneFrame from "./PhoneFrame";
import { phone } from "./phone-store";
import { takeDay } from "./use-phone";

const today = new Date().toISOString().slice(0, 10);
afterEach(emptyPhone);

async function open(
  progress: MemberProgress | null,
  { day = dayWith(), answers = {} }: { day?: ReturnType<typeof dayWith>; answers?: object } = {},
) {
  await takeDay(day);
  const server = new TestServer({
    "GET /member/day": day,
    "GET /member/progress": progress ?? refusal(503, "busy", "Busy."),
    "GET /member/contacts": { ways: [], contacts: [], pushKey: null },
    ...answers,
  });
  const pages = (
    <Routes>
      <Route path="me" element={<PhoneFrame />}>
        <Route path="progress" element={<MyProgressPage />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at: "/me/progress", path: "*", knowsMe: false }) };
}
const done = (day: string) => ({ day, itemsDue: 4, itemsDone: 3, doneSec: 600, runs: 1, meanEffort: 2 });

it("sums up four weeks, and marks the mornings above what is usual for oneself, by a sign and in words", async () => {
  const [before, yesterday] = [addDays(today, -2), addDays(today, -1)];
  await open({
    days: [done(before), done(yesterday)],
    mornings: [
      { day: before, level: 4, raised: false },
      { day: yesterday, level: 6, raised: true },
    ],
    quick: [],
  });
  expect(await screen.findByText("20 min of hand work")).toBeVisible();
  expect(screen.getByText("2 days with a session")).toBeVisible();
  const [days, mornings] = screen.getAllByRole("list") as [HTMLElement, HTMLElement];
  expect(within(days).getAllByRole("listitem", { name: /3 of 4/ })).toHaveLength(2);
  expect(within(mornings).getByRole("listitem", { name: /: 6, more than is usual for you$/ })).toBeInTheDocument();
  expect(within(mornings).getByRole("listitem", { name: /: 4$/ })).toBeInTheDocument();
  expect(screen.getByText("more than is usual for you")).toBeVisible();
});

it("without a raised morning it explains no sign; without anything it says what will be here", async () => {
  const { unmount } = await open({ days: [done(today)], mornings: [{ day: today, level: 4, raised: false }], quick: [] });
  await screen.findByText("10 min of hand work");
  expect(screen.queryByText("more than is usual for you")).toBeNull();
  unmount();
  await open({ days: [], mornings: [], quick: [] });
  expect(await screen.findByText("Your sessions and mornings will be here.")).toBeVisible();
});

it("of a day that was kept yesterday, without a connection since, today is today", async () => {
  const kept = dayWith({ now: new Date(Date.now() - 24 * 3600_000).toISOString(), today: addDays(today, -1) });
  const { server } = await open(null, { day: kept });
  server.away = true;
  await act(async () => {
    await phone.kept.put({ key: "progress", value: { days: [done(today)], mornings: [], quick: [] } });
    await phone.kept.put({ key: "fetchedMs", value: Date.now() - 24 * 3600_000 });
  });
  const now = (await screen.findAllByRole("listitem")).filter((each) => each.getAttribute("aria-current") === "date");
  expect(now.map((each) => each.getAttribute("aria-label"))).toEqual([expect.stringMatching(/3 of 4/)]);
});

it("a sign-out that did not work says so, and the phone stays as it is", async () => {
  const { user, router } = await open(
    { days: [], mornings: [], quick: [] },
    { answers: { "POST /me/sign-out": refusal(503, "busy", "Busy.") } },
  );
  await user.click(await screen.findByRole("button", { name: "Sign out" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("The server cannot be reached at the moment.");
  expect(router.state.location.pathname).toBe("/me/progress");
});
