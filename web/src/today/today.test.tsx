/** Today: what runs next, what needs the trainer, and nothing at all. */
import { screen, waitFor, within } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { sampleAlert, sampleEntry, sampleId, sampleToday } from "../testing/sample";
import TodayPage from "./TodayPage";

const crewOf = (crewId: string) => ({
  id: crewId,
  name: "Slate crew",
  trade: "Roofing",
  timeZone: "UTC",
  people: 12,
  programs: 1,
  shifts: [],
});
const open = (today: object, answers: Answers = {}) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /today": today, ...answers });
  return { server, ...showPage(<TodayPage />, { at: "/today", knowsMe: !answers["GET /me"] }) };
};
/** As light as the panel it stands on would be invisible. */
const isReadable = (element: HTMLElement, on: HTMLElement) => getComputedStyle(element).color !== getComputedStyle(on).backgroundColor;

it("the next run comes first: when, what, for whom, and one button to lead it", async () => {
  const entry = sampleEntry();
  open(sampleToday({ crews: [crewOf(entry.crewId)], entries: [entry] }));
  const next = await screen.findByRole("region", { name: "Next run" });
  expect(next).toHaveTextContent("09:11");
  expect(next).toHaveTextContent("in 11 min");
  expect(next).toHaveTextContent("Slate crew, 12 people · Yard");
  for (const text of ["09:11", "in 11 min"]) {
    const line = within(next).getByText(text);
    expect([text, line.tagName, isReadable(line, next)]).toEqual([text, "P", true]);
  }
  expect(within(next).getByRole("link", { name: /Lead it/ })).toHaveAttribute(
    "href",
    `/crews/${entry.crewId}/run/${entry.programId}/${entry.sessionId}?placement=${entry.placementId}`,
  );
});

it.each([
  ["2026-03-26T11:00:00.000Z", "at 11:00"],
  ["2026-03-26T09:00:00.000Z", "now"],
  ["2026-03-26T08:45:00.000Z", "15 min ago"],
])("a run at %s is said as %s", async (startsAt, when) => {
  const entry = sampleEntry({ startsAt });
  open(sampleToday({ crews: [crewOf(entry.crewId)], entries: [entry] }));
  expect(await screen.findByRole("region", { name: "Next run" })).toHaveTextContent(when);
});

it("what a session is short of is known before it, with how it is shared; what was led is not told any more", async () => {
  const short = {
    movementId: "lift-palm-down",
    kinds: ["dumbbell"],
    loadKg: 1.5,
    people: 9,
    pieces: 4,
    way: "waves",
    waves: 3,
    costSec: 130,
  };
  const entry = sampleEntry({ shortKit: [short] as never });
  const led = sampleEntry({ crewId: entry.crewId, runId: sampleId(), shortKit: [short] as never });
  open(sampleToday({ crews: [crewOf(entry.crewId)], entries: [entry, led] }));
  const next = await screen.findByRole("region", { name: "Next run" });
  const said = "Lift, palm down: dumbbells 1.5 kg, 4 for 9 people, in 3 waves, 2 min 10 s more.";
  expect(next).toHaveTextContent(said);
  const day = screen.getByRole("region", { name: "Slate crew" });
  expect(within(day).getAllByText(said)).toHaveLength(1);
});

it("where crews work by different clocks it says by which, and what it is there now; by the same ones nothing", async () => {
  const entry = sampleEntry({ timeZone: "America/Los_Angeles", startsAt: "2026-03-26T09:11:00.000Z" });
  const away = { ...crewOf(entry.crewId), name: "Caulkers", timeZone: "America/Los_Angeles" };
  const { unmount } = open(sampleToday({ crews: [crewOf(sampleId()), away], entries: [entry] }));
  const next = await screen.findByRole("region", { name: "Next run" });
  expect(next).toHaveTextContent("02:11");
  expect(next).toHaveTextContent("Los Angeles, in 11 min");
  expect(screen.getByRole("region", { name: "Caulkers" })).toHaveTextContent("Los Angeles: now Thu 26 Mar, 02:00");
  expect(screen.getByRole("region", { name: "Slate crew" })).toHaveTextContent("UTC: now Thu 26 Mar, 09:00");
  unmount();
  open(sampleToday({ crews: [{ ...away, timeZone: "UTC" }, crewOf(sampleId())], entries: [] }));
  expect(await screen.findByRole("region", { name: "Caulkers" })).not.toHaveTextContent("now");
});

it("what was led, or is long past, is not next", async () => {
  const [led, past] = [sampleEntry({ runId: sampleId() }), sampleEntry({ startsAt: "2026-03-26T08:29:00.000Z" })];
  open(sampleToday({ crews: [crewOf(led.crewId)], entries: [led, { ...past, crewId: led.crewId }] }));
  expect(await screen.findByText("2 sessions placed, 1 led.")).toBeInTheDocument();
  expect(screen.queryByRole("region", { name: "Next run" })).toBeNull();
  expect(screen.getByRole("link", { name: /^Led/ })).toHaveAttribute("href", `/crews/${led.crewId}/runs/${led.runId}`);
});

describe("a new practice", () => {
  const steps = (server: TestServer, done: string[], crewId: string | null) =>
    (server.answers = { ...server.answers, "GET /practice/first-steps": { crewId, done }, "GET /demo": { state: "none" } });
  it("with no crew says where to begin, and that the demo is a click away", async () => {
    const { server, user } = open(sampleToday());
    steps(server, [], null);
    expect(await screen.findByRole("link", { name: "Make a crew" })).toHaveAttribute("href", "/crews/new");
    expect(await screen.findByRole("button", { name: "Lay out the demo" })).toBeVisible();
    expect(screen.queryByRole("region", { name: "Needs you" })).toBeNull();
    expect(screen.queryByRole("link", { name: "Describe the work" })).toBeNull();
    server.answers = {
      ...server.answers,
      "GET /demo": { state: "loading" },
      "POST /demo": { state: "loading" },
      "POST /demo/open": SIGNED_IN["GET /me"],
    };
    await user.click(await screen.findByRole("button", { name: "Lay out the demo" }));
    expect(await screen.findByText("It is being laid out; half a minute.")).toBeVisible();
    server.answers = { ...server.answers, "GET /demo": { state: "ready" } };
    await user.click(await screen.findByRole("button", { name: "Look around in the demo" }));
    await waitFor(() => expect(server.calls("POST").map(({ call }) => call)).toEqual(["POST /demo", "POST /demo/open"]));
  });
  it("within the demo there is no way to the demo", async () => {
    const me = SIGNED_IN["GET /me"];
    const { server } = open(sampleToday(), { "GET /me": { ...me, account: { ...me.account, demo: true } } });
    steps(server, [], null);
    expect(await screen.findByRole("link", { name: "Make a crew" })).toBeVisible();
    expect(screen.queryByRole("region", { name: "The demo practice" })).toBeNull();
    expect(server.calls("GET /demo")).toEqual([]);
  });
  it("shows the next step and what may wait, until a run was led", async () => {
    const crewId = sampleId();
    const { server } = open(sampleToday({ crews: [crewOf(crewId)] }));
    steps(server, ["crew", "people"], crewId);
    const path = within(await screen.findByRole("region", { name: "The way to your first run" }));
    expect(path.getByRole("link", { name: "Make a program" })).toHaveAttribute("href", `/crews/${crewId}/program`);
    expect(path.getByRole("link", { name: "Describe the work" })).toBeVisible();
    expect(path.getByText(/A program/).closest("li")).toHaveAttribute("aria-current", "step");
    expect(path.getAllByText(/– done/)).toHaveLength(2);
  });
  it("is not new any more once a run was led", async () => {
    const crewId = sampleId();
    const { server } = open(sampleToday({ crews: [crewOf(crewId)] }));
    steps(server, ["crew", "people", "program", "plan", "run"], crewId);
    await waitFor(() => expect(server.calls("GET").some(({ call }) => call === "GET /practice/first-steps")).toBe(true));
    expect(screen.queryByRole("region", { name: "The way to your first run" })).toBeNull();
  });
});

it("says what is wrong when the records are away", async () => {
  open(refusal(503, "databaseAway", "The records cannot be reached at the moment."));
  expect(await screen.findByText("The records cannot be reached at the moment.")).toBeInTheDocument();
});

describe("what was reported", () => {
  it("stands first, and is answered with a reply the person reads", async () => {
    const alert = sampleAlert();
    const { server, user } = open(sampleToday({ crews: [crewOf(alert.crewId)], alerts: [alert] }));
    server.answers = { ...server.answers, [`POST /crews/${alert.crewId}/people/${alert.personId}/alerts/answer`]: null };
    const region = await screen.findByRole("region", { name: "Needs you" });
    expect(region).toHaveTextContent("Stopped and told you");
    await user.click(screen.getByRole("button", { name: "Answer Ann Early" }));
    const dialog = await screen.findByRole("dialog", { name: "Answer Ann Early" });
    expect(within(dialog).getByRole("button", { name: "Answer" })).toBeDisabled();
    await user.click(within(dialog).getByRole("radio", { name: /Give back/ }));
    const reply = within(dialog).getByLabelText("Reply to Ann Early");
    expect(reply).not.toHaveValue("");
    await user.clear(reply);
    await user.type(reply, "Go on slowly.");
    await user.click(within(dialog).getByRole("button", { name: "Answer" }));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(server.calls("POST")).toEqual([
      {
        call: `POST /crews/${alert.crewId}/people/${alert.personId}/alerts/answer`,
        body: {
          alertIds: [alert.reports[0]!.alertId],
          answer: { answer: "giveBack", reply: "Go on slowly.", reason: null, words: null },
        },
      },
    ]);
  });

  it("referring needs a reason, and in words where it is none of them", async () => {
    const alert = sampleAlert();
    const { user } = open(sampleToday({ crews: [crewOf(alert.crewId)], alerts: [alert] }));
    await user.click(await screen.findByRole("button", { name: "Answer Ann Early" }));
    const dialog = screen.getByRole("dialog");
    await user.click(within(dialog).getByRole("radio", { name: /Refer and hold out/ }));
    const answer = within(dialog).getByRole("button", { name: "Answer" });
    expect(answer).toBeDisabled();
    await user.click(within(dialog).getByRole("combobox"));
    await user.click(screen.getByRole("option", { name: /Something else/i }));
    expect(answer).toBeDisabled();
    await user.type(within(dialog).getByLabelText("What it is, in words"), "Fell");
    expect(answer).toBeEnabled();
  });

  it("an answer that does not arrive keeps what was typed, and says so", async () => {
    const alert = sampleAlert();
    const { server, user } = open(sampleToday({ crews: [crewOf(alert.crewId)], alerts: [alert] }));
    server.answers = {
      ...server.answers,
      [`POST /crews/${alert.crewId}/people/${alert.personId}/alerts/answer`]: refusal(
        409,
        "answered",
        "Somebody has answered this already.",
      ),
    };
    await user.click(await screen.findByRole("button", { name: "Answer Ann Early" }));
    const dialog = screen.getByRole("dialog");
    await user.click(within(dialog).getByRole("radio", { name: /Give back/ }));
    await user.type(within(dialog).getByLabelText("Reply to Ann Early"), " Slowly.");
    await user.click(within(dialog).getByRole("button", { name: "Answer" }));
    expect(await within(dialog).findByRole("alert")).toHaveTextContent("Somebody has answered this already.");
    expect((within(dialog).getByLabelText("Reply to Ann Early") as HTMLTextAreaElement).value).toMatch(/Slowly\.$/);
  });
});

describe("who needs the trainer", () => {
  const person = (name: string, crewId = sampleId()) => ({ crewId, crewName: "Slate crew", personId: sampleId(), name });

  it("is one entry a person, whatever there is about them, most urgent first", async () => {
    const alert = sampleAlert({ name: "Ann Early" });
    const { crewId, crewName, personId, name } = alert;
    const [eased, paused, ending] = [person("Bo Fern"), person("Cy Quill"), person("Di Reed")];
    open(
      sampleToday({
        crews: [crewOf(crewId)],
        alerts: [alert],
        decisions: [
          { ...eased, kind: "ease", items: 9 },
          { ...paused, kind: "pauseAndRefer", items: 1 },
          { crewId, crewName, personId, name, kind: "progress", items: 2 },
        ],
        endingSoon: [{ ...ending, until: "2026-03-28" }],
        heldOut: [{ crewId, crewName, personId, name, since: "2026-03-20T08:00:00.000Z" }],
      }),
    );
    const region = await screen.findByRole("region", { name: "Needs you" });
    const entries = within(region).getAllByRole("listitem");
    expect(entries.map((entry) => entry.getAttribute("aria-label"))).toEqual(["Ann Early", "Cy Quill", "Bo Fern", "Di Reed"]);
    expect(entries[0]).toHaveTextContent("Held out since 20 Mar");
    expect(entries[0]).toHaveTextContent("2 movements wait for you.");
    expect(entries[2]).toHaveTextContent("9 movements wait for you.");
    expect(within(entries[2]!).getByRole("link", { name: "Decide about Bo Fern" })).toHaveAttribute(
      "href",
      `/crews/${eased.crewId}/progress`,
    );
    expect(within(entries[0]!).getByRole("link", { name: "Ann Early" })).toHaveAttribute("href", `/crews/${crewId}/people/${personId}`);
  });

  it("who is ready for more is one line a crew, and who is only held out is no entry", async () => {
    const crewId = sampleId();
    const ready = ["Ann", "Bo", "Cy"].map((name) => ({ ...person(name, crewId), kind: "progress" as const, items: 1 }));
    open(
      sampleToday({ crews: [crewOf(crewId)], decisions: ready, heldOut: [{ ...person("Di Reed"), since: "2026-03-20T08:00:00.000Z" }] }),
    );
    const region = await screen.findByRole("region", { name: "Needs you" });
    expect(within(region).queryAllByRole("listitem")).toEqual([]);
    expect(region).toHaveTextContent("Slate crew Ann, Bo and Cy");
    expect(region).toHaveTextContent("Di Reed (Slate crew, since 20 Mar)");
  });

  it("of forty the first are shown and all who stopped and told; the rest behind one button", async () => {
    const alerts = Array.from({ length: 10 }, (_, i) => sampleAlert({ name: `Told ${i}` }));
    const decisions = Array.from({ length: 30 }, (_, i) => ({ ...person(`Ease ${i}`), kind: "ease" as const, items: 1 }));
    const { user } = open(sampleToday({ crews: [crewOf(sampleId())], alerts, decisions }));
    const region = await screen.findByRole("region", { name: "Needs you" });
    expect(within(region).getAllByRole("button", { name: /^Answer Told/ })).toHaveLength(10);
    await user.click(within(region).getByRole("button", { name: "30 more people" }));
    expect(within(region).getAllByRole("listitem")).toHaveLength(40);
  });
});

it("a late run is said to be before, or a mistake", async () => {
  const clash = {
    runId: sampleId(),
    crewId: sampleId(),
    crewName: "Slate crew",
    personId: sampleId(),
    name: "Ben Late",
    sessionName: "Warm-up",
    startedAt: "2026-03-25T07:00:00.000Z",
    receivedAt: "2026-03-26T08:00:00.000Z",
    kind: "heldOut" as const,
  };
  const { server, user } = open(sampleToday({ crews: [crewOf(clash.crewId)], clashes: [clash] }));
  server.answers = { ...server.answers, [`POST /runs/${clash.runId}/clashes/${clash.personId}`]: null };
  expect(await screen.findByText(/It counts for nothing until you say which it is/)).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "A mistake: Ben Late" }));
  await waitFor(() =>
    expect(server.calls("POST")).toEqual([{ call: `POST /runs/${clash.runId}/clashes/${clash.personId}`, body: { answer: "mistake" } }]),
  );
});
