/** A small picture of each measured motion at its end; with a phone as the angle meter, as forearm and phone are held for it. */
import * as v from "valibot";
import type { Motion } from "@kind-grip/core/baseline";
import { Figure, pose, type ArmInput, type FigureInput, type PropInput } from "@kind-grip/core/figure";
import { lookOf } from "@kind-grip/core/library";
import type { FigureRequest } from "../figure/request";

type Shown = readonly [ArmInput, Partial<FigureInput>];

const SHOWN: Readonly<Record<Motion, Shown>> = {
  wristFlexion: [{ pronation: 82, wristFlexion: 72, hand: "relaxed" }, {}],
  wristExtension: [{ pronation: 82, wristFlexion: -62, hand: "relaxed" }, {}],
  radialDeviation: [{ pronation: 84, deviation: -20, hand: "together" }, { view: "above" }],
  ulnarDeviation: [{ pronation: 84, deviation: 30, hand: "together" }, { view: "above" }],
  palmUp: [{ pronation: -78, hand: "together" }, { view: "frontRight" }],
  palmDown: [{ pronation: 78, hand: "together" }, { view: "frontRight" }],
  elbowBend: [{ elbow: 140, pronation: 10, hand: "softFist" }, { focus: "arm" }],
};

const TABLE: PropInput = { kind: "table", place: [172, -331, 142], size: [300, 145] };
const IN_FIST: PropInput = { kind: "phone" };
const ON_BACK_OF_HAND: PropInput = { kind: "phone", place: [0, 56, -22] };
const ON_FOREARM: PropInput = { kind: "phone", place: [0, -120, -42] };

const WITH_PHONE: Readonly<Record<Motion, Shown>> = {
  wristFlexion: [{ pronation: 82, wristFlexion: 72, hand: "together" }, { props: [TABLE, ON_BACK_OF_HAND] }],
  wristExtension: [{ pronation: 82, wristFlexion: -62, hand: "together" }, { props: [TABLE, ON_BACK_OF_HAND] }],
  radialDeviation: [{ pronation: 0, deviation: -20, hand: "wrap" }, { props: [TABLE, IN_FIST] }],
  ulnarDeviation: [
    { pronation: 0, deviation: 30, hand: "wrap" },
    { focus: "arm", props: [TABLE, IN_FIST] },
  ],
  palmUp: [
    { pronation: -78, hand: "wrap" },
    { view: "frontRight", props: [IN_FIST] },
  ],
  palmDown: [
    { pronation: 78, hand: "wrap" },
    { focus: "arm", view: "frontRight", props: [IN_FIST] },
  ],
  elbowBend: [
    { elbow: 140, pronation: 10, hand: "softFist" },
    { focus: "arm", props: [ON_FOREARM] },
  ],
};

function picturesOf(shown: Readonly<Record<Motion, Shown>>, key: string): Readonly<Record<Motion, FigureRequest>> {
  return Object.fromEntries(
    Object.entries(shown).map(([motion, [arm, view]]): [string, FigureRequest] => [
      motion,
      {
        key: `${key}-${motion}`,
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
}

export const MOTION_PICTURES = picturesOf(SHOWN, "motion");
export const PHONE_PICTURES = picturesOf(WITH_PHONE, "phone");
