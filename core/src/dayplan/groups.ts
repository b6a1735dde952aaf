/** Groups of a crew for a day: small enough for the job and the kit, people of the same form together. */
import { heldIn, type Item, type Session } from "../session";
import type { KitKind, Library } from "../library";
import { shareKit, type Sharing } from "../kit";
import type { KitEntry } from "../crew";
import { grouped } from "../units";

export interface Group {
  name: string;
  people: string[];
}

/** Most people that can do the sessions at the same moment with the kit there is; whoever uses one in each hand counts two. */
export function mostWithKit(library: Library, sessions: readonly Session[], kit: readonly KitEntry[]): number {
  const needs = sessions.flatMap(({ items }) =>
    items.flatMap((item) => {
      const { pieces } = piecesThere(kindsOf(library, item, item.formId), item.loadKg, kit);
      return pieces > 0 ? [Math.floor(pieces / eachOf(item))] : [];
    }),
  );
  return Math.min(Infinity, ...needs);
}

/** Too few pieces of the crew's kit for everybody to do an item at the same moment. */
export interface ShortKit {
  itemId: string;
  movementId: string;
  /** Any of these would do. */
  kinds: KitKind[];
  /** In each hand, kg; null for kit without a load. */
  loadKg: number | null;
  people: number;
  pieces: number;
  /** The quickest way to share them. */
  way: Sharing;
}

/**
 * What a session is short of for a group, in its order, each load by itself. Kit of which there is none is not told: such an item does not
 * fit the crew, which its program says.
 * @param doing who does an item at the same moment, each in their own form and load
 */
export function shortKitOf(
  library: Library,
  session: Session,
  doing: (item: Item) => readonly string[],
  kit: readonly KitEntry[],
): ShortKit[] {
  return session.items.flatMap((item) => {
    const users = doing(item).map((id) => ({
      ...heldIn(item, library.timings, item.personal[id]),
      formId: item.personal[id]?.formId ?? item.formId,
    }));
    return [...grouped(users, ({ loadKg }) => String(loadKg)).values()].flatMap((sharing): ShortKit[] => {
      const { loadKg } = sharing[0]!;
      const withKit = sharing.filter(({ formId }) => kindsOf(library, item, formId).length > 0);
      const there = piecesThere([...new Set(withKit.flatMap(({ formId }) => kindsOf(library, item, formId)))], loadKg, kit);
      if (there.pieces === 0 || withKit.length <= Math.floor(there.pieces / eachOf(item))) return [];
      const [way] = shareKit(item, library.timings, withKit.length, there.pieces);
      return way ? [{ itemId: item.id, movementId: item.movementId, loadKg, people: withKit.length, ...there, way }] : [];
    });
  });
}

const eachOf = ({ sides }: Item): number => (sides === "together" ? 2 : 1);

function kindsOf(library: Library, { movementId }: Item, formId: string): KitKind[] {
  const movement = library.find(movementId);
  return movement ? [...movement.kit, ...(movement.forms.find(({ id }) => id === formId)?.kit ?? [])] : [];
}

/** Pieces of some kinds in a load; kit whose mass nobody wrote down serves any. */
function piecesThere(kinds: readonly KitKind[], loadKg: number | null, kit: readonly KitEntry[]): { kinds: KitKind[]; pieces: number } {
  const fits = kit.filter(({ kind, massKg }) => kinds.includes(kind) && (loadKg === null || massKg === null || massKg === loadKg));
  return { kinds: [...new Set(fits.map(({ kind }) => kind))], pieces: fits.reduce((sum, { count }) => sum + count, 0) };
}

/**
 * As few groups as the limits allow, as even as they can be; whoever does easier forms stands next to one another.
 * @param people in the order of the list @param most of a group; at least 1
 */
export function formGroups(people: readonly string[], sessions: readonly Session[], most: number, atLeast = 1): Group[] {
  if (people.length === 0) return [];
  const count = Math.min(people.length, Math.max(atLeast, Math.ceil(people.length / Math.max(1, most))));
  const easier = (id: string) => sessions.reduce((sum, { items }) => sum + items.filter((item) => item.personal[id]).length, 0);
  const inOrder = people.map((id, place) => ({ id, place, easier: easier(id) })).sort((a, b) => b.easier - a.easier || a.place - b.place);
  const groups: Group[] = [];
  let from = 0;
  for (let i = 0; i < count; i++) {
    const size = Math.ceil((people.length - from) / (count - i));
    groups.push({ name: `Group ${i + 1}`, people: inOrder.slice(from, from + size).map(({ id }) => id) });
    from += size;
  }
  return groups;
}
