/**
 * The front surface of a body as the camera sees it: a coarse map of the exact depths of its shapes says what is in front where. Nothing is
 * sorted, so fingers may close round anything.
 */
import { project, type Bounds, type Camera } from "./camera";
import { spansAbove, type Spans } from "./regions";
import {
  cutsOf,
  frontOf,
  LIGHT,
  shapesOf,
  type AnyShape,
  type Disc,
  type Plane,
  type RodShape,
  type Shape,
  type SheetShape,
} from "./shapes";
import type { Part, Tone } from "../flesh/solid";

const TILE = 16;

export interface Surface {
  camera: Camera;
  parts: readonly Part[];
  shapes: readonly AnyShape[];
  /** Cuts of each part, projected: kept where x·X + y·Y + z·Z ≤ c. */
  cuts: readonly (readonly Plane[])[];
  /** Balls of each part, projected. */
  discs: readonly (readonly Disc[])[];
  /** Side of a cell in pixels; the map has one sample in the middle of each. It covers the body's bounds, from `left` and `top` on. */
  cell: number;
  left: number;
  top: number;
  columns: number;
  rows: number;
  depth: Float32Array;
  light: Float32Array;
  /** Index into `shapes` of what is in front; −1 for nothing. */
  owner: Int16Array;
  /** Where each row of the map has something. */
  spans: Spans;
  tiles: readonly (readonly number[])[];
  tileColumns: number;
}

/** @param cell side of a map cell in pixels; smaller is finer and slower */
export function surfaceOf(parts: readonly Part[], camera: Camera, cell: number): Surface {
  const discs = parts.map((part) =>
    part.balls.map((ball): Disc => {
      const [x, y, z] = project(camera, ball.at);
      return { x, y, z, r: ball.radius * camera.scale };
    }),
  );
  const cuts = parts.map((part) => cutsOf(part, camera));
  // Nearest first: what is behind is then mostly passed over without a look.
  const shapes = parts
    .flatMap((part, i) => shapesOf(part, i, camera, discs[i]!, cuts[i]!))
    .filter((shape) => inPicture(shape, camera))
    .sort((a, b) => b.nearest - a.nearest);
  const bounds = boundsOf(shapes, camera, cell);
  const map = new DepthMap(bounds, cell);
  const tileColumns = Math.ceil(camera.width / TILE);
  const tileRows = Math.ceil(camera.height / TILE);
  const tiles: number[][] = Array.from({ length: tileColumns * tileRows }, () => []);
  shapes.forEach((shape, index) => {
    map.put(shape, index);
    const lastTile = Math.min(tileColumns - 1, Math.floor(shape.right / TILE));
    for (let row = Math.max(0, Math.floor(shape.top / TILE)); row <= Math.min(tileRows - 1, Math.floor(shape.bottom / TILE)); row++)
      for (let column = Math.max(0, Math.floor(shape.left / TILE)); column <= lastTile; column++)
        tiles[row * tileColumns + column]!.push(index);
  });
  return { camera, parts, shapes, cuts, discs, tiles, tileColumns, ...map.grid() };
}

/** Which shape is in front in the middle of each cell, and how it is lit. */
class DepthMap {
  private readonly columns: number;
  private readonly rows: number;
  private readonly depth: Float32Array;
  private readonly light: Float32Array;
  private readonly owner: Int16Array;

  constructor(
    private readonly bounds: Bounds,
    private readonly cell: number,
  ) {
    this.columns = Math.max(1, Math.ceil((bounds.right - bounds.left) / cell));
    this.rows = Math.max(1, Math.ceil((bounds.bottom - bounds.top) / cell));
    this.depth = new Float32Array(this.columns * this.rows).fill(-Infinity);
    this.light = new Float32Array(this.columns * this.rows);
    this.owner = new Int16Array(this.columns * this.rows).fill(-1);
  }

  grid() {
    const { cell, columns, rows, depth, light, owner } = this;
    return {
      cell,
      left: this.bounds.left,
      top: this.bounds.top,
      columns,
      rows,
      depth,
      light,
      owner,
      spans: spansAbove({ columns, rows }, owner, -1),
    };
  }

  put(shape: AnyShape, index: number): void {
    const { bounds, cell, columns, rows } = this;
    const fromColumn = Math.max(0, Math.ceil((shape.left - bounds.left) / cell - 0.5));
    const toColumn = Math.min(columns - 1, Math.floor((shape.right - bounds.left) / cell - 0.5));
    const fromRow = Math.max(0, Math.ceil((shape.top - bounds.top) / cell - 0.5));
    const toRow = Math.min(rows - 1, Math.floor((shape.bottom - bounds.top) / cell - 0.5));
    for (let row = fromRow; row <= toRow; row++) {
      const y = bounds.top + (row + 0.5) * cell;
      const start = row * columns;
      if (shape.kind === "rod") this.putRodRow(shape, index, start, fromColumn, toColumn, y);
      else this.putSheetRow(shape, index, start, fromColumn, toColumn, y);
    }
  }

  /** As `frontOfSheet`: of a row it covers one stretch, in which depth grows evenly. */
  private putSheetRow(sheet: SheetShape, index: number, start: number, fromColumn: number, toColumn: number, y: number): void {
    const { depth, light, owner, cell } = this;
    const { edges, z0, zx, zy, cuts, nearest } = sheet;
    const left = this.bounds.left + 0.5 * cell;
    let from = left + fromColumn * cell;
    let to = left + toColumn * cell;
    for (let i = 0; i < 9; i += 3) {
      const slope = edges[i]!;
      const rest = edges[i + 1]! * y + edges[i + 2]!;
      if (slope > 0) from = Math.max(from, -rest / slope);
      else if (slope < 0) to = Math.min(to, -rest / slope);
      else if (rest < 0) return;
    }
    const last = Math.min(toColumn, Math.floor((to - left) / cell));
    const row = z0 + zy * y;
    for (let column = Math.max(fromColumn, Math.ceil((from - left) / cell)); column <= last; column++) {
      const i = start + column;
      const before = depth[i]!;
      if (before >= nearest) continue;
      const x = left + column * cell;
      const z = row + zx * x;
      if (z <= before || (cuts && isCutOff(cuts, x, y, z))) continue;
      depth[i] = z;
      light[i] = sheet.light;
      owner[i] = index;
    }
  }

  /** As `frontOfRod`, with what does not change along a row taken out of the loop: this is where most of a picture's time goes. */
  private putRodRow(rod: RodShape, index: number, start: number, fromColumn: number, toColumn: number, y: number): void {
    const { depth, light, owner, cell } = this;
    const { from, dx, dy, dz, dr, a, k, nearest, cuts } = rod;
    // Seen along its length it is a ball: the nearer end.
    const end = a > 1e-6 ? -1 : dz + dr > 0 ? 1 : 0;
    const py = y - from.y;
    const c0 = from.r * from.r - py * py;
    const b0 = from.r * dr + py * dy;
    const left = this.bounds.left + 0.5 * cell - from.x;
    const perA = 1 / a;
    // Of a row it covers one stretch: after its end nothing more comes.
    let met = false;
    for (let column = fromColumn; column <= toColumn; column++) {
      const i = start + column;
      const before = depth[i]!;
      if (before >= nearest) continue;
      const px = left + column * cell;
      const c = c0 - px * px;
      const b = b0 + px * dx;
      let t = end;
      if (t < 0) {
        const most = c + b * b * perA;
        if (most < 0) {
          if (met) return;
          continue;
        }
        t = b * perA + dz * Math.sqrt(most * k);
        t = t < 0 ? 0 : t > 1 ? 1 : t;
      }
      const inside = c + (2 * b - a * t) * t;
      if (inside < 0) {
        if (met) return;
        continue;
      }
      met = true;
      const height = Math.sqrt(inside);
      const z = from.z + t * dz + height;
      if (z <= before || (cuts && isCutOff(cuts, px + from.x, y, z))) continue;
      depth[i] = z;
      light[i] = ((px - t * dx) * LIGHT[0] + (py - t * dy) * LIGHT[1] + height * LIGHT[2]) / (from.r + t * dr);
      owner[i] = index;
    }
  }
}

function isCutOff(cuts: readonly Plane[], x: number, y: number, z: number): boolean {
  for (const cut of cuts) if (cut.x * x + cut.y * y + cut.z * z > cut.c) return true;
  return false;
}

/** The part of the picture that the body covers, with an empty cell all round: that is where its outline closes. */
function boundsOf(shapes: readonly AnyShape[], { width, height }: Camera, cell: number): Bounds {
  const bounds = { left: width, top: height, right: 0, bottom: 0 };
  for (const shape of shapes) {
    bounds.left = Math.min(bounds.left, shape.left);
    bounds.top = Math.min(bounds.top, shape.top);
    bounds.right = Math.max(bounds.right, shape.right);
    bounds.bottom = Math.max(bounds.bottom, shape.bottom);
  }
  return {
    left: Math.max(-2 * cell, Math.floor(bounds.left - 1.5 * cell)),
    top: Math.max(-2 * cell, Math.floor(bounds.top - 1.5 * cell)),
    right: Math.min(width + 2 * cell, bounds.right + 1.5 * cell),
    bottom: Math.min(height + 2 * cell, bounds.bottom + 1.5 * cell),
  };
}

function inPicture(shape: Shape, { width, height }: Camera): boolean {
  return shape.right > 0 && shape.left < width && shape.bottom > 0 && shape.top < height;
}

const NOTHING: readonly number[] = [];
/** Shapes that may be at a place of the picture, the one that comes nearest to the viewer first. */
export function shapesNear(surface: Surface, x: number, y: number): readonly number[] {
  if (x < 0 || y < 0 || x >= surface.camera.width || y >= surface.camera.height) return NOTHING;
  return surface.tiles[Math.floor(y / TILE) * surface.tileColumns + Math.floor(x / TILE)] ?? NOTHING;
}

export interface Front {
  depth: number;
  /** Index into `shapes`, −1 for nothing. */
  shape: number;
}
const front: Front = { depth: -Infinity, shape: -1 };
/** What is in front at an exact place. The answer is only good until the next call. */
export function frontAt(surface: Surface, x: number, y: number): Readonly<Front> {
  front.depth = -Infinity;
  front.shape = -1;
  for (const index of shapesNear(surface, x, y)) {
    const shape = surface.shapes[index]!;
    if (shape.nearest <= front.depth) break;
    const z = frontOf(shape, x, y);
    if (z > front.depth) {
      front.depth = z;
      front.shape = index;
    }
  }
  return front;
}

export function toneOf(surface: Surface, shape: number): Tone | undefined {
  const found = surface.shapes[shape];
  return found && ((found.kind === "sheet" && found.tone) || surface.parts[found.part]!.tone);
}
