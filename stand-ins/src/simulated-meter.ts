/** A grip meter and an angle meter that are not there: what they would read at a moment. Chance comes from outside. */
import type { MeterKind, MeterSettings, Repeated } from "@kind-grip/core/meter";

export const READINGS_PER_SEC = 20;
export const USUAL: MeterSettings = { gripKg: 34, rangeShare: 0.92, noise: 0.3, dropOuts: 0, weakTrial: false };

/** A squeeze: waits, rises, is held, lets go. Seconds. */
const SQUEEZE = { wait: 0.6, rise: 0.4, hold: 2.6, fall: 0.3 } as const;
/** A half-hearted one is weaker and let go early. */
const WEAK = { share: 0.55, hold: 1.6 } as const;
/** A hand tires while it holds, by this share a second. */
const FATIGUE_PER_SEC = 0.012;
/** Trials of one hand vary by this much (standard deviation over mean). */
const TRIAL_SPREAD = 0.03;
/** A joint moves to its end in so many seconds. */
const MOVE_SEC = 1.6;
/** What a push of the other hand adds. */
const ASSISTED_SHARE = 0.09;
/** Readings get lost in runs this long. */
const DROP_SEC = 0.4;

/** Somebody who repeats hurries a little more each time, and is never quite even. */
const HURRIES_SHARE = 0.02;
const UNEVEN_SHARE = 0.04;

export type Chance = () => number;

interface Course {
  kind: MeterKind;
  /** What the course is about to reach: kg or degrees. */
  end: number;
  /** When the hand closes, seconds into the stream; undefined until somebody squeezes. */
  squeezedAt?: number;
  holdSec: number;
  /** When each part of it is over, seconds into the stream; grows as it is asked for. */
  repetitions?: { asked: Repeated; ends: RepetitionEnds[] };
}
interface RepetitionEnds {
  restsTo: number;
  outTo: number;
  heldTo: number;
  backTo: number;
}

export class SimulatedMeter {
  settings: MeterSettings = { ...USUAL };
  private course: Course | undefined;
  private lost = false;
  private lostUntil = 0;

  constructor(private readonly chance: Chance) {}

  start(
    kind: MeterKind,
    { fullDeg = 80, assisted = false, repeated }: { fullDeg?: number; assisted?: boolean; repeated?: Repeated } = {},
  ): void {
    this.lostUntil = 0;
    const share = this.settings.rangeShare * (1 + this.normal() * 0.03) + (assisted ? ASSISTED_SHARE : 0);
    this.course = { kind, end: kind === "grip" ? 0 : fullDeg * share, holdSec: SQUEEZE.hold };
    if (repeated) this.course.repetitions = { asked: repeated, ends: [] };
  }

  /** Where a joint is that goes out and back, as a share of its end. */
  private repeatedShare({ asked, ends }: NonNullable<Course["repetitions"]>, atSec: number): number {
    while ((ends.at(-1)?.backTo ?? -1) < atSec) {
      const pace = Math.max(0.4, 1 - HURRIES_SHARE * ends.length + UNEVEN_SHARE * this.normal());
      const restsTo = (ends.at(-1)?.backTo ?? 0) + asked.restSec * pace;
      const outTo = restsTo + asked.outSec * pace;
      const heldTo = outTo + asked.holdSec * pace;
      ends.push({ restsTo, outTo, heldTo, backTo: heldTo + Math.max(0.05, asked.backSec * pace) });
    }
    const { restsTo, outTo, heldTo, backTo } = ends.find((each) => atSec <= each.backTo)!;
    if (atSec < restsTo) return 0;
    if (atSec < outTo) return eased((atSec - restsTo) / (outTo - restsTo));
    return atSec < heldTo ? 1 : eased((backTo - atSec) / (backTo - heldTo));
  }

  /** Somebody closes the hand, `atSec` into the stream. */
  squeeze(atSec: number): void {
    if (this.course?.kind !== "grip") return;
    const { gripKg, weakTrial } = this.settings;
    this.course.end = gripKg * (1 + this.normal() * TRIAL_SPREAD) * (weakTrial ? WEAK.share : 1);
    this.course.holdSec = weakTrial ? WEAK.hold : SQUEEZE.hold;
    this.course.squeezedAt = atSec;
    this.settings = { ...this.settings, weakTrial: false };
  }

  /** @returns undefined while nothing is measured, and for a reading that gets lost */
  readingAt(atSec: number): { kind: MeterKind; value: number } | undefined {
    const { course } = this;
    if (!course || this.isLost(atSec)) return undefined;
    const reached = course.repetitions
      ? course.end * this.repeatedShare(course.repetitions, atSec)
      : course.kind === "grip"
        ? gripAt(course, atSec)
        : angleAt(course, atSec);
    const value = reached + this.normal() * this.settings.noise;
    return { kind: course.kind, value: Math.round(Math.max(course.kind === "grip" ? 0 : -10, value) * 100) / 100 };
  }

  private isLost(atSec: number): boolean {
    if (atSec >= this.lostUntil) {
      this.lost = this.chance() < this.settings.dropOuts;
      this.lostUntil = atSec + DROP_SEC;
    }
    return this.lost;
  }

  /** Standard normal, by Box and Muller. */
  private normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.chance())) * Math.cos(2 * Math.PI * this.chance());
  }
}

function gripAt({ end, squeezedAt, holdSec }: Course, atSec: number): number {
  if (squeezedAt === undefined) return 0;
  const into = atSec - squeezedAt - SQUEEZE.wait;
  if (into < 0) return 0;
  if (into < SQUEEZE.rise) return (end * into) / SQUEEZE.rise;
  const held = into - SQUEEZE.rise;
  if (held < holdSec) return end * (1 - FATIGUE_PER_SEC * held);
  return Math.max(0, end * (1 - (held - holdSec) / SQUEEZE.fall));
}

function angleAt({ end }: Course, atSec: number): number {
  return end * eased(Math.min(1, atSec / MOVE_SEC));
}

const eased = (share: number): number => share * share * (3 - 2 * share);
