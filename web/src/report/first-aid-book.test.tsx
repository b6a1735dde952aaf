/** The first-aid book: lines out of the employer's own, kept as they are entered, never from before it begins. */
import { screen, waitFor, within } from "@testing-library/react";
import { sampleCrew } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { dayField, typeDay } from "../testing/type-day";
import { FirstAidBook } from "./FirstAidBook";

const crew = sampleCrew();
const address = `/crews/${crew.id}/first-aid`;
const ID = "019d0000-0000-7000-8000-000000000001";
const open = (book: object = { since: null, cases: [] }, save: object | ((body: unknown) => object) = (body: unknown) => stored(body)) => {
  const server = new TestServer({ ...SIGNED_IN, [`GET ${address}`]: { version: 1, book }, [`PUT ${address}`]: save });
  return { server, ...showPage(<FirstAidBook crew={crew} />) };
};
const stored = (body: unknown) => ({ ...(body as { version: number; book: object }), version: (body as { version: number }).version + 1 });
const saved = (server: TestServer) =>
  (server.calls("PUT").at(-1)!.body as { book: { since: string; cases: { day: string; region: string | null }[] } }).book;

beforeEach(() => localStorage.clear());

it("asks from when on it is complete before the first case", async () => {
  const { user } = open();
  await screen.findByText("No case is entered.");
  expect(screen.queryByRole("button", { name: "Add" })).toBeNull();
  await typeDay(user, dayField("The book is complete since"), "2025-06-01", "{Enter}");
  expect(screen.getByRole("button", { name: "Add" })).toBeInTheDocument();
});

it("takes several of a day at once, the day stays for the next line, and all of it is saved", async () => {
  const { user, server } = open({ since: "2025-06-01", cases: [] });
  await screen.findByText("No case is entered.");
  await typeDay(user, dayField("Day"), "2025-07-02");
  await user.click(screen.getByRole("combobox", { name: "Place" }));
  await user.click(await screen.findByRole("option", { name: "Base of the thumb" }));
  await user.clear(screen.getByLabelText("How many"));
  await user.type(screen.getByLabelText("How many"), "2{Enter}");
  expect(screen.getByText("2 cases")).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Add" }));
  await waitFor(() => expect(saved(server).cases).toHaveLength(3));
  expect(saved(server).cases.map(({ day, region }) => [day, region])).toEqual(Array(3).fill(["2025-07-02", "thumbBase"]));
});

it.each<[string, string, string | RegExp]>([
  ["", "1", "Which day?"],
  ["2025-05-31", "1", "must be 1 Jun 2025 or later"],
  ["2099-01-01", "1", /^must be .* or earlier$/],
  ["2025-07-02", "0", "1 to 20"],
  ["2025-07-02", "two", "1 to 20"],
])("does not take %p, %p of them: %s; what was typed stays", async (day, count, problem) => {
  const { user } = open({ since: "2025-06-01", cases: [] });
  await screen.findByText("No case is entered.");
  if (day) await typeDay(user, dayField("Day"), day);
  await user.clear(screen.getByLabelText("How many"));
  await user.type(screen.getByLabelText("How many"), count);
  await user.click(screen.getByRole("button", { name: "Add" }));
  expect(screen.getByText(problem)).toBeInTheDocument();
  expect(screen.getByLabelText("How many")).toHaveValue(count);
  expect(screen.getByText("No case is entered.")).toBeInTheDocument();
});

it("a case is taken out and comes back with undo; the newest first, a long book folded", async () => {
  const cases = Array.from({ length: 10 }, (_, i) => ({ id: `${ID.slice(0, -2)}${10 + i}`, day: `2025-07-${10 + i}`, region: null }));
  const { user } = open({ since: "2025-06-01", cases });
  const list = within(await screen.findByRole("list", { name: "First-aid cases" }));
  expect(list.getAllByRole("listitem").map(({ textContent }) => textContent)[0]).toMatch(/^19 Jul/);
  expect(list.getAllByRole("listitem")).toHaveLength(8);
  await user.click(screen.getByRole("button", { name: "Show all 10" }));
  await user.click(list.getAllByRole("button", { name: /^Remove 19 Jul/ })[0]!);
  expect(screen.getByText("9 cases")).toBeInTheDocument();
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(screen.getByText("10 cases")).toBeInTheDocument();
});

it("a beginning moved past a case is said beside it, and what the server refuses too", async () => {
  const cases = [{ id: ID, day: "2025-07-02", region: null }];
  const problem = { path: "book.cases", message: "is before the day the book begins" };
  const { user } = open({ since: "2025-06-01", cases }, refusal(400, "invalid", "Look again.", { fields: [problem] }));
  await screen.findByText("1 case");
  await typeDay(user, dayField("The book is complete since"), "2025-08-01", "{Enter}");
  expect(screen.getByText("1 case is from before this day")).toBeInTheDocument();
  expect(await screen.findByText(/Not saved: is before the day the book begins/)).toBeInTheDocument();
});
