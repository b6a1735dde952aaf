/** Counting with the meter in the hand: what is read in a bout, what comes back late, pauses, the other hand, and what is not felt. */
import { act, render, screen } from "@testing-library/react";
import { useEffect, useState } from "react";
import type { CountedBout, Reading } from "@kind-grip/core/meter";
import { compilePerson, positionAt, type Session } from "@kind-grip/core/session";
import { newItem, DEFAULT_STYLE, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { sampleId, sampleSession } from "../testing/sample";
import type { useRun } from "../run/use-run";
import { useCounter, type Counting } from "./use-counter";
import type { Meter } from "./use-meter";

const TEMPO = { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 };
const item = (movementId: string, dose: Session["items"][number]["dose"]) => ({
  ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, sampleId()),
  formId: movementId === "wrist-nod" ? "free" : SHIPPED_LIBRARY.get(movementId).forms[0]!.id,
  sides: "inTurn" as const,
  dose,
});
const nod = item("wrist-nod", { kind: "reps", sets: 1, reps: 5, tempo: TEMPO, restSec: 0 });
const session = sampleSession([], { items: [nod] });
const timeline = compilePerson(session, SHIPPED_LIBRARY.timings);
const [left, right] = ["left", "right"].map((side) => timeline.segments.find((each) => each.kind === "work" && each.side === side)!);

let take: ((readings: readonly Reading[]) => void) | undefined;
const started = jest.fn();
const meter = {
  state: "on",
  start: (_kind: string, onReading: typeof take, about: object) => {
    take = onReading;
    started(about);
  },
  stop: () => (take = undefined),
} as unknown as Meter;

let bouts: readonly CountedBout[];
let go: (atSec: number, status?: string) => void;
let lose: () => void;
function Counter({ turnOf = () => 100 }: { turnOf?: Counting["turnOf"] }) {
  const [at, setAt] = useState({ atSec: 0, status: "running" });
  const [isOn, setOn] = useState(true);
  const [own, setOwn] = useState<readonly CountedBout[]>([]);
  const run = { position: positionAt(timeline, at.atSec), clock: { status: at.status } } as unknown as ReturnType<typeof useRun>;
  const live = useCounter(run, { meter: { ...meter, state: isOn ? "on" : "lost" } as Meter, turnOf, bouts: own, onBouts: setOwn });
  useEffect(() => {
    go = (atSec, status = "running") => act(() => setAt({ atSec, status }));
    lose = () => act(() => setOn(false));
    bouts = own;
  });
  return <p>{live ? `${live.side} ${live.repetitions.length}` : "nothing"}</p>;
}
/** So many times out by 60° and back, 4 s each, read ten times a second. */
function turn(times: number, atMs = 0): void {
  act(() => {
    for (let i = 0; i <= times * 40; i++) take?.([{ atMs: atMs + i * 100, value: 30 * (1 - Math.cos((2 * Math.PI * i) / 40)) }]);
  });
}
const tick = (ms: number) => act(() => jest.advanceTimersByTime(ms));
const counts = () => bouts.map(({ side, repetitions }) => [side, repetitions.length]);

beforeEach(() => {
  jest.useFakeTimers();
  started.mockClear();
  take = undefined;
  Object.assign(navigator, { vibrate: jest.fn() });
});
afterEach(() => jest.useRealTimers());

it("reads a bout from its beginning, and shows what it counted", () => {
  render(<Counter />);
  expect(take).toBeUndefined();
  go(left!.startSec);
  expect(started).toHaveBeenCalledWith({ fullDeg: 100, repeated: { restSec: 0, outSec: 2, holdSec: 0, backSec: 2 } });
  turn(3);
  tick(250);
  expect(screen.getByText("left 3")).toBeInTheDocument();
  expect(navigator.vibrate).toHaveBeenCalledTimes(1);
  expect(bouts).toMatchObject([{ itemId: nod.id, side: "left", of: "repetitions", set: 1, due: 5, dueSec: 4 }]);
});

it("what comes back a little late counts still; each hand has a bout of its own", () => {
  render(<Counter />);
  go(left!.startSec);
  turn(4);
  const between = timeline.segments.find(({ startSec }) => startSec > left!.startSec)!;
  go(between.startSec);
  turn(1, 16_100);
  tick(2600);
  expect(counts()).toEqual([["left", 5]]);
  expect(take).toBeUndefined();
  go(right!.startSec);
  turn(2);
  tick(250);
  expect(counts()).toEqual([
    ["left", 5],
    ["right", 2],
  ]);
});

it("goes on after a pause, and begins anew when the bout does", () => {
  render(<Counter />);
  go(left!.startSec);
  turn(2);
  go(left!.startSec + 8, "paused");
  expect(counts()).toEqual([["left", 2]]);
  go(left!.startSec + 8);
  turn(1);
  tick(250);
  expect(counts()).toEqual([["left", 3]]);
  go(0);
  tick(2600);
  go(left!.startSec);
  turn(1);
  tick(250);
  expect(counts()).toEqual([["left", 1]]);
});

it("a meter that is lost leaves what was counted", () => {
  render(<Counter />);
  go(left!.startSec);
  turn(2);
  lose();
  expect(counts()).toEqual([["left", 2]]);
  expect(screen.getByText("nothing")).toBeInTheDocument();
});

it("what gravity does not see is not read", () => {
  render(<Counter turnOf={() => null} />);
  go(left!.startSec);
  expect(started).not.toHaveBeenCalled();
  tick(3000);
  expect(bouts).toEqual([]);
});
