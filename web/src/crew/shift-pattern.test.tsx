/** A shift pattern as it is filled in: what each tap makes of it, and that nothing names a shift that is gone. */
import { screen } from "@testing-library/react";
import { useState } from "react";
import { patternPreset, ShiftPattern } from "@kind-grip/core/calendar";
import * as v from "valibot";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { ShiftPatternFields } from "./ShiftPatternFields";

let now: ShiftPattern;
function Filled({ from }: { from: ShiftPattern }) {
  const [value, setValue] = useState(from);
  const change = (next: ShiftPattern) => {
    now = next;
    setValue(next);
  };
  return <ShiftPatternFields value={value} onChange={change} />;
}
const open = (from = patternPreset("weekdays", "2026-03-02")) => {
  new TestServer(SIGNED_IN);
  now = from;
  return showPage(<Filled from={from} />);
};
/** Whatever was tapped, it can be stored. */
afterEach(() => expect(v.safeParse(ShiftPattern, now).success).toBe(true));

it("a day goes from off to each kind of shift and back to off", async () => {
  const { user } = open();
  const saturday = () => screen.getByRole("button", { name: /^Day 6, Sat/ });
  expect(await screen.findByRole("button", { name: /^Day 6, Sat: Off/ })).toBeInTheDocument();
  await user.click(saturday());
  expect(now.cycle[5]).toBe(now.shifts[0]!.id);
  await user.click(saturday());
  expect(now.cycle[5]).toBeNull();
});

it("days are named by where the cycle begins", async () => {
  open(patternPreset("weekdays", "2026-03-04"));
  expect(await screen.findByRole("button", { name: /^Day 1, Wed/ })).toBeInTheDocument();
});

it("a kind of shift that is removed leaves its days off, days that differ among them", async () => {
  const two = patternPreset("daysThenNights", "2026-03-02");
  const gone = two.shifts[1]!;
  const { user } = open({ ...two, otherDays: [{ date: "2026-04-06", shift: gone.id }] });
  await user.click(await screen.findByRole("button", { name: `Remove shift ${gone.name}` }));
  expect(now.shifts).toHaveLength(1);
  expect(now.cycle).not.toContain(gone.id);
  expect(now.cycle.filter((id) => id === null).length).toBeGreaterThan(two.cycle.filter((id) => id === null).length);
  expect(now.otherDays).toEqual([{ date: "2026-04-06", shift: null }]);
});

it("the last kind of shift cannot be removed", async () => {
  open();
  expect(await screen.findByLabelText("Shift")).toHaveValue(now.shifts[0]!.name);
  expect(screen.queryByRole("button", { name: /^Remove shift/ })).toBeNull();
});

it("a break is typed as a wall time and kept in the order of the shift, past midnight too", async () => {
  const night = {
    id: "n",
    name: "Night",
    start: "22:00",
    lengthMin: 480,
    breaks: [
      { afterMin: 60, lengthMin: 15 },
      { afterMin: 300, lengthMin: 30 },
    ],
  };
  const { user } = open({ ...patternPreset("weekdays", "2026-03-02"), shifts: [night], cycle: ["n", null, null, null, null, null, null] });
  const first = await screen.findByLabelText("Break 1");
  expect(first).toHaveValue("23:00");
  expect(screen.getByLabelText("Break 2")).toHaveValue("03:00");
  expect(screen.getByText("ends 06:00 the next day")).toBeInTheDocument();
  await user.clear(first);
  await user.type(first, "4.30{Enter}");
  expect(now.shifts[0]!.breaks).toEqual([
    { afterMin: 300, lengthMin: 30 },
    { afterMin: 390, lengthMin: 15 },
  ]);
});

it("what is no time is said and not taken over", async () => {
  const { user } = open();
  const before = now;
  const starts = await screen.findByLabelText("Starts");
  await user.clear(starts);
  await user.type(starts, "25:00{Enter}");
  expect(screen.getByText("is not a time, e.g. 07:30")).toBeInTheDocument();
  expect(now).toEqual(before);
  await user.keyboard("{Escape}");
  expect(starts).toHaveValue(before.shifts[0]!.start);
});

it("days that differ follow each other and say when one is named twice", async () => {
  const { user } = open({ ...patternPreset("weekdays", "2026-03-02"), otherDays: [{ date: "2026-04-06", shift: null }] });
  await user.click(await screen.findByRole("button", { name: "Add a day that differs" }));
  expect(now.otherDays!.map(({ date }) => date)).toEqual(["2026-04-06", "2026-04-07"]);
  await user.click(screen.getByRole("button", { name: "Remove day 1 that differs" }));
  await user.click(screen.getByRole("button", { name: "Remove day 1 that differs" }));
  expect(now.otherDays).toBeUndefined();
});

it("a preset takes another's place at once, and what was filled in by hand only when asked", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "4 on, 4 off" }));
  expect(now.cycle).toHaveLength(8);
  await user.click(screen.getByRole("button", { name: /^Day 8/ }));
  const byHand = now;
  await user.click(screen.getByRole("button", { name: "Monday to Friday" }));
  await user.click(await screen.findByRole("button", { name: "Not now" }));
  expect(now).toEqual(byHand);
  await user.click(await screen.findByRole("button", { name: "Monday to Friday" }));
  await user.click(await screen.findByRole("button", { name: "Write over it" }));
  expect(now.cycle).toHaveLength(7);
});

it("too little rest between two shifts is said as it is tapped, an overlap as what nobody can work", async () => {
  const night = { id: "n", name: "Night", start: "22:00", lengthMin: 480, breaks: [] };
  const dawn = { id: "d", name: "Dawn", start: "04:30", lengthMin: 480, breaks: [] };
  const { user } = open({
    ...patternPreset("weekdays", "2026-03-02"),
    shifts: [dawn, night],
    cycle: ["d", "d", null, null, null, null, null],
  });
  const sunday = () => screen.getByRole("button", { name: /^Day 7, Sun/ });
  await screen.findByRole("button", { name: /^Day 7, Sun/ });
  expect(screen.queryByRole("list", { name: "Too little rest between shifts" })).toBeNull();
  await user.click(sunday());
  await user.click(sunday());
  expect(screen.getByRole("list", { name: "Too little rest between shifts" })).toHaveTextContent(
    /^Mon Dawn begins 1 h 30 min before Sun Night has ended: nobody can work both\.$/,
  );
  const starts = screen.getAllByLabelText("Starts")[0]!;
  await user.clear(starts);
  await user.type(starts, "14:00{Enter}");
  expect(screen.getByText("8 h of rest between Sun Night and Mon Dawn; with less than 11 h sleep is cut short.")).toBeInTheDocument();
});
