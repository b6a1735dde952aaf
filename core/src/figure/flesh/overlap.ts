/** How deep one body enters another: what a picture must not show, because people copy it. */
import type { Part } from "./solid";
import { between, distance, dot, subtract, type Vector } from "../vector";

export interface Overlap {
  /** Ids of the two parts, e.g. `right:index` and `left:palm`. */
  one: string;
  other: string;
  /** Millimetres one stands inside the other. */
  mm: number;
}

interface Sample {
  at: Vector;
  radius: number;
}

/** Samples lie at most this share of their radius apart, so that nothing slips through between two. */
const APART = 0.6;

/** A part as balls close beside each other: along its rods and over its sheets. */
function samplesOf({ balls, rods, sheets, cuts }: Part): Sample[] {
  const samples: Sample[] = balls.map(({ at, radius }) => ({ at, radius }));
  const mixed = (a: number, b: number, share: number): Sample => ({
    at: between(balls[a]!.at, balls[b]!.at, share),
    radius: balls[a]!.radius + (balls[b]!.radius - balls[a]!.radius) * share,
  });
  for (const [a, b] of rods) {
    const count = Math.ceil(distance(balls[a]!.at, balls[b]!.at) / (APART * Math.max(4, Math.min(balls[a]!.radius, balls[b]!.radius))));
    for (let i = 1; i < count; i++) samples.push(mixed(a, b, i / count));
  }
  for (const [a, b, c] of sheets) {
    const long = Math.max(distance(balls[a]!.at, balls[b]!.at), distance(balls[a]!.at, balls[c]!.at));
    const count = Math.ceil(long / Math.max(4, Math.min(balls[a]!.radius, balls[b]!.radius, balls[c]!.radius)));
    for (let i = 1; i < count; i++)
      for (let j = 1; i + j < count; j++) {
        const [u, v] = [i / count, j / count];
        const w = 1 - u - v;
        const [p, q, r] = [balls[a]!, balls[b]!, balls[c]!];
        samples.push({
          at: [p.at[0] * w + q.at[0] * u + r.at[0] * v, p.at[1] * w + q.at[1] * u + r.at[1] * v, p.at[2] * w + q.at[2] * u + r.at[2] * v],
          radius: p.radius * w + q.radius * u + r.radius * v,
        });
      }
  }
  return cuts.length === 0 ? samples : samples.filter(({ at }) => cuts.every((cut) => dot(subtract(at, cut.at), cut.away) <= 0));
}

const HAND = /^(right|left):(palm|index|middle|ring|little|thumb)$/;
const ARM = /^(right|left):(palm|index|middle|ring|little|thumb|forearm|upper)$/;
const LOWER_ARM = /^(right|left):(palm|index|middle|ring|little|thumb|forearm)$/;
const BODY = /^(trunk|shirtTail|neck|head|(right|left):(leg|foot))$/;
const sideOf = (id: string) => id.slice(0, id.indexOf(":"));

/** Pairs that are never inside each other, unless one holds the other. */
function kept(one: string, other: string): boolean {
  if (ARM.test(one) && ARM.test(other)) {
    if (sideOf(one) !== sideOf(other)) return true;
    // The thumb passes beside the fingers, not through them.
    return one.endsWith(":thumb") && HAND.test(other) && !other.endsWith(":palm");
  }
  if (BODY.test(one) && LOWER_ARM.test(other)) return true;
  return false;
}

/**
 * Every pair of parts that enters each other deeper than `least` millimetres, the deepest first. A tool in the hand that holds it is not
 * looked at; a table top is entered by what lies under it.
 *
 * @param parts a body as it is drawn
 */
export function overlapsOf(parts: readonly Part[], least = 6): Overlap[] {
  const known = new Map<Part, Sample[]>();
  const samples = (part: Part) => {
    const found = known.get(part);
    if (found) return found;
    const made = samplesOf(part);
    known.set(part, made);
    return made;
  };
  const found: Overlap[] = [];
  for (const one of parts)
    for (const other of parts) {
      if (one === other || !(kept(one.id, other.id) && !(kept(other.id, one.id) && one.id > other.id))) continue;
      let mm = 0;
      for (const a of samples(one))
        for (const b of samples(other)) {
          const reach = a.radius + b.radius - mm;
          const dx = a.at[0] - b.at[0];
          if (dx > reach || dx < -reach) continue;
          const dy = a.at[1] - b.at[1];
          if (dy > reach || dy < -reach) continue;
          const dz = a.at[2] - b.at[2];
          if (dx * dx + dy * dy + dz * dz < reach * reach) mm = a.radius + b.radius - Math.hypot(dx, dy, dz);
        }
      if (mm > least) found.push({ one: one.id, other: other.id, mm });
    }
  for (const table of parts.filter((part) => part.balls.length === 0 && part.faces.length > 0)) {
    const corners = table.faces.flatMap((face) => face.corners);
    const range = (axis: 0 | 1 | 2) => [Math.min(...corners.map((c) => c[axis])), Math.max(...corners.map((c) => c[axis]))] as const;
    const [x, y, z] = [range(0), range(1), range(2)];
    const stands = z[1] - z[0] < y[1] - y[0];
    const within = (value: number, [least, most]: readonly [number, number]) => value >= least && value <= most;
    for (const part of parts) {
      if (!ARM.test(part.id) && part.id !== "trunk") continue;
      let mm = 0;
      for (const { at, radius } of samples(part)) {
        if (!within(at[0], x)) continue;
        // A table is entered from above; a wall from whichever side the body is on.
        if (stands && within(at[1], y)) mm = Math.max(mm, Math.min(at[2] + radius - z[0], z[1] - (at[2] - radius)));
        if (!stands && within(at[2], z) && at[1] >= y[0] - 40) mm = Math.max(mm, y[1] - (at[1] - radius));
      }
      if (mm > least) found.push({ one: table.id, other: part.id, mm });
    }
  }
  return found.sort((a, b) => b.mm - a.mm);
}
