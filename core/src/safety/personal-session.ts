/** A session as one person does it: their forms, doses and loads, without what they are held out of. */
import type { Library } from "../library";
import { heldIn, removeItem, type Session } from "../session";
import { itemsLeftOut } from "./allowed";
import { FULL_PARTICIPATION, type Participation } from "./participation";
import type { ItemScope } from "./questions";

/** No items at all for somebody held out. Other people's forms are not in it. */
export function personalSession(
  library: Library,
  session: Session,
  personId: string,
  participation: Participation = FULL_PARTICIPATION,
): Session {
  const out = itemsLeftOut(library, participation, session);
  const theirs = out.reduce(removeItem, session);
  return {
    ...theirs,
    items: theirs.items.map((item) => {
      const own = item.personal[personId];
      return {
        ...item,
        formId: own?.formId ?? item.formId,
        dose: own?.dose ?? item.dose,
        ...heldIn(item, library.timings, own),
        personal: {},
      };
    }),
  };
}

/** A session without the items some scopes are about: what a phone leaves out by itself before the server knows. Unknown movements go too. */
export function sessionWithout(library: Library, session: Session, scopes: readonly ItemScope[]): Session {
  return itemsLeftOut(library, { ...FULL_PARTICIPATION, outOf: [...scopes] }, session).reduce(removeItem, session);
}
