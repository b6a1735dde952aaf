/** The check before a round, on a phone: answered one by one, kept on the way, acting at once, also without a connection. */
import "fake-indexeddb/auto";
import { act, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import type { MemberDay } from "@kind-grip/core/api";
import { QUESTION_IDS, type QuestionId } from "@kind-grip/core/safety";
import { emptyMemberDay } from "../../testing/member-day";
import { sampleId, sampleSession } from "../../testing/sample";
import { showPage, TestServer } from "../../testing/screen";
import DayPage from "../DayPage";
import PhoneFrame from "../PhoneFrame";
import { kept, phone } from "../phone-store";
import { takeDay } from "../use-phone";
import SelfCheckPage from "./SelfCheckPage";

// The picture is drawn by a worker, which is not here: a place is a button with its name.
jest.mock("../../figure/HandMapPicture", () => ({
  HandMapPicture: ({
    picking,
  }: {
    picking: { nameOf(side: string, region: string): string; onPick(side: string, region: string): void };
  }) => <button onClick={() => picking.onPick("right", "thumbSideWrist")}>{picking.nameOf("right", "thumbSideWrist")}</button>,
}));

jest.setTimeout(30_000);

const round = { id: sampleId(), name: "Spring" };
const day = (change: Partial<MemberDay> = {}) =>
  emptyMemberDay({
    selfCheck: round,
    anyTime: [
      {
        placementId: null,
        programId: sampleId(),
        startsAt: null,
        totalSec: 120,
        session: sampleSession(["palm-away"]),
        done: false,
        ended: false,
      },
    ],
    ...change,
  });
const open = async (given: MemberDay = day(), away = false, at = "/me") => {
  await takeDay(given);
  const server = new TestServer({ "GET /member/day": given });
  server.away = away;
  const pages = (
    <Routes>
      <Route path="me" element={<PhoneFrame />}>
        <Route index element={<DayPage />} />
        <Route path="check" element={<SelfCheckPage />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at, path: "*", knowsMe: false }) };
};
type User = Awaited<ReturnType<typeof open>>["user"];
const begin = async (user: User) => user.click(await screen.findByRole("link", { name: /Before you are measured/ }));
const answerAll = async (user: User, yes: readonly QuestionId[] = []) => {
  for (const [i, id] of QUESTION_IDS.entries()) {
    await screen.findByText(`${i + 1} of 18`);
    await user.click(screen.getByRole("button", { name: yes.includes(id) ? "Yes" : "No" }));
  }
  await screen.findByText("16 of 18");
};
const outbox = () => phone.outbox.toArray();

afterEach(() =>
  act(async () => {
    await phone.outbox.clear();
    await phone.kept.clear();
  }),
);

it("a person without findings answers in 18 taps and sends; it is no longer asked", async () => {
  const { user } = await open(day(), true);
  await begin(user);
  await answerAll(user);
  await user.click(screen.getByRole("button", { name: "Nothing anywhere" }));
  await user.click(await screen.findByRole("button", { name: "Right" }));
  expect(await screen.findByRole("button", { name: /No to every question/ })).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Send to Maren Holt" }));
  expect(await screen.findByRole("heading", { name: "Not told yet." })).toBeInTheDocument();
  expect(screen.getByText(/Maren Holt does not know of it yet/)).toBeInTheDocument();
  const [waiting] = await outbox();
  expect(waiting).toMatchObject({ kind: "self-checks", body: { roundId: round.id, handedness: "right", symptoms: [] } });
  expect(Object.values((waiting!.body as { safety: object }).safety)).toEqual(QUESTION_IDS.map(() => false));
  await user.click(screen.getByRole("link", { name: "Back" }));
  await screen.findByRole("heading", { name: /Hello/ });
  await waitFor(() => expect(screen.queryByRole("link", { name: /Before you are measured/ })).toBeNull());
});

it("a call in between loses nothing: it goes on at the question it was at", async () => {
  const first = await open();
  await begin(first.user);
  for (let i = 0; i < 3; i++) {
    await screen.findByText(`${i + 1} of 18`);
    await first.user.click(screen.getByRole("button", { name: i === 1 ? "Yes" : "No" }));
  }
  await screen.findByText("4 of 18");
  first.unmount();
  const again = await open();
  await begin(again.user);
  expect(await screen.findByText("4 of 18")).toBeInTheDocument();
  await again.user.click(screen.getByRole("button", { name: "Back" }));
  await screen.findByText("3 of 18");
  await again.user.click(screen.getByRole("button", { name: "Back" }));
  await screen.findByText("2 of 18");
  expect(screen.getByRole("button", { name: "Yes" })).toHaveAttribute("aria-pressed", "true");
});

it("goes by keyboard: each question takes over where the last was answered", async () => {
  const { user } = await open();
  await begin(user);
  for (let i = 0; i < 3; i++) {
    await screen.findByText(`${i + 1} of 18`);
    expect(screen.getAllByRole("heading", { level: 2 })[0]).toHaveFocus();
    await user.tab();
    expect(screen.getByRole("button", { name: "No" })).toHaveFocus();
    await user.keyboard("{Enter}");
  }
  expect(await screen.findByText("4 of 18")).toBeInTheDocument();
});

it("a place is kept when what, how much and at night are answered, and can be changed and taken back", async () => {
  const { user } = await open();
  await begin(user);
  await answerAll(user);
  await user.click(await screen.findByRole("button", { name: "Right: Wrist, thumb side" }));
  const place = within(await screen.findByRole("region", { name: "Right: Wrist, thumb side" }));
  expect(place.getByRole("button", { name: "Keep this place" })).toBeDisabled();
  await user.click(place.getByRole("button", { name: "Ache" }));
  await user.click(place.getByRole("button", { name: "4" }));
  await user.click(place.getByRole("radio", { name: "Some nights" }));
  await user.click(place.getByRole("button", { name: "Keep this place" }));
  await user.click(await screen.findByRole("button", { name: "Wrist, thumb side: Ache, 4" }));
  await user.click(screen.getByRole("button", { name: "5" }));
  await user.click(screen.getByRole("button", { name: "Keep this place" }));
  await screen.findByRole("button", { name: "Wrist, thumb side: Ache, 5" });
  expect((await kept("selfCheck"))!.symptoms).toHaveLength(1);
  await user.click(screen.getByRole("button", { name: "Nothing there: Right: Wrist, thumb side" }));
  expect(await screen.findByRole("button", { name: "Nothing anywhere" })).toBeInTheDocument();
});

it("what means stop is said at once, and holds out on this phone before the server knows", async () => {
  const { user } = await open(day(), true);
  await begin(user);
  await answerAll(user, ["chestPain"]);
  await user.click(screen.getByRole("button", { name: "Nothing anywhere" }));
  await user.click(await screen.findByRole("button", { name: "I cannot say" }));
  await user.click(await screen.findByRole("button", { name: /You answered yes: Chest pain or breathlessness/ }));
  expect(await screen.findByRole("alert")).toHaveTextContent(/local emergency number/);
  await user.click(screen.getByRole("button", { name: "Yes" }));
  for (let i = 8; i < 16; i++) {
    await screen.findByText(`${i} of 18`);
    await user.click(screen.getByRole("button", { name: "No" }));
  }
  await user.click(await screen.findByRole("button", { name: "Nothing anywhere" }));
  await user.click(await screen.findByRole("button", { name: "I cannot say" }));
  await user.click(await screen.findByRole("button", { name: "Send to Maren Holt" }));
  expect(await screen.findByText(/has to be looked at by a clinician first/)).toBeInTheDocument();
  await user.click(screen.getByRole("link", { name: "Back" }));
  await screen.findByRole("heading", { name: /Hello/ });
  expect(screen.queryByRole("region", { name: "Any time" })).toBeNull();
});

it("is not asked where no round asks", async () => {
  await open(day({ selfCheck: null }));
  await screen.findByRole("heading", { name: /Hello/ });
  expect(screen.queryByRole("link", { name: /Before you are measured/ })).toBeNull();
});

it("where nobody asks nothing is claimed to be told", async () => {
  const { server, user } = await open(day({ selfCheck: null }), false, "/me/check");
  expect(await screen.findByRole("heading", { name: "Nothing is asked here now" })).toBeInTheDocument();
  expect(screen.queryByText("Told.")).toBeNull();
  expect(screen.queryByText(/was not sent/)).toBeNull();
  await user.click(screen.getByRole("link", { name: "Back" }));
  await screen.findByRole("heading", { name: /Hello/ });
  expect(server.calls("PUT")).toEqual([]);
});

it("a check that is over while it is being answered says that nothing of it was sent", async () => {
  const { user } = await open();
  await begin(user);
  await user.click(await screen.findByRole("button", { name: "No" }));
  await act(async () => takeDay(day({ selfCheck: null })));
  expect(await screen.findByRole("heading", { name: "Nothing is asked here now" })).toBeInTheDocument();
  expect(screen.getByText("What you had begun was not sent. Tell Maren Holt what matters.")).toBeInTheDocument();
  expect(await outbox()).toEqual([]);
});

describe("what a phone asks besides", () => {
  const NOW = "2026-03-26T07:00:00.000Z";
  const placed = (startsAt: string, placementId = sampleId()) => ({
    placementId,
    programId: sampleId(),
    startsAt,
    totalSec: 300,
    session: sampleSession(["palm-away"], { name: "Warm-up", slot: "preShift" }),
    done: false,
    ended: false,
  });
  it("one tap says that one is here, for a session that begins", async () => {
    const soon = placed("2026-03-26T07:20:00.000Z");
    const given = day({ now: NOW, selfCheck: null, sessions: [soon] });
    const { server, user } = await open(given, true);
    await user.click(await screen.findByRole("button", { name: "I am here" }));
    // Whoever leads does not have it yet.
    expect(await screen.findByText("Not sent yet: say that you are here")).toBeInTheDocument();
    const [waiting] = await outbox();
    expect(waiting).toMatchObject({ kind: "arrivals", body: { placementId: soon.placementId } });
    server.answers = {
      "GET /member/day": { ...given, here: [soon.placementId] },
      [`PUT /member/arrivals/${waiting!.body.id}`]: { id: waiting!.body.id, stored: "new" },
    };
    server.away = false;
    act(() => void dispatchEvent(new Event("online")));
    expect(await screen.findByText("You are counted as here")).toBeInTheDocument();
  });
  it("not hours before it, and the check before a round comes first then", async () => {
    await open(day({ now: NOW, anyTime: [], sessions: [placed("2026-03-26T12:20:00.000Z")] }), true);
    await screen.findByRole("link", { name: /Before you are measured/ });
    expect(screen.queryByRole("button", { name: "I am here" })).toBeNull();
    expect(screen.getByRole("link", { name: "Start: Warm-up" })).toBeInTheDocument();
  });
  it("how hard a led session was is one tap, and then no longer asked", async () => {
    const effort = { runId: sampleId(), placementId: sampleId(), name: "Warm-up", slot: "preShift" as const, endedAt: NOW };
    const { user } = await open(day({ now: NOW, selfCheck: null, efforts: [effort] }), true);
    const card = within(await screen.findByRole("region", { name: "How hard was Warm-up?" }));
    await user.click(card.getByRole("button", { name: "3" }));
    await waitFor(() => expect(screen.queryByRole("region", { name: "How hard was Warm-up?" })).toBeNull());
    expect(await outbox()).toMatchObject([{ kind: "efforts", body: { runId: effort.runId, placementId: effort.placementId, effort: 3 } }]);
  });
});
