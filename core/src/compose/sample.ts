/** HiGHS in Node, a greedy yardstick, and a checker that shares no code with the model; for tests and the bench. */
import loadHighs from "highs";
import { misfitsOf, PHASES, SHIPPED_LIBRARY, type Region } from "../library";
import { compilePerson, SLOT_KINDS, type SlotKind } from "../session";
import type { Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { targetOf, targetsOf, type Wanted } from "./model";
import type { Proposal, ProposalNames } from "./proposal";
import { solverWith } from "../solver";

export const solveInNode = solverWith(() => loadHighs());

/** A program and its sessions by their slots. */
export const SAMPLE_NAMES: ProposalNames = {
  name: "P",
  sessionNames: Object.fromEntries(SLOT_KINDS.map((slot) => [slot, slot])) as Record<SlotKind, string>,
};

/** The yardstick: again and again the item that covers most need a second, as long as it fits. Returns covered need as the model counts it. */
export function greedyCovered(candidates: readonly Candidate[], wanted: Wanted, limits: ComposeLimits): number {
  const chosen: Candidate[] = [];
  const points = new Map<string, number>();
  const needOf = (region: Region, kind: Candidate["gives"]) => (kind === "strength" ? wanted.strengthNeeds : wanted.needs).get(region) ?? 0;
  const target = (region: Region, kind: Candidate["gives"]) => targetOf(needOf(region, kind), kind, limits.aim);
  const gain = ({ points: given, gives }: Candidate) =>
    [...given].reduce((sum, [region, value]) => {
      const before = points.get(`${gives} ${region}`) ?? 0;
      const most = target(region, gives);
      return sum + (needOf(region, gives) / 100) * (Math.min(most, before + value) - Math.min(most, before));
    }, 0);
  const add = (candidate: Candidate) => {
    chosen.push(candidate);
    for (const [region, value] of candidate.points) {
      const key = `${candidate.gives} ${region}`;
      points.set(key, (points.get(key) ?? 0) + value);
    }
  };
  const times = (slot: string) => (slot === "break" ? limits.breaksADay : 1);
  const fits = (candidate: Candidate) => {
    const same = chosen.filter(({ slot }) => slot === candidate.slot);
    const after = [...chosen, candidate];
    const sessionsWith = (phases: readonly string[]) =>
      [...new Set(after.filter(({ movement }) => phases.includes(movement.phase)).map(({ slot }) => slot))].reduce(
        (sum, slot) => sum + times(slot),
        0,
      );
    return (
      !same.some(({ movement }) => movement.id === candidate.movement.id) &&
      same.reduce((sum, { sec }) => sum + sec, candidate.sec) <= limits.slotSec[candidate.slot] &&
      same.length < limits.mostItems &&
      new Set(after.map(({ movement }) => movement.id)).size <= limits.mostMovements &&
      (candidate.movement.phase !== "glide" || !same.some(({ movement }) => movement.phase === "glide")) &&
      sessionsWith(["glide"]) <= 2 &&
      sessionsWith(["mobility", "stretch"]) <= 3
    );
  };
  // Getting ready comes first, or nothing else may come.
  for (const slot of ["preShift", "postShift"] as const) {
    const [ready] = candidates.filter((each) => each.slot === slot && each.movement.phase === "getReady").sort((a, b) => a.sec - b.sec);
    if (ready && fits(ready)) add(ready);
  }
  for (;;) {
    const best = candidates
      .filter(fits)
      .map((candidate) => ({ candidate, worth: gain(candidate) / candidate.sec }))
      .sort((a, b) => b.worth - a.worth)[0];
    if (!best || best.worth <= 1e-9) break;
    add(best.candidate);
  }
  return targetsOf(wanted, limits).reduce(
    (sum, { region, kind, need, target: most }) => sum + (need / 100) * Math.min(most, points.get(`${kind} ${region}`) ?? 0),
    0,
  );
}

/** Hard rules a proposal breaks, in words. Written from docs/safety.md and docs/compose.md, not from the model. */
export function brokenRules({ program }: Proposal, limits: ComposeLimits): string[] {
  const broken: string[] = [];
  const say = (is: boolean, text: string) => is || broken.push(text);
  const place = { settings: limits.settings, kit: limits.kit.map(({ kind }) => kind) };
  const moves = new Set<string>();
  for (const session of program.sessions) {
    const seconds = compilePerson(session, SHIPPED_LIBRARY.timings).totalSec;
    say(seconds <= limits.slotSec[session.slot] + 1e-6, `${session.name} takes ${seconds} s of ${limits.slotSec[session.slot]}`);
    say(session.items.length <= limits.mostItems, `${session.name} has ${session.items.length} items`);
    say(new Set(session.items.map(({ movementId }) => movementId)).size === session.items.length, `${session.name} has a movement twice`);
    const phases = session.items.map(({ movementId }) => SHIPPED_LIBRARY.find(movementId)!.phase);
    const order = phases.map((phase) => PHASES.indexOf(phase));
    say(
      order.every((at, i) => i === 0 || order[i - 1]! <= at),
      `${session.name} is out of order`,
    );
    say(session.slot === "break" || phases[0] === "getReady", `${session.name} does not begin by getting ready`);
    say(session.slot === "postShift" || !phases.includes("strengthen"), `${session.name} strengthens before or in the work`);
    say(phases.filter((phase) => phase === "glide").length <= 1, `${session.name} has more than one glide`);
    for (const item of session.items) {
      const movement = SHIPPED_LIBRARY.find(item.movementId)!;
      moves.add(movement.id);
      say(misfitsOf(movement, item.formId, place).length === 0, `${movement.id} cannot be done there`);
      say(!movement.weightBearing, `${movement.id} puts weight on the hands`);
      say(movement.sideModes.includes(item.sides), `${movement.id} cannot be done ${item.sides}`);
      say(item.loadKg === null || (item.loadKg <= 1.5 && movement.load?.rungs !== "kit"), `${movement.id} starts with a load`);
      say(limits.aim === "loadLed" || movement.phase !== "strengthen", `${movement.id} strengthens in a relief-led program`);
    }
  }
  say(moves.size <= limits.mostMovements, `${moves.size} different movements`);
  const sessionsWith = (phases: readonly string[]) =>
    program.sessions
      .filter(({ items }) => items.some(({ movementId }) => phases.includes(SHIPPED_LIBRARY.find(movementId)!.phase)))
      .reduce((sum, { slot }) => sum + (slot === "break" ? limits.breaksADay : 1), 0);
  say(sessionsWith(["glide"]) <= 2, "glides more than twice a day");
  say(sessionsWith(["mobility", "stretch"]) <= 3, "mobility or stretching more than three times a day");
  return broken;
}
