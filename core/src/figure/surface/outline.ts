/**
 * The lines of the drawing, from the same map as its fills: wherever between two neighbouring cells the surface ends, jumps or passes to
 * another body, the place is found exactly, and the places are linked square by square. So a silhouette is closed by construction.
 * A line against the ground is `outer`; against another surface, `inner`.
 */
import { project, projectDirection } from "./camera";
import { softened, thinnedCurve, type Point } from "./svg-path";
import { spanOfTwo } from "./regions";
import { INNER, LIGHT, linked, OUTER, type Crossings, type Stroke } from "./strokes";
import { frontOf } from "./shapes";
import { shapesNear, toneOf, type Surface } from "./surface";
import type { Part } from "../flesh/solid";

export interface Contours {
  strokes: Stroke[];
  crossings: Crossings;
}

/** Halvings of the way between two cells: a sixteenth of a cell is finer than any pen. */
const HALVINGS = 4;
/** Share of the step worth a line that two neighbouring cells must differ by before the place between them is looked at. */
const WORTH_A_LOOK = 0.55;
/** Millimetres below which a jump within one body is none, whatever the body asks for. */
const LEAST_STEP = 4;

/** How two parts meet: millimetres of depth between them that are worth a line; 0: always. */
function stepsBetween(parts: readonly Part[]): Float32Array {
  const n = parts.length;
  const steps = new Float32Array(n * n);
  parts.forEach((one, i) =>
    parts.forEach((other, j) => {
      const joined = i === j || one.joins.includes(other.id) || other.joins.includes(one.id);
      steps[i * n + j] = joined ? Math.max(LEAST_STEP, one.step, other.step) : 0;
    }),
  );
  return steps;
}

/** The shapes that may be in front near a place; kept outside so that asking costs no allocation. */
const candidates = new Int32Array(6);
let candidateCount = 0;
let frontShape = -1;

function consider(shape: number): void {
  if (shape < 0) return;
  for (let i = 0; i < candidateCount; i++) if (candidates[i] === shape) return;
  candidates[candidateCount++] = shape;
}

function frontAmong(surface: Surface, x: number, y: number): number {
  let front = -Infinity;
  frontShape = -1;
  for (let i = 0; i < candidateCount; i++) {
    const shape = surface.shapes[candidates[i]!]!;
    if (shape.nearest <= front) continue;
    const z = frontOf(shape, x, y);
    if (z > front) {
      front = z;
      frontShape = candidates[i]!;
    }
  }
  return front;
}

/** Lines of a surface and the exact places of its borders. */
export function contoursOf(surface: Surface): Contours {
  const { columns, rows, cell, left, top, owner, depth, shapes, parts, camera, spans } = surface;
  const steps = stepsBetween(parts);
  const tones = shapes.map((_, i) => toneOf(surface, i));
  const flat = parts.map((part) => part.faces.length > 0 && part.balls.length === 0);
  const across = new Float32Array(owner.length).fill(0.5);
  const down = new Float32Array(owner.length).fill(0.5);
  const kinds = new Uint8Array(2 * owner.length);
  const crossed = new Uint8Array(owner.length);

  const look = (i: number, j: number, sideways: number, x: number, y: number, dx: number, dy: number): void => {
    const a = owner[i]!;
    const b = owner[j]!;
    const near = b < 0 || (a >= 0 && depth[i]! >= depth[j]!) ? a : b;
    const far = near === a ? b : a;
    const nearPart = shapes[near]!.part;
    let step = 0;
    if (far >= 0) {
      step = steps[nearPart * parts.length + shapes[far]!.part]! * camera.scale;
      if (step > 0 && tones[near] === tones[far] && Math.abs(depth[i]! - depth[j]!) < step * WORTH_A_LOOK) return;
    }
    candidateCount = 0;
    consider(near);
    consider(far);
    if (i - sideways >= 0) consider(owner[i - sideways]!);
    if (j - sideways >= 0) consider(owner[j - sideways]!);
    if (i + sideways < owner.length) consider(owner[i + sideways]!);
    if (j + sideways < owner.length) consider(owner[j + sideways]!);
    // From the near side towards the far side.
    let from = near === a ? 0 : 1;
    let to = 1 - from;
    let nearDepth = near === a ? depth[i]! : depth[j]!;
    let farDepth = near === a ? depth[j]! : depth[i]!;
    for (let k = 0; k < HALVINGS; k++) {
      const middle = (from + to) / 2;
      const z = frontAmong(surface, x + dx * middle, y + dy * middle);
      const onNear =
        far < 0 ? frontShape >= 0 : frontShape >= 0 && (step > 0 ? nearDepth - z < z - farDepth : shapes[frontShape]!.part === nearPart);
      if (onNear) {
        from = middle;
        nearDepth = z;
      } else {
        to = middle;
        farDepth = z;
      }
    }
    const share = (from + to) / 2;
    const edge = dx > 0 ? 2 * i : 2 * i + 1;
    if (dx > 0) across[i] = share;
    else down[i] = share;
    if (flat[nearPart]) return;
    const light = parts[nearPart]!.tone === "helper" ? LIGHT : 0;
    if (far < 0) kinds[edge] = OUTER + light;
    else if (step === 0 || nearDepth - farDepth >= step) kinds[edge] = INNER + light;
    else return;
    crossed[i] = 1;
    if (i - sideways >= 0) crossed[i - sideways] = 1;
  };
  for (let row = 0; row < rows; row++) {
    const y = top + (row + 0.5) * cell;
    const isLast = row + 1 === rows;
    const [first, last] = spanOfTwo(spans, row);
    for (let column = first; column <= last; column++) {
      const i = row * columns + column;
      const here = owner[i]!;
      // Most cells are in the middle of something.
      if (column + 1 < columns && owner[i + 1] !== here) look(i, i + 1, columns, left + (column + 0.5) * cell, y, cell, 0);
      if (!isLast && owner[i + columns] !== here) look(i, i + columns, 1, left + (column + 0.5) * cell, y, 0, cell);
    }
  }
  const crossings = { across, down };
  return { strokes: linked(surface, { kinds, crossed, crossings }), crossings };
}

export function strokePath(strokes: readonly Stroke[], kind: Stroke["kind"], light: boolean): string {
  return strokes
    .filter((stroke) => stroke.kind === kind && stroke.light === light)
    .map(({ points, closed }) => thinnedCurve(softened(points, 2, closed), 0.3, closed))
    .join("");
}

/** Pixels between two samples of a line on the surface. */
const SPACING = 4;
/** Pixels another surface must be nearer to hide a line. */
const COVER = 1.2;

/** The stretches of a line on the surface that can be seen, as paths. `lift`: pixels it may lie under the surface. */
export function visibleRuns(
  surface: Surface,
  points: readonly (readonly [number, number, number])[],
  partIds: ReadonlySet<string>,
  lift: number,
): Point[][] {
  const runs: Point[][] = [];
  const leastSlack = Math.min(lift, COVER);
  let open: Point[] | undefined;
  for (const point of refined(points.map((p) => project(surface.camera, p)))) {
    const [x, y, z] = point;
    let visible = x >= 0 && y >= 0 && x <= surface.camera.width && y <= surface.camera.height;
    for (const index of shapesNear(surface, x, y)) {
      const shape = surface.shapes[index]!;
      // Nearest first: none of the rest can hide it.
      if (shape.nearest <= z + leastSlack) break;
      const slack = partIds.has(surface.parts[shape.part]!.id) ? lift : COVER;
      if (frontOf(shape, x, y) > z + slack) {
        visible = false;
        break;
      }
    }
    if (!visible) open = undefined;
    else if (open) open.push([x, y]);
    else runs.push((open = [[x, y]]));
  }
  return runs.filter((run) => run.length > 1);
}

/** Points no further apart than the spacing of samples. */
function refined(points: readonly (readonly [number, number, number])[]): (readonly [number, number, number])[] {
  return points.flatMap((p, i) => {
    const q = points[i + 1];
    if (!q) return [p];
    const count = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / SPACING));
    return Array.from({ length: count }, (_, k) => {
      const t = k / count;
      return [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t, p[2] + (q[2] - p[2]) * t] as const;
    });
  });
}

export const facesViewer = (surface: Surface, facing: readonly [number, number, number], least: number): boolean =>
  projectDirection(surface.camera, facing)[2] > least;
