/** Notices: read, taken back, gone by themselves, and over nothing. */
import { act, fireEvent, screen } from "@testing-library/react";
import { showPage } from "../testing/screen";
import { NoticeBar } from "./NoticeBar";
import { notify } from "./notices";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
const height = () => document.documentElement.style.getPropertyValue("--notice-height");
const show = (undo?: () => void) => {
  const { store } = showPage(<NoticeBar />);
  act(() => void store.dispatch(notify({ text: "Ann is out of the list.", undo })));
};

it("is said to those who do not see it, and makes the page shorter while it is there", () => {
  show();
  expect(screen.getByRole("status", { name: "Notice" })).toHaveTextContent("Ann is out of the list.");
  expect(height()).not.toBe("");
  act(() => jest.advanceTimersByTime(9001));
  expect(screen.getByRole("status", { name: "Notice" })).toBeEmptyDOMElement();
  expect(height()).toBe("");
});

it("stays while it is looked at", () => {
  show();
  const bar = screen.getByText("Ann is out of the list.").parentElement!;
  fireEvent.pointerEnter(bar);
  act(() => jest.advanceTimersByTime(60_000));
  expect(screen.getByText("Ann is out of the list.")).toBeInTheDocument();
  fireEvent.pointerLeave(bar);
  act(() => jest.advanceTimersByTime(9001));
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
});

it("takes back what it tells of, once", () => {
  const undo = jest.fn();
  show(undo);
  fireEvent.click(screen.getByRole("button", { name: "Undo" }));
  expect(undo).toHaveBeenCalledTimes(1);
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
});

it("is closed by its button and by Escape", () => {
  show();
  fireEvent.click(screen.getByRole("button", { name: "Close the notice" }));
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
  show();
  fireEvent.keyDown(screen.getByRole("button", { name: "Close the notice" }), { key: "Escape" });
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
});
