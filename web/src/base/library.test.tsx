import { screen } from "@testing-library/react";
import { useState } from "react";
import { libraryOf, sampleCustomMovement, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { showPage } from "../testing/screen";
import { useLibrary, useWords, WithLibrary } from "./library";

const custom = sampleCustomMovement("screen");
const { id } = custom.movement;
const seen = new Set<object>();
function Name() {
  const library = useLibrary();
  seen.add(library);
  return <p>{`${useWords().movementName(id)} of ${library.movements.length}`}</p>;
}

it("outside a practice there is what ships, and a custom movement has no name", () => {
  showPage(<Name />);
  expect(screen.getByText(`${id} of ${SHIPPED_LIBRARY.movements.length}`)).toBeInTheDocument();
});

it("inside one its own movements have their names", () => {
  showPage(<Name />, { custom: [custom] });
  expect(screen.getByText(`Door-handle turn of ${SHIPPED_LIBRARY.movements.length + 1}`)).toBeInTheDocument();
});

it("is the same value until a movement in it changes, however often it is fetched", async () => {
  function Fetching() {
    const [list, setList] = useState([custom]);
    const renamed = { ...custom, words: { ...custom.words, name: "Key turn" } };
    return (
      <WithLibrary custom={list}>
        <button onClick={() => setList([structuredClone(custom)])}>again</button>
        <button onClick={() => setList([renamed])}>rename</button>
        <Name />
      </WithLibrary>
    );
  }
  seen.clear();
  const { user } = showPage(<Fetching />);
  await user.click(screen.getByRole("button", { name: "again" }));
  expect(seen.size).toBe(1);
  await user.click(screen.getByRole("button", { name: "rename" }));
  expect(screen.getByText(/^Key turn/)).toBeInTheDocument();
  expect(seen.size).toBe(2);
  expect([...seen].map((library) => (library as typeof SHIPPED_LIBRARY).revision)).toEqual([
    libraryOf([custom]).revision,
    expect.not.stringMatching(`^${libraryOf([custom]).revision}$`),
  ]);
});
