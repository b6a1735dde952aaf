/** What is drawn besides the body: the ghost of the start, the way of a landmark, the place where it should be felt. */
import { bonesOf, type Bones } from "../body/bones";
import { project, type Camera } from "../surface/camera";
import type { Figure } from "../figure";
import { FELT_AT, landmark, pivotOf, type Landmark } from "../flesh/landmarks";
import { poseAlong } from "../motion/motion";
import { curve, number, type Point } from "../surface/svg-path";
import { SIDE_NAMES, type SideName } from "../body/pose";
import { regionPath, rings } from "../surface/regions";
import { posedFor, type Scene } from "./scene";
import { surfaceOf, type Surface } from "../surface/surface";
import { ACCENT, FELT } from "../flesh/tones";
import { distance } from "../vector";

/** Millimetres a part has to travel to leave a ghost. */
const LEAVES_GHOST_MM = 14;

/** The start position of everything that moved, as one pale dashed shape. */
export function ghost(start: Scene, now: Scene, camera: Camera, cell: number): string {
  const laterOf = new Map(now.parts.map((part) => [part.id, part]));
  const moved = start.parts.filter((part) => {
    if (part.tone === "hair" || part.faces.length > 0) return false;
    const later = laterOf.get(part.id);
    return !later || part.balls.some((ball, k) => !later.balls[k] || distance(ball.at, later.balls[k].at) > LEAVES_GHOST_MM);
  });
  if (moved.length === 0) return "";
  const surface = surfaceOf(moved, camera, cell);
  const field = new Float32Array(surface.owner.length);
  for (let i = 0; i < field.length; i++) field[i] = surface.owner[i]! < 0 ? -1 : 1;
  const d = regionPath(rings(surface, field), 1, 3);
  return `<path class="ghost" d="${d}" fill="#8d8778" fill-opacity=".16" stroke="#8d8778" stroke-width="1.5" stroke-dasharray="6 5"/>`;
}

/** The way a landmark takes through the poses, moved a little outward, with an arrow at its end. */
export function arc(figure: Figure, camera: Camera, side: SideName, name: Landmark): string {
  // A round is drawn a little short of closed, so that its arrow shows the way.
  const spans = figure.way === "round" ? figure.poses.length * 0.86 : (figure.cover ?? figure.poses.length - 1);
  const sides = figure.both && name !== "head" ? SIDE_NAMES : [side];
  const count = Math.max(14, Math.round(spans * 9));
  const moments = Array.from({ length: count + 1 }, (_, i) =>
    bonesOf(posedFor(poseAlong(figure.poses, (i / count) * spans, figure.way), side)),
  );
  return sides
    .map((each) => {
      const track = moments.map((bones): Point => {
        const [x, y] = project(camera, landmark(bones, each, name));
        const [px, py] = project(camera, pivotOf(bones, each, name));
        const away = Math.hypot(x - px, y - py) || 1;
        const k = (away + 26) / away;
        return [px + (x - px) * k, py + (y - py) * k];
      });
      return arrow(track);
    })
    .join("");
}

function arrow(track: readonly Point[]): string {
  const long = track.reduce((sum, p, i) => (i ? sum + Math.hypot(p[0] - track[i - 1]![0], p[1] - track[i - 1]![1]) : 0), 0);
  if (long < 22) return "";
  const tip = track.at(-1)!;
  let k = track.length - 2;
  while (k > 0 && Math.hypot(tip[0] - track[k]![0], tip[1] - track[k]![1]) < 14) k--;
  const before = track[k]!;
  const gap = Math.hypot(tip[0] - before[0], tip[1] - before[1]) || 1;
  const [ux, uy] = [(tip[0] - before[0]) / gap, (tip[1] - before[1]) / gap];
  const point = (along: number, aside: number) => `${number(tip[0] + ux * along - uy * aside)} ${number(tip[1] + uy * along + ux * aside)}`;
  const head = `M${point(11, 0)}L${point(-8, 10)}L${point(-8, -10)}z`;
  const line = curve(track.slice(0, Math.max(2, k + 1)).concat(k + 1 < track.length ? [tip] : []));
  const light = `stroke="#FFFDF8" stroke-linecap="round" stroke-linejoin="round"`;
  return (
    `<path d="${line}" fill="none" ${light} stroke-width="9"/><path d="${head}" fill="#FFFDF8" ${light} stroke-width="4.5"/>` +
    `<path class="arc" d="${line}" fill="none" stroke="${ACCENT}" stroke-width="4.5" stroke-linecap="round"/><path d="${head}" fill="${ACCENT}"/>`
  );
}

/** A soft mark on the skin where a region is felt, in three steps from pale to full. */
export function felt(surface: Surface, bones: Bones, regions: readonly string[], sides: readonly SideName[]): string {
  const field = new Float32Array(surface.owner.length).fill(-1);
  for (const side of sides) for (const region of regions) feel(surface, bones, region, side, field);
  return steps(surface, field, 0.24);
}

/** The fewest cells of skin a region must show to be seen. */
const LEAST_SEEN = 24;

/** One region of one arm, as strong as asked for (0–1); and the middle of what can be seen of it, if any can. */
export function mark(surface: Surface, bones: Bones, region: string, side: SideName, strength: number): { svg: string; seenAt?: Point } {
  const whole = new Float32Array(surface.owner.length).fill(-1);
  feel(surface, bones, region, side, whole);
  // Its place is that of its first part: the belly of the muscle, not between belly and palm.
  const field = new Float32Array(surface.owner.length).fill(-1);
  feel(surface, bones, region, side, field, 1);
  const { cell, columns, left, top } = surface;
  let [count, sum, x, y] = [0, 0, 0, 0];
  field.forEach((value, i) => {
    if (value <= 0.2) return;
    count++;
    sum += value;
    x += value * (left + ((i % columns) + 0.5) * cell);
    y += value * (top + (Math.floor(i / columns) + 0.5) * cell);
  });
  if (count < LEAST_SEEN) return { svg: "" };
  return { svg: strength > 0 ? steps(surface, whole, 0.34 * strength) : "", seenAt: [x / sum, y / sum] };
}

/** Raises a field where a region's skin is: 1 in the middle, 0 at its rim. */
function feel(surface: Surface, bones: Bones, region: string, side: SideName, field: Float32Array, most = Infinity): void {
  const arm = bones.arms[side];
  const { camera, cell, columns, rows, owner, depth, left, top } = surface;
  const skin = surface.shapes.map((shape) => {
    const part = surface.parts[shape.part]!;
    const own = part.id.startsWith(side) || part.id === "trunk" || part.id === "neck";
    return own && (part.tone === "skin" || part.tone === "helper" || part.tone === "shirt");
  });
  for (const stretch of arm ? (FELT_AT[region]?.(arm, bones) ?? []).slice(0, most) : []) {
    const [ax, ay, az] = project(camera, stretch.from);
    const [bx, by, bz] = project(camera, stretch.to);
    const reach = stretch.radius * camera.scale;
    const long = (bx - ax) ** 2 + (by - ay) ** 2 + (bz - az) ** 2 || 1;
    const fromRow = Math.max(0, Math.floor((Math.min(ay, by) - reach - top) / cell));
    const toRow = Math.min(rows - 1, Math.ceil((Math.max(ay, by) + reach - top) / cell));
    const fromColumn = Math.max(0, Math.floor((Math.min(ax, bx) - reach - left) / cell));
    const toColumn = Math.min(columns - 1, Math.ceil((Math.max(ax, bx) + reach - left) / cell));
    for (let row = fromRow; row <= toRow; row++)
      for (let column = fromColumn; column <= toColumn; column++) {
        const i = row * columns + column;
        if (owner[i]! < 0 || !skin[owner[i]!]) continue;
        const x = left + (column + 0.5) * cell - ax;
        const y = top + (row + 0.5) * cell - ay;
        const z = depth[i]! - az;
        const share = Math.max(0, Math.min(1, (x * (bx - ax) + y * (by - ay) + z * (bz - az)) / long));
        const off = Math.hypot(x - share * (bx - ax), y - share * (by - ay), (z - share * (bz - az)) * 0.7);
        field[i] = Math.max(field[i]!, 1 - off / reach);
      }
  }
}

/** Three steps from pale to full. */
function steps(surface: Surface, field: Float32Array, opacity: number): string {
  let svg = "";
  for (const least of [0, 0.25, 0.5]) {
    const shifted = least === 0 ? field : field.map((value) => value - least);
    const d = regionPath(rings(surface, shifted), 1, 3);
    if (d) svg += `<path d="${d}" fill="${FELT}" fill-opacity="${number(opacity)}"/>`;
  }
  return svg && `<g class="felt">${svg}</g>`;
}
