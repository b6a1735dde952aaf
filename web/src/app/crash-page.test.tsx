import { act, render, screen } from "@testing-library/react";
import { CrashPage, NotFetched } from "./CrashPage";
import { CodeNotFetched, fetched } from "../base/lost-code";

const answered = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = answered;
  jest.useRealTimers();
});

/** A page that failed, for whatever reason. */
const showFailing = (error: unknown) => render(<CrashPage error={error} />);

it("a page that is not on this device yet says that nothing is broken", async () => {
  showFailing(await fetched(() => Promise.reject(new TypeError("Failed to fetch dynamically imported module"))).catch((why: Error) => why));
  expect(await screen.findByRole("heading", { name: "This page is not on this device yet" })).toBeVisible();
  expect(screen.getByRole("main")).toHaveTextContent("what you did before is kept");
  expect(screen.queryByRole("alert")).toBeNull();
});

it("a page that broke says so, and what broke it", async () => {
  showFailing(new RangeError("no such hold"));
  expect(await screen.findByRole("heading", { name: "This page stopped working" })).toBeVisible();
  expect(screen.getByRole("alert")).toHaveTextContent("no such hold");
});

it("code that can be had is handed on; what cannot says why", async () => {
  expect(await fetched(async () => 7)).toBe(7);
  const why = new TypeError("gone");
  const lost = await fetched(() => Promise.reject(why)).catch((error: unknown) => error);
  expect(lost).toBeInstanceOf(CodeNotFetched);
  expect(lost).toMatchObject({ message: "gone", cause: why });
});

it("where the server answered all along it is not loaded again and again", async () => {
  jest.useFakeTimers();
  globalThis.fetch = jest.fn(async () => new Response(null, { status: 200 }));
  const reload = jest.fn();
  render(<NotFetched reload={reload} />);
  await act(() => jest.advanceTimersByTimeAsync(10_000));
  expect(reload).not.toHaveBeenCalled();
  screen.getByRole("button", { name: "Reload" }).click();
  expect(reload).toHaveBeenCalledTimes(1);
});

it("it opens by itself when the server answers, and not before", async () => {
  jest.useFakeTimers();
  let answer: () => Promise<Response> = () => Promise.reject(new TypeError("no connection"));
  globalThis.fetch = jest.fn(() => answer());
  const reload = jest.fn();
  render(<NotFetched reload={reload} />);
  await act(() => jest.advanceTimersByTimeAsync(4100));
  answer = async () => new Response(null, { status: 503 });
  await act(() => jest.advanceTimersByTimeAsync(2000));
  expect(reload).not.toHaveBeenCalled();
  answer = async () => new Response(null, { status: 200 });
  await act(() => jest.advanceTimersByTimeAsync(2000));
  expect(reload).toHaveBeenCalledTimes(1);
});
