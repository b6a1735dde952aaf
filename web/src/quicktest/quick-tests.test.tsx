/** Before and after: chosen for a crew, asked before a run and after it, told as what the pairs tell. */
import { screen, waitFor, within } from "@testing-library/react";
import { useState } from "react";
import type { QuickSeries, QuickTestsEntry } from "@kind-grip/core/api";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { samplePerson } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { QuickBefore } from "./QuickBefore";
import { quickResult, withReading, type QuickReadings } from "./quick-readings";
import { QuickTestRuleForm } from "./QuickTestRuleForm";
import { QuickTests } from "./QuickTests";
import { pairedText } from "./words";

const people = ["Ann Early", "Bo Late"].map((name) => samplePerson({ name }));
const [ann, bo] = people.map(({ id }) => id) as [string, string];

describe("the crew's test", () => {
  const open = (put: object = { test: "bentBack" }) => {
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /crews/crew/quick-test": () => (server.calls("PUT").length > 0 && !("status" in put) ? put : { test: null }),
      "PUT /crews/crew/quick-test": put,
    });
    return { server, ...showPage(<QuickTestRuleForm crewId="crew" />) };
  };
  it("is chosen in one press, and says how it is done", async () => {
    const { user, server } = open();
    await user.click(await screen.findByRole("radio", { name: "Wrist bent back on a wall" }));
    expect(await screen.findByText(/Palm flat on a wall/)).toBeVisible();
    expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ test: "bentBack" }]);
    expect(screen.queryByRole("radio", { name: "Tingling now" })).toBeNull();
  });
  it("that could not be kept is said", async () => {
    const { user } = open(refusal(503, "away", "The server is away."));
    await user.click(await screen.findByRole("radio", { name: "Twist a tight lid" }));
    expect(await screen.findByRole("alert")).toHaveTextContent("The server is away.");
    expect(screen.getByRole("radio", { name: "Nothing" })).toBeChecked();
  });
});

describe("before a run", () => {
  let latest: QuickReadings = {};
  function Asked({ test }: { test: QuickTest }) {
    const [readings, setReadings] = useState<QuickReadings>({});
    latest = readings;
    return <QuickBefore test={test} people={people} readings={readings} onReadings={setReadings} />;
  }
  it("each says a number, whoever does not is left out; how many did is on the button", async () => {
    const { user } = showPage(<Asked test="twistLid" />);
    await user.click(screen.getByRole("button", { name: "Before and after: twist a tight lid" }));
    const dialog = within(screen.getByRole("dialog", { name: "Before: Twist a tight lid" }));
    await user.click(dialog.getByRole("button", { name: "Bo Late, before: 6" }));
    await user.click(dialog.getByRole("button", { name: "Done" }));
    expect(await screen.findByRole("button", { name: "Before: 1 of 2" })).toBeVisible();
    expect([quickResult("twistLid", latest, ann), quickResult("twistLid", latest, bo)]).toEqual([
      null,
      { test: "twistLid", before: 6, after: null },
    ]);
  });
  it("grip is typed where there is no meter, with a comma too; what cannot be read is said and kept out", async () => {
    new TestServer({ ...SIGNED_IN, "GET /meter": { address: null } });
    const { user } = showPage(<Asked test="grip" />);
    await user.click(screen.getByRole("button", { name: /Before and after/ }));
    const field = screen.getByRole("textbox", { name: "Ann Early, before" });
    await user.type(field, "31,5");
    expect(quickResult("grip", latest, ann)).toEqual({ test: "grip", before: 31.5, after: null });
    await user.clear(field);
    await user.type(field, "strong");
    expect(screen.getByText("is not a weight")).toBeVisible();
    expect(quickResult("grip", latest, ann)).toBeNull();
  });
});

it("readings stay under their person, before and after by themselves", () => {
  const both = withReading(withReading(withReading({}, ann, "before", 5), bo, "before", 3), ann, "after", 4);
  expect([quickResult("twistLid", both, ann), quickResult("twistLid", both, bo), quickResult(null, both, ann)]).toEqual([
    { test: "twistLid", before: 5, after: 4 },
    { test: "twistLid", before: 3, after: null },
    null,
  ]);
});

describe("what the pairs tell", () => {
  const gain = (mean: number, low: number, high: number) => ({ mean, low, high });
  it.each([
    [{ verdict: "better", gain: gain(0.84, 0.5, 1.2), pairs: 27, noise: 2 }, "Better after by 0.8 as a rule (0.5 to 1.2), 27 runs."],
    [{ verdict: "worse", gain: gain(-1, -1.5, -0.5), pairs: 8, noise: 2 }, "Worse after by 1 as a rule (0.5 to 1.5), 8 runs."],
    [{ verdict: "same", gain: gain(0.1, -0.24, 0.4), pairs: 29, noise: 2 }, "No difference that can be told: 0.1 (−0.2 to 0.4), 29 runs."],
    [{ verdict: "tooFew", gain: null, pairs: 1, noise: 2 }, "1 run with both readings: too few to tell."],
  ] as const)("%o", (answer, text) => expect(pairedText("twistLid", answer, "runs")).toBe(text));

  const series = (personGain: number): QuickSeries => ({
    test: "twistLid",
    runs: [1, 2].map((i) => ({ runId: samplePerson({}).id, at: `2026-03-2${i}T07:00:00.000Z`, before: 5, after: 5 - personGain })),
    answer: { pairs: 2, gain: null, verdict: "tooFew", noise: 2 },
  });
  const open = (entry: QuickTestsEntry, personId?: string) => {
    new TestServer({ ...SIGNED_IN, [`GET /crews/crew/quick-tests${personId ? `?personId=${personId}` : ""}`]: entry });
    return showPage(<QuickTests crewId="crew" people={people} personId={personId} />);
  };
  const entry: QuickTestsEntry = {
    people: [
      { personId: bo, series: [series(-1)] },
      { personId: ann, series: [series(1)] },
    ],
    crew: [{ test: "twistLid", answer: { verdict: "better", gain: gain(0.3, 0.1, 0.6), pairs: 12, noise: 2 } }],
  };
  it("the crew first, then everybody by name, with the way to their page", async () => {
    open(entry);
    expect(await screen.findByText("Better after by 0.3 as a rule (0.1 to 0.6), 12 people.")).toBeVisible();
    expect(screen.getAllByRole("link").map(({ textContent }) => textContent)).toEqual(["Ann Early", "Bo Late"]);
    const [better, worse] = screen.getAllByRole("img");
    expect([better!.querySelectorAll("circle").length, worse!.querySelectorAll("circle").length]).toEqual([2, 0]);
  });
  it("on a person's page only their own, without the crew", async () => {
    open({ people: [entry.people[1]!], crew: [] }, ann);
    expect(await screen.findByText("2 runs with both readings: too few to tell.")).toBeVisible();
    expect(screen.queryByRole("link")).toBeNull();
    expect(screen.queryByText(/12 people/)).toBeNull();
  });
  it("what could not be read is said, with a way to try again", async () => {
    new TestServer({ ...SIGNED_IN, "GET /crews/crew/quick-tests": refusal(503, "away", "The server is away.") });
    showPage(<QuickTests crewId="crew" people={people} />);
    expect(await screen.findByText("The server is away.")).toBeVisible();
    expect(screen.getByRole("button", { name: "Try again" })).toBeVisible();
  });
  it("nothing was taken: nothing is shown", async () => {
    open({ people: [], crew: [] });
    await waitFor(() => expect(screen.queryByRole("heading")).toBeNull());
  });
});
