/** Progress of a crew: attendance and effort, a block looked back on, and what the next one should be. */
import { screen, waitFor, within } from "@testing-library/react";
import type { Progress } from "@kind-grip/core/api";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { patternPreset } from "@kind-grip/core/calendar";
import { taskFrom, withTask } from "../work/new-task";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId } from "../testing/sample";
import type { Answers } from "../testing/screen";
import type { PlotColours } from "../parts/Plot";
import ProgressPage from "./ProgressPage";

/** What a chart was asked to draw, instead of the drawing. */
const drawn: Record<string, { x: unknown[]; y: unknown[] }> = {};
jest.mock("../parts/Plot", () => ({
  plotAxis: () => ({}),
  Plot: ({ label, draw }: { label: string; draw(colours: PlotColours): { data: { name: string; x: unknown[]; y: unknown[] }[] } }) => {
    for (const { name, x, y } of draw({} as PlotColours).data) drawn[name] = { x, y };
    return <p>{label}</p>;
  },
}));

const crew = sampleCrew({ timeZone: "America/New_York", shiftPattern: patternPreset("weekdays", "2026-03-02") });
const DAY_MS = 86_400_000;
const FIRST_MS = Date.parse("2026-03-10T13:00:00Z");

const run = (day: number, change: Partial<Progress["runs"][number]> = {}): Progress["runs"][number] => ({
  runId: sampleId(),
  startedAtMs: FIRST_MS + day * DAY_MS,
  present: 8,
  expected: 10,
  meanEffort: 2,
  answers: 8,
  sessionName: "Warm-up",
  ...change,
});
const person = (name: string, change: Partial<Progress["people"][number]> = {}): Progress["people"][number] => ({
  personId: sampleId(),
  name,
  runs: 10,
  present: 9,
  presentShare: 0.9,
  meanEffort: 2.4,
  answers: 8,
  marks: 0,
  ...change,
});
const progress = (runs: Progress["runs"], people: Progress["people"] = []): Progress => ({ days: 28, runs, people, efforts: [] });
const review = (change: Partial<ReviewAnswer> = {}): ReviewAnswer => ({
  from: "2026-03-02",
  until: "2026-03-29",
  days: [
    { day: "2026-03-10", people: 8, minPerPerson: 6, itemsDue: 40, itemsDone: 36, meanEffort: 2, meanMorning: null, mornings: 0 },
    { day: "2026-03-11", people: 8, minPerPerson: 5, itemsDue: 40, itemsDone: 30, meanEffort: null, meanMorning: 1.5, mornings: 4 },
  ],
  adherence: 0.825,
  raised: 0.1,
  answers: 4,
  people: [],
  rounds: null,
  rises: [],
  next: { aim: "reliefLed", weeks: 4, shorter: false, reasons: [{ reason: "notMeasured" }] },
  ...change,
});

const open = (search: string, answers: Answers) =>
  showCrewPage(<ProgressPage />, "progress", {
    crew,
    search,
    answers: { [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { tasks: [], days: [] } }, ...answers },
  });
const figure = async (label: string | RegExp) => (await screen.findByText(label)).previousElementSibling!.textContent;

describe("figures", () => {
  const ask = `GET /crews/${crew.id}/progress`;
  it("effort is the mean of answers, not of runs; attendance that of everybody expected", async () => {
    open("?view=figures", { [ask]: progress([run(0, { meanEffort: 2, answers: 9 }), run(1, { meanEffort: 6, answers: 1, present: 4 })]) });
    expect(await figure("effort of 10, from 10 answers")).toBe("2.4");
    expect(await figure("came, on average")).toBe("60 %");
    expect(await figure("runs")).toBe("2");
  });
  it("too few answers make no trend; a steady rise of 0.1 a day is 0.70 a week", async () => {
    const rising = Array.from({ length: 8 }, (_, day) => run(day, { meanEffort: 2 + day * 0.1 }));
    const few = open("?view=figures", { [ask]: progress(rising.slice(0, 2)) });
    expect(await figure(/^no trend under/)).toBe("–");
    few.unmount();
    open("?view=figures", { [ask]: progress(rising) });
    expect(await figure("effort a week, least squares")).toBe("+0.70");
    expect(drawn["Trend"]!.y).toEqual([expect.closeTo(2, 6), expect.closeTo(2.7, 6)]);
  });
  it("runs stand at the crew's own time, and one without an answer has no effort", async () => {
    open("?view=figures", { [ask]: progress([run(0), run(1, { meanEffort: null, answers: 0 })]) });
    await figure("runs");
    expect(drawn["Came"]!.x).toEqual(["2026-03-10 09:00", "2026-03-11 09:00"]);
    expect(drawn["Effort, mean of the run"]!.x).toEqual(["2026-03-10 09:00"]);
  });
  it("people stand with what they came to, and who marked something stands out", async () => {
    open("?view=figures", {
      [ask]: progress([run(0)], [person("Ann Early"), person("Bo Late", { present: 3, presentShare: 0.3, meanEffort: null, marks: 2 })]),
    });
    const rows = (await screen.findAllByRole("row")).slice(1);
    expect(rows.map((row) => within(row).getAllByRole("cell").at(-1)!.textContent)).toEqual(["–", "2"]);
    expect(rows[1]).toHaveTextContent("3 of 10");
  });
  it("another time is asked for and shown in place; nothing led says so", async () => {
    const { server, user } = open("?view=figures", { [`${ask}?days=28`]: progress([run(0)]), [`${ask}?days=84`]: progress([]) });
    expect(await figure("run")).toBe("1");
    await user.click(screen.getByRole("radio", { name: "12 weeks" }));
    expect(await screen.findByText("No run in this time")).toBeInTheDocument();
    expect(server.calls("GET").filter(({ call }) => call.includes("progress?"))).toHaveLength(2);
  });
});

describe("review", () => {
  const ask = `GET /crews/${crew.id}/review`;
  const weeks = (answer: ReviewAnswer) => ({ [ask]: answer });
  it("days without an answer of a morning leave a gap instead of a nought", async () => {
    open("?view=review", weeks(review()));
    expect(await figure("of the items due were done")).toBe("83\u00a0%");
    expect(drawn["Morning, mean"]).toMatchObject({ x: ["2026-03-11"], y: [1.5] });
    expect(drawn["Effort, mean"]!.y).toEqual([2, null]);
    expect(drawn["Strain of the work"]!.x).toEqual([]);
  });
  it("nobody measured twice is not the same as nobody better", async () => {
    const first = open("?view=review", weeks(review()));
    expect(await figure("nobody measured twice")).toBe("–");
    first.unmount();
    const noise = { measure: "grip", side: "right", before: 40, after: 41, countsFrom: 5, verdict: "noise" } as const;
    const better = { ...noise, after: 48, verdict: "better" } as const;
    const row = { adherence: 0.9, meanEffort: 2.25, morningTrend: null, answers: 3, decisions: {} };
    open(
      "?view=review",
      weeks(
        review({
          rounds: { first: "Spring", last: "Autumn" },
          people: [
            { ...row, personId: sampleId(), name: "Ann Early", changes: [noise] },
            { ...row, personId: sampleId(), name: "Bo Late", changes: [better], morningTrend: -0.6, decisions: { progress: 2 } },
          ],
        }),
      ),
    );
    expect(await figure("people better beyond noise")).toBe("1");
    const [ann, bo] = (await screen.findAllByRole("row")).slice(1);
    expect(ann).toHaveTextContent("3 answers");
    expect(bo).toHaveTextContent("−0.6 points");
    expect(bo).toHaveTextContent("Grip R");
    expect(
      screen.getByText("Who changed, and why: each one's first round against what was last found, Spring to Autumn"),
    ).toBeInTheDocument();
  });
  it("the work's strain stands on the days of the shift pattern only", async () => {
    const work = withTask({ tasks: [], days: [] }, taskFrom(undefined), 480);
    const rise = {
      region: "wristExtensors",
      kind: "load",
      weekStart: "2026-03-09",
      againstWeek: "2026-02-16",
      before: 1,
      after: 1.3,
      rise: 0.3,
    };
    open("?view=review", {
      ...weeks(review({ rises: [rise as ReviewAnswer["rises"][number]] })),
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work },
    });
    await waitFor(() => expect(drawn["Strain of the work"]!.x).toHaveLength(20));
    expect(drawn["Strain of the work"]!.x).not.toContain("2026-03-14");
    const rises = screen.getByRole("region", { name: "Fast rises" });
    expect(rises).toHaveTextContent("+30 % over 16 February, with a pause between");
    expect(rises).toHaveTextContent(/strain of the work [\d.]+ on 5 days/);
  });
  it("the next block leads to composing it as it was argued", async () => {
    open(
      "?view=review",
      weeks(review({ next: { aim: "loadLed", weeks: 8, shorter: true, reasons: [{ reason: "tooLittleDone", adherence: 0.6 }] } })),
    );
    const next = within(await screen.findByRole("region", { name: "Next block" }));
    expect(next.getByRole("heading")).toHaveTextContent("Next: 8 weeks, load-led, shorter sessions");
    expect(next.getByText(/60 % of what was due was done/)).toBeInTheDocument();
    expect(next.getByRole("link", { name: "Compose it" })).toHaveAttribute("href", `/crews/${crew.id}/program/compose?aim=loadLed&weeks=8`);
  });
  it("weeks are chosen, and weeks without a run say so", async () => {
    const { user } = open("?view=review", { [`${ask}?weeks=8`]: review(), [`${ask}?weeks=4`]: review({ days: [] }) });
    await screen.findByRole("region", { name: "Next block" });
    await user.click(screen.getByRole("radio", { name: "4 weeks" }));
    expect(await screen.findByText("No run in these weeks")).toBeInTheDocument();
  });
});
