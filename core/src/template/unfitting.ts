/** What of a program cannot be done in a place with its kit, and what might stand there instead: a list to answer. */
import { doseFor, misfitsOf, type Library, type Misfit, type Movement, type Surroundings } from "../library";
import type { Program } from "../program";
import type { Session } from "../session";

export interface Unfitting {
  sessionId: string;
  itemId: string;
  movementId: string;
  misfits: Misfit[];
  /** Movements of the same phase that can be done there and reach most of the same regions; the nearest first. */
  instead: string[];
}

export type FitAnswer = { kind: "keep" } | { kind: "leaveOut" } | { kind: "instead"; movementId: string };

const MOST_INSTEAD = 3;

/** @param placeFor what is there for a session of a slot @param offered what may stand instead */
export function unfitting(
  library: Library,
  sessions: readonly Session[],
  placeFor: (slot: Session["slot"]) => Surroundings,
  offered: readonly Movement[] = library.movements,
): Unfitting[] {
  return sessions.flatMap((session) => {
    const place = placeFor(session.slot);
    const there = new Set(session.items.map(({ movementId }) => movementId));
    return session.items.flatMap(({ id: itemId, movementId, formId }): Unfitting[] => {
      const movement = library.find(movementId);
      const misfits = movement ? misfitsOf(movement, formId, place) : [];
      if (!movement || misfits.length === 0) return [];
      const instead = offered
        .filter((other) => other.phase === movement.phase && !there.has(other.id) && !other.weightBearing)
        .filter((other) => misfitsOf(other, other.startForm, place).length === 0)
        .map((other) => ({ id: other.id, shared: sharedRegions(movement, other) }))
        .filter(({ shared }) => shared > 0)
        .sort((a, b) => b.shared - a.shared || a.id.localeCompare(b.id))
        .slice(0, MOST_INSTEAD)
        .map(({ id }) => id);
      return [{ sessionId: session.id, itemId, movementId, misfits, instead }];
    });
  });
}

/** What is proposed for an item that does not fit: the nearest other movement, or else to leave it out. */
export function suggestedAnswer({ instead }: Unfitting): FitAnswer {
  return instead[0] === undefined ? { kind: "leaveOut" } : { kind: "instead", movementId: instead[0] };
}

/** A program with every answer carried out; what has none is kept as it is. @param answers by item id */
export function answered(library: Library, program: Program, answers: ReadonlyMap<string, FitAnswer>): Program {
  return {
    ...program,
    sessions: program.sessions.map((session) => ({
      ...session,
      items: session.items.flatMap((item) => {
        const answer = answers.get(item.id) ?? { kind: "keep" };
        if (answer.kind === "leaveOut") return [];
        if (answer.kind === "keep") return [item];
        const movement = library.get(answer.movementId);
        const { doseShare: _, tool: __, gripM: ___, ...plain } = item;
        return [
          {
            ...plain,
            movementId: movement.id,
            formId: movement.startForm,
            dose: doseFor(movement, program.style),
            sides: movement.sideModes[0]!,
            loadKg: null,
            personal: {},
          },
        ];
      }),
    })),
  };
}

/** Regions two movements have in common, as a share of all that either of them has. */
function sharedRegions(one: Movement, other: Movement): number {
  const regionsOf = ({ regions: { worked, stretched, released } }: Movement) => new Set([...worked, ...stretched, ...released]);
  const [a, b] = [regionsOf(one), regionsOf(other)];
  const both = [...a].filter((region) => b.has(region)).length;
  return both / (a.size + b.size - both || 1);
}
