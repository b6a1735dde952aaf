/** From the map of the surface to filled shapes: marching squares (Lorensen and Cline 1987, in the plane) over a field of numbers. */
import { softened, thinnedCurve, type Point } from "./svg-path";

export interface Grid {
  cell: number;
  left: number;
  top: number;
  columns: number;
  rows: number;
}

/**
 * For each of the 16 ways four corners can lie inside (top left 8, top right 4, bottom right 2, bottom left 1): from which edge to which
 * the border runs, the inside on its right hand. Edges: 0 top, 1 right, 2 bottom, 3 left.
 */
const BORDERS: readonly (readonly number[])[] = [
  [],
  [2, 3],
  [1, 2],
  [1, 3],
  [0, 1],
  [0, 3, 2, 1],
  [0, 2],
  [0, 3],
  [3, 0],
  [2, 0],
  [3, 2, 1, 0],
  [1, 0],
  [3, 1],
  [2, 1],
  [3, 2],
  [],
];

/** Of each row of a map, from which column to which there may be something; the first is after the last where there is nothing. */
export interface Spans {
  from: Int16Array;
  to: Int16Array;
}

export function emptySpans({ columns, rows }: Pick<Grid, "columns" | "rows">): Spans {
  return { from: new Int16Array(rows).fill(columns), to: new Int16Array(rows).fill(-1) };
}

/** From the cell before to the last one that has something in a row or in the one below: what lies between two of them is there. */
export function spanOfTwo({ from, to }: Spans, row: number): [first: number, last: number] {
  const below = Math.min(row + 1, from.length - 1);
  return [Math.max(0, Math.min(from[row]!, from[below]!) - 1), Math.max(to[row]!, to[below]!)];
}

/** Where a field is above a value. */
export function spansAbove({ columns, rows }: Pick<Grid, "columns" | "rows">, field: Float32Array | Int16Array, least: number): Spans {
  const spans = emptySpans({ columns, rows });
  for (let row = 0; row < rows; row++) {
    const start = row * columns;
    let from = 0;
    while (from < columns && !(field[start + from]! > least)) from++;
    if (from === columns) continue;
    let to = columns - 1;
    while (!(field[start + to]! > least)) to--;
    spans.from[row] = from;
    spans.to[row] = to;
  }
  return spans;
}

/** Kept between calls: pictures are drawn many times a second. */
let next = new Int32Array(0);
let placeX = new Float32Array(0);
let placeY = new Float32Array(0);

/**
 * Outlines of the region where the field is above 0, as closed rings in pixels. A border crosses between two samples in proportion to
 * their values, so smooth fields give smooth edges. Beyond the map the field is −1.
 *
 * @param field one number a cell, row by row
 * @param spans the cells outside which the field is known to be below 0; looked for when left out
 * @param exact where borders cross between a cell and its right and lower neighbour, for a field that only says inside and outside
 */
export function rings(
  grid: Grid,
  field: Float32Array,
  spans: Spans = spansAbove(grid, field, 0),
  exact?: { across: Float32Array; down: Float32Array },
): Point[][] {
  const { cell, columns, rows, left, top } = grid;
  // The map is framed by one cell all round. Edge 2i starts at sample i and goes right, edge 2i + 1 goes down.
  const wide = columns + 2;
  const size = 2 * wide * (rows + 2);
  if (next.length < size) {
    // Every ring that is followed leaves −1 behind it.
    next = new Int32Array(size).fill(-1);
    placeX = new Float32Array(size);
    placeY = new Float32Array(size);
  }
  const starts: number[] = [];
  for (let row = -1; row < rows; row++) {
    const [hasAbove, hasBelow] = [row >= 0, row + 1 < rows];
    const first = Math.min(hasAbove ? spans.from[row]! : columns, hasBelow ? spans.from[row + 1]! : columns) - 1;
    const last = Math.max(hasAbove ? spans.to[row]! : -1, hasBelow ? spans.to[row + 1]! : -1);
    if (last < first) continue;
    const above = row * columns;
    let topLeft = first >= 0 && hasAbove ? field[above + first]! : -1;
    let bottomLeft = first >= 0 && hasBelow ? field[above + columns + first]! : -1;
    for (let column = first; column <= last; column++) {
      const inside = column + 1 < columns;
      const topRight = inside && hasAbove ? field[above + column + 1]! : -1;
      const bottomRight = inside && hasBelow ? field[above + columns + column + 1]! : -1;
      const state = (topLeft > 0 ? 8 : 0) | (topRight > 0 ? 4 : 0) | (bottomRight > 0 ? 2 : 0) | (bottomLeft > 0 ? 1 : 0);
      if (state !== 0 && state !== 15) {
        const sample = (row + 1) * wide + column + 1;
        const borders = BORDERS[state]!;
        for (let i = 0; i < borders.length; i += 2) {
          const from = crossing(borders[i]!, sample, wide, column, row, cell, topLeft, topRight, bottomRight, bottomLeft, exact, columns);
          const to = crossing(borders[i + 1]!, sample, wide, column, row, cell, topLeft, topRight, bottomRight, bottomLeft, exact, columns);
          next[from] = to;
          starts.push(from);
        }
      }
      topLeft = topRight;
      bottomLeft = bottomRight;
    }
  }
  const found: Point[][] = [];
  for (const start of starts) {
    const ring: Point[] = [];
    for (let edge = start; next[edge]! >= 0;) {
      ring.push([left + placeX[edge]!, top + placeY[edge]!]);
      const onward = next[edge]!;
      next[edge] = -1;
      edge = onward;
    }
    if (ring.length > 3) found.push(ring);
  }
  return found;
}

/** Notes where the border crosses one edge of a square and returns the edge. */
function crossing(
  edge: number,
  sample: number,
  wide: number,
  column: number,
  row: number,
  cell: number,
  topLeft: number,
  topRight: number,
  bottomRight: number,
  bottomLeft: number,
  exact: { across: Float32Array; down: Float32Array } | undefined,
  columns: number,
): number {
  const x = (column + 0.5) * cell;
  const y = (row + 0.5) * cell;
  const index = edge === 0 ? 2 * sample : edge === 3 ? 2 * sample + 1 : edge === 2 ? 2 * (sample + wide) : 2 * (sample + 1) + 1;
  const from = edge === 0 || edge === 3 ? topLeft : edge === 2 ? bottomLeft : topRight;
  const to = edge === 0 ? topRight : edge === 3 ? bottomLeft : bottomRight;
  const [cellColumn, cellRow] = [edge === 1 ? column + 1 : column, edge === 2 ? row + 1 : row];
  const inMap = exact && cellColumn >= 0 && cellRow >= 0 && cellColumn < columns;
  const known = inMap ? (edge === 0 || edge === 2 ? exact.across : exact.down)[cellRow * columns + cellColumn] : undefined;
  const share = (known ?? from / (from - to)) * cell;
  placeX[index] = edge === 0 || edge === 2 ? x + share : edge === 1 ? x + cell : x;
  placeY[index] = edge === 1 || edge === 3 ? y + share : edge === 2 ? y + cell : y;
  return index;
}

/** Rings as one smooth filled path. */
export function regionPath(outlines: readonly Point[][], tolerance: number, rounds = 2): string {
  return outlines.map((ring) => thinnedCurve(softened(ring, rounds, true), tolerance, true)).join("");
}
