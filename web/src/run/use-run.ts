/** A run under way: the clock, the timeline it goes along, what was eased and marked, and how it is kept. */
import { useCallback, useEffect, useMemo, useReducer, useRef, useState, type RefObject } from "react";
import type { Words } from "@kind-grip/core/language";
import type { CountedBout } from "@kind-grip/core/meter";
import { easierForm } from "@kind-grip/core/library";
import {
  captionAt,
  closeIndexOf,
  coachFor,
  cuesOf,
  end,
  isOver,
  jump,
  newClock,
  openingLine,
  pause,
  placeAt,
  play,
  relay,
  speechSec,
  type Cue,
  type MarkKind,
  type RunClock,
} from "@kind-grip/core/run";
import { refusalOf, type Participations } from "@kind-grip/core/safety";
import {
  compileGroup,
  compilePerson,
  doseInForm,
  positionAt,
  setPersonalForm,
  type Segment,
  type Session,
  type Timeline,
} from "@kind-grip/core/session";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import type { QuickReadings } from "../quicktest/quick-readings";
import { CuePlayer, hasVoice, type SoundChoice } from "./sound";
import { keepUnderWay, type RunUnderWay } from "./run-store";

const KEEP_EVERY_MS = 1000;
/** Going back within this much of an item's start goes to the item before. */
const BACK_GRACE_SEC = 3;
/** Silence between what is said beforehand and the clock. */
const OPENING_STAYS_SEC = 0.6;

interface UseRunOptions {
  programId: string;
  session: Session;
  /** The session before it was made shorter; the same where it was not. */
  written?: Session;
  personIds: readonly string[];
  /** Who is not here; kept with the run. */
  away?: readonly string[];
  /** Who did not do what so far; kept with the run. */
  leftOut?: RefObject<ReadonlyMap<string, ReadonlySet<string>>>;
  /** Readings of the quick test; kept with the run. */
  quick?: QuickReadings;
  /** What the phone in the hand counted; kept with the run. */
  counted?: readonly CountedBout[];
  participations: Participations;
  resumed?: RunUnderWay;
  /** Whoever leads or follows it. */
  owner: string;
  /** Followed by one person: in their own forms, which nobody else waits for. */
  alone?: boolean;
  /** The practice's time, for the record. */
  practiceNow(): number;
  sound: SoundChoice;
  /** In which it is said. */
  words: Words;
}

export function useRun({
  programId,
  session: initial,
  written: asWritten = initial,
  personIds,
  away,
  leftOut,
  quick,
  counted,
  participations,
  resumed,
  owner,
  alone = false,
  practiceNow,
  sound,
  words,
}: UseRunOptions) {
  // What is led is settled as the screen opens, the library too: an edit elsewhere does not change a run under way.
  const [library] = useState(useLibrary());
  const [session, setSession] = useState(initial);
  const [written] = useState(resumed ? (resumed.written ?? resumed.session) : asWritten);
  const compile = useCallback(
    (of: Session) => (alone ? compilePerson(of, library.timings, personIds[0]) : compileGroup(of, library.timings, personIds)),
    [alone, library, personIds],
  );
  const timeline = useMemo(() => compile(session), [compile, session]);
  const [clock, setClock] = useState<RunClock>(() =>
    resumed
      ? { ...resumed.clock, status: resumed.clock.status === "running" ? "paused" : resumed.clock.status, totalSec: timeline.totalSec }
      : newClock(timeline.totalSec),
  );
  const [marks, setMarks] = useState<RunUnderWay["marks"]>(resumed?.marks ?? []);
  const [startedAt, setStartedAt] = useState<string | null>(resumed?.startedAt ?? null);
  const runId = useMemo(() => resumed?.runId ?? uuid(), [resumed]);
  const [, redraw] = useReducer((count: number) => count + 1, 0);

  // The picture follows the clock; it never drives it.
  useEffect(() => {
    if (clock.status !== "running") return;
    let frame = requestAnimationFrame(function draw() {
      if (isOver(clock, performance.now())) setClock((now) => end(now, performance.now()));
      else {
        redraw();
        frame = requestAnimationFrame(draw);
      }
    });
    return () => cancelAnimationFrame(frame);
  }, [clock]);

  // A hidden tab draws nothing; the end is noticed all the same.
  useEffect(() => {
    if (clock.status !== "running") return;
    const left = clock.totalSec - placeAt(clock, performance.now());
    const timer = setTimeout(
      () => setClock((now) => (isOver(now, performance.now()) ? end(now, performance.now()) : now)),
      left * 1000 + 20,
    );
    return () => clearTimeout(timer);
  }, [clock]);

  const cues = useMemo(
    () => cuesOf(timeline, words, coachFor(library, sound.coach, sound.rate)),
    [timeline, library, words, sound.coach, sound.rate],
  );
  const players = useRef(new WeakMap<readonly Cue[], CuePlayer>());
  const playerOf = useCallback(
    (of: readonly Cue[], choice: SoundChoice) => {
      const player = players.current.get(of) ?? new CuePlayer(of, choice, words.language);
      players.current.set(of, player);
      player.choose(choice);
      return player;
    },
    [words.language],
  );
  useEffect(() => {
    const player = playerOf(cues, sound);
    if (clock.status === "running") player.play(() => placeAt(clock, performance.now()));
    return () => player.stop();
  }, [cues, clock, sound, playerOf]);

  // What is said before the clock starts takes none of its time.
  const [opening, setOpening] = useState<string | null>(null);
  const openingTimer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    // Asked once beforehand: a browser makes its list of voices only then.
    hasVoice("en");
    return () => clearTimeout(openingTimer.current);
  }, []);

  const state = useRef({ clock, session, marks, startedAt, away, quick, counted });
  useEffect(() => {
    state.current = { clock, session, marks, startedAt, away, quick, counted };
  });
  useEffect(() => {
    const keep = () => {
      const now = state.current;
      if (now.startedAt === null) return;
      const atSec = placeAt(now.clock, performance.now());
      keepUnderWay(programId, initial.id, {
        runId,
        owner,
        session: now.session,
        written,
        marks: now.marks,
        away: now.away,
        leftOut: leftOut && Object.fromEntries([...leftOut.current].map(([personId, items]) => [personId, [...items]])),
        quick: now.quick,
        counted: now.counted,
        startedAt: now.startedAt,
        keptAtMs: Date.now(),
        clock:
          pause(now.clock, performance.now()).status === "ended"
            ? now.clock
            : { ...pause(now.clock, performance.now()), atSec, anchorMs: 0 },
      });
    };
    const timer = setInterval(keep, KEEP_EVERY_MS);
    addEventListener("pagehide", keep);
    return () => {
      clearInterval(timer);
      removeEventListener("pagehide", keep);
    };
  }, [programId, initial.id, runId, owner, written, leftOut]);

  // oxlint-disable-next-line react/purity -- drawn again with every frame: what is shown is where the clock is now
  const atSec = placeAt(clock, performance.now());
  const position = positionAt(timeline, Math.min(atSec, timeline.totalSec - 0.001));

  const begin = () => {
    setOpening(null);
    setStartedAt((before) => before ?? new Date(practiceNow()).toISOString());
    setClock((now) => play(now, performance.now()));
  };
  const go = useCallback((toSec: number) => setClock((now) => jump(now, toSec, performance.now())), []);
  const itemIndex = position ? timeline.items.findIndex((span) => span.itemId === position.segment.itemId) : 0;
  const closeId = session.items[closeIndexOf(library, session)]?.id;
  const closeIndex = timeline.items.findIndex(({ itemId }) => itemId === closeId);
  const actions = {
    start: () => {
      clearTimeout(openingTimer.current);
      const line = openingLine(words.sessionName(session), timeline, words, { level: sound.coach });
      const heard = (sound.voice && hasVoice(words.language)) || sound.captions;
      // Pressed again while it is said: the rest of it is left out.
      if (line === null || !heard || opening !== null || startedAt !== null) return begin();
      setOpening(line);
      playerOf(cues, sound).say(line);
      openingTimer.current = setTimeout(begin, (speechSec(line, words.language) / sound.rate + OPENING_STAYS_SEC) * 1000);
    },
    toggle: () => {
      if (clock.status === "running") setClock(pause(clock, performance.now()));
      else begin();
    },
    back: () => {
      const span = timeline.items[itemIndex];
      if (!span) return;
      go(atSec - span.startSec > BACK_GRACE_SEC ? span.startSec : (timeline.items[itemIndex - 1]?.startSec ?? 0));
    },
    skip: () => {
      const next = timeline.items[itemIndex + 1];
      if (next) go(next.startSec);
      else setClock((now) => end(now, performance.now()));
    },
    /** Where the session comes to its close; undefined when it is there already. */
    toClose: closeIndex > itemIndex ? () => go(timeline.items[closeIndex]!.startSec) : undefined,
    toSide: (side: "left" | "right") => {
      const target = timeline.segments.find(
        (segment) =>
          segment.itemId === position?.segment.itemId && segment.side === side && (segment.kind === "work" || segment.kind === "hold"),
      );
      if (target) go(target.startSec);
    },
    stop: () => setClock((now) => end(now, performance.now())),
    /** One rung down for one person, from now on in this run. */
    ease: (personId: string) => changeForm([personId]),
    easeAll: () => changeForm(personIds),
    mark: (personId: string, kind: MarkKind) => setMarks((list) => [...list, { personId, kind, itemId: position?.segment.itemId ?? null }]),
    unmark: (personId: string, kind: MarkKind) =>
      setMarks((list) => list.filter((mark) => mark.personId !== personId || mark.kind !== kind)),
  };

  function changeForm(ids: readonly string[]): void {
    const segment = position?.segment;
    const item = session.items.find((each) => each.id === segment?.itemId);
    if (!segment || !item) return;
    const movement = library.find(item.movementId);
    if (!movement) return;
    let eased = session;
    for (const id of ids) {
      const participation = participations.get(id);
      if (participation && refusalOf(library, participation, item.movementId) !== null) continue;
      const formId = easierForm(movement, item.personal[id]?.formId ?? item.formId)?.id;
      if (!formId) continue;
      const own = item.personal[id];
      const dose = own?.dose && doseInForm(own.dose, library.timings.get(movement.id)?.get(formId));
      // A load of their own stays theirs: the item's may be more. In another form the tool is held where that form holds it.
      const held = own?.loadKg === undefined ? {} : { loadKg: own.loadKg, tool: own.tool ?? null, gripM: null };
      eased = setPersonalForm(eased, item.id, id, { formId, dose, ...held });
    }
    if (eased === session) return;
    const next = compile(eased);
    setSession(eased);
    setClock((now) => relay(now, sameMoment(segment, position!.intoSec, next), next.totalSec, performance.now()));
  }

  /** What is being said now, where it is to be read. */
  const caption = !sound.captions ? null : (opening ?? (clock.status === "running" ? captionAt(cues, atSec, words.language) : null));

  return { runId, session, written, timeline, clock, atSec, position, itemIndex, marks, startedAt, opening, caption, ...actions };
}

/** The same bout in a recompiled timeline, as far into it as before. */
function sameMoment(segment: Segment, intoSec: number, timeline: Timeline): number {
  const same = timeline.segments.find(
    (each) => each.itemId === segment.itemId && each.kind === segment.kind && each.side === segment.side && each.set === segment.set,
  );
  return same
    ? same.startSec + Math.min(intoSec, same.lengthSec)
    : (timeline.items.find((span) => span.itemId === segment.itemId)?.startSec ?? 0);
}
