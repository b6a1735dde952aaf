/** People measured twice: begun from a round, measured blind, and what it says of the practice's measuring. */
import { screen, waitFor, within } from "@testing-library/react";
import type { MeasuringEntry, RoundEntry } from "@kind-grip/core/api";
import { emptyRecord, type BaselineRecord, type OwnNoise } from "@kind-grip/core/baseline";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import MeasuringPage from "./MeasuringPage";
import RoundPage from "./RoundPage";
import RoundsPage from "./RoundsPage";

const crew = sampleCrew();
const people = ["Ada Fenn", "Bo Marsh", "Cy Rill"].map((name) => samplePerson({ name }));
const [first, second] = ["11", "22"].map((n) => `019d0000-0000-7000-8000-0000000000${n}`) as [string, string];
const round = (change: Partial<RoundEntry>): RoundEntry => ({
  id: first,
  crewId: crew.id,
  name: "March",
  startedOn: "2026-03-19",
  closed: false,
  asksOnPhones: false,
  repeats: null,
  begun: 2,
  finished: 2,
  ...change,
});
const own: OwnNoise = {
  people: 11,
  standardError: 2.83,
  low: 1.98,
  high: 4.97,
  countsFrom: 8,
  countsFromShare: 0,
  firstOn: "2026-03-02",
  lastOn: "2026-03-09",
};
const found = (change: Partial<MeasuringEntry["found"][number]> = {}): MeasuringEntry["found"][number] => ({
  measure: "wristFlexion",
  people: 11,
  values: Array.from({ length: 11 }, (_, i) => ({
    person: i + 1,
    side: i % 2 ? ("left" as const) : ("right" as const),
    first: 60,
    second: i === 0 ? 70 : 62,
  })),
  shift: 2.4,
  isShifted: false,
  own,
  ...change,
});
const entry = (change: Partial<MeasuringEntry> = {}): MeasuringEntry => ({
  used: {},
  chosen: [],
  found: [found()],
  sittings: [
    {
      roundId: second,
      crew: { id: crew.id, name: "Oyster line" },
      first: { name: "March", on: "2026-03-02" },
      second: { name: "Again", on: "2026-03-09" },
      people: 11,
      isApart: true,
    },
  ],
  ...change,
});

describe("what it says", () => {
  const open = (...answers: MeasuringEntry[]) => {
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /practice/measuring": () => answers[Math.min(server.calls("POST").length, answers.length - 1)]!,
      "POST /practice/measuring": () => answers.at(-1)!,
    });
    return { server, ...showPage(<MeasuringPage />, { at: "/practice/measuring" }) };
  };
  const row = (name: string) => within(screen.getByRole("heading", { name }).closest("li")!);

  it("nobody twice: what to do, and that the usual rules hold", async () => {
    open(entry({ found: [], sittings: [] }));
    expect(await screen.findByRole("heading", { name: "Nobody is measured twice yet" })).toBeVisible();
    expect(screen.getByText(/10 people or more .* 1 to 28 days/)).toBeVisible();
  });
  it("enough for one measure: its error with its interval, the rule that holds, and what would hold; others keep theirs", async () => {
    open(entry());
    expect(await screen.findByText("The usual rules hold.")).toBeVisible();
    expect(row("Wrist bends forward").getByText("Counts from 10°, the usual rule")).toBeVisible();
    expect(
      row("Wrist bends forward").getByText("A reading is 2.8° off as a rule (2° to 5°). By your own noise it would count from 8°."),
    ).toBeVisible();
    expect(
      row("Wrist bends forward").getByRole("img", { name: "Wrist bends forward: 11 readings taken twice, 1 of them apart by 8° or more." }),
    ).toBeVisible();
    expect(row("Grip").getByText("nobody twice")).toBeVisible();
    expect(row("Grip").getByText("Counts from 6.0 kg, the usual rule")).toBeVisible();
  });
  it("too few people: how many there are, and nothing to choose", async () => {
    open(entry({ found: [found({ people: 6, own: undefined })] }));
    expect(await screen.findByText("6 of 10 people")).toBeVisible();
    expect(screen.queryByRole("button", { name: /Use your own/ })).toBeNull();
    expect(screen.getByText(/From 10 people measured twice on/)).toBeVisible();
  });
  it("is chosen, says since when and by whom, and is taken back", async () => {
    const chosen = { id: second, on: "2026-03-26", by: "Maren", own: true };
    const { user, server } = open(entry(), entry({ used: { wristFlexion: own }, chosen: [chosen] }));
    await user.click(await screen.findByRole("button", { name: "Use your own for 1 measure" }));
    expect(await screen.findByText("Your own noise holds.")).toBeVisible();
    expect(screen.getByText(/Since 26 March 2026, by Maren/)).toBeVisible();
    expect(row("Wrist bends forward").getByText("Counts from 8°, your own noise")).toBeVisible();
    expect(screen.queryByRole("button", { name: /newer/ })).toBeNull();
    await user.click(screen.getByRole("button", { name: "Back to the usual rules" }));
    await waitFor(() => expect(server.calls("POST").map(({ body }) => (body as { own: boolean }).own)).toEqual([true, false]));
  });
  it("more people since: the newer figures are offered", async () => {
    open(entry({ used: { wristFlexion: { ...own, people: 10 } }, chosen: [{ id: second, on: "2026-03-26", by: "Maren", own: true }] }));
    expect(await screen.findByRole("button", { name: "Use the newer figures" })).toBeVisible();
  });
  it("a shift of everybody is said; sittings too far apart, and a colleague's crew", async () => {
    const far = { ...entry().sittings[0]!, crew: null, isApart: false };
    open(entry({ found: [found({ isShifted: true, shift: -3.2 })], sittings: [far] }));
    expect(await screen.findByText(/second sitting reads 3.2° lower, more than chance/)).toBeVisible();
    expect(screen.getByText(/A crew of a colleague/)).toBeVisible();
    expect(screen.getByText("Not 1 to 28 days apart: it does not count.")).toBeVisible();
  });
});

describe("a second sitting", () => {
  const rounds = (list: RoundEntry[]) =>
    showCrewPage(<RoundsPage />, "baseline", {
      crew,
      people,
      at: "baseline",
      answers: { [`GET /crews/${crew.id}/rounds`]: list, [`POST /crews/${crew.id}/rounds`]: (body: unknown) => round(body as RoundEntry) },
    });
  it("is begun from a round of the last four weeks, never asked on the phones", async () => {
    const { user, server } = rounds([round({})]);
    await user.click(await screen.findByRole("button", { name: "New round" }));
    const dialog = within(screen.getByRole("dialog"));
    await user.click(dialog.getByRole("radio", { name: "The same again" }));
    expect(dialog.getByRole("textbox", { name: "Name" })).toHaveValue("March, second sitting");
    expect(dialog.queryByText("Asked on their phones first")).toBeNull();
    await user.click(dialog.getByRole("button", { name: "Begin" }));
    await waitFor(() =>
      expect(server.calls("POST")[0]?.body).toMatchObject({ name: "March, second sitting", repeats: first, asksOnPhones: false }),
    );
  });
  it.each([
    ["longer ago", round({ startedOn: "2026-02-01" })],
    ["of nobody", round({ begun: 0 })],
    ["of today", round({ startedOn: "2026-03-26" })],
  ])("is not offered for a round %s", async (_, only) => {
    const { user } = rounds([only]);
    await user.click(await screen.findByRole("button", { name: "New round" }));
    expect(within(screen.getByRole("dialog")).queryByRole("radio")).toBeNull();
  });
  it("stands in the list as one, out of the people of its first", async () => {
    rounds([round({ id: second, name: "Again", repeats: first, begun: 1, finished: 1 }), round({})]);
    expect(await screen.findByText(/measures March a second time/)).toBeVisible();
    expect(screen.getByText("1 of 2 measured")).toBeVisible();
  });
  it("is of whoever was in the first, and shows nothing of what the first one read", async () => {
    const read = (deg: number): BaselineRecord => {
      const record = structuredClone(emptyRecord());
      record.range.wristFlexion.right.active = deg;
      return record;
    };
    const records = [people[0]!, people[1]!].map(({ id }) => ({
      personId: id,
      version: 1,
      changedAt: "2026-03-19T06:00:00.000Z",
      record: read(47),
    }));
    showCrewPage(<RoundPage />, "baseline/:roundId", {
      crew,
      people,
      at: `baseline/${second}`,
      answers: {
        [`GET /crews/${crew.id}/rounds`]: [round({ id: second, name: "Again", repeats: first, begun: 0, finished: 0 }), round({})],
        [`GET /rounds/${second}/records`]: [],
        [`GET /rounds/${first}/records`]: records,
        [`GET /crews/${crew.id}/participation`]: [],
      },
    });
    const list = within(await screen.findByRole("group", { name: "People of this round" }));
    expect(list.getAllByRole("button").map(({ textContent }) => textContent)).toEqual(["Ada Fenn", "Bo Marsh"]);
    expect(document.body.textContent).not.toContain("47");
    expect(screen.queryByText("Asked on their phones first")).toBeNull();
  });
});

it("a round of its own shows what was found of each last time, whichever round that was in", async () => {
  const record = structuredClone(emptyRecord());
  record.range.wristFlexion.right.active = 47;
  const known = `GET /crews/${crew.id}/known-records?before=${second}`;
  const { user } = showCrewPage(<RoundPage />, "baseline/:roundId", {
    crew,
    people,
    at: `baseline/${second}`,
    answers: {
      [`GET /crews/${crew.id}/rounds`]: [round({ id: second, name: "April", begun: 0, finished: 0 }), round({})],
      [`GET /rounds/${second}/records`]: [],
      [known]: [{ personId: people[0]!.id, measuredOn: "2026-01-05", record }],
    },
  });
  await user.click(await screen.findByRole("radio", { name: /^Range/ }));
  expect(await screen.findByRole("img", { name: /right.*last time 47°/i })).toBeInTheDocument();
});

it("whoever begins later is in the round already, and whoever has left is not", async () => {
  const crewThen = [
    ...people,
    samplePerson({ name: "Di Later", startedOn: "2026-04-06" }),
    samplePerson({ name: "Ed Gone", leftOn: "2026-03-25" }),
  ];
  showCrewPage(<RoundPage />, "baseline/:roundId", {
    crew,
    people: crewThen,
    at: `baseline/${first}`,
    answers: { [`GET /crews/${crew.id}/rounds`]: [round({ begun: 0, finished: 0 })], [`GET /rounds/${first}/records`]: [] },
  });
  const list = within(await screen.findByRole("group", { name: "People of this round" }));
  expect(list.getAllByRole("button").map(({ textContent }) => textContent)).toEqual(["Ada Fenn", "Bo Marsh", "Cy Rill", "Di Later"]);
});
