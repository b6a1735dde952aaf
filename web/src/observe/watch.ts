/** An observation under way: presses and postures on a clock that stands while it is paused. Kept in this browser until it is done or thrown away. */
import { packPresses, seenBy, unpackPresses, type Observation, type Press, type SeenHand } from "@kind-grip/core/observe";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";

/** What is watched. */
export interface Watched {
  id: string;
  crewId: string;
  taskId: string;
  personId: string | null;
  from: Observation["from"];
  /** The effort each hand is watched at; a hand left out is not watched. */
  effortIds: Partial<Record<HandSide, string>>;
}

interface HandSeen {
  presses: Press[];
  postures: { atMs: number; flexionDeg: number }[];
  /** Since when it is held down. */
  downMs: number | null;
}

/** As it lies in the browser. */
export interface KeptWatch {
  watched: Watched;
  startedAt: string;
  lengthMs: number;
  hands: Partial<Record<HandSide, { presses: number[]; postures: HandSeen["postures"] }>>;
}

export class Watch {
  private readonly hands: Partial<Record<HandSide, HandSeen>> = {};
  private ranMs = 0;
  /** The moment of the page since when it runs; null while it stands. */
  private since: number | null = null;
  private startedAt: string | null = null;
  /** Where a film is, ms: its time is the clock then, whatever the moment of the page. */
  private filmMs: (() => number) | null = null;

  constructor(readonly watched: Watched) {
    for (const side of HAND_SIDES) if (watched.effortIds[side]) this.hands[side] = { presses: [], postures: [], downMs: null };
  }

  /** Goes on with what was kept, standing. */
  static from({ watched, startedAt, lengthMs, hands }: KeptWatch): Watch {
    const watch = new Watch(watched);
    watch.startedAt = startedAt;
    watch.ranMs = lengthMs;
    for (const side of HAND_SIDES) {
      const [own, kept] = [watch.hands[side], hands[side]];
      if (!own || !kept) continue;
      own.presses = unpackPresses(kept.presses);
      own.postures = kept.postures;
    }
    return watch;
  }

  get runs(): boolean {
    return this.since !== null;
  }

  get begun(): boolean {
    return this.startedAt !== null;
  }

  isDown(side: HandSide): boolean {
    return this.hands[side]?.downMs != null;
  }

  /** @param moment on the clock of the page, ms: that of an event, so that a busy page loses nothing */
  start(moment: number, now = new Date()): void {
    this.since ??= moment;
    this.startedAt ??= now.toISOString();
  }

  pause(moment: number): void {
    if (this.since === null) return;
    for (const side of HAND_SIDES) this.release(side, moment);
    this.ranMs = this.clockAt(moment);
    this.since = null;
  }

  /** @returns ms of observation at a moment of the page */
  clockAt(moment: number): number {
    if (this.since === null) return this.ranMs;
    return this.filmMs ? Math.max(this.ranMs, this.filmMs()) : this.ranMs + Math.max(0, moment - this.since);
  }

  followFilm(filmMs: () => number): void {
    this.filmMs = filmMs;
  }

  /** A film that was wound to a place: what was pressed from there on is watched again. */
  windTo(clockMs: number, moment: number): void {
    for (const side of HAND_SIDES) {
      const hand = this.hands[side];
      if (!hand) continue;
      hand.downMs = null;
      hand.presses = hand.presses
        .filter(({ startMs }) => startMs < clockMs)
        .map((press) => ({ ...press, endMs: Math.min(press.endMs, clockMs) }));
      hand.postures = hand.postures.filter(({ atMs }) => atMs < clockMs);
    }
    this.ranMs = clockMs;
    if (this.since !== null) this.since = moment;
  }

  /** Held down while it stands is no effort. */
  press(side: HandSide, moment: number): void {
    const hand = this.hands[side];
    if (!hand || this.since === null) return;
    this.release(side, moment);
    hand.downMs = this.clockAt(moment);
  }

  release(side: HandSide, moment: number): void {
    const hand = this.hands[side];
    if (!hand || hand.downMs === null) return;
    hand.presses.push({ startMs: hand.downMs, endMs: Math.max(hand.downMs + 1, this.clockAt(moment)) });
    hand.downMs = null;
  }

  posture(side: HandSide, flexionDeg: number, moment: number): void {
    if (this.since !== null) this.hands[side]?.postures.push({ atMs: Math.round(this.clockAt(moment)), flexionDeg });
  }

  pressesOf(side: HandSide): number {
    return (this.hands[side]?.presses.length ?? 0) + (this.isDown(side) ? 1 : 0);
  }

  /** What is seen of each hand up to a moment of observation, ms. */
  seenUntil(clockMs: number): SeenHand[] {
    return seenBy({ lengthMs: clockMs, hands: this.packed((startMs) => startMs < clockMs) });
  }

  kept(moment: number): KeptWatch | null {
    if (this.startedAt === null) return null;
    const hands = Object.fromEntries(this.packed().map(({ side, presses, postures }) => [side, { presses, postures }]));
    return { watched: this.watched, startedAt: this.startedAt, lengthMs: Math.round(this.clockAt(moment)), hands };
  }

  /** @returns null for less than a second */
  observation(moment: number): Observation | null {
    const lengthMs = Math.round(this.clockAt(moment));
    if (this.startedAt === null || lengthMs < 1000) return null;
    const { id, crewId, taskId, personId, from } = this.watched;
    return { id, crewId, taskId, personId, from, startedAt: this.startedAt, lengthMs, hands: this.packed() };
  }

  private packed(which: (startMs: number) => boolean = () => true): Observation["hands"] {
    return HAND_SIDES.flatMap((side) => {
      const hand = this.hands[side];
      if (!hand) return [];
      const presses = packPresses(hand.presses.filter(({ startMs }) => which(startMs)));
      return [{ side, effortId: this.watched.effortIds[side]!, presses, postures: hand.postures }];
    });
  }
}

const keyOf = (crewId: string) => `kind-grip.watching.${crewId}`;

export function keepWatch(owner: string, kept: KeptWatch): void {
  localStorage.setItem(keyOf(kept.watched.crewId), JSON.stringify({ owner, kept }));
}

/** Of whoever is signed in, and nobody else. */
export function keptWatch(owner: string, crewId: string): KeptWatch | null {
  try {
    const found = JSON.parse(localStorage.getItem(keyOf(crewId)) ?? "null") as { owner: string; kept: KeptWatch } | null;
    return found?.owner === owner ? found.kept : null;
  } catch {
    return null;
  }
}

export function dropWatch(crewId: string): void {
  localStorage.removeItem(keyOf(crewId));
}
