/** From the places where the surface changes between neighbouring cells to lines. */
import type { Surface } from "./surface";
import { spanOfTwo } from "./regions";
import type { Point } from "./svg-path";

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

/** Kinds of edges. */
const NONE = 0;
export const INNER = 1;
export const OUTER = 2;
/** Added to the kind of an edge whose nearer surface only helps. */
export const LIGHT = 4;

export interface Edges {
  /** Edge 2i lies between cell i and its right neighbour, edge 2i + 1 between cell i and the one below. */
  kinds: Uint8Array;
  /** Squares of four cells, by their first, that a line may run through. */
  crossed: Uint8Array;
  crossings: Crossings;
}

/** Millimetres: an inner line that is shorter says nothing. */
const SHORTEST_INNER = 5;

/** Crossings of neighbouring squares strung into lines. */
export function linked(
  { columns, rows, cell, left, top, camera, spans }: Surface,
  { kinds, crossed, crossings: { across, down } }: Edges,
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
  for (let row = 0; row + 1 < rows; row++) {
    const [first, last] = spanOfTwo(spans, row);
    for (let column = first; column <= Math.min(last, columns - 2); column++) {
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
  for (let row = 0; row < rows; row++) {
    const [first, last] = spanOfTwo(spans, row);
    for (let edge = 2 * (row * columns + first); edge < 2 * (row * columns + last + 1); edge++) {
      // Two edges a cell, and few cells have any.
      if (crossed[edge >> 1] === 0) edge |= 1;
      else if (kinds[edge] !== NONE && done[edge] === 0) strokes.push(...strokesFrom(edge));
    }
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
