/** A figure at one moment → the solids to draw, and the camera that shows the whole movement without moving. */
import { bodyParts } from "../flesh/whole-body";
import { bonesOf, type Bones } from "../body/bones";
import { framing, MIRRORED_VIEW, VIEWS, type Camera, type ViewName } from "../surface/camera";
import type { Figure, Focus } from "../figure";
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

/** The side that only helps: it is drawn paler. */
export const helperOf = ({ figure, side }: Pick<Staging, "figure" | "side">): SideName | undefined =>
  figure.both ? undefined : otherSide(side);

/** Figures are written for the right side; for the left they are their mirror image. */
export const posedFor = (pose: Pose, side: SideName): Pose => (side === "right" ? pose : mirrorPose(pose));

/** What of the body is drawn for each focus: whatever would end in mid-air is left out or carried on to the picture's edge. */
const EXTENT = { hand: "hands", forearm: "arms", arm: "upper", upper: "upper", whole: "whole" } as const;

export function sceneOf(pose: Pose, { figure, side, look }: Staging): Scene {
  const bones = bonesOf(posedFor(pose, side));
  const parts = [
    ...bodyParts(bones, {
      extent: EXTENT[figure.focus],
      hair: look.hair,
      helper: figure.focus === "upper" || figure.focus === "whole" ? undefined : helperOf({ figure, side }),
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

export const insetRadius = (height: number): number => height * 0.2;

/** One camera for all poses of a figure. */
export function cameraFor(staging: Staging, scenes: readonly Scene[], size: { width: number; height: number }, margin: number): Camera {
  const { figure, side, view } = staging;
  const worked: readonly SideName[] = figure.both ? SIDE_NAMES : [side];
  const inFocus = IN_FOCUS[figure.focus];
  const balls: Ball[] = scenes.flatMap(({ parts }) => parts.filter((part) => inFocus(part, worked)).flatMap((part) => part.balls));
  // The upper body is shown to just below the ribs; hands that go lower take the picture with them.
  if (figure.focus === "upper")
    for (const { parts } of scenes) balls.push(...(parts.find((part) => part.id === "trunk")?.balls.slice(0, 6) ?? []));
  const turned = side === "right" ? view : MIRRORED_VIEW[view];
  const most = (MOST_SCALE * size.width) / 600;
  if (!figure.inset) return framing(VIEWS[turned], balls, size, margin, most);
  // The enlargement has a strip of its own on the side away from the working hand.
  const strip = 2 * insetRadius(size.height) - margin;
  const narrow = framing(VIEWS[turned], balls, { ...size, width: size.width - strip }, margin, most);
  const shift = ((side === "right" ? 1 : -1) * strip) / 2 / narrow.scale;
  const { across, centre } = narrow;
  return {
    ...narrow,
    width: size.width,
    centre: [centre[0] + across[0] * shift, centre[1] + across[1] * shift, centre[2] + across[2] * shift],
  };
}
