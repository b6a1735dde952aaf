/** One movement, whole: what is told of it, its forms, its doses, and where a practice's own is changed. */
import { screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { CUSTOM_PREFIX, doseFor, SHIPPED_LIBRARY, sampleCustomMovement, STRETCH_SCHOOLS } from "@kind-grip/core/library";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import MovementPage from "./MovementPage";

const open = (movementId: string, custom: ReturnType<typeof sampleCustomMovement>[] = []) => {
  new TestServer(SIGNED_IN);
  const pages = (
    <Routes>
      <Route path="library/:movementId" element={<MovementPage />} />
    </Routes>
  );
  return showPage(pages, { at: `/library/${movementId}`, path: "*", custom });
};

it("has a rung for each form, easiest first, begins at its start form, and shows the one that is chosen", async () => {
  const movement = SHIPPED_LIBRARY.movements.find(({ forms, startForm }) => forms.length > 2 && forms[0]!.id !== startForm)!;
  const { user } = open(movement.id);
  const rungs = await screen.findAllByRole("button", { pressed: undefined, name: /^\d+\. |starts here/ });
  expect(rungs).toHaveLength(movement.forms.length);
  const pressed = () => rungs.map((rung) => rung.getAttribute("aria-pressed"));
  const start = movement.forms.findIndex(({ id }) => id === movement.startForm);
  expect(pressed().indexOf("true")).toBe(start);
  expect(rungs[start]).toHaveTextContent("starts here");
  await user.click(rungs.at(-1)!);
  expect(pressed().indexOf("true")).toBe(movement.forms.length - 1);
});

it("tells the dose of each school, as the session compiler will lead it", () => {
  const movement = SHIPPED_LIBRARY.get("palm-away");
  open(movement.id);
  const rows = within(screen.getByRole("table")).getAllByRole("row");
  expect(rows).toHaveLength(STRETCH_SCHOOLS.length);
  const doses = STRETCH_SCHOOLS.map((stretch) => doseFor(movement, { stretch, load: "pacedReps" }));
  for (const [i, row] of rows.entries()) {
    const { holdSec } = doses[i] as { holdSec?: number };
    expect(row).toHaveTextContent(new RegExp(holdSec === undefined ? String.raw`\d'\d\d"$` : String.raw`${holdSec} s.*\d'\d\d"$`));
  }
});

it("what needs no kit says so, and facts without an answer are left out", () => {
  open("shake-out");
  const facts = [...document.querySelectorAll("dl dt")].map(({ textContent }) => textContent);
  expect(facts).toContain("Kit");
  expect(document.querySelector("dl")).toHaveTextContent("KitNone");
  expect(facts).not.toContain("Weight on the hands");
});

it("only what the practice made leads to the studio", async () => {
  const custom = sampleCustomMovement("x");
  const own = open(`${CUSTOM_PREFIX}x`, [custom]);
  await waitFor(() => expect(screen.getByRole("link", { name: "Change it in the studio" })).toHaveAttribute("href", "/library/studio/x"));
  own.unmount();
  open("palm-away");
  expect(screen.queryByRole("link", { name: "Change it in the studio" })).toBeNull();
});

it("an address of no movement is a lost page, not an empty one", () => {
  open("no-such-movement");
  expect(screen.queryByRole("heading", { name: "Ladder, easiest first" })).toBeNull();
  expect(screen.getByRole("link")).toBeInTheDocument();
});
