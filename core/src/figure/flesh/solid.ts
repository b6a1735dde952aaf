/**
 * What a body is made of: balls, joined in pairs by rods (a ball swept from one to the other) and in threes by sheets. Everything
 * round is built from these three, so that one depth test and one outline serve hands, sleeves and hammers alike.
 */
import type { Frame, Vector } from "../vector";
import { at } from "../vector";

export type Tone =
  | "skin"
  | "helper"
  | "shirt"
  | "lining"
  | "trousers"
  | "hair"
  | "cuffLeft"
  | "cuffRight"
  | "nail"
  | "wood"
  | "woodSide"
  | "metal"
  | "rubber"
  | "cloth"
  | "tape";

export interface Ball {
  at: Vector;
  radius: number;
}
/** Only the side that `away` points from is kept: { p : (p − at) · away ≤ 0 }. */
export interface Cut {
  at: Vector;
  away: Vector;
}
/** A flat convex patch, e.g. a table top. */
export interface Face {
  corners: readonly Vector[];
  tone: Tone;
}
/** A line or a small patch drawn on the surface: a crease, a wrinkle, a hem, a nail. */
export interface SurfaceMark {
  kind: "crease" | "wrinkle" | "seam" | "stripe" | "nail" | "feature" | "dot";
  points: readonly Vector[];
  /** Shown only while this faces the viewer; left out for a line that goes round. */
  facing?: Vector;
}
export interface Part {
  /** `right:index`, `trunk`, `table` … */
  id: string;
  tone: Tone;
  balls: Ball[];
  rods: (readonly [number, number])[];
  sheets: (readonly [number, number, number])[];
  faces: Face[];
  cuts: Cut[];
  marks: SurfaceMark[];
  /** Parts this one grows out of: no line where they meet smoothly. */
  joins: string[];
  /** Millimetres one surface must stand before the other, where they join, to get a line. */
  step: number;
}

/** Puts a part together, ball by ball. */
export class PartBuilder {
  readonly part: Part;

  constructor(id: string, tone: Tone, { joins = [], step = 5 }: { joins?: string[]; step?: number } = {}) {
    this.part = { id, tone, balls: [], rods: [], sheets: [], faces: [], cuts: [], marks: [], joins, step };
  }

  ball(place: Vector, radius: number): number {
    return this.part.balls.push({ at: place, radius }) - 1;
  }

  ballIn(frame: Frame, x: number, y: number, z: number, radius: number): number {
    return this.ball(at(frame, x, y, z), radius);
  }

  /** Rods from each ball to the next. */
  chain(...balls: number[]): this {
    for (let i = 1; i < balls.length; i++) this.part.rods.push([balls[i - 1]!, balls[i]!]);
    return this;
  }

  /** Skin over a polygon of balls (fan from the first), with its edges. */
  skin(...balls: number[]): this {
    for (let i = 2; i < balls.length; i++) this.part.sheets.push([balls[0]!, balls[i - 1]!, balls[i]!]);
    this.chain(...balls, balls[0]!);
    return this;
  }

  /** Rows of two balls, skinned into a flat tube. */
  tube(rows: readonly (readonly [number, number])[]): this {
    rows.forEach(([left, right], i) => {
      if (left !== right) this.chain(left, right);
      const next = rows[i + 1];
      if (!next) return;
      this.chain(left, next[0]).chain(right, next[1]);
      this.part.sheets.push([left, right, next[1]], [left, next[1], next[0]]);
    });
    return this;
  }

  cut(place: Vector, away: Vector): this {
    this.part.cuts.push({ at: place, away });
    return this;
  }

  mark(kind: SurfaceMark["kind"], points: readonly Vector[], facing?: Vector): this {
    this.part.marks.push({ kind, points, facing });
    return this;
  }

  face(tone: Tone, ...corners: Vector[]): this {
    this.part.faces.push({ tone, corners });
    return this;
  }
}
