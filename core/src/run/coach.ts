/**
 * What a trainer says while others move: how to take up position the first time a movement comes, one thing to watch for a bout in turn,
 * the breath, half way, mild pull. Nothing is said over a count or over something else: a line stands where there is silence for all of
 * it, and what has no room is left out, the least important first.
 */
import { PHASES, type Library } from "../library";
import type { Language, Words } from "../language";
import type { Segment, Timeline } from "../session";
import type { Cue } from "./cue";
import { speechSec } from "./speech";

/** What is said as a session comes to a phase for the first time: phases that belong together run as one flow. */
const FLOW = {
  mobility: "toMobility",
  stretch: "toStretch",
  glide: "toGlide",
  strengthen: "toStrengthen",
  release: "toRelease",
} as const;

/** All of it; only what is needed on the way; only the count. */
export const COACH_LEVELS = ["full", "brief", "count"] as const;
export type CoachLevel = (typeof COACH_LEVELS)[number];

export interface Coach {
  level: CoachLevel;
  /** How fast the voice speaks: 1 as usual. */
  rate: number;
  /** A hold that something else draws: it is let go of slowly. */
  isAssistedHold(segment: Segment | undefined): boolean;
  /** A movement that goes round, and from its middle on the other way. */
  turnsRound(movementId: string, formId: string): boolean;
  phaseOf(movementId: string): (typeof PHASES)[number] | undefined;
}

export function coachFor(library: Library, level: CoachLevel, rate = 1): Coach {
  const phaseOf = (movementId: string) => library.find(movementId)?.phase;
  return {
    level,
    rate,
    phaseOf,
    isAssistedHold: (segment) => level !== "count" && segment?.kind === "hold" && phaseOf(segment.movementId) === "stretch",
    turnsRound: (movementId, formId) => level !== "count" && library.figure(movementId, formId)?.way === "round",
  };
}

/** What is said before the clock starts; null where only the count is. @param name of the session */
export function openingLine(name: string, timeline: Timeline, words: Words, { level }: Pick<Coach, "level">): string | null {
  if (level === "count" || timeline.items.length === 0) return null;
  const minutes = Math.max(1, Math.round(timeline.totalSec / 60));
  const count = new Set(timeline.items.map(({ movementId }) => movementId)).size;
  const [length, movements] = [words.paper("minute", { count: minutes }), words.paper("movement", { count })];
  // The bare figures are for what a practice wrote in its own words before they were counted in words.
  return words.cue("opening", { session: name, length, movements, minutes, count });
}

/** A caption stays at least so long, and a little longer than it is said. */
const LEAST_CAPTION_SEC = 1.5;
const CAPTION_STAYS_SEC = 0.8;

/** What is being said at a moment, to be read; null in silence. @param cues in order @param language they are said in */
export function captionAt(cues: readonly Cue[], atSec: number, language: Language): string | null {
  const cue = cues.findLast(({ atSec: from, say }) => say !== null && from <= atSec);
  const stays = cue?.say ? Math.max(LEAST_CAPTION_SEC, speechSec(cue.say, language)) + CAPTION_STAYS_SEC : 0;
  return cue && atSec < cue.atSec + stays ? cue.say : null;
}

/** A line that wants to be said from a moment on, and must be over at another. */
interface Line {
  text: string;
  fromSec: number;
  untilSec: number;
  /** 1 is said before 2 where only one has room. */
  priority: number;
}

/** Silence before and after a line, s. */
const GAP_SEC = 0.4;
/** A bout must be at least this long for its middle to be worth a word, s. */
const HALF_WAY_FROM_SEC = 16;
const BREATHE_FROM_SEC = 12;
/** A beep that counts down is no place to talk, s. */
const TICK_SEC = 0.3;

/** The cues with the coach's lines between them, in order. */
export function coached(cues: readonly Cue[], timeline: Timeline, words: Words, coach: Coach): Cue[] {
  if (coach.level === "count") return [...cues];
  const lengthOf = (text: string) => speechSec(text, words.language) / coach.rate;
  const taken = cues.map(({ atSec, say }): [number, number] => [atSec, atSec + (say ? lengthOf(say) : TICK_SEC)]);
  const added: Cue[] = [];
  const lines = linesOf(timeline, words, coach).sort((a, b) => a.priority - b.priority || a.fromSec - b.fromSec);
  for (const { text, fromSec, untilSec } of lines) {
    const lengthSec = lengthOf(text);
    const atSec = firstSilence(taken, lengthSec, fromSec, untilSec);
    if (atSec === undefined) continue;
    added.push({ atSec, sound: null, say: text });
    taken.push([atSec, atSec + lengthSec]);
  }
  return [...cues, ...added].sort((a, b) => a.atSec - b.atSec);
}

/** The earliest moment from which a text can be said to its end; undefined where there is none. */
function firstSilence(
  taken: readonly (readonly [number, number])[],
  lengthSec: number,
  fromSec: number,
  untilSec: number,
): number | undefined {
  const near = taken.filter(([from, to]) => to > fromSec - GAP_SEC && from < untilSec + GAP_SEC).sort((a, b) => a[0] - b[0]);
  let atSec = fromSec;
  for (const [from, to] of near) {
    if (atSec + lengthSec + GAP_SEC <= from) break;
    atSec = Math.max(atSec, to + GAP_SEC);
  }
  return atSec + lengthSec <= untilSec ? atSec : undefined;
}

function linesOf(timeline: Timeline, words: Words, coach: Coach): Line[] {
  const lines: Line[] = [];
  const shown = new Set<string>();
  const bouts = new Map<string, number>();
  const phases = new Set<string>();
  for (const segment of timeline.segments) {
    const { kind, movementId, formId, startSec, lengthSec, leadSec, dose } = segment;
    const endSec = startSec + lengthSec;
    const { steps, watch } = words.movement(movementId);
    const phase = coach.phaseOf(movementId);
    if (kind === "ready" && phase) {
      // What loosens after everything else lets go.
      const to = phase === "getReady" ? (phases.size > 1 ? "release" : null) : phase;
      // How to stand comes first; that a phase begins is said where there is room beside it.
      if (to && !phases.has(to) && phases.size > 0)
        lines.push({ text: words.cue(FLOW[to]), fromSec: startSec, untilSec: endSec, priority: 1.05 });
      phases.add(to ?? phase);
    }
    if (kind === "ready" && coach.level === "full" && !shown.has(movementId)) {
      shown.add(movementId);
      // One sentence after the other, as far as the time goes.
      steps.forEach((text, i) => lines.push({ text, fromSec: startSec, untilSec: endSec, priority: 1 + i * 0.1 }));
    }
    if (kind !== "work" && kind !== "hold") continue;
    const workEndSec = startSec + leadSec;
    const bout = bouts.get(segment.itemId) ?? 0;
    bouts.set(segment.itemId, bout + 1);
    if (dose.kind !== "reps" && dose.kind !== "steps" && leadSec >= HALF_WAY_FROM_SEC) {
      const turns = coach.turnsRound(movementId, formId);
      const text = words.cue(turns ? "otherWay" : "halfWay");
      lines.push({ text, fromSec: startSec + leadSec / 2, untilSec: startSec + leadSec / 2 + 3, priority: turns ? 0 : 2 });
    }
    if (coach.level !== "full") continue;
    if (bout === 0 && coach.phaseOf(movementId) === "stretch")
      lines.push({ text: words.cue("mildPull"), fromSec: startSec, untilSec: workEndSec, priority: 2.5 });
    const note = watch[bout % Math.max(1, watch.length)];
    if (note) lines.push({ text: note, fromSec: startSec, untilSec: workEndSec, priority: 3 });
    if (kind === "hold" && leadSec >= BREATHE_FROM_SEC)
      lines.push({ text: words.cue("breathe"), fromSec: startSec + leadSec * 0.3, untilSec: workEndSec, priority: 4 });
  }
  return lines;
}
