/** The week over all crews: whose it is, what clashes, handing over to somebody who was shown it, ways. */
import { screen, waitFor, within } from "@testing-library/react";
import type { OwnWeek, OwnWeekEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";
import { sampleCrew, sampleId, samplePerson } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import OwnWeekPage from "./OwnWeekPage";

const WEEK = "2026-03-23";
const [maren, teo, ivo] = [sampleId(), sampleId(), sampleId()];
const [roof, quay] = [sampleId(), sampleId()];
const warmUp = sampleId();
const entry = (date: string, time: string, change: Partial<OwnWeekEntry> = {}): OwnWeekEntry => ({
  placementId: sampleId(),
  seriesId: sampleId(),
  crewId: roof,
  crewName: "Slate crew",
  place: "Yard",
  timeZone: "UTC",
  programId: sampleId(),
  sessionId: warmUp,
  sessionName: "Warm-up",
  slot: "preShift",
  groupName: null,
  groupPeople: null,
  date,
  startsAt: `${date}T${time}:00.000Z`,
  totalSec: 300,
  leaderId: maren,
  seriesLeaderId: null,
  runId: null,
  ...change,
});
const atQuay = { crewId: quay, crewName: "Oyster line", place: "Quay" };
const weekOf = (entries: OwnWeekEntry[], change: Partial<OwnWeek> = {}): OwnWeek => ({
  weekStart: WEEK,
  now: "2026-03-26T09:00:00.000Z",
  me: maren,
  entries,
  leaders: [
    { id: ivo, name: "Ivo", role: "lead", crewIds: [roof] },
    { id: maren, name: "Maren", role: "trainer", crewIds: [roof, quay] },
    { id: teo, name: "Teo", role: "trainer", crewIds: [roof] },
  ],
  ways: [],
  approvals: [],
  ...change,
});

function show(week: OwnWeek, answers: Answers = {}, search = "") {
  const server = new TestServer({ ...SIGNED_IN, "GET /crews": [sampleCrew({ id: roof })], [`GET /own-week/${WEEK}`]: week, ...answers });
  return { server, ...showPage(<OwnWeekPage />, { at: `/week/${WEEK}${search}`, path: "/week/:weekStart" }) };
}
const day = (name: string) => screen.findByRole("region", { name: new RegExp(`^${name}`) });

it("shows mine first, everybody's on a press, and of somebody else by name", async () => {
  const { user } = show(weekOf([entry("2026-03-27", "07:00"), entry("2026-03-27", "12:00", { leaderId: teo, sessionName: "Break" })]));
  const friday = await day("Friday");
  expect(within(friday).getAllByRole("button")).toHaveLength(1);
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("My week, 23 March");
  await user.click(screen.getByRole("radio", { name: "Everybody's" }));
  expect(within(friday).getAllByRole("button")).toHaveLength(2);
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("All crews, week of 23 March");
  await user.click(screen.getByRole("radio", { name: "Teo" }));
  expect(within(friday).getByRole("button", { name: /Break/ })).toBeVisible();
});

it("says what was led and what was not; a session of the small hours says its day", async () => {
  show(
    weekOf([
      entry("2026-03-24", "07:00", { runId: sampleId() }),
      entry("2026-03-25", "07:00"),
      entry("2026-03-27", "22:00", { startsAt: "2026-03-28T04:30:00.000Z" }),
    ]),
  );
  expect(within(await day("Tuesday")).getByLabelText("led")).toBeVisible();
  expect(within(await day("Wednesday")).getByText("not led")).toBeVisible();
  expect(within(await day("Friday")).getByRole("button", { name: /^04:30 Sat/ })).toBeVisible();
  expect(screen.getByText("3 sessions, 1 led · 1 was not led")).toBeVisible();
});

it("names two at once, a way that is too long and one nobody has entered; what is over is over", async () => {
  const { user, server } = show(
    weekOf(
      [
        entry("2026-03-24", "07:00"),
        entry("2026-03-24", "07:02"),
        entry("2026-03-27", "07:00"),
        entry("2026-03-27", "07:02", { sessionName: "Other" }),
        entry("2026-03-27", "07:20", { ...atQuay, sessionName: "Quay warm-up" }),
        entry("2026-03-28", "07:00"),
        entry("2026-03-28", "07:30", { ...atQuay, place: "Hall" }),
      ],
      { ways: [{ places: ["quay", "yard"], minutes: 20 }] },
    ),
    { "PUT /practice/ways": [] },
  );
  const friday = await day("Friday");
  expect(within(friday).getByText("07:02 Other runs at the same time for 3 min")).toBeVisible();
  expect(within(friday).getByText("13 min to 07:20 Quay warm-up at Quay, the way takes 20")).toBeVisible();
  expect(within(await day("Saturday")).getByText(/25 min to Hall; how long the way takes is not entered/)).toBeVisible();
  expect(within(await day("Tuesday")).queryByText(/same time/)).toBeNull();
  await user.click(screen.getByRole("button", { name: "Ways" }));
  const field = screen.getByRole("textbox", { name: "Minutes from Hall to Yard" });
  await user.type(field, "601");
  expect(screen.getByText("0 to 600 whole minutes")).toBeVisible();
  await user.clear(field);
  await user.type(field, "15{Enter}");
  await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ places: ["Hall", "Yard"], minutes: 15 }]));
});

describe("handing over", () => {
  const own = entry("2026-03-27", "07:00");
  const open = async (week: OwnWeek, answers: Answers = {}) => {
    const shown = show(week, answers);
    await shown.user.click(within(await day("Friday")).getByRole("button"));
    return { ...shown, dialog: screen.getByRole("dialog") };
  };
  const byDay = `PUT /crews/${roof}/placements/${own.placementId}/leader`;

  it("to a colleague for the day, in one act", async () => {
    const { user, server, dialog } = await open(weekOf([own]), { [byDay]: null });
    await user.click(within(dialog).getByRole("radio", { name: "Teo" }));
    await user.click(within(dialog).getByRole("button", { name: "Hand it over" }));
    await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ leaderId: teo, shown: false }]));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  });

  it("to a crew lead only once it is said that they were shown it; for the series where that is chosen", async () => {
    const { user, server, dialog } = await open(weekOf([own]), { [`PUT /crews/${roof}/plan-series/${own.seriesId}/leader`]: null });
    await user.click(within(dialog).getByRole("radio", { name: /^Ivo/ }));
    await user.click(within(dialog).getByRole("radio", { name: "Every day of the series" }));
    expect(within(dialog).getByRole("button", { name: "Hand it over" })).toBeDisabled();
    await user.click(within(dialog).getByRole("checkbox", { name: /I have shown Ivo this session/ }));
    await user.click(within(dialog).getByRole("button", { name: "Hand it over" }));
    await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ leaderId: ivo, shown: true }]));
  });

  it("asks nothing of a lead who was shown it, and again when it has changed since", async () => {
    const approval = { accountId: ivo, sessionId: warmUp, at: "2026-03-02T10:00:00.000Z", by: "Maren", outdated: false };
    const { user, dialog } = await open(weekOf([own], { approvals: [approval] }));
    await user.click(within(dialog).getByRole("radio", { name: /Ivo.*shown 2 Mar by Maren/ }));
    expect(within(dialog).queryByRole("checkbox")).toBeNull();
    expect(within(dialog).getByRole("button", { name: "Hand it over" })).toBeEnabled();
  });

  it("is asked again when the session has changed since", async () => {
    const approval = { accountId: ivo, sessionId: warmUp, at: "2026-03-02T10:00:00.000Z", by: "Maren", outdated: true };
    const { user, dialog } = await open(weekOf([own], { approvals: [approval] }));
    await user.click(within(dialog).getByRole("radio", { name: /Ivo.*shown before it changed/ }));
    expect(within(dialog).getByRole("checkbox")).not.toBeChecked();
  });

  it("that is refused says why and keeps what was chosen", async () => {
    const { user, dialog } = await open(weekOf([own]), { [byDay]: refusal(409, "notShown", "Teo was not shown this.") });
    await user.click(within(dialog).getByRole("radio", { name: "Teo" }));
    await user.click(within(dialog).getByRole("button", { name: "Hand it over" }));
    expect(await within(dialog).findByText("Teo was not shown this.")).toBeVisible();
    expect(within(dialog).getByRole("radio", { name: "Teo" })).toBeChecked();
  });

  it("is the trainer's: a crew lead sees who leads, and no more", async () => {
    const { dialog } = await open(weekOf([{ ...own, leaderId: ivo }], { me: ivo }));
    expect(within(dialog).getByText("To be led by me.")).toBeVisible();
    expect(within(dialog).queryByRole("button", { name: "Hand it over" })).toBeNull();
    expect(screen.queryByRole("button", { name: "Ways", hidden: true })).toBeNull();
  });
});

it("is the week of a crew, or of a person of it: everybody's sessions and their groups'", async () => {
  const ann = sampleId();
  const entries = [
    entry("2026-03-27", "07:00", { leaderId: teo }),
    entry("2026-03-27", "08:00", { groupName: "One", groupPeople: [ann] }),
    entry("2026-03-27", "09:00", { groupName: "Two", groupPeople: [sampleId()] }),
    entry("2026-03-27", "10:00", atQuay),
  ];
  const people = [{ id: ann, version: 1, name: "Ann Early", badge: null, handedness: null, startedOn: null, leftOn: null, language: null }];
  show(weekOf(entries), { [`GET /crews/${roof}/people`]: people }, `?crew=${roof}&person=${ann}`);
  const friday = await day("Friday");
  expect(
    within(friday)
      .getAllByRole("button")
      .map((card) => card.textContent!.slice(0, 5)),
  ).toEqual(["07:00", "08:00"]);
  expect(await screen.findByRole("heading", { level: 1, name: "Ann Early, week of 23 March" })).toBeVisible();
});

it("of a person it has the days they are in the crew", async () => {
  const ann = samplePerson({ name: "Ann Early", startedOn: "2026-03-26", leftOn: "2026-03-27" });
  const entries = ["25", "26", "27", "28"].map((date) => entry(`2026-03-${date}`, "07:00"));
  show(weekOf(entries), { [`GET /crews/${roof}/people`]: [ann] }, `?crew=${roof}&person=${ann.id}`);
  await screen.findByRole("heading", { level: 1, name: "Ann Early, week of 23 March" });
  const cards = await Promise.all(
    ["Wednesday", "Thursday", "Friday", "Saturday"].map(async (name) => within(await day(name)).queryAllByRole("button").length),
  );
  expect(cards).toEqual([0, 1, 1, 0]);
});

it("opened without a week it is the one at the place of the crews: in Auckland it is Monday while it is Sunday in Greenwich", async () => {
  const me = structuredClone(SIGNED_IN["GET /me"]);
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /crews": [sampleCrew({ id: roof, timeZone: "Pacific/Auckland" })],
    [`GET /own-week/${WEEK}`]: weekOf([]),
  });
  const { store } = showPage(<OwnWeekPage />, { at: "/week", path: "/week/:weekStart?" });
  void store.dispatch(serverApi.util.upsertQueryData("me", undefined, { ...me, account: { ...me.account, now: "2026-03-22T20:00:00Z" } }));
  expect(await screen.findByRole("heading", { level: 1 })).toHaveTextContent("My week, 23 March");
  expect(server.calls(`GET /own-week/${WEEK}`).length).toBeGreaterThan(0);
});

it("says by which clock a time is told where the crews work in different zones, and in what clashes", async () => {
  const at = { leaderId: maren, ...atQuay, timeZone: "America/Los_Angeles" };
  // Ten in the morning in Los Angeles is five in the afternoon in UTC.
  show(weekOf([entry("2026-03-27", "17:00"), { ...entry("2026-03-27", "17:02", { ...at, crewId: quay }), date: "2026-03-27" }]));
  const friday = await day("Friday");
  expect(within(friday).getByText("17:00 UTC")).toBeInTheDocument();
  expect(within(friday).getByText("10:02 Los Angeles")).toBeInTheDocument();
  expect(friday).toHaveTextContent("10:02 Los Angeles Warm-up runs at the same time for 3 min");
});

it("an empty week says so", async () => {
  show(weekOf([]));
  expect(await screen.findByText("Nothing is planned in this week")).toBeVisible();
});
