/** Points, directions and frames in millimetres. World: +x to the viewer's right of a person facing the viewer, +y up, +z forward. */

export type Vector = readonly [x: number, y: number, z: number];

export const DEGREE = Math.PI / 180;

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
export const length = (a: Vector): number => Math.hypot(a[0], a[1], a[2]);
export const distance = (a: Vector, b: Vector): number => length(subtract(a, b));
/** The direction of a vector; a zero vector stays zero. */
export const unit = (a: Vector): Vector => scale(a, 1 / (length(a) || 1));
/** From a (share 0) to b (share 1). */
export const between = (a: Vector, b: Vector, share: number): Vector => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];
/** The part of a that stands at right angles to a unit direction. */
export const across = (a: Vector, direction: Vector): Vector => subtract(a, scale(direction, dot(a, direction)));
/** Seen in the mirror: right becomes left. */
export const mirrored = (a: Vector): Vector => [-a[0], a[1], a[2]];

/** An origin with three unit axes at right angles. On limbs: x to the thumb side, y away from the trunk, z to the palm side. */
export interface Frame {
  readonly o: Vector;
  readonly x: Vector;
  readonly y: Vector;
  readonly z: Vector;
}

export const WORLD: Frame = { o: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** World place of a point given in a frame. */
export const at = (f: Frame, x: number, y: number, z: number): Vector => [
  f.o[0] + f.x[0] * x + f.y[0] * y + f.z[0] * z,
  f.o[1] + f.x[1] * x + f.y[1] * y + f.z[1] * z,
  f.o[2] + f.x[2] * x + f.y[2] * y + f.z[2] * z,
];
export const atPoint = (f: Frame, p: Vector): Vector => at(f, p[0], p[1], p[2]);
/** World direction of a direction given in a frame. */
export const along = (f: Frame, d: Vector): Vector => subtract(atPoint(f, d), f.o);
/** The same point expressed in a frame. */
export const within = (f: Frame, p: Vector): Vector => {
  const d = subtract(p, f.o);
  return [dot(d, f.x), dot(d, f.y), dot(d, f.z)];
};

const spun = (a: Vector, b: Vector, degrees: number): [Vector, Vector] => {
  const c = Math.cos(degrees * DEGREE);
  const s = Math.sin(degrees * DEGREE);
  return [
    [a[0] * c + b[0] * s, a[1] * c + b[1] * s, a[2] * c + b[2] * s],
    [b[0] * c - a[0] * s, b[1] * c - a[1] * s, b[2] * c - a[2] * s],
  ];
};

/** Turned about its own x: y moves towards z. */
export const turnX = (f: Frame, degrees: number): Frame => {
  const [y, z] = spun(f.y, f.z, degrees);
  return { o: f.o, x: f.x, y, z };
};
/** Turned about its own y: z moves towards x. */
export const turnY = (f: Frame, degrees: number): Frame => {
  const [z, x] = spun(f.z, f.x, degrees);
  return { o: f.o, x, y: f.y, z };
};
/** Turned about its own z: x moves towards y. */
export const turnZ = (f: Frame, degrees: number): Frame => {
  const [x, y] = spun(f.x, f.y, degrees);
  return { o: f.o, x, y, z: f.z };
};
export const moved = (f: Frame, x: number, y: number, z: number): Frame => ({ ...f, o: at(f, x, y, z) });
export const mirroredFrame = (f: Frame): Frame => ({ o: mirrored(f.o), x: mirrored(f.x), y: mirrored(f.y), z: mirrored(f.z) });
/** A frame given inside another, in world terms. */
export const placed = (outer: Frame, inner: Frame): Frame => ({
  o: atPoint(outer, inner.o),
  x: along(outer, inner.x),
  y: along(outer, inner.y),
  z: along(outer, inner.z),
});
/** The right-handed frame that looks along `y` with its palm side as near to `z` as a right angle allows. */
export const frameAlong = (o: Vector, y: Vector, z: Vector): Frame => {
  const axis = unit(y);
  const palm = unit(across(z, axis));
  return { o, x: cross(axis, palm), y: axis, z: palm };
};
