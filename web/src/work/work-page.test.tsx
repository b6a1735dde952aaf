/** The work of a crew as it is described: begun from a typical task, changed, tried out, contradicted, undone, saved. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { emptyRecord } from "@kind-grip/core/baseline";
import { patternPreset } from "@kind-grip/core/calendar";
import { TASK_STARTERS, taskStrain, type Task, type Work, type WorkDay } from "@kind-grip/core/strain";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import { taskFrom, withoutTask, withTask } from "./new-task";
import BriefingPage from "./BriefingPage";
import { strainText } from "./strain-text";
import WorkPage from "./WorkPage";

jest.setTimeout(60_000);
const crew = sampleCrew({ shiftPattern: patternPreset("weekdays", "2026-03-02") });
const NOTHING: Work = { tasks: [], days: [] };
const change = `PUT /crews/${crew.id}/work`;
const stapling = taskFrom(TASK_STARTERS[0]);
const hammer = { ...stapling, name: "Nailing", efforts: stapling.efforts.slice(0, 1) };
const rope = { ...taskFrom(TASK_STARTERS[3]), name: "Rope pull" };
const both = withTask(withTask(NOTHING, hammer, 480), rope, 480);

beforeEach(() => localStorage.clear());

function open(work: Work = NOTHING, { answers = {}, search = "" }: { answers?: Answers; search?: string } = {}) {
  const entry = { crewId: crew.id, version: 1, work };
  return showCrewPage(<WorkPage />, "work", {
    crew,
    people: [samplePerson()],
    search,
    answers: {
      [`GET /crews/${crew.id}/work`]: entry,
      [change]: (body) => ({ ...entry, version: 2, work: (body as { work: Work }).work }),
      ...answers,
    },
  });
}
type Shown = ReturnType<typeof open>;
const saved = async ({ server }: Shown): Promise<Work> => {
  await waitFor(() => expect(server.calls("PUT").length).toBeGreaterThan(0));
  return (server.calls("PUT").at(-1)!.body as { work: Work }).work;
};
const editor = (name: string) => within(screen.getByRole("region", { name: `Task ${name}` }));
const slide = (name: string, label: string, value: number) =>
  fireEvent.change(editor(name).getAllByLabelText(label)[0]!, { target: { value } });
const indexIn = (name: string) =>
  editor(name)
    .getAllByRole("img", { name: /^Strain index/ })[0]!
    .getAttribute("aria-label")!;

it("an empty crew begins with a typical task: two hours of it in a usual shift, chosen, and saved", async () => {
  const shown = open();
  await shown.user.click(await screen.findByRole("button", { name: "Add a task" }));
  const starters = screen.getAllByRole("menuitem");
  expect(starters).toHaveLength(TASK_STARTERS.length + 1);
  await shown.user.click(starters[2]!);
  const { name } = TASK_STARTERS[1]!;
  expect(await screen.findByRole("region", { name: `Task ${name}` })).toBeInTheDocument();
  const work = await saved(shown);
  expect(work.tasks.map((task) => task.name)).toEqual([name]);
  expect(work.days.map(({ parts }) => parts)).toEqual([[{ taskId: work.tasks[0]!.id, minutes: 120 }]]);
});

it("each task is one press away, and the chain tells the index that the core computes", async () => {
  const { user } = open(both);
  const list = within(await screen.findByRole("list", { name: "Tasks" }));
  expect(list.getAllByRole("button").map((button) => button.getAttribute("aria-current"))).toEqual(["true", "false"]);
  await user.click(list.getByRole("button", { name: /Rope pull/ }));
  const { composite } = taskStrain(rope, "right", 2);
  expect(indexIn("Rope pull")).toContain(`Strain index ${composite.parts[0]!.of.strain.value.toFixed(1)}`);
});

it("what is slid becomes one step of undo, not one for each point on the way", async () => {
  const shown = open(both);
  await screen.findByRole("region", { name: "Task Nailing" });
  const was = indexIn("Nailing");
  for (const effort of [7, 8, 9]) slide("Nailing", "How hard", effort);
  expect(indexIn("Nailing")).not.toBe(was);
  expect((await saved(shown)).tasks[0]!.efforts[0]!.effort).toBe(9);
  await shown.user.click(screen.getByRole("button", { name: /^Undo/ }));
  expect(indexIn("Nailing")).toBe(was);
});

describe("what if", () => {
  it("changes a copy only, shows before and after, and gives it up", async () => {
    const { server, user } = open(both);
    await user.click(await screen.findByRole("button", { name: "What if …" }));
    const was = indexIn("Nailing");
    slide("Nailing", "How hard", 1);
    expect(editor("Nailing").getAllByText(/→/)[0]).toBeInTheDocument();
    await user.click(editor("Nailing").getByRole("button", { name: "Back to how it is" }));
    expect(indexIn("Nailing")).toBe(was);
    await new Promise((later) => setTimeout(later, 1500));
    expect(server.calls("PUT")).toEqual([]);
  });
  it("is kept when it is said so; hours tried out are not part of the task", async () => {
    const shown = open(both);
    await shown.user.click(await screen.findByRole("button", { name: "What if …" }));
    slide("Nailing", "Hours of it in a shift", 6);
    slide("Nailing", "How often", 2);
    await shown.user.click(editor("Nailing").getByRole("button", { name: "Keep these answers" }));
    const work = await saved(shown);
    expect(work.tasks[0]!.efforts[0]!.perMin).toBe(2);
    expect(work.days).toEqual(both.days);
    expect(editor("Nailing").getByRole("button", { name: "What if …" })).toBeInTheDocument();
  });
});

it("efforts that leave no time between them are said at their place, from anywhere", async () => {
  const { user } = open(both, { answers: { [change]: refusal(400, "invalid", "Look again.") } });
  await screen.findByRole("region", { name: "Task Nailing" });
  slide("Nailing", "How often", 60);
  slide("Nailing", "How long each", 5);
  expect((await editor("Nailing").findAllByText(/These cannot all be true/))[0]).toBeInTheDocument();
  expect(await screen.findByText(/^Not saved/)).toBeInTheDocument();
  // From another task and another view the problem is one press away.
  await user.click(within(screen.getByRole("list", { name: "Tasks" })).getByRole("button", { name: /Rope pull/ }));
  await user.click(screen.getByRole("radio", { name: "Who does what" }));
  await user.click(screen.getAllByRole("button", { name: "Show" })[0]!);
  expect(await screen.findByRole("region", { name: "Task Nailing" })).toBeInTheDocument();
});

it("a task without a name says so, and an effort more can be taken out again while one is left", async () => {
  const { user } = open(withTask(NOTHING, taskFrom(undefined), 480));
  const name = await screen.findByRole("textbox", { name: "Task" });
  await user.clear(name);
  expect(screen.getByText("is missing")).toBeInTheDocument();
  await user.type(name, "Scraping");
  const takeOut = () => editor("Scraping").queryAllByRole("button", { name: /^Take out: / });
  expect(takeOut()).toHaveLength(0);
  await user.click(editor("Scraping").getByRole("button", { name: "Another effort in this task" }));
  expect(takeOut()).toHaveLength(2);
  await user.click(takeOut()[0]!);
  expect(takeOut()).toHaveLength(0);
});

it("a task taken out goes from every day, and comes back with one press", async () => {
  const shown = open(both);
  await shown.user.click(await screen.findByRole("button", { name: "Remove Nailing" }));
  const work = await saved(shown);
  expect(work.tasks.map(({ name }) => name)).toEqual(["Rope pull"]);
  expect(work.days[0]!.parts.map(({ taskId }) => taskId)).toEqual([rope.id]);
  await shown.user.click(within(screen.getByRole("status", { name: "Notice" })).getByRole("button", { name: "Undo" }));
  expect(await screen.findByRole("button", { name: "Remove Nailing" })).toBeInTheDocument();
  await waitFor(() => expect((shown.server.calls("PUT").at(-1)!.body as { work: Work }).work).toEqual(both));
});

it("a colleague's newer work is offered beside one's own, and neither is lost", async () => {
  const theirs = { crewId: crew.id, version: 5, work: withTask(NOTHING, { ...rope, name: "Their rope" }, 480) };
  const { user } = open(both, { answers: { [change]: refusal(409, "stale", "Somebody changed it.", { detail: theirs }) } });
  await screen.findByRole("region", { name: "Task Nailing" });
  slide("Nailing", "How hard", 8);
  await user.click(await screen.findByRole("button", { name: "Take theirs" }));
  expect(await screen.findByRole("region", { name: "Task Their rope" })).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: /^Undo/ }));
  expect(await screen.findByRole("region", { name: "Task Nailing" })).toBeInTheDocument();
});

describe("kinds of treatment of who works by bookings", () => {
  const spa = sampleCrew({ byBookings: true, shiftPattern: patternPreset("weekdays", "2026-03-02") });
  const change = `PUT /crews/${spa.id}/work`;
  const openSpa = (work: Work, more: object = {}, people = [samplePerson()]) =>
    showCrewPage(<WorkPage />, "work", {
      crew: spa,
      people,
      search: "?view=shift",
      answers: {
        [`GET /crews/${spa.id}/work`]: { crewId: spa.id, version: 1, work, ...more },
        [change]: (body) => ({ crewId: spa.id, version: 2, work: (body as { work: Work }).work }),
      },
    });

  it("are added with what the hands do in them, deep or not, and what else they are called", async () => {
    const shown = openSpa(both);
    await shown.user.click(await screen.findByRole("button", { name: "Add a kind of treatment" }));
    const kind = within(screen.getByRole("region", { name: "Treatment 1" }));
    await shown.user.click(kind.getByRole("button", { name: "Deep: a reset follows it" }));
    await shown.user.click(kind.getByRole("button", { name: "Another part" }));
    expect(kind.getByText("The hands work 60 of 60 min.")).toBeInTheDocument();
    fireEvent.change(kind.getByLabelText("What else it is called in bookings"), { target: { value: "deep, sports ," } });
    const { treatments } = await saved(shown);
    expect(treatments).toEqual([
      expect.objectContaining({
        name: "Treatment 1",
        lengthMin: 60,
        deep: true,
        parts: [{ taskId: hammer.id, minutes: 60 }],
        words: ["deep", "sports"],
      }),
    ]);
  });

  it("more hand work than the treatment is long is refused where it stands", async () => {
    const treatment = {
      id: hammer.id.replace(/^./, "a"),
      name: "Short one",
      lengthMin: 30,
      deep: false,
      parts: [{ taskId: hammer.id, minutes: 31 }],
      words: [],
    };
    openSpa({ ...both, treatments: [treatment] });
    expect(within(await screen.findByRole("region", { name: "Short one" })).getByRole("alert")).toHaveTextContent(
      "add up to 31 min; the treatment has 30",
    );
  });

  it("the strain shown is of a usual day as it is booked", async () => {
    const parts = [{ taskId: rope.id, minutes: 200 }];
    const { user } = openSpa(both, { bookedDays: [{ id: "usual", name: "usual", parts, personIds: [] }] });
    await user.click(await screen.findByRole("radio", { name: "Tasks" }));
    expect(screen.getByText("A usual day, as it is booked:")).toBeInTheDocument();
    expect(screen.getByText("200 min a shift")).toBeInTheDocument();
  });

  it("of several days each is named by whose it is, the hardest first; nothing is named by its id", async () => {
    const ann = samplePerson({ name: "Ann Early" });
    const gone = samplePerson({ name: "Gil Gone" });
    const of = (id: string, minutes: number, personIds: string[]) => ({
      id,
      name: id,
      parts: [{ taskId: rope.id, minutes }],
      personIds,
    });
    const { user } = openSpa(both, { bookedDays: [of("usual", 100, []), of(ann.id, 200, [ann.id]), of(gone.id, 50, [gone.id])] }, [ann]);
    await user.click(await screen.findByRole("radio", { name: "Tasks" }));
    const whose = screen.getByRole("combobox", { name: "Whose usual day, as it is booked" });
    expect(whose).toHaveTextContent(/^Ann Early$/);
    await user.click(whose);
    expect(screen.getAllByRole("option").map((option) => option.textContent)).toEqual([
      "Everybody together, on average",
      "Ann Early",
      "somebody who has left",
    ]);
    await user.click(screen.getByRole("option", { name: "Everybody together, on average" }));
    expect(screen.getByText("100 min a shift")).toBeInTheDocument();
  });

  it("a task that is taken out is taken out of them too", async () => {
    const treatment = {
      id: hammer.id.replace(/^./, "a"),
      name: "One",
      lengthMin: 30,
      deep: false,
      parts: [{ taskId: hammer.id, minutes: 10 }],
      words: [],
    };
    expect(withoutTask({ ...both, treatments: [treatment] }, hammer.id).treatments![0]!.parts).toEqual([]);
  });
});

describe("where not everybody does the same", () => {
  const [ann, bo] = [samplePerson({ name: "Ann Early" }), samplePerson({ name: "Bo Late" })];
  const way = (name: string, parts: [Task, number][], personIds: string[] = []): WorkDay => ({
    id: sampleId(),
    name,
    parts: parts.map(([task, minutes]) => ({ taskId: task.id, minutes })),
    personIds,
  });
  const light = way("Usual shift", [[rope, 30]]);
  const hard = way("Rotation 2", [[hammer, 300]], [ann.id, bo.id]);
  const work: Work = { tasks: [hammer, rope], days: [light, hard] };
  const row = (name: string) => within(screen.getByRole("list", { name: "Tasks" })).getByRole("button", { name: new RegExp(name) });

  it("the hardest way is looked at first, by name; another is one choice away, and no task is said to be in no shift", async () => {
    const { user } = open(work, { answers: { [`GET /crews/${crew.id}/people`]: [ann, bo] } });
    const whose = await screen.findByRole("combobox", { name: "Whose shift" });
    expect(whose).toHaveTextContent("Rotation 2: Ann Early and Bo Late");
    expect(row("Nailing")).toHaveTextContent("300 min a shift");
    expect(row("Rope pull")).toHaveTextContent("not in this shift; up to 30 min in another");
    await user.click(whose);
    await user.click(screen.getByRole("option", { name: "Usual shift: whoever is in no other" }));
    expect(row("Nailing")).toHaveTextContent("not in this shift; up to 300 min in another");
    expect(row("Rope pull")).toHaveTextContent("30 min a shift");
    // The strain of a task that is not in it is that of whoever does it.
    expect(row("Nailing")).toHaveTextContent(strainText(taskStrain(hammer, "right", 5).index));
  });
  it("is not asked where all do the same", async () => {
    open(both);
    expect(await screen.findByRole("list", { name: "Tasks" })).toBeInTheDocument();
    expect(screen.queryByRole("combobox", { name: "Whose shift" })).toBeNull();
  });
  it("the sheet for the board has the tasks of all ways, each as long as whoever has most of it", async () => {
    const more = way("Rotation 3", [[hammer, 120]], [bo.id]);
    showCrewPage(<BriefingPage />, "work/briefing", {
      crew,
      answers: {
        [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { tasks: [hammer, rope], days: [more, light, hard] } },
      },
    });
    expect(await screen.findByText(/^, up to 300 min a shift/)).toBeInTheDocument();
    expect(screen.getByText(/^, up to 30 min a shift/)).toBeInTheDocument();
    expect(
      screen.getByText(strainText(Math.max(...(["left", "right"] as const).map((side) => taskStrain(hammer, side, 5).index)))),
    ).toBeInTheDocument();
  });
  it("with one way its minutes are said as they are; without work there is a way to it", async () => {
    const entry = (of: Work) => ({ [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: of } });
    const { unmount } = showCrewPage(<BriefingPage />, "work/briefing", { crew, answers: entry({ tasks: [hammer], days: [hard] }) });
    expect(await screen.findByText(/^, 300 min a shift/)).toBeInTheDocument();
    unmount();
    showCrewPage(<BriefingPage />, "work/briefing", { crew, answers: entry(NOTHING) });
    expect(await screen.findByRole("heading", { name: "Describe the work first" })).toBeInTheDocument();
  });
});

describe("need of one person", () => {
  const person = samplePerson();
  const needOf = async (answers: Answers) => {
    const shown = open(both, { search: "?view=need", answers: { [`GET /crews/${crew.id}/people`]: [person], ...answers } });
    await shown.user.click(await screen.findByRole("combobox", { name: "Whose" }));
    await shown.user.click(screen.getByRole("option", { name: person.name }));
    return shown;
  };
  const path = `GET /crews/${crew.id}/known-records`;
  it("is the work with what all rounds found of them, of which day that is; without any the work alone", async () => {
    const { unmount } = await needOf({ [path]: [{ personId: person.id, measuredOn: "2026-01-05", record: emptyRecord() }] });
    expect(await screen.findByText("With what their rounds found, the newest of 5 Jan 2026.")).toBeVisible();
    unmount();
    await needOf({ [path]: [] });
    expect(await screen.findByText("Nothing measured of them yet: this is the work alone.")).toBeVisible();
  });
  it("claims nothing while what was found cannot be read", async () => {
    await needOf({ [path]: refusal(503, "busy", "The server is busy.") });
    expect(await screen.findByText("The server is busy.")).toBeVisible();
    expect(screen.queryByText(/Nothing measured/)).toBeNull();
  });
});
