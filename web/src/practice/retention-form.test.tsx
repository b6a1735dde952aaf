/** A practice says how long it keeps what. */
import { screen, waitFor } from "@testing-library/react";
import type { RetentionEntry } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { RetentionForm } from "./RetentionForm";

const entry = (change: Partial<RetentionEntry> = {}): RetentionEntry => ({
  version: 2,
  rules: { healthMonths: 36, runsMonths: null, trailMonths: 30 },
  setByName: "Maren Holt",
  setAt: "2026-03-02T08:00:00.000Z",
  doneOn: "2026-03-26",
  ...change,
});
const show = (answers: Answers = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /practice/retention": entry(),
    "PUT /practice/retention": entry({ version: 3 }),
    ...answers,
  });
  const shown = showPage(
    <>
      <RetentionForm />
      <NoticeBar />
    </>,
  );
  return { server, ...shown };
};
const choose = async ({ user }: ReturnType<typeof show>, label: string, option: string) => {
  await user.click(await screen.findByRole("combobox", { name: label }));
  await user.click(await screen.findByRole("option", { name: option }));
};
const keep = () => screen.getByRole("button", { name: "Keep it this long" });

it("says what holds, who set it, when it was last done; what was set by hand is among the choices", async () => {
  const { user } = show();
  expect(await screen.findByRole("combobox", { name: "Health answers" })).toHaveTextContent("3 years");
  expect(screen.getByRole("combobox", { name: "Sessions that were led" })).toHaveTextContent("As long as the practice does");
  expect(screen.getByText(/Set by Maren Holt on 2 Mar 2026\. Last done on/)).toBeInTheDocument();
  expect(keep()).toBeDisabled();
  await user.click(screen.getByRole("combobox", { name: "The trail" }));
  const options = screen.getAllByRole("option").map((each) => each.textContent);
  expect(options).toEqual(["As long as the practice does", "1 year", "2 years", "30 months", "3 years", "5 years", "10 years"]);
});

it("warns of what is gone for good when it is shorter, not when it is longer, and sends what holds", async () => {
  const page = show();
  await choose(page, "Health answers", "5 years");
  expect(screen.queryByText(/gone for good within a day/)).toBeNull();
  await choose(page, "Sessions that were led", "2 years");
  expect(screen.getByText(/gone for good within a day/)).toBeInTheDocument();
  await page.user.click(keep());
  await waitFor(() =>
    expect(page.server.calls("PUT").map(({ body }) => body)).toEqual([
      { version: 2, rules: { healthMonths: 60, runsMonths: 24, trailMonths: 30 } },
    ]),
  );
  expect(await screen.findByText("Kept. What is older goes from now on.")).toBeInTheDocument();
});

it("what the server refuses is said, and what was chosen stays", async () => {
  const page = show({ "PUT /practice/retention": refusal(503, "databaseAway", "The database is away.") });
  await choose(page, "Health answers", "6 months");
  await page.user.click(keep());
  expect(await screen.findByRole("alert")).toHaveTextContent("The database is away.");
  expect(screen.getByRole("combobox", { name: "Health answers" })).toHaveTextContent("6 months");
});

it("whoever was slower is told, and sees what holds", async () => {
  const theirs = entry({ version: 3, rules: { healthMonths: 120, runsMonths: null, trailMonths: null }, setByName: "Teo Vance" });
  let asked = 0;
  const page = show({
    "GET /practice/retention": () => (asked++ === 0 ? entry() : theirs),
    "PUT /practice/retention": refusal(409, "stale", "Somebody else saved a newer version."),
  });
  await choose(page, "Health answers", "6 months");
  await page.user.click(keep());
  expect(await screen.findByText("Somebody else set it meanwhile. This is what holds now.")).toBeInTheDocument();
  await waitFor(() => expect(screen.getByRole("combobox", { name: "Health answers" })).toHaveTextContent("10 years"));
  expect(screen.getByText(/Set by Teo Vance/)).toBeInTheDocument();
});
