/** What the studio opens with: a wrist bend that is complete, so that every change is seen at once. */
import { pose } from "@kind-grip/core/figure";
import { CUSTOM_PREFIX, PHASE_CAP, type CustomMovement } from "@kind-grip/core/library";
import { t } from "../base/words";

export function newMovement(id: string): CustomMovement {
  const arm = { elbow: 90, shoulderAbduction: 4, pronation: 80, hand: "softFist" } as const;
  return {
    movement: {
      id: CUSTOM_PREFIX + id,
      phase: "mobility",
      regions: { worked: ["wristExtensors"], stretched: [], released: [] },
      motions: [t("wrist extension")],
      sideModes: ["inTurn", "alternating"],
      settings: ["any"],
      kit: [],
      forms: [{ id: "standard", extraReadySec: 0, extraSwitchSec: 0, kit: [], needsCleanWeek: false }],
      startForm: "standard",
      doses: { usual: { kind: "reps", sets: 1, reps: 8, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 0 }, restSec: 0 } },
      effortCap: PHASE_CAP.mobility,
      readySec: 5,
      switchSec: 3,
      reverses: [],
      weightBearing: false,
    },
    words: { name: "", steps: [""], feel: "", watch: [], care: [], forms: { standard: t("As described") } },
    figure: {
      poses: [pose({ right: { ...arm, wristFlexion: 40 } }), pose({ right: { ...arm, wristFlexion: -40 } })],
      way: "thereAndBack",
      focus: "forearm",
      view: "right",
      both: false,
      props: [],
      arc: "knuckles",
      inset: false,
    },
  };
}
