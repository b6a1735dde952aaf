/** The day plan: a session on a kind of shift is on every one of them; single days differ; groups have rows of their own. */
import { act, fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { UserEvent } from "@testing-library/user-event";
import type { ChangedWeek, WeekPlanEntry } from "@kind-grip/core/api";
import { laidId, type Series, type StandingPlan } from "@kind-grip/core/dayplan";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import DayPlanPage from "./DayPlanPage";
import { typeDay } from "../testing/type-day";

const WEEK = "2026-03-23";
const crew = sampleCrew();
const people = ["Ann Early", "Bo Brook", "Cy Cole"].map((name) => samplePerson({ name }));
const warmUp = sampleSession(["shake-out"], { name: "Warm-up" });
const pause = sampleSession(["palm-away"], { name: "Break", slot: "break" });
const program = sampleProgram(crew.id, [warmUp, pause]);
let seriesNr = 0;
const series = (change: Partial<Series> = {}): Series => ({
  id: `${String(++seriesNr).padStart(8, "0")}-0000-7000-8000-000000000000`,
  programId: program.id,
  sessionId: warmUp.id,
  shift: "day",
  at: { from: "start", min: 0 },
  only: null,
  groupId: null,
  leaderId: null,
  fromDate: "2026-03-02",
  untilDate: null,
  otherDays: [],
  ...change,
});

function show(
  standing: StandingPlan = { groups: [], series: [] },
  more: Partial<WeekPlanEntry> = {},
  programs = [program],
  crewPeople = people,
  answers: Answers = {},
) {
  localStorage.clear();
  let entry: WeekPlanEntry = { crewId: crew.id, weekStart: WEEK, version: 1, standing, placements: [], kept: [], neighbours: [], ...more };
  const address = `/crews/${crew.id}/plan/${WEEK}`;
  const shown = showCrewPage(<DayPlanPage />, "day-plan/:weekStart?", {
    crew,
    people: crewPeople,
    at: `day-plan/${WEEK}`,
    answers: {
      [`GET /crews/${crew.id}/programs`]: programs,
      [`GET /crews/${crew.id}/work`]: { version: 0, work: { tasks: [], days: [] } },
      [`GET ${address}`]: () => entry,
      [`PUT ${address}`]: (body: unknown) => {
        const { placements, standing: changed } = body as ChangedWeek;
        entry = { ...entry, version: entry.version + 1, placements, standing: changed ?? entry.standing };
        return entry;
      },
      ...answers,
    },
  });
  const saved = () => shown.server.calls("PUT").at(-1)?.body as ChangedWeek | undefined;
  return { ...shown, saved };
}

const day = (name: string) => screen.findByRole("region", { name: new RegExp(`^${name}`) });
const tabs = async (name: string) => within(await day(name)).queryAllByRole("button", { name: /Arrow keys move it/ });
const WORKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday"];
const startsOf = async () =>
  Promise.all(WORKDAYS.map(async (name) => (await tabs(name)).map((tab) => /at (\d\d:\d\d)/.exec(tab.getAttribute("aria-label")!)![1])));
/** By keyboard: jsdom cannot hold a pointer. */
const choose = async (user: UserEvent, name: string) => {
  (await tabs(name))[0]!.focus();
  await user.keyboard("{Enter}");
};
const panel = () => screen.getByRole("region", { name: "Chosen session" });

describe("a session placed on a shift", () => {
  it("is on every shift of its kind from that day on", async () => {
    const { user, saved } = show();
    await user.click(await screen.findByRole("button", { name: "Place a session on Tuesday" }));
    await user.click(screen.getByRole("menuitem", { name: /^Warm-up/ }));
    expect(await startsOf()).toEqual([[], ["07:00"], ["07:00"], ["07:00"], ["07:00"]]);
    // It is chosen, and what is changed next is for all of it.
    expect(within(panel()).getByRole("radio", { name: "Every day shift from here" })).toBeChecked();
    await waitFor(() =>
      expect(saved()?.standing?.series).toMatchObject([
        { shift: "day", fromDate: "2026-03-24", untilDate: null, at: { from: "start", min: 0 } },
      ]),
    );
  });

  it("is only on that day where that is wished, and can become a series later", async () => {
    const { user, saved } = show();
    await user.click(await screen.findByRole("button", { name: "Place a session on Tuesday" }));
    await user.click(screen.getByRole("menuitemcheckbox", { name: /On every day shift/ }));
    await user.click(screen.getByRole("menuitem", { name: /^Warm-up/ }));
    expect(await startsOf()).toEqual([[], ["07:00"], [], [], []]);
    await user.click(within(panel()).getByRole("button", { name: "On every day shift from this day on" }));
    expect(await startsOf()).toEqual([[], ["07:00"], ["07:00"], ["07:00"], ["07:00"]]);
    await waitFor(() => expect(saved()).toMatchObject({ placements: [], standing: { series: [{ fromDate: "2026-03-24" }] } }));
  });
});

describe("a session of a series", () => {
  it("moves on its day by arrow keys, and Ctrl+Z takes it back", async () => {
    const { user } = show({ groups: [], series: [series()] });
    (await tabs("Wednesday"))[0]!.focus();
    await user.keyboard("{ArrowRight}{ArrowRight}");
    expect(await startsOf()).toEqual([["07:00"], ["07:00"], ["07:10"], ["07:00"], ["07:00"]]);
    await user.keyboard("{Control>}zz{/Control}");
    expect(await startsOf()).toEqual(WORKDAYS.map(() => ["07:00"]));
  });

  it("says that its day differs, and goes with the others again", async () => {
    const { user } = show({ groups: [], series: [series({ otherDays: [{ date: "2026-03-25", startsAt: "2026-03-25T08:00:00.000Z" }] })] });
    await choose(user, "Wednesday");
    expect(within(panel()).getByText(/1 day differs/)).toBeVisible();
    await user.click(within(panel()).getByRole("button", { name: /like the others again/ }));
    expect(await startsOf()).toEqual(WORKDAYS.map(() => ["07:00"]));
  });

  it("moves from a day on where that is chosen, stays chosen, and the days before stay", async () => {
    const { user, saved } = show({ groups: [], series: [series()] });
    await choose(user, "Wednesday");
    await user.click(within(panel()).getByRole("radio", { name: "Every day shift from here" }));
    const starts = within(panel()).getByLabelText("Starts");
    await user.clear(starts);
    await user.type(starts, "7:30{Enter}");
    expect(await startsOf()).toEqual([["07:00"], ["07:00"], ["07:30"], ["07:30"], ["07:30"]]);
    expect(within(panel()).getByLabelText("Starts")).toHaveValue("07:30");
    await waitFor(() => expect(saved()?.standing?.series.map(({ untilDate }) => untilDate)).toEqual(["2026-03-24", null]));
  });

  it("is taken out of one day, or from a day on", async () => {
    const { user } = show({ groups: [], series: [series()] });
    await choose(user, "Tuesday");
    await user.click(within(panel()).getByRole("button", { name: "Take out on this day" }));
    expect(await startsOf()).toEqual([["07:00"], [], ["07:00"], ["07:00"], ["07:00"]]);
    await choose(user, "Thursday");
    await user.click(within(panel()).getByRole("radio", { name: "Every day shift from here" }));
    await user.click(within(panel()).getByRole("button", { name: "Take out from here on" }));
    expect(await startsOf()).toEqual([["07:00"], [], ["07:00"], [], []]);
  });

  it("is only on some days of the week, never on none, and has a last day", async () => {
    const { user, saved } = show({ groups: [], series: [series()] });
    await choose(user, "Monday");
    const days = within(panel()).getByRole("group", { name: "Only on these days" });
    for (const name of ["Tue", "Thu"]) await user.click(within(days).getByRole("button", { name }));
    expect(await startsOf()).toEqual([["07:00"], [], ["07:00"], [], ["07:00"]]);
    await typeDay(user, within(panel()).getByRole("group", { name: "Last day" }), "2026-03-27", "{Enter}");
    expect(within(panel()).getByText(/to 27 Mar 2026/)).toBeVisible();
    for (const name of ["Mon", "Wed", "Fri"]) await user.click(within(panel()).getByRole("button", { name }));
    await waitFor(() => expect(saved()?.standing?.series.at(-1)?.only).toEqual({ by: "weekday", days: [5] }));
  });

  it("that was led stays: it can be led again and nothing else", async () => {
    const own = series();
    const kept = {
      id: laidId(own.id, "2026-03-24"),
      programId: program.id,
      sessionId: warmUp.id,
      startsAt: "2026-03-24T07:05:00.000Z",
      people: null,
      groupName: null,
    };
    const { user } = show({ groups: [], series: [own] }, { kept: [kept] });
    const led = within(await day("Tuesday")).getByRole("button", { name: "Warm-up at 07:05, was led." });
    led.focus();
    await user.keyboard("{ArrowRight}{Delete}");
    await user.keyboard("{Enter}");
    expect(within(panel()).getByText(/it stays as it is/)).toBeVisible();
    expect(within(panel()).queryByRole("button", { name: /Take out/ })).toBeNull();
    expect(within(panel()).queryByLabelText("Starts")).toBeNull();
  });
});

describe("groups", () => {
  const group = (name: string, ...who: number[]) => ({ id: sampleId(), name, people: who.map((i) => people[i]!.id) });

  it("have a row each, under everybody's", async () => {
    const [early, late] = [group("Early birds", 0), group("Late birds", 1, 2)];
    show({
      groups: [early, late],
      series: [
        series(),
        series({ groupId: early.id, sessionId: pause.id, at: { from: "break", nr: 0, min: 0 } }),
        series({ groupId: late.id, sessionId: pause.id, at: { from: "break", nr: 1, min: 0 } }),
      ],
    });
    const monday = await day("Monday");
    expect(
      within(monday)
        .getAllByText(/^(everybody|Early birds|Late birds)$/)
        .map((each) => each.textContent),
    ).toEqual(["everybody", "Early birds", "Late birds"]);
  });

  it("take a person from another by arrow keys, and the keys stay with the name", async () => {
    const { user, saved } = show({ groups: [group("One", 0, 1), group("Two", 2)], series: [series()] });
    await user.click(await screen.findByRole("button", { name: "Groups" }));
    const dialog = screen.getByRole("dialog");
    within(dialog)
      .getByRole("button", { name: /^Bo Brook, One/ })
      .focus();
    await user.keyboard("{ArrowRight}");
    const bo = await within(dialog).findByRole("button", { name: /^Bo Brook, Two/ });
    await waitFor(() => expect(bo).toHaveFocus());
    await waitFor(() => expect(saved()?.standing?.groups.map(({ people: own }) => own.length)).toEqual([1, 2]));
    await user.keyboard("{ArrowRight}");
    expect(await within(dialog).findByRole("button", { name: /^Bo Brook, In no group/ })).toBeVisible();
  });

  it("have in them whoever begins later, who is said to; not whoever has left", async () => {
    const later = samplePerson({ name: "Di Later", startedOn: "2026-04-06" });
    const crewThen = [...people, later, samplePerson({ name: "Ed Gone", leftOn: "2026-03-25" })];
    const { user, saved } = show({ groups: [group("One", 0, 1, 2)], series: [series()] }, {}, [program], crewThen);
    await user.click(await screen.findByRole("button", { name: "Groups" }));
    const dialog = screen.getByRole("dialog");
    expect(within(dialog).queryByRole("button", { name: /Ed Gone/ })).toBeNull();
    const di = within(dialog).getByRole("button", { name: /^Di Later, In no group/ });
    expect(di).toHaveTextContent("Di Laterfrom 6 Apr");
    act(() => di.focus());
    await user.keyboard("{ArrowLeft}");
    await waitFor(() => expect(saved()?.standing?.groups[0]?.people).toContain(later.id));
  });

  it("are formed for the job, renamed and removed with what is planned for them", async () => {
    const own = group("Third", 0, 1);
    const { user, saved } = show({ groups: [own], series: [series({ groupId: own.id, fromDate: "2026-03-26" })] });
    await user.click(await screen.findByRole("button", { name: "Groups" }));
    const dialog = screen.getByRole("dialog");
    const name = within(dialog).getByLabelText("Name");
    await user.clear(name);
    await user.type(name, "First{Enter}");
    await waitFor(() => expect(saved()?.standing?.groups[0]?.name).toBe("First"));
    await user.click(within(dialog).getByRole("button", { name: "Remove First" }));
    await waitFor(() => expect(saved()?.standing).toEqual({ groups: [], series: [] }));
    await user.click(within(dialog).getByRole("button", { name: /^Form them/ }));
    await waitFor(() => expect(saved()?.standing?.groups.map(({ people: who }) => who.length)).toEqual([3]));
  });

  it("without somebody are named as what does not work out, with the way into the smallest", async () => {
    const own = group("One", 0, 1);
    const { user, saved } = show({ groups: [own], series: [series({ groupId: own.id })] });
    const list = await screen.findByRole("region", { name: "Does not work out" });
    expect(within(list).getByText("Cy Cole")).toBeVisible();
    await user.click(within(list).getByRole("button", { name: "Into the smallest group" }));
    await waitFor(() => expect(saved()?.standing?.groups[0]?.people).toHaveLength(3));
  });

  it("are chosen for a series from a day on", async () => {
    const own = group("One", 0, 1);
    const { user, saved } = show({ groups: [own], series: [series()] });
    await choose(user, "Monday");
    await user.click(within(panel()).getByRole("combobox", { name: "For" }));
    await user.click(screen.getByRole("option", { name: "One" }));
    await waitFor(() =>
      expect(saved()?.standing?.series.map(({ groupId, untilDate }) => [groupId, untilDate])).toEqual([
        [null, "2026-03-22"],
        [own.id, null],
      ]),
    );
  });
});

describe("what does not work out in the weeks ahead", () => {
  it("is listed once for all its days, with the smallest mend, and only that", async () => {
    const far = [
      series({ sessionId: pause.id, at: { from: "start", min: 180 } }),
      series({ sessionId: pause.id, at: { from: "start", min: 240 } }),
    ];
    const { user } = show({ groups: [], series: far });
    const clashes = await screen.findByRole("status", { name: "Clashes" });
    await user.click((await within(clashes).findAllByRole("button", { name: /^Mend: \d+ min later on \d+ days$/ }))[0]!);
    await waitFor(() => expect(screen.queryByRole("button", { name: /^Mend/ })).toBeNull());
    expect(screen.getByText("The 8 weeks from here work out as planned.")).toBeVisible();
  });

  it("a series whose shift is gone is ended", async () => {
    const { user, saved } = show({ groups: [], series: [series({ shift: "late" })] });
    const list = await screen.findByRole("region", { name: "Does not work out" });
    expect(within(list).getByText("Its kind of shift is gone from the crew's pattern.")).toBeVisible();
    await user.click(within(list).getByRole("button", { name: "End the series" }));
    await waitFor(() => expect(saved()?.standing?.series[0]?.untilDate).toBe("2026-03-25"));
  });
});

it("the next block takes the place of the one before from the next Monday, in one press", async () => {
  const next = sampleProgram(crew.id, [sampleSession(["palm-away"], { name: "Warm-up" })]);
  const block = { ...next, program: { ...next.program, name: "Block 2" } };
  const { user, saved } = show({ groups: [], series: [series()] }, {}, [program, block]);
  const offer = await screen.findByRole("region", { name: "Block 2" });
  expect(within(offer).getByText("Block 2 is not in the plan yet; Slate hands is.")).toBeVisible();
  await user.click(within(offer).getByRole("button", { name: "Go on with it from Mon 30 Mar" }));
  await waitFor(() =>
    expect(saved()?.standing?.series.map(({ programId, fromDate, untilDate }) => [programId, fromDate, untilDate])).toEqual([
      [program.id, "2026-03-02", "2026-03-29"],
      [block.id, "2026-03-30", null],
    ]),
  );
  expect(screen.queryByRole("region", { name: "Block 2" })).toBeNull();
});

describe("any week", () => {
  it("is two presses away, and one key away from the next", async () => {
    const { user, router } = show({ groups: [], series: [series()] });
    await day("Monday");
    await user.click(screen.getByRole("button", { name: "Go to a week" }));
    const open = screen.getByRole("button", { name: /Week of 23 March 2026/ });
    await waitFor(() => expect(open).toHaveFocus());
    await user.keyboard("{ArrowDown}");
    expect(screen.getByRole("button", { name: /Week of 20 April 2026/ })).toHaveFocus();
    await user.click(screen.getByRole("button", { name: /Week of 7 December 2026/ }));
    expect(router.state.location.pathname).toBe(`/crews/${crew.id}/day-plan/2026-12-07`);
  });

  it("comes by page down and page up, but not out of a field", async () => {
    const { user, router } = show({ groups: [], series: [series()] });
    await day("Monday");
    await user.keyboard("{PageDown}");
    expect(router.state.location.pathname).toMatch(/2026-03-30$/);
  });

  it("is counted from the week asked for last, though its page is not there yet", async () => {
    const { router } = show({ groups: [], series: [series()] });
    await day("Monday");
    act(() => {
      fireEvent.keyDown(document.body, { key: "PageDown" });
      fireEvent.keyDown(document.body, { key: "PageDown" });
    });
    expect(router.state.location.pathname).toMatch(/2026-04-06$/);
  });
});

it("what was placed once in another week is copied to the same days", async () => {
  const source = {
    id: sampleId(),
    programId: program.id,
    sessionId: pause.id,
    startsAt: "2026-03-17T10:00:00.000Z",
    people: null,
    groupName: null,
  };
  const { user, server, saved } = show({ groups: [], series: [series()] });
  server.answers = {
    ...server.answers,
    [`GET /crews/${crew.id}/plan/2026-03-16`]: {
      crewId: crew.id,
      weekStart: "2026-03-16",
      version: 1,
      standing: { groups: [], series: [] },
      placements: [source, { ...source, id: sampleId(), startsAt: "2026-03-21T10:00:00.000Z" }],
      kept: [],
      neighbours: [],
    },
  };
  await user.click(await screen.findByRole("button", { name: "Copy a week" }));
  const dialog = screen.getByRole("dialog");
  await user.click(within(dialog).getByRole("button", { name: /Week of 16 March 2026/ }));
  expect(await within(dialog).findByText(/1 session is copied\. Without a shift here: Break, Saturday/)).toBeVisible();
  await user.click(within(dialog).getByRole("button", { name: "Copy" }));
  expect(await startsOf()).toEqual([["07:00"], ["07:00", "10:00"], ["07:00"], ["07:00"], ["07:00"]]);
  await waitFor(() => expect(saved()?.placements).toMatchObject([{ startsAt: "2026-03-24T10:00:00.000Z" }]));
});

describe("reminders", () => {
  const reminders = `/crews/${crew.id}/reminders`;
  it("of people who are off say when they go out, and go at once on a press", async () => {
    const { user, server } = show({ groups: [], series: [series()] });
    server.answers = {
      ...server.answers,
      [`POST ${reminders}`]: (body: unknown) => {
        const { atOnce } = body as { atOnce: boolean };
        const heldUntil = atOnce ? null : "2026-03-26T20:00:00.000Z";
        return { queued: atOnce ? 0 : 3, people: 3, unwanted: 1, unreachable: 2, waiting: 3, heldUntil };
      },
    };
    await choose(user, "Friday");
    await user.click(within(panel()).getByRole("button", { name: "Remind everybody" }));
    expect(
      await within(panel()).findByText(
        "3 of 3 get a reminder. They are off: it goes out Thu 20:00. 1 wants none. 2 have given no way to be reached.",
      ),
    ).toBeVisible();
    await user.click(within(panel()).getByRole("button", { name: "Send them now all the same" }));
    expect(await within(panel()).findByText("3 get theirs now. 1 wants none. 2 have given no way to be reached.")).toBeVisible();
    expect(server.calls("POST").map(({ body }) => (body as { atOnce: boolean }).atOnce)).toEqual([false, true]);
  });

  it.each([
    [{ queued: 0, waiting: 3, heldUntil: "2026-03-26T20:00:00.000Z" }, "3 have one that waits. They are off: it goes out Thu 20:00."],
    [{ queued: 0, waiting: 1, heldUntil: null }, "1 gets theirs now."],
    [{ queued: 0, waiting: 0, heldUntil: null }, "All 3 were reminded before."],
    [{ queued: 1, waiting: 1, heldUntil: null }, "1 of 3 gets a reminder."],
  ])("asked again, with %j", async (answer, text) => {
    const { user, server } = show({ groups: [], series: [series()] });
    server.answers = { ...server.answers, [`POST ${reminders}`]: { people: 3, unwanted: 0, unreachable: 0, ...answer } };
    await choose(user, "Friday");
    await user.click(within(panel()).getByRole("button", { name: "Remind everybody" }));
    expect(await within(panel()).findByText(text)).toBeVisible();
  });

  it("go out by themselves so long before each session, where the crew is to have them", async () => {
    const { user, server } = show({ groups: [], series: [series()] });
    server.answers = {
      ...server.answers,
      "GET /gateway": { address: null },
      [`GET /crews/${crew.id}/messages`]: [],
      [`GET /crews/${crew.id}/calendar-links`]: [],
      [`GET /crews/${crew.id}/reminder-rule`]: { minutesBefore: null },
      [`PUT /crews/${crew.id}/reminder-rule`]: { minutesBefore: 20 },
    };
    await day("Monday");
    await user.click(screen.getByRole("button", { name: "Reminders" }));
    const dialog = screen.getByRole("dialog");
    expect(await within(dialog).findByRole("radio", { name: "Not at all" })).toBeChecked();
    await user.click(within(dialog).getByRole("radio", { name: "20 min" }));
    await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ minutesBefore: 20 }]));
  });
});

it("nobody is called gone from a group while it is not known who is there", async () => {
  const group = { id: sampleId(), name: "Yard", people: [people[0]!.id] };
  show({ groups: [group], series: [series({ groupId: group.id })] }, {}, [program], people, {
    [`GET /crews/${crew.id}/people`]: refusal(503, "busy", "The server is busy."),
  });
  expect(await screen.findByText("The server is busy.")).toBeInTheDocument();
  expect(screen.queryByText(/nobody|everybody of|has left/i)).toBeNull();
});

it("a shift that begins before the last has ended, or soon after it, is worth knowing", async () => {
  show({ groups: [], series: [series({ shift: "late" })] }, {}, [program], people, {
    [`GET /crews/${crew.id}`]: {
      ...crew,
      shiftPattern: {
        anchorDate: "2026-03-02",
        shifts: [
          { id: "late", name: "Late", start: "22:00", lengthMin: 480, breaks: [] },
          { id: "dawn", name: "Dawn", start: "05:00", lengthMin: 480, breaks: [] },
        ],
        cycle: ["late", "dawn", null, null, null, null, null],
      },
    },
  });
  expect(await screen.findByText("The shift begins 1 h before the last one has ended: nobody can work both.")).toBeInTheDocument();
});
