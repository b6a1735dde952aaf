/** The report: nothing yet, closed blocks, figures that are withheld, and what an employer contact sees. */
import { screen, within } from "@testing-library/react";
import type { ReportEntry } from "@kind-grip/core/api";
import { sampleCrew } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { CrewReport } from "./CrewReport";

const crew = sampleCrew();
const figures = { people: 9, adherence: 0.64, secPerPersonDay: 222, meanEffort: 3.5, morningsRaised: 0.1 };
const withheld = { people: null, adherence: null, secPerPersonDay: null, meanEffort: null, morningsRaised: null };
const report = (change: Partial<ReportEntry> = {}): ReportEntry =>
  ({
    crew: { name: crew.name, trade: crew.trade },
    blocks: [],
    changes: [],
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

it("what was measured twice is told with its sign and unit, never with a name", async () => {
  open(
    report({
      changes: [
        {
          first: "Baseline",
          last: "Re-measure",
          on: "2026-03-20",
          changes: [
            { measure: "grip", people: 8, mean: 1.8 },
            { measure: "range", people: 7, mean: -2 },
            { measure: "function", people: 6, mean: 0 },
          ],
        },
      ],
    } as Partial<ReportEntry>),
  );
  const table = await screen.findByRole("table", { name: "Measured twice: Baseline against Re-measure, 20 March" });
  expect(rowsOf(table).map((cells) => cells.join("|"))).toEqual([
    expect.stringContaining("+1.8 kg"),
    expect.stringContaining("−2 °"),
    expect.stringMatching(/[^+−]0 points easier/),
  ]);
});

it("prints, and goes out as CSV", async () => {
  const print = jest.fn();
  globalThis.print = print;
  const { user } = open(report());
  await user.click(await screen.findByRole("button", { name: "Print" }));
  expect(print).toHaveBeenCalled();
  expect(screen.getByRole("link", { name: "CSV" })).toHaveAttribute("href", `/api/crews/${crew.id}/report.csv`);
});

it("a crew that is not theirs is said, and nothing else is shown", async () => {
  open(refusal(404, "notFound", "There is no such crew."));
  expect(await screen.findByText("There is no such crew.")).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: "Print" })).toBeNull();
});
