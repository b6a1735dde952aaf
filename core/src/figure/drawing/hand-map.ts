/**
 * Both hands and forearms as their owner knows them, the left on the left: palm side, back side, and the shoulders from behind.
 * Regions are marked on the skin as strongly as asked for, and each region that can be seen tells its place, to be tapped.
 */
import type { Bones } from "../body/bones";
import { framing, type Direction } from "../surface/camera";
import { draw } from "./drawing";
import type { Figure } from "../figure";
import { mark } from "./felt";
import { pose, type SideName } from "../body/pose";
import { sceneOf, type Look } from "./scene";
import type { Part } from "../flesh/solid";
import { number } from "../surface/svg-path";

export const MAP_VIEWS = ["palms", "backs", "shoulders"] as const;
export type MapView = (typeof MAP_VIEWS)[number];

export interface MapMark {
  side: SideName;
  region: string;
  /** 0 (nothing) to 1. */
  strength: number;
}

export interface MapPlace {
  side: SideName;
  region: string;
  /** Middle of what can be seen of it, in the picture's units. */
  x: number;
  y: number;
}

export interface HandMap {
  svg: string;
  places: MapPlace[];
  width: number;
  height: number;
}

const WIDTH = 400;
const HEIGHT = { palms: 500, backs: 500, shoulders: 230 } as const;
const CELL = 1.9;
const MARGIN = 12;
/** Drawn on the shoulders only; the hands show all others. */
const SHOULDER_REGION = "shoulderNeck";

/** Forearms laid forward, palms up, hands open. */
const ARM = { shoulderFlexion: 40, shoulderAbduction: 0, elbow: 50, pronation: -86, hand: "open" } as const;
const LAID = pose({ right: ARM, left: ARM });
const STANDING = pose({ right: {}, left: {} });
const FROM_ABOVE: Direction = { yaw: 180, pitch: 84 };
const FROM_BELOW: Direction = { yaw: 0, pitch: -84 };
const FROM_BEHIND: Direction = { yaw: 180, pitch: 6 };

/** Each hand is drawn by itself, so that both of its faces can be shown with the left on the left. */
const HALVES: readonly (readonly [side: SideName, x: number])[] = [
  ["left", 0],
  ["right", WIDTH / 2],
];

/** @param regions regions to tell the places of and to mark */
export function handMap(view: MapView, look: Look, regions: readonly string[], marks: readonly MapMark[] = []): HandMap {
  const strengthOf = (side: SideName, region: string) => marks.find((each) => each.side === side && each.region === region)?.strength ?? 0;
  const figure: Omit<Figure, "poses" | "focus"> = { way: "thereAndBack", view: "front", both: true, props: [], inset: false };
  const staging = { side: "right", view: "front", look } as const;
  const drawings =
    view === "shoulders"
      ? [{ sides: ["left", "right"] as const, x: 0, width: WIDTH }]
      : HALVES.map(([side, x]) => ({ sides: [side] as const, x, width: WIDTH / 2 }));
  const scene =
    view === "shoulders"
      ? sceneOf(STANDING, { ...staging, figure: { ...figure, poses: [STANDING], focus: "upper" } })
      : sceneOf(LAID, { ...staging, figure: { ...figure, poses: [LAID], focus: "forearm" } });
  const shown = regions.filter((region) => (region === SHOULDER_REGION) === (view === "shoulders"));
  const places: MapPlace[] = [];
  const svg = drawings.map(({ sides, x, width }) => {
    const parts = view === "shoulders" ? scene.parts : scene.parts.filter(({ id }) => isForearm(id, sides[0]!));
    const arms = Object.fromEntries(sides.map((side) => [side, scene.bones.arms[side]]));
    const { body, lines, surface } = drawHalf(view, parts, { ...scene.bones, arms }, look, width);
    const felt = sides.flatMap((side) =>
      shown.map((region) => {
        const { svg: patch, seenAt } = mark(surface, scene.bones, region, side, strengthOf(side, region));
        if (seenAt) places.push({ side, region, x: seenAt[0] + x, y: seenAt[1] });
        return patch;
      }),
    );
    return `<g transform="translate(${number(x)} 0)">${body}${felt.join("")}${lines}</g>`;
  });
  const height = HEIGHT[view];
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}">${svg.join("")}</svg>`,
    places: apart(places),
    width: WIDTH,
    height,
  };
}

function drawHalf(view: MapView, parts: readonly Part[], bones: Bones, look: Look, width: number) {
  const framed = view === "shoulders" ? parts.filter(({ id }) => /^(head|neck)$|upper$/.test(id)) : parts;
  const direction = { palms: FROM_ABOVE, backs: FROM_BELOW, shoulders: FROM_BEHIND }[view];
  const camera = framing(
    direction,
    framed.flatMap((part) => part.balls),
    { width, height: HEIGHT[view] },
    MARGIN,
  );
  const { surface, svg } = draw([...parts], camera, look.skin, CELL, bones, 1.3);
  return { surface, body: svg.body, lines: svg.lines };
}

/** Places nearer than this are moved apart along the arm, so that a finger can tell them from each other. */
const APART = 46;

function apart(places: readonly MapPlace[]): MapPlace[] {
  const moved = [...places].sort((a, b) => a.y - b.y).map((place) => ({ ...place }));
  for (const [i, place] of moved.entries())
    for (const other of moved.slice(0, i)) {
      if (other.side === place.side && Math.hypot(place.x - other.x, place.y - other.y) < APART)
        place.y = other.y + Math.sqrt(Math.max(0, APART ** 2 - (place.x - other.x) ** 2));
    }
  return moved;
}

/** The arm below the elbow; the upper arm would stand in the way. */
function isForearm(partId: string, side: SideName): boolean {
  return new RegExp(`^${side}:(palm|index|middle|ring|little|thumb|cuff|forearm)$`).test(partId);
}
