import { ThemeProvider } from "@mui/material";
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { LaidPlacement, Placed } from "@kind-grip/core/dayplan";
import type { Shift } from "@kind-grip/core/calendar";
import { theme } from "../base/theme";
import { sampleSession } from "../testing/sample";
import { UprightDay } from "./UprightDay";

const hour = 3_600_000;
const shift: Shift = {
  date: "1970-01-01",
  kind: { id: "day", name: "Day", start: "07:00", end: "16:00", breaks: [], away: [] },
  startMs: 7 * hour,
  endMs: 16 * hour,
  breaks: [{ startMs: 12 * hour, endMs: 12.5 * hour }],
  away: [],
  clockChangeMin: 0,
} as unknown as Shift;
const placed = (name: string, startH: number): Placed => ({
  id: name,
  session: sampleSession([], { name }),
  startMs: startH * hour,
  endMs: startH * hour + 300_000,
});
const laid = (change: Partial<LaidPlacement>) => ({ groupName: null, kept: false, ...change }) as LaidPlacement;

function show(more: Partial<Parameters<typeof UprightDay>[0]> = {}) {
  const acts = { onMove: jest.fn(), onChoose: jest.fn(), onRemove: jest.fn() };
  render(
    <ThemeProvider theme={theme}>
      <UprightDay
        shift={shift}
        parts={[{ name: "Splitting slate", minutes: 240, strain: 22 }]}
        placed={[placed("Late", 13), placed("Warm-up", 7)]}
        laidById={new Map([["Late", laid({ groupName: "Cutters" })]])}
        clashes={[]}
        chosenId={null}
        timeZone="utc"
        now={undefined}
        {...acts}
        {...more}
      />
    </ThemeProvider>,
  );
  return { ...acts, user: userEvent.setup() };
}

it("tells its sessions in order, with whom they are for, its tasks and what lies between", () => {
  show();
  expect(screen.getAllByRole("button").map((each) => each.getAttribute("aria-label"))).toEqual([
    "Warm-up at 07:00. Arrow keys move it.",
    "Late, Cutters at 13:00. Arrow keys move it.",
  ]);
  expect(screen.getByText("Splitting slate")).toBeVisible();
  expect(screen.getByText("5 h 55 min")).toBeVisible();
});

it("a press chooses; arrows move by five minutes, with Shift by an hour; Delete takes out", async () => {
  const { user, onMove, onChoose, onRemove } = show();
  await user.click(screen.getByRole("button", { name: /^Warm-up/ }));
  expect(onChoose).toHaveBeenCalledWith("Warm-up");
  await user.keyboard("{ArrowDown}{ArrowUp}{Shift>}{ArrowDown}{/Shift}");
  expect(onMove.mock.calls).toEqual([
    ["Warm-up", 7 * hour + 300_000],
    ["Warm-up", 7 * hour - 300_000],
    ["Warm-up", 8 * hour],
  ]);
  await user.keyboard("{Delete}");
  expect(onRemove).toHaveBeenCalledWith("Warm-up");
});

it("says when nobody is there, in a shift in two halves", () => {
  show({ shift: { ...shift, away: [{ startMs: 9 * hour, endMs: 11 * hour }] } });
  expect(screen.getByText("away")).toBeVisible();
});

it("what was led stays", async () => {
  const { user, onMove, onRemove, onChoose } = show({ laidById: new Map([["Warm-up", laid({ kept: true })]]) });
  act(() => screen.getByRole("button", { name: "Warm-up at 07:00, was led." }).focus());
  await user.keyboard("{ArrowDown}{Delete}{Enter}");
  expect([onMove, onRemove].map((act) => act.mock.calls)).toEqual([[], []]);
  expect(onChoose).toHaveBeenCalled();
});

it("says what clashes", () => {
  show({ clashes: [{ weight: "stop", placementIds: ["Late"] }] as never });
  expect(screen.getByRole("button", { name: /^Late.*, clashes/ })).toBeVisible();
});
