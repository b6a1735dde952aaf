/** The one gate between a person and an item. Everything that hands out items asks here. */
import type { Library, Movement } from "../library";
import { heldIn, type Item, type Session } from "../session";
import { FULL_PARTICIPATION, type Participation } from "./participation";
import type { ItemScope } from "./questions";

/** Strengthening cap for anyone with a symptom in a region it works. */
export const SYMPTOM_STRENGTHEN_CAP = 4;

export type Participations = ReadonlyMap<string, Participation>;

export type Refusal = "heldOut" | "outOfItem";

/**
 * Why a person cannot be given an item; null when they can. A movement the library does not know is refused to anyone who is
 * out of anything: what it is cannot be told.
 */
export function refusalOf(library: Library, participation: Participation, movementId: string): Refusal | null {
  if (participation.heldOut) return "heldOut";
  if (participation.outOf.length === 0) return null;
  const movement = library.find(movementId);
  return !movement || participation.outOf.some((scope) => isMeant(scope, movement)) ? "outOfItem" : null;
}

/** Whether a movement is one of the items a scope names. */
export function isMeant(scope: ItemScope, movement: Movement): boolean {
  const { worked, stretched, released } = movement.regions;
  const kit = [...movement.kit, ...movement.forms.flatMap((form) => form.kit)];
  return (
    (scope.movements?.includes(movement.id) ?? false) ||
    (scope.phases?.includes(movement.phase) ?? false) ||
    (scope.regions?.some((region) => [...worked, ...stretched, ...released].includes(region)) ?? false) ||
    (scope.kit?.some((kind) => kit.includes(kind)) ?? false) ||
    (scope.weightBearing === true && movement.weightBearing)
  );
}

/** The effort a person stays under in a movement: the movement's own cap, lower for strengthening where something is felt. */
export function capFor(participation: Participation, movement: Movement): number {
  const felt = movement.phase === "strengthen" && movement.regions.worked.some((region) => participation.cappedRegions.includes(region));
  return felt ? Math.min(movement.effortCap, SYMPTOM_STRENGTHEN_CAP) : movement.effortCap;
}

/** Items of a session a person leaves out, by id, in order. All of them for somebody held out. */
export function itemsLeftOut(library: Library, participation: Participation, session: Session): string[] {
  return session.items.filter((item) => refusalOf(library, participation, item.movementId) !== null).map(({ id }) => id);
}

/** The people of a list who may take part at all. */
export function notHeldOut<P extends { id: string }>(people: readonly P[], participations: Participations): P[] {
  return people.filter(({ id }) => !(participations.get(id) ?? FULL_PARTICIPATION).heldOut);
}

/** A session without own forms of whoever leaves that item out: nobody waits for them, no sheet names them; and without a load no hand holds. */
export function sessionWithin(library: Library, session: Session, participations: Participations): Session {
  return { ...session, items: session.items.map((item) => itemWithin(library, item, participations)) };
}

function itemWithin(library: Library, item: Item, participations: Participations): Item {
  const kept = Object.entries(item.personal).filter(([personId]) => {
    const participation = participations.get(personId);
    return !participation || refusalOf(library, participation, item.movementId) === null;
  });
  const held = heldIn(item, library.timings);
  const same = kept.length === Object.keys(item.personal).length && held.loadKg === item.loadKg;
  return same ? item : { ...item, ...held, personal: Object.fromEntries(kept) };
}
