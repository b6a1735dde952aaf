/** The phone of somebody who works by bookings: treatments with the resets between them, running late, changes of the day. */
import "fake-indexeddb/auto";
import { screen, waitFor, within } from "@testing-library/react";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";
import { dayWith as day, emptyPhone, entryOf, openPhone as open } from "../testing/phone";
import { atNoon } from "../testing/at-noon";
import { sampleId, sampleSession } from "../testing/sample";
import { phone } from "./phone-store";

atNoon();

jest.setTimeout(30_000);

afterEach(emptyPhone);

const soon = (min: number) => new Date(Date.now() + min * 60_000).toISOString();
const reset = (min: number, name: string): MemberSession => ({
  ...entryOf({ ...sampleSession(["shake-out"]), name, slot: "reset" }),
  placementId: sampleId(),
  startsAt: soon(min),
  booked: true,
});
const treatment = (min: number, name: string | null) => ({
  id: sampleId(),
  version: 3,
  startsAt: soon(min),
  lengthMin: 60,
  name,
  deep: true,
});
const booked = (change: Partial<MemberDay> = {}) =>
  day({
    anyTime: [],
    sessions: [reset(-20, "Early one"), reset(1, "Between two")],
    bookings: [treatment(-70, "Hot stones"), treatment(4, null)],
    changes: 7,
    ...change,
  });

it("what is next is a reset, without a roll call; treatments stand between", async () => {
  await open(booked());
  const next = within(screen.getByRole("region", { name: "Between two" }));
  expect(next.getByRole("link", { name: "Start" })).toBeInTheDocument();
  expect(next.queryByRole("button", { name: /here/i })).not.toBeInTheDocument();
  const lines = within(screen.getByRole("region", { name: "Today" })).getAllByRole("listitem");
  expect(lines.map((line) => line.textContent)).toEqual([
    expect.stringContaining("Hot stones"),
    expect.stringContaining("Early one"),
    expect.stringMatching(/Treatment60 min/),
  ]);
});

it("tomorrow has its treatments too, with the resets between; the day after is not told as tomorrow", async () => {
  const ahead = 24 * 60;
  await open(
    booked({
      sessions: [reset(1, "Between two"), reset(ahead + 65, "Tomorrow's one")],
      bookings: [
        treatment(4, "Hot stones"),
        treatment(ahead, "Foot care"),
        treatment(ahead + 70, "Deep tissue"),
        treatment(2 * ahead, "Scalp"),
      ],
    }),
  );
  const lines = within(await screen.findByRole("region", { name: "Tomorrow" })).getAllByRole("listitem");
  expect(lines.map((line) => line.textContent)).toEqual([
    expect.stringContaining("Foot care"),
    expect.stringContaining("Tomorrow's one"),
    expect.stringContaining("Deep tissue"),
  ]);
  expect(screen.queryByText("Scalp")).toBeNull();
});

it("running late is told, and the day is as the server answers", async () => {
  const kept = booked();
  const later = { ...kept, sessions: [reset(11, "Moved one")] };
  const { server, user } = await open(kept, { "PUT /member/late": later, "GET /member/pulse": { changes: 7 } });
  await user.click(screen.getByRole("button", { name: "Running late?" }));
  server.answers = { ...server.answers, "GET /member/day": later };
  await user.click(screen.getByRole("button", { name: "10 min later" }));
  expect(await screen.findByText("Moved one")).toBeInTheDocument();
  // The one that is on is over in ten minutes and less; the next to end is meant.
  expect(server.calls("PUT")[0]!.body).toEqual({ bookingId: kept.bookings[1]!.id, version: 3, byMin: 10 });
});

it("without a connection that is said, and nothing is kept to be sent later", async () => {
  const { user } = await open(booked(), {}, true);
  await user.click(screen.getByRole("button", { name: "Running late?" }));
  await user.click(screen.getByRole("button", { name: "5 min later" }));
  expect(await screen.findByRole("alert")).toHaveTextContent(/needs a connection/);
  expect(await phone.outbox.count()).toBe(0);
});

it("hears of a change at the next beat of its pulse", async () => {
  const kept = booked();
  const { server } = await open(kept, { "GET /member/pulse": { changes: 7 } });
  await screen.findByText("Between two");
  const pulses = () => server.asked.filter(({ call }) => call === "GET /member/pulse").length;
  await waitFor(() => expect(pulses()).toBe(1));
  server.answers = {
    ...server.answers,
    "GET /member/pulse": { changes: 8 },
    "GET /member/day": { ...kept, changes: 8, sessions: [reset(1, "Moved by itself")] },
  };
  expect(await screen.findByText("Moved by itself")).toBeInTheDocument();
  // The first that says so brings the day; its usual round comes after six.
  expect(pulses()).toBeLessThanOrEqual(3);
});
