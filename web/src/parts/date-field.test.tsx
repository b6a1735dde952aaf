/** A day that is typed: in parts, kept when it is whole and in range, said what is wrong with it where it is not. */
import { screen } from "@testing-library/react";
import { useState } from "react";
import { showPage } from "../testing/screen";
import { shownDay, typeDay } from "../testing/type-day";
import { DateField } from "./DateField";

function show(change: Partial<Parameters<typeof DateField>[0]> = {}) {
  const kept = jest.fn();
  function Shown() {
    const [day, setDay] = useState<string | null>(change.value ?? null);
    return (
      <>
        <DateField
          label="First day"
          {...change}
          value={day}
          onChange={(next) => {
            kept(next);
            setDay(next);
          }}
        />
        <button type="button">elsewhere</button>
      </>
    );
  }
  return { kept, ...showPage(<Shown />) };
}
const field = () => screen.getByRole("group", { name: "First day" });
const shown = () => shownDay(field());

it("is typed in figures, as the practice writes days, and kept once, when it is whole", async () => {
  const { kept, user } = show();
  await typeDay(user, field(), "2026-03-26");
  expect(kept).not.toHaveBeenCalled();
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(kept.mock.calls).toEqual([["2026-03-26"]]);
  expect(shown()).toBe("26 Mar 2026");
});

it("is kept by Enter too", async () => {
  const { kept, user } = show({ value: "2026-03-02" });
  await typeDay(user, field(), "2026-04-05", "{Enter}");
  expect(kept.mock.calls).toEqual([["2026-04-05"]]);
});

it("half typed is said, and what was there before counts until it is whole", async () => {
  const { kept, user } = show({ value: "2026-03-02", required: true });
  await user.click(screen.getAllByRole("spinbutton")[0]!);
  await user.keyboard("{Backspace}");
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(screen.getByText("is not a whole day, e.g. 26 Mar 2026. Until then 2 Mar 2026 counts.")).toBeInTheDocument();
  expect(kept).not.toHaveBeenCalled();
  await user.click(screen.getAllByRole("spinbutton")[0]!);
  await user.keyboard("{Escape}");
  expect(shown()).toBe("2 Mar 2026");
  expect(screen.queryByText(/is not a whole day/)).toBeNull();
});

it("one part of a day is not taken for an empty field, where it may be empty too", async () => {
  const { kept, user } = show({ value: "2026-03-02" });
  await user.click(screen.getAllByRole("spinbutton")[0]!);
  await user.keyboard("{Backspace}");
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(screen.getByText("is not a whole day, e.g. 26 Mar 2026. Until then 2 Mar 2026 counts.")).toBeInTheDocument();
  expect(kept).not.toHaveBeenCalled();
});

it.each([
  ["2026-03-01", "must be 2 Mar 2026 or later"],
  ["2026-03-10", "must be 9 Mar 2026 or earlier"],
])("%s is out of range", async (typed, problem) => {
  const { kept, user } = show({ min: "2026-03-02", max: "2026-03-09" });
  await typeDay(user, field(), typed, "{Enter}");
  expect(screen.getByText(problem)).toBeInTheDocument();
  expect(kept).not.toHaveBeenCalled();
});

it.each(["2026-03-02", "2026-03-09"])("%s, at an edge of the range, is kept", async (typed) => {
  const { kept, user } = show({ min: "2026-03-02", max: "2026-03-09" });
  await typeDay(user, field(), typed, "{Enter}");
  expect(kept).toHaveBeenCalledTimes(1);
});

it("is emptied with one press where it may be empty, and not where it may not", async () => {
  const { kept, user, unmount } = show({ value: "2026-03-02" });
  await user.click(screen.getByRole("button", { name: "Clear" }));
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(kept.mock.calls).toEqual([[null]]);
  unmount();
  show({ value: "2026-03-02", required: true });
  expect(screen.queryByRole("button", { name: "Clear" })).toBeNull();
});

it("is chosen from a calendar: on a telephone with a word more, as a finger slips", async () => {
  const { kept, user } = show({ value: "2026-03-02" });
  await user.click(screen.getByRole("button", { name: /^Choose date/ }));
  await user.click(await screen.findByRole("gridcell", { name: "17" }));
  expect(kept).not.toHaveBeenCalled();
  await user.click(screen.getByRole("button", { name: "OK" }));
  expect(kept.mock.calls).toEqual([["2026-03-17"]]);
});

it("is chosen from a calendar with one press of a mouse", async () => {
  const usual = window.matchMedia;
  const fine = jest.spyOn(window, "matchMedia").mockImplementation((media) => ({ ...usual(media), matches: media === "(pointer: fine)" }));
  const { kept, user } = show({ value: "2026-03-02" });
  await user.click(screen.getByRole("button", { name: /^Choose date/ }));
  await user.click(await screen.findByRole("gridcell", { name: "17" }));
  expect(kept.mock.calls).toEqual([["2026-03-17"]]);
  expect(shown()).toBe("17 Mar 2026");
  fine.mockRestore();
});

it("says what is wrong with the day that is kept", () => {
  show({ value: "2026-03-02", error: true, helperText: "is after the last day" });
  expect(screen.getByText("is after the last day")).toBeInTheDocument();
});

it("in a form counts at once, and what is no day is told as none that can be sent, never as the one before", async () => {
  const { kept, user } = show({ value: "2026-03-02", inForm: true });
  await user.click(screen.getAllByRole("spinbutton")[0]!);
  await user.keyboard("{Backspace}");
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(kept).toHaveBeenLastCalledWith("");
  expect(screen.getByText("is not a whole day, e.g. 26 Mar 2026")).toBeInTheDocument();
  await user.click(screen.getAllByRole("spinbutton")[0]!);
  await user.keyboard("7");
  expect(kept).toHaveBeenLastCalledWith("2026-03-07");
  await user.click(screen.getByRole("button", { name: "elsewhere" }));
  expect(shown()).toBe("7 Mar 2026");
  expect(screen.queryByText(/is not a whole day/)).toBeNull();
});
