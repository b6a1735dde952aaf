/** What can be called: found by words and by scope, opened to what it takes and answers. */
import { screen, within } from "@testing-library/react";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { sampleDescription } from "./description.sample";
import DescriptionPage from "./DescriptionPage";
import { typeText } from "./type-text";

const open = async () => {
  new TestServer({ ...SIGNED_IN, "GET /openapi.json": sampleDescription() });
  const shown = showPage(<DescriptionPage />);
  await screen.findByText("4 calls");
  return shown;
};
const calls = () => screen.getAllByRole("button", { name: /\/api\// }).map((each) => each.textContent);

it("stands by subject, those a token may call first, with the scope it needs", async () => {
  await open();
  expect(screen.getAllByRole("heading", { level: 2 }).map((each) => each.textContent)).toEqual(["crew", "report", "auth"]);
  expect(calls()).toEqual([
    "GET /api/crewsCrews of the trainercrews.read",
    "POST /api/crewsMake a crewno token",
    "GET /api/crews/{crewId}/report.pdfThe report on paperevery token",
    "POST /api/sign-outSign outno token",
  ]);
});

it("is found by all words together, in any of its texts, and by scope; what is not there says so", async () => {
  const { user } = await open();
  const field = screen.getByLabelText("Find a call");
  await user.type(field, "crew MAKE");
  expect(await screen.findByText("1 call")).toBeVisible();
  expect(calls()[0]).toMatch(/^POST/);
  await user.clear(field);
  await user.type(field, "zebra");
  expect(await screen.findByText("Nothing like it")).toBeVisible();
  await user.clear(field);
  await user.click(screen.getByLabelText("With a token for"));
  await user.click(screen.getByRole("option", { name: "crews.read" }));
  expect(await screen.findByText("1 call")).toBeVisible();
  expect(calls()[0]).toMatch(/^GET \/api\/crews/);
});

it("opened it tells address, what is sent and answered, and refusals; a shape opens where it stands", async () => {
  const { user } = await open();
  await user.click(screen.getByRole("button", { name: /^GET \/api\/crews Crews/ }));
  expect(screen.getByRole("heading", { name: "Answered, 200: list of Crew" })).toBeVisible();
  expect(screen.getByText("text, 1 to 80 letters")).toBeVisible();
  expect(screen.getByText("Not signed in")).toBeVisible();
  await user.click(screen.getByRole("button", { name: /^shift Shift or null, may be left out/ }));
  expect(screen.getByText("list of object")).toBeVisible();
  expect(screen.getByText("whole number, 0 to 1439, may be left out")).toBeVisible();
  await user.click(screen.getByRole("button", { name: /^place/ }));
  expect(screen.getByText("One of these: object")).toBeVisible();
  expect(screen.getByText("bench")).toBeVisible();
});

it("a file, an answer with nothing, and what goes in the address", async () => {
  const { user } = await open();
  await user.click(screen.getByRole("button", { name: /report\.pdf/ }));
  await user.click(screen.getByRole("button", { name: /^POST \/api\/crews/ }));
  expect(screen.getByRole("heading", { name: "Answered, 200: a file, application/pdf" })).toBeVisible();
  expect(screen.getByRole("heading", { name: "Answered, 204, with nothing" })).toBeVisible();
  const report = within(screen.getByRole("region", { name: "report" }));
  expect(report.getByText("uuid")).toBeVisible();
  expect(report.getByText("whole number, at least 1, may be left out")).toBeVisible();
});

it.each([
  [{ enum: ["a", "b"] }, '"a" or "b"'],
  [{ enum: Array.from({ length: 14 }, (_, i) => i) }, "0 or 1 or 2 or 3 or 4 or 5 or 6 or 7 or 8 or 9 or 10 or 11 and 2 more"],
  [{ type: ["string", "null"], maxLength: 9 }, "text, at most 9 letters or null"],
  [{ type: "number", multipleOf: 1, minimum: 2, maximum: 2 }, "whole number, 2"],
  [{ type: "array", items: {}, minItems: 1 }, "list of anything, at least 1 of them"],
  [{ type: "object", additionalProperties: { type: "boolean" } }, "true or false by name"],
  [{ prefixItems: [{ type: "number" }, { const: 1 }] }, "list of number, 1"],
])("%j is said as %s", (schema, text) => expect(typeText(schema)).toBe(text));
