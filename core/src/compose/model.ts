/**
 * Composing as a 0/1 programme in CPLEX LP text, for the HiGHS solver (docs/compose.md). One function a family of constraints; the
 * solver itself is handed in by whoever has one: a web worker in the interface, Node in the tests.
 */
import type { Opposite } from "../need";
import type { Region, WorkPosture } from "../library";
import { SPACING } from "../dayplan";
import type { SlotKind } from "../session";
import { KINDS, SLOTS, type Candidate, type Kind } from "./candidates";
import type { ComposeLimits } from "./limits";

/** Points a week that answer a need of 100, by kind. Planning figures of this practice. */
const POINTS_FOR_FULL_NEED = { loadLed: { relief: 5, strength: 5 }, reliefLed: { relief: 10, strength: 0 } } as const;

/** Points a week a region is to be given of a kind. */
export function targetOf(need: number, kind: Kind, aim: ComposeLimits["aim"]): number {
  return (need / 100) * POINTS_FOR_FULL_NEED[aim][kind];
}
/** What the opposite of a posture counts beside need, for an hour of it. */
const OPPOSITE_WEIGHT = 1.2;
/** Small against a point of need: of two proposals that cover the same, the one people remember, then the shorter. */
const MOVEMENT_COST = 0.08;
const SECOND_COST = 0.0008;

export interface Wanted {
  /** Region → need 0–100, of the side that needs it more: both sides get the same. */
  needs: ReadonlyMap<Region, number>;
  opposites: readonly Pick<Opposite, "posture" | "left" | "right">[];
}

export interface Model {
  lp: string;
  candidates: readonly Candidate[];
}

type Term = readonly [coefficient: number, name: string];
interface Row {
  name: string;
  terms: Term[];
  sense: "<=" | ">=" | "=";
  bound: number;
}

/** @param locked candidates that must be in, by their place in the list */
export function modelOf(candidates: readonly Candidate[], wanted: Wanted, limits: ComposeLimits, locked: ReadonlySet<number>): Model {
  const targets = targetsOf(wanted, limits);
  const rows = [
    ...withinSlots(candidates, limits),
    ...oneDoseEach(candidates),
    ...fewEnough(candidates, limits),
    ...readyFirst(candidates),
    ...daily(candidates, limits),
    ...coverage(candidates, targets),
    ...reversed(candidates, wanted),
    ...[...locked].map((i): Row => ({ name: `lock${i}`, terms: [[1, x(i)]], sense: "=", bound: 1 })),
  ];
  const objective: Term[] = [
    ...targets.map(({ region, kind, need }): Term => [need / 100, `c_${kind}_${region}`]),
    ...wanted.opposites.map(({ posture, left, right }): Term => [
      OPPOSITE_WEIGHT * Math.min(2, Math.max(left, right) / 60),
      `r_${posture}`,
    ]),
    ...movementsOf(candidates).map((id): Term => [-MOVEMENT_COST, y(id)]),
    ...candidates.map(({ sec }, i): Term => [-SECOND_COST * sec, x(i)]),
  ];
  const binaries = [
    ...candidates.map((_, i) => x(i)),
    ...movementsOf(candidates).map(y),
    ...SLOTS.flatMap((slot) => [`s_${slot}`, `g_${slot}`, `t_${slot}`]),
  ];
  const bounds = [
    ...targets.map(({ region, kind, target }) => ` 0 <= c_${kind}_${region} <= ${number(target)}`),
    ...wanted.opposites.map(({ posture }) => ` 0 <= r_${posture} <= 1`),
  ];
  const lp = [
    "Maximize",
    ` value: ${sum(objective)}`,
    "Subject To",
    ...rows.map(({ name, terms, sense, bound }) => ` ${name}: ${sum(terms)} ${sense} ${number(bound)}`),
    "Bounds",
    ...bounds,
    "Binary",
    ` ${binaries.join(" ")}`,
    "End",
  ].join("\n");
  return { lp, candidates };
}

/** Nothing is longer than its slot. */
function withinSlots(candidates: readonly Candidate[], { slotSec }: ComposeLimits): Row[] {
  return SLOTS.flatMap((slot) =>
    row(
      `time_${slot}`,
      inSlot(candidates, slot).map(([c, i]): Term => [c.sec, x(i)]),
      "<=",
      slotSec[slot],
    ),
  );
}

/** A movement stands at most once in a session, in one dose; a session with anything in it is a session. */
function oneDoseEach(candidates: readonly Candidate[]): Row[] {
  return SLOTS.flatMap((slot) =>
    movementsOf(candidates).flatMap((id) =>
      row(
        `once_${slot}_${name(id)}`,
        [
          ...inSlot(candidates, slot)
            .filter(([c]) => c.movement.id === id)
            .map(([, i]): Term => [1, x(i)]),
        ],
        "<=",
        1,
      ),
    ),
  );
}

/** Few enough items in a session, few enough different movements in all. */
function fewEnough(candidates: readonly Candidate[], { mostItems, mostMovements }: ComposeLimits): Row[] {
  return [
    ...SLOTS.flatMap((slot) =>
      row(`items_${slot}`, [...inSlot(candidates, slot).map(([, i]): Term => [1, x(i)]), [-mostItems, `s_${slot}`]], "<=", 0),
    ),
    ...candidates.map(({ movement }, i): Row => ({
      name: `knows_${i}`,
      terms: [
        [1, x(i)],
        [-1, y(movement.id)],
      ],
      sense: "<=",
      bound: 0,
    })),
    ...row(
      "movements",
      movementsOf(candidates).map((id): Term => [1, y(id)]),
      "<=",
      mostMovements,
    ),
  ];
}

/** Before the shift and after it, something gets ready first. */
function readyFirst(candidates: readonly Candidate[]): Row[] {
  return (["preShift", "postShift"] as const).flatMap((slot) =>
    row(
      `ready_${slot}`,
      [
        ...inSlot(candidates, slot)
          .filter(([c]) => c.movement.phase === "getReady")
          .map(([, i]): Term => [1, x(i)]),
        [-1, `s_${slot}`],
      ],
      ">=",
      0,
    ),
  );
}

/** At most so many sessions a day with glides, with mobility or stretching; one glide a session. */
function daily(candidates: readonly Candidate[], { breaksADay }: ComposeLimits): Row[] {
  const times = (slot: SlotKind) => (slot === "break" ? breaksADay : 1);
  const kinds = [
    { mark: "g", phases: ["glide"], most: SPACING.glidesPerDay },
    { mark: "t", phases: ["mobility", "stretch"], most: SPACING.mobilityPerDay },
  ] as const;
  return kinds.flatMap(({ mark, phases, most }) => [
    ...SLOTS.flatMap((slot) => {
      const own = inSlot(candidates, slot).filter(([c]) => (phases as readonly string[]).includes(c.movement.phase));
      const few = mark === "g" ? 1 : 20;
      return row(`${mark}any_${slot}`, [...own.map(([, i]): Term => [1, x(i)]), [-few, `${mark}_${slot}`]], "<=", 0);
    }),
    ...row(
      `${mark}daily`,
      SLOTS.map((slot): Term => [times(slot), `${mark}_${slot}`]),
      "<=",
      most,
    ),
  ]);
}

export interface Target {
  region: Region;
  kind: Kind;
  need: number;
  /** Points a week, above 0. */
  target: number;
}

export function targetsOf({ needs }: Wanted, { aim }: ComposeLimits): Target[] {
  return [...needs].flatMap(([region, need]) =>
    KINDS.map((kind) => ({ region, kind, need, target: targetOf(need, kind, aim) })).filter(({ target }) => target > 0),
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

function inSlot(candidates: readonly Candidate[], slot: SlotKind): [Candidate, number][] {
  return candidates.flatMap((candidate, i): [Candidate, number][] => (candidate.slot === slot ? [[candidate, i]] : []));
}

function movementsOf(candidates: readonly Candidate[]): string[] {
  return [...new Set(candidates.map(({ movement }) => movement.id))];
}

function row(rowName: string, terms: readonly Term[], sense: Row["sense"], bound: number): Row[] {
  return terms.length === 0 ? [] : [{ name: rowName, terms: [...terms], sense, bound }];
}

export function x(index: number): string {
  return `x${index}`;
}
function y(movementId: string): string {
  return `y_${name(movementId)}`;
}
/** Names of the LP format take no hyphen. */
function name(id: string): string {
  return id.replace(/[^A-Za-z0-9]/g, "_");
}
function number(value: number): string {
  return String(Math.round(value * 1e6) / 1e6);
}
function sum(terms: readonly Term[]): string {
  return (
    terms.map(([coefficient, variable]) => `${coefficient < 0 ? "-" : "+"} ${number(Math.abs(coefficient))} ${variable}`).join(" ") ||
    "0 nothing"
  );
}
