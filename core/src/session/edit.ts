/** Edits of a session as pure functions; the score and its undo history are built on them. */
import { isEqual } from "es-toolkit";
import { writtenHeld, type Item, type PersonalForm, type Session } from "./item";

/** Puts an item at `index` (clamped to the session). */
export function addItem(session: Session, item: Item, index = session.items.length): Session {
  const items = [...session.items];
  items.splice(clamp(index, items.length), 0, item);
  return { ...session, items: withoutDanglingPair(items) };
}

/** Moves an item so that it ends up at `index`. */
export function moveItem(session: Session, itemId: string, index: number): Session {
  const from = session.items.findIndex((item) => item.id === itemId);
  if (from < 0) return session;
  const items = [...session.items];
  const [item] = items.splice(from, 1);
  items.splice(clamp(index, items.length), 0, item!);
  return { ...session, items: withoutDanglingPair(items) };
}

export function removeItem(session: Session, itemId: string): Session {
  return { ...session, items: withoutDanglingPair(session.items.filter((item) => item.id !== itemId)) };
}

export function changeItem(session: Session, itemId: string, change: Partial<Omit<Item, "id">>): Session {
  return { ...session, items: withoutDanglingPair(session.items.map((item) => (item.id === itemId ? { ...item, ...change } : item))) };
}

/** A copy right behind the original, under a new id. */
export function duplicateItem(session: Session, itemId: string, newId: string): Session {
  const index = session.items.findIndex((item) => item.id === itemId);
  const original = session.items[index];
  return original ? addItem(session, { ...original, id: newId, pairedWithNext: false }, index + 1) : session;
}

/** Gives a person a form of their own; `undefined`, or the item's own form without a dose, takes it back. */
export function setPersonalForm(session: Session, itemId: string, personId: string, own: PersonalForm | undefined): Session {
  const item = session.items.find((each) => each.id === itemId);
  if (!item) return session;
  const { [personId]: _before, ...others } = item.personal;
  const same =
    !own || (own.formId === item.formId && !own.dose && (own.loadKg === undefined || isEqual(writtenHeld(item, own), writtenHeld(item))));
  return changeItem(session, itemId, { personal: same ? others : { ...others, [personId]: own } });
}

/** The last item has nothing to be paired with. */
function withoutDanglingPair(items: Item[]): Item[] {
  const last = items.at(-1);
  return last?.pairedWithNext ? [...items.slice(0, -1), { ...last, pairedWithNext: false }] : items;
}

function clamp(index: number, length: number): number {
  return Math.max(0, Math.min(index, length));
}
