/** Rods and sheets as the camera sees them: each has an exact depth, and is lit, at any place of the picture. */
import { project, projectDirection, type Camera } from "./camera";
import type { Part, Tone } from "../flesh/solid";
import { cross, dot, scale as scaled, subtract, add, unit, type Vector } from "../vector";

/** Light from the upper left, a little from the front, in picture axes (y down). */
export const LIGHT = unit([-0.52, -0.66, 0.54]);
export interface Plane {
  x: number;
  y: number;
  z: number;
  c: number;
}
export interface Disc {
  x: number;
  y: number;
  z: number;
  r: number;
}
export interface Shape {
  part: number;
  /** Nothing of it is nearer to the viewer. */
  nearest: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
  cuts: readonly Plane[] | undefined;
}
export interface RodShape extends Shape {
  kind: "rod";
  from: Disc;
  dx: number;
  dy: number;
  dz: number;
  dr: number;
  a: number;
  k: number;
}
export interface SheetShape extends Shape {
  kind: "sheet";
  /** Depth = z0 + zx·x + zy·y inside the triangle. */
  z0: number;
  zx: number;
  zy: number;
  light: number;
  /** Three edges: inside where e·(x, y) + c ≥ 0. */
  edges: readonly [number, number, number, number, number, number, number, number, number];
  tone: Tone | undefined;
}
export type AnyShape = RodShape | SheetShape;

/** Depth of a shape's front surface at a place of the picture; −Infinity where it is not. */
export function frontOf(shape: AnyShape, x: number, y: number): number {
  if (x < shape.left || x > shape.right || y < shape.top || y > shape.bottom) return -Infinity;
  const z = shape.kind === "rod" ? frontOfRod(shape, x, y) : frontOfSheet(shape, x, y);
  if (shape.cuts && z > -Infinity) for (const cut of shape.cuts) if (cut.x * x + cut.y * y + cut.z * z > cut.c) return -Infinity;
  return z;
}

function frontOfRod({ from, dx, dy, dz, dr, a, k }: RodShape, x: number, y: number): number {
  const px = x - from.x;
  const py = y - from.y;
  const c = from.r * from.r - px * px - py * py;
  const b = from.r * dr + px * dx + py * dy;
  let t: number;
  if (a > 1e-6) {
    const middle = b / a;
    const most = c + b * middle;
    if (most < 0) return -Infinity;
    t = middle + dz * Math.sqrt(most * k);
    t = t < 0 ? 0 : t > 1 ? 1 : t;
  } else t = dz + dr > 0 ? 1 : 0;
  const inside = c + 2 * b * t - a * t * t;
  if (inside < 0) return -Infinity;
  const height = Math.sqrt(inside);
  return from.z + t * dz + height;
}

function frontOfSheet({ edges: e, z0, zx, zy }: SheetShape, x: number, y: number): number {
  if (e[0] * x + e[1] * y + e[2] < 0 || e[3] * x + e[4] * y + e[5] < 0 || e[6] * x + e[7] * y + e[8] < 0) return -Infinity;
  return z0 + zx * x + zy * y;
}

function rodShape(part: number, from: Disc, to: Disc, cuts: Plane[] | undefined): RodShape {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const dz = to.z - from.z;
  const dr = to.r - from.r;
  const a = dx * dx + dy * dy - dr * dr;
  return {
    kind: "rod",
    part,
    nearest: Math.max(from.z + from.r, to.z + to.r),
    cuts,
    from,
    dx,
    dy,
    dz,
    dr,
    a,
    k: a > 1e-6 ? 1 / (a * (a + dz * dz)) : 0,
    left: Math.min(from.x - from.r, to.x - to.r),
    right: Math.max(from.x + from.r, to.x + to.r),
    top: Math.min(from.y - from.r, to.y - to.r),
    bottom: Math.max(from.y + from.r, to.y + to.r),
  };
}

/** The flat skin that rests on three balls, on the viewer's side; undefined when it is seen edge on or a ball hides the others. */
function sheetShape(part: number, [a, b, c]: readonly [Disc, Disc, Disc], cuts: Plane[] | undefined): SheetShape | undefined {
  const A: Vector = [a.x, a.y, a.z];
  const ab = subtract([b.x, b.y, b.z], A);
  const ac = subtract([c.x, c.y, c.z], A);
  const m = cross(ab, ac);
  const mm = dot(m, m);
  if (mm < 1e-6) return undefined;
  // n · ab = ra − rb and n · ac = ra − rc, |n| = 1: the part within the triangle's plane, then the rest along its normal.
  const within = scaled(add(scaled(cross(ac, m), a.r - b.r), scaled(cross(m, ab), a.r - c.r)), 1 / mm);
  const rest = 1 - dot(within, within);
  if (rest <= 0) return undefined;
  const lift = Math.sqrt(rest / mm) * (m[2] > 0 ? 1 : -1);
  const n = add(within, scaled(m, lift));
  if (n[2] < 0.03) return undefined;
  const corner = (d: Disc): Vector => [d.x + n[0] * d.r, d.y + n[1] * d.r, d.z + n[2] * d.r];
  return flatShape(part, [corner(a), corner(b), corner(c)], n, cuts, undefined);
}

function flatShape(
  part: number,
  [p, q, r]: readonly [Vector, Vector, Vector],
  n: Vector,
  cuts: Plane[] | undefined,
  tone: Tone | undefined,
): SheetShape | undefined {
  const turn = (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  if (Math.abs(turn) < 1e-6) return undefined;
  const [u, v, w] = turn > 0 ? [p, q, r] : [p, r, q];
  const edge = (s: Vector, e: Vector): [number, number, number] => {
    const ex = -(e[1] - s[1]);
    const ey = e[0] - s[0];
    return [ex, ey, -(ex * s[0] + ey * s[1])];
  };
  const zx = -n[0] / n[2];
  const zy = -n[1] / n[2];
  return {
    kind: "sheet",
    part,
    nearest: Math.max(p[2], q[2], r[2]),
    cuts,
    z0: p[2] - zx * p[0] - zy * p[1],
    zx,
    zy,
    light: dot(n, LIGHT),
    edges: [...edge(u, v), ...edge(v, w), ...edge(w, u)],
    tone,
    left: Math.min(p[0], q[0], r[0]),
    right: Math.max(p[0], q[0], r[0]),
    top: Math.min(p[1], q[1], r[1]),
    bottom: Math.max(p[1], q[1], r[1]),
  };
}

export function cutsOf(part: Part, camera: Camera): Plane[] {
  return part.cuts.map(({ at, away }) => {
    const [x, y, z] = projectDirection(camera, away);
    const [ax, ay, az] = project(camera, at);
    return { x, y, z, c: x * ax + y * ay + z * az };
  });
}

export function shapesOf(part: Part, index: number, camera: Camera, discs: readonly Disc[], planes: Plane[]): AnyShape[] {
  const cuts = planes.length ? planes : undefined;
  const shapes: AnyShape[] = [];
  for (const [from, to] of part.rods) shapes.push(rodShape(index, discs[from]!, discs[to]!, cuts));
  if (part.rods.length === 0) for (const disc of discs) shapes.push(rodShape(index, disc, disc, cuts));
  for (const sheet of part.sheets) {
    const shape = sheetShape(index, [discs[sheet[0]]!, discs[sheet[1]]!, discs[sheet[2]]!], cuts);
    if (shape) shapes.push(shape);
  }
  for (const face of part.faces) {
    const corners = face.corners.map((corner) => project(camera, corner));
    const n = unit(cross(subtract(corners[1]!, corners[0]!), subtract(corners[2]!, corners[0]!)));
    const facing: Vector = n[2] < 0 ? scaled(n, -1) : n;
    if (facing[2] < 0.02) continue;
    for (let i = 2; i < corners.length; i++) {
      // A face closes a cut: the cut must not take it away again.
      const shape = flatShape(index, [corners[0]!, corners[i - 1]!, corners[i]!], facing, undefined, face.tone);
      if (shape) shapes.push(shape);
    }
  }
  return shapes;
}
