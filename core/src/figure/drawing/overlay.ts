/** What is drawn besides the body: the ghost of the start, the way of a landmark, signs for turning and for force. */
import { bonesOf, type Bones } from "../body/bones";
import { project, projectDirection, type Camera } from "../surface/camera";
import type { Figure } from "../figure";
import { landmark, pivotOf, type Landmark } from "../flesh/landmarks";
import { poseAlong } from "../motion/motion";
import { curve, number, softened, type Point } from "../surface/svg-path";
import { otherSide, SIDE_NAMES, type Pose, type SideName } from "../body/pose";
import { regionPath, rings } from "../surface/regions";
import { posedFor, type Scene } from "./scene";
import { surfaceOf, type Surface } from "../surface/surface";
import { ACCENT } from "../flesh/tones";
import { across, add, at, between, cross, distance, dot, scale, turnY, unit, type Vector } from "../vector";

/** Millimetres a part has to travel to leave a ghost. */
const LEAVES_GHOST_MM = 14;
/** What a start position may be drawn upon: it would be hidden behind these. */
const BROAD = /^(trunk|shirtTail|neck|head|hair|(right|left):(leg|sleeve))$/;

/** Millimetres a start position must have stood before what moves now to be drawn upon it. */
const STANDS_BEFORE_MM = 25;

/** What follows the limb and tells nothing by itself. */
const STAYS = /^(trunk|shirtTail|hair|(right|left):sleeve)$/;

/**
 * The start position of everything that moved, as one pale dashed shape. It stands before trunk and head, for there it would be hidden,
 * and behind whatever moves.
 */
export function ghost(start: Scene, now: Scene, helper: SideName | undefined, shown: Surface, cell: number, pen: number): string {
  const laterOf = new Map(now.parts.map((part) => [part.id, part]));
  const moved = start.parts.filter((part) => {
    if (part.faces.length > 0 || STAYS.test(part.id) || (helper && part.id.startsWith(`${helper}:`))) return false;
    const later = laterOf.get(part.id);
    return !later || part.balls.some((ball, k) => !later.balls[k] || distance(ball.at, later.balls[k].at) > LEAVES_GHOST_MM);
  });
  if (moved.length === 0) return "";
  const surface = surfaceOf(moved, shown.camera, cell);
  const { columns, left, top, owner } = surface;
  const broad = shown.shapes.map((shape) => BROAD.test(shown.parts[shape.part]!.id));
  const field = new Float32Array(owner.length);
  for (let i = 0; i < field.length; i++) {
    field[i] = -1;
    if (owner[i]! < 0) continue;
    const column = Math.floor((left + ((i % columns) + 0.5) * cell - shown.left) / shown.cell);
    const row = Math.floor((top + (Math.floor(i / columns) + 0.5) * cell - shown.top) / shown.cell);
    const inside = column >= 0 && row >= 0 && column < shown.columns && row < shown.rows;
    const front = inside ? shown.owner[row * shown.columns + column]! : -1;
    const nearer = inside && surface.depth[i]! > shown.depth[row * shown.columns + column]! + STANDS_BEFORE_MM * shown.camera.scale;
    if (front < 0 || broad[front] || nearer) field[i] = 1;
  }
  const d = regionPath(rings(surface, field), 1, 3);
  return `<path class="ghost" d="${d}" fill="#FFFDF8" fill-opacity=".07" stroke="#5f5a4d" stroke-width="${number(1.7 * pen)}" stroke-dasharray="${number(6 * pen)} ${number(4.5 * pen)}"/>`;
}

/** A round whose radius is less, in a picture 600 wide, is drawn so large. */
const SMALL_ROUND = 44;

/** The way a landmark takes through the poses, moved a little outward, with an arrow at its end. */
export function arc(figure: Figure, camera: Camera, side: SideName, name: Landmark, pen: number): string {
  // A round is drawn a little short of closed, so that its arrow shows the way.
  const spans = figure.way === "round" ? figure.poses.length * 0.86 : (figure.cover ?? figure.poses.length - 1);
  const whose = figure.arcOf === "helping" ? otherSide(side) : side;
  const sides = figure.both && !["head", "nose", "clasp"].includes(name) ? SIDE_NAMES : [whose];
  const count = Math.max(14, Math.round(spans * 9));
  const moments = Array.from({ length: count + 1 }, (_, i) => {
    const pose = posedFor(poseAlong(figure.poses, (i / count) * spans, figure.way), side);
    return bonesOf(name === "clasp" ? pose : withoutIdle(pose, sides));
  });
  return sides
    .map((each) => {
      // A round is moved out from its own middle, everything else from the joint it turns about.
      const places = moments.map((bones) => project(camera, landmark(bones, each, name)));
      const centre = scale(places.reduce(add), 1 / places.length);
      const pivots =
        figure.way === "round" ? places.map(() => centre) : moments.map((bones) => project(camera, pivotOf(bones, each, name)));
      const off = places.map(([x, y], i) => Math.hypot(x - pivots[i]![0], y - pivots[i]![1]) || 1);
      const usual = off.reduce((sum, each) => sum + each, 0) / off.length;
      const isSmallRound = figure.way === "round" && name !== "clasp" && usual < SMALL_ROUND * pen;
      const track = places.map(([x, y], i): Point => {
        const [px, py] = pivots[i]!;
        const away = off[i]!;
        // What passes close to its pivot is moved out less, or the way would break into corners.
        const out = away + 26 * pen * Math.min(1, away / (60 * pen));
        // A small round would be all arrow head.
        const k = name === "clasp" ? 1 : (isSmallRound ? (away + usual) * ((SMALL_ROUND * pen) / (2 * usual)) : out) / away;
        return [px + (x - px) * k, py + (y - py) * k];
      });
      return arrow(softened(track, 2, false), pen);
    })
    .join("");
}

/** A pose without an arm that none of these sides rests on: it need not be solved. */
function withoutIdle(pose: Pose, sides: readonly SideName[]): Pose {
  const [only] = sides;
  if (sides.length > 1 || !only || pose[only]?.touch?.part.startsWith("other")) return pose;
  const { [otherSide(only)]: _, ...rest } = pose;
  return rest;
}

/** Turning about a length, and the force of a hand. */
export function signs(figure: Figure, start: Bones, now: Bones, camera: Camera, side: SideName, pen: number): string {
  return (figure.signs ?? [])
    .map((sign) => {
      if (sign.kind === "turn") return turnArrows(figure, sign.about, start, now, camera, side, pen);
      const hands = sign.hand === "both" ? SIDE_NAMES : [sign.hand === "worked" ? side : otherSide(side)];
      return hands
        .map((each) => {
          const [wx, wy, wz] = sign.way;
          // Written for the right side; a hand of the other side that does the same goes the mirrored way.
          const mirroredNow = (side === "left") !== (sign.hand === "both" && each !== side);
          const [dx, dy] = projectDirection(camera, [mirroredNow ? -wx : wx, wy, wz]);
          const long = Math.hypot(dx, dy);
          if (long < 0.05) return "";
          const [ux, uy] = [dx / long, dy / long];
          const [x, y] = project(camera, landmark(now, each, sign.at));
          const reach = 74 * pen;
          const near = 16 * pen;
          const ends = [near, near + reach / 2, near + reach];
          const track =
            sign.kind === "pull"
              ? ends.map((t): Point => [x + ux * t, y + uy * t])
              : ends.reverse().map((t): Point => [x - ux * t, y - uy * t]);
          return arrow(broughtIn(track, camera, 16 * pen), pen, 1.5);
        })
        .join("");
    })
    .join("");
}

/** Degrees a shoulder blade has to sink from one step to the next to be pointed at: as an outline alone it can hardly be seen. */
const SINKS_DEG = 6;
/** Millimetres from the shoulder joint up to above the skin. */
const ABOVE_SHOULDER_MM = 62;

/** A short arrow down on the shoulder, where its blade sinks. */
export function sinkingBlade(start: Bones, now: Bones, camera: Camera, side: SideName, pen: number): string {
  const raise = ({ pose }: Bones) => pose[side]?.girdleRaise ?? 0;
  if (raise(start) - raise(now) < SINKS_DEG) return "";
  const [x, y] = project(camera, add(landmark(now, side, "shoulder"), [0, ABOVE_SHOULDER_MM, 0]));
  return arrow(
    [52, 34, 8].map((above): Point => [x, y - above * pen]),
    pen,
  );
}

/** Moved as a whole so that it lies inside the picture. */
function broughtIn(track: readonly Point[], { width, height }: Camera, margin: number): Point[] {
  const off = (values: number[], most: number) =>
    Math.max(0, margin - Math.min(...values)) - Math.max(0, Math.max(...values) - (most - margin));
  const dx = off(
    track.map(([x]) => x),
    width,
  );
  const dy = off(
    track.map(([, y]) => y),
    height,
  );
  return track.map(([x, y]): Point => [x + dx, y + dy]);
}

/** Millimetres from the length it goes round. */
const RING_MM = { forearm: 66, head: 150, trunk: 240 } as const;

function turnArrows(
  figure: Figure,
  about: keyof typeof RING_MM,
  start: Bones,
  now: Bones,
  camera: Camera,
  side: SideName,
  pen: number,
): string {
  const radius = RING_MM[about];
  const ring = (o: Vector, axis: Vector, from: Vector, to: Vector): string => {
    // The way from one direction to the other, the short way round, seen on the half that faces the viewer.
    const [a, b] = [unit(across(from, axis)), unit(across(to, axis))];
    const sign = dot(cross(a, b), axis) < 0 ? -1 : 1;
    const x = unit(across(camera.near, axis));
    const y = scale(cross(axis, x), sign);
    const half = 1.75;
    const track = Array.from({ length: 25 }, (_, i): Point => {
      const turn = -half + (2 * half * i) / 24;
      const [px, py] = project(camera, add(o, add(scale(x, Math.cos(turn) * radius), scale(y, Math.sin(turn) * radius))));
      return [px, py];
    });
    return arrow(track, pen);
  };
  if (about === "head") return ring(at(now.head, 0, 190, 0), now.head.y, start.head.z, now.head.z);
  if (about === "trunk") return ring(at(now.trunk, 0, -120, 0), now.trunk.y, start.trunk.z, now.trunk.z);
  const sides = figure.both ? SIDE_NAMES : [side];
  return sides
    .map((each) => {
      const [before, later] = [start.arms[each], now.arms[each]];
      if (!before || !later) return "";
      // As the forearm turned in itself, not as the arm was carried.
      const turned = later.solved.pronation - before.solved.pronation;
      if (Math.abs(turned) < 5) return "";
      const from = turnY(later.wrist, turned);
      return ring(between(later.fore.o, later.wrist.o, 0.52), later.fore.y, from.z, later.wrist.z);
    })
    .join("");
}

/** @param pen what a pixel of a picture 600 wide is in this one */
export function arrow(track: readonly Point[], pen: number, bold = 1): string {
  const long = track.reduce((sum, p, i) => (i ? sum + Math.hypot(p[0] - track[i - 1]![0], p[1] - track[i - 1]![1]) : 0), 0);
  if (long < 22 * pen) return "";
  const tip = track.at(-1)!;
  const thick = pen * bold;
  let k = track.length - 2;
  while (k > 0 && Math.hypot(tip[0] - track[k]![0], tip[1] - track[k]![1]) < 14 * thick) k--;
  const before = track[k]!;
  const gap = Math.hypot(tip[0] - before[0], tip[1] - before[1]) || 1;
  const [ux, uy] = [(tip[0] - before[0]) / gap, (tip[1] - before[1]) / gap];
  const point = (along: number, aside: number) => `${number(tip[0] + ux * along - uy * aside)} ${number(tip[1] + uy * along + ux * aside)}`;
  const head = `M${point(11 * thick, 0)}L${point(-8 * thick, 10 * thick)}L${point(-8 * thick, -10 * thick)}z`;
  const line = curve(track.slice(0, Math.max(2, k + 1)).concat(k + 1 < track.length ? [tip] : []));
  const light = `stroke="#FFFDF8" stroke-linecap="round" stroke-linejoin="round"`;
  const width = number(4.5 * thick);
  return (
    `<path d="${line}" fill="none" ${light} stroke-width="${number(9 * thick)}"/><path d="${head}" fill="#FFFDF8" ${light} stroke-width="${width}"/>` +
    `<path class="arc" d="${line}" fill="none" stroke="${ACCENT}" stroke-width="${width}" stroke-linecap="round"/><path d="${head}" fill="${ACCENT}"/>`
  );
}
