/** A small picture of each measured motion at its end. */
import * as v from "valibot";
import type { Motion } from "@kind-grip/core/baseline";
import { Figure, pose, type ArmInput, type FigureInput } from "@kind-grip/core/figure";
import { lookOf } from "@kind-grip/core/library";
import type { FigureRequest } from "../figure/request";

const SHOWN: Readonly<Record<Motion, [ArmInput, Partial<FigureInput>]>> = {
  wristFlexion: [{ pronation: 82, wristFlexion: 72, hand: "relaxed" }, {}],
  wristExtension: [{ pronation: 82, wristFlexion: -62, hand: "relaxed" }, {}],
  radialDeviation: [{ pronation: 84, deviation: -20, hand: "together" }, { view: "above" }],
  ulnarDeviation: [{ pronation: 84, deviation: 30, hand: "together" }, { view: "above" }],
  palmUp: [{ pronation: -78, hand: "together" }, { view: "frontRight" }],
  palmDown: [{ pronation: 78, hand: "together" }, { view: "frontRight" }],
  elbowBend: [{ elbow: 140, pronation: 10, hand: "softFist" }, { focus: "arm" }],
};

export const MOTION_PICTURES = Object.fromEntries(
  Object.entries(SHOWN).map(([motion, [arm, view]]): [string, FigureRequest] => [
    motion,
    {
      key: `motion-${motion}`,
      figure: v.parse(Figure, {
        focus: "forearm",
        view: "right",
        ...view,
        poses: [pose({ right: { elbow: 90, shoulderAbduction: 4, ...arm } })],
      }),
      title: () => motion,
      options: { look: lookOf("motion"), width: 260, height: 195, cell: 1.9, bold: 1.5 },
    },
  ]),
) as Readonly<Record<Motion, FigureRequest>>;
