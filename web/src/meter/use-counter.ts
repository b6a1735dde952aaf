/** Counts a run with the meter in the hand: each bout that gravity can see is read while it lasts, and kept as counted. */
import { useEffect, useEffectEvent, useRef, useState } from "react";
import { LEAST_TURN_DEG, repetitionsIn, type CountedBout, type Reading, type Repeated, type Repetition } from "@kind-grip/core/meter";
import { boutsOf, tempoSec, type Dose, type Segment } from "@kind-grip/core/session";
import type { useRun } from "../run/use-run";
import type { Meter } from "./use-meter";

/** So often what was read is counted again. */
const COUNT_EVERY_MS = 250;
/** What came back a little late counts still; before the phone changes hands there is less time for it. */
const LATE_MS = 2500;
const LATE_BEFORE_SWITCH_MS = 1000;
/** How long the hand feels that it was counted. */
const FELT_MS = 40;

export interface Counting {
  meter: Meter;
  /** Degrees the hand turns in a movement; undefined or null where it cannot be counted. */
  turnOf(movementId: string, formId: string): number | null | undefined;
  bouts: readonly CountedBout[];
  onBouts(change: (bouts: readonly CountedBout[]) => readonly CountedBout[]): void;
}

interface UnderWay {
  bout: Omit<CountedBout, "repetitions">;
  /** Counted before a pause. */
  before: readonly Repetition[];
  readings: Reading[];
  /** So many the hand has felt counted. */
  felt: number;
}

/** Degrees the hand turns in a bout that is counted: one that says how often it goes out and comes back, or how long it stays. */
export function countedTurn({ kind, dose, movementId, formId }: Segment, turnOf: Counting["turnOf"]): number | null | undefined {
  const isBout = kind === "work" || kind === "hold";
  return isBout && (dose.kind === "reps" || dose.kind === "holds") ? turnOf(movementId, formId) : null;
}

/** @returns what is being counted now; undefined while nothing is */
export function useCounter(run: ReturnType<typeof useRun>, counting: Counting | null): CountedBout | undefined {
  const underWay = useRef<UnderWay | null>(null);
  const [live, setLive] = useState<CountedBout | undefined>();
  const { position, clock } = run;
  const segment = position?.segment;
  const key = segment && `${segment.itemId} ${segment.side} ${segment.set} ${segment.kind} ${segment.formId}`;
  const isRunning = clock.status === "running";
  const isReady = counting !== null && counting.meter.state === "on";

  const count = useEffectEvent(() => {
    const now = underWay.current;
    if (!now) return;
    const found = repetitionsIn(now.readings);
    if (found.length > now.felt) navigator.vibrate?.(FELT_MS);
    now.felt = found.length;
    const bout = { ...now.bout, repetitions: [...now.before, ...found] };
    setLive(bout);
    counting?.onBouts((bouts) => [...bouts.filter((each) => !isSame(each, bout)), bout]);
  });
  const finish = useEffectEvent(() => {
    if (!underWay.current) return;
    count();
    underWay.current = null;
    setLive(undefined);
    counting?.meter.stop();
  });
  /** @returns after how many milliseconds a bout under way is over; null where one has begun, or none is under way */
  const arrive = useEffectEvent((): number | null => {
    if (!counting || !segment) return null;
    const turnDeg = countedTurn(segment, counting.turnOf);
    if (!turnDeg) return !underWay.current ? null : segment.kind === "switch" ? LATE_BEFORE_SWITCH_MS : LATE_MS;
    finish();
    underWay.current = begin(segment, turnDeg, position.intoSec, counting);
    return null;
  });

  useEffect(() => {
    if (!isReady || !isRunning) return;
    const overMs = arrive();
    if (overMs === null) return;
    // Between two bouts: what comes back late is waited for.
    const timer = setTimeout(() => finish(), overMs);
    return () => clearTimeout(timer);
  }, [key, isRunning, isReady]);
  useEffect(() => {
    // Paused, at its end, or no longer wanted: what was counted stays.
    if (!isRunning || !isReady) return finish();
    const timer = setInterval(() => count(), COUNT_EVERY_MS);
    return () => clearInterval(timer);
  }, [isRunning, isReady]);
  return live;
}

function begin(here: Segment, turnDeg: number, intoSec: number, { meter, bouts }: Counting): UnderWay {
  const { itemId, side, set, dose } = here;
  const repeated = repeatedOf(dose);
  const known = bouts.find((bout) => isSame(bout, here));
  const begun: UnderWay = {
    bout: {
      itemId,
      side,
      set,
      of: dose.kind === "holds" ? "holds" : "repetitions",
      due: boutsOf(dose).repsPerBout,
      dueSec: dose.kind === "reps" ? tempoSec(dose.tempo) : repeated.holdSec,
    },
    // Begun anew it is counted anew.
    before: intoSec > lengthOf(repeated) / 2 ? (known?.repetitions ?? []) : [],
    readings: [],
    felt: 0,
  };
  meter.start("angle", (readings) => begun.readings.push(readings.at(-1)!), { fullDeg: Math.max(LEAST_TURN_DEG, turnDeg), repeated });
  return begun;
}

const isSame = (a: Pick<CountedBout, "itemId" | "side" | "set">, b: Pick<CountedBout, "itemId" | "side" | "set">): boolean =>
  a.itemId === b.itemId && a.side === b.side && a.set === b.set;
const lengthOf = ({ restSec, outSec, holdSec, backSec }: Repeated): number => restSec + outSec + holdSec + backSec;

/** What a dose asks of the hand; into a hold and out of it in a second each. */
function repeatedOf(dose: Dose): Repeated {
  if (dose.kind === "reps") {
    const { outSec, endPauseSec, backSec, startPauseSec } = dose.tempo;
    return { restSec: startPauseSec, outSec, holdSec: endPauseSec, backSec };
  }
  return { restSec: 0, outSec: 1, holdSec: dose.kind === "holds" ? dose.holdSec : 0, backSec: 1 };
}
