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

/** A camera that shows all given balls with a margin, in a picture of the given size. `most` limits the enlargement. */
export function framing(
  direction: Direction,
  balls: readonly { at: Vector; radius: number }[],
  size: { width: number; height: number },
  margin: number,
  most = Infinity,
): Camera {
  const axes = axesOf(direction);
  const flat: Camera = { ...axes, centre: [0, 0, 0], scale: 1, width: 0, height: 0 };
  let left = Infinity;
  let right = -Infinity;
  let top = Infinity;
  let bottom = -Infinity;
  for (const ball of balls) {
    const [x, y] = project(flat, ball.at);
    left = Math.min(left, x - ball.radius);
    right = Math.max(right, x + ball.radius);
    top = Math.min(top, y - ball.radius);
    bottom = Math.max(bottom, y + ball.radius);
  }
  const scale = Math.min((size.width - 2 * margin) / (right - left), (size.height - 2 * margin) / (bottom - top), most);
  const x = (left + right) / 2;
  const y = (top + bottom) / 2;
  const { across, up } = axes;
  return { ...axes, centre: [across[0] * x - up[0] * y, across[1] * x - up[1] * y, across[2] * x - up[2] * y], scale, ...size };
}
