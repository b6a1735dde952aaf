/**
 * The lines of the drawing, from the same map as its fills: wherever between two neighbouring cells the surface ends, jumps or passes to
 * another body, the place is found exactly, and the places are linked square by square. So a silhouette is closed by construction.
 * A line against the ground is `outer`; against another surface, `inner`.
 */
import { project, projectDirection } from "./camera";
import { curve, softened, thinned, type Point } from "./svg-path";
import { frontOf, shapesNear, toneOf, type Surface } from "./surface";
import type { Part } from "../flesh/solid";

export interface Stroke {
  kind: "outer" | "inner";
  /** Of an arm that only helps. */
  light: boolean;
  points: Point[];
  closed: boolean;
}

/** Where between a cell and its right (`across`) or lower (`down`) neighbour the surface changes, 0 … 1; half way where it does not. */
export interface Crossings {
  across: Float32Array;
  down: Float32Array;
}

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
/** Millimetres: an inner line that is shorter says nothing. */
const SHORTEST_INNER = 5;

const NONE = 0;
const INNER = 1;
const OUTER = 2;
/** Added to the kind of an edge whose nearer surface only helps. */
const LIGHT = 4;

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
  const { columns, rows, cell, left, top, owner, depth, shapes, parts, camera } = surface;
  const steps = stepsBetween(parts);
  const tones = shapes.map((_, i) => toneOf(surface, i));
  const flat = parts.map((part) => part.faces.length > 0 && part.balls.length === 0);
  const across = new Float32Array(owner.length).fill(0.5);
  const down = new Float32Array(owner.length).fill(0.5);
  // Edge 2i lies between cell i and its right neighbour, edge 2i + 1 between cell i and the one below.
  const kinds = new Uint8Array(2 * owner.length);
  // Squares of four cells, by their first, that a line may run through.
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
    for (let column = 0; column < columns; column++) {
      const i = row * columns + column;
      const here = owner[i]!;
      // Most cells are in the middle of something.
      if (column + 1 < columns && owner[i + 1] !== here) look(i, i + 1, columns, left + (column + 0.5) * cell, y, cell, 0);
      if (!isLast && owner[i + columns] !== here) look(i, i + columns, 1, left + (column + 0.5) * cell, y, 0, cell);
    }
  }
  const crossings = { across, down };
  return { strokes: linked(surface, kinds, crossed, crossings), crossings };
}

/** Crossings of neighbouring squares strung into lines. */
function linked(
  { columns, rows, cell, left, top, camera }: Surface,
  kinds: Uint8Array,
  crossed: Uint8Array,
  { across, down }: Crossings,
): Stroke[] {
  const placeOf = (edge: number): Point => {
    const i = edge >> 1;
    const column = i % columns;
    const x = left + (column + 0.5) * cell;
    const y = top + ((i - column) / columns + 0.5) * cell;
    return edge & 1 ? [x, y + down[i]! * cell] : [x + across[i]! * cell, y];
  };
  // An edge has a square on each side, and goes on in each of them to one other edge at most.
  const links = new Int32Array(2 * kinds.length).fill(-1);
  const link = (a: number, b: number) => {
    links[2 * a + (links[2 * a]! < 0 ? 0 : 1)] = b;
    links[2 * b + (links[2 * b]! < 0 ? 0 : 1)] = a;
  };
  /** Where a line ends on another one. */
  const meets = new Map<number, Point>();
  const middle = (a: number, b: number): Point => {
    const [p, q] = [placeOf(a), placeOf(b)];
    return [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  };
  const isOuter = (edge: number) => (kinds[edge]! & OUTER) !== 0;
  const isInner = (edge: number) => (kinds[edge]! & INNER) !== 0;
  const here: [number, number, number, number] = [0, 0, 0, 0];
  for (let row = 0; row + 1 < rows; row++)
    for (let column = 0; column + 1 < columns; column++) {
      const i = row * columns + column;
      if (crossed[i] === 0) continue;
      // Top, right, bottom, left.
      here[0] = 2 * i;
      here[1] = 2 * (i + 1) + 1;
      here[2] = 2 * (i + columns);
      here[3] = 2 * i + 1;
      const around = kinds[here[0]]! | kinds[here[1]]! | kinds[here[2]]! | kinds[here[3]]!;
      if (around === NONE) continue;
      let [outer, inner, firstOuter, lastOuter, firstInner, lastInner] = [0, 0, -1, -1, -1, -1];
      for (let k = 0; k < 4; k++) {
        const edge = here[k]!;
        if (isOuter(edge)) {
          if (outer++ === 0) firstOuter = edge;
          lastOuter = edge;
        } else if (isInner(edge)) {
          if (inner++ === 0) firstInner = edge;
          lastInner = edge;
        }
      }
      if (outer === 2) link(firstOuter, lastOuter);
      else if (outer === 4) {
        link(here[0], here[1]);
        link(here[2], here[3]);
      }
      if (inner === 2) link(firstInner, lastInner);
      else if (inner === 4) {
        link(here[0], here[2]);
        link(here[1], here[3]);
      } else if (inner === 3) {
        // The two that face each other run through, the third ends on them.
        const upright = isInner(here[0]) && isInner(here[2]);
        const [a, b] = upright ? [here[0], here[2]] : [here[1], here[3]];
        link(a, b);
        meets.set(
          here.find((edge) => isInner(edge) && edge !== a && edge !== b)!,
          middle(a, b),
        );
      } else if (inner === 1 && outer === 2) meets.set(firstInner, middle(firstOuter, lastOuter));
    }
  const shortest = SHORTEST_INNER * camera.scale;
  const strokes: Stroke[] = [];
  const done = new Uint8Array(kinds.length);
  /** The line that an edge is part of, from end to end. */
  const strokesFrom = (edge: number): Stroke[] => {
    const kind = isOuter(edge) ? "outer" : "inner";
    const walk = (first: number): { edges: number[]; closed: boolean } => {
      const edges: number[] = [];
      let before = edge;
      for (let now = first; now >= 0;) {
        if (now === edge) return { edges, closed: true };
        done[now] = 1;
        edges.push(now);
        const onward: number = links[2 * now] === before ? links[2 * now + 1]! : links[2 * now]!;
        before = now;
        now = onward;
      }
      return { edges, closed: false };
    };
    done[edge] = 1;
    const forth = walk(links[2 * edge]!);
    const back = forth.closed ? { edges: [], closed: true } : walk(links[2 * edge + 1]!);
    const chain = [...back.edges.reverse(), edge, ...forth.edges];
    const points = chain.map(placeOf);
    const lights = chain.map((each) => (kinds[each]! & LIGHT) !== 0);
    if (!forth.closed) {
      const [head, tail] = [meets.get(chain[0]!), meets.get(chain.at(-1)!)];
      if (head) {
        points.unshift(head);
        lights.unshift(lights[0]!);
      }
      if (tail && chain.length > 1) {
        points.push(tail);
        lights.push(lights.at(-1)!);
      }
    }
    if (points.length < 2) return [];
    if (kind === "inner" && pathLength(points) < shortest) return [];
    if (lights.every((light) => light === lights[0])) return [{ kind, light: lights[0]!, points, closed: forth.closed }];
    return byWeight(kind, points, lights, forth.closed);
  };
  for (let edge = 0; edge < kinds.length; edge++) {
    // Two edges a cell, and few cells have any.
    if (crossed[edge >> 1] === 0) edge |= 1;
    else if (kinds[edge] !== NONE && done[edge] === 0) strokes.push(...strokesFrom(edge));
  }
  return strokes;
}

/** A line that goes on from one arm to the other, cut where its weight changes. */
function byWeight(kind: Stroke["kind"], points: Point[], lights: boolean[], closed: boolean): Stroke[] {
  const strokes: Stroke[] = [];
  const n = points.length;
  // Begun where it changes, so that a closed line is not cut anywhere else.
  const start = closed ? lights.findIndex((light, i) => light !== lights[(i + n - 1) % n]) : 0;
  let open: Stroke | undefined;
  for (let k = 0; k < n; k++) {
    const i = (start + k) % n;
    if (!open || open.light !== lights[i]) {
      open?.points.push(points[i]!);
      strokes.push((open = { kind, light: lights[i]!, points: [], closed: false }));
    }
    open.points.push(points[i]!);
  }
  if (closed) open?.points.push(points[start]!);
  return strokes.filter((stroke) => stroke.points.length > 1);
}

const pathLength = (points: readonly Point[]) =>
  points.reduce((sum, p, i) => (i ? sum + Math.hypot(p[0] - points[i - 1]![0], p[1] - points[i - 1]![1]) : 0), 0);

export function strokePath(strokes: readonly Stroke[], kind: Stroke["kind"], light: boolean): string {
  return strokes
    .filter((stroke) => stroke.kind === kind && stroke.light === light)
    .map(({ points, closed }) => {
      const soft = softened(points, 2, closed);
      if (!closed) return curve(thinned(soft, 0.3));
      const half = soft.length >> 1;
      return curve([...thinned(soft.slice(0, half + 1), 0.3), ...thinned([...soft.slice(half), soft[0]!], 0.3).slice(1, -1)], true);
    })
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
  let open: Point[] | undefined;
  for (const point of refined(points.map((p) => project(surface.camera, p)))) {
    const [x, y, z] = point;
    let visible = x >= 0 && y >= 0 && x <= surface.camera.width && y <= surface.camera.height;
    for (const index of shapesNear(surface, x, y)) {
      const shape = surface.shapes[index]!;
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
