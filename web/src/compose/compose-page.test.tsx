/** Composing: a first answer, a better one in its place, what is locked or not wanted, and the program it becomes. */
import { act, screen, waitFor, within } from "@testing-library/react";
import type { ComposeInput, Proposal } from "@kind-grip/core/compose";
import { TASK_STARTERS } from "@kind-grip/core/strain";
import { DEFAULT_STYLE } from "@kind-grip/core/library";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import { taskFrom, withTask } from "../work/new-task";
import ComposePage from "./ComposePage";

/** What was asked of the composer, and the answers that a test gives when it wants to. */
const asked: { input: ComposeInput; first(answer?: Proposal): void; best(answer?: Proposal): void }[] = [];
jest.mock("@kind-grip/core/compose", () => ({
  ...jest.requireActual<object>("@kind-grip/core/compose"),
  composer: (input: ComposeInput) => {
    const given: { first?(answer?: Proposal): void; best?(answer?: Proposal): void } = {};
    const answers = {
      first: new Promise<Proposal | undefined>((give) => (given.first = give)),
      best: new Promise<Proposal | undefined>((give) => (given.best = give)),
    };
    asked.push({ input, first: given.first!, best: given.best! });
    return { first: () => answers.first, best: () => answers.best };
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
    unmet: [],
    covered,
    places: new Map(session.items.map((item) => [item.id, { slot: "preShift", movementId: item.movementId, share: 1 }])),
    gap,
  };
}
const FIRST = () => proposal(["shake-out", "palm-away"], 0.6);
const BEST = () => proposal(["shake-out", "palm-up-draw"], 0.8);

beforeEach(() => {
  asked.length = 0;
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
  expect(status()).toContain("60 %");
  await act(async () => best(BEST()));
  await waitFor(() => expect(status()).toContain("Proven best"));
  expect(status()).toContain("80 %");
  const session = within(screen.getByRole("region", { name: "Warm-up" }));
  expect(session.getAllByText("For wrist extensors 42", { exact: false })).toHaveLength(2);
});

it("a search that ran out of time never takes the better first answer away", async () => {
  open();
  await answer(1, BEST(), FIRST());
  await waitFor(() => expect(status()).toContain("80 %"));
  expect(status()).not.toContain("60 %");
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

describe("making it a program", () => {
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
});

it("without any work there is nothing to argue from: it leads there", async () => {
  open({ [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { tasks: [], days: [] } } });
  expect(await screen.findByRole("link", { name: "Go to Work" })).toHaveAttribute("href", `/crews/${crew.id}/work`);
  expect(asked).toEqual([]);
});
