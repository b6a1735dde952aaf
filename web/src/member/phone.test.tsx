/** A crew member's phone: the day from its own store, what is paused, a custom movement, telling, and what the server will not take. */
import "fake-indexeddb/auto";
import { act, screen, waitFor, within } from "@testing-library/react";
import { DEFAULT_STYLE, easierForm, newItem, sampleCustomMovement, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { wordsOf } from "@kind-grip/core/language";
import type { RunRecord } from "@kind-grip/core/run";
import { checkIn, dayWith, emptyPhone, entryOf, openPhone } from "../testing/phone";
import { atNoon } from "../testing/at-noon";
import { refusal, showPage, TestServer } from "../testing/screen";
import { sampleId, sampleSession } from "../testing/sample";
import PhoneSignIn from "./PhoneSignIn";
import { kept as keptOf, phone, signedInAs } from "./phone-store";
import { compilePerson } from "@kind-grip/core/session";
import { keepUnderWay } from "../run/run-store";

atNoon();

jest.setTimeout(30_000);

const [day, open] = [dayWith, openPhone];
afterEach(emptyPhone);

it("without a connection the day is there all the same, and says so", async () => {
  await open(day(), {}, true);
  expect(screen.getByText("Break")).toBeInTheDocument();
  expect(await screen.findByText(/no connection|without a connection|offline/i)).toBeInTheDocument();
});

it("on an address that is not secure it says what the browser takes away; on a secure one nothing", async () => {
  const said = /This address is not a secure one/;
  const first = await open(day());
  expect(screen.queryByText(said)).toBeNull();
  first.unmount();
  Object.defineProperty(window, "isSecureContext", { value: false, configurable: true });
  try {
    await open(day());
    expect(screen.getByText(said)).toBeVisible();
  } finally {
    delete (window as { isSecureContext?: boolean }).isSecureContext;
  }
});

it("a custom movement has its name here", async () => {
  const custom = sampleCustomMovement("phone");
  const session = sampleSession([], { name: "Own break", slot: "break", items: [newItem(custom.movement, DEFAULT_STYLE, sampleId())] });
  const { user } = await open(day({ anyTime: [entryOf(session)], customMovements: [custom] }));
  await user.click(screen.getByRole("link", { name: /Own break/ }));
  expect(await screen.findByText("Door-handle turn")).toBeInTheDocument();
});

it("what was told pauses at once, before the server knows, and is sent once it does", async () => {
  const { server, user } = await open(day(), {}, true);
  await user.click(screen.getByRole("link", { name: /Stop and tell/ }));
  await user.click(await screen.findByRole("button", { name: "Sharp pain" }));
  await user.click(screen.getByRole("button", { name: "Tell my trainer" }));
  expect(await screen.findByText(/Everything is paused for you/)).toBeInTheDocument();
  // Nobody is told yet, and the page does not say so.
  expect(await screen.findByRole("heading", { name: "Not told yet." })).toBeInTheDocument();
  expect(screen.getByText(/Maren Holt does not know of it yet.*say it to them/)).toBeInTheDocument();
  expect(screen.queryByText("Told.")).toBeNull();
  const [waiting] = await phone.outbox.toArray();
  expect(waiting).toMatchObject({ kind: "symptom-reports", body: { kind: "sharpPain" } });
  server.answers = { ...server.answers, [`PUT /member/symptom-reports/${waiting!.body.id}`]: { id: waiting!.body.id, stored: "new" } };
  server.away = false;
  act(() => void dispatchEvent(new Event("online")));
  await waitFor(async () => expect(await phone.outbox.count()).toBe(0));
  expect(await screen.findByRole("heading", { name: "Told." })).toBeInTheDocument();
  expect(screen.queryByText(/does not know of it yet/)).toBeNull();
}, 30_000);

it("what the server will not take is shown with its reason, and kept until it is read", async () => {
  const id = sampleId();
  const mine = day();
  await phone.outbox.add(checkIn(id, mine.person.id));
  const { user } = await open(mine, { [`PUT /member/check-ins/${id}`]: refusal(400, "invalid", "This day is long past.") });
  expect(await screen.findByText(/This day is long past/)).toBeInTheDocument();
  expect(await phone.outbox.count()).toBe(1);
  await user.click(screen.getByRole("button", { name: /close/i }));
  await waitFor(async () => expect(await phone.outbox.count()).toBe(0));
});

it("who is held out until a clinician has cleared it sees no sessions", async () => {
  await open(day({ heldOut: true, clinicianFirst: true }));
  expect(screen.queryByText("Break")).toBeNull();
});

describe("a phone two people use", () => {
  it("what waits of the one is not sent as the other's, not shown to them, and goes out when its maker is back", async () => {
    const [ann, bo] = [day(), day({ person: { id: sampleId(), name: "Bo Late" } })];
    const id = sampleId();
    await signedInAs(ann);
    await phone.outbox.add(checkIn(id, ann.person.id));
    await act(() => signedInAs(bo));
    const { server, unmount } = await open(bo, { [`PUT /member/check-ins/${id}`]: { id, stored: "new" } });
    await waitFor(() => expect(server.calls("GET /member/day").length).toBeGreaterThan(0));
    expect(screen.getByText("Hello Bo")).toBeInTheDocument();
    expect(screen.queryByText(/waiting|to be sent/i)).toBeNull();
    expect(server.calls("PUT")).toEqual([]);
    expect(await phone.outbox.count()).toBe(1);
    unmount();
    await act(() => signedInAs(ann));
    const again = await open(ann, { [`PUT /member/check-ins/${id}`]: { id, stored: "new" } });
    await waitFor(async () => expect(await phone.outbox.count()).toBe(0));
    expect(again.server.calls("PUT").map(({ call }) => call)).toEqual([`PUT /member/check-ins/${id}`]);
  }, 30_000);
  it("signing in again keeps what waits and what was done; somebody else finds neither day nor progress of the first", async () => {
    const ann = day();
    await signedInAs(ann);
    await phone.kept.put({ key: "done", value: ["p1"] });
    await phone.outbox.add(checkIn(sampleId(), ann.person.id));
    await signedInAs({ ...ann, now: new Date().toISOString() });
    expect([await keptOf("done"), await phone.outbox.count()]).toEqual([["p1"], 1]);
    await signedInAs(day({ person: { id: sampleId(), name: "Bo Late" } }));
    expect([await keptOf("done"), await phone.outbox.count()]).toEqual([undefined, 1]);
  });
  it("the sign-in page says that something waits, without what or of whom, and hands it over as a file", async () => {
    await phone.outbox.add(checkIn(sampleId(), "somebody"));
    new TestServer({ "GET /me": { csrfToken: "t", account: null } });
    const saved: Blob[] = [];
    URL.createObjectURL = (blob: Blob) => (saved.push(blob), "blob:test");
    URL.revokeObjectURL = () => undefined;
    const { user } = showPage(<PhoneSignIn />, { at: "/me/sign-in", knowsMe: false });
    const said = await screen.findByText(/One thing was done on this phone and is not sent yet/);
    expect(said).not.toHaveTextContent(/somebody|level/);
    await user.click(screen.getByRole("button", { name: "Save as a file" }));
    expect(saved).toHaveLength(1);
    expect(await phone.outbox.count()).toBe(1);
  });
});

it.each([
  [{ awayDays: 16, ends: "2026-11-28" }, /away for 16 days.*Saturday 28 November/],
  [{ awayDays: null, ends: "2026-11-28" }, /You are new: until Saturday 28 November/],
])("says why there is less for now, and until when", async (ramp, text) => {
  await open(day({ ramp }));
  expect(screen.getByText(text)).toBeInTheDocument();
});

it.each([
  ["a day of work", [], "At home", ["After work"]],
  ["a day off", [new Date().toISOString().slice(0, 10)], "On your day off", ["After work", "Glides"]],
])("on %s there is what is done alone, and it can be followed", async (_, offDays, title, names) => {
  const alone = (name: string, slot: "home" | "offDay") => entryOf({ ...sampleSession(["palm-away", "shake-out"], { name }), slot });
  const { user } = await open(day({ offDays, home: [alone("After work", "home"), alone("Glides", "offDay")] }));
  const list = within(screen.getByRole("region", { name: title }));
  expect(list.getAllByRole("listitem").map((entry) => names.find((name) => entry.textContent.includes(name)))).toEqual(names);
  await user.click(list.getByRole("link", { name: `Start: ${names.at(-1)}` }));
  expect(await screen.findByRole("heading", { name: names.at(-1)! })).toBeInTheDocument();
});

it("before it is followed: how much the voice says, as text too, and the short version; what is kept knows it was short", async () => {
  const long = sampleSession(["shoulder-circles", "fist-and-star", "wrist-nod", "palm-away", "hand-drop", "shake-out"], { name: "Long" });
  const { user } = await open(day({ anyTime: [entryOf(long)] }));
  await user.click(screen.getByRole("link", { name: "Start: Long" }));
  const voice = await screen.findByRole("radiogroup", { name: "What the voice says" });
  await user.click(within(voice).getByRole("radio", { name: "Brief" }));
  expect(JSON.parse(localStorage.getItem("kind-grip.sound")!)).toMatchObject({ coach: "brief" });
  await user.click(screen.getByRole("button", { name: "Show it as text" }));
  const items = () => within(screen.getByRole("list")).getAllByRole("listitem").length;
  expect(items()).toBe(6);
  await user.click(screen.getByRole("button", { name: /Short of time/ }));
  expect(items()).toBeLessThan(6);
  await user.click(screen.getByRole("button", { name: "Start" }));
  expect(screen.getByText(/Long\. \d minutes/)).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Start now" }));
  expect(await screen.findByRole("button", { name: "Pause" })).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: /Stop/ }));
  await user.click(await screen.findByRole("button", { name: "1" }));
  await user.click(screen.getByRole("button", { name: "Keep it" }));
  await waitFor(async () => expect(await phone.outbox.count()).toBe(1));
});

it("the quick test is asked before and after, says what it was and by how much it differs, and is kept with what was followed", async () => {
  const { user } = await open(day({ quickTest: { crew: "twistLid", own: "tingling" } }));
  await user.click(screen.getByRole("link", { name: "Start: Break" }));
  const before = within(await screen.findByRole("region", { name: "Tingling now" }));
  await user.click(before.getByRole("button", { name: "3" }));
  await user.click(screen.getByRole("button", { name: "Start" }));
  await user.click(await screen.findByRole("button", { name: /Stop/ }));
  const after = within(await screen.findByRole("region", { name: "Tingling now" }));
  expect(after.getByText(/It was 3 before\./)).toBeVisible();
  await user.click(after.getByRole("button", { name: "1" }));
  expect(after.getByRole("status")).toHaveTextContent("2 less than before.");
  expect(after.queryByRole("link")).toBeNull();
  await user.click(after.getByRole("button", { name: "5" }));
  expect(after.getByRole("status")).toHaveTextContent("2 more than before.");
  expect(after.getByRole("link", { name: "Stop and tell" })).toBeVisible();
  await user.click(within(screen.getByRole("group", { name: "How hard was it?" })).getByRole("button", { name: "2" }));
  await user.click(screen.getByRole("button", { name: "Keep it" }));
  await waitFor(async () => expect(await phone.outbox.count()).toBe(1));
  const [kept] = await phone.outbox.toArray();
  expect((kept!.body as { people: { quick: unknown }[] }).people[0]!.quick).toEqual({ test: "tingling", before: 3, after: 5 });
});

it("who wants no quick test, or whose crew squeezes a meter, is asked none", async () => {
  const { user } = await open(day({ quickTest: { crew: "grip", own: null } }));
  await user.click(screen.getByRole("link", { name: "Start: Break" }));
  await screen.findByRole("button", { name: "Start" });
  expect(screen.queryByText(/^Before: /)).toBeNull();
});

it("where the shift has all that a day may have, nothing is added at home", async () => {
  const today = new Date().toISOString();
  const planned = (count: number) =>
    Array.from({ length: count }, (_, i) => ({
      ...entryOf(sampleSession(["wrist-circle"], { name: `Planned ${i}` })),
      placementId: sampleId(),
      startsAt: today,
    }));
  const home = [entryOf({ ...sampleSession(["palm-away"], { name: "After work" }), slot: "home" })];
  await open(day({ home, sessions: planned(3) }));
  expect(screen.queryByText("After work")).toBeNull();
});

describe("counted with the meter in the hand", () => {
  class Socket {
    static last: Socket;
    static readonly OPEN = 1;
    readyState = 1;
    sent: string[] = [];
    onmessage?: (event: { data: string }) => void;
    onclose?: () => void;
    constructor(readonly address: string) {
      Socket.last = this;
    }
    send(text: string) {
      this.sent.push(text);
    }
    close() {}
    say(message: object) {
      act(() => this.onmessage?.({ data: JSON.stringify(message) }));
    }
  }
  const whole = globalThis.WebSocket;
  beforeEach(() => void Object.assign(globalThis, { WebSocket: Socket }));
  afterEach(() => {
    Object.assign(globalThis, { WebSocket: whole });
    localStorage.clear();
  });
  const nod = {
    ...newItem(SHIPPED_LIBRARY.get("wrist-nod"), DEFAULT_STYLE, sampleId()),
    formId: "free",
    sides: "inTurn" as const,
    dose: { kind: "reps" as const, sets: 1, reps: 5, tempo: { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 }, restSec: 0 },
  };
  const session = sampleSession(["shake-out"], { name: "Nods", slot: "break" });
  const nods = { ...session, items: [nod, ...session.items] };
  const WITH_METER = { "GET /meter": { address: "ws://meter.example" } };
  const turn = (times: number) => {
    for (let i = 0; i <= times * 40; i++)
      Socket.last.say({ type: "reading", kind: "angle", atMs: i * 100, value: 30 * (1 - Math.cos((2 * Math.PI * i) / 40)) });
  };

  it("counts what is done, keeps it over a reload, and with the run", async () => {
    const entry = entryOf(nods);
    const kept = day({ anyTime: [entry] });
    // A run that was under way, at the beginning of its first bout.
    const timeline = compilePerson(nods, SHIPPED_LIBRARY.timings);
    const atSec = timeline.segments.find(({ kind }) => kind === "work")!.startSec;
    keepUnderWay(entry.programId, nods.id, {
      runId: sampleId(),
      owner: kept.person.id,
      session: nods,
      startedAt: new Date().toISOString(),
      marks: [],
      counted: [{ itemId: nod.id, side: "right", of: "repetitions", set: 1, due: 5, dueSec: 4, repetitions: [] }],
      keptAtMs: Date.now(),
      clock: { status: "paused", atSec, anchorMs: 0, totalSec: timeline.totalSec, played: [] },
    });
    const { user } = await open(kept, WITH_METER);
    await user.click(screen.getByRole("link", { name: "Start: Nods" }));
    await user.click(await screen.findByRole("button", { name: "Count with the meter" }));
    expect(Socket.last.address).toBe("ws://meter.example");
    Socket.last.say({ type: "hello", name: "Meter", kinds: ["angle"] });
    await user.click(screen.getByRole("button", { name: "Go on" }));
    await waitFor(() => expect(Socket.last.sent.at(-1)).toContain("repeated"));
    turn(3);
    expect(await screen.findByText(/Counted: 3 of 5/)).toBeVisible();
    // A hand that holds the screen presses nothing by accident.
    expect(screen.queryByRole("button", { name: "Skip" })).toBeNull();
    const pause = screen.getByRole("button", { name: "Press for a second to pause" });
    await user.click(pause);
    expect(pause).toBeVisible();
    act(() => pause.focus());
    await user.keyboard("{Enter}");
    await user.click(await screen.findByRole("button", { name: /Stop/ }));
    expect(await screen.findByRole("heading", { name: "Counted" })).toBeVisible();
    expect(screen.getByText(/Wrist nod · 3 of 5/)).toBeVisible();
    expect(screen.getByText("out 1.9 s, back 1.9 s")).toBeVisible();
    await user.click(screen.getByRole("button", { name: "1" }));
    await user.click(screen.getByRole("button", { name: "Keep it" }));
    await waitFor(async () => expect(await phone.outbox.count()).toBe(1));
    const [sent] = await phone.outbox.toArray();
    const { counted } = (sent!.body as RunRecord).people[0]!;
    expect(counted!.map(({ side, repetitions }) => [side, repetitions.length])).toEqual([
      ["right", 0],
      ["left", 3],
    ]);
  });

  it("says how it is held and what is counted", async () => {
    const { user } = await open(day({ anyTime: [entryOf(nods)] }), WITH_METER);
    await user.click(screen.getByRole("link", { name: "Start: Nods" }));
    await user.click(await screen.findByRole("button", { name: "Count with the meter" }));
    Socket.last.say({ type: "hello", name: "Meter", kinds: ["angle"] });
    expect(screen.getByText(/Hold it firmly .* Counted: Wrist nod\./)).toBeVisible();
  });

  it("is not offered where nothing in it can be felt, or there is no meter", async () => {
    const { user } = await open(day(), WITH_METER);
    await user.click(screen.getByRole("link", { name: "Start: Break" }));
    await screen.findByRole("button", { name: "Start" });
    expect(screen.queryByRole("button", { name: /Count with/ })).toBeNull();
  });

  it("eased, what is shown and counted from then on is the easier form", async () => {
    const palms = { ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()) };
    const movement = SHIPPED_LIBRARY.get("palm-away");
    const harder = movement.forms.at(-1)!;
    const formName = (form: { id: string }) => wordsOf(SHIPPED_LIBRARY).formName(movement.id, form.id);
    const own = { ...session, items: [{ ...palms, formId: harder.id }] };
    const { user } = await open(day({ anyTime: [entryOf(own)] }));
    await user.click(screen.getByRole("link", { name: "Start: Nods" }));
    await user.click(await screen.findByRole("button", { name: "Start" }));
    expect(screen.getByText(formName(harder))).toBeVisible();
    await user.click(screen.getByRole("button", { name: "Easier" }));
    expect(await screen.findByText(formName(easierForm(movement, harder.id)!))).toBeVisible();
  });

  it("a meter that answers nothing says so, and the session can be followed all the same", async () => {
    const { user } = await open(day({ anyTime: [entryOf(nods)] }), WITH_METER);
    await user.click(screen.getByRole("link", { name: "Start: Nods" }));
    await user.click(await screen.findByRole("button", { name: "Count with the meter" }));
    act(() => Socket.last.onclose?.());
    expect(await screen.findByRole("alert")).toHaveTextContent("Nothing came from the meter.");
    await user.click(screen.getByRole("button", { name: "Start" }));
    expect(await screen.findByRole("button", { name: "Pause" })).toBeVisible();
  });
});
