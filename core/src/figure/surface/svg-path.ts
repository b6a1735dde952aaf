/** Points → SVG path text: thinned out, smoothed into curves, one decimal. */
export type Point = readonly [x: number, y: number];

export function number(value: number): string {
  // Put together from whole numbers: writing out a fraction takes many times as long, and a picture has thousands.
  const tenths = Math.round(value * 10);
  const size = tenths < 0 ? -tenths : tenths;
  const whole = (size / 10) | 0;
  const rest = size - whole * 10;
  return (tenths < 0 ? "-" : "") + (rest === 0 ? whole : whole === 0 ? `.${rest}` : `${whole}.${rest}`);
}
const pair = (p: Point) => `${number(p[0])} ${number(p[1])}`;

/** Leaves out points that lie within `tolerance` of the line through their neighbours (Ramer 1972, Douglas and Peucker 1973). */
export function thinned(points: readonly Point[], tolerance: number): Point[] {
  if (points.length < 3) return [...points];
  const keep = new Uint8Array(points.length);
  keep[0] = keep[points.length - 1] = 1;
  const open: [number, number][] = [[0, points.length - 1]];
  while (open.length) {
    const [from, to] = open.pop()!;
    const [ax, ay] = points[from]!;
    const dx = points[to]![0] - ax;
    const dy = points[to]![1] - ay;
    const long = Math.hypot(dx, dy);
    let worst = tolerance;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const x = points[i]![0] - ax;
      const y = points[i]![1] - ay;
      const off = long < 1e-6 ? Math.hypot(x, y) : Math.abs(x * dy - y * dx) / long;
      if (off > worst) {
        worst = off;
        at = i;
      }
    }
    if (at > 0) {
      keep[at] = 1;
      open.push([from, at], [at, to]);
    }
  }
  return points.filter((_, i) => keep[i]);
}

/** Each point moved to the middle of itself and its neighbours; ends stay. */
export function softened(points: readonly Point[], rounds: number, closed: boolean): Point[] {
  const n = points.length;
  if (n === 0) return [];
  // Plain numbers while it goes round and round: pictures are drawn many times a second.
  const xs = new Float64Array(n);
  const ys = new Float64Array(n);
  points.forEach((p, i) => {
    xs[i] = p[0];
    ys[i] = p[1];
  });
  for (let round = 0; round < rounds; round++) {
    let [beforeX, beforeY] = [xs[n - 1]!, ys[n - 1]!];
    const [firstX, firstY] = [xs[0]!, ys[0]!];
    for (let i = 0; i < n; i++) {
      const [x, y] = [xs[i]!, ys[i]!];
      const isEnd = i === 0 || i === n - 1;
      if (closed || !isEnd) {
        const [afterX, afterY] = i === n - 1 ? [firstX, firstY] : [xs[i + 1]!, ys[i + 1]!];
        xs[i] = (beforeX + 2 * x + afterX) / 4;
        ys[i] = (beforeY + 2 * y + afterY) / 4;
      }
      beforeX = x;
      beforeY = y;
    }
  }
  return points.map((_, i): Point => [xs[i]!, ys[i]!]);
}

/**
 * A smooth curve through what is left of points when they are thinned out. It stands no further off the way between two of them than
 * what was taken away may have done, so that an edge stays straight up to its corner.
 * @param tolerance pixels
 */
export function thinnedCurve(points: readonly Point[], tolerance: number, closed = false): string {
  if (!closed) return curve(thinned(points, tolerance), false, tolerance);
  // A closed line is thinned in two halves so that its start is not special.
  const half = points.length >> 1;
  const [forth, back] = [thinned(points.slice(0, half + 1), tolerance), thinned([...points.slice(half), points[0]!], tolerance)];
  return curve([...forth, ...back.slice(1, -1)], true, tolerance);
}

/**
 * A smooth curve through the points (Catmull-Rom as cubic curves). Sharp turns stay sharp. Written relative, which is half as long.
 * @param mostBulge pixels each end may lift it off the straight way between two points
 */
export function curve(points: readonly Point[], closed = false, mostBulge = Infinity): string {
  if (points.length < 2) return "";
  const n = points.length;
  const at = (i: number) => (closed ? points[(i + n) % n]! : points[Math.max(0, Math.min(n - 1, i))]!);
  // What has been written so far, rounded as it was written, so that errors do not add up.
  let x = Math.round(points[0]![0] * 10) / 10;
  let y = Math.round(points[0]![1] * 10) / 10;
  let text = `M${number(x)} ${number(y)}`;
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const gap = Math.hypot(c[0] - b[0], c[1] - b[1]);
    const first = tangent(a, b, c, c, gap, mostBulge);
    const second = tangent(b, c, d, b, gap, mostBulge);
    const dx = Math.round((c[0] - x) * 10) / 10;
    const dy = Math.round((c[1] - y) * 10) / 10;
    text += relative("c", [b[0] + first[0] - x, b[1] + first[1] - y, c[0] - second[0] - x, c[1] - second[1] - y, dx, dy]);
    x += dx;
    y += dy;
  }
  return closed ? `${text}z` : text;
}

const MINUS = "-".charCodeAt(0);
/** Numbers after a letter; a minus sign needs no space before it. */
function relative(letter: string, values: readonly number[]): string {
  let text = letter;
  for (let i = 0; i < values.length; i++) {
    const written = number(values[i]!);
    text += i === 0 || written.charCodeAt(0) === MINUS ? written : ` ${written}`;
  }
  return text;
}

/** What a handle at one end of a cubic curve lifts its middle by, as a share of its own height. */
const BULGE_OF_HANDLE = 4 / 9;

/**
 * A third of the way from b on, along the line from a to c, and less where that would stand off the way between the points; nothing
 * where the line turns back on itself.
 */
function tangent(a: Point, b: Point, c: Point, to: Point, gap: number, mostBulge: number): Point {
  const x = c[0] - a[0];
  const y = c[1] - a[1];
  const long = Math.hypot(x, y);
  const turn = (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]);
  const both = Math.hypot(b[0] - a[0], b[1] - a[1]) * Math.hypot(c[0] - b[0], c[1] - b[1]);
  if (long < 1e-6 || gap < 1e-6 || (both > 1e-6 && turn / both < 0.35)) return [0, 0];
  const sine = Math.abs(x * (to[1] - b[1]) - y * (to[0] - b[0])) / (long * gap);
  const third = gap / 3;
  const handle = BULGE_OF_HANDLE * sine * third > mostBulge ? mostBulge / (BULGE_OF_HANDLE * sine) : third;
  return [(x / long) * handle, (y / long) * handle];
}

export function polygon(points: readonly Point[]): string {
  return points.length < 3 ? "" : `M${points.map(pair).join("L")}z`;
}
