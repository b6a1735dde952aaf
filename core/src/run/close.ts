/** Where a session comes to its close: what it ends with to shake out and let go, else its last item. */
import type { Library } from "../library";
import type { Session } from "../session";

/** @returns the index of the first item of the close; -1 for a session without items */
export function closeIndexOf(library: Pick<Library, "find">, { items }: Pick<Session, "items">): number {
  const last = items.length - 1;
  let first = items.length;
  while (first > 0) {
    const phase = library.find(items[first - 1]!.movementId)?.phase;
    if (phase !== "release" && phase !== "getReady") break;
    first--;
  }
  // A warm-up is nothing else from its beginning: the last of it is its close.
  return first === 0 || first > last ? last : first;
}
