import { act, fireEvent, screen, within } from "@testing-library/react";
import type { Observation } from "@kind-grip/core/observe";
import type { Work } from "@kind-grip/core/strain";
import { everythingWaiting } from "../run/outbox";
import { sampleCrew, samplePerson } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import ObservePage from "./ObservePage";
import { keptWatch } from "./watch";

const SAMPLE_CREW = sampleCrew();
const TASK = "019d0000-0000-7000-9000-0000000000a1";
const effort = (id: string, name: string, hands: "left" | "right") => ({
  id: `019d0000-0000-7000-9000-0000000000${id}`,
  name,
  hands,
  effort: 3,
  perMin: 10,
  secEach: 2,
  flexionDeg: 0,
  tiltDeg: 0,
  turn: "neutral" as const,
  grip: "power" as const,
});
const WORK: Work = {
  tasks: [
    {
      id: TASK,
      name: "Splitting",
      tool: "hammer",
      vibration: "none",
      cold: false,
      reach: false,
      efforts: [effort("b1", "strike", "right"), effort("b2", "hold", "left")],
    },
  ],
  days: [],
};

let moment: number;
function show(work = WORK) {
  new TestServer({
    ...SIGNED_IN,
    [`GET /crews/${SAMPLE_CREW.id}`]: SAMPLE_CREW,
    [`GET /crews/${SAMPLE_CREW.id}/people`]: [samplePerson()],
    [`GET /crews/${SAMPLE_CREW.id}/work`]: { crewId: SAMPLE_CREW.id, version: 1, work },
  });
  return showPage(<ObservePage />, { at: `/crews/${SAMPLE_CREW.id}/work/observe`, path: "/crews/:crewId/work/observe" });
}
beforeEach(() => {
  moment = 1000;
  jest.spyOn(performance, "now").mockImplementation(() => (moment += 0.01));
});
afterEach(() => jest.restoreAllMocks());

/** What a finger does at a moment of the page. */
function finger(what: "pointerDown" | "pointerUp", field: HTMLElement, at: number) {
  moment = at;
  const event = new MouseEvent(what.toLowerCase(), { bubbles: true, cancelable: true });
  Object.defineProperty(event, "timeStamp", { value: at });
  fireEvent(field, event);
}
const field = (side: string) => screen.getByRole("button", { name: new RegExp(`^${side} hand works`, "i") });

it("is begun at the line, pressed with two fingers, and kept as it was pressed until it is sent", async () => {
  const { user, router } = show();
  await user.click(await screen.findByRole("button", { name: "Watch at the line" }));
  for (let i = 0; i < 3; i++) {
    finger("pointerDown", field("right"), 2000 + i * 1000);
    finger("pointerDown", field("left"), 2100 + i * 1000);
    finger("pointerUp", field("right"), 2400 + i * 1000);
    finger("pointerUp", field("left"), 2900 + i * 1000);
  }
  expect(within(field("right")).getByText("3")).toBeTruthy();
  fireEvent.click(within(screen.getByRole("group", { name: "The wrist now, right" })).getByRole("button", { name: "Bent" }));
  await user.click(screen.getByRole("button", { name: "Keep" }));
  const [waiting] = everythingWaiting();
  expect(waiting).toMatchObject({ kind: "observation", owner: "test@test.example" });
  const { observation } = waiting as unknown as { observation: Observation };
  expect(observation).toMatchObject({ taskId: TASK, personId: null, from: "line" });
  const [left, right] = ["left", "right"].map((side) => observation.hands.find((hand) => hand.side === side)!);
  expect(left!.presses).toEqual([100, 800, 1100, 800, 2100, 800]);
  expect(right!.presses).toEqual([0, 400, 1000, 400, 2000, 400]);
  expect(right!.postures).toMatchObject([{ flexionDeg: 25 }]);
  expect(router.state.location.pathname).toBe(`/crews/${SAMPLE_CREW.id}/work`);
});
it("by keyboard: F and J held, a key that repeats is one press", async () => {
  const { user } = show();
  await user.click(await screen.findByRole("button", { name: "Watch at the line" }));
  fireEvent.keyDown(document.body, { key: "j" });
  fireEvent.keyDown(document.body, { key: "j", repeat: true });
  fireEvent.keyDown(document.body, { key: "f" });
  expect([within(field("right")).queryByText("1"), within(field("left")).queryByText("1")].every(Boolean)).toBe(true);
  fireEvent.keyUp(document.body, { key: "j" });
  fireEvent.keyDown(document.body, { key: " " });
  expect(screen.getByRole("button", { name: "Go on" })).toBeTruthy();
});
it("a hand that is not watched has no field; none at all cannot be begun", async () => {
  const { user } = show();
  await user.click(await screen.findByLabelText("What the left hand is watched at"));
  await user.click(screen.getByRole("option", { name: "not watched" }));
  await user.click(screen.getByLabelText("What the right hand is watched at"));
  await user.click(screen.getByRole("option", { name: "not watched" }));
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Watch at the line" }).disabled).toBe(true);
  await user.click(screen.getByLabelText("What the right hand is watched at"));
  await user.click(screen.getByRole("option", { name: "strike" }));
  await user.click(screen.getByRole("button", { name: "Watch at the line" }));
  expect(screen.queryByRole("button", { name: /left hand works/i })).toBeNull();
});
it("asks before it is thrown away, and what was lost with the page is offered again", async () => {
  const { user, unmount } = show();
  await user.click(await screen.findByRole("button", { name: "Watch at the line" }));
  finger("pointerDown", field("right"), 2000);
  finger("pointerUp", field("right"), 3500);
  fireEvent(window, new Event("pagehide"));
  unmount();
  show();
  expect(await screen.findByText(/Splitting was being watched here/)).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Go on" }));
  expect(within(field("right")).getByText("1")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Throw away" }));
  expect(everythingWaiting()).toEqual([]);
  await user.click(screen.getByRole("button", { name: "Throw it away" }));
  expect(await screen.findByRole("button", { name: "Watch at the line" })).toBeTruthy();
  expect(screen.queryByText(/was being watched here/)).toBeNull();
});
it("is kept every five seconds while it runs, however often its figures are made anew", async () => {
  jest.useFakeTimers({ advanceTimers: true, doNotFake: ["performance"] });
  const { user } = show();
  await user.click(await screen.findByRole("button", { name: "Watch at the line" }));
  finger("pointerDown", field("right"), 2000);
  finger("pointerUp", field("right"), 2600);
  const kept = () => keptWatch("test@test.example", SAMPLE_CREW.id)?.hands.right?.presses;
  for (let half = 0; half < 9; half++) act(() => void jest.advanceTimersByTime(500));
  expect(kept()).toBeUndefined();
  for (let half = 0; half < 3; half++) act(() => void jest.advanceTimersByTime(500));
  expect(kept()).toEqual([0, 600]);
  jest.useRealTimers();
});
it("without a task there is nothing to watch, and a way to describe one", async () => {
  show({ tasks: [], days: [] });
  expect(await screen.findByText("No task to watch yet")).toBeTruthy();
});
