/** Movements of which another does all they do: what a proof can leave out, and a start for it has to. */
import type { WorkPosture } from "../library";
import type { SlotKind } from "../session";
import { grouped } from "../units";
import type { Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { targetsOf, type Wanted } from "./targets";
import { movementsOf, standings } from "./standing";
import { mustsOf } from "./shape";

/** Pairs of movements of which the better does all the other does, wherever the other may stand, in no more time. */
export function outdone(
  candidates: readonly Candidate[],
  wanted: Wanted,
  limits: ComposeLimits,
  locked: ReadonlySet<number>,
): { better: string; other: string }[] {
  const asked = new Set(targetsOf(wanted, limits).map(({ kind, region }) => `${kind} ${region}`));
  const postures = wanted.opposites.map(({ posture }) => posture as WorkPosture);
  const does = (one: Candidate, other: Candidate) =>
    one.sec <= other.sec &&
    one.gives === other.gives &&
    mustsOf(other.slot, limits.slotSec[other.slot]).every(({ is }) => !is(other.movement) || is(one.movement)) &&
    [...other.points].every(([region, points]) => !asked.has(`${other.gives} ${region}`) || (one.points.get(region) ?? 0) >= points) &&
    postures.every((posture) => !other.movement.reverses.includes(posture) || one.movement.reverses.includes(posture));
  const standing = grouped(standings(candidates), ({ id }) => id);
  const covers = (one: string, other: string) =>
    standing
      .get(other)!
      .every(({ slot, places }) =>
        places.every((place) =>
          (standing.get(one)!.find((each) => each.slot === slot)?.places ?? []).some((mine) => does(candidates[mine]!, candidates[place]!)),
        ),
      );
  const stays = new Set([...locked].map((i) => candidates[i]!.movement.id));
  const phaseOf = (id: string) => standing.get(id)![0]!.phase;
  const order = movementsOf(candidates).filter((id) => phaseOf(id) !== "getReady" && phaseOf(id) !== "release");
  return order.flatMap((better, i) =>
    order.flatMap((other, j) => {
      const alike = i !== j && !stays.has(other) && phaseOf(better) === phaseOf(other);
      return alike && covers(better, other) && !(i > j && covers(other, better)) ? [{ better, other }] : [];
    }),
  );
}

/** The same program with each outdone movement exchanged for the better one where that one is missing: it covers no less. */
export function withoutOutdone(
  chosen: readonly Candidate[],
  candidates: readonly Candidate[],
  pairs: readonly { better: string; other: string }[],
): Candidate[] {
  let now = [...chosen];
  const stands = (id: string, slot: SlotKind) => now.some((each) => each.movement.id === id && each.slot === slot);
  for (let changed = true; changed;) {
    changed = false;
    for (const { better, other } of pairs)
      for (const each of now.filter(({ movement, slot }) => movement.id === other && !stands(better, slot))) {
        const instead = candidates.find(({ movement, slot }) => movement.id === better && slot === each.slot)!;
        now = now.map((one) => (one === each ? instead : one));
        changed = true;
      }
  }
  return now;
}
