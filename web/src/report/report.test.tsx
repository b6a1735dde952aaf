/** The report: nothing yet, closed blocks, figures that are withheld, and what an employer contact sees. */
import { screen, within } from "@testing-library/react";
import type { ReportEntry } from "@kind-grip/core/api";
import type { CrewFigures } from "@kind-grip/core/followup";
import { sampleCrew } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { CrewReport } from "./CrewReport";

const crew = sampleCrew();
const withheld: CrewFigures = {
  people: null,
  adherence: null,
  secPerPersonDay: null,
  meanEffort: null,
  morningsRaised: null,
  minutesGiven: null,
  reported: null,
  workStrain: null,
  morningsChange: null,
};
const figures: CrewFigures = { ...withheld, people: 9, adherence: 0.64, secPerPersonDay: 222, meanEffort: 3.5, morningsRaised: 0.1 };
const report = (change: Partial<ReportEntry> = {}): ReportEntry =>
  ({
    crew: { name: crew.name, trade: crew.trade },
    blocks: [],
    changes: [],
    firstAid: null,
    next: { from: "2026-03-02", until: "2026-03-29", readableOn: "2026-04-06" },
    ...change,
  }) as ReportEntry;
const open = (answer: object) => {
  new TestServer({ ...SIGNED_IN, [`GET /crews/${crew.id}/report`]: answer });
  return showPage(<CrewReport crewId={crew.id} />);
};
const rowsOf = (table: HTMLElement) =>
  within(table)
    .getAllByRole("row")
    .slice(1)
    .map((row) =>
      within(row)
        .getAllByRole("cell")
        .concat(within(row).queryAllByRole("rowheader"))
        .map((cell) => cell.textContent),
    );

it("before four weeks are closed it says when there will be one, and what is waited for", async () => {
  open(report());
  expect(await screen.findByText("The first report is here on 6 April")).toBeInTheDocument();
  expect(screen.getByText("It covers 2 March to 29 March, and 7 days are left for what arrives late.")).toBeInTheDocument();
  expect(screen.queryByRole("table")).toBeNull();
});

it("the latest block stands large, all of them in a table, newest first", async () => {
  open(
    report({
      blocks: [
        { from: "2026-02-02", until: "2026-03-01", figures },
        { from: "2026-01-05", until: "2026-02-01", figures: { ...figures, people: 11, adherence: 0.82 } },
      ] as ReportEntry["blocks"],
    }),
  );
  expect(await screen.findByText("Roofing. Four weeks from 2 February to 1 March.")).toBeInTheDocument();
  const table = screen.getByRole("table", { name: "Four weeks at a time" });
  const texts = rowsOf(table).map((cells) => cells.join(" "));
  expect(texts[0]).toMatch(/2 February to 1 March/);
  expect(texts[0]).toMatch(/9.*64.%.*3\.7.*3\.5.*10.%/);
  expect(texts[1]).toMatch(/11.*82.%/);
});

it("what fewer than five people would show is a dash, in the row and in the large figures", async () => {
  open(report({ blocks: [{ from: "2026-02-02", until: "2026-03-01", figures: withheld }] as ReportEntry["blocks"] }));
  const table = await screen.findByRole("table");
  expect(rowsOf(table)[0]!.filter((cell) => cell === "–")).toHaveLength(5);
  expect(screen.queryByText(/NaN|null|undefined/)).toBeNull();
});

describe("before and after", () => {
  const measured = (changes: object[]) =>
    report({ changes: [{ first: "Baseline", last: "Re-measure", on: "2026-03-20", changes }] } as Partial<ReportEntry>);
  const line = async (name: string) => (await screen.findByRole("listitem", { name })).textContent;

  it("what was measured twice is told with its sign, its unit and how sure it is, never with a name", async () => {
    open(
      measured([
        { measure: "grip", people: 8, mean: 1.8, low: 0.4, high: 3.2 },
        { measure: "range", people: 7, mean: -2, low: -6, high: 2 },
        { measure: "function", people: 6, mean: 0, low: null, high: null },
      ]),
    );
    expect(await line("Grip")).toMatch(/Re-measure, 20 March, against Baseline; 8 people\+1\.8 kg: betterfrom \+0\.4 kg to \+3\.2 kg/);
    expect(await line("Range of motion")).toMatch(/−2 °: cannot be told yetfrom −6 ° to \+2 °/);
    expect(await line("Function test")).toMatch(/[^+−]0 of 10 easierHow sure was not told when this was given out\./);
  });
  it("fewer raised mornings are better, and fewer first-aid cases; a rate without cases before has no upper end", async () => {
    const change = { people: 9, mean: -0.2, low: -0.3, high: -0.1 };
    const block = { from: "2026-02-02", until: "2026-03-01", figures: { ...figures, morningsChange: change } };
    const rates = { before: { cases: 0, personDays: 1000 }, after: { cases: 2, personDays: 500 } };
    const firstAid = {
      since: "2025-09-01",
      blocks: [],
      change: { programSince: "2026-01-05", ...rates, change: { ratio: null, low: 0.4, high: null } },
    };
    open(report({ blocks: [block], firstAid }));
    expect(await line("Mornings above usual")).toMatch(/−20 in 100 mornings: better/);
    expect(await line("First-aid cases by days at work")).toMatch(
      /0 cases in 1000 days before, 2 in 500 since 5 Januarynone before: cannot be told yetfrom 0\.4 times up, without an end/,
    );
  });
  it("with nothing to compare it says what it takes", async () => {
    open(report());
    expect(await screen.findByText(/Nothing can be told yet/)).toBeInTheDocument();
  });
});

describe("what the program did", () => {
  const first = {
    from: "2026-01-05",
    until: "2026-02-01",
    figures: { ...figures, minutesGiven: 800, workStrain: 20.1, reported: { people: null, regions: [] } },
  };
  const second = {
    from: "2026-02-02",
    until: "2026-03-01",
    figures: { ...figures, minutesGiven: 1400, reported: { people: 7, regions: [{ region: "thumbBase" as const, people: 5 }] } },
  };
  const before = {
    from: "2025-12-08",
    until: "2026-01-04",
    cases: 3,
    byRegion: [
      { region: "thumbBase" as const, cases: 2 },
      { region: null, cases: 1 },
    ],
  };
  const rowNamed = async (name: string) => {
    const table = await screen.findByRole("table", { name: "" });
    const row = within(table).getByRole("row", { name: new RegExp(`^${name}`) });
    return within(row)
      .getAllByRole("cell")
      .map(({ textContent }) => textContent);
  };
  it("stands four weeks beside four weeks, from before it began, oldest first; what is not known is a dash", async () => {
    open(report({ blocks: [second, first], firstAid: { since: "2025-12-01", blocks: [before], change: null } }));
    expect(await rowNamed("Minutes given to all")).toEqual(["–", "800", "1400"]);
    expect(await rowNamed("Strain of the work")).toEqual(["–", "20.1", "–"]);
    expect(await rowNamed("People who told of a symptom")).toEqual(["–", "fewer than 5", "7\nBase of the thumb: 5"]);
    expect(await rowNamed("First-aid cases")).toEqual(["3\nBase of the thumb: 2\nplace not said: 1", "–", "–"]);
    expect(screen.getByRole("columnheader", { name: /5 Jan\s*program began/ })).toBeInTheDocument();
  });
  it("leaves out what nothing is known of", async () => {
    open(report({ blocks: [{ ...first, figures: { ...withheld, minutesGiven: 100 } }] }));
    expect(await rowNamed("Minutes given to all")).toEqual(["100"]);
    expect(screen.queryByRole("row", { name: /First-aid cases/ })).toBeNull();
  });
});

it("prints, and goes out as paper, workbook and CSV", async () => {
  const print = jest.fn();
  globalThis.print = print;
  const { user } = open(report());
  await user.click(await screen.findByRole("button", { name: "Print" }));
  expect(print).toHaveBeenCalled();
  for (const [name, ending] of [
    ["PDF", "pdf"],
    ["Workbook (XLSX)", "xlsx"],
    ["CSV", "csv"],
  ])
    expect(screen.getByRole("link", { name })).toHaveAttribute("href", `/api/crews/${crew.id}/report.${ending}`);
});

it("a crew that is not theirs is said, and nothing else is shown", async () => {
  open(refusal(404, "notFound", "There is no such crew."));
  expect(await screen.findByText("There is no such crew.")).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: "Print" })).toBeNull();
});
