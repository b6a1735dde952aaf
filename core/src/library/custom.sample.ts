/** A complete custom movement for tests. */
import { pose } from "../figure";
import { CUSTOM_PREFIX, type CustomMovement } from "./custom";

export function sampleCustomMovement(id: string): CustomMovement {
  const arm = { elbow: 90, shoulderAbduction: 4, hand: "grip" } as const;
  return {
    movement: {
      id: CUSTOM_PREFIX + id,
      phase: "mobility",
      regions: { worked: ["pronators", "supinators"], stretched: [], released: [] },
      motions: ["forearm pronation", "forearm supination"],
      sideModes: ["inTurn", "alternating"],
      settings: ["any"],
      kit: [],
      forms: [{ id: "standard", extraReadySec: 0, extraSwitchSec: 0, kit: [], needsCleanWeek: false }],
      startForm: "standard",
      doses: { usual: { kind: "reps", sets: 1, reps: 8, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 0 }, restSec: 0 } },
      effortCap: 2,
      readySec: 5,
      switchSec: 3,
      reverses: ["palmDown"],
      weightBearing: false,
    },
    words: {
      name: "Door-handle turn",
      steps: ["Hold an imagined handle.", "Turn it both ways."],
      feel: "Both sides of the forearm.",
      watch: ["Elbow stays at the side."],
      care: [],
      forms: { standard: "As described" },
    },
    figure: {
      poses: [pose({ right: { ...arm, pronation: -60 } }), pose({ right: { ...arm, pronation: 60 } })],
      way: "thereAndBack",
      focus: "forearm",
      view: "frontRight",
      both: false,
      props: [],
      arc: "thumbTip",
      inset: false,
    },
  };
}
