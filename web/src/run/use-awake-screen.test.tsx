/** The screen stays awake while a run goes, also after the device slept in between. */
import { renderHook, waitFor } from "@testing-library/react";
import { useAwakeScreen } from "./use-awake-screen";

const locks: { released: boolean; release: jest.Mock }[] = [];
const request = jest.fn(() => {
  const lock = { released: false, release: jest.fn(() => Promise.resolve()) };
  locks.push(lock);
  return Promise.resolve(lock);
});
const look = (state: "visible" | "hidden") => {
  jest.spyOn(document, "visibilityState", "get").mockReturnValue(state);
  document.dispatchEvent(new Event("visibilitychange"));
};
beforeEach(() => {
  locks.splice(0);
  request.mockClear();
  Object.defineProperty(navigator, "wakeLock", { configurable: true, value: { request } });
  jest.spyOn(document, "visibilityState", "get").mockReturnValue("visible");
});

it("is asked for while it is wanted, and let go of after", async () => {
  const { rerender } = renderHook(({ awake }) => useAwakeScreen(awake), { initialProps: { awake: false } });
  expect(request).not.toHaveBeenCalled();
  rerender({ awake: true });
  await waitFor(() => expect(locks).toHaveLength(1));
  rerender({ awake: false });
  await waitFor(() => expect(locks[0]!.release).toHaveBeenCalledTimes(1));
});

it("is asked for again when the page is looked at after the browser took it away, and only then", async () => {
  renderHook(() => useAwakeScreen(true));
  await waitFor(() => expect(locks).toHaveLength(1));
  look("visible");
  expect(request).toHaveBeenCalledTimes(1);
  locks[0]!.released = true;
  look("hidden");
  expect(request).toHaveBeenCalledTimes(1);
  look("visible");
  await waitFor(() => expect(request).toHaveBeenCalledTimes(2));
});

it("that comes after it was given up is let go of", async () => {
  const { unmount } = renderHook(() => useAwakeScreen(true));
  unmount();
  await waitFor(() => expect(locks[0]!.release).toHaveBeenCalledTimes(1));
});
