/** Somebody sees on their own phone what is kept of them, in their language. */
import "fake-indexeddb/auto";
import { screen } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import KeptPage from "./KeptPage";

const show = (answer: object) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /member/everything": answer });
  return { server, ...showPage(<KeptPage />) };
};

it("counts what there is, from when until when, and offers a file with all of it", async () => {
  show([
    { kind: "mornings", count: 30, from: "2026-02-04", until: "2026-03-26" },
    { kind: "contacts", count: 1, from: "2026-02-02", until: "2026-02-02" },
    { kind: "days", count: 2, from: null, until: null },
  ]);
  const rows = (await screen.findAllByRole("listitem")).map((row) => row.textContent);
  expect(rows[0]).toMatch(/^Mornings.*4 February.* to .*26 March.*30$/);
  expect(rows[1]).toMatch(/^Addresses for reminders[^t]*2 February1$/);
  expect(rows[2]).toBe("Your days, added up2");
  expect(screen.getByRole("link", { name: "Save everything as a file" })).toHaveAttribute("href", "/api/member/everything.json");
  expect(screen.getByText(/To have all of it forgotten, tell your trainer/)).toBeInTheDocument();
});

it("says when there is nothing", async () => {
  show([]);
  expect(await screen.findByText("Nothing yet but your name.")).toBeInTheDocument();
});

it("says that it needs a connection", async () => {
  show(refusal(503, "databaseAway", "away"));
  expect(await screen.findByRole("alert")).toHaveTextContent("This needs a connection.");
  expect(screen.queryByRole("link")).toBeNull();
});
