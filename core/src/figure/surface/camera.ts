/** Where a figure is looked at from. Orthographic: lengths stay comparable, and near things do not swell. */
import { DEGREE, type Vector } from "../vector";

/** Ways to look; each movement names its best. Yaw: camera goes round to the viewer's right; pitch: it rises. */
export const VIEWS = {
  front: { yaw: 0, pitch: 6 },
  frontRight: { yaw: -38, pitch: 14 },
  frontLeft: { yaw: 38, pitch: 14 },
  right: { yaw: -76, pitch: 14 },
  left: { yaw: 76, pitch: 14 },
  above: { yaw: 14, pitch: 52 },
  highRight: { yaw: -38, pitch: 40 },
  highLeft: { yaw: 38, pitch: 40 },
  overhead: { yaw: 0, pitch: 80 },
  back: { yaw: 180, pitch: 8 },
  backRight: { yaw: -142, pitch: 14 },
  backLeft: { yaw: 142, pitch: 14 },
  below: { yaw: -20, pitch: -28 },
} as const;
export type ViewName = keyof typeof VIEWS;
export const VIEW_NAMES = Object.keys(VIEWS) as ViewName[];

/** The same way to look at the mirror image. */
export const MIRRORED_VIEW: Readonly<Record<ViewName, ViewName>> = {
  front: "front",
  frontRight: "frontLeft",
  frontLeft: "frontRight",
  right: "left",
  left: "right",
  above: "above",
  highRight: "highLeft",
  highLeft: "highRight",
  overhead: "overhead",
  back: "back",
  backRight: "backLeft",
  backLeft: "backRight",
  below: "below",
};

export interface Direction {
  yaw: number;
  pitch: number;
}
/** What the drawing needs: the axes of the picture, the point in its middle, pixels per millimetre. */
export interface Camera {
  across: Vector;
  up: Vector;
  /** Towards the viewer. */
  near: Vector;
  centre: Vector;
  scale: number;
  width: number;
  height: number;
}

export function axesOf({ yaw, pitch }: Direction): Pick<Camera, "across" | "up" | "near"> {
  const cy = Math.cos(yaw * DEGREE);
  const sy = Math.sin(yaw * DEGREE);
  const cp = Math.cos(pitch * DEGREE);
  const sp = Math.sin(pitch * DEGREE);
  return { across: [cy, 0, -sy], near: [sy * cp, sp, cy * cp], up: [-sy * sp, cp, -cy * sp] };
}

/** Picture place of a point: x to the right, y down, z towards the viewer, all in pixels. */
export function project(camera: Camera, p: Vector): Vector {
  const { across, up, near, centre, scale, width, height } = camera;
  const x = p[0] - centre[0];
  const y = p[1] - centre[1];
  const z = p[2] - centre[2];
  return [
    width / 2 + scale * (x * across[0] + y * across[1] + z * across[2]),
    height / 2 - scale * (x * up[0] + y * up[1] + z * up[2]),
    scale * (x * near[0] + y * near[1] + z * near[2]),
  ];
}

/** Picture direction of a direction in the room; its z is how much it faces the viewer. */
export function projectDirection(camera: Camera, d: Vector): Vector {
  const { across, up, near } = camera;
  return [
    d[0] * across[0] + d[1] * across[1] + d[2] * across[2],
    -(d[0] * up[0] + d[1] * up[1] + d[2] * up[2]),
    d[0] * near[0] + d[1] * near[1] + d[2] * near[2],
  ];
}

export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export interface Size {
  width: number;
  height: number;
}
interface Round {
  at: Vector;
  radius: number;
}

/** What the balls cover as the axes see them, at one pixel a millimetre: x to the right, y down. */
function flattened(axes: ReturnType<typeof axesOf>, balls: readonly Round[]): { discs: Disc[]; bounds: Bounds } {
  const flat: Camera = { ...axes, centre: [0, 0, 0], scale: 1, width: 0, height: 0 };
  const discs = balls.map(({ at, radius }) => {
    const [x, y] = project(flat, at);
    return { x, y, radius };
  });
  const bounds = {
    left: min(discs.map(({ x, radius }) => x - radius)),
    top: min(discs.map(({ y, radius }) => y - radius)),
    right: max(discs.map(({ x, radius }) => x + radius)),
    bottom: max(discs.map(({ y, radius }) => y + radius)),
  };
  return { discs, bounds };
}
interface Disc {
  x: number;
  y: number;
  radius: number;
}
const min = (numbers: readonly number[]) => numbers.reduce((least, each) => Math.min(least, each), Infinity);
const max = (numbers: readonly number[]) => numbers.reduce((most, each) => Math.max(most, each), -Infinity);

/** The camera that has the flat place (x, y) in the middle of its picture. */
function lookingAt(axes: ReturnType<typeof axesOf>, x: number, y: number, scale: number, { width, height }: Size): Camera {
  const { across, up } = axes;
  return {
    ...axes,
    centre: [across[0] * x - up[0] * y, across[1] * x - up[1] * y, across[2] * x - up[2] * y],
    scale,
    width,
    height,
  };
}

const fitting = ({ left, right, top, bottom }: Bounds, size: Size, margin: number, most: number) =>
  Math.min((size.width - 2 * margin) / (right - left), (size.height - 2 * margin) / (bottom - top), most);

/** A camera that shows all given balls with a margin, in a picture of the given size. `most` limits the enlargement. */
export function framing(direction: Direction, balls: readonly Round[], size: Size, margin: number, most = Infinity): Camera {
  const axes = axesOf(direction);
  const { bounds } = flattened(axes, balls);
  const { left, right, top, bottom } = bounds;
  return lookingAt(axes, (left + right) / 2, (top + bottom) / 2, fitting(bounds, size, margin, most), size);
}

/** Halvings of what is not known yet of a scale: to a thousandth. */
const HALVINGS = 10;
/** Places tried between the middle of the picture and as far from the window as there is room. */
const PLACES = 12;

/**
 * A camera that shows all given balls as large as they can be with none of them behind a round window in an upper corner; as near the
 * middle of the picture as that allows.
 *
 * @param window middle and radius in pixels of the picture
 */
export function framingBeside(
  direction: Direction,
  balls: readonly Round[],
  size: Size,
  margin: number,
  most: number,
  window: Disc,
): Camera {
  const axes = axesOf(direction);
  const { discs, bounds } = flattened(axes, balls);
  const { left, right, top, bottom } = bounds;
  const gap = margin / 4;
  const away = window.x > size.width / 2 ? -1 : 1;
  /** What is in the middle of the picture. @param share 0: the middle of it all, 1: that is as far from the window as there is room */
  const middle = (scale: number, share: number): [number, number] => {
    const [spareX, spareY] = [size.width - 2 * margin - (right - left) * scale, size.height - 2 * margin - (bottom - top) * scale];
    return [(left + right - (away * share * spareX) / scale) / 2, (top + bottom - (share * spareY) / scale) / 2];
  };
  const clear = (scale: number, share: number): boolean => {
    const [middleX, middleY] = middle(scale, share);
    return discs.every(
      ({ x, y, radius }) =>
        Math.hypot((x - middleX) * scale + size.width / 2 - window.x, (y - middleY) * scale + size.height / 2 - window.y) >=
        radius * scale + window.radius + gap,
    );
  };
  let large = fitting(bounds, size, margin, most);
  let fits = 0;
  if (clear(large, 1)) fits = large;
  else
    for (let i = 0; i < HALVINGS; i++) {
      const between = (fits + large) / 2;
      if (clear(between, 1)) fits = between;
      else large = between;
    }
  const places = Array.from({ length: PLACES + 1 }, (_, i) => i / PLACES);
  return lookingAt(axes, ...middle(fits, places.find((share) => clear(fits, share)) ?? 1), fits, size);
}
