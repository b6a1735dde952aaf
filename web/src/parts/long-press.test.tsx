/** A button that a hand round the screen does not press by accident. */
import { act, fireEvent, render, screen } from "@testing-library/react";
import { LongPress } from "./LongPress";

const pressed = jest.fn();
const button = () => {
  render(<LongPress label="Pause" icon={null} onPress={pressed} />);
  return screen.getByRole("button", { name: "Pause" });
};
const wait = (ms: number) => act(() => jest.advanceTimersByTime(ms));
beforeEach(() => {
  jest.useFakeTimers();
  pressed.mockClear();
});
afterEach(() => jest.useRealTimers());

it("a touch has to stay for a second", () => {
  const at = button();
  fireEvent.pointerDown(at, { pointerType: "touch" });
  wait(990);
  expect(pressed).not.toHaveBeenCalled();
  wait(20);
  expect(pressed).toHaveBeenCalledTimes(1);
});

it.each(["pointerUp", "pointerLeave", "pointerCancel"] as const)("let go before (%s) it does nothing", (letGo) => {
  const at = button();
  fireEvent.pointerDown(at, { pointerType: "touch" });
  wait(900);
  fireEvent[letGo](at);
  fireEvent.click(at, { detail: 1 });
  wait(2000);
  expect(pressed).not.toHaveBeenCalled();
});

it("a key or a reader's press acts at once", () => {
  fireEvent.click(button(), { detail: 0 });
  expect(pressed).toHaveBeenCalledTimes(1);
});
