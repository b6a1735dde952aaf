import fc from "fast-check";
import { axesOf, framing, project, VIEWS, type Camera } from "../surface/camera";
import { draw } from "./drawing";
import { contoursOf, strokePath } from "../surface/outline";
import { curve, thinned, thinnedCurve, type Point } from "../surface/svg-path";
import { regionPath, rings, spansAbove } from "../surface/regions";
import { PartBuilder, type Part } from "../flesh/solid";
import { frontAt, surfaceOf } from "../surface/surface";
import type { Vector } from "../vector";

const camera: Camera = { ...axesOf({ yaw: 0, pitch: 0 }), centre: [0, 0, 0], scale: 1, width: 200, height: 160 };
const ball = (id: string, at: Vector, radius: number): Part => {
  const builder = new PartBuilder(id, "skin", { step: 5 });
  builder.ball(at, radius);
  return builder.part;
};
const rod = (from: Vector, fromRadius: number, to: Vector, toRadius: number): Part => {
  const builder = new PartBuilder("rod", "skin", { step: 5 });
  builder.chain(builder.ball(from, fromRadius), builder.ball(to, toRadius));
  return builder.part;
};

const linesOf = (surface: ReturnType<typeof surfaceOf>) => contoursOf(surface).strokes;

describe("the surface", () => {
  it("of a ball stands its radius before its middle and is nowhere outside it", () => {
    const surface = surfaceOf([ball("a", [0, 0, 10], 30)], camera, 2);
    expect(frontAt(surface, 100, 80).depth).toBeCloseTo(40, 4);
    expect(frontAt(surface, 129, 80).depth).toBeGreaterThan(10);
    expect(frontAt(surface, 131, 80).shape).toBe(-1);
  });

  it("of a rod is that of its swept ball, wherever it points", () => {
    const coordinate = fc.double({ min: -50, max: 50, noNaN: true });
    const place = fc.tuple(coordinate, coordinate, coordinate);
    const radius = fc.double({ min: 5, max: 25, noNaN: true });
    fc.assert(
      fc.property(place, radius, place, radius, coordinate, coordinate, (from, fromRadius, to, toRadius, x, y) => {
        // A ball that swallows the other is only looked at from its ends.
        fc.pre(Math.hypot(to[0] - from[0], to[1] - from[1]) > Math.abs(toRadius - fromRadius) + 1);
        const surface = surfaceOf([rod(from, fromRadius, to, toRadius)], camera, 4);
        let swept = -Infinity;
        for (let i = 0; i <= 400; i++) {
          const t = i / 400;
          const r = fromRadius + (toRadius - fromRadius) * t;
          const [cx, cy, cz] = [0, 1, 2].map((k) => from[k]! + (to[k]! - from[k]!) * t) as [number, number, number];
          const inside = r * r - (x - cx) ** 2 - (y - cy) ** 2;
          if (inside >= 0) swept = Math.max(swept, cz + Math.sqrt(inside));
        }
        const { depth } = frontAt(surface, 100 + x, 80 - y);
        if (swept === -Infinity) return;
        expect(depth).toBeGreaterThanOrEqual(swept - 0.02);
        expect(depth).toBeLessThan(swept + 0.6);
      }),
    );
  });

  it("cannot be seen where it was cut away", () => {
    const part = rod([-40, 0, 0], 20, [40, 0, 0], 20);
    part.cuts.push({ at: [0, 0, 0], away: [1, 0, 0] });
    const surface = surfaceOf([part], camera, 2);
    expect(frontAt(surface, 80, 80).shape).toBeGreaterThanOrEqual(0);
    expect(frontAt(surface, 120, 80).shape).toBe(-1);
  });

  const HAIRS = [-1e-6, 0, 1e-6].flatMap((dx) => [-1e-6, 0, 1e-6].map((dy) => [dx, dy] as const));
  it("is the same in the map as at the exact place, for rods and sheets, whole and cut", () => {
    const coordinate = fc.double({ min: -60, max: 60, noNaN: true });
    const place = fc.tuple(coordinate, coordinate, coordinate);
    const radius = fc.double({ min: 6, max: 25, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(place, place, place), fc.tuple(radius, radius, radius), fc.boolean(), (places, radii, isCut) => {
        const builder = new PartBuilder("flesh", "skin", { step: 5 });
        const [a, b, c] = places.map((at, i) => builder.ball(at, radii[i]!)) as [number, number, number];
        builder.chain(a, b);
        builder.skin(a, b, c);
        if (isCut) builder.part.cuts.push({ at: [5, 0, 0], away: [0.8, 0.6, 0] });
        const { depth, owner, spans, columns, rows, left, top, cell, ...surface } = surfaceOf([builder.part], camera, 4);
        for (let row = 0; row < rows; row++)
          for (let column = 0; column < columns; column++) {
            const i = row * columns + column;
            const [x, y] = [left + (column + 0.5) * cell, top + (row + 0.5) * cell];
            if (owner[i]! >= 0) expect([spans.from[row]! <= column, column <= spans.to[row]!]).toEqual([true, true]);
            if (x < 0 || y < 0 || x >= camera.width || y >= camera.height) continue;
            // On an edge one of the two may be a hair beside it: then the other's answer stands a hair away.
            const exact = HAIRS.map(
              ([dx, dy]) => frontAt({ ...surface, depth, owner, spans, columns, rows, left, top, cell }, x + dx, y + dy).depth,
            );
            // On the wall of a rod that points at the viewer it may be anywhere between what a hair tells on either side.
            expect(depth[i]).toBeGreaterThanOrEqual(Math.min(...exact) - 0.05);
            expect(depth[i]).toBeLessThanOrEqual(Math.max(...exact) + 0.05);
          }
      }),
      { numRuns: 60 },
    );
  });
});

describe("lines", () => {
  it("go round what is in front and not round what is behind it", () => {
    const alone = linesOf(surfaceOf([ball("front", [0, 0, 0], 40)], camera, 2));
    expect(alone.map(({ kind }) => kind)).toEqual(["outer"]);
    const hiding = linesOf(surfaceOf([ball("front", [0, 0, 60], 40), ball("behind", [0, 0, -60], 20)], camera, 2));
    expect(hiding).toHaveLength(1);
    const before = linesOf(surfaceOf([ball("back", [0, 0, -60], 40), ball("front", [0, 0, 60], 20)], camera, 2));
    expect(before.map(({ kind }) => kind).sort()).toEqual(["inner", "outer"]);
  });

  it("close round every body, however coarse the map, and lie on its true edge", () => {
    for (const cell of [2, 4, 7]) {
      const [outer] = linesOf(surfaceOf([ball("a", [10, 5, 0], 40)], camera, cell));
      expect(outer!.closed).toBe(true);
      for (const [x, y] of outer!.points) expect(Math.abs(Math.hypot(x - 110, y - 75) - 40)).toBeLessThan(cell / 8 + 0.1);
    }
  });

  it("end on the line they meet: a part before another one's edge", () => {
    const strokes = linesOf(surfaceOf([ball("back", [0, 0, -60], 40), ball("front", [40, 0, 60], 20)], camera, 2));
    const inner = strokes.find(({ kind }) => kind === "inner")!;
    const outer = strokes.filter(({ kind }) => kind === "outer").flatMap(({ points }) => points);
    for (const end of [inner.points[0]!, inner.points.at(-1)!])
      expect(Math.min(...outer.map(([x, y]) => Math.hypot(x - end[0], y - end[1])))).toBeLessThan(2.1);
  });

  it("are lighter where the nearer body only helps", () => {
    const helper: Part = { ...ball("helper", [0, 0, 60], 20), tone: "helper" };
    const strokes = linesOf(surfaceOf([ball("back", [0, 0, -60], 40), helper], camera, 2));
    expect(strokes.map(({ kind, light }) => [kind, light]).sort()).toEqual([
      ["inner", true],
      ["outer", false],
    ]);
    expect(strokePath(strokes, "inner", false)).toBe("");
    expect(strokePath(strokes, "inner", true)).toMatch(/^M.*z$/);
  });

  it("are not drawn where parts of one body run into each other", () => {
    const [a, b] = [rod([-40, 0, 0], 20, [0, 0, 0], 20), rod([0, 0, 0], 20, [40, 0, 0], 20)];
    Object.assign(b, { id: "other", joins: ["rod"] });
    expect(linesOf(surfaceOf([a, b], camera, 2)).every(({ kind }) => kind === "outer")).toBe(true);
  });

  it("keep every point within the tolerance when thinned", () => {
    const wave: Point[] = Array.from({ length: 200 }, (_, i) => [i, 20 * Math.sin(i / 15)]);
    const kept = thinned(wave, 0.5);
    expect(kept.length).toBeLessThan(80);
    for (const [x, y] of wave) {
      const after = kept.findIndex((p) => p[0] >= x);
      const [b, a] = [kept[after]!, kept[Math.max(0, after - 1)]!];
      const line = b[0] === a[0] ? a[1] : a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]);
      expect(Math.abs(line - y)).toBeLessThan(0.9);
    }
  });
});

describe("regions", () => {
  const grid = { cell: 2, columns: 60, rows: 50, left: 0, top: 0 };
  const field = (value: (x: number, y: number) => number) =>
    Float32Array.from({ length: grid.columns * grid.rows }, (_, i) => value(((i % 60) + 0.5) * 2, (Math.floor(i / 60) + 0.5) * 2));
  const area = (ring: readonly Point[]) =>
    Math.abs(ring.reduce((sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - ring[(i + 1) % ring.length]![0] * y, 0) / 2);

  it("have the area of the field they are traced from", () => {
    const [disc] = rings(
      grid,
      field((x, y) => 30 - Math.hypot(x - 60, y - 50)),
    );
    expect(area(disc!)).toBeCloseTo(Math.PI * 900, -1.5);
  });

  it("with a hole have two rings, and the path closes both", () => {
    const found = rings(
      grid,
      field((x, y) => 8 - Math.abs(25 - Math.hypot(x - 60, y - 50))),
    );
    expect(found).toHaveLength(2);
    expect(regionPath(found, 0.4).match(/z/g)).toHaveLength(2);
  });

  it("are the same where it is told which cells of each row may be inside", () => {
    const wavy = field((x, y) => Math.sin(x / 9) + Math.cos(y / 7) - 0.4);
    const whole = { from: new Int16Array(grid.rows), to: new Int16Array(grid.rows).fill(grid.columns - 1) };
    expect(rings(grid, wavy, spansAbove(grid, wavy, 0))).toEqual(rings(grid, wavy, whole));
    expect(rings(grid, wavy)).toEqual(rings(grid, wavy, whole));
  });

  it("that are empty draw nothing", () =>
    expect(
      rings(
        grid,
        field(() => -1),
      ),
    ).toEqual([]));
});

it("frames everything it is given, in the middle", () => {
  const balls = [
    { at: [-120, 40, 30] as Vector, radius: 20 },
    { at: [200, -300, 90] as Vector, radius: 45 },
  ];
  for (const view of Object.values(VIEWS)) {
    const framed = framing(view, balls, { width: 600, height: 450 }, 30);
    for (const { at, radius } of balls) {
      const [x, y] = project(framed, at);
      for (const [value, most] of [
        [x, 600],
        [y, 450],
      ] as const) {
        expect(value - radius * framed.scale).toBeGreaterThanOrEqual(29.9);
        expect(value + radius * framed.scale).toBeLessThanOrEqual(most - 29.9);
      }
    }
  }
});

describe("a curve through what is left of points", () => {
  /** Places along the cubic curves of a path, in pixels. */
  const along = (path: string): Point[] => {
    let [x, y] = /^M(\S+) (\S+?)c/.exec(path)!.slice(1).map(Number) as [number, number];
    return [...path.matchAll(/c([^cz]*)/g)].flatMap(([, values]) => {
      const [ax, ay, bx, by, dx, dy] = values!.match(/-?(?:\d+\.?\d*|\.\d+)/g)!.map(Number) as [
        number,
        number,
        number,
        number,
        number,
        number,
      ];
      const places = Array.from({ length: 9 }, (_, i): Point => {
        const [t, u] = [i / 8, 1 - i / 8];
        const [p, q, r] = [3 * u * u * t, 3 * u * t * t, t * t * t];
        return [x + p * ax + q * bx + r * dx, y + p * ay + q * by + r * dy];
      });
      x += dx;
      y += dy;
      return places;
    });
  };
  const edge = (from: Point, to: Point) =>
    Array.from({ length: 40 }, (_, i): Point => [from[0] + ((to[0] - from[0]) * i) / 40, from[1] + ((to[1] - from[1]) * i) / 40]);

  it("keeps an edge straight up to its corner, also where the corner is blunt", () => {
    for (const corner of [20, 60, 90]) {
      const turn = (corner * Math.PI) / 180;
      const end: Point = [200 + 200 * Math.cos(turn), 200 * Math.sin(turn)];
      const path = thinnedCurve([...edge([0, 0], [200, 0]), ...edge([200, 0], end), end], 0.3);
      // A corner so blunt may have been a bow; it is rounded by no more than would have been thinned away.
      for (const [x, y] of along(path)) if (x < 150) expect(Math.abs(y)).toBeLessThan(0.7);
    }
  });

  it("still rounds a circle", () => {
    const circle = Array.from({ length: 120 }, (_, i): Point => [100 + 80 * Math.cos(i / 19.1), 100 + 80 * Math.sin(i / 19.1)]);
    const path = thinnedCurve(circle, 0.3, true);
    expect(path.match(/,| |-/g)!.length).toBeLessThan(400);
    for (const [x, y] of along(path)) expect(Math.abs(Math.hypot(x - 100, y - 100) - 80)).toBeLessThan(0.5);
  });
});

it("draws curves without a number that is none", () => {
  expect(curve([[0, 0]])).toBe("");
  const { svg } = draw([ball("a", [0, 0, 0], 30)], camera, "sand", 2, undefined);
  expect(svg.body + svg.lines).not.toMatch(/NaN|Infinity|undefined/);
});
