/** Plain shapes that things are made of. Millimetres. */
import { PartBuilder, type Part, type Tone } from "./solid";
import { at, scale, type Frame, type Vector } from "../vector";

export function rod(id: string, tone: Tone, radius: number, ...points: Vector[]): Part {
  const builder = new PartBuilder(id, tone, { step: 3 });
  builder.chain(...points.map((p) => builder.ball(p, radius)));
  return builder.part;
}

/** A disc with flat sides: a cylinder along x of the frame. */
export function disc(id: string, tone: Tone, frame: Frame, from: number, to: number, radius: number): Part {
  const builder = new PartBuilder(id, tone, { joins: [id], step: 99 });
  const swell = radius;
  builder.chain(builder.ballIn(frame, from - swell, 0, 0, radius), builder.ballIn(frame, to + swell, 0, 0, radius));
  for (const [x, way] of [
    [from, -1],
    [to, 1],
  ] as const) {
    const rim = Array.from({ length: 29 }, (_, i) =>
      at(frame, x, Math.cos((i / 28) * 2 * Math.PI) * radius, Math.sin((i / 28) * 2 * Math.PI) * radius),
    );
    builder.cut(at(frame, x, 0, 0), scale(frame.x, way)).mark("seam", rim);
    builder.face(tone, ...rim.slice(1));
  }
  return builder.part;
}

export function box(id: string, top: Tone, side: Tone, low: Vector, high: Vector): Part {
  const builder = new PartBuilder(id, top, { step: 99 });
  const [x0, y0, z0] = low;
  const [x1, y1, z1] = high;
  const quad = (tone: Tone, ...corners: Vector[]) => builder.face(tone, ...corners).mark("seam", [...corners, corners[0]!]);
  quad(top, [x0, y1, z0], [x1, y1, z0], [x1, y1, z1], [x0, y1, z1]);
  quad(side, [x0, y0, z1], [x1, y0, z1], [x1, y1, z1], [x0, y1, z1]);
  quad(side, [x0, y0, z0], [x1, y0, z0], [x1, y1, z0], [x0, y1, z0]);
  quad(side, [x1, y0, z0], [x1, y0, z1], [x1, y1, z1], [x1, y1, z0]);
  quad(side, [x0, y0, z0], [x0, y0, z1], [x0, y1, z1], [x0, y1, z0]);
  return builder.part;
}

/** A box in any frame, by its half sizes. */
export function slab(id: string, tone: Tone, frame: Frame, [hx, hy, hz]: Vector): Part {
  const builder = new PartBuilder(id, tone, { step: 99 });
  const corner = (x: number, y: number, z: number) => at(frame, x * hx, y * hy, z * hz);
  const quad = (...corners: Vector[]) => builder.face(tone, ...corners).mark("seam", [...corners, corners[0]!]);
  for (const s of [1, -1] as const) {
    const round = (corners: Vector[]) => quad(...(s === 1 ? corners : corners.reverse()));
    round([corner(1, s, 1), corner(1, s, -1), corner(-1, s, -1), corner(-1, s, 1)]);
    round([corner(s, 1, 1), corner(s, -1, 1), corner(s, -1, -1), corner(s, 1, -1)]);
    round([corner(1, 1, s), corner(-1, 1, s), corner(-1, -1, s), corner(1, -1, s)]);
  }
  return builder.part;
}
