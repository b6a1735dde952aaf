/** Masses and lengths in fields: typed either way, stored in SI. */
import { screen } from "@testing-library/react";
import { useState } from "react";
import { BigStepper } from "../baseline/BigStepper";
import { showPage } from "../testing/screen";
import { QuantityStepper } from "./QuantityStepper";
import { onStep } from "./Stepper";

function MassField({ start = 1.5, onStored }: { start?: number; onStored(kg: number): void }) {
  const [kg, setKg] = useState(start);
  const take = (next: number) => {
    setKg(next);
    onStored(next);
  };
  return <QuantityStepper label="Load" quantity="mass" value={kg} min={0} max={10} step={0.05} onChange={take} />;
}
const openMass = (start?: number) => {
  const stored: number[] = [];
  return { stored, ...showPage(<MassField start={start} onStored={(kg) => stored.push(kg)} />) };
};

it.each([
  ["2", 2],
  ["1,4", 1.4],
  ["1.4 kg", 1.4],
  ["3 lb", 1.35],
  ["250 g", 0.25],
  ["40", 10],
])("%s is kept as %d kg", async (typed, kg) => {
  const { user, stored } = openMass();
  const field = screen.getByRole("textbox", { name: "Load" });
  await user.clear(field);
  await user.type(field, `${typed}{Enter}`);
  expect(stored).toEqual([kg]);
});

it.each(["", "heavy", "3 cm"])("%j is no mass: what was there stays", async (typed) => {
  const { user, stored } = openMass();
  const field = screen.getByRole("textbox", { name: "Load" });
  await user.clear(field);
  if (typed) await user.type(field, typed);
  await user.tab();
  expect([stored, (field as HTMLInputElement).value]).toEqual([[], "1.5"]);
});

it("fifty presses up and down come back to where they began", async () => {
  const { user, stored } = openMass(0.3);
  for (const button of ["more", "less"])
    for (let i = 0; i < 25; i++) await user.click(screen.getByRole("button", { name: `Load: ${button}` }));
  expect(stored.at(-1)).toBe(0.3);
  expect(Math.max(...stored)).toBe(1.55);
  expect(screen.getByRole("textbox", { name: "Load" })).toHaveValue("0.3");
});

it("steps leave no dust of binary fractions", () => {
  expect([onStep(0.30000000000000004, 0.1), onStep(1.15, 0.05), onStep(7, 2)]).toEqual([0.3, 1.15, 8]);
});

it("a length is shown in centimetres and kept in metres", async () => {
  const kept: number[] = [];
  const { user } = showPage(
    <QuantityStepper label="Hand at" quantity="length" value={0.125} min={0.04} max={1} step={0.5} onChange={(m) => kept.push(m)} />,
  );
  expect(screen.getByRole("textbox", { name: "Hand at" })).toHaveValue("12.5");
  await user.click(screen.getByRole("button", { name: "Hand at: more" }));
  expect(kept).toEqual([0.13]);
});

describe("a large field that may be empty", () => {
  function Big({ onChange }: { onChange(value: number | null): void }) {
    const [value, setValue] = useState<number | null>(null);
    const take = (next: number | null) => {
      setValue(next);
      onChange(next);
    };
    return <BigStepper label="Body mass" unit="kg" value={value} start={70} min={30} max={250} onChange={take} />;
  }
  it("begins where people usually are, takes another unit, and can be emptied again", async () => {
    const taken: (number | null)[] = [];
    const { user } = showPage(<Big onChange={(value) => taken.push(value)} />);
    const field = screen.getByRole("textbox", { name: "Body mass" });
    expect(field).toHaveValue("");
    await user.click(screen.getByRole("button", { name: "Body mass: more" }));
    await user.clear(field);
    await user.type(field, "165 lb{Enter}");
    await user.clear(field);
    await user.type(field, "12{Enter}");
    await user.clear(field);
    await user.tab();
    expect(taken).toEqual([70, 75, 30, null]);
  });
  it("runs by the keyboard, a press at a time", async () => {
    const taken: (number | null)[] = [];
    const { user } = showPage(<Big onChange={(value) => taken.push(value)} />);
    await user.tab();
    await user.keyboard("{Enter}{Tab}{ArrowUp}{ArrowDown}{ArrowDown}");
    expect(taken).toEqual([70, 71, 70, 69]);
  });
});
