/**
 * Composing as a 0/1 programme in CPLEX LP text, for the HiGHS solver (docs/compose.md). One function a family of constraints; the
 * solver itself is handed in by whoever has one: a web worker in the interface, Node in the tests.
 */
import type { WorkPosture } from "../library";
import { SPACING } from "../dayplan";
import { SLOT_KINDS, type SlotKind } from "../session";
import { columnName, lpText, type Row, type Term } from "../solver";
import { grouped } from "../units";
import type { Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { outdone } from "./outdone";
import { inSlot, movementsOf, standings, x, type Standing } from "./standing";
import { oppositeWeight, targetsOf, type Target, type Wanted } from "./targets";
import { getsReady, kitOf, LEAST_READY_SEC, mustsOf, READY_FROM_SEC } from "./shape";

/** A second that goes to the neediest region counts this much more than one that goes to none. */
const NEEDED_SECOND = 0.5;
/** What a later aim may cost an earlier one. */
export const KEPT = 0.99;

/** The aims in their order; each keeps what the ones before it reached, but for 1 %. */
export type Stage =
  | { aim: "cover"; plain?: boolean }
  | { aim: "whole"; covered: number }
  | { aim: "fill"; covered: number; light: number }
  | { aim: "few"; covered: number; light: number; filled: number }
  /** Another program that is nearly as good, after somebody's taste. */
  | { aim: Taste; covered: number; light: number; filled: number; known: ReadonlySet<string> };

/** As few movements to remember as can be · as many different ones · as few items with kit in the hand · few of those that are known. */
export const TASTES = ["fewest", "variety", "leastKit", "others"] as const;
export type Taste = (typeof TASTES)[number];
/** What a taste may cost the aims before it. */
export const KEPT_BY_TASTE = 0.93;

export interface Model {
  lp: string;
  candidates: readonly Candidate[];
}

/**
 * @param locked candidates that must be in, by their place in the list
 * @param stage what is asked for; `plain` leaves out what only a proof needs
 */
export function modelOf(
  candidates: readonly Candidate[],
  wanted: Wanted,
  limits: ComposeLimits,
  locked: ReadonlySet<number>,
  stage: Stage,
): Model {
  const targets = targetsOf(wanted, limits);
  const cover = coverTerms(targets, wanted);
  const fill = fillTerms(candidates, wanted, limits);
  const light = candidates.flatMap(({ share }, i): Term[] => (share < 1 && !locked.has(i) ? [[1, x(i)]] : []));
  const kept = (TASTES as readonly string[]).includes(stage.aim) ? KEPT_BY_TASTE : KEPT;
  const rows = [
    ...withinSlots(candidates, limits),
    ...oneDoseEach(candidates),
    ...fewEnough(candidates, limits),
    ...shaped(candidates, limits),
    ...daily(candidates, limits),
    ...coverage(candidates, targets),
    ...reversed(candidates, wanted),
    ...(stage.aim === "cover" && !stage.plain ? betterFirst(candidates, wanted, limits, locked) : []),
    ...(stage.aim === "cover" ? [] : row("covered", cover, ">=", stage.covered * kept)),
    ...("light" in stage ? row("light", light, "<=", stage.light) : []),
    ...("filled" in stage ? row("filled", fill, ">=", stage.filled * kept) : []),
    ...[...locked].map((i): Row => ({ name: `lock${i}`, terms: [[1, x(i)]], sense: "=", bound: 1 })),
  ];
  const few: Term[] = movementsOf(candidates).map((id): Term => [-1, y(id)]);
  const whole = light.map(([count, column]): Term => [-count, column]);
  const withKit = candidates.flatMap(({ movement, item }, i): Term[] => (kitOf(movement, item.formId).length > 0 ? [[-1, x(i)]] : []));
  const variety = few.map(([, column]): Term => [1, column]);
  const again = movementsOf(candidates).flatMap((id): Term[] => ("known" in stage && stage.known.has(id) ? [[-1, y(id)]] : []));
  const objective = { cover, whole, fill, few, fewest: few, variety, leastKit: withKit, others: again }[stage.aim];
  const binaries = [
    ...candidates.map((_, i) => x(i)),
    ...movementsOf(candidates).map(y),
    ...SLOT_KINDS.flatMap((slot) => [`s_${slot}`, `g_${slot}`, `t_${slot}`]),
  ];
  const upTo = new Map([
    ...targets.map(({ region, kind, target }): [string, number] => [`c_${kind}_${region}`, target]),
    ...wanted.opposites.map(({ posture }): [string, number] => [`r_${posture}`, 1]),
  ]);
  const lp = lpText({ aim: "Maximize", objective, rows, upTo, binaries });
  return { lp, candidates };
}

/** Covered points, each as much as its region needs them, and postures reversed by their hours. */
function coverTerms(targets: readonly Target[], { opposites }: Wanted): Term[] {
  return [
    ...targets.map(({ region, kind, need }): Term => [need / 100, `c_${kind}_${region}`]),
    ...opposites.map((each): Term => [oppositeWeight(each), `r_${each.posture}`]),
  ];
}

/** Shares of the slots that are used, those seconds first that go where most is needed. */
function fillTerms(candidates: readonly Candidate[], wanted: Wanted, { slotSec }: ComposeLimits): Term[] {
  return candidates.map((each, i): Term => [secondsWorth(each, wanted) / slotSec[each.slot], x(i)]);
}

/** Seconds of an item, more where they go to a needy region. */
export function secondsWorth({ sec, points, gives }: Candidate, { needs, strengthNeeds }: Wanted): number {
  const asked = gives === "strength" ? strengthNeeds : needs;
  const most = Math.max(0, ...[...points.keys()].map((region) => asked.get(region) ?? 0));
  return sec * (1 + (NEEDED_SECOND * most) / 100);
}

/** Nothing is longer than its slot. */
function withinSlots(candidates: readonly Candidate[], { slotSec }: ComposeLimits): Row[] {
  return SLOT_KINDS.flatMap((slot) =>
    row(
      `time_${slot}`,
      inSlot(candidates, slot).map(([c, i]): Term => [c.sec, x(i)]),
      "<=",
      slotSec[slot],
    ),
  );
}

/** A movement stands at most once in a session, in one dose, and then it is one of the movements to remember. */
function oneDoseEach(candidates: readonly Candidate[]): Row[] {
  return standings(candidates).map(({ slot, id, terms }) => ({
    name: columnName("once", slot, id),
    terms: [...terms, [-1, y(id)]],
    sense: "<=",
    bound: 0,
  }));
}

/** Few enough items in a session, few enough different movements in all. */
function fewEnough(candidates: readonly Candidate[], { mostItems, mostMovements }: ComposeLimits): Row[] {
  return [
    ...SLOT_KINDS.flatMap((slot) =>
      row(
        `items_${slot}`,
        inSlot(candidates, slot).map(([, i]): Term => [1, x(i)]),
        "<=",
        mostItems,
      ),
    ),
    ...row(
      "movements",
      movementsOf(candidates).map((id): Term => [1, y(id)]),
      "<=",
      mostMovements,
    ),
  ];
}

/**
 * A session with anything in it has what it must have (`mustsOf`), and gets ready for a minute where it is long enough. Where the library
 * has less to get ready with, all of it.
 */
function shaped(candidates: readonly Candidate[], { slotSec }: ComposeLimits): Row[] {
  const standing = standings(candidates);
  return SLOT_KINDS.flatMap((slot) => {
    const here = inSlot(candidates, slot);
    const has = (what: string, terms: readonly Term[], least = 1) => row(`${what}_${slot}`, [...terms, [-least, `s_${slot}`]], ">=", 0);
    const musts = mustsOf(slot, slotSec[slot]).flatMap(({ must, is }) => {
      const possible = here.filter(([{ movement }]) => is(movement));
      // Without anything to get ready with there is no session.
      return possible.length === 0 && must !== "ready"
        ? []
        : has(
            must,
            possible.map(([, i]): Term => [1, x(i)]),
          );
    });
    const ready = here.filter(([{ movement }]) => getsReady(movement));
    const least = slot === "break" || slotSec[slot] < READY_FROM_SEC ? 0 : Math.min(LEAST_READY_SEC, sum(ready.map(([{ sec }]) => sec)));
    const long =
      least > 0
        ? has(
            "readySec",
            ready.map(([{ sec }, i]): Term => [sec, x(i)]),
            least,
          )
        : [];
    return musts.length + long.length === 0 ? [] : [...marks("s", slot, standing), ...musts, ...long];
  });
}

const sum = (list: readonly number[]) => list.reduce((all, each) => all + each, 0);

/** At most so many sessions a day with glides, with mobility or stretching; one glide a session. */
function daily(candidates: readonly Candidate[], { breaksADay }: ComposeLimits): Row[] {
  const times = (slot: SlotKind) => (slot === "break" ? breaksADay : 1);
  const gliding = candidates.filter(({ movement }) => movement.phase === "glide");
  const moving = standings(candidates).filter(({ phase }) => phase === "mobility" || phase === "stretch");
  const most = (mark: string, sessions: number) =>
    row(
      `${mark}daily`,
      SLOT_KINDS.map((slot): Term => [times(slot), `${mark}_${slot}`]),
      "<=",
      sessions,
    );
  return [
    ...SLOT_KINDS.flatMap((slot) =>
      row(
        `gany_${slot}`,
        [...inSlot(candidates, slot).flatMap(([c, i]): Term[] => (gliding.includes(c) ? [[1, x(i)]] : [])), [-1, `g_${slot}`]],
        "<=",
        0,
      ),
    ),
    ...most("g", SPACING.glidesPerDay),
    ...SLOT_KINDS.flatMap((slot) => marks("t", slot, moving)),
    ...most("t", SPACING.mobilityPerDay),
  ];
}

/** Whatever stands in a session marks it. A row each, not one for all: it says the same and is proven far sooner. */
function marks(mark: string, slot: SlotKind, standing: readonly Standing[]): Row[] {
  return standing
    .filter((each) => each.slot === slot)
    .map(({ id, terms }) => ({
      name: columnName(`${mark}any`, slot, id),
      terms: [...terms, [-1, `${mark}_${slot}`]],
      sense: "<=",
      bound: 0,
    }));
}

/**
 * Of two movements of which one does all the other does in no more time, the better one stands in a session before the other may. No
 * cover is lost; without it a solver has to try every way round. Not for what gets ready or closes, whose seconds count for themselves,
 * and not for a movement that is locked somewhere.
 */
function betterFirst(candidates: readonly Candidate[], wanted: Wanted, limits: ComposeLimits, locked: ReadonlySet<number>): Row[] {
  const standing = grouped(standings(candidates), ({ id }) => id);
  const doses = (id: string, slot: SlotKind) => standing.get(id)!.find((each) => each.slot === slot)?.terms ?? [];
  return outdone(candidates, wanted, limits, locked).flatMap(({ better, other }) =>
    standing.get(other)!.map(({ slot, terms }): Row => ({
      name: columnName("first", slot, better, other),
      terms: [...terms, ...doses(better, slot).map(([, variable]): Term => [-1, variable])],
      sense: "<=",
      bound: 0,
    })),
  );
}

/** A region is covered by what its items give of a kind, up to its target. */
function coverage(candidates: readonly Candidate[], targets: readonly Target[]): Row[] {
  return targets.flatMap(({ region, kind }) => {
    const given = candidates.flatMap(({ gives, points }, i): Term[] =>
      gives === kind && points.has(region) ? [[-points.get(region)!, x(i)]] : [],
    );
    return row(`cover_${kind}_${region}`, [[1, `c_${kind}_${region}`], ...given], "<=", 0);
  });
}

/** A posture is reversed when anything in the program reverses it. */
function reversed(candidates: readonly Candidate[], { opposites }: Wanted): Row[] {
  return opposites.flatMap(({ posture }) =>
    row(
      `reverse_${posture}`,
      [
        [1, `r_${posture}`],
        ...candidates.flatMap(({ movement }, i): Term[] => (movement.reverses.includes(posture as WorkPosture) ? [[-1, x(i)]] : [])),
      ],
      "<=",
      0,
    ),
  );
}

function row(rowName: string, terms: readonly Term[], sense: Row["sense"], bound: number): Row[] {
  return terms.length === 0 ? [] : [{ name: rowName, terms: [...terms], sense, bound }];
}

/** The columns of an answer that has these candidates in it. */
export function columnsOf(candidates: readonly Candidate[], chosen: ReadonlySet<number>): Map<string, number> {
  const movements = new Set([...chosen].map((i) => candidates[i]!.movement.id));
  return new Map([
    ...candidates.map((_, i): [string, number] => [x(i), chosen.has(i) ? 1 : 0]),
    ...movementsOf(candidates).map((id): [string, number] => [y(id), movements.has(id) ? 1 : 0]),
  ]);
}

function y(movementId: string): string {
  return columnName("y", movementId);
}
