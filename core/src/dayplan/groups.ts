/** Groups of a crew for a day: small enough for the job and the kit, people of the same form together. */
import type { Session } from "../session";
import type { Library } from "../library";
import type { KitEntry } from "../crew";

export interface Group {
  name: string;
  people: string[];
}

/** Most people that can do the sessions at the same moment with the kit there is. */
export function mostWithKit(library: Library, sessions: readonly Session[], kit: readonly KitEntry[]): number {
  const needs = sessions.flatMap(({ items }) =>
    items.flatMap((item) => {
      const movement = library.find(item.movementId);
      const kinds = movement ? [...movement.kit, ...(movement.forms.find(({ id }) => id === item.formId)?.kit ?? [])] : [];
      const fits = kit.filter(
        ({ kind, massKg }) => kinds.includes(kind) && (item.loadKg === null || massKg === null || massKg === item.loadKg),
      );
      return kinds.length === 0 || fits.length === 0 ? [] : [fits.reduce((sum, { count }) => sum + count, 0)];
    }),
  );
  return Math.min(Infinity, ...needs);
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
