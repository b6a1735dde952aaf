/** The library: what is found, filters that stay in the address, nothing found, and what this practice made. */
import { screen, waitFor, within } from "@testing-library/react";
import { SHIPPED_LIBRARY, sampleCustomMovement } from "@kind-grip/core/library";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import LibraryPage from "./LibraryPage";

const all = SHIPPED_LIBRARY.movements.length;
const open = (at = "/library", entries: object[] = [], custom: ReturnType<typeof sampleCustomMovement>[] = []) => {
  new TestServer({ ...SIGNED_IN, "GET /movements": entries });
  return showPage(<LibraryPage />, { at, path: "/library", custom });
};
const found = () => Number(/(\d+) of \d+ movements/.exec(document.body.textContent!)?.[1]);
jest.setTimeout(60_000);

it("shows everything by phase; a text narrows it, and stands in the address", async () => {
  const { user, router } = open();
  expect(found()).toBe(all);
  await user.type(screen.getByRole("textbox", { name: "Find" }), "palm-away");
  await waitFor(() => expect(found()).toBeLessThan(all));
  expect(found()).toBeGreaterThan(0);
  expect(new URLSearchParams(router.state.location.search).get("q")).toBe("palm-away");
  await user.click(screen.getByRole("button", { name: "Clear filters" }));
  expect(found()).toBe(all);
  expect(screen.getByRole("textbox", { name: "Find" })).toHaveValue("");
});

it("phases add up, and each is taken off by itself", async () => {
  const { user } = open();
  const count = (phase: string) => SHIPPED_LIBRARY.movements.filter((movement) => movement.phase === phase).length;
  const phases = within(screen.getByRole("group", { name: "Phase" })).getAllByRole("button");
  await user.click(phases[0]!);
  expect(found()).toBe(count("getReady"));
  await user.click(phases[1]!);
  expect(found()).toBe(count("getReady") + count("mobility"));
  await user.click(phases[0]!);
  expect(found()).toBe(count("mobility"));
});

it("an address with filters opens with them; when nothing fits it says what to take off", () => {
  open("/library?phase=glide&kit=dumbbell");
  expect(screen.getByText("No movement fits all of these")).toBeInTheDocument();
  expect(screen.getByRole("combobox", { name: "Kit" })).not.toHaveTextContent("Any kit");
});

it("no kit at all leaves out what has no form without", () => {
  open("/library?kit=none");
  expect(found()).toBeGreaterThan(0);
  expect(found()).toBeLessThan(all);
});

it("what the practice made stands among them, until it is taken out", async () => {
  const custom = sampleCustomMovement("x");
  const first = open("/library", [], [custom]);
  expect(found()).toBe(all + 1);
  expect(screen.getByText("Door-handle turn")).toBeInTheDocument();
  first.unmount();
  open("/library", [{ id: "x", version: 1, document: custom, removed: true }], [custom]);
  await waitFor(() => expect(found()).toBe(all));
});
