/** Before a run: short of time is one tap, and what is led then is half as long. */
import { act, screen, waitFor, within } from "@testing-library/react";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { newClock } from "@kind-grip/core/run";
import { FULL_PARTICIPATION } from "@kind-grip/core/safety";
import { compileGroup } from "@kind-grip/core/session";
import { dosed, startedRun } from "../testing/run";
import { everythingWaiting, putReport } from "./outbox";
import { keepUnderWay, underWay } from "./run-store";
import RunPage from "./RunPage";
import { sampleCrew, samplePerson, sampleProgram, sampleSession, sampleToday } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";

type Person = ReturnType<typeof samplePerson>;

const crew = sampleCrew();
const session = sampleSession(["shoulder-circles", "fist-and-star", "wrist-nod", "palm-away", "hand-drop", "shake-out"]);
const entry = sampleProgram(crew.id, [session]);
const open = (
  presence: object = { startedAt: null, absent: [] },
  people = [samplePerson(), samplePerson({ name: "Bo Late" })],
  quickTest: string | null = null,
) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /today": sampleToday(),
    [`GET /crews/${crew.id}`]: crew,
    [`GET /crews/${crew.id}/people`]: people,
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [`GET /crews/${crew.id}/last-presence`]: presence,
    [`GET /programs/${entry.id}`]: entry,
    [`GET /crews/${crew.id}/quick-test`]: { test: quickTest },
  });
  const path = `/crews/${crew.id}/run/${entry.id}/${session.id}`;
  return { server, ...showPage(<RunPage />, { at: path, path: "/crews/:crewId/run/:programId/:sessionId" }) };
};
const items = () => within(screen.getByRole("list")).getAllByRole("listitem").length;
const lengths = () => screen.getAllByText(/^\d+'\d\d"$/).map(({ textContent }) => textContent);

it("one tap makes it half as long, another makes it whole again; what is led is what was chosen", async () => {
  const { user } = open();
  const short = await screen.findByRole("button", { name: /Short of time: \d'\d\d", what matters most/ });
  const [whole] = lengths();
  const wanted = /\d'\d\d"/.exec(short.textContent!)![0];
  expect(items()).toBe(6);
  await user.click(short);
  expect(lengths()).toEqual([wanted]);
  expect(items()).toBeLessThan(6);
  await user.click(screen.getByRole("button", { name: /Short of time/, pressed: true }));
  expect([lengths(), items()]).toEqual([[whole], 6]);
  await user.click(screen.getByRole("button", { name: /Short of time/, pressed: false }));
  await user.click(screen.getByRole("button", { name: "Start" }));
  const kept = await waitFor(() => {
    const run = underWay(entry.id, session.id, SIGNED_IN["GET /me"].account.email);
    expect(run).toBeDefined();
    return run!;
  });
  expect(kept.session.items.length).toBeLessThan(6);
  expect(kept.written!.items).toHaveLength(6);
}, 30_000);

it("how much the voice says is chosen before, kept in this browser, and not asked where it is mute", async () => {
  const { user } = open();
  const choice = await screen.findByRole("radiogroup", { name: "What the voice says" });
  expect(within(choice).getByRole("radio", { name: "Coaching" })).toBeChecked();
  await user.click(within(choice).getByRole("radio", { name: "Count only" }));
  expect(JSON.parse(localStorage.getItem("kind-grip.sound")!)).toMatchObject({ voice: true, coach: "count" });
  await user.click(screen.getByRole("button", { name: "Mute the voice" }));
  expect(screen.queryByRole("radiogroup", { name: "What the voice says" })).toBeNull();
});

it("opens with a line that takes none of the session's time; a second press leaves the rest of it out", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Show it as text" }));
  await user.click(screen.getByRole("button", { name: "Start" }));
  expect(screen.getByText(/Warm-up\. \d minutes, 6 movements\./)).toBeInTheDocument();
  expect(screen.getAllByRole("listitem").length).toBeGreaterThan(0);
  await user.click(screen.getByRole("button", { name: "Start now" }));
  expect(await screen.findByRole("progressbar", { name: "Session" })).toHaveAttribute("aria-valuenow", "0");
  await waitFor(() => expect(document.querySelector("[data-caption]")).toHaveTextContent(/Next: Shoulder circles/));
}, 30_000);

it("where only the count is said, it starts at once", async () => {
  localStorage.setItem("kind-grip.sound", JSON.stringify({ captions: true, coach: "count" }));
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Start" }));
  expect(await screen.findByRole("progressbar", { name: "Session" })).toBeInTheDocument();
});

it("letters can be switched off: the space bar still pauses", async () => {
  localStorage.setItem("kind-grip.sound", JSON.stringify({ coach: "count" }));
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: /^Letter keys/ }));
  expect(localStorage.getItem("kind-grip.letterKeys")).toBe("off");
  await user.click(screen.getByRole("button", { name: "Start" }));
  await screen.findByRole("progressbar", { name: "Session" });
  await user.keyboard("s");
  expect(screen.getByRole("progressbar", { name: "Session" })).toBeInTheDocument();
  (document.activeElement as HTMLElement).blur();
  await user.keyboard(" ");
  expect(await screen.findByRole("button", { name: "Go on" })).toBeInTheDocument();
}, 30_000);

it("says beforehand where the device has no voice", async () => {
  open();
  expect(await screen.findByText("This device has no voice: it counts with sounds.")).toBeInTheDocument();
});

describe("who is here", () => {
  const people = ["Ann Early", "Bo Late", "Cy Away"].map((name) => samplePerson({ name }));
  const yesterday = (absent: string[], startedAt = "2026-03-25T07:00:00.000Z") => ({ startedAt, absent });

  it("begins as it was the last time, and one tap is whoever is different today", async () => {
    const { user } = open(yesterday([people[2]!.id]), people);
    await user.click(await screen.findByRole("button", { name: "Here: 2 of 3" }));
    expect(screen.getByText("Not here: Cy Away")).toBeInTheDocument();
    const roll = within(screen.getByRole("dialog"));
    await user.click(roll.getByRole("button", { name: "Cy Away" }));
    await user.click(roll.getByRole("button", { name: "Bo Late" }));
    await user.click(roll.getByRole("button", { name: "Done" }));
    expect(screen.getByText("Not here: Bo Late")).toBeInTheDocument();
    await user.click(await screen.findByRole("button", { name: "Start" }));
    const strip = await screen.findByRole("group", { name: "People" });
    expect(within(strip).queryByRole("button", { name: /Bo Late/ })).toBeNull();
    expect(within(strip).getByRole("button", { name: /Cy Away/ })).toBeInTheDocument();
    await user.keyboard("s");
    expect(await screen.findByRole("button", { name: "Bo Late was here" })).toHaveAttribute("aria-pressed", "false");
    expect(screen.getByText("2 here, efforts of 0")).toBeInTheDocument();
  }, 30_000);

  it("whoever is excused today is not here, without a word why: others read this screen; one tap has them here all the same", async () => {
    const { user } = open({ startedAt: null, absent: [], excused: [people[1]!.id] }, people);
    await user.click(await screen.findByRole("button", { name: "Here: 2 of 3" }));
    expect(screen.getByText("Not here: Bo Late")).toBeInTheDocument();
    const roll = within(screen.getByRole("dialog"));
    await user.click(roll.getByRole("button", { name: "Bo Late", pressed: false }));
    expect(document.body).not.toHaveTextContent(/excused/i);
    expect(roll.getByRole("heading", { name: "Here: 3 of 3" })).toBeInTheDocument();
  });

  it("is everybody when the last time is too long ago", async () => {
    open(yesterday([people[2]!.id], "2026-03-20T07:00:00.000Z"), people);
    expect(await screen.findByRole("button", { name: "Here: 3 of 3" })).toBeInTheDocument();
  });

  it("of forty the row names a few and counts the others, who are marked by their name all the same", async () => {
    const forty = Array.from({ length: 40 }, (_, i) => samplePerson({ name: `Person ${i + 1}` }));
    const { user } = open(yesterday([]), forty);
    await user.click(await screen.findByRole("button", { name: "Start" }));
    const strip = await screen.findByRole("group", { name: "People" });
    const row = within(strip).getAllByRole("button");
    expect(row.length).toBeLessThanOrEqual(28);
    await user.click(row.at(-1)!);
    await user.click(await screen.findByRole("menuitem", { name: "Person 40" }));
    await user.click(await screen.findByRole("menuitem", { name: "Too much" }));
    await user.keyboard("s");
    // Whoever was marked stands first.
    const first = (await screen.findAllByRole("button", { name: /was here$/ }))[0];
    expect(first).toHaveAccessibleName("Person 40 was here");
  }, 30_000);

  it("who does it their own way and does not fit into the row whole is counted as such, and marked by name all the same", async () => {
    const five = Array.from({ length: 5 }, (_, i) => samplePerson({ name: `Person ${i + 1}` }));
    const easier = { formId: "large" };
    const [first, ...rest] = session.items;
    const personal = Object.fromEntries(five.slice(0, 4).map(({ id }) => [id, easier]));
    const usual = entry.program.sessions[0]!.items;
    entry.program.sessions[0]!.items = [{ ...first!, personal }, ...rest];
    // Two stand in the box; jsdom lays nothing out.
    const laidOut = jest.spyOn(HTMLElement.prototype, "offsetTop", "get").mockImplementation(function offsetTop(this: HTMLElement) {
      return [...(this.parentElement?.children ?? [])].indexOf(this) < 2 ? 0 : 50;
    });
    const { user } = open(yesterday([]), five);
    await user.click(await screen.findByRole("button", { name: "Start" }));
    const strip = await screen.findByRole("group", { name: "People" });
    const row = within(strip)
      .getAllByRole("button")
      .map(({ textContent }) => textContent);
    expect(row).toEqual(["Person 1 large, elbows lifted", "Person 2 large, elbows lifted", "and 3 others 2 their own way"]);
    await user.click(within(strip).getByRole("button", { name: /^and 3 others/ }));
    const menu = await screen.findAllByRole("menuitem");
    expect(menu.map(({ textContent }) => textContent)).toEqual([
      "Person 3 large, elbows lifted",
      "Person 4 large, elbows lifted",
      "Person 5",
    ]);
    await user.click(menu[1]!);
    expect(await screen.findByRole("menuitem", { name: "Too much" })).toBeInTheDocument();
    laidOut.mockRestore();
    entry.program.sessions[0]!.items = usual;
  }, 30_000);

  it("the close is reached in one press, and not offered once it is there", async () => {
    const { user } = open(yesterday([]), people);
    await user.click(await screen.findByRole("button", { name: "Start" }));
    await user.click(await screen.findByRole("button", { name: "To the close" }));
    expect(await screen.findByRole("heading", { name: "Shake-out" })).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "To the close" })).toBeDisabled();
  }, 30_000);
});

describe("what was said before a run that was interrupted", () => {
  const interrupted = () => {
    const ann = samplePerson({ name: "Ann Early" });
    keepUnderWay(entry.id, session.id, {
      ...startedRun(session),
      owner: SIGNED_IN["GET /me"].account.email,
      clock: { ...newClock(120), status: "paused", atSec: 5 },
      quick: { [ann.id]: { before: 5, after: null } },
      keptAtMs: Date.now(),
    });
    return open(undefined, [ann], "twistLid");
  };
  afterEach(() => localStorage.clear());
  it("is there when it goes on", async () => {
    const { user } = interrupted();
    await user.click(await screen.findByRole("button", { name: "Go on from there" }));
    await screen.findByRole("progressbar", { name: "Session" });
    await user.keyboard("s");
    expect(await screen.findByText("Twist a tight lid: was 5")).toBeVisible();
  });
  it("has everybody it had: whoever was taken out did a part of it, and does not come back by a reload", async () => {
    const [ann, bo, cy] = ["Ann Early", "Bo Late", "Cy Clear"].map((name) => samplePerson({ name })) as [Person, Person, Person];
    const led = dosed(session);
    const ids = led.items.map(({ id }) => id);
    const at = compileGroup(led, SHIPPED_LIBRARY.timings, []).items[2]!.startSec + 1;
    keepUnderWay(entry.id, session.id, {
      ...startedRun({ ...led, id: session.id }, { marks: [{ personId: bo.id, kind: "sharpPain", itemId: ids[1]! }] }),
      owner: SIGNED_IN["GET /me"].account.email,
      clock: { ...newClock(600), status: "paused", atSec: at, played: [[0, at]] } as never,
      leftOut: { [ann.id]: [ids[0]!], [bo.id]: ids.slice(1) },
      keptAtMs: Date.now(),
    });
    const { server, user } = open(undefined, [ann, bo, cy]);
    // The server knows by now, and Ann has been given something back.
    server.answers = {
      ...server.answers,
      [`GET /crews/${crew.id}/participation`]: [{ personId: bo.id, ...FULL_PARTICIPATION, heldOut: true }],
    };
    await user.click(await screen.findByRole("button", { name: "Go on from there" }));
    const strip = await screen.findByRole("group", { name: "People" });
    expect(within(strip).queryByRole("button", { name: /Bo Late/ })).toBeNull();
    await user.keyboard("s");
    await user.click(await screen.findByRole("button", { name: "Keep this run" }));
    const [kept] = everythingWaiting().flatMap((each) => (each.kind === "run" ? [each.run] : []));
    expect(kept!.people.map(({ personId, present, leftOut }) => [personId, present, leftOut])).toEqual([
      [ann.id, true, [ids[0]]],
      [bo.id, true, ids.slice(1)],
    ]);
  }, 30_000);
  it("is nobody's when it starts again", async () => {
    const { user } = interrupted();
    await user.click(await screen.findByRole("button", { name: "Start again" }));
    expect(await screen.findByRole("button", { name: "Before and after: twist a tight lid" })).toBeVisible();
  });
});

describe("whoever stopped, before the server knows", () => {
  afterEach(() => localStorage.clear());
  const [ann, bo] = ["Ann Early", "Bo Late"].map((name) => samplePerson({ name })) as [Person, Person];
  const report = { id: "r", at: "2026-03-26T08:00:00.000Z", kind: "sharpPain", movementId: null, words: null } as never;
  it("is on no list of the next run, and comes back when it is answered", async () => {
    putReport({ crewId: crew.id, personId: bo.id, report }, SIGNED_IN["GET /me"].account.email);
    const first = open({ startedAt: null, absent: [] }, [ann, bo]);
    expect(await first.findByRole("button", { name: "Here: 1 of 1" })).toBeInTheDocument();
    first.unmount();
    localStorage.clear();
    open({ startedAt: null, absent: [] }, [ann, bo]);
    expect(await screen.findByRole("button", { name: "Here: 2 of 2" })).toBeInTheDocument();
  });
  it("is counted out of nothing of a run that had ended when it was told", async () => {
    const { user } = open({ startedAt: null, absent: [] }, [ann, bo]);
    await user.click(await screen.findByRole("button", { name: "Start" }));
    await user.keyboard("s");
    const keep = await screen.findByRole("button", { name: "Keep this run" });
    act(() => putReport({ crewId: crew.id, personId: bo.id, report }, SIGNED_IN["GET /me"].account.email));
    await user.click(keep);
    const [kept] = everythingWaiting().flatMap((each) => (each.kind === "run" ? [each.run] : []));
    expect(kept!.people.map(({ personId, leftOut }) => [personId, leftOut])).toEqual([
      [ann.id, []],
      [bo.id, []],
    ]);
  }, 30_000);
});
