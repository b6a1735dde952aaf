/** Postures of work to be pointed at, instead of boxes for angles. */
import * as v from "valibot";
import { Figure, pose, type ArmInput, type FigureInput } from "@kind-grip/core/figure";
import { lookOf } from "@kind-grip/core/library";
import type { Grip, Turn } from "@kind-grip/core/strain";
import type { FigureRequest } from "../figure/request";

export interface PictureOption<T> {
  value: T;
  label: string;
  request: FigureRequest;
}

const SIZE = { width: 260, height: 195, cell: 1.9, bold: 1.5 };

function option<T>(value: T, label: string, key: string, arm: ArmInput, view: Partial<FigureInput>): PictureOption<T> {
  const figure = v.parse(Figure, {
    focus: "forearm",
    view: "right",
    ...view,
    poses: [pose({ right: { elbow: 90, shoulderAbduction: 4, hand: "grip", ...arm } })],
  });
  return { value, label, request: { key: `work-${key}`, figure, title: () => label, options: { look: lookOf("work"), ...SIZE } } };
}

const wrist = (deg: number, label: string) =>
  option(deg, label, `wrist${deg}`, { pronation: 80, wristFlexion: deg }, { props: [{ kind: "dowel", place: [0, 0, 0], size: [150, 0] }] });
export const WRIST_PICTURES: readonly PictureOption<number>[] = [
  wrist(-50, "Far back"),
  wrist(-25, "Back"),
  wrist(0, "Straight"),
  wrist(25, "Bent"),
  wrist(50, "Far bent"),
];

const tilt = (deg: number, label: string) =>
  option(deg, label, `tilt${deg}`, { pronation: 80, deviation: deg, hand: "softFist" }, { view: "above" });
export const TILT_PICTURES: readonly PictureOption<number>[] = [
  tilt(-15, "To the thumb"),
  tilt(0, "Not tilted"),
  tilt(20, "To the little finger"),
];

const turn = (value: Turn, label: string, pronation: number) =>
  option(value, label, `turn-${value}`, { pronation, hand: "guide" }, { view: "frontRight" });
export const TURN_PICTURES: readonly PictureOption<Turn>[] = [
  turn("palmDown", "Palm down", 82),
  turn("neutral", "Thumb up", 6),
  turn("palmUp", "Palm up", -70),
];

const grip = (value: Grip, label: string, arm: ArmInput, view: Partial<FigureInput> = {}) =>
  option(value, label, `grip-${value}`, arm, { focus: "hand", view: "left", ...view });
export const GRIP_PICTURES: readonly PictureOption<Grip>[] = [
  grip("power", "Whole hand", { pronation: 10 }, { props: [{ kind: "dowel", place: [60, 0, 0], size: [220, 0] }] }),
  grip("pinch", "Pinch", { pronation: 30, hand: "roundPinch" }),
  grip("thumbPress", "Thumb press", {
    elbow: 96,
    pronation: 80,
    wristFlexion: -10,
    hand: { shape: "guide", thumb: { radial: 30, palmar: 52, opposition: 30, middle: 8, end: 4 } },
  }),
  grip("palmPush", "Palm push", { elbow: 70, pronation: 84, wristFlexion: -60, hand: "open" }),
  grip("hook", "Hook", { elbow: 10, pronation: 20, hand: "hook" }, { view: "right" }),
];

/** The picture nearest to an answer in degrees. */
export function nearest(options: readonly PictureOption<number>[], deg: number): PictureOption<number> {
  return options.reduce((best, each) => (Math.abs(each.value - deg) < Math.abs(best.value - deg) ? each : best));
}
