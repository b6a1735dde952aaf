/** Fields and texts for somebody used to pounds and twelve hours: shown and typed in theirs, kept in kilograms and 24 hours. */
import { AMERICAN } from "../testing/in-pounds";
import { screen } from "@testing-library/react";
import { DateTime } from "luxon";
import { useState } from "react";
import { patternPreset } from "@kind-grip/core/calendar";
import { METRIC } from "@kind-grip/core/units";
import { dateText, timeText, wholeDayText } from "../base/dates";
import { massText, MEASURES, takeMeasures } from "../base/measures";
import { ShiftPatternFields } from "../crew/ShiftPatternFields";
import { showPage } from "../testing/screen";
import { AmountField } from "./AmountField";
import { DateField } from "./DateField";
import { TimeField } from "./TimeField";

const kept: unknown[] = [];
beforeEach(() => void kept.splice(0));

function Mass() {
  const [kg, setKg] = useState<number | null>(1.5);
  const take = (next: number | null) => {
    setKg(next);
    kept.push(next);
  };
  return (
    <AmountField label="Each" quantity="mass" value={kg} onChange={take} problem={Number.isNaN(kg) ? "must be a number" : undefined} />
  );
}
function Start() {
  const [time, setTime] = useState("14:30");
  const take = (next: string) => {
    setTime(next);
    kept.push(next);
  };
  return <TimeField label="Starts" value={time} onChange={take} />;
}

it.each([
  ["5", 2.268],
  ["2 kg", 2],
  ["", null],
])("a mass typed as %j is kept as %j kg", async (typed, kg) => {
  const { user } = showPage(<Mass />);
  const field = screen.getByRole("textbox", { name: "Each" });
  expect(field).toHaveValue("3.31");
  await user.clear(field);
  if (typed) await user.type(field, typed);
  expect(kept.at(-1)).toBe(kg);
});

it("what is no mass is said, and stays as it was typed", async () => {
  const { user } = showPage(<Mass />);
  const field = screen.getByRole("textbox", { name: "Each" });
  await user.clear(field);
  await user.type(field, "heavy");
  await user.tab();
  expect(field).toHaveValue("heavy");
  expect(screen.getByText("must be a number")).toBeInTheDocument();
});

it("a time is shown and typed with twelve hours, and kept with 24", async () => {
  const { user } = showPage(<Start />);
  const field = screen.getByRole("textbox", { name: "Starts" });
  expect(field).toHaveValue("2:30 pm");
  await user.clear(field);
  await user.type(field, "7:15 pm{Enter}");
  expect([kept, (field as HTMLInputElement).value]).toEqual([["19:15"], "7:15 pm"]);
});

it.each([
  ["22:00", "ends 6:00 am the next day"],
  ["16:00", "ends 12:00 am the next day"],
  ["06:00", "ends 2:00 pm"],
])("a shift of eight hours from %s %s", (start, ends) => {
  const pattern = patternPreset("weekdays", "2026-03-02");
  const shift = { ...pattern.shifts[0]!, start, lengthMin: 480, breaks: [] };
  showPage(<ShiftPatternFields value={{ ...pattern, shifts: [shift] }} onChange={() => undefined} />);
  expect(screen.getByText(ends)).toBeInTheDocument();
});

it("texts tell it their way", () => {
  const at = DateTime.fromISO("2026-03-05T14:05", { zone: "utc" });
  expect([massText(1.5), dateText(at, "cccc d LLLL, HH:mm"), wholeDayText("2026-03-05"), timeText(at.toMillis(), "utc")]).toEqual([
    "3.3 lb",
    "Thursday March 5, 2:05 pm",
    "Mar 5 2026",
    "2:05 pm",
  ]);
});

it("somebody used to something else gets the page anew, once", () => {
  const reload = jest.fn();
  expect([takeMeasures(AMERICAN, reload), takeMeasures(MEASURES, reload)]).toEqual([false, false]);
  expect(takeMeasures(METRIC, reload)).toBe(true);
  expect(reload).toHaveBeenCalledTimes(1);
  expect(JSON.parse(localStorage.getItem("kind-grip-measures")!)).toEqual(METRIC);
});

describe("a day", () => {
  const parts = () => screen.getAllByRole("spinbutton").map((part) => part.getAttribute("aria-label"));

  it("is typed month first, in figures too, and kept as a day", async () => {
    const { user } = showPage(<DateField label="First day" value={null} onChange={(day) => kept.push(day)} />);
    expect(parts()).toEqual(["Month", "Day", "Year"]);
    await user.click(screen.getAllByRole("spinbutton")[0]!);
    await user.keyboard("03262026{Enter}");
    expect(kept).toEqual(["2026-03-26"]);
  });

  it("is chosen from weeks that begin on Sunday", async () => {
    const { user } = showPage(<DateField label="First day" value="2026-03-26" onChange={(day) => kept.push(day)} />);
    await user.click(screen.getByRole("button", { name: /^Choose date/ }));
    const heads = await screen.findAllByRole("columnheader");
    expect(heads.map((head) => head.getAttribute("aria-label"))[0]).toBe("Sunday");
  });
});
