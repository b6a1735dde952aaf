/** The shape people know: what gets ready and for how long, what closes, from shoulders to fingers, and how often hands change what they do. */
import { PHASES, REGIONS, type KitKind, type Movement, type Phase, type Setting } from "../library";
import { boutsOf, type Dose, type Item, type SlotKind } from "../session";

/** A session this long or longer gets ready for at least so long. Practice rule. */
export const READY_FROM_SEC = 240;
export const LEAST_READY_SEC = 60;
/** A session this long or longer ends with something that closes it. Practice rule. */
export const CLOSE_FROM_SEC = 180;

/** Seconds under tension a side below which a dose is none: a stretch of 5 s, a shake-out of 5 s. Practice rule. */
export const LEAST_DOSE_SEC: Readonly<Record<Phase, number>> = {
  getReady: 8,
  mobility: 12,
  stretch: 10,
  glide: 12,
  strengthen: 12,
  release: 15,
};

export function countsAsDose({ phase }: Pick<Movement, "phase">, dose: Dose): boolean {
  const { count, tensionSec } = boutsOf(dose);
  return count * tensionSec >= LEAST_DOSE_SEC[phase];
}

/** What lets go at the end: release, or what gets ready by loosening alone, such as a shake-out. */
export function closes({ phase, regions }: Pick<Movement, "phase" | "regions">): boolean {
  return (
    phase === "release" || (phase === "getReady" && regions.released.length > 0 && regions.worked.length + regions.stretched.length === 0)
  );
}

export const getsReady = (movement: Pick<Movement, "phase" | "regions">): boolean => movement.phase === "getReady" && !closes(movement);

/** Gets ready nearest the trunk, where a warm-up begins. */
export const beginsAtShoulders = (movement: Pick<Movement, "phase" | "regions">): boolean =>
  getsReady(movement) && movement.regions.worked.includes("shoulderNeck");

/** A warm-up this long or longer holds a stretch of hand or forearm. Practice rule. */
export const STRETCH_FROM_SEC = 300;

export type Must = "ready" | "shoulders" | "stretch" | "close";
/** What a session must have one of, by its place in the day and its length; where the library offers none, it goes without, but never without getting ready. */
export function mustsOf(slot: SlotKind, slotSec: number): { must: Must; is(movement: Movement): boolean }[] {
  const warmUp = slot === "preShift";
  return [
    ...(slot === "break" ? [] : [{ must: "ready" as const, is: getsReady }]),
    ...(warmUp && slotSec >= READY_FROM_SEC ? [{ must: "shoulders" as const, is: beginsAtShoulders }] : []),
    ...(warmUp && slotSec >= STRETCH_FROM_SEC ? [{ must: "stretch" as const, is: stretchesArm }] : []),
    ...(slotSec >= CLOSE_FROM_SEC ? [{ must: "close" as const, is: closes }] : []),
  ];
}

const stretchesArm = ({ phase, regions }: Movement) => phase === "stretch" && regions.stretched.some((region) => region !== "shoulderNeck");

/** Where a session does a movement, and what is in the hand. */
interface Stand {
  setting: Setting;
  kit: readonly KitKind[];
}

/** The kinds of kit a form can be done with, the movement's own among them; empty where it needs none. */
export function kitOf(movement: Pick<Movement, "kit" | "forms">, formId: string): KitKind[] {
  return [...movement.kit, ...(movement.forms.find(({ id }) => id === formId)?.kit ?? [])];
}

export function standOf(movement: Movement, formId: string, settings: readonly Setting[]): Stand {
  const form = movement.forms.find(({ id }) => id === formId);
  const possible = form?.settings ?? movement.settings;
  const setting = possible.includes("any") ? "any" : (possible.find((each) => settings.includes(each)) ?? possible[0]!);
  return { setting, kit: kitOf(movement, formId) };
}

/** 1 where the place changes, 1 more where kit is taken up, put down or exchanged. `any` is done wherever people stand already. */
function changes(from: Stand | undefined, to: Stand): number {
  if (!from) return 0;
  const place = to.setting !== "any" && to.setting !== from.setting ? 1 : 0;
  const same = from.kit.length === to.kit.length && (to.kit.length === 0 || to.kit.some((kind) => from.kit.includes(kind)));
  return place + (same ? 0 : 1);
}

/** How often a session changes its place or what is in the hand. */
export function changeOvers(stands: readonly Stand[]): number {
  let sum = 0;
  let now: Stand | undefined;
  for (const stand of stands) {
    sum += changes(now, stand);
    // Who does something that can be done anywhere stays where they are.
    now = now && stand.setting === "any" ? { ...stand, setting: now.setting } : stand;
  }
  return sum;
}

/** A movement's place from shoulders (high) to fingers (low). */
function height({ regions }: Movement): number {
  const all = [...regions.worked, ...regions.stretched, ...regions.released];
  return all.length === 0 ? 0 : all.reduce((sum, region) => sum + REGIONS.indexOf(region), 0) / all.length;
}

export interface Placed {
  movement: Movement;
  item: Pick<Item, "formId">;
}

/** Most items of a phase whose orders are all tried; more of them keep to shoulders first. */
const MOST_TRIED = 6;

/**
 * A session's items in order: phase by phase, getting ready from the shoulders down, every other phase so that place and kit change
 * least often (all orders are tried), from the shoulders down where that leaves a choice; what closes stands at the end.
 */
export function inOrder<T extends Placed>(chosen: readonly T[], settings: readonly Setting[]): T[] {
  const stand = ({ movement, item }: T) => standOf(movement, item.formId, settings);
  const closers = chosen.filter(({ movement }) => closes(movement));
  // One that loosens may stay among what gets ready where something else closes.
  const last = closers.filter(({ movement }) => movement.phase === "release");
  const ending = last.length > 0 ? last : closers.slice(0, 1);
  const rest = chosen.filter((each) => !ending.includes(each));
  const fromShoulders = (list: readonly T[]) =>
    [...list].sort((a, b) => height(b.movement) - height(a.movement) || (a.movement.id < b.movement.id ? -1 : 1));
  const done: T[] = [];
  const take = (list: readonly T[], fixed: boolean) => {
    const first = fromShoulders(list);
    if (fixed || list.length > MOST_TRIED) return void done.push(...first);
    const before = done.map(stand);
    let [best, least] = [first, Infinity];
    for (const order of orders(first)) {
      const count = changeOvers([...before, ...order.map(stand)]);
      if (count < least) [best, least] = [order, count];
    }
    done.push(...best);
  };
  for (const phase of PHASES)
    take(
      rest.filter(({ movement }) => movement.phase === phase),
      phase === "getReady",
    );
  take(ending, false);
  return done;
}

/** All orders of a list, the given one first. */
function* orders<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) return yield [...list];
  for (let i = 0; i < list.length; i++) for (const rest of orders([...list.slice(0, i), ...list.slice(i + 1)])) yield [list[i]!, ...rest];
}
