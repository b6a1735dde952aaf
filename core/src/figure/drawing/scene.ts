/** A figure at one moment → the solids to draw, and the camera that shows the whole movement without moving. */
import { bodyParts } from "../flesh/whole-body";
import { bonesOf, type Bones } from "../body/bones";
import { framing, framingBeside, MIRRORED_VIEW, VIEWS, type Camera, type Size, type ViewName } from "../surface/camera";
import type { Enlargement, Figure, Focus } from "../figure";
import { mirrorPose } from "../motion/motion";
import { otherSide, SIDE_NAMES, type Pose, type SideName } from "../body/pose";
import { propParts } from "../flesh/prop";
import type { Ball, Part } from "../flesh/solid";
import type { Skin } from "../flesh/tones";
import type { HairStyle } from "../flesh/trunk-flesh";

export interface Look {
  skin: Skin;
  hair: HairStyle;
}
export interface Staging {
  figure: Figure;
  /** The side that does the movement in this picture. */
  side: SideName;
  view: ViewName;
  look: Look;
}

export interface Scene {
  bones: Bones;
  parts: Part[];
}

/** The side that only helps: it is drawn with a lighter line. */
export const helperOf = ({ figure, side }: Pick<Staging, "figure" | "side">): SideName | undefined =>
  figure.both ? undefined : otherSide(side);

/** Figures are written for the right side; for the left they are their mirror image. */
export const posedFor = (pose: Pose, side: SideName): Pose => (side === "right" ? pose : mirrorPose(pose));

/** What of the body is drawn for each focus: whatever would end in mid-air is left out or carried on to the picture's edge. */
const EXTENT = { hand: "hands", forearm: "arms", arm: "upper", bust: "upper", upper: "upper", whole: "whole" } as const;

export function sceneOf(pose: Pose, { figure, side, look }: Staging): Scene {
  const bones = bonesOf(posedFor(pose, side));
  const parts = [
    ...bodyParts(bones, {
      extent: EXTENT[figure.focus],
      hair: look.hair,
      helper: helperOf({ figure, side }),
    }),
    ...figure.props.flatMap((prop, i) => propParts(prop, bones, side, `prop${i}-${prop.kind}`)),
  ];
  return { bones, parts };
}

const HAND_PARTS = ["palm", "index", "middle", "ring", "little", "thumb"];
const IN_FOCUS: Readonly<Record<Focus, (part: Part, worked: readonly SideName[]) => boolean>> = {
  hand: (part, worked) => belongs(part, worked, [...HAND_PARTS, "cuff"]) || isTool(part),
  forearm: (part, worked) =>
    belongs(part, worked, [...HAND_PARTS, "cuff", "forearm"]) || belongs(part, SIDE_NAMES, HAND_PARTS) || isTool(part),
  arm: (part, worked) =>
    belongs(part, worked, [...HAND_PARTS, "cuff", "forearm", "upper"]) || belongs(part, SIDE_NAMES, HAND_PARTS) || isTool(part),
  bust: (part) => /^(head|hair|neck|(right|left):(sleeve|palm|index|middle|ring|little|thumb|forearm|cuff))$/.test(part.id) || isTool(part),
  upper: (part) => !["trunk", "shirtTail"].includes(part.id) && !part.id.endsWith(":leg") && !reachesOut(part),
  whole: () => true,
};

function belongs(part: Part, sides: readonly SideName[], names: readonly string[]): boolean {
  return sides.some((side) => part.id.startsWith(`${side}:`)) && names.includes(part.id.slice(part.id.indexOf(":") + 1));
}
/** What is held counts in the framing; what is leaned on may leave the picture. */
const isTool = (part: Part) =>
  part.id.startsWith("prop") && part.faces.every((face) => face.tone !== "wood" && face.tone !== "woodSide") && !reachesOut(part);
/** Goes on beyond the picture: a band to the floor, a bar on the ceiling. */
const reachesOut = (part: Part) => /bandPull|bar:/.test(part.id);

/** Millimetres of a picture's height at least, so that a hand does not fill the wall of a hall. */
const MOST_SCALE = 2.1;

/** Millimetres below the shoulders: what hangs lower is not of interest to a bust. */
const BUST_FROM = -260;

export const enlargementOf = ({ enlargement }: Pick<Figure, "enlargement">): Enlargement => enlargement ?? { of: "worked", size: 0.4 };
/** Pixels. In a picture taller than four to three it goes by the width. @param share of a picture of four to three, 0 to 1 */
export const insetRadius = ({ width, height }: Size, share: number): number => (Math.min(height, width * 0.75) * share) / 2;
/** Pixels from a round window to the picture's edge. */
const INSET_EDGE = 10;
/** Where a round window stands in an upper corner: its middle and radius, in pixels. */
export function insetPlace(size: Size, share: number, corner: "left" | "right"): { x: number; y: number; radius: number } {
  const radius = insetRadius(size, share);
  return { x: corner === "right" ? size.width - radius - INSET_EDGE : radius + INSET_EDGE, y: radius + INSET_EDGE, radius };
}

/** Where a view looks from, for a figure shown on a side. */
export const seenFrom = (view: ViewName, side: SideName) => VIEWS[side === "right" ? view : MIRRORED_VIEW[view]];

/** A helping hand that has let go may leave a close picture. */
function isIdle(part: Part, { pose }: Bones, worked: readonly SideName[], focus: Focus): boolean {
  if (focus !== "forearm" && focus !== "arm") return false;
  const side = SIDE_NAMES.find((each) => part.id.startsWith(`${each}:`));
  return side !== undefined && !worked.includes(side) && !pose[side]?.touch;
}

/** One camera for all poses of a figure. */
export function cameraFor(staging: Staging, scenes: readonly Scene[], size: Size, margin: number): Camera {
  const { figure, side, view } = staging;
  const worked: readonly SideName[] = figure.both ? SIDE_NAMES : [side];
  const inFocus = IN_FOCUS[figure.focus];
  const balls: Ball[] = scenes
    .flatMap(({ parts, bones }) =>
      parts.filter((part) => inFocus(part, worked) && !isIdle(part, bones, worked, figure.focus)).flatMap((part) => part.balls),
    )
    .filter((ball) => figure.focus !== "bust" || ball.at[1] > BUST_FROM);
  // The upper body is shown to just below the ribs; hands that go lower take the picture with them.
  if (figure.focus === "upper")
    for (const { parts } of scenes) balls.push(...(parts.find((part) => part.id === "trunk")?.balls.slice(0, 6) ?? []));
  const direction = seenFrom(view, side);
  const most = (MOST_SCALE * size.width) / 600;
  if (!figure.inset) return framing(direction, balls, size, margin, most);
  if (enlargementOf(figure).of === "each") {
    // Two windows stand above a figure that is wide.
    const band = 2 * insetRadius(size, enlargementOf(figure).size) - margin * 0.5;
    const low = framing(direction, balls, { ...size, height: size.height - band }, margin, most);
    const rise = band / 2 / low.scale;
    const { up, centre } = low;
    return { ...low, height: size.height, centre: [centre[0] + up[0] * rise, centre[1] + up[1] * rise, centre[2] + up[2] * rise] };
  }
  const corner = side === "right" ? "right" : "left";
  return framingBeside(direction, balls, size, margin, most, insetPlace(size, enlargementOf(figure).size, corner));
}
