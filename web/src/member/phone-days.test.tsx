/** What a phone says and asks between the server's days: what was told and is not in a day yet, which day it is, a sign-in that ran out. */
import "fake-indexeddb/auto";
import { act, screen, waitFor, within } from "@testing-library/react";
import type { MemberDay } from "@kind-grip/core/api";
import { checkIn, dayWith, emptyPhone, entryOf, openPhone, startPhone } from "../testing/phone";
import { atNoon } from "../testing/at-noon";
import { sampleId, sampleSession } from "../testing/sample";
import { refusal, type TestServer } from "../testing/screen";
import { isInDay, kept as keptOf, notInDay, phone, signedInAs } from "./phone-store";

atNoon();

jest.setTimeout(30_000);

const [day, open] = [dayWith, openPhone];
afterEach(emptyPhone);

describe("told, and not in the day yet", () => {
  const toldNow = async (
    server: TestServer,
    user: Awaited<ReturnType<typeof open>>["user"],
    day_: () => object | null | Promise<object | null>,
  ) => {
    server.answers = new Proxy(
      { ...server.answers, "GET /member/day": day_ },
      {
        get: (given, call) =>
          String(call).startsWith("PUT /member/symptom-reports/")
            ? { id: String(call).split("/").at(-1), stored: "new" }
            : given[call as keyof typeof given],
      },
    );
    await user.click(screen.getByRole("link", { name: /Stop and tell/ }));
    await user.click(await screen.findByRole("button", { name: "Sharp pain" }));
    await user.click(screen.getByRole("button", { name: "Tell my trainer" }));
  };
  it("stays paused where the connection goes before the day is there, and until a day that was asked for after it", async () => {
    const mine = day();
    const { server, user } = await open(mine);
    await toldNow(server, user, () => refusal(503, "busy", "busy"));
    expect(await screen.findByRole("heading", { name: "Told." })).toBeInTheDocument();
    expect(await phone.outbox.count()).toBe(0);
    expect(screen.getByText(/Everything is paused for you/)).toBeInTheDocument();
    await user.click(screen.getByRole("link", { name: "Back" }));
    expect(await screen.findByText(/Everything is paused for you/)).toBeInTheDocument();
    expect(screen.queryByRole("link", { name: /^Start/ })).toBeNull();
    // The next day has it answered, and the phone's own word ends with it.
    server.answers = { "GET /member/day": mine };
    act(() => void dispatchEvent(new Event("online")));
    expect(await screen.findByRole("link", { name: /^Start/ })).toBeInTheDocument();
    expect(await keptOf("sent")).toEqual([]);
  }, 30_000);
  it("what is told while a day is being fetched goes out right after it, and that day does not take the pause away", async () => {
    const mine = day();
    const { server, user } = await open(mine);
    await waitFor(() => expect(server.calls("GET /member/day")).toHaveLength(1));
    let arrives: (day: MemberDay) => void = () => undefined;
    const slow = new Promise<MemberDay>((done) => (arrives = done));
    server.answers = { ...server.answers, "GET /member/day": () => slow };
    act(() => void dispatchEvent(new Event("online")));
    await waitFor(() => expect(server.calls("GET /member/day")).toHaveLength(2));
    let days = 0;
    await toldNow(server, user, () => (days++ === 0 ? refusal(503, "busy", "busy") : mine));
    expect(await screen.findByText(/Everything is paused for you/)).toBeInTheDocument();
    expect(screen.getByRole("heading", { name: "Being sent …" })).toBeInTheDocument();
    expect(server.calls("PUT")).toEqual([]);
    await act(async () => arrives(mine));
    // Not at the next beat of eight seconds.
    expect(await screen.findByRole("heading", { name: "Told." }, { timeout: 4000 })).toBeInTheDocument();
    expect(server.calls("PUT")).toHaveLength(1);
    expect(screen.getByText(/Everything is paused for you/)).toBeInTheDocument();
  }, 30_000);
  it("a day that is there takes only what was in it", async () => {
    await signedInAs(day());
    await phone.kept.bulkPut([
      { key: "done", value: ["before", "since"] },
      { key: "answered", value: ["here since"] },
    ]);
    await isInDay({ done: ["before"], answered: [], sent: [] });
    expect(await notInDay()).toEqual({ done: ["since"], answered: ["here since"], sent: [] });
  });
});

describe("which day it is", () => {
  const at = (time: string) => `2026-03-${time}:00.000Z`;
  const nights = ["23", "24", "25"].map((date) => ({
    date: `2026-03-${date}`,
    startsAt: at(`${date}T22:00`),
    endsAt: at(`${Number(date) + 1}T06:00`),
  }));
  const placed = (startsAt: string, name: string) => ({
    ...entryOf(sampleSession(["palm-away"], { name })),
    placementId: sampleId(),
    startsAt,
  });
  const asks = () => screen.queryByRole("link", { name: /How are your hands this morning/ });
  /** Kept when it was fetched, and opened later without a connection. */
  const openLater = async (kept: MemberDay, hours: number) => {
    await open(kept, {}, true);
    await act(async () => void (await phone.kept.put({ key: "fetchedMs", value: Date.now() - hours * 3600_000 })));
  };
  it("the morning is asked of a phone that was last reached yesterday", async () => {
    await openLater(day({ now: at("24T12:00"), checkedIn: true }), 0);
    expect(asks()).toBeNull();
    await act(async () => void (await phone.kept.put({ key: "fetchedMs", value: Date.now() - 20 * 3600_000 })));
    expect(await screen.findByRole("link", { name: /How are your hands this morning/ })).toBeInTheDocument();
  });
  it("what was answered here today is not asked again by a day that is of yesterday", async () => {
    await phone.kept.put({ key: "checkedIn", value: "2026-03-25" });
    await openLater(day({ now: at("24T12:00"), checkedIn: false }), 20);
    await waitFor(() => expect(asks()).toBeNull());
  });
  it("at night it is the day the shift began on: its sessions are today's, and its morning was answered", async () => {
    const sessions = [placed(at("23T22:10"), "Warm-up"), placed(at("24T02:00"), "Night break"), placed(at("24T22:10"), "Next night")];
    await open(day({ now: at("24T00:10"), checkedIn: true, shifts: nights, sessions, anyTime: [] }), {}, true);
    expect(asks()).toBeNull();
    expect(within(screen.getByRole("region", { name: "Night break" })).getByText("02:00")).toBeInTheDocument();
    expect(within(screen.getByRole("region", { name: "Tomorrow" })).getByText("Next night")).toBeInTheDocument();
  });
  it("after the shift the night to come is today's, and its morning is asked after a rest", async () => {
    const sessions = [placed(at("24T22:10"), "Next night")];
    const after = (time: string) => day({ now: at(time), checkedIn: false, shifts: nights, sessions, anyTime: [] });
    await phone.kept.put({ key: "checkedIn", value: "2026-03-23" });
    const { unmount } = await open(after("24T07:00"), {}, true);
    expect(asks()).toBeNull();
    expect(screen.getByRole("region", { name: "Next night" })).toBeInTheDocument();
    unmount();
    await open(after("24T09:00"), {}, true);
    expect(asks()).toBeInTheDocument();
    expect(within(screen.getByRole("region", { name: "Today" })).getByText("Next night")).toBeInTheDocument();
  });
});

it("before somebody's first day it says which that is, asks for no morning, and is as any other from that day on", async () => {
  const kept = (now: string) =>
    day({ now, today: now.slice(0, 10), firstDay: "2026-03-25", checkedIn: false, sessions: [], anyTime: [], shifts: [] });
  const morning = () => screen.queryByRole("link", { name: /How are your hands this morning/ });
  const { unmount } = await open(kept("2026-03-24T09:00:00.000Z"), {}, true);
  expect(screen.getByText("Your first day here is Wednesday 25 March. Until then nothing is planned for you.")).toBeInTheDocument();
  expect(morning()).toBeNull();
  unmount();
  // Without a connection since.
  await open(kept("2026-03-25T09:00:00.000Z"), {}, true);
  expect(screen.getByText("Nothing is planned for you today.")).toBeInTheDocument();
  expect(morning()).toBeInTheDocument();
});

describe("a phone whose sign-in ran out", () => {
  const signedOut = refusal(401, "signedOut", "Sign in.");
  const start = (mine: MemberDay, at = "/me") => startPhone(mine, { answers: { "GET /member/day": signedOut }, at });
  it("asks to sign in again", async () => {
    await start(day());
    expect(await screen.findByText("sign in here")).toBeInTheDocument();
  });
  it("with something that waits it says that this goes out only then", async () => {
    const mine = day();
    await phone.outbox.add(checkIn("a", mine.person.id));
    const { server, user } = await start(mine);
    server.answers = { ...server.answers, "PUT /member/check-ins/a": signedOut };
    expect(await screen.findByText(/One thing was done on this phone and is not sent yet/)).toBeInTheDocument();
    await user.click(screen.getByRole("link", { name: "Sign in" }));
    expect(await screen.findByText("sign in here")).toBeInTheDocument();
    expect(await phone.outbox.count()).toBe(1);
  });
  it("takes nobody out of a session they follow", async () => {
    const entry = entryOf();
    const { server } = await start(day({ anyTime: [entry] }), `/me/session/${entry.session.id}`);
    await waitFor(() => expect(server.calls("GET /member/day").length).toBeGreaterThan(0));
    expect(await screen.findByRole("button", { name: "Start" })).toBeInTheDocument();
    expect(screen.queryByText("sign in here")).toBeNull();
  });
});
