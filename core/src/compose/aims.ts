/** What a program that is argued from need must be like before it can be made one: judged on the finished program, not on the model. */
import { SLOT_KINDS, type SlotKind } from "../session";
import type { Candidate } from "./candidates";
import { mayJoin } from "./finish";
import type { ComposeLimits } from "./limits";
import { getsReady, LEAST_READY_SEC, mustsOf, READY_FROM_SEC, type Must } from "./shape";

/** A slot used less than this is wrong, unless nothing is left that may join. */
export const LEAST_OF_SLOT = 0.7;

export type AimMissed =
  /** Nothing is in any session. */
  | { aim: "nothing" }
  | { aim: "slot"; slot: SlotKind; usedSec: number }
  | { aim: "light"; slot: SlotKind; movementId: string }
  | { aim: "ready"; slot: SlotKind; readySec: number }
  | { aim: "must"; must: Must; slot: SlotKind };

/**
 * @param chosen the items with their final doses
 * @param candidates whole doses of everything that could stand in a session
 * @returns the aims that a better choice would have reached; empty where a limit stands in the way
 */
export function aimsMissed(chosen: readonly Candidate[], candidates: readonly Candidate[], limits: ComposeLimits): AimMissed[] {
  if (chosen.length === 0) return [{ aim: "nothing" }];
  return SLOT_KINDS.flatMap((slot): AimMissed[] => {
    const here = chosen.filter((each) => each.slot === slot);
    const possible = candidates.filter((each) => each.slot === slot);
    const slotSec = limits.slotSec[slot];
    const usedSec = here.reduce((sum, { sec }) => sum + sec, 0);
    const room = slotSec - usedSec;
    const missed: AimMissed[] = [];
    // What a session must have may not fit; then it is left out, and that is no fault of the choice.
    if (here.length === 0) return missed;
    if (usedSec < LEAST_OF_SLOT * slotSec && possible.some((each) => mayJoin(chosen, each, limits)))
      missed.push({ aim: "slot", slot, usedSec });
    for (const light of here.filter(({ share }) => share < 1)) {
      const whole = possible.find(({ movement, share }) => movement.id === light.movement.id && share === 1);
      if (whole && whole.sec - light.sec <= room) missed.push({ aim: "light", slot, movementId: light.movement.id });
    }
    const readySec = (list: readonly Candidate[]) =>
      list.filter(({ movement }) => getsReady(movement)).reduce((sum, { sec }) => sum + sec, 0);
    if (slot !== "break" && slotSec >= READY_FROM_SEC && readySec(here) < Math.min(LEAST_READY_SEC, readySec(possible)))
      missed.push({ aim: "ready", slot, readySec: readySec(here) });
    for (const { must, is } of mustsOf(slot, slotSec))
      if (!here.some(({ movement }) => is(movement)) && possible.some(({ movement }) => is(movement)))
        missed.push({ aim: "must", must, slot });
    return missed;
  });
}
