/** Notices: read, taken back, gone by themselves, and over nothing. */
import { Dialog } from "@mui/material";
import { act, fireEvent, screen } from "@testing-library/react";
import { showPage } from "../testing/screen";
import { NoticeBar } from "./NoticeBar";
import { notify } from "./notices";
import { useTellFailure } from "./tell-failure";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
const height = () => document.documentElement.style.getPropertyValue("--notice-height");
const show = (undo?: () => unknown) => {
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

const NOT_REACHED = { status: "FETCH_ERROR", error: "TypeError: Failed to fetch" };
const REFUSED = { status: 409, data: { code: "stale", message: "Somebody else changed it meanwhile.", fields: [] } };
const press = (name: string) => act(async () => void fireEvent.click(screen.getByRole("button", { name })));

it("says why it could not be taken back; where the server was not reached it can be tried again", async () => {
  const undo = jest.fn().mockResolvedValueOnce({ error: NOT_REACHED }).mockResolvedValueOnce({ data: {} });
  show(undo);
  await press("Undo");
  expect(screen.getByRole("status", { name: "Notice" })).toHaveTextContent(/Not taken back\. The server cannot be reached/);
  await press("Undo");
  expect(undo).toHaveBeenCalledTimes(2);
  expect(screen.getByRole("status", { name: "Notice" })).toBeEmptyDOMElement();

  show(() => Promise.resolve({ error: REFUSED }));
  await press("Undo");
  const notices = screen.getAllByRole("status", { name: "Notice" });
  expect(notices.at(-1)).toHaveTextContent("Not taken back. Somebody else changed it meanwhile.");
  expect(screen.queryByRole("button", { name: "Undo" })).toBeNull();
});

it("a change that failed is said, with every field; one that was done says nothing of itself", async () => {
  const outcomes: unknown[] = [];
  const answers = [
    { error: { status: 400, data: { code: "invalid", message: "Look at this.", fields: [{ path: "a", message: "Too long." }] } } },
    { data: 1 },
  ];
  function Changes() {
    const told = useTellFailure();
    return <button onClick={() => void told(Promise.resolve(answers.shift()!)).then((done) => outcomes.push(done))}>Do it</button>;
  }
  showPage(
    <>
      <Changes />
      <NoticeBar />
    </>,
  );
  await press("Do it");
  expect(screen.getByRole("status", { name: "Notice" })).toHaveTextContent("Not done. Look at this. Too long.");
  await press("Close the notice");
  await press("Do it");
  expect(screen.getByRole("status", { name: "Notice" })).toBeEmptyDOMElement();
  expect(outcomes).toEqual([false, true]);
});

it("is closed by its button and by Escape", () => {
  show();
  fireEvent.click(screen.getByRole("button", { name: "Close the notice" }));
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
  show();
  fireEvent.keyDown(screen.getByRole("button", { name: "Close the notice" }), { key: "Escape" });
  expect(screen.queryByText("Ann is out of the list.")).toBeNull();
});

it("behind an open dialog it is told beside it, where it is read aloud, and once", () => {
  const { store } = showPage(
    <>
      <NoticeBar />
      <Dialog open aria-label="Groups">
        <button>Done</button>
      </Dialog>
    </>,
  );
  // The page behind the dialog is hidden from whoever listens.
  expect(screen.queryByRole("status", { name: "Notice" })).toBeNull();
  act(() => void store.dispatch(notify({ text: "Ann is out of the list." })));
  const told = () => screen.getByRole("status", { name: "Notice" });
  expect(told()).toHaveTextContent("Ann is out of the list.");
  expect(told()).toHaveAttribute("aria-live", "assertive");
  expect(screen.getAllByText("Ann is out of the list.")).toHaveLength(1);
  act(() => void store.dispatch(notify({ text: "Bo is, too." })));
  expect(told()).toHaveTextContent("Bo is, too.");
  expect(height()).not.toBe("");
  act(() => jest.advanceTimersByTime(9001));
  expect(screen.queryByText("Bo is, too.")).toBeNull();
});
