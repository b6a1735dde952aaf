/** The demo's programs, put together from the library the way a trainer would. */
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem, type Style } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Dose, Item, Session, SessionSlot } from "@kind-grip/core/session";
import { seededRandom, type SeededRandom } from "./seeded-random";

type Change = Partial<Pick<Item, "formId" | "sides" | "loadKg" | "pairedWithNext" | "personal" | "dose">>;
type Entry = string | [movementId: string, change: Change];

const holds = (reps: number, holdSec: number, restSec: number): Dose => ({ kind: "holds", reps, holdSec, restSec });

function session(random: SeededRandom, style: Style, name: string, slot: SessionSlot, entries: readonly Entry[]): Session {
  const items = entries.map((entry) => {
    const [movementId, change] = typeof entry === "string" ? [entry, {}] : entry;
    return { ...newItem(SHIPPED_LIBRARY.get(movementId), style, random.id()), ...change };
  });
  return { id: random.id(), name, slot, items };
}

/** Outdoors, standing, gloves: nothing that needs a table. @param easier people who start on an easier form */
export function roofProgram(random: SeededRandom, easier: { shoulder: string; wrist: string }): Program {
  const style = DEFAULT_STYLE;
  return {
    name: "Slate hands, block 1",
    style,
    weeks: 4,
    sessions: [
      session(random, style, "Yard warm-up", "preShift", [
        "shoulder-circles",
        ["open-chest", { personal: { [easier.shoulder]: { formId: "elbows-bent" } }, formId: "elbows-straight" }],
        "fist-and-star",
        "wrist-circle",
        [
          "palm-turn",
          { dose: { kind: "reps", sets: 1, reps: 8, tempo: { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 }, restSec: 0 } },
        ],
        ["palm-away", { sides: "inTurn", personal: { [easier.wrist]: { formId: "elbow-90" } } }],
        ["hand-drop", { sides: "inTurn" }],
        "shake-out",
      ]),
      session(random, style, "Ridge break", "break", [
        "shake-out",
        ["clasp-and-press", { dose: holds(3, 8, 4) }],
        ["palm-up-draw", { sides: "alternating", dose: holds(2, 8, 4) }],
        "finger-wave",
      ]),
      session(random, style, "After the roof", "postShift", [
        "forearm-knead",
        ["thumb-side-lift", { sides: "alternating", loadKg: 0.7 }],
        "finger-open-band",
        "shake-out",
      ]),
      // Numbers of their own, so that what comes after them stays as it was.
      ...aloneSessions(seededRandom(HOME_SEED), style),
    ],
  };
}

const HOME_SEED = 20_260_326;

function aloneSessions(random: SeededRandom, style: Style): Session[] {
  return [
    session(random, style, "In the evening", "home", ["shoulder-circles", "fist-and-star", "palm-away", "palm-up-draw", "forearm-knead"]),
    session(random, style, "Day off", "offDay", ["shoulder-circles", "fist-and-star", "wrist-circle", "median-glide", "shake-out"]),
  ];
}

export function workshopProgram(random: SeededRandom, easier: { thumb: string; elbow: string }): Program {
  const style = DEFAULT_STYLE;
  return {
    name: "Staple and webbing hands",
    style,
    weeks: 8,
    sessions: [
      session(random, style, "Bench warm-up", "preShift", [
        "shrug-and-drop",
        "fist-and-star",
        "wrist-nod",
        ["thumb-to-tips", { sides: "together" }],
        ["palm-away", { sides: "inTurn", personal: { [easier.elbow]: { formId: "elbow-90" } } }],
        [
          "thumb-wrap-tilt",
          {
            sides: "inTurn",
            personal: {
              [easier.thumb]: {
                formId: "own-weight",
                dose: { kind: "reps", sets: 1, reps: 4, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 1 }, restSec: 0 },
              },
            },
          },
        ],
      ]),
      session(random, style, "Webbing break", "break", [
        ["palms-together-drop", { dose: holds(3, 10, 4) }],
        ["hand-drop", { sides: "alternating", dose: holds(2, 10, 6) }],
        [
          "median-glide",
          {
            formId: "steps-3",
            dose: { kind: "steps", rounds: 1, stepsUsed: 3, stepSec: 3, slides: 1, slideReps: 3, slideSec: 3, restSec: 0 },
          },
        ],
      ]),
      session(random, style, "Strong hands", "postShift", [
        "wrist-circle",
        ["lift-palm-down", { formId: "load", loadKg: 1, sides: "alternating" }],
        ["lift-palm-up", { formId: "load", loadKg: 1, sides: "alternating" }],
        "shake-out",
      ]),
    ],
  };
}

export function oysterProgram(random: SeededRandom, easier: { wrist: string }): Program {
  const style: Style = { stretch: "shortHold", load: "timedSets" };
  return {
    name: "Cold hands, short breaks",
    style,
    weeks: 4,
    sessions: [
      session(random, style, "Quay warm-up", "preShift", [
        "arm-swings",
        "fist-and-star",
        "wrist-nod",
        "palm-turn",
        ["palm-away", { sides: "alternating", dose: holds(3, 8, 4), personal: { [easier.wrist]: { formId: "elbow-90" } } }],
        "tendon-glide",
      ]),
      session(random, style, "Line break", "break", ["shake-out", ["palms-together-drop", { dose: holds(3, 8, 4) }], "hook-to-fist"]),
    ],
  };
}

const SPA_SEED = 20_260_327;

/** Around treatments: a warm-up before the first, a minute between two, a longer one where there is room, strengthening on light days. */
export function spaProgram(): Program {
  const style = DEFAULT_STYLE;
  const random = seededRandom(SPA_SEED);
  return {
    name: "Hands between treatments",
    style,
    weeks: 8,
    sessions: [
      session(random, style, "Before the first", "preShift", [
        "shoulder-circles",
        "fist-and-star",
        "wrist-circle",
        "thumb-to-tips",
        "shake-out",
      ]),
      session(random, style, "Reset", "reset", ["finger-wave", "thumb-to-tips", "shake-out"]),
      session(random, style, "Longer break", "break", ["shake-out", ["palms-together-drop", { dose: holds(2, 8, 4) }], "hook-to-fist"]),
      session(random, style, "Strong on light days", "postShift", [
        ["thumb-side-lift", { sides: "alternating", loadKg: 1 }],
        "finger-open-band",
        "shake-out",
      ]),
      ...aloneSessions(random, style),
    ],
  };
}
