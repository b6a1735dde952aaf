/** HiGHS in Node, a greedy yardstick, and a checker that shares no code with the model; for tests and the bench. */
import loadHighs from "highs";
import { misfitsOf, PHASES, SHIPPED_LIBRARY, type Region } from "../library";
import type { RegionNeed } from "../need";
import { compilePerson, SLOT_KINDS, type SlotKind } from "../session";
import { doseLadder } from "../slot";
import { candidateAt, candidatesFor, type Candidate } from "./candidates";
import { neediest, type ComposeInput } from "./compose";
import type { ComposeLimits } from "./limits";
import { modelOf } from "./model";
import { targetOf, targetsOf, type Wanted } from "./targets";
import type { Proposal, ProposalNames } from "./proposal";
import { countsAsDose } from "./shape";
import { solverWith, type Effort, type Solver } from "../solver";

export const solveInNode = solverWith(() => loadHighs());

/** A need of the right hand that comes from the work alone. */
export const sampleNeed = (region: Region, need: number): RegionNeed => ({
  side: "right",
  region,
  need,
  strengthNeed: need,
  loadMin: 0,
  fromWork: need,
  parts: [],
  added: [],
});

/** A program and its sessions by their slots. */
export const SAMPLE_NAMES: ProposalNames = {
  name: "P",
  sessionNames: Object.fromEntries(SLOT_KINDS.map((slot) => [slot, slot])) as Record<SlotKind, string>,
};

/**
 * What covering alone reaches, as a share of what is asked for, in the same limits and the same shape. The yardstick of what the later
 * aims cost.
 * @param lightOnes with a light dose of everything beside the whole one, which composing does not allow
 */
export async function pureCover(
  { library, limits, needs, opposites }: Pick<ComposeInput, "library" | "limits" | "needs" | "opposites">,
  makeId: () => string,
  solve: Solver,
  effort: Effort,
  lightOnes = true,
): Promise<number> {
  const wanted = { needs: neediest(needs), strengthNeeds: neediest(needs, "strengthNeed"), opposites };
  const { candidates } = candidatesFor(library, library.movements, limits, makeId);
  const both = candidates.flatMap((each) => {
    const light = doseLadder(each.item.dose).find(({ share, dose }) => share <= 0.75 && countsAsDose(each.movement, dose));
    if (!lightOnes || !light || each.movement.phase === "glide") return [each];
    const lighter = candidateAt(library, each.movement, { ...each.item, dose: light.dose }, light.share, each.slot, limits);
    return lighter ? [each, lighter] : [each];
  });
  const solved = await solve(modelOf(both, wanted, limits, new Set(), { aim: "cover", plain: true }).lp, effort);
  const targets = targetsOf(wanted, limits);
  const weight = targets.reduce((sum, { need, target }) => sum + need * target, 0);
  if (!solved || weight === 0) return 0;
  return targets.reduce((sum, { kind, region, need }) => sum + need * (solved.columns.get(`c_${kind}_${region}`) ?? 0), 0) / weight;
}

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
  // Getting ready comes first, and for a minute in a session of four; what closes has its place too.
  const loosens = ({ movement: { phase, regions } }: Candidate) =>
    phase === "getReady" && regions.worked.length + regions.stretched.length === 0;
  const shortest = (list: readonly Candidate[]) => [...list].sort((a, b) => a.sec - b.sec).find(fits);
  for (const slot of SLOT_KINDS) {
    const here = candidates.filter((each) => each.slot === slot);
    const readySec = () =>
      chosen
        .filter((each) => each.slot === slot && each.movement.phase === "getReady" && !loosens(each))
        .reduce((sum, { sec }) => sum + sec, 0);
    const shoulder =
      slot === "preShift" &&
      limits.slotSec[slot] >= 240 &&
      shortest(here.filter(({ movement: { phase, regions } }) => phase === "getReady" && regions.worked.includes("shoulderNeck")));
    if (shoulder) add(shoulder);
    const stretch =
      slot === "preShift" &&
      limits.slotSec[slot] >= 300 &&
      shortest(
        here.filter(
          ({ movement }) => movement.phase === "stretch" && movement.regions.stretched.some((region) => region !== "shoulderNeck"),
        ),
      );
    if (stretch) add(stretch);
    for (let more = slot !== "break"; more;) {
      const ready = shortest(here.filter((each) => each.movement.phase === "getReady" && !loosens(each)));
      if (ready) add(ready);
      more = ready !== undefined && limits.slotSec[slot] >= 240 && readySec() < 60;
    }
    const closing = limits.slotSec[slot] >= 180 && shortest(here.filter((each) => each.movement.phase === "release" || loosens(each)));
    if (closing) add(closing);
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
export function brokenRules({ program, places }: Pick<Proposal, "program" | "places">, limits: ComposeLimits): string[] {
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
    const loosens = ({ movementId }: { movementId: string }) => {
      const { phase, regions } = SHIPPED_LIBRARY.find(movementId)!;
      return phase === "getReady" && regions.worked.length + regions.stretched.length === 0;
    };
    // What loosens may close a session as well as open it.
    const body = loosens(session.items.at(-1)!) ? phases.slice(0, -1) : phases;
    const order = body.map((phase) => PHASES.indexOf(phase));
    say(
      order.every((at, i) => i === 0 || order[i - 1]! <= at),
      `${session.name} is out of order`,
    );
    const readySec = session.items
      .filter((item) => SHIPPED_LIBRARY.find(item.movementId)!.phase === "getReady" && !loosens(item))
      .reduce((sum, item) => sum + compilePerson({ ...session, items: [item] }, SHIPPED_LIBRARY.timings).totalSec, 0);
    say(session.slot === "break" || limits.slotSec[session.slot] < 240 || readySec >= 60, `${session.name} gets ready for ${readySec} s`);
    const shoulders = session.items.some((item) => {
      const { phase, regions } = SHIPPED_LIBRARY.find(item.movementId)!;
      return phase === "getReady" && regions.worked.includes("shoulderNeck");
    });
    say(session.slot !== "preShift" || limits.slotSec.preShift < 240 || shoulders, `${session.name} does not begin at the shoulders`);
    const canStretch = SHIPPED_LIBRARY.movements.some(
      (movement) =>
        movement.phase === "stretch" &&
        movement.regions.stretched.some((region) => region !== "shoulderNeck") &&
        !movement.weightBearing &&
        misfitsOf(movement, movement.startForm, place).length === 0,
    );
    const stretches = session.items.some((item) => {
      const { phase, regions } = SHIPPED_LIBRARY.find(item.movementId)!;
      return phase === "stretch" && regions.stretched.some((region) => region !== "shoulderNeck");
    });
    say(session.slot !== "preShift" || limits.slotSec.preShift < 300 || !canStretch || stretches, `${session.name} holds no stretch`);
    const ends = SHIPPED_LIBRARY.find(session.items.at(-1)!.movementId)!.phase === "release" || loosens(session.items.at(-1)!);
    say(limits.slotSec[session.slot] < 180 || ends, `${session.name} has nothing that closes it`);
    say(
      session.items.every((item) => SHIPPED_LIBRARY.find(item.movementId)!.phase !== "glide" || places.get(item.id)!.share >= 1),
      `${session.name} has a light glide`,
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
