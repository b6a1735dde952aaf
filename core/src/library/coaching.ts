/** Coaching cards for the work itself: an awkward way and a better one, side by side. Advice about the grip comes before any stretch. */
import * as v from "valibot";
import { Figure, pose, type ArmInput, type FigureInput, type PoseInput, type PropInput } from "../figure";
import type { WorkPosture } from "./words";

export interface CoachingCard {
  id: string;
  /** Postures of work that pull this card up. */
  postures: readonly WorkPosture[];
  /** Only for efforts in one of these grips; any when left out. */
  grips?: readonly string[];
  /** Only for tasks with a tool. */
  withTool?: boolean;
  /** Seen the same way: the awkward pose, then the better one. */
  figure: Figure;
  /** What the better pose is done with, where that is what changes. */
  betterProps?: Figure["props"];
}

const side = (arm: ArmInput): ArmInput => ({ elbow: 90, shoulderAbduction: 4, ...arm });
const card = (
  id: string,
  postures: readonly WorkPosture[],
  awkward: PoseInput,
  better: PoseInput,
  view: Partial<FigureInput> = {},
  betterProps?: Figure["props"],
): CoachingCard => ({
  id,
  postures,
  ...FITS[id],
  betterProps,
  figure: v.parse(Figure, { focus: "forearm", view: "right", ...view, poses: [pose(awkward), pose(better)] }),
});
const right = (arm: ArmInput): PoseInput => ({ right: arm });
const TABLE: PropInput = { kind: "table", place: [0, -400, 320], size: [700, 420] };
const press = (thumb: { middle: number; end: number }, fingers: ArmInput["hand"]): ArmInput =>
  side({
    elbow: 96,
    pronation: 80,
    wristFlexion: -10,
    hand: {
      ...(typeof fingers === "object" ? fingers : { shape: fingers ?? "lay" }),
      thumb: { radial: 30, palmar: 52, opposition: 30, ...thumb },
    },
  });

/** What else has to be true of an effort for a card to fit it. */
const FITS: Readonly<Record<string, Pick<CoachingCard, "grips" | "withTool">>> = {
  // Who presses down has no palm to turn up.
  "palm-neutral-or-up": { grips: ["power", "hook", "pinch"] },
  "last-three-fingers-carry": { grips: ["power", "hook"], withTool: true },
  "handle-size": { grips: ["power"], withTool: true },
  "arched-thumb": { grips: ["thumbPress"] },
  "double-up-fingers": { grips: ["thumbPress"] },
  "forearm-instead": { grips: ["thumbPress"] },
  "stacked-joints": { grips: ["palmPush", "thumbPress"] },
};

export const COACHING_CARDS: readonly CoachingCard[] = [
  card(
    "straight-wrist",
    ["wristBent", "wristBentBack", "wristTilted"],
    right(side({ pronation: 80, wristFlexion: 48, hand: "grip" })),
    right(side({ pronation: 80, wristFlexion: -14, hand: "grip" })),
    { props: [{ kind: "hammer", place: [70, 0, 0] }] },
  ),
  card("palm-neutral-or-up", ["palmDown"], right(side({ pronation: 84, hand: "grip" })), right(side({ pronation: -20, hand: "grip" })), {
    props: [{ kind: "dumbbell" }],
    view: "frontRight",
  }),
  card(
    "elbows-near-the-ribs",
    ["roundedShoulders"],
    {
      right: { shoulderAbduction: 62, elbow: 80, shoulderRotation: -20, pronation: 60, hand: "grip" },
      left: { shoulderAbduction: 62, elbow: 80, shoulderRotation: -20, pronation: 60, hand: "grip" },
    },
    { right: side({ pronation: 30, hand: "grip" }), left: side({ pronation: 30, hand: "grip" }) },
    { focus: "upper", view: "front", both: true },
  ),
  card(
    "last-three-fingers-carry",
    ["closedHand", "thumbPressed"],
    right(
      side({
        pronation: 10,
        hand: {
          shape: "grip",
          thumb: { radial: 20, palmar: 50, opposition: 60, middle: 50, end: 60 },
          index: { base: 74, middle: 92, end: 60, spread: 0 },
        },
      }),
    ),
    right(
      side({
        pronation: 10,
        hand: {
          shape: "grip",
          thumb: { radial: 34, palmar: 30, opposition: 30, middle: 10, end: 8 },
          index: { base: 44, middle: 40, end: 20, spread: 0 },
        },
      }),
    ),
    { props: [{ kind: "dowel", place: [120, 0, 0], size: [300, 0] }] },
  ),
  card(
    "handle-size",
    ["closedHand"],
    right(side({ pronation: 10, hand: "fist" })),
    right(
      side({
        pronation: 10,
        hand: {
          shape: "grip",
          index: { base: 46, middle: 56, end: 30, spread: 2 },
          middle: { base: 48, middle: 56, end: 30, spread: 0 },
          ring: { base: 50, middle: 56, end: 30, spread: 0 },
          little: { base: 50, middle: 54, end: 30, spread: -2 },
        },
      }),
    ),
    { props: [{ kind: "dowel", place: [150, 0, 0], size: [300, 0] }], view: "left" },
    [{ kind: "bottle", hand: "worked" }],
  ),
  card("arched-thumb", ["thumbPressed"], right(press({ middle: -12, end: -18 }, "lay")), right(press({ middle: 22, end: 20 }, "guide")), {
    view: "left",
    focus: "hand",
  }),
  card(
    "double-up-fingers",
    ["thumbPressed"],
    right(
      side({
        pronation: 84,
        elbow: 100,
        wristFlexion: 10,
        hand: { shape: "softFist", index: { base: 20, middle: 8, end: -8, spread: 0 } },
      }),
    ),
    right(
      side({
        pronation: 84,
        elbow: 100,
        wristFlexion: 10,
        hand: {
          shape: "softFist",
          index: { base: 24, middle: 22, end: 14, spread: 0 },
          middle: { base: 24, middle: 24, end: 14, spread: 0 },
        },
      }),
    ),
    { focus: "hand" },
  ),
  card(
    "stacked-joints",
    ["wristBentBack", "thumbPressed"],
    right({ shoulderFlexion: 40, elbow: 62, pronation: 86, wristFlexion: -66, hand: "open" }),
    right({ shoulderFlexion: 50, elbow: 14, pronation: 86, wristFlexion: -22, hand: "softFist" }),
    { focus: "arm" },
  ),
  card(
    "forearm-instead",
    ["thumbPressed"],
    right(press({ middle: -8, end: -14 }, "lay")),
    right({ shoulderFlexion: 30, shoulderAbduction: 20, elbow: 96, pronation: 60, hand: "relaxed" }),
    { focus: "arm", view: "frontRight", props: [TABLE] },
  ),
  card(
    "change-hands",
    ["closedHand", "palmDown"],
    { right: side({ pronation: 80, hand: "grip" }), left: { elbow: 12 } },
    { right: side({ elbow: 40, pronation: 20, hand: "relaxed" }), left: side({ pronation: 80, hand: "grip" }) },
    { focus: "upper", view: "front", both: true },
  ),
  card(
    "warm-hands",
    ["closedHand"],
    right(side({ pronation: 20, wristFlexion: 20, hand: "hook" })),
    { right: side({ elbow: 110, pronation: 20, hand: "open" }) },
    { focus: "hand" },
  ),
];
