/** Where a movement is felt, as a soft mark on the skin. */
import type { Bones } from "../body/bones";
import { project } from "../surface/camera";
import { FELT_AT } from "../flesh/landmarks";
import { number, type Point } from "../surface/svg-path";
import type { SideName } from "../body/pose";
import { regionPath, rings, spansAbove } from "../surface/regions";
import type { Surface } from "../surface/surface";
import { FELT, hatchOf, type Skin } from "../flesh/tones";

/** A soft mark on the skin where a region is felt, in three steps from pale to full. */
export function felt(surface: Surface, bones: Bones, regions: readonly string[], sides: readonly SideName[], skin: Skin): string {
  const field = new Float32Array(surface.owner.length).fill(-1);
  for (const side of sides) for (const region of regions) feel(surface, bones, region, side, field);
  return steps(surface, field, 0.24, skin);
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

/** Three steps from pale to full, hatched where a skin is given, so that it is seen on every skin and in grey. */
function steps(surface: Surface, field: Float32Array, opacity: number, skin?: Skin): string {
  let svg = "";
  const spans = spansAbove(surface, field, 0);
  // Its border runs between a row that has something of it and the one beside.
  const firstRow = spans.to.findIndex((last) => last >= 0) - 1;
  const lastRow = spans.to.findLastIndex((last) => last >= 0) + 1;
  const shifted = field.slice();
  for (const least of [0, 0.25, 0.5]) {
    for (let i = Math.max(0, firstRow * surface.columns); i < (lastRow + 1) * surface.columns; i++) shifted[i] = field[i]! - least;
    const d = regionPath(rings(surface, shifted, spans), 1, 3);
    if (d) svg += `<path d="${d}" fill="${FELT}" fill-opacity="${number(opacity)}"/>`;
  }
  return svg && `<g class="felt">${svg}${skin ? hatching(surface, field, skin) : ""}</g>`;
}

/** Slanting strokes over a field's middle. */
function hatching({ columns, rows, cell, left, top, camera }: Surface, field: Float32Array, skin: Skin): string {
  const pen = camera.width / 600;
  const every = Math.max(2, Math.round((7 * pen) / cell));
  let d = "";
  for (let sum = 0; sum < columns + rows; sum += every) {
    let from = -1;
    const place = (row: number) => `${number(left + (sum - row + 0.5) * cell)} ${number(top + (row + 0.5) * cell)}`;
    for (let row = Math.max(0, sum - columns + 1); row <= Math.min(rows, sum + 1); row++) {
      const column = sum - row;
      const inside = column >= 0 && row < rows && field[row * columns + column]! > 0.12;
      if (inside && from < 0) from = row;
      if (!inside && from >= 0) {
        if (row - from > 1) d += `M${place(from)}L${place(row - 1)}`;
        from = -1;
      }
    }
  }
  return (
    d &&
    `<path d="${d}" fill="none" stroke="${hatchOf(skin)}" stroke-width="${number(1.5 * pen)}" stroke-linecap="round" stroke-opacity=".85"/>`
  );
}
