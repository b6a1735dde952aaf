/** Simulated hands with known figures, to watch in tests. */
import type { Task } from "../strain";
import type { Press } from "./efforts";
import { ENOUGH_EVERY_SEC, enoughSeen, isEnough, type Enough, LEAST_WATCHED } from "./enough";
import { rhythmOf } from "./error";

/** A generator of chance by a seed (mulberry32), 0 to 1. */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

export interface Worker {
  /** Efforts a minute while at it. */
  perMin: number;
  secEach: number;
  /** Spread of gaps and lengths as a share of their mean. */
  spread: number;
  /** Mean seconds at it and away from it; left out for somebody who never stops. */
  bursts?: { onSec: number; offSec: number };
  /** How much a length is like the one before, 0 to 1. */
  alike: number;
}

/** What is true of a worker in the long run. */
export function truth({ perMin, secEach, bursts }: Worker): { perMin: number; secEach: number } {
  const share = bursts ? bursts.onSec / (bursts.onSec + bursts.offSec) : 1;
  return { perMin: perMin * share, secEach };
}

/** An hour of it. */
export function presses(worker: Worker, random: () => number, lengthMs = 3_600_000): Press[] {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const positive = (mean: number, drawn: number) => mean * Math.exp(worker.spread * drawn - worker.spread ** 2 / 2);
  const made: Press[] = [];
  const gapSec = 60 / worker.perMin - worker.secEach;
  let drawn = normal();
  // Begun somewhere in the middle of things.
  let atSec = random() * (60 / worker.perMin);
  const exponential = (mean: number) => -mean * Math.log(1 - random());
  const on = worker.bursts ? random() < worker.bursts.onSec / (worker.bursts.onSec + worker.bursts.offSec) : true;
  // How much work is left until the next pause, in seconds of work.
  let leftSec = worker.bursts ? exponential(worker.bursts.onSec) : Infinity;
  if (!on) atSec += exponential(worker.bursts!.offSec);
  while (atSec * 1000 < lengthMs) {
    drawn = worker.alike * drawn + Math.sqrt(1 - worker.alike ** 2) * normal();
    const sec = Math.min(positive(worker.secEach, drawn), 60 / worker.perMin + worker.secEach);
    const nextSec = positive(gapSec, normal());
    made.push({ startMs: atSec * 1000, endMs: (atSec + sec) * 1000 });
    atSec += sec + nextSec;
    leftSec -= sec + nextSec;
    while (leftSec < 0) {
      atSec += exponential(worker.bursts!.offSec);
      leftSec += exponential(worker.bursts!.onSec);
    }
  }
  return made;
}

/** Kinds of hands, drawn by chance. */
export const WORKERS: Readonly<Record<string, (random: () => number) => Worker>> = {
  regular: (random) => ({ perMin: 6 + random() * 30, secEach: 0.5 + random(), spread: 0.1 + random() * 0.3, alike: random() * 0.5 }),
  "in bursts": (random) => ({
    perMin: 10 + random() * 30,
    secEach: 0.4 + random(),
    spread: 0.1 + random() * 0.4,
    alike: random() * 0.5,
    bursts: { onSec: 10 + random() * 40, offSec: 5 + random() * 40 },
  }),
};

export interface Told {
  /** How many were watched until it was enough, within an hour. */
  enough: number;
  /** Of them, how often the true figure lay within the error that was said. */
  rateRight: number;
  secondsRight: number;
}

/** Watches one hand after the other until the screen would say that it is enough, and looks whether what it says is true. */
export function watchUntilEnough(make: (random: () => number) => Worker, hands: number): Told {
  const told: Told = { enough: 0, rateRight: 0, secondsRight: 0 };
  for (let seed = 1; seed <= hands; seed++) {
    const random = chance(seed * 7919);
    const worker = make(random);
    const real = truth(worker);
    const all = presses(worker, random);
    const task = taskOf(1 + Math.floor(random() * 10) / 2);
    let before: Enough = "tooShort";
    for (let sec: number = LEAST_WATCHED.seconds; sec <= 3600; sec += ENOUGH_EVERY_SEC) {
      const efforts = all.filter(({ startMs }) => startMs < sec * 1000);
      const rhythm = rhythmOf(efforts, sec * 1000);
      const enough = enoughSeen(task, 4, [{ side: "right", effortId: task.efforts[0]!.id, efforts, forgotten: 0, rhythm, postures: [] }]);
      const was = before;
      before = enough;
      if (!isEnough(was, enough)) continue;
      told.enough += 1;
      if (Math.abs(rhythm!.perMin.value - real.perMin) <= rhythm!.perMin.error) told.rateRight += 1;
      if (Math.abs(rhythm!.secEach.value - real.secEach) <= rhythm!.secEach.error) told.secondsRight += 1;
      break;
    }
  }
  return told;
}

function taskOf(effort: number): Task {
  const id = "019d0000-0000-7000-9000-00000000000a";
  const only = {
    id,
    name: "effort",
    hands: "right",
    effort,
    perMin: 10,
    secEach: 1,
    flexionDeg: 0,
    tiltDeg: 0,
    turn: "neutral",
    grip: "power",
  } as const;
  return { id, name: "task", tool: null, vibration: "none", cold: false, reach: false, efforts: [only] };
}
