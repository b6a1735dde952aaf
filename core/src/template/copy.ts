/** A program or some of its sessions for another crew or another block: new ids, and only what still holds there. */
import type { KitEntry } from "../crew";
import type { Library } from "../library";
import { withFirstLoad, type Program } from "../program";
import { doseInForm, type Item, type Session } from "../session";

export interface CopyTo {
  /** Of the same crew: its people, forms and loads stay. */
  sameCrew: boolean;
  kit: readonly KitEntry[];
}

/** The first day and lighter weeks belong to a block, and are left behind. */
export function copyOf(library: Library, program: Program, to: CopyTo, makeId: () => string): Program {
  const { settlingFrom: _, lighterWeeks: __, ...kept } = program;
  return { ...kept, sessions: program.sessions.map((session) => copyOfSession(library, session, to, makeId)) };
}

function copyOfSession(library: Library, session: Session, { sameCrew, kit }: CopyTo, makeId: () => string): Session {
  return {
    ...session,
    id: makeId(),
    items: session.items.map((item) => {
      const copied = { ...item, id: makeId() };
      return sameCrew ? copied : forAnotherCrew(library, copied, kit);
    }),
  };
}

/** Other people have other forms and other kit: what is loaded begins again with the first load there is. */
function forAnotherCrew(library: Library, item: Item, kit: readonly KitEntry[]): Item {
  const movement = library.find(item.movementId);
  const { tool: _, gripM: __, ...plain } = { ...item, personal: {} };
  if (!movement || item.loadKg === null) return plain;
  const formId = movement.startForm;
  const dose = doseInForm(item.dose, library.timings.get(movement.id)?.get(formId));
  return withFirstLoad(library, { ...plain, formId, dose, loadKg: null }, kit);
}
