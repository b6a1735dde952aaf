/** Solids seen by a camera → SVG elements. Fill, shade, marks, lines, letters: in that order, each from the same surface. */
import type { ArmBones } from "../body/skeleton";
import type { Bones } from "../body/bones";
import { project, type Camera } from "../surface/camera";
import { contoursOf, facesViewer, strokePath, visibleRuns } from "../surface/outline";
import type { Crossings } from "../surface/strokes";
import { number, polygon, thinnedCurve, type Point } from "../surface/svg-path";
import { SIDE_NAMES, type SideName } from "../body/pose";
import { emptySpans, regionPath, rings, type Spans } from "../surface/regions";
import type { Part, Tone } from "../flesh/solid";
import { frontAt, surfaceOf, toneOf, type Surface } from "../surface/surface";
import { colourOf, INK, type Skin } from "../flesh/tones";

export interface Drawing {
  surface: Surface;
  /** SVG elements: the coloured body, then its lines and letters. Marks on the skin go between the two. */
  svg: { body: string; lines: string };
}

/** Below this the surface is in shade; 1 faces the light. */
const SHADE_BELOW = 0.12;

export function draw(parts: readonly Part[], camera: Camera, skin: Skin, cell: number, bones: Bones | undefined, bold = 1): Drawing {
  const surface = surfaceOf(parts, camera, cell);
  const line = Math.max(1, Math.min(1.9, 0.9 + camera.scale * 0.5)) * Math.max(0.5, camera.width / 600) * bold;
  const { strokes, crossings } = contoursOf(surface);
  const stroke = (kind: "inner" | "outer", width: number) => weighed(kind, false, width) + weighed(kind, true, width * 0.55);
  const weighed = (kind: "inner" | "outer", light: boolean, width: number) => {
    const d = strokePath(strokes, kind, light);
    return (
      d && `<path d="${d}" fill="none" stroke="${INK}" stroke-width="${number(width)}" stroke-linecap="round" stroke-linejoin="round"/>`
    );
  };
  return {
    surface,
    svg: {
      body: fills(surface, skin, crossings) + shade(surface),
      lines: marks(surface, skin, line) + stroke("inner", line) + stroke("outer", line * 1.75) + (bones ? cuffLetters(surface, bones) : ""),
    },
  };
}

/** One path a tone. */
function fills(surface: Surface, skin: Skin, crossings: Crossings): string {
  const { owner, columns, rows, cell, spans } = surface;
  const tones = new Map<Tone, Spans & { number: number }>();
  const toneAt = surface.shapes.map((_, i) => {
    const tone = toneOf(surface, i)!;
    let known = tones.get(tone);
    if (!known) tones.set(tone, (known = { number: tones.size, ...emptySpans(surface) }));
    return known;
  });
  const numbers = Int16Array.from(toneAt, ({ number: each }) => each);
  for (let row = 0; row < rows; row++)
    for (let column = spans.from[row]!; column <= spans.to[row]!; column++) {
      const shape = owner[row * columns + column]!;
      if (shape < 0) continue;
      const { from, to } = toneAt[shape]!;
      if (column < from[row]!) from[row] = column;
      to[row] = column;
    }
  const field = fields(owner.length)[0].fill(-1);
  let svg = "";
  for (const [tone, own] of tones) {
    for (let row = 0; row < rows; row++)
      for (let i = row * columns + own.from[row]!; i <= row * columns + own.to[row]!; i++)
        if (owner[i]! >= 0 && numbers[owner[i]!] === own.number) field[i] = 1;
    const colour = colourOf(tone, skin);
    const d = regionPath(rings(surface, field, own, crossings), 0.6);
    for (let row = 0; row < rows; row++)
      if (own.to[row]! >= 0) field.fill(-1, row * columns + own.from[row]!, row * columns + own.to[row]! + 1);
    if (d === "") continue;
    svg += `<path d="${d}" fill="${colour}" stroke="${colour}" stroke-width="${number(cell * 0.7)}" stroke-linejoin="round"/>`;
  }
  return svg;
}

/** The side turned from the light, as one darker tone over everything. */
function shade(surface: Surface): string {
  const d = regionPath(rings(surface, unlit(surface), surface.spans), 1.2, 3);
  return `<path d="${d}" fill="#4a2412" fill-opacity=".17"/>`;
}

/** Kept between calls: pictures are drawn many times a second. */
let kept: [Float32Array, Float32Array, Float32Array] = [new Float32Array(0), new Float32Array(0), new Float32Array(0)];

/** @returns fields of numbers, of any content */
function fields(length: number): typeof kept {
  if (kept[0].length !== length) kept = [new Float32Array(length), new Float32Array(length), new Float32Array(length)];
  return kept;
}

/**
 * How far the light is below what is shade, −1 where there is nothing. It is averaged over a few cells, so that the facets of flat skin do
 * not show; empty cells take no part. The answer is only good until the next call.
 */
function unlit({ owner, light, columns, rows, cell, camera, spans }: Surface): Float32Array {
  const reach = Math.max(1, Math.round((9 * camera.scale) / cell));
  const [field, sums, counts] = fields(owner.length);
  field.fill(-1);
  const from = spans.from.map((column) => Math.max(0, column - reach));
  const to = spans.to.map((column) => (column < 0 ? -1 : Math.min(columns - 1, column + reach)));
  // Sums over 2 · reach + 1 cells of each row, and then over as many rows.
  for (let row = 0; row < rows; row++) {
    const start = row * columns;
    let [sum, count] = [0, 0];
    for (let column = from[row]! - reach; column <= to[row]!; column++) {
      const [entering, leaving] = [column + reach, column - reach - 1];
      if (entering < columns && entering >= 0 && owner[start + entering]! >= 0) {
        sum += light[start + entering]!;
        count++;
      }
      if (column < from[row]!) continue;
      if (leaving >= from[row]! && owner[start + leaving]! >= 0) {
        sum -= light[start + leaving]!;
        count--;
      }
      sums[start + column] = sum;
      counts[start + column] = count;
    }
  }
  const columnSums = new Float64Array(columns);
  const columnCounts = new Float64Array(columns);
  for (let row = -reach; row < rows; row++) {
    const [entering, leaving] = [row + reach, row - reach - 1];
    if (entering < rows)
      for (let column = from[entering]!; column <= to[entering]!; column++) {
        columnSums[column]! += sums[entering * columns + column]!;
        columnCounts[column]! += counts[entering * columns + column]!;
      }
    if (row < 0) continue;
    if (leaving >= 0)
      for (let column = from[leaving]!; column <= to[leaving]!; column++) {
        columnSums[column]! -= sums[leaving * columns + column]!;
        columnCounts[column]! -= counts[leaving * columns + column]!;
      }
    for (let column = spans.from[row]!; column <= spans.to[row]!; column++)
      if (owner[row * columns + column]! >= 0) field[row * columns + column] = SHADE_BELOW - columnSums[column]! / columnCounts[column]!;
  }
  return field;
}

function marks(surface: Surface, skin: Skin, line: number): string {
  const { scale } = surface.camera;
  let nails = "";
  const lines = { crease: "", wrinkle: "", seam: "", feature: "", stripe: "" };
  let dots = "";
  for (const part of surface.parts) {
    if (part.marks.length === 0) continue;
    const own = new Set([part.id, ...part.joins]);
    for (const mark of part.marks) {
      if (mark.facing && !facesViewer(surface, mark.facing, mark.kind === "nail" ? 0.1 : 0.3)) continue;
      if (mark.kind === "nail") {
        const points = mark.points.map((p) => project(surface.camera, p));
        const visible = points.filter(([x, y, z]) => !hiddenBehind(surface, part.id, x, y, z, 2.5));
        if (visible.length >= points.length * 0.8) nails += polygon(points.map(([x, y]): Point => [x, y]));
        continue;
      }
      if (mark.kind === "dot") {
        const [x, y, z] = project(surface.camera, mark.points[0]!);
        if (!hiddenBehind(surface, part.id, x, y, z, 14 * scale))
          dots += `<circle cx="${number(x)}" cy="${number(y)}" r="${number(4.6 * scale)}" fill="${INK}"/>`;
        continue;
      }
      const lift = mark.kind === "seam" || mark.kind === "stripe" ? 5 * scale : mark.kind === "feature" ? 14 * scale : 4 * scale;
      for (const run of visibleRuns(surface, mark.points, own, lift)) lines[mark.kind] += thinnedCurve(run, 0.25);
    }
  }
  const path = (d: string, width: number, opacity: number) =>
    d && `<path d="${d}" fill="none" stroke="${INK}" stroke-width="${number(width)}" stroke-opacity="${opacity}" stroke-linecap="round"/>`;
  return (
    (nails &&
      `<path d="${nails}" fill="${colourOf("nail", skin)}" stroke="${INK}" stroke-width="${number(line * 0.5)}" stroke-opacity=".7"/>`) +
    (lines.stripe &&
      `<path d="${lines.stripe}" fill="none" stroke="#FFFDF8" stroke-width="${number(Math.max(1, 3 * scale))}" stroke-linecap="butt"/>`) +
    path(lines.wrinkle, line * 0.7, 0.45) +
    path(lines.crease, line * 0.85, 0.6) +
    path(lines.seam, line, 1) +
    path(lines.feature, line, 0.8) +
    dots
  );
}

function hiddenBehind(surface: Surface, partId: string, x: number, y: number, z: number, slack: number): boolean {
  const front = frontAt(surface, x, y);
  if (front.shape < 0) return false;
  const own = surface.parts[surface.shapes[front.shape]!.part]!.id === partId;
  return front.depth > z + (own ? slack : 1);
}

/** Strokes of the letters on a 10 × 12 field. */
const LETTERS: Readonly<Record<SideName, string>> = {
  left: "M2 0V12H9",
  right: "M2 12V0H5.5A3.2 3.2 0 0 1 5.5 6.4H2M5 6.4L9 12",
};

function cuffLetters(surface: Surface, bones: Bones): string {
  const taken: Point[] = [];
  return SIDE_NAMES.map((side) => (bones.arms[side] ? cuffLetter(surface, side, bones.arms[side], taken) : "")).join("");
}

/** On the cuff where enough of it can be seen, otherwise on a small tag beside the wrist. */
function cuffLetter(surface: Surface, side: SideName, arm: ArmBones, taken: Point[]): string {
  const { camera } = surface;
  const most = Math.max(8, 21 * camera.scale);
  const seen = cuffSeen(surface, `${side}:cuff`);
  const onCuff = [1, 0.85, 0.7].map((share) => share * most).find((high) => seen.holds(high));
  const clear = onCuff !== undefined;
  const high = onCuff ?? most * 0.8;
  const k = high / 12;
  const [px, py] = clear ? [seen.x, seen.y] : tagPlace(surface, arm, high, taken);
  taken.push([px, py]);
  const colour = colourOf(side === "left" ? "cuffLeft" : "cuffRight", "sand");
  const tag = clear
    ? ""
    : `<circle cx="${number(px)}" cy="${number(py)}" r="${number(high * 0.95)}" fill="${colour}" stroke="${INK}" stroke-width="1"/>`;
  return `${tag}<path class="side-${side}" transform="translate(${number(px - 5 * k)} ${number(py - 6 * k)}) scale(${k.toFixed(2)})" d="${LETTERS[side]}" fill="none" stroke="#FFFDF8" stroke-width="2.3" stroke-linecap="round" stroke-linejoin="round"/>`;
}

/** The middle of what is seen of a cuff, and whether a letter of a height fits there. */
function cuffSeen(
  { owner, shapes, parts, columns, rows, cell, left, top, spans }: Surface,
  id: string,
): { x: number; y: number; holds(high: number): boolean } {
  const part = parts.findIndex((each) => each.id === id);
  const mine = shapes.map((shape) => shape.part === part);
  let x = 0;
  let y = 0;
  let count = 0;
  for (let row = 0; row < rows; row++)
    for (let column = spans.from[row]!; column <= spans.to[row]!; column++) {
      const shape = owner[row * columns + column]!;
      if (shape < 0 || !mine[shape]) continue;
      count += 1;
      x += column;
      y += row;
    }
  const [middleX, middleY] = [left + (x / count + 0.5) * cell, top + (y / count + 0.5) * cell];
  const isCuff = (px: number, py: number) => {
    const [column, row] = [Math.floor((px - left) / cell), Math.floor((py - top) / cell)];
    if (column < 0 || row < 0 || column >= columns || row >= rows) return false;
    const index = owner[row * columns + column]!;
    return index >= 0 && mine[index]!;
  };
  const holds = (high: number) =>
    count > 0 && [-0.4, 0, 0.4].every((dx) => [-0.5, 0, 0.5].every((dy) => isCuff(middleX + dx * high, middleY + dy * high)));
  return { x: middleX, y: middleY, holds };
}

/** Beside the wrist, inside the picture, where the ground is free if it is free anywhere near. */
function tagPlace(surface: Surface, arm: ArmBones, high: number, taken: readonly Point[]): Point {
  const { camera } = surface;
  const [wx, wy] = project(camera, arm.wrist.o);
  const inside = (value: number, most: number) => Math.max(high * 1.3, Math.min(most - high * 1.3, value));
  const free = (x: number, y: number) =>
    [0, high, -high].every((dx) => frontAt(surface, x + dx, y).shape < 0) &&
    taken.every((other) => Math.hypot(other[0] - x, other[1] - y) > 2.4 * high);
  for (let ring = 2.5; ring < 9; ring += 0.75)
    for (let i = 0; i < 16; i++) {
      const x = inside(wx + Math.cos((i / 16) * 2 * Math.PI) * ring * high, camera.width);
      const y = inside(wy + Math.sin((i / 16) * 2 * Math.PI) * ring * high, camera.height);
      if (free(x, y)) return [x, y];
    }
  return [inside(wx, camera.width), inside(wy, camera.height)];
}
