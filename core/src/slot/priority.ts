/** How much an item matters in a session, from what it is and what the crew's work asks for. */
import type { Library } from "../library";
import type { RegionNeed } from "../need";
import type { Item } from "../session";

/** By phase, before need is looked at. Strengthening is what lasts; release is pleasant. Practice rule. */
const PHASE_WEIGHT = { getReady: 0.7, mobility: 0.8, stretch: 0.8, glide: 0.8, strengthen: 1, release: 0.5 } as const;

/** @param needs of the crew's work; none described: by phase alone. @returns above 0, about 0.3 to 1.5 */
export function priorityOf(library: Library, item: Item, needs: readonly RegionNeed[]): number {
  const movement = library.find(item.movementId);
  if (!movement) return 0.5;
  const { worked, stretched, released } = movement.regions;
  const regions = [...worked, ...stretched, ...released];
  const need = Math.max(0, ...needs.filter(({ region }) => regions.includes(region)).map((each) => each.need));
  return PHASE_WEIGHT[movement.phase] * (0.6 + need / 100);
}
