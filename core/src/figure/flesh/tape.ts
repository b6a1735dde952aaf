/** Tape that supports a thumb. */
import { onForearm } from "../body/forearm";
import { THUMB_SIZE, type ArmBones } from "../body/skeleton";
import { PartBuilder, type Part } from "./solid";
import { at, between, scale, type Frame, type Vector } from "../vector";

/** Two strips: one along the back of the thumb, one round the wrist. */
const TAPE_HALF_MM = 8;
const TAPE_LIFT_MM = 2.5;
const TAPE_EDGE_MM = 0.8;

export function tapeParts(id: string, arm: ArmBones): Part[] {
  const { base, middle, end } = arm.digits.thumb;
  const strip = new PartBuilder(`${id}:strip`, "tape", { joins: [`${id}:strip`, `${id}:ring`], step: 4 });
  // A flat band a little above the skin: along the back of the thumb, and on to the thumb side of the forearm.
  const across = (frame: Frame, y: number, z: number): [Vector, Vector] => [at(frame, -TAPE_HALF_MM, y, z), at(frame, TAPE_HALF_MM, y, z)];
  const [ofBase, ofMiddle] = THUMB_SIZE.radii;
  const stations: [Vector, Vector][] = [
    [onForearm(arm, 0.9, 315, TAPE_LIFT_MM), onForearm(arm, 0.9, 352, TAPE_LIFT_MM)],
    [onForearm(arm, 0.98, 318, TAPE_LIFT_MM), onForearm(arm, 0.98, 355, TAPE_LIFT_MM)],
    across(base, 14, -16),
    across(base, 32, -15),
    across(middle, 0, -ofBase - TAPE_LIFT_MM),
    across(middle, 16, -ofMiddle - TAPE_LIFT_MM),
    across(end, 0, -ofMiddle - TAPE_LIFT_MM),
  ];
  const [first, ...rest] = stations.map(([left, right]) => [strip.ball(left, TAPE_EDGE_MM), strip.ball(right, TAPE_EDGE_MM)] as const);
  rest.reduce((before, now) => {
    strip.skin(before[0], before[1], now[1]).skin(before[0], now[1], now[0]);
    return now;
  }, first!);
  const ring = new PartBuilder(`${id}:ring`, "tape", { joins: [`${id}:ring`], step: 99 });
  const row = (share: number): [number, number] => [
    ring.ball(between(onForearm(arm, share, 0), onForearm(arm, share, 180), 0.29), 18.6),
    ring.ball(between(onForearm(arm, share, 0), onForearm(arm, share, 180), 0.71), 18.6),
  ];
  ring.tube([row(0.86), row(0.93), row(1)]);
  for (const [share, way] of [
    [0.9, -1],
    [0.98, 1],
  ] as const) {
    const turns = Array.from({ length: 33 }, (_, i) => onForearm(arm, share, (i / 32) * 360, 1.4));
    ring.cut(between(arm.fore.o, arm.wrist.o, share), scale(arm.fore.y, way)).mark("seam", turns);
  }
  return [strip.part, ring.part];
}
