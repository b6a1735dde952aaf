/** Two-bone inverse kinematics for a right arm in the trunk's frame: a place for the hand → plain joint angles, honestly. */
import { FOREARM, shoulderPlace, UPPER_ARM } from "./skeleton";
import type { ArmPose } from "./pose";
import { ARM_RANGES } from "./ranges";
import {
  across,
  add,
  along,
  cross,
  DEGREE,
  distance,
  dot,
  length,
  scale,
  subtract,
  turnX,
  turnZ,
  unit,
  type Frame,
  type Vector,
} from "../vector";

/** Where the hand should be and which way the elbow should go. */
export interface Goal {
  hand: Frame;
  /** The point that is touched; the hand may turn about it, flat on what it touches. */
  contact: Vector;
  elbow: Vector;
}

const arcSine = (sine: number) => Math.asin(Math.max(-1, Math.min(1, sine))) / DEGREE;
const wrapped = (angle: number) => ((((angle + 180) % 360) + 360) % 360) - 180;

/** The three shoulder angles that bring the hanging upper arm into a frame. */
function shoulderAngles(hanging: Frame, upper: Frame) {
  const shoulderAbduction = arcSine(dot(upper.y, hanging.x));
  const shoulderFlexion = Math.atan2(dot(upper.y, hanging.z), dot(upper.y, hanging.y)) / DEGREE;
  const raised = turnZ(turnX(hanging, shoulderFlexion), -shoulderAbduction);
  const shoulderRotation = Math.atan2(-dot(upper.x, raised.z), dot(upper.x, raised.x)) / DEGREE;
  // Overhead reaches come out as a little below −90 when the arm passes the vertical: the same arm is flexed beyond 180.
  return { shoulderAbduction, shoulderFlexion: shoulderFlexion < -100 ? shoulderFlexion + 360 : shoulderFlexion, shoulderRotation };
}

/** Forearm turn and the two wrist angles that bring a forearm into a hand. */
function handAngles(fore: Frame, hand: Frame) {
  const deviation = arcSine(dot(hand.x, fore.y));
  const wristFlexion = Math.atan2(-dot(hand.z, fore.y), dot(hand.y, fore.y)) / DEGREE;
  const flat = unit(across(hand.x, fore.y));
  const turned = Math.atan2(-dot(flat, fore.z), dot(flat, fore.x)) / DEGREE;
  return { deviation, wristFlexion, pronation: wrapped(-turned - 90) };
}

const bothWays = (step: number, most: number) => Array.from({ length: most / step }, (_, i) => [(i + 1) * step, -(i + 1) * step]).flat();
/** Degrees an elbow is tried away from where it was hinted, and a hand from where its fingers were to point; nearest first, then closer. */
const SWIVELS = { coarse: bothWays(18, 90), fine: [6, -6, 12, -12] };
const TURNS = { coarse: bothWays(24, 96), fine: [8, -8, 16, -16] };
/** A strain below this is none. */
const EASY = 0.05;

/**
 * The arm whose hand is at the goal. The touching point and the way the palm faces are kept exactly. What a body is free to choose, it
 * chooses as the joints ask and no further: first the elbow goes round the line from shoulder to wrist, then the hand turns about the
 * point it touches. Out of reach, the arm is laid straight towards the goal and the gap is reported in millimetres.
 */
export function reach(arm: ArmPose, goal: Goal): { arm: ArmPose; problems: string[] } {
  // A raised arm lifts its own shoulder, which moves the reach: solved again from there until it stands still.
  let result = reachFrom(arm, goal);
  const again = (held?: Choice): number => {
    const { shoulderFlexion, shoulderAbduction } = result.arm;
    const next = reachFrom({ ...arm, shoulderFlexion, shoulderAbduction }, goal, held);
    const moved = distance(shoulderPlace(next.arm), shoulderPlace(result.arm));
    result = next;
    return moved;
  };
  let moved = Infinity;
  for (let round = 0; round < MOST_ROUNDS && moved >= NEARLY_MM; round++) moved = again();
  // What was chosen is kept to: of two ways that are as good each would go on leaving the shoulder where the other is better.
  for (let round = 0; round < MOST_ROUNDS && moved >= STILL_MM; round++) moved = again(result.choice);
  return { arm: result.arm, problems: result.problems };
}

/** What was free to choose, in degrees: how far the hand is turned about its contact, and the elbow about its line. */
interface Choice {
  turn: number;
  swivel: number;
}
interface Reached {
  arm: ArmPose;
  problems: string[];
  choice: Choice;
}

const MOST_ROUNDS = 6;
/** How far a shoulder may still move between two rounds for nothing else to be chosen, and for the hand to be where it should be. */
const NEARLY_MM = 0.2;
const STILL_MM = 1e-3;

/** @param held what was chosen before, which is kept to */
function reachFrom(arm: ArmPose, goal: Goal, held?: Choice): Reached {
  const lever = subtract(goal.hand.o, goal.contact);
  const turnedHand = (degrees: number): Frame => {
    const turned = turnZ(goal.hand, degrees);
    return { ...turned, o: add(goal.contact, along(turned, [dot(lever, goal.hand.x), dot(lever, goal.hand.y), dot(lever, goal.hand.z)])) };
  };
  if (held) {
    const { arm: found, problems } = reachWith(arm, held.turn === 0 ? goal.hand : turnedHand(held.turn), goal.elbow, held.swivel);
    return { arm: found, problems, choice: held };
  }
  let best = reachWith(arm, goal.hand, goal.elbow);
  let turnedBy = 0;
  const cost = ({ strain, problems }: typeof best) => strain + 100 * problems.length;
  const tryTurns = (turns: readonly number[]) => {
    for (const degrees of turns) {
      if (cost(best) < EASY) return;
      const tried = reachWith(arm, turnedHand(degrees), goal.elbow);
      if (cost(tried) < cost(best) - 1e-9) [best, turnedBy] = [tried, degrees];
    }
  };
  tryTurns(TURNS.coarse);
  tryTurns(TURNS.fine.map((degrees) => turnedBy + degrees));
  return { arm: best.arm, problems: best.problems, choice: { turn: turnedBy, swivel: best.swivel } };
}

/** @param held how far the elbow is swivelled; tried where it is left out */
function reachWith(
  arm: ArmPose,
  hand: Frame,
  elbow: Vector,
  held?: number,
): { arm: ArmPose; problems: string[]; strain: number; swivel: number } {
  const shoulder = shoulderPlace(arm);
  const way = subtract(hand.o, shoulder);
  const wanted = length(way);
  const longest = UPPER_ARM + FOREARM;
  const problems: string[] = [];
  if (wanted > longest - 1) problems.push(`the hand is ${Math.round(wanted - longest + 1)} mm out of reach`);
  const reached = Math.min(wanted, longest - 1);
  const direction = unit(way);
  const cosine = (UPPER_ARM ** 2 + reached ** 2 - FOREARM ** 2) / (2 * UPPER_ARM * reached);
  if (cosine > 1) problems.push("the hand is too close to the shoulder");
  const share = Math.min(1, cosine);
  const hinted = unit(across(elbow, direction));
  const sideways = cross(direction, hinted);
  const { touch: _, ...plain } = arm;
  let best = plain as ArmPose;
  let least = Infinity;
  let swivelled = 0;
  const trySwivels = (swivels: readonly number[]) => {
    for (const degrees of swivels) {
      if (least < EASY) return;
      const pole = add(scale(hinted, Math.cos(degrees * DEGREE)), scale(sideways, Math.sin(degrees * DEGREE)));
      const tried = { ...plain, ...bent(shoulder, direction, reached, share, pole, hand) };
      const ofJoints = 4 * strainOf(tried);
      // The trunk only adds to it.
      if (ofJoints >= least - 1e-9) continue;
      const strain = ofJoints + 0.3 * insideTrunk(tried, hand.o);
      if (strain < least - 1e-9) {
        least = strain;
        best = tried;
        swivelled = degrees;
      }
    }
  };
  if (held === undefined) {
    trySwivels([0]);
    trySwivels(SWIVELS.coarse);
    trySwivels(SWIVELS.fine.map((degrees) => swivelled + degrees));
  } else trySwivels([held]);
  return { arm: best, problems, strain: least, swivel: swivelled };
}

/** Half widths of the trunk at heights below the shoulders; its front and back are round with its radius. */
const TRUNK_ROWS = [
  [0, 96, 58],
  [-60, 98, 62],
  [-150, 84, 64],
  [-300, 70, 64],
  [-600, 80, 70],
] as const;
const FOREARM_MM = 32;
/** Cloth and flesh give way by this much. */
const GIVES_MM = 10;

/** Millimetres the elbow and the forearm stand inside the trunk: a body that has the choice keeps its elbows out. */
function insideTrunk(arm: ArmPose, wrist: Vector): number {
  const hanging: Frame = { o: shoulderPlace(arm), x: [-1, 0, 0], y: [0, -1, 0], z: [0, 0, 1] };
  const upper = turnZ(turnX(hanging, arm.shoulderFlexion), -arm.shoulderAbduction);
  const elbow = add(upper.o, scale(upper.y, UPPER_ARM));
  let deepest = 0;
  for (const share of [0, 0.3, 0.6, 0.85]) {
    const [x, y, z] = add(scale(elbow, 1 - share), scale(wrist, share));
    const row = TRUNK_ROWS.findIndex(([height]) => height <= y);
    if (row < 1) continue;
    const [from, to] = [TRUNK_ROWS[row - 1]!, TRUNK_ROWS[row]!];
    const k = (from[0] - y) / (from[0] - to[0]);
    const half = from[1] + (to[1] - from[1]) * k;
    const radius = from[2] + (to[2] - from[2]) * k;
    const off = Math.hypot(Math.max(0, Math.abs(x) - half), z);
    deepest = Math.max(deepest, radius + FOREARM_MM * (1 - share * 0.4) - GIVES_MM - off);
  }
  return deepest;
}

const JOINTS = Object.keys(ARM_RANGES) as (keyof typeof ARM_RANGES)[];

/** Degrees by which an arm is beyond its ranges, all joints together. */
function strainOf(arm: ArmPose): number {
  let sum = 0;
  for (const joint of JOINTS) {
    const { least, most } = ARM_RANGES[joint];
    sum += Math.max(0, least - arm[joint], arm[joint] - most);
  }
  return sum;
}

/** Plain angles of an arm whose elbow lies towards `pole`. */
function bent(shoulder: Vector, direction: Vector, reached: number, share: number, pole: Vector, hand: Frame) {
  const elbow = add(shoulder, add(scale(direction, UPPER_ARM * share), scale(pole, UPPER_ARM * Math.sqrt(Math.max(0, 1 - share ** 2)))));
  const upperY = unit(subtract(elbow, shoulder));
  const upperZ = unit(across(scale(pole, -1), upperY));
  const upper: Frame = { o: shoulder, x: cross(upperY, upperZ), y: upperY, z: upperZ };
  const foreY = unit(subtract(add(shoulder, scale(direction, reached)), elbow));
  const bend = Math.acos(Math.max(-1, Math.min(1, dot(upperY, foreY)))) / DEGREE;
  const fore = { ...turnX(upper, bend), o: elbow };
  const hanging: Frame = { o: shoulder, x: [-1, 0, 0], y: [0, -1, 0], z: [0, 0, 1] };
  return { ...shoulderAngles(hanging, upper), elbow: bend, ...handAngles(fore, hand) };
}
