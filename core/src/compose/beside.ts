/** Sessions beside those of a shift: resets between treatments, for home, for days off. By oneself, without kit, of movements that are known from the shift where they do. */
import { BESIDE_SEC, placeOf } from "../crew";
import { RESET_PHASES, type Movement, type Phase, type Region } from "../library";
import { BESIDE_SLOTS, type BesideSlot, type Session, type SessionSlot, type SlotKind } from "../session";
import { composer, type ComposeInput } from "./compose";
import type { Proposal } from "./proposal";

/**
 * What a session by oneself is made of: between treatments moving and letting go; on a day off gliding and moving; after work at home
 * stretching and letting go. Nothing is loaded.
 */
export const BESIDE_PHASES: Readonly<Record<BesideSlot, readonly Phase[]>> = {
  reset: RESET_PHASES,
  home: ["getReady", "mobility", "stretch", "release"],
  offDay: ["getReady", "mobility", "glide"],
};
/** The session of a shift whose shape and phases it has. */
const LIKE: Readonly<Record<BesideSlot, SlotKind>> = { reset: "break", home: "postShift", offDay: "preShift" };

/** The session of a shift that one of this slot is like. */
export function likeOf(slot: SessionSlot): SlotKind {
  return isBeside(slot) ? LIKE[slot] : slot;
}

function isBeside(slot: SessionSlot): slot is BesideSlot {
  return BESIDE_SLOTS.some((beside) => beside === slot);
}

/** Whether a movement belongs in a session of this slot, as far as it is one beside those of a shift. */
export function isForSlot(slot: SessionSlot, { phase }: Pick<Movement, "phase">): boolean {
  return !isBeside(slot) || BESIDE_PHASES[slot].includes(phase);
}

export interface BesideSession {
  session: Session & { slot: BesideSlot };
  sec: number;
  /** What it is for, the neediest first. */
  regions: Region[];
  /** Movements that no session of the shift has. */
  fresh: string[];
}

/** Used at least so far, a session of known movements is enough. */
const ENOUGH = 0.8;
/** A need that the shift meets still counts so much at home. */
const MET_COUNTS = 0.4;

/**
 * @param input what the program beside it was composed from
 * @param beside the program it goes with: what that leaves open counts more
 * @returns undefined where nothing fits
 */
export function besideSession(
  input: ComposeInput,
  slot: BesideSlot,
  beside: Pick<Proposal, "program" | "met">,
  name: string,
  makeId: () => string,
): BesideSession | undefined {
  const known = new Set(beside.program.sessions.flatMap(({ items }) => items.map(({ movementId }) => movementId)));
  const offered = (input.movements ?? input.library.movements).filter((movement) => isForSlot(slot, movement));
  // A glide is what a day off is for, whether the shift has one or not.
  const familiar = offered.filter(({ id, phase }) => known.has(id) || (slot === "offDay" && phase === "glide"));
  const open = new Map(beside.met.filter(({ kind }) => kind === "relief").map(({ region, covered }) => [region, 1 - covered]));
  const like = LIKE[slot];
  const { settings, kit } = placeOf({ settings: [...input.limits.settings], kit: [] }, slot);
  const compose = (movements: readonly Movement[]): BesideSession | undefined => {
    const proposal = composer(
      {
        ...input,
        movements,
        locked: [],
        from: [],
        needs: input.needs.map((each) => ({ ...each, need: each.need * (MET_COUNTS + (1 - MET_COUNTS) * (open.get(each.region) ?? 0)) })),
        limits: {
          ...input.limits,
          settings,
          kit: [...kit],
          aim: "reliefLed",
          people: 1,
          slotSec: { preShift: 0, break: 0, postShift: 0, [like]: BESIDE_SEC[slot] },
        },
        sessionNames: { ...input.sessionNames, [like]: name },
      },
      makeId,
    ).first();
    const made = proposal?.program.sessions[0];
    if (!proposal || !made) return undefined;
    const regions = made.items.flatMap(({ id }) => proposal.reasons.get(id)!.regions).sort((a, b) => b.need - a.need);
    return {
      session: { ...made, slot },
      sec: proposal.seconds.get(like) ?? 0,
      regions: [...new Set(regions.map(({ region }) => region))],
      fresh: [...new Set(made.items.map(({ movementId }) => movementId))].filter((id) => !known.has(id)),
    };
  };
  const first = compose(familiar);
  return first && first.sec >= ENOUGH * BESIDE_SEC[slot] ? first : (compose(offered) ?? first);
}
