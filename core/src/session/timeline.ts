/**
 * Compiles a session into segments laid end to end, for one person or for a group.
 *
 * A person is a group of one: the group waits at each step for its slowest form, and rest is only added
 * where what came between (the other hand, a paired item) did not already cover it.
 */
import type { Side } from "../units";
import { boutsOf, type Bouts, type Dose } from "./dose";
import { heldIn, type Held, type Item, type Session } from "./item";
import { orderBouts, type OrderedBout } from "./order";
import { DEFAULT_TIMING, doseInForm, type FormTiming, type FormTimings } from "./form-timing";

export type SegmentKind = "ready" | "work" | "hold" | "rest" | "switch";

export interface Segment {
  kind: SegmentKind;
  itemId: string;
  movementId: string;
  side: Side;
  /** Which bout of this side, from 1. For `ready`, `rest` and `switch`: the bout that follows. */
  set: number;
  setCount: number;
  startSec: number;
  lengthSec: number;
  /** Seconds the item's main form itself needs; the rest of `lengthSec` is waiting for a slower form. */
  leadSec: number;
  /** The main form with its dose and what is held, for counting, pacing and adding up: in a person's own timeline it is theirs. */
  formId: string;
  dose: Dose;
  held: Held;
}

export interface ItemSpan {
  itemId: string;
  movementId: string;
  startSec: number;
  endSec: number;
}

export interface Timeline {
  segments: Segment[];
  /** From an item's first segment to its last; spans of paired items overlap. */
  items: ItemSpan[];
  totalSec: number;
}

/** One way an item is done: the item's own, or a person's. The first of an item's variants leads the count. */
interface Variant {
  formId: string;
  dose: Dose;
  held: Held;
  bouts: Bouts;
  timing: FormTiming;
  lastEndSec: Map<Side, number>;
}

interface Unit {
  item: Item;
  lead: Variant;
  variants: Variant[];
  count: number;
}

/** The timeline of one person: their own forms and doses. Without a person: the items as written. */
export function compilePerson(session: Session, timings: FormTimings, personId?: string): Timeline {
  return compile(session, timings, personId === undefined ? [] : [personId], false);
}

/**
 * The timeline of a led group. At each step it takes as long as the slowest form present.
 * The item's own form always takes part, because the leader shows it.
 */
export function compileGroup(session: Session, timings: FormTimings, personIds: readonly string[]): Timeline {
  return compile(session, timings, personIds, true);
}

/** How long each person of a group stands waiting for slower forms, in seconds. */
export function groupWaits(session: Session, timings: FormTimings, personIds: readonly string[]): Map<string, number> {
  const total = compileGroup(session, timings, personIds).totalSec;
  return new Map(personIds.map((id) => [id, total - compilePerson(session, timings, id).totalSec]));
}

function compile(session: Session, timings: FormTimings, personIds: readonly string[], withLead: boolean): Timeline {
  const segments: Segment[] = [];
  let clock = 0;
  for (const block of blocksOf(session.items)) {
    const startSec = clock;
    const units = block.map((item) => unitOf(item, timings, personIds, withLead));
    clock = layBlock(units, startSec, segments);
    const needSec = longest(withLead ? waysAlone(block, personIds) : [], (ids) =>
      layBlock(
        block.map((item) => unitOf(item, timings, ids, false)),
        0,
        [],
      ),
    );
    if (startSec + needSec > clock + 1e-9) clock = waitUntil(startSec + needSec, clock, segments);
  }
  return { segments, items: spansOf(session.items, segments), totalSec: clock };
}

/**
 * Everybody who does a block of paired items in a way of their own, and whoever does it as written: with other bouts to rest beside, one
 * of them alone may need longer than the group. A group is never shorter than one of its people.
 */
function waysAlone(block: readonly Item[], personIds: readonly string[]): (readonly string[])[] {
  if (block.length < 2) return [];
  const own = personIds.filter((id) => block.some((item) => item.personal[id])).map((id) => [id]);
  return own.length === 0 ? [] : [[], ...own];
}

/** Everybody rests until a moment after the last bout of a block. */
function waitUntil(untilSec: number, fromSec: number, segments: Segment[]): number {
  const last = segments.at(-1)!;
  segments.push({ ...last, kind: "rest", startSec: fromSec, lengthSec: untilSec - fromSec, leadSec: 0 });
  return untilSec;
}

/** Lays one block from `startSec` on; returns when it ends. */
function layBlock(units: Unit[], startSec: number, segments: Segment[]): number {
  const order = orderBouts(units.map((unit) => ({ sides: unit.item.sides, firstSide: unit.item.firstSide, count: unit.count })));
  let clock = startSec;
  let previous: OrderedBout | undefined;
  for (const bout of order) {
    const unit = units[bout.unit]!;
    const here = unit.variants.filter((variant) => bout.set <= variant.bouts.count);
    const push = (kind: SegmentKind, lengthSec: number, leadSec: number) => {
      if (lengthSec <= 0) return;
      const { item } = unit;
      segments.push({
        kind,
        itemId: item.id,
        movementId: item.movementId,
        side: bout.side,
        set: bout.set,
        setCount: unit.count,
        startSec: clock,
        lengthSec,
        leadSec: Math.min(leadSec, lengthSec),
        formId: unit.lead.formId,
        dose: unit.lead.dose,
        held: unit.lead.held,
      });
      clock += lengthSec;
    };

    const transition = transitionOf(previous, bout);
    const transitionSec = transition ? longest(here, (variant) => secondsOf(variant, transition)) : 0;
    const restedAt = longest(here, (variant) => {
      const end = variant.lastEndSec.get(bout.side);
      return end === undefined ? 0 : end + variant.bouts.restSec;
    });
    const restSec = Math.max(0, restedAt - clock - transitionSec);
    push("rest", restSec, restSec);
    if (transition) push(transition, transitionSec, secondsOf(unit.lead, transition));

    for (const variant of here) variant.lastEndSec.set(bout.side, clock + variant.bouts.lengthSec);
    push(
      unit.lead.bouts.kind,
      longest(here, (variant) => variant.bouts.lengthSec),
      unit.lead.bouts.lengthSec,
    );
    previous = bout;
  }
  return clock;
}

/** Coming from another item means taking up position; from the other hand, changing sides. */
function transitionOf(previous: OrderedBout | undefined, bout: OrderedBout): "ready" | "switch" | undefined {
  if (!previous || previous.unit !== bout.unit) return "ready";
  return previous.side === bout.side ? undefined : "switch";
}

function secondsOf(variant: Variant, transition: "ready" | "switch"): number {
  return transition === "ready" ? variant.timing.readySec : variant.timing.switchSec;
}

function unitOf(item: Item, timings: FormTimings, personIds: readonly string[], withLead: boolean): Unit {
  const table = timings.get(item.movementId);
  const variant = (formId: string, dose: Dose, held: Held): Variant => ({
    formId,
    dose,
    held,
    bouts: boutsOf(dose),
    timing: table?.get(formId) ?? DEFAULT_TIMING,
    lastEndSec: new Map(),
  });
  const asWritten = variant(item.formId, item.dose, heldIn(item, timings));
  const personal = [...new Set(personIds)].flatMap((id) => {
    const own = item.personal[id];
    return own ? [variant(own.formId, own.dose ?? doseInForm(item.dose, table?.get(own.formId)), heldIn(item, timings, own))] : [];
  });
  const someoneAsWritten = withLead || personal.length < new Set(personIds).size || personIds.length === 0;
  const variants = someoneAsWritten ? [asWritten, ...personal] : personal;
  return { item, lead: variants[0]!, variants, count: Math.max(...variants.map((each) => each.bouts.count)) };
}

/** Items chained by `pairedWithNext` form one block. The last item of a session has no next. */
function blocksOf(items: readonly Item[]): Item[][] {
  const blocks: Item[][] = [];
  let open = false;
  for (const item of items) {
    if (open) blocks.at(-1)!.push(item);
    else blocks.push([item]);
    open = item.pairedWithNext;
  }
  return blocks;
}

function spansOf(items: readonly Item[], segments: readonly Segment[]): ItemSpan[] {
  const spans = new Map<string, ItemSpan>();
  for (const { itemId, movementId, startSec, lengthSec } of segments) {
    const span = spans.get(itemId);
    if (span) span.endSec = startSec + lengthSec;
    else spans.set(itemId, { itemId, movementId, startSec, endSec: startSec + lengthSec });
  }
  return items.flatMap((item) => spans.get(item.id) ?? []);
}

function longest<T>(list: readonly T[], secondsOf: (each: T) => number): number {
  let most = 0;
  for (const each of list) most = Math.max(most, secondsOf(each));
  return most;
}
