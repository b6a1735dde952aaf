/**
 * The clock of a run as a pure state machine. It never counts ticks: the place in the session is worked out from the
 * moment it last started and the moment it is asked, so that a tab that slept is right at once when it wakes.
 */

export interface RunClock {
  status: "waiting" | "running" | "paused" | "ended";
  /** Place in the session at `anchorMs`, seconds. */
  atSec: number;
  /** Moment `atSec` was true, on whatever clock the caller uses throughout, milliseconds. */
  anchorMs: number;
  /** Length of the session, seconds. */
  totalSec: number;
  /** Stretches of the session that were really played, in the order they were, seconds. */
  played: readonly (readonly [number, number])[];
}

export function newClock(totalSec: number): RunClock {
  return { status: "waiting", atSec: 0, anchorMs: 0, totalSec, played: [] };
}

/** Place in the session at a moment, 0 to its length. */
export function placeAt(clock: RunClock, nowMs: number): number {
  if (clock.status !== "running") return clock.atSec;
  return Math.min(clock.totalSec, clock.atSec + Math.max(0, nowMs - clock.anchorMs) / 1000);
}

/** Starts, or goes on after a pause. */
export function play(clock: RunClock, nowMs: number): RunClock {
  return clock.status === "running" || clock.status === "ended" ? clock : { ...clock, status: "running", anchorMs: nowMs };
}

export function pause(clock: RunClock, nowMs: number): RunClock {
  return clock.status === "running" ? { ...settle(clock, nowMs), status: "paused" } : clock;
}

/** Goes to another place, keeping what was played so far; running stays running. */
export function jump(clock: RunClock, toSec: number, nowMs: number): RunClock {
  if (clock.status === "ended") return clock;
  return { ...settle(clock, nowMs), atSec: Math.max(0, Math.min(clock.totalSec, toSec)) };
}

/** Ends the run where it is. */
export function end(clock: RunClock, nowMs: number): RunClock {
  return { ...settle(clock, nowMs), status: "ended" };
}

/** Goes on with a recompiled session: same moment, new length and place (an easier form changes both). */
export function relay(clock: RunClock, atSec: number, totalSec: number, nowMs: number): RunClock {
  return { ...settle(clock, nowMs), atSec: Math.min(atSec, totalSec), totalSec };
}

/** Whether the session has run to its end by now. */
export function isOver(clock: RunClock, nowMs: number): boolean {
  return clock.status === "running" && placeAt(clock, nowMs) >= clock.totalSec;
}

function settle(clock: RunClock, nowMs: number): RunClock {
  const atSec = placeAt(clock, nowMs);
  const played = atSec > clock.atSec ? [...clock.played, [clock.atSec, atSec] as const] : clock.played;
  return { ...clock, atSec, anchorMs: nowMs, played };
}
