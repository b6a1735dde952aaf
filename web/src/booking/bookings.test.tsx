/** A day of bookings: blocks that are moved, late, cancelled and taken back; what is laid between them; calendars, files, rules. */
import { act, fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { BookingCalendar, BookingDay, BookingEntry, ChangedBookings } from "@kind-grip/core/api";
import { USUAL_BOOKING_RULES } from "@kind-grip/core/booking";
import { TASK_STARTERS } from "@kind-grip/core/strain";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import { taskFrom } from "../work/new-task";
import BookingsPage from "./BookingsPage";
import { typeDay } from "../testing/type-day";

jest.setTimeout(30_000);
const DATE = "2026-03-26";
const at = (time: string) => `${DATE}T${time}:00.000Z`;
const crew = sampleCrew({ byBookings: true, timeZone: "Europe/Dublin" });
const [ann, bo] = ["Ann Early", "Bo Brook"].map((name) => samplePerson({ name })) as [
  ReturnType<typeof samplePerson>,
  ReturnType<typeof samplePerson>,
];
const task = taskFrom(TASK_STARTERS[0]);
const treatment = (name: string, deep: boolean) => ({
  id: sampleId(),
  name,
  lengthMin: 60,
  deep,
  parts: [{ taskId: task.id, minutes: deep ? 40 : 10 }],
  words: [],
});
const [deep, calm] = [treatment("Deep tissue", true), treatment("Calm hour", false)];
const work = { tasks: [task], days: [], treatments: [deep, calm] };
const booked = (time: string, change: Partial<BookingEntry> = {}): BookingEntry => ({
  ...{ id: sampleId(), personId: ann.id, startsAt: at(time), lengthMin: 60, treatmentId: calm.id },
  ...{ cancelled: false, version: 1, calendarId: null, ...change },
});
const morning = () => [booked("10:00", { treatmentId: deep.id }), booked("11:02"), booked("13:00")];
const laidAt = (time: string, kind: BookingDay["sessions"][number]["kind"] = "reset") => ({
  ...{ id: sampleId(), personId: ann.id, kind, programId: sampleId(), sessionId: sampleId() },
  ...{ startsAt: at(time), lengthMin: 2, afterId: null, done: false },
});

function show(bookings: BookingEntry[] = morning(), change: Partial<BookingDay> = {}, answers: Answers = {}) {
  let day: BookingDay = {
    ...{ crewId: crew.id, date: DATE, changes: 1, rules: { version: 0, ...USUAL_BOOKING_RULES }, bookings },
    ...{ sessions: [laidAt("12:02")], missed: [], light: [], gap: 0, calendars: [] },
    laid: [{ kind: "reset", name: "Let go", lengthMin: 2 }],
    ...change,
  };
  const address = `/crews/${crew.id}/bookings/${DATE}`;
  const shown = showCrewPage(<BookingsPage />, "bookings/:date?", {
    crew,
    people: [ann, bo],
    at: `bookings/${DATE}`,
    answers: {
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work },
      [`GET /crews/${crew.id}/runs`]: { total: 0, pageSize: 20, runs: [] },
      [`GET ${address}`]: () => day,
      [`PUT ${address}`]: (body: unknown) => {
        const { bookings: sent, removed } = body as ChangedBookings;
        const next = new Map(day.bookings.map((each) => [each.id, each]));
        for (const { version, ...each } of sent)
          next.set(each.id, { calendarId: null, ...next.get(each.id), ...each, version: version + 1 });
        for (const id of removed) next.delete(id);
        day = { ...day, bookings: [...next.values()].filter(({ startsAt }) => startsAt.startsWith(DATE)) };
        return day;
      },
      ...answers,
    },
  });
  const sent = async (calls: number) => {
    await waitFor(() => expect(shown.server.calls("PUT")).toHaveLength(calls));
    return shown.server.calls("PUT").at(-1)!.body as ChangedBookings;
  };
  return { ...shown, sent };
}
const row = (name: string) => screen.findByRole("region", { name });
const block = async (name: RegExp) => within(await row("Ann Early")).getByRole("button", { name });
const panel = () => within(screen.getByRole("region", { name: "Chosen booking" }));
const times = ({ bookings }: ChangedBookings) =>
  bookings.map(({ startsAt, cancelled }) => `${startsAt.slice(11, 16)}${cancelled ? " cancelled" : ""}`);

describe("the day", () => {
  it("shows everybody's treatments, what is laid, what has no gap, and who has a light day", async () => {
    const bookings = morning();
    show(bookings, {
      missed: [{ personId: ann.id, what: "afterDeep", afterId: bookings[0]!.id, roomMin: 0 }],
      light: [bo.id],
      sessions: [laidAt("09:50", "warmUp"), laidAt("12:02")],
    });
    const own = within(await row("Ann Early"));
    expect(
      own.getAllByRole("button", { name: /Arrow keys move it/ }).map((each) => each.getAttribute("aria-label")!.split(".")[0]),
    ).toEqual(["Deep tissue, 10:00–11:00, deep", "Calm hour, 11:02–12:02", "Calm hour, 13:00–14:00"]);
    expect(own.getAllByRole("img").map((each) => each.getAttribute("aria-label"))).toEqual([
      "Warm-up at 09:50, 2 min",
      "Reset at 12:02, 2 min",
    ]);
    expect(own.getByText("No gap after the deep treatment that ends at 11:00.")).toBeInTheDocument();
    expect(within(await row("Bo Brook")).getByText("light day")).toBeInTheDocument();
    expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("Thursday 26 March");
    expect(screen.getByText(/3 bookings, 1 reset between them. Proven best/)).toBeInTheDocument();
  });

  it.each([
    ["afterDeep", 2, "Only 2 min after the deep treatment that ends at 11:00."],
    ["inRow", 0, "Too many in a row without a gap until 11:00."],
    ["warmUp", 0, "No time for a warm-up before the first."],
  ] as const)("what has no gap is said: %s with %d min", async (what, roomMin, text) => {
    const bookings = morning();
    show(bookings, { missed: [{ personId: ann.id, what, afterId: what === "warmUp" ? null : bookings[0]!.id, roomMin }] });
    expect(within(await row("Ann Early")).getByText(text)).toBeInTheDocument();
  });

  it("without kinds of treatment, or anything to lay, says what comes first", async () => {
    show([], { laid: [] }, { [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 0, work: { tasks: [], days: [] } } });
    expect(await screen.findByRole("link", { name: "Go to Treatments" })).toHaveAttribute("href", `/crews/${crew.id}/work?view=shift`);
  });
  it("without a program says so", async () => {
    show(morning(), { laid: [], sessions: [] });
    expect(await screen.findByRole("link", { name: "Go to Program" })).toBeInTheDocument();
  });
});

describe("a booking", () => {
  it("moves by the arrow keys and back by Ctrl+Z", async () => {
    const { user, sent } = show();
    (await block(/11:02/)).focus();
    await user.keyboard("{ArrowRight}");
    expect(times(await sent(1))).toEqual(["11:07"]);
    expect(await screen.findByText("Moved; the resets went with it.")).toBeInTheDocument();
    await user.keyboard("{Control>}z{/Control}");
    const back = await sent(2);
    expect([times(back), back.bookings[0]!.version]).toEqual([["11:02"], 2]);
  });

  it("is cancelled with Delete, and takes place after all", async () => {
    const { user, sent } = show();
    (await block(/11:02/)).focus();
    await user.keyboard("{Delete}");
    expect(times(await sent(1))).toEqual(["11:02 cancelled"]);
    (await block(/11:02.*cancelled/)).focus();
    await user.keyboard("{Enter}");
    expect(panel().queryByRole("button", { name: "5 min late" })).not.toBeInTheDocument();
    await user.click(panel().getByRole("button", { name: "It takes place after all" }));
    expect(times(await sent(2))).toEqual(["11:02"]);
  });

  it("that begins late takes those along that it runs into", async () => {
    const { user, sent } = show();
    (await block(/10:00/)).focus();
    await user.keyboard("{Enter}");
    await user.click(panel().getByRole("button", { name: "10 min late" }));
    // Two minutes lay between them.
    expect(times(await sent(1))).toEqual(["10:10", "11:12"]);
    expect(await screen.findByText("2 bookings begin later; the resets went with them.")).toBeInTheDocument();
  });

  it("changes its time, length, kind and person in the panel", async () => {
    const { user, sent } = show();
    (await block(/13:00/)).focus();
    await user.keyboard("{Enter}");
    const starts = panel().getByLabelText("Starts");
    await user.clear(starts);
    await user.type(starts, "1315{Enter}");
    expect(times(await sent(1))).toEqual(["13:15"]);
    await user.click(panel().getByLabelText("Treatment"));
    await user.click(screen.getByRole("option", { name: "Deep tissue" }));
    expect((await sent(2)).bookings[0]).toMatchObject({ treatmentId: deep.id, lengthMin: 60, version: 2 });
  });

  it("goes to another day at the same time, and leaves this one", async () => {
    const { user, sent } = show();
    (await block(/13:00/)).focus();
    await user.keyboard("{Enter}");
    await typeDay(user, panel().getByRole("group", { name: "Day" }), "2026-03-31", "{Enter}");
    // Summer has come by then.
    expect((await sent(1)).bookings[0]!.startsAt).toBe("2026-03-31T12:00:00.000Z");
    await waitFor(() => expect(screen.queryByRole("region", { name: "Chosen booking" })).not.toBeInTheDocument());
    await user.click(await screen.findByRole("button", { name: "Undo" }));
    const back = await sent(2);
    expect([times(back), back.bookings[0]!.version]).toEqual([["13:00"], 2]);
  });

  it("is taken out, and comes back with Undo", async () => {
    const { user, sent } = show();
    (await block(/13:00/)).focus();
    await user.keyboard("{Enter}");
    await user.click(panel().getByRole("button", { name: "Take out" }));
    expect((await sent(1)).removed).toHaveLength(1);
    await user.click(await screen.findByRole("button", { name: "Undo" }));
    expect(times(await sent(2))).toEqual(["13:00"]);
  });

  it("of a calendar is cancelled, not taken out", async () => {
    const { user } = show([booked("10:00", { calendarId: sampleId() })]);
    (await block(/10:00/)).focus();
    await user.keyboard("{Enter}");
    expect(panel().queryByRole("button", { name: "Take out" })).not.toBeInTheDocument();
    expect(panel().getByText(/Read from a calendar/)).toBeInTheDocument();
  });

  it("a new one begins after the last, as long as its kind, and is added", async () => {
    const { user, sent } = show();
    await user.click(await screen.findByRole("button", { name: "Booking" }));
    const fresh = within(screen.getByRole("region", { name: "New booking" }));
    expect(fresh.getByLabelText("Starts")).toHaveValue("14:05");
    await user.click(fresh.getByRole("button", { name: "Add it" }));
    expect((await sent(1)).bookings[0]).toMatchObject({
      personId: ann.id,
      startsAt: at("14:05"),
      lengthMin: 60,
      treatmentId: deep.id,
      version: 0,
    });
    await waitFor(() => expect(screen.queryByRole("region", { name: "New booking" })).not.toBeInTheDocument());
  });

  it("what could not be stored stays as it was typed", async () => {
    const { user, server } = show();
    await user.click(await screen.findByRole("button", { name: "Booking" }));
    server.away = true;
    const fresh = within(screen.getByRole("region", { name: "New booking" }));
    await user.click(fresh.getByRole("button", { name: "Add it" }));
    expect(await screen.findByText(/cannot be reached/)).toBeInTheDocument();
    expect(screen.getByRole("region", { name: "New booking" })).toBeInTheDocument();
  });

  it("that somebody else changed meanwhile is said and shown anew", async () => {
    const { user, server } = show();
    await block(/11:02/);
    server.answers = { ...server.answers, [`PUT /crews/${crew.id}/bookings/${DATE}`]: refusal(409, "stale", "newer") };
    const before = server.calls("GET").length;
    (await block(/11:02/)).focus();
    await user.keyboard("{ArrowLeft}");
    expect(await screen.findByText(/Somebody else changed this booking meanwhile/)).toBeInTheDocument();
    await waitFor(() => expect(server.calls("GET").length).toBeGreaterThan(before));
  });
});

describe("calendars", () => {
  const calendar: BookingCalendar = {
    id: sampleId(),
    personId: ann.id,
    name: "Ann Early",
    host: "calendar.example",
    readAt: at("09:00"),
    found: 4,
    unknown: 1,
    problem: null,
  };
  const open = async (change: Partial<typeof calendar> | null = {}, answers: Answers = {}) => {
    const shown = show(morning(), { calendars: change ? [{ ...calendar, ...change }] : [] }, answers);
    await shown.user.click(await screen.findByRole("button", { name: /^Calendars/ }));
    return shown;
  };

  it("say what was read, and what was not recognised, once it is read again", async () => {
    const unknown = [{ text: "Mud bath", startsAt: at("13:00"), what: true, who: false }];
    const { user } = await open(
      {},
      { [`POST /crews/${crew.id}/booking-calendars/${calendar.id}/read`]: { calendars: [calendar], problem: null, unknown } },
    );
    expect(screen.getByText(/4 bookings ahead/)).toBeInTheDocument();
    expect(screen.getByText("One booking is not recognised.")).toBeInTheDocument();
    await user.click(screen.getByRole("button", { name: "Read now" }));
    expect(await screen.findByText(/Mud bath/)).toBeInTheDocument();
  });

  it("one that cannot be read says why, on its button too", async () => {
    await open({ problem: "The calendar answered 404." });
    expect(screen.getByText(/The calendar answered 404/)).toBeInTheDocument();
  });

  it("an address that is none is told at its field and stays", async () => {
    const refused = refusal(400, "invalid", "No.", { fields: [{ path: "address", message: "is not an address" }] });
    const { user } = await open(null, { [`POST /crews/${crew.id}/booking-calendars`]: refused });
    await user.type(screen.getByLabelText("Address"), "calendar");
    await user.click(screen.getByRole("button", { name: "Read it" }));
    expect(await screen.findByText("is not an address")).toBeInTheDocument();
    expect(screen.getByLabelText("Address")).toHaveValue("calendar");
  });

  it("one is read no more after a question", async () => {
    const { user, server } = await open(
      {},
      { [`DELETE /crews/${crew.id}/booking-calendars/${calendar.id}`]: { calendars: [], problem: null, unknown: [] } },
    );
    await user.click(screen.getByRole("button", { name: "Read it no more" }));
    expect(server.calls("DELETE")).toHaveLength(0);
    await user.click(
      within(screen.getByRole("dialog", { name: /Read this calendar no more/ })).getByRole("button", { name: "Read it no more" }),
    );
    expect(await screen.findByText("None is read yet.")).toBeInTheDocument();
  });
});

describe("a file", () => {
  const give = async (...lines: string[]) => {
    const shown = show();
    await shown.user.click(await screen.findByRole("button", { name: "From a file" }));
    const file = new File([lines.join("\n")], "bookings.csv", { type: "text/csv" });
    file.arrayBuffer = async () => new TextEncoder().encode(lines.join("\n")).buffer;
    await act(async () => fireEvent.change(screen.getByLabelText("File with bookings"), { target: { files: [file] } }));
    return shown;
  };

  it("shows what each row becomes, and takes what is good and new", async () => {
    const { user, sent } = await give(
      "Name,Date,Start,Minutes,Treatment",
      "Bo Brook,2026-03-27,09:00,60,Calm hour",
      "Ann Early,2026-03-26,13:00,60,Calm hour",
      "Cy Who,2026-03-27,09:00,60,",
    );
    expect(await screen.findByText("1 to take, 1 there already, 1 left out.")).toBeInTheDocument();
    expect(screen.getByText("nobody of this team by that name")).toBeInTheDocument();
    await user.click(screen.getByRole("button", { name: "Take one booking" }));
    expect(await sent(1)).toMatchObject({
      bookings: [{ personId: bo.id, startsAt: "2026-03-27T09:00:00.000Z", version: 0 }],
      onlyNew: true,
    });
    expect(await screen.findByText("One booking came in.")).toBeInTheDocument();
  });

  it("without the columns it needs says which", async () => {
    await give("Name,Colour", "Bo Brook,red");
    expect(await screen.findByText(/No column was found for: day, start/)).toBeInTheDocument();
    expect(screen.getByRole("button", { name: /^Take/ })).toBeDisabled();
  });

  it("an empty one says so", async () => {
    await give("");
    expect(await screen.findByText(/the file is empty/)).toBeInTheDocument();
  });
});

it("rules are changed in one place", async () => {
  const programs = [sampleProgram(crew.id)];
  const address = `PUT /crews/${crew.id}/booking-rules/${DATE}`;
  const { user, server } = show(morning(), {}, { [`GET /crews/${crew.id}/programs`]: programs, [address]: (body) => body as object });
  await user.click(await screen.findByRole("button", { name: "How resets are laid" }));
  const dialog = within(screen.getByRole("dialog", { name: "How resets are laid" }));
  await user.click(dialog.getByRole("button", { name: /The room takes, before the next.*more|more.*The room takes/i }));
  await user.click(dialog.getByRole("button", { name: "Lay them so" }));
  await waitFor(() => expect(server.calls("PUT").at(-1)?.body).toEqual({ version: 0, programId: null, turnMin: 4, mostInRow: 3 }));
});

it.each([
  ["one that is there stays chosen", true],
  ["one that was removed since is none, as it is shown", false],
])("of the program resets come from, %s", async (_, isThere) => {
  const program = sampleProgram(crew.id);
  const address = `PUT /crews/${crew.id}/booking-rules/${DATE}`;
  const { user, server } = show(
    morning(),
    { rules: { version: 0, ...USUAL_BOOKING_RULES, programId: program.id } },
    { [`GET /crews/${crew.id}/programs`]: isThere ? [program] : [sampleProgram(crew.id)], [address]: (body) => body as object },
  );
  await user.click(await screen.findByRole("button", { name: "How resets are laid" }));
  const dialog = within(screen.getByRole("dialog", { name: "How resets are laid" }));
  await waitFor(() =>
    expect(dialog.getByRole("combobox", { name: "Sessions of" })).toHaveTextContent(
      isThere ? program.program.name : "the program of which something was done last",
    ),
  );
  await user.click(dialog.getByRole("button", { name: "Lay them so" }));
  await waitFor(() => expect(server.calls("PUT").at(-1)?.body).toMatchObject({ programId: isThere ? program.id : null }));
});

it("a booking of somebody who has left, or has not begun, is seen: somebody has to see to it", async () => {
  const [gone, later, away] = [
    samplePerson({ name: "Cy Gone", leftOn: "2026-03-25" }),
    samplePerson({ name: "Di Later", startedOn: "2026-04-06" }),
    samplePerson({ name: "Ed Away", leftOn: "2026-03-20" }),
  ];
  const bookings = [booked("10:00", { personId: gone.id }), booked("11:00", { personId: later.id })];
  show(bookings, {}, { [`GET /crews/${crew.id}/people`]: [ann, gone, later, away] });
  expect(within(await row("Cy Gone")).getByRole("button", { name: /10:00/ })).toBeVisible();
  expect(within(await row("Di Later")).getByRole("button", { name: /11:00/ })).toBeVisible();
  expect(await row("Ann Early")).toBeVisible();
  expect(screen.queryByRole("region", { name: "Ed Away" })).toBeNull();
});
