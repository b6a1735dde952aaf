import fc from "fast-check";
import { axesOf, framing, project, VIEWS, type Camera } from "../surface/camera";
import { draw } from "./drawing";
import { contoursOf, strokePath } from "../surface/outline";
import { curve, thinned, type Point } from "../surface/svg-path";
import { regionPath, rings } from "../surface/regions";
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

it("draws curves without a number that is none", () => {
  expect(curve([[0, 0]])).toBe("");
  const { svg } = draw([ball("a", [0, 0, 0], 30)], camera, "sand", 2, undefined);
  expect(svg.body + svg.lines).not.toMatch(/NaN|Infinity|undefined/);
});
