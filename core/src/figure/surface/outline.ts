/**
 * The lines of the drawing: where a surface turns away from the viewer, as far as nothing stands before it, and only where there is
 * something to tell apart. A line against the ground is `outer`; against another surface, `inner`.
 */
import { project, projectDirection } from "./camera";
import { curve, softened, thinned, type Point } from "./svg-path";
import { frontOf, shapesNear, type Disc, type RodShape, type Surface } from "./surface";

export interface Stroke {
  kind: "outer" | "inner";
  points: Point[];
}
/** Pixels between two samples of an outline. */
const SPACING = 4;
/** Pixels another surface must be nearer to hide a line. */
const COVER = 0.8;
/** How far beyond a line it is looked what lies behind. */
const BEYOND = 1.7;

interface Sample {
  x: number;
  y: number;
  z: number;
  /** Away from the surface. */
  nx: number;
  ny: number;
}

export function outlineOf(surface: Surface): Stroke[] {
  const strokes: Stroke[] = [];
  const rodsOf: RodShape[][] = surface.parts.map(() => []);
  for (const shape of surface.shapes) if (shape.kind === "rod") rodsOf[shape.part]!.push(shape);
  hider = -1;
  surface.parts.forEach((part, index) => {
    if (part.faces.length > 0 && part.balls.length === 0) return;
    const discs = surface.discs[index]!;
    const alone = part.rods.length === 0;
    for (const rod of rodsOf[index]!) if (!alone) for (const line of sidesOf(rod)) follow(surface, index, line, false, strokes);
    for (const disc of discs) {
      if (disc.x + disc.r < 0 || disc.x - disc.r > surface.camera.width || disc.y + disc.r < 0 || disc.y - disc.r > surface.camera.height)
        continue;
      if (showsAnywhere(surface, index, disc)) follow(surface, index, roundOf(disc), true, strokes);
    }
  });
  return joined(strokes);
}

/** The two straight sides of a rod. */
function sidesOf({ from, dx, dy, dz, dr }: RodShape): Sample[][] {
  const long = Math.hypot(dx, dy);
  if (long <= Math.abs(dr) + 1e-3) return [];
  const axis = Math.atan2(dy, dx);
  const lean = Math.acos(-dr / long);
  const count = Math.max(1, Math.ceil(long / SPACING));
  return [axis + lean, axis - lean].map((angle) => {
    const nx = Math.cos(angle);
    const ny = Math.sin(angle);
    return Array.from({ length: count + 1 }, (_, i): Sample => {
      const t = i / count;
      const r = from.r + dr * t;
      return { x: from.x + dx * t + nx * r, y: from.y + dy * t + ny * r, z: from.z + dz * t, nx, ny };
    });
  });
}

function roundOf({ x, y, z, r }: Disc): Sample[] {
  const count = Math.max(12, Math.ceil((2 * Math.PI * r) / SPACING));
  return Array.from({ length: count }, (_, i): Sample => {
    const turn = (i / count) * 2 * Math.PI;
    const nx = Math.cos(turn);
    const ny = Math.sin(turn);
    return { x: x + nx * r, y: y + ny * r, z, nx, ny };
  });
}

/** Index of the shape that hid the last sample. */
let hider = -1;

/** A quick look all round: most balls lie wholly inside their limb, and their circles need no closer one. */
function showsAnywhere(surface: Surface, part: number, { x, y, z, r }: Disc): boolean {
  const count = Math.max(10, Math.ceil(r / 2.2));
  for (let i = 0; i < count; i++) {
    const turn = (i / count) * 2 * Math.PI;
    const nx = Math.cos(turn);
    const ny = Math.sin(turn);
    if (seenOf(surface, part, { x: x + nx * r, y: y + ny * r, z, nx, ny }) !== "hidden") return true;
  }
  return false;
}

type Seen = Stroke["kind"] | "hidden";

function follow(surface: Surface, part: number, samples: readonly Sample[], closed: boolean, strokes: Stroke[]): void {
  const seen = samples.map((sample) => seenOf(surface, part, sample));
  const n = samples.length;
  for (let i = closed ? 0 : 1; i < (closed ? n : n - 1); i++) {
    const before = seen[(i + n - 1) % n]!;
    if (seen[i] !== before && before === seen[(i + 1) % n]) seen[i] = before;
  }
  // A ring is begun where its state changes, so that no stroke is cut at an arbitrary place.
  let start = 0;
  if (closed) {
    start = seen.findIndex((state, i) => state !== seen[(i + n - 1) % n]);
    if (start < 0) {
      if (seen[0] !== "hidden") strokes.push({ kind: seen[0]!, points: [...samples, samples[0]!].map((s) => [s.x, s.y]) });
      return;
    }
  }
  let open: Stroke | undefined;
  for (let i = 0; i < n; i++) {
    const k = (start + i) % n;
    const state = seen[k]!;
    const point: Point = [samples[k]!.x, samples[k]!.y];
    if (state === "hidden") open = undefined;
    else if (open && open.kind === state) open.points.push(point);
    else {
      const before: Point | undefined = open?.points.at(-1);
      open = { kind: state, points: before ? [before, point] : [point] };
      strokes.push(open);
    }
  }
}

function seenOf(surface: Surface, part: number, { x, y, z, nx, ny }: Sample): Seen {
  const own = surface.parts[part]!;
  if (x < 0 || y < 0 || x > surface.camera.width || y > surface.camera.height) return "hidden";
  for (const cut of surface.cuts[part]!) if (cut.x * x + cut.y * y + cut.z * z > cut.c) return "hidden";
  // What hid the last sample probably hides this one.
  const last = surface.shapes[hider];
  if (last && frontOf(last, x, y) > z + COVER) return "hidden";
  for (const index of shapesNear(surface, x, y)) {
    const shape = surface.shapes[index]!;
    // Nearest first: from here on nothing can hide it.
    if (shape.nearest <= z + COVER) break;
    if (frontOf(shape, x, y) > z + COVER) {
      hider = index;
      return "hidden";
    }
  }
  const bx = x + nx * BEYOND;
  const by = y + ny * BEYOND;
  let behind = -Infinity;
  let behindPart = -1;
  for (const index of shapesNear(surface, bx, by)) {
    const shape = surface.shapes[index]!;
    if (shape.nearest <= behind) break;
    const depth = frontOf(shape, bx, by);
    if (depth > behind) {
      behind = depth;
      behindPart = shape.part;
    }
  }
  if (behindPart < 0) return "outer";
  const other = surface.parts[behindPart]!;
  const joined =
    behindPart === part ? own.joins.includes(own.id) || own.step > 0 : own.joins.includes(other.id) || other.joins.includes(own.id);
  if (joined && z - behind < Math.max(own.step, other.step) * surface.camera.scale) return "hidden";
  return "inner";
}

/** Strokes of one kind whose ends meet become one, so that curves run through. */
function joined(strokes: readonly Stroke[]): Stroke[] {
  const NEAR = 6;
  const buckets = new Map<string, Set<Stroke>>();
  const bucket = (p: Point) => `${Math.floor(p[0] / 6)} ${Math.floor(p[1] / 6)}`;
  const put = (stroke: Stroke) => {
    for (const end of [stroke.points[0]!, stroke.points.at(-1)!]) {
      const key = bucket(end);
      const set = buckets.get(key);
      if (set) set.add(stroke);
      else buckets.set(key, new Set([stroke]));
    }
  };
  const take = (stroke: Stroke) => {
    for (const end of [stroke.points[0]!, stroke.points.at(-1)!]) buckets.get(bucket(end))?.delete(stroke);
  };
  const nearestTo = (end: Point, way: Point, kind: Stroke["kind"], not: Stroke) => {
    let found: Stroke | undefined;
    let gap = NEAR;
    for (let i = -1; i <= 1; i++)
      for (let j = -1; j <= 1; j++)
        for (const other of buckets.get(`${Math.floor(end[0] / 6) + i} ${Math.floor(end[1] / 6) + j}`) ?? []) {
          if (other === not || other.kind !== kind) continue;
          for (const reversed of [false, true]) {
            const p = reversed ? other.points.at(-1)! : other.points[0]!;
            const d = Math.hypot(p[0] - end[0], p[1] - end[1]);
            if (d < gap && (d < 2.4 || leadsOn(way, end, p, other.points, reversed))) {
              gap = d;
              found = other;
            }
          }
        }
    return found;
  };
  const done: Stroke[] = [];
  const left = new Set(strokes.filter((stroke) => stroke.points.length > 1));
  left.forEach(put);
  for (const first of left) {
    if (!left.delete(first)) continue;
    take(first);
    let stroke = first;
    for (const end of ["tail", "head"] as const) {
      for (;;) {
        const place = end === "tail" ? stroke.points.at(-1)! : stroke.points[0]!;
        const other = nearestTo(place, endWay(stroke.points, end === "head"), stroke.kind, stroke);
        if (!other) break;
        left.delete(other);
        take(other);
        const [head, tail] = [other.points[0]!, other.points.at(-1)!];
        const flip = Math.hypot(head[0] - place[0], head[1] - place[1]) > Math.hypot(tail[0] - place[0], tail[1] - place[1]);
        const onward = flip ? [...other.points].reverse() : other.points;
        stroke =
          end === "tail"
            ? { kind: stroke.kind, points: [...stroke.points, ...onward] }
            : { kind: stroke.kind, points: [...onward.slice().reverse(), ...stroke.points] };
      }
    }
    done.push(stroke);
  }
  return done.filter(({ points }) => pathLength(points) > 4);
}

/** The direction in which a line leaves at one of its ends. */
function endWay(points: readonly Point[], atHead: boolean): Point {
  const last = atHead ? points[0]! : points.at(-1)!;
  const inner = (atHead ? points[Math.min(2, points.length - 1)] : points[Math.max(0, points.length - 3)])!;
  const long = Math.hypot(last[0] - inner[0], last[1] - inner[1]) || 1;
  return [(last[0] - inner[0]) / long, (last[1] - inner[1]) / long];
}

/** Whether a line that begins a little further on continues this one instead of crossing it. */
function leadsOn(way: Point, end: Point, start: Point, points: readonly Point[], reversed: boolean): boolean {
  const [x, y] = endWay(points, !reversed);
  const gap = Math.hypot(start[0] - end[0], start[1] - end[1]);
  const ahead = ((start[0] - end[0]) * way[0] + (start[1] - end[1]) * way[1]) / gap;
  return ahead > 0.4 && -(x * way[0] + y * way[1]) > 0.4;
}

const pathLength = (points: readonly Point[]) =>
  points.reduce((sum, p, i) => (i ? sum + Math.hypot(p[0] - points[i - 1]![0], p[1] - points[i - 1]![1]) : 0), 0);

export function strokePath(strokes: readonly Stroke[], kind: Stroke["kind"]): string {
  return strokes
    .filter((stroke) => stroke.kind === kind)
    .map(({ points }) => {
      const [first, last] = [points[0]!, points.at(-1)!];
      const closed = points.length > 6 && Math.hypot(first[0] - last[0], first[1] - last[1]) < 6;
      return curve(thinned(softened(points, 1, false), 0.38)) + (closed ? "z" : "");
    })
    .join("");
}

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
      const slack = partIds.has(surface.parts[shape.part]!.id) ? lift : COVER + 0.4;
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
