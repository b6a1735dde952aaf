/** What of a program is done on a day, by whom: light weeks of the block, and who is on the way in or back. */
import type { Library } from "../library";
import type { Session } from "../session";
import { withRamps, type Ramps } from "./ramp";
import { lightened, lightWeekOf, type BlockWeeks } from "./settling";

/**
 * A session as it is done on a day: as written, or in a light week lighter, own forms too. The load waits in the settling-in week only.
 * @param ramps who is on the way in or back that day: their own forms and doses for now are in it
 */
export function sessionOn(library: Library, program: BlockWeeks, session: Session, day: string, ramps: Ramps = new Map()): Session {
  const light = lightWeekOf(program, day);
  const ramped = withRamps(library, session, ramps);
  return light ? { ...ramped, items: ramped.items.map((item) => lightened(library, item, light === "settling")) } : ramped;
}
