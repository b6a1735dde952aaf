/**
 * Where the sessions of one person go on a day of bookings: warm-up before the first, resets in the gaps, a longer one where there is
 * room, strengthening on a light day, what closes after the last. Exact: no other laying costs less. Pure.
 */
import type { Span } from "../calendar";
import { SPACING } from "../dayplan";

/** What can be laid. */
export const LAID_KINDS = ["warmUp", "reset", "longer", "strength", "closing"] as const;
export type LaidKind = (typeof LAID_KINDS)[number];

export interface BookedSpan extends Span {
  id: string;
  /** A reset is due after it. */
  deep: boolean;
  /** Strain index above the threshold: nothing is strengthened in the hour before it. */
  hard: boolean;
}

export interface LaidSession extends Span {
  kind: LaidKind;
  /** The booking it comes after; null before the first. */
  afterId: string | null;
}

/** What a session takes. */
export interface SessionShape {
  /** Up to a whole minute. */
  lengthMin: number;
  /** Has mobility or stretching in it. */
  moves: boolean;
  glides: boolean;
  /** Kit that others want at the same time, and how many people there is enough of it for; null for none. */
  shares: { kit: string; people: number } | null;
}

export interface LayRules {
  sessions: Readonly<Partial<Record<LaidKind, SessionShape>>>;
  turnMin: number;
  mostInRow: number;
  /** Nothing begins before this. */
  nowMs: number;
}

export interface BookedDay {
  personId: string;
  /** In order; those that take place. */
  bookings: readonly BookedSpan[];
  /** It is a light day, and strengthening is due. */
  mayStrengthen: boolean;
  /** Not before this: long enough after the last time. */
  strengthFromMs: number;
  /** Begun already: they stay what they are. */
  begun: readonly LaidSession[];
}

export interface Missed {
  what: "warmUp" | "afterDeep" | "inRow";
  /** The booking it should have come after; null for the warm-up. */
  afterId: string | null;
  /** Minutes there are between the two treatments, the room's left out. */
  roomMin: number;
}

export interface LaidDay {
  sessions: LaidSession[];
  missed: Missed[];
  cost: number;
}

/** What a minute with shared kit in the hand costs on top, by minutes since 1970; Infinity where all of it is taken. */
export type KitPrices = ReadonlyMap<number, number>;

/** Weights of what is given up, in minutes of waiting. Practice rules. */
export const LAY_COST = { missed: 1000, strength: 600, longer: 200, closing: 200, unasked: 30 } as const;
/** Left of a gap beside a longer session and the room: somebody eats something too. */
export const EASE_MIN = 10;
/** How long before its latest moment a warm-up may begin. */
export const EARLY_MIN = 30;
/** How long after the last treatment anything is begun. */
export const AFTER_LAST_MIN = 60;
export const MOST_LONGER = 2;
const BEFORE_HARD_MIN = 60;
const minute = 60_000;

interface State {
  /** Treatments since the last session. */
  row: number;
  moves: number;
  glides: number;
  longer: number;
  longerEndMs: number;
  glideEndMs: number;
  strength: boolean;
}

interface Rest {
  cost: number;
  sessions: LaidSession[];
  missed: Missed[];
}

/** Between two treatments, before the first or after the last. */
interface Gap {
  after: BookedSpan | null;
  /** From the end of what came before; for the first gap from its earliest moment. */
  fromMs: number;
  /** The next treatment; Infinity after the last. */
  nextMs: number;
  /** Begun in it already. */
  begun: LaidSession[];
}

export function layDay(day: BookedDay, rules: LayRules, prices: KitPrices = new Map()): LaidDay {
  if (day.bookings.length === 0) return { sessions: [...day.begun], missed: [], cost: 0 };
  return new Laying(day, rules, prices).best();
}

class Laying {
  private readonly gaps: Gap[];
  private readonly known = new Map<string, Rest>();
  constructor(
    private readonly day: BookedDay,
    private readonly rules: LayRules,
    private readonly prices: KitPrices,
  ) {
    this.gaps = gapsOf(day, rules);
  }

  best(): LaidDay {
    const none = { row: 0, moves: 0, glides: 0, longer: 0, longerEndMs: -Infinity, glideEndMs: -Infinity, strength: false };
    return this.from(0, none);
  }

  /** The cheapest from a gap on. */
  private from(at: number, state: State): Rest {
    const gap = this.gaps[at];
    if (!gap) return { cost: this.leftOut(state), sessions: [], missed: [] };
    const key = [at, ...Object.values(state)].join(" ");
    const known = this.known.get(key);
    if (known) return known;
    let best: Rest | undefined;
    for (const chosen of this.choices(gap, state)) {
      const missed = chosen.length > 0 ? [] : this.missedIn(gap, state.row);
      const rest = this.from(at + 1, this.after(gap, state, chosen));
      const cost = rest.cost + LAY_COST.missed * missed.length + this.costOf(gap, state, chosen);
      if (!best || cost < best.cost)
        best = { cost, sessions: [...chosen, ...rest.sessions], missed: [...this.told(gap, missed), ...rest.missed] };
    }
    this.known.set(key, best!);
    return best!;
  }

  private choices(gap: Gap, state: State): LaidSession[][] {
    if (gap.begun.length > 0) return [gap.begun];
    const kinds: LaidKind[] = !gap.after
      ? ["warmUp"]
      : gap.nextMs === Infinity
        ? ["strength", "closing", "reset"]
        : ["longer", "strength", "reset"];
    return [...kinds.flatMap((kind) => this.starts(kind, gap, state).map((startMs) => [this.laid(kind, startMs, gap)])), []];
  }

  private laid(kind: LaidKind, startMs: number, { after }: Gap): LaidSession {
    return { kind, startMs, endMs: startMs + this.rules.sessions[kind]!.lengthMin * minute, afterId: after?.id ?? null };
  }

  /**
   * Of a warm-up every minute it may begin, of anything else the first: waiting helps nothing that comes later. Where kit costs, those
   * until it costs nothing.
   */
  private starts(kind: LaidKind, gap: Gap, state: State): number[] {
    const shape = this.rules.sessions[kind];
    if (!shape || !this.mayHave(kind, shape, state)) return [];
    const latest = this.latest(kind, shape, gap);
    const starts: number[] = [];
    for (let startMs = this.earliest(kind, shape, gap, state); startMs <= latest; startMs += minute) {
      const price = this.priceOf(kind, startMs);
      if (price === Infinity) continue;
      starts.push(startMs);
      if (kind !== "warmUp" && price === 0) break;
    }
    return starts;
  }

  private earliest(kind: LaidKind, { glides }: SessionShape, { fromMs }: Gap, { longerEndMs, glideEndMs }: State): number {
    const spacedMs = SPACING.sameKindMin * minute;
    return Math.max(
      fromMs,
      Math.ceil(this.rules.nowMs / minute) * minute,
      kind === "longer" ? longerEndMs + spacedMs : -Infinity,
      kind === "strength" ? this.day.strengthFromMs : -Infinity,
      glides ? glideEndMs + spacedMs : -Infinity,
    );
  }

  private latest(kind: LaidKind, { lengthMin }: SessionShape, gap: Gap): number {
    const hard = kind === "strength" ? this.day.bookings.find((each) => each.hard && each.startMs >= gap.fromMs) : undefined;
    // Strengthening ends an hour before hard work.
    const beforeHardMs = hard ? hard.startMs - (BEFORE_HARD_MIN + lengthMin) * minute : Infinity;
    const ease = kind === "longer" || kind === "strength" ? EASE_MIN : 0;
    const inGapMs =
      gap.nextMs === Infinity ? gap.fromMs + AFTER_LAST_MIN * minute : gap.nextMs - (this.rules.turnMin + ease + lengthMin) * minute;
    return Math.min(inGapMs, beforeHardMs);
  }

  private priceOf(kind: LaidKind, startMs: number): number {
    const shape = this.rules.sessions[kind];
    if (!shape?.shares || this.prices.size === 0) return 0;
    let price = 0;
    for (let i = 0; i < shape.lengthMin; i++) price += this.prices.get(startMs / minute + i) ?? 0;
    return price;
  }

  private mayHave(kind: LaidKind, shape: SessionShape, state: State): boolean {
    if (kind === "longer" && state.longer >= MOST_LONGER) return false;
    if (kind === "strength" && (!this.day.mayStrengthen || state.strength)) return false;
    if (kind === "reset") return true;
    return !(shape.moves && state.moves >= SPACING.mobilityPerDay) && !(shape.glides && state.glides >= SPACING.glidesPerDay);
  }

  private after(gap: Gap, state: State, chosen: readonly LaidSession[]): State {
    const next = { ...state, row: (chosen.length > 0 ? 0 : state.row) + (gap.nextMs === Infinity ? 0 : 1) };
    for (const { kind, endMs } of chosen) {
      const shape = this.rules.sessions[kind];
      if (kind === "longer") Object.assign(next, { longer: next.longer + 1, longerEndMs: endMs });
      if (kind === "strength") next.strength = true;
      if (kind === "reset" || !shape) continue;
      if (shape.moves) next.moves++;
      if (shape.glides) Object.assign(next, { glides: next.glides + 1, glideEndMs: endMs });
    }
    return next;
  }

  private costOf({ after, fromMs, nextMs, begun }: Gap, { row }: State, chosen: readonly LaidSession[]): number {
    if (begun.length > 0) return 0;
    return chosen.reduce((sum, { kind, startMs, endMs }) => {
      const price = this.priceOf(kind, startMs);
      if (kind === "warmUp") return sum + price + (nextMs - this.rules.turnMin * minute - endMs) / minute;
      const asked = kind !== "reset" || after!.deep || (row >= this.rules.mostInRow && nextMs !== Infinity);
      return sum + price + (startMs - fromMs) / minute + (asked ? 0 : LAY_COST.unasked);
    }, 0);
  }

  private missedIn({ after, fromMs, nextMs }: Gap, row: number): Missed[] {
    const roomMin = nextMs === Infinity || !after ? 0 : Math.max(0, (nextMs - fromMs) / minute - this.rules.turnMin);
    const afterId = after?.id ?? null;
    if (!after) return this.rules.sessions.warmUp ? [{ what: "warmUp", afterId, roomMin }] : [];
    if (!this.rules.sessions.reset) return [];
    return [
      ...(after.deep ? [{ what: "afterDeep" as const, afterId, roomMin }] : []),
      ...(row >= this.rules.mostInRow && nextMs !== Infinity ? [{ what: "inRow" as const, afterId, roomMin }] : []),
    ];
  }

  /** What is over is not told any more. */
  private told({ nextMs }: Gap, missed: readonly Missed[]): Missed[] {
    return nextMs > this.rules.nowMs ? [...missed] : [];
  }

  private leftOut({ longer, strength }: State): number {
    const { sessions } = this.rules;
    return (
      (sessions.longer ? LAY_COST.longer * Math.max(0, MOST_LONGER - longer) : 0) +
      (sessions.strength && this.day.mayStrengthen && !strength ? LAY_COST.strength : 0)
    );
  }
}

function gapsOf({ bookings, begun }: BookedDay, { sessions, turnMin }: LayRules): Gap[] {
  const first = bookings[0]!;
  const before = (turnMin + EARLY_MIN + (sessions.warmUp?.lengthMin ?? 0)) * minute;
  const gaps: Gap[] = [{ after: null, fromMs: first.startMs - before, nextMs: first.startMs, begun: [] }];
  let endMs = -Infinity;
  bookings.forEach((booking, i) => {
    endMs = Math.max(endMs, booking.endMs);
    gaps.push({ after: booking, fromMs: endMs, nextMs: bookings[i + 1]?.startMs ?? Infinity, begun: [] });
  });
  // What was begun is in the gap it was begun in, whatever became of the bookings around it.
  for (const session of begun) gaps.findLast(({ after }) => !after || after.startMs <= session.startMs)!.begun.push(session);
  return gaps;
}
