/** Who needs the trainer today: each person once, with everything about them, most urgent first. */
import type { PersonAlert, Today } from "@kind-grip/core/api";

type Decision = Today["decisions"][number];

export interface PersonNeeds {
  personId: string;
  crewId: string;
  crewName: string;
  name: string;
  alert: PersonAlert | null;
  clashes: Today["clashes"];
  /** What waits to be decided, unless it is only to progress. */
  decision: Decision | null;
  /** Since when they are out of everything. */
  heldOutSince: string | null;
  clearanceEnds: string | null;
}

export interface Needs {
  people: PersonNeeds[];
  /** People who are ready for more and need nothing else, by crew. */
  progress: { crewId: string; crewName: string; people: Decision[] }[];
  /** People who are held out and need nothing else, longest first. */
  heldOut: Today["heldOut"];
}

export function needsOf({ alerts, clashes, decisions, heldOut, endingSoon }: Today): Needs {
  const byPerson = new Map<string, PersonNeeds>();
  const of = ({ personId, crewId, crewName, name }: Pick<PersonNeeds, "personId" | "crewId" | "crewName" | "name">): PersonNeeds => {
    const known = byPerson.get(personId);
    if (known) return known;
    const fresh = { personId, crewId, crewName, name, alert: null, clashes: [], decision: null, heldOutSince: null, clearanceEnds: null };
    byPerson.set(personId, fresh);
    return fresh;
  };
  for (const alert of alerts) of(alert).alert = alert;
  for (const clash of clashes) of(clash).clashes = [...of(clash).clashes, clash];
  for (const decision of decisions) if (decision.kind !== "progress") of(decision).decision = decision;
  for (const ending of endingSoon) of(ending).clearanceEnds ??= ending.until;
  for (const held of heldOut) {
    const known = byPerson.get(held.personId);
    if (known) known.heldOutSince = held.since;
  }
  const progress = new Map<string, Needs["progress"][number]>();
  for (const decision of decisions) {
    if (decision.kind !== "progress") continue;
    const known = byPerson.get(decision.personId);
    if (known) known.decision = decision;
    else {
      const crew = progress.get(decision.crewId) ?? { crewId: decision.crewId, crewName: decision.crewName, people: [] };
      crew.people.push(decision);
      progress.set(decision.crewId, crew);
    }
  }
  return {
    people: [...byPerson.values()].sort((a, b) => urgency(a) - urgency(b)),
    progress: [...progress.values()],
    heldOut: heldOut.filter(({ personId }) => !byPerson.has(personId)),
  };
}

function urgency({ alert, clashes, decision }: PersonNeeds): number {
  if (alert) return 0;
  if (decision?.kind === "pauseAndRefer") return 1;
  if (clashes.length > 0) return 2;
  return decision?.kind === "ease" ? 3 : 4;
}
