/** Composing: a first answer, a better one in its place, what is locked or not wanted, and the program it becomes. */
import { act, screen, waitFor, within } from "@testing-library/react";
import type { Alternative, BesideSession, NotchGain, Proposal } from "@kind-grip/core/compose";
import { TASK_STARTERS } from "@kind-grip/core/strain";
import { emptyRecord } from "@kind-grip/core/baseline";
import type { Program } from "@kind-grip/core/program";
import { DEFAULT_STYLE } from "@kind-grip/core/library";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import { taskFrom, withTask } from "../work/new-task";
import ComposePage from "./ComposePage";
import type { Question } from "./use-proposal";

/** What was asked of the composer, and the answers that a test gives when it wants to. */
const asked: { input: Question; first(answer?: Proposal): void; best(answer?: Proposal): void; breaks(): void }[] = [];
let notches: NotchGain[] = [];
let alternatives: Alternative[] = [];
/** Whether the last alternative is looked for for ever. */
let searchesOn = false;
let beside: BesideSession[] = [];
const stopped = jest.fn();
jest.mock("./start-composer", () => ({
  startComposer: ({ question }: { question: Question }) => {
    const given: { first?(answer?: Proposal): void; best?(answer?: Proposal): void; breaks?(): void } = {};
    const answers = {
      first: new Promise<Proposal | undefined>((give, refuse) => {
        given.first = give;
        given.breaks = () => refuse(new Error("could not be loaded"));
      }),
      best: new Promise<Proposal | undefined>((give) => (given.best = give)),
    };
    asked.push({ input: question, first: given.first!, best: given.best!, breaks: given.breaks! });
    return {
      first: () => answers.first,
      best: () => answers.best,
      notches: () => Promise.resolve(notches),
      alternatives: (tell: (soFar: Alternative[]) => void) => {
        if (!searchesOn) return Promise.resolve(alternatives);
        tell(alternatives);
        return new Promise(() => undefined);
      },
      beside: () => Promise.resolve(beside),
      stop: stopped,
    };
  },
}));
jest.setTimeout(60_000);

const crew = sampleCrew();
const people = [
  samplePerson({ name: "Ann Early" }),
  samplePerson({ name: "Bo Late" }),
  samplePerson({ name: "Cy Gone", leftOn: "2026-03-01" }),
];
const work = withTask({ tasks: [], days: [] }, taskFrom(TASK_STARTERS[0]), 480);

function proposal(movementIds: readonly string[], covered: number, gap = 0): Proposal {
  const session = sampleSession(movementIds);
  return {
    program: { name: "Slate hands", style: DEFAULT_STYLE, weeks: 4, sessions: [session] },
    reasons: new Map(
      session.items.map((item) => [item.id, { regions: [{ region: "wristExtensors", need: 41.6 }], reverses: [] } as never]),
    ),
    seconds: new Map([["preShift", 300]]),
    met: (["wristExtensors", "fingerFlexors", "thumbBase"] as const).map((region, i) => ({
      region,
      kind: "relief" as const,
      need: 80 - i * 20,
      covered: i < Math.round(covered * 3) ? 1 : 0.5,
      by: [...movementIds],
    })),
    unmet: [],
    changeOvers: new Map([["preShift", 2]]),
    spare: [],
    missed: [],
    covered,
    places: new Map(session.items.map((item) => [item.id, { slot: "preShift", movementId: item.movementId, share: 1 }])),
    gap,
  };
}
const FIRST = () => proposal(["shake-out", "palm-away"], 0.34);
const BEST = () => proposal(["shake-out", "palm-up-draw"], 0.8);

beforeEach(() => {
  asked.length = 0;
  notches = [];
  alternatives = [];
  beside = [];
});
const open = (answers: Answers = {}, search = "") =>
  showCrewPage(<ComposePage />, "program/compose", {
    crew,
    people,
    search,
    answers: {
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work },
      "GET /practice/settings": { version: 1, settings: { style: DEFAULT_STYLE, weekStart: "monday" } },
      ...answers,
    },
  });
const question = async (number: number) => {
  await waitFor(() => expect(asked).toHaveLength(number));
  return asked[number - 1]!;
};
const answer = async (number: number, first: Proposal | undefined, best: Proposal | undefined) => {
  const { first: giveFirst, best: giveBest } = await question(number);
  await act(async () => {
    giveFirst(first);
    giveBest(best);
    await Promise.resolve();
  });
};
const status = () =>
  screen
    .getAllByRole("status")
    .map(({ textContent }) => textContent)
    .join(" ");
const make = () => screen.getByRole("button", { name: "Make it a program" });

it("asks for the crew as it is now: who is here, its kit, its slots, and what the review proposed", async () => {
  open({}, "?aim=reliefLed&weeks=8");
  const { input } = await question(1);
  expect(input.limits).toMatchObject({ people: 2, kit: crew.kit, slotSec: crew.slots, aim: "reliefLed", weeks: 8 });
  expect(input.needs.length).toBeGreaterThan(0);
  expect(make()).toBeDisabled();
});

it("shows a first answer as one, then the best in its place with how near it is", async () => {
  open();
  const { first, best } = await question(1);
  await act(async () => first(FIRST()));
  await waitFor(() => expect(status()).toContain("A first answer; looking for a better one"));
  expect(status()).toContain("1 of 3");
  await act(async () => best(BEST()));
  await waitFor(() => expect(status()).toContain("Proven best"));
  expect(status()).toContain("2 of 3");
  const session = within(screen.getByRole("region", { name: "Warm-up" }));
  expect(session.getAllByText("For wrist extensors 42", { exact: false })).toHaveLength(2);
});

it("a lock changes nothing by itself; it counts from the next change on", async () => {
  const { user } = open();
  await answer(1, FIRST(), BEST());
  const lock = (await screen.findAllByRole("button", { name: /^Lock / }))[0]!;
  await user.click(lock);
  expect(screen.getAllByRole("button", { name: /^Unlock / })).toHaveLength(1);
  const others = screen.getAllByRole("button", { name: /^Something else than / });
  expect(others.map((button) => button.hasAttribute("disabled"))).toEqual([true, false]);
  await user.click(others[1]!);
  const { input } = await question(2);
  expect(input.locked).toEqual([{ slot: "preShift", movementId: "shake-out", share: 1 }]);
  expect(input.excluded).toEqual(["palm-up-draw"]);
  expect(status()).toContain("Working it out");
  expect(make()).toBeDisabled();
});

it("a composer that breaks says so, keeps what was set, and is asked again with one press", async () => {
  const { user } = open();
  const { breaks } = await question(1);
  await act(async () => breaks());
  expect(await screen.findByText("The program could not be worked out")).toBeInTheDocument();
  expect(make()).toBeDisabled();
  const before = asked[0]!.input;
  await user.click(screen.getByRole("button", { name: "Try again" }));
  await answer(2, FIRST(), BEST());
  expect(asked[1]!.input).toEqual(before);
  await waitFor(() => expect(make()).toBeEnabled());
  expect(screen.queryByText("The program could not be worked out")).not.toBeInTheDocument();
});
it("what is not wanted can be wanted again", async () => {
  const { user } = open();
  await answer(1, FIRST(), BEST());
  await user.click((await screen.findAllByRole("button", { name: /^Something else than / }))[1]!);
  await answer(2, FIRST(), FIRST());
  await user.click(await screen.findByRole("button", { name: /palm-up draw/i }));
  expect((await question(3)).input.excluded).toEqual([]);
});

it("limits that cannot be kept say so, and unlocking everything asks again", async () => {
  const { user } = open();
  await answer(1, FIRST(), BEST());
  await user.click((await screen.findAllByRole("button", { name: /^Lock / }))[1]!);
  await user.click((await screen.findAllByRole("button", { name: /^Something else than / }))[0]!);
  await answer(2, undefined, undefined);
  expect(await screen.findByText("No program keeps to all of this")).toBeInTheDocument();
  expect(make()).toBeDisabled();
  await user.click(screen.getByRole("button", { name: "Unlock everything" }));
  expect((await question(3)).input.locked).toEqual([]);
});

it("a later aim may cost the cover one percent: the best takes the place of a first answer that covers a little more", async () => {
  open();
  await answer(1, proposal(["shake-out", "palm-away"], 0.805), BEST());
  await waitFor(() => expect(screen.getByRole("region", { name: "Warm-up" })).toHaveTextContent("Palm-up draw"));
});

describe("what one notch buys", () => {
  const gain = (notch: NotchGain["notch"], regions: NotchGain["regions"] = []): NotchGain => ({ notch, gain: 0.05, regions });
  it("is said by region, tried with one press, and kit is a list to shop by", async () => {
    notches = [
      gain({ kind: "minutes", slot: "preShift", min: 2, withItem: false }, [{ region: "thumbBase", kind: "strength" }]),
      gain({ kind: "kit", kit: "hammer", count: 2 }, [
        { region: "pronators", kind: "strength" },
        { region: "supinators", kind: "relief" },
      ]),
      gain({ kind: "movement" }),
    ];
    const { user } = open();
    await answer(1, FIRST(), BEST());
    const section = within(await screen.findByRole("region", { name: "What one notch buys" }));
    expect(section.getByText("2 more minutes: pre-shift").closest("li")).toHaveTextContent("thumb base strength");
    expect(section.getByText("One more movement to remember").closest("li")).toHaveTextContent("a little more here and there");
    const kit = within(section.getByRole("region", { name: "Kit, what brings most first" }));
    expect(kit.getByRole("listitem")).toHaveTextContent(/2 × hammers.*strength and .* relief/i);
    expect(kit.getByRole("button", { name: /Buy: 2 × hammers/i })).toBeInTheDocument();
    expect(kit.getByRole("link", { name: "Kit of the crew" })).toHaveAttribute("href", `/crews/${crew.id}/settings`);
    await user.click(section.getByRole("button", { name: "Try: 2 more minutes: pre-shift" }));
    const { input } = await question(2);
    expect(input.limits.slotSec.preShift).toBe(crew.slots.preShift + 120);
    expect(input.limits.kit).toEqual(crew.kit);
    expect(screen.queryByRole("region", { name: "What one notch buys" })).toBeNull();
  });
  it("what is bought is put with the kit, as many and as heavy as said, composed with, and can be taken back", async () => {
    notches = [gain({ kind: "kit", kit: "dumbbell", count: 8 })];
    let now = crew;
    const put = (body: unknown) => (now = { ...now, ...(body as { crew: object }).crew, version: now.version + 1 });
    const { server, user } = open({ [`GET /crews/${crew.id}`]: () => now, [`PUT /crews/${crew.id}`]: put });
    await answer(1, FIRST(), BEST());
    await user.click(await screen.findByRole("button", { name: /Buy: 8 × dumbbell/i }));
    const dialog = within(await screen.findByRole("dialog"));
    const count = dialog.getByRole("textbox", { name: "How many" });
    await user.clear(count);
    await user.type(count, "2");
    await user.click(dialog.getByRole("button", { name: "Put it with the kit" }));
    const { input } = await question(2);
    expect(input.limits.kit).toEqual([...crew.kit, { kind: "dumbbell", massKg: 1, count: 2 }]);
    expect(server.calls("PUT")).toHaveLength(1);
    await user.click(await screen.findByRole("button", { name: "Undo" }));
    expect((await question(3)).input.limits.kit).toEqual(crew.kit);
  });
  it("says so when nothing would bring anything", async () => {
    open();
    await answer(1, FIRST(), BEST());
    await waitFor(() => expect(status()).toContain("Proven best"));
    expect(await screen.findByRole("region", { name: "What one notch buys" })).toHaveTextContent("Nothing to speak of");
  });
});

describe("side by side", () => {
  beforeEach(() => {
    alternatives = [
      { taste: "fewest", proposal: proposal(["shake-out", "fist-and-star"], 0.7, Infinity) },
      { taste: "leastKit", proposal: proposal(["shake-out", "squeeze"], 0.7, Infinity) },
    ];
  });
  const column = (name: string) => within(screen.getByRole("listitem", { name }));

  it("each says needs, movements, kit and minutes; the best is shown above until one is taken, and made when it is", async () => {
    const made = sampleProgram(crew.id);
    const { user, server } = open({ [`POST /crews/${crew.id}/programs`]: made });
    await answer(1, FIRST(), BEST());
    await screen.findByRole("region", { name: "Side by side" });
    expect(column("Meets most").getByRole("button")).toHaveAttribute("aria-pressed", "true");
    expect(screen.getByRole("listitem", { name: "Least kit" })).toHaveTextContent(/Kit.*balls? \/ (rolled )?towels?/i);
    expect(screen.getByRole("listitem", { name: "Fewest to remember" })).toHaveTextContent(/Needs met2 of 3.*Movements2.*Kitnone.*5'00"/);
    await user.click(column("Fewest to remember").getByRole("button"));
    const warmUp = screen.getByRole("region", { name: "Warm-up" });
    expect(warmUp).toHaveTextContent("Fist and star");
    expect(status()).toContain("Another program, nearly as good");
    await user.click(make());
    await waitFor(() => expect(server.calls("POST")).toHaveLength(1));
    expect(JSON.stringify(server.calls("POST")[0]!.body)).toContain("fist-and-star");
  });

  it("those that are found are there while others are looked for", async () => {
    searchesOn = true;
    const { user } = open();
    await answer(1, FIRST(), BEST());
    await screen.findByRole("region", { name: "Side by side" });
    await user.click(column("Least kit").getByRole("button"));
    expect(status()).toContain("Another program, nearly as good");
    searchesOn = false;
  });

  it("locks of one stay when another is taken, and the next change goes back to the best", async () => {
    const { user } = open();
    await answer(1, FIRST(), BEST());
    await screen.findByRole("region", { name: "Side by side" });
    await user.click(column("Fewest to remember").getByRole("button"));
    await user.click(screen.getByRole("button", { name: /^Lock Fist and star/ }));
    await user.click(column("Meets most").getByRole("button"));
    await user.click(screen.getByRole("button", { name: "Movements in all: less" }));
    const { input } = await question(2);
    expect(input.locked).toEqual([{ slot: "preShift", movementId: "fist-and-star", share: 1 }]);
    expect(screen.queryByRole("region", { name: "Side by side" })).toBeNull();
  });
});

describe("making it a program", () => {
  it.each([
    [{ aim: "nothing" }, /give a session some time/],
    [{ aim: "slot", slot: "preShift", usedSec: 150 }, /Warm-up leaves time unused.*2'30"/],
    [{ aim: "light", slot: "preShift", movementId: "palm-away" }, /room for the whole dose of Palm-away stretch/],
    [{ aim: "ready", slot: "preShift", readySec: 5 }, /gets ready for 0'05": a minute is the least/],
    [{ aim: "must", must: "shoulders", slot: "preShift" }, /does not begin at the shoulders/],
    [{ aim: "must", must: "stretch", slot: "preShift" }, /holds no stretch/],
    [{ aim: "must", must: "close", slot: "preShift" }, /nothing that closes it/],
  ] as const)("is refused while an aim is missed: %j", async (missed, text) => {
    open();
    await answer(1, { ...FIRST(), missed: [missed] }, { ...BEST(), missed: [missed] });
    expect(await screen.findByText(text)).toBeInTheDocument();
    expect(make()).toBeDisabled();
  });
  const call = `POST /crews/${crew.id}/programs`;
  it("settles in from the coming Monday and opens what was made", async () => {
    const made = sampleProgram(crew.id);
    const { server, user, router } = open({ [call]: made });
    await answer(1, FIRST(), BEST());
    await waitFor(() => expect(make()).toBeEnabled());
    await user.click(make());
    await waitFor(() => expect(router.state.location.pathname).toBe(`/crews/${crew.id}/program/${made.id}`));
    expect(server.calls("POST")[0]!.body).toMatchObject({ program: { settlingFrom: "2026-03-30", name: "Slate hands" } });
  });
  it("that is refused stays where it is and says why", async () => {
    const { user, router } = open({ [call]: refusal(400, "invalid", "A crew has at most 20 programs.") });
    await answer(1, FIRST(), BEST());
    await waitFor(() => expect(make()).toBeEnabled());
    await user.click(make());
    expect(await screen.findByText("A crew has at most 20 programs.")).toBeInTheDocument();
    expect(router.state.location.pathname).toBe(`/crews/${crew.id}/program/compose`);
    expect(make()).toBeEnabled();
  });
  it("whose answer was lost is made once when it is pressed again", async () => {
    const made = sampleProgram(crew.id);
    const { server, user, router } = open({ [call]: refusal(503, "busy", "The server is busy.") });
    await answer(1, FIRST(), BEST());
    await waitFor(() => expect(make()).toBeEnabled());
    await user.click(make());
    expect(await screen.findByText("The server is busy.")).toBeInTheDocument();
    server.answers = { ...server.answers, [call]: made };
    await user.click(make());
    await waitFor(() => expect(router.state.location.pathname).toBe(`/crews/${crew.id}/program/${made.id}`));
    const [lost, again] = server.calls("POST").map(({ body }) => (body as { id: string }).id);
    expect(again).toBe(lost);
  });
});

describe("who starts otherwise", () => {
  const [ann, bo] = people;
  const sore = { ...emptyRecord(), symptoms: [{ id: sampleId(), side: "right", region: "wristFlexors", level: 6 }] };
  const measured = (participation: object[] = []) => ({
    [`GET /crews/${crew.id}/known-records`]: [{ personId: ann!.id, measuredOn: "2026-03-20", record: sore }],
    [`GET /crews/${crew.id}/participation`]: participation,
    [`GET /crews/${crew.id}/ramps`]: [],
  });
  const section = () => screen.findByRole("region", { name: "Who starts otherwise" });
  it("nobody measured: says what would tell", async () => {
    open();
    await answer(1, FIRST(), BEST());
    expect(await section()).toHaveTextContent("Nobody was measured yet");
  });
  it("while what was found cannot be read nothing is composed, as everybody would start alike", async () => {
    let away = true;
    const known = measured()[`GET /crews/${crew.id}/known-records`];
    const { user } = open({
      ...measured(),
      [`GET /crews/${crew.id}/known-records`]: () => (away ? refusal(503, "busy", "The server is busy.") : known),
    });
    expect(await screen.findByText("The server is busy.")).toBeVisible();
    expect([asked.length, screen.queryByText(/Nobody was measured/)]).toEqual([0, null]);
    away = false;
    await user.click(screen.getByRole("button", { name: "Try again" }));
    await answer(1, proposal(["palm-away"], 0.3), proposal(["palm-away"], 0.8));
    expect(within(await section()).getByRole("group", { name: "Ann Early" })).toHaveTextContent(/6 of 10/);
  });
  it("of whoever has left neither asks the crew for anything", async () => {
    open({ [`GET /crews/${crew.id}/known-records`]: [{ personId: people[2]!.id, measuredOn: "2026-02-20", record: sore }] });
    const { input } = await question(1);
    open();
    expect(input.needs).toEqual((await question(2)).input.needs);
    open(measured());
    expect(input.needs).not.toEqual((await question(3)).input.needs);
  });
  it("where the crew works in two ways it is asked for what that comes to a person, and not for the first way alone", async () => {
    const [first, second] = [taskFrom(TASK_STARTERS[0]), taskFrom(TASK_STARTERS[3])];
    const both = withTask(withTask({ tasks: [], days: [] }, first, 480), second, 480);
    const way = (id: string, taskId: string, personIds: string[]) => ({ id, name: id, parts: [{ taskId, minutes: 300 }], personIds });
    const asks = async (number: number, days: object[]) => {
      open({ [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { ...both, days } } });
      return (await question(number)).input.needs.map(({ need }) => Math.round(need));
    };
    const alone = await asks(1, [way("a", first.id, [])]);
    expect(await asks(2, [way("a", first.id, []), way("b", second.id, [])])).toEqual(alone);
    expect(await asks(3, [way("a", first.id, []), way("b", second.id, [bo!.id])])).not.toEqual(alone);
  });
  it("is listed with why, set when the program is made, and not where it was declined", async () => {
    const made = sampleProgram(crew.id);
    const { server, user } = open({ ...measured(), [`POST /crews/${crew.id}/programs`]: made });
    await answer(1, proposal(["palm-away", "palm-up-draw"], 0.3), proposal(["palm-away", "palm-up-draw"], 0.8));
    const mine = within(await section()).getByRole("group", { name: "Ann Early" });
    expect(mine).toHaveTextContent(/Palm-away stretch, .*right wrist flexors felt, 6 of 10/i);
    expect(await section()).toHaveTextContent("1 of 2 people");
    const [first] = within(mine).getAllByRole("button", { name: "Easier", pressed: true });
    await user.click(first!);
    await waitFor(() => expect(make()).toBeEnabled());
    await user.click(make());
    await waitFor(() => expect(server.calls("POST")).toHaveLength(1));
    const { items } = (server.calls("POST")[0]!.body as { program: Program }).program.sessions[0]!;
    expect(items.map(({ personal }) => Object.keys(personal))).toEqual([[], [ann!.id]]);
  });
  it("who is held out is one line", async () => {
    open(measured([{ personId: bo!.id, heldOut: true, outOf: [], cappedRegions: [], shortOfEndDeg: null }]));
    await answer(1, FIRST(), BEST());
    const theirs = await within(await section()).findByRole("group", { name: "Bo Late" });
    expect(theirs).toHaveTextContent("Held out of everything until cleared");
    expect(within(theirs).queryByRole("button")).toBeNull();
  });
});

it("without any work there is nothing to argue from: it leads there", async () => {
  open({ [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { tasks: [], days: [] } } });
  expect(await screen.findByRole("link", { name: "Go to Work" })).toHaveAttribute("href", `/crews/${crew.id}/work`);
  expect(asked).toEqual([]);
});

describe("at home and on days off", () => {
  const alone = (slot: "home" | "offDay", fresh: string[]): BesideSession => ({
    session: { ...sampleSession(["shake-out", "palm-away"], { name: "Alone" }), slot },
    sec: 290,
    regions: ["wristExtensors", "thumbBase"],
    fresh,
  });
  const section = () => screen.findByRole("region", { name: "At home and on days off" });

  it("shows what could go along and what is new in it; only what is marked comes into the program", async () => {
    beside = [alone("home", []), alone("offDay", ["palm-away"])];
    const created = sampleProgram(crew.id);
    const { server, user } = open({ [`POST /crews/${crew.id}/programs`]: created });
    await answer(1, FIRST(), BEST());
    const list = within(await section());
    expect(await list.findByRole("group", { name: "At home" })).toHaveTextContent(
      /4 min 50 s.*wrist extensors and thumb base.*Nothing new to learn/,
    );
    expect(list.getByRole("group", { name: "Day off" })).toHaveTextContent(/New: Palm-away stretch/);
    await user.click(list.getByRole("button", { name: "Day off" }));
    await user.click(make());
    await waitFor(() => expect(server.calls("POST")).toHaveLength(1));
    const { program } = server.calls("POST")[0]!.body as { program: { sessions: { slot: string }[] } };
    expect(program.sessions.map(({ slot }) => slot)).toEqual(["preShift", "offDay"]);
  });

  it("says so where nothing can be done there", async () => {
    open();
    await answer(1, FIRST(), BEST());
    expect(await section()).toHaveTextContent(/Nothing that is needed can be done without the site/);
  });
});
