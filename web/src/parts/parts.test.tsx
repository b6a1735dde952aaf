/** The small shared parts as a person uses them: by hand, by keyboard, with what is typed wrong. */
import { screen } from "@testing-library/react";
import { useState } from "react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { serverApi } from "../base/api";
import { Choice } from "./Choice";
import { ConfirmDialog } from "./ConfirmDialog";
import { FilePick } from "./FilePick";
import { Loaded } from "./Loaded";
import { PlainField } from "./PlainField";
import { Stepper } from "./Stepper";
import { Table } from "./Table";
import { TimeField } from "./TimeField";
import { Toggle } from "./Toggle";
import { ZeroToTen } from "./ZeroToTen";

describe("a stepper", () => {
  function Held({ start = 5, step = 1 }: { start?: number; step?: number }) {
    const [value, setValue] = useState(start);
    return <Stepper label="Holds" unit="s" value={value} min={1} max={9} step={step} onChange={setValue} />;
  }
  const field = () => screen.getByRole("textbox", { name: "Holds" });
  it("is nudged, and stops at its ends", async () => {
    const { user } = showPage(<Held start={8} />);
    const more = screen.getByRole("button", { name: "Holds: more" });
    await user.click(more);
    expect(field()).toHaveValue("9");
    expect(more).toBeDisabled();
    expect(screen.getByRole("button", { name: "Holds: less" })).toBeEnabled();
  });
  it.each([
    ["7", "7"],
    ["70", "9"],
    ["-3", "1"],
    ["word", "5"],
    ["", "5"],
    ["6.4", "6"],
  ])("typed %j it comes to %s when it is left", async (typed, shown) => {
    const { user } = showPage(<Held />);
    await user.clear(field());
    if (typed) await user.type(field(), typed);
    await user.tab();
    expect(field()).toHaveValue(shown);
  });
  it("goes by the arrow keys, and takes what is typed with Enter", async () => {
    const { user } = showPage(<Held />);
    await user.click(field());
    await user.keyboard("{ArrowUp}{ArrowUp}{ArrowDown}");
    expect(field()).toHaveValue("6");
    await user.clear(field());
    await user.type(field(), "3{Enter}");
    expect(field()).toHaveValue("3");
  });
  it("keeps to its steps", async () => {
    const { user } = showPage(<Held start={4} step={2} />);
    await user.clear(field());
    await user.type(field(), "7{Enter}");
    expect(field()).toHaveValue("8");
  });
});

describe("a choice", () => {
  const onChange = jest.fn();
  const options = ["left", "right", "both"].map((value) => ({ value, label: value }));
  beforeEach(() => onChange.mockClear());
  it("is one stop of the Tab key, gone through by arrows, round its end", async () => {
    const { user } = showPage(<Choice label="Side" options={options} value="both" onChange={onChange} />);
    await user.tab();
    expect(screen.getByRole("radio", { name: "both" })).toHaveFocus();
    await user.keyboard("{ArrowRight}{ArrowLeft}");
    expect(onChange.mock.calls).toEqual([["left"], ["right"]]);
    await user.tab();
    expect(document.body).toHaveFocus();
  });
  it("with nothing chosen its first option is where one comes in", async () => {
    const { user } = showPage(<Choice label="Side" options={options} value={null} onChange={onChange} />);
    await user.tab();
    expect(screen.getByRole("radio", { name: "left" })).toHaveFocus();
    expect(screen.queryByRole("radio", { checked: true })).toBeNull();
    await user.click(screen.getByRole("radio", { name: "right" }));
    expect(onChange).toHaveBeenCalledWith("right");
  });
});

describe("a time", () => {
  function Field() {
    const [value, setValue] = useState("07:00");
    return (
      <>
        <TimeField label="Starts" value={value} onChange={setValue} />
        <p>{`it is ${value}`}</p>
      </>
    );
  }
  it.each([
    ["730", "07:30"],
    ["7.15", "07:15"],
    ["22", "22:00"],
  ])("typed %s is %s", async (typed, meant) => {
    const { user } = showPage(<Field />);
    await user.clear(screen.getByLabelText("Starts"));
    await user.type(screen.getByLabelText("Starts"), `${typed}{Enter}`);
    expect(screen.getByText(`it is ${meant}`)).toBeInTheDocument();
    expect(screen.getByLabelText("Starts")).toHaveValue(meant);
  });
  it("that is none is said, kept as typed, and taken back with Escape", async () => {
    const { user } = showPage(<Field />);
    await user.clear(screen.getByLabelText("Starts"));
    await user.type(screen.getByLabelText("Starts"), "25:70");
    await user.tab();
    expect(screen.getByText("is not a time, e.g. 07:30")).toBeInTheDocument();
    expect(screen.getByLabelText("Starts")).toHaveValue("25:70");
    await user.click(screen.getByLabelText("Starts"));
    await user.keyboard("{Escape}");
    expect(screen.getByLabelText("Starts")).toHaveValue("07:00");
  });
});

it("a toggle says whether it is pressed", async () => {
  const onChange = jest.fn();
  const { user } = showPage(<Toggle label="Fits the crew" pressed onChange={onChange} />);
  expect(screen.getByRole("button", { pressed: true })).toHaveAccessibleName("Fits the crew");
  await user.tab();
  await user.keyboard("{Enter}");
  expect(onChange).toHaveBeenCalledWith(false);
});

it("nought to ten: eleven buttons, one of them chosen, each with its name", async () => {
  const onChange = jest.fn();
  const { user } = showPage(<ZeroToTen label="How much" value={4} onChange={onChange} nameOf={(value) => `${value} of 10`} />);
  expect(screen.getAllByRole("button")).toHaveLength(11);
  expect(screen.getByRole("button", { pressed: true })).toHaveAccessibleName("4 of 10");
  await user.click(screen.getByRole("button", { name: "0 of 10" }));
  expect(onChange).toHaveBeenCalledWith(0);
});

it("what cannot be taken back is asked once; Escape means no", async () => {
  const [onConfirm, onClose] = [jest.fn(), jest.fn()];
  const { user } = showPage(
    <ConfirmDialog open title="Withdraw it?" confirm="Withdraw" onConfirm={onConfirm} onClose={onClose}>
      It answers nobody any more.
    </ConfirmDialog>,
  );
  expect(screen.getByRole("dialog", { name: "Withdraw it?" })).toHaveTextContent("It answers nobody any more.");
  await user.keyboard("{Escape}");
  expect([onConfirm.mock.calls.length, onClose.mock.calls.length]).toEqual([0, 1]);
  await user.click(screen.getByRole("button", { name: "Withdraw" }));
  expect(onConfirm).toHaveBeenCalledTimes(1);
});

it("the same file can be picked again after it was mended", async () => {
  const onPick = jest.fn();
  const { user } = showPage(
    <FilePick label="Roster" accept=".csv" onPick={onPick}>
      Bring in
    </FilePick>,
  );
  const file = new File(["a"], "roster.csv", { type: "text/csv" });
  const input = screen.getByLabelText("Roster");
  await user.upload(input, file);
  await user.upload(input, file);
  expect(onPick).toHaveBeenCalledTimes(2);
});

it("a table names its rows and columns", () => {
  showPage(<Table caption="Kit" head={["Piece", "Count"]} rows={[{ key: "1", cells: ["Band", 4] }]} />);
  expect(screen.getByRole("table", { name: "Kit" })).toBeInTheDocument();
  expect(screen.getByRole("rowheader")).toHaveTextContent("Band");
  expect(screen.getAllByRole("columnheader").map((cell) => cell.textContent)).toEqual(["Piece", "Count"]);
});

describe("what is waited for", () => {
  function Name() {
    const query = serverApi.useMeQuery();
    return <Loaded query={query}>{(me) => <p>{`hello ${me.account?.name}`}</p>}</Loaded>;
  }
  it("shows that it is on its way, then itself", async () => {
    new TestServer(SIGNED_IN);
    showPage(<Name />, { knowsMe: false });
    expect(screen.getByRole("status", { name: "Loading" })).toBeInTheDocument();
    expect(await screen.findByText("hello Test")).toBeInTheDocument();
  });
  it("says what is wrong, and tries again when asked to", async () => {
    const server = new TestServer({ "GET /me": refusal(503, "databaseAway", "The records cannot be reached.") });
    const { user } = showPage(<Name />, { knowsMe: false });
    expect(await screen.findByText("The records cannot be reached.")).toBeInTheDocument();
    server.answers = SIGNED_IN;
    await user.click(screen.getByRole("button", { name: "Try again" }));
    expect(await screen.findByText("hello Test")).toBeInTheDocument();
  });
  it("what is not there is not tried again", async () => {
    new TestServer({ "GET /me": refusal(404, "notFound", "There is no such thing.") });
    showPage(<Name />, { knowsMe: false });
    expect(await screen.findByText("There is no such thing.")).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: "Try again" })).toBeNull();
  });
});

it("a plain field says what it is, what is wrong with it, and tells what is typed", async () => {
  const typed = jest.fn();
  const { user, rerender } = showPage(<PlainField label="E-mail" value="" onChange={typed} required />);
  const field = screen.getByRole("textbox", { name: /^E-mail/ });
  expect(field).toBeRequired();
  expect(field).toHaveAccessibleDescription("");
  await user.type(field, "a");
  expect(typed).toHaveBeenCalledWith("a");
  rerender(<PlainField label="E-mail" value="a" onChange={typed} problem="is no address" />);
  expect(screen.getByRole("textbox", { name: "E-mail" })).toHaveAccessibleDescription("is no address");
  expect(screen.getByRole("textbox")).toBeInvalid();
});
