/** What a planned session is short of, as Today tells it. */
import type { TodayEntry } from "@kind-grip/core/api";
import type { Crew } from "@kind-grip/core/crew";
import { shortKitOf } from "@kind-grip/core/dayplan";
import type { Library } from "@kind-grip/core/library";
import { FULL_PARTICIPATION, refusalOf, type Participations } from "@kind-grip/core/safety";
import type { Item, Session } from "@kind-grip/core/session";

/** What there are too few pieces of for those who do an item at once. */
export function shortOf(
  library: Library,
  session: Session,
  ids: readonly string[],
  may: Participations,
  kit: Crew["kit"],
): TodayEntry["shortKit"] {
  const doing = ({ movementId }: Item) => ids.filter((id) => refusalOf(library, may.get(id) ?? FULL_PARTICIPATION, movementId) === null);
  return shortKitOf(library, session, doing, kit).flatMap(({ movementId, kinds, loadKg, people, pieces, way }) => {
    if (way.kind !== "partners" && way.kind !== "waves") return [];
    return [
      { movementId, kinds, loadKg, people, pieces, way: way.kind, waves: way.kind === "waves" ? way.waves : 1, costSec: way.costSec },
    ];
  });
}
