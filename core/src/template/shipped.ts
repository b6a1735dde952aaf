/**
 * Programs for six kinds of work, as lists of movements: doses follow the style. Nothing in them needs kit; the floor of a workshop is
 * enough, a table where it says so. Practice: put together from the opposites of what the hands do, in the shape every session has.
 */
import { newItem, type Library, type Style } from "../library";
import type { Program } from "../program";
import { SLOT_KINDS, type SlotKind } from "../session";

export interface ShippedTemplate {
  style: Style;
  weeks: number;
  /** Seconds each session is made for. */
  slotSec: Readonly<Record<SlotKind, number>>;
  sessions: Readonly<Record<SlotKind, readonly string[]>>;
}

const style = (stretch: Style["stretch"], load: Style["load"] = "pacedReps"): Style => ({ stretch, load });
const minutes = (preShift: number, pause: number, postShift: number) => ({
  preShift: preShift * 60,
  break: pause * 60,
  postShift: postShift * 60,
});

export const SHIPPED_TEMPLATES = {
  /** Pruning and picking: the hand closes thousands of times round shears, the wrist bent. */
  pruning: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(6.5, 3, 8),
    sessions: {
      preShift: ["shoulder-circles", "fist-and-star", "wrist-circle", "palm-turn", "finger-wave", "palm-away", "shake-out"],
      break: ["hand-drop", "tendon-glide", "shake-out"],
      postShift: ["shrug-and-drop", "fist-and-star", "palm-up-draw", "hook-pull-apart", "fist-clench-hold", "forearm-knead", "shake-out"],
    },
  },
  /** Knife line: one hand closed round a handle, the other pulling, in the cold. */
  knifeLine: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(6, 3, 8),
    sessions: {
      preShift: ["shoulder-circles", "arm-swings", "fist-and-star", "wrist-nod", "thumb-to-tips", "palm-up-draw", "shake-out"],
      break: ["hand-drop", "tendon-glide", "shake-out"],
      postShift: [
        "shrug-and-drop",
        "tip-press",
        "hand-drop",
        "median-glide",
        "fist-clench-hold",
        "finger-squeeze",
        "forearm-knead",
        "shake-out",
      ],
    },
  },
  /** Hair and instruments: arms raised, head bent, thumb against fingers. */
  raisedArms: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(6, 2, 8),
    sessions: {
      preShift: [
        "shoulder-circles",
        "open-chest",
        "look-over",
        "wrist-tilt",
        "fold-and-turn",
        "thumb-to-tips",
        "thumb-wrap-tilt",
        "shake-out",
      ],
      break: ["chin-tuck", "radial-glide", "shake-out"],
      postShift: [
        "shrug-and-drop",
        "tip-press",
        "side-reach",
        "hand-drop",
        "arm-raise-push",
        "finger-squeeze",
        "palm-knuckle-circles",
        "shake-out",
      ],
    },
  },
  /** Sewing floor: seated, head down, pinching and guiding cloth. */
  sewing: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(6, 3, 8),
    sessions: {
      preShift: [
        "shoulder-circles",
        "look-down-aside",
        "fist-and-star",
        "finger-lift",
        "thumb-to-tips",
        "palms-together-push",
        "shake-out",
      ],
      break: ["chin-tuck", "spread-and-clasp", "radial-glide", "shake-out"],
      postShift: [
        "shrug-and-drop",
        "fist-and-star",
        "round-and-hug",
        "hand-drop",
        "flat-to-hook-press",
        "fist-clench-hold",
        "palm-knuckle-circles",
        "shake-out",
      ],
    },
  },
  /** Dough and clay: the weight of the body through a wrist bent back, palms down. */
  pressing: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(7, 3, 8.5),
    sessions: {
      preShift: ["shoulder-circles", "arm-swings", "fist-and-star", "wrist-slide", "fold-and-turn", "hand-drop", "shake-out"],
      break: ["shrug-and-drop", "curl-in-flexion", "tendon-glide", "shake-out"],
      postShift: [
        "shrug-and-drop",
        "fist-and-star",
        "palm-away",
        "median-glide",
        "hook-pull-apart",
        "fist-clench-hold",
        "forearm-knead",
        "shake-out",
      ],
    },
  },
  /** Screwing and assembling: palm down, turning, a closed hand round drivers. */
  assembly: {
    style: style("activeAssisted"),
    weeks: 4,
    slotSec: minutes(7, 3, 8),
    sessions: {
      preShift: ["shrug-and-drop", "turn-with-the-palms", "fist-and-star", "wrist-circle", "palm-turn", "palm-out-turn", "shake-out"],
      break: ["shrug-and-drop", "finger-wave", "clasp-and-press", "median-glide", "shake-out"],
      postShift: ["shrug-and-drop", "fist-and-star", "guided-turn", "hook-pull-apart", "fist-clench-hold", "forearm-knead", "shake-out"],
    },
  },
} as const satisfies Record<string, ShippedTemplate>;
export type ShippedTemplateId = keyof typeof SHIPPED_TEMPLATES;

/** A shipped template as a program. @param makeId ids for sessions and items */
export function shippedProgram(
  library: Library,
  id: ShippedTemplateId,
  name: string,
  sessionNames: Readonly<Record<SlotKind, string>>,
  makeId: () => string,
): Program {
  const template: ShippedTemplate = SHIPPED_TEMPLATES[id];
  return {
    name,
    style: template.style,
    weeks: template.weeks,
    sessions: SLOT_KINDS.map((slot) => ({
      id: makeId(),
      name: sessionNames[slot],
      slot,
      items: template.sessions[slot].map((movementId) => newItem(library.get(movementId), template.style, makeId())),
    })),
  };
}
