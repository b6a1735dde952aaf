/** A pose as facts, for a text alternative: what a person would say who looks at the picture, joint by joint, without words of a language. */
import { isEqual } from "es-toolkit";
import { bonesOf } from "./bones";
import { FINGERS, type HandPose } from "./hand-pose";
import { SIDE_NAMES, type ArmPose, type Pose, type SideName } from "./pose";
import { HAND_SHAPES, HAND_SHAPE_NAMES, type HandShapeName } from "./shapes";

export interface Fact {
  key: string;
  degrees?: number;
  side?: SideName;
  part?: string;
}
export interface ArmFacts {
  side: SideName | "both";
  facts: Fact[];
  hand: HandShapeName;
}
export interface PoseFacts {
  arms: ArmFacts[];
  body: Fact[];
}

/** Degrees below which a joint is not worth a word. */
const WORTH_SAYING = 12;
const rounded = (degrees: number) => Math.round(Math.abs(degrees) / 5) * 5;

/** The named shape whose joints are nearest. */
export function nearestShape(hand: HandPose): HandShapeName {
  let best: HandShapeName = "relaxed";
  let least = Infinity;
  for (const name of HAND_SHAPE_NAMES) {
    const shape = HAND_SHAPES[name];
    let off = Math.abs(shape.thumb.palmar - hand.thumb.palmar) + Math.abs(shape.thumb.middle - hand.thumb.middle);
    for (const finger of FINGERS) {
      const [a, b] = [shape[finger], hand[finger]];
      off += Math.abs(a.base - b.base) + Math.abs(a.middle - b.middle) + Math.abs(a.end - b.end) + Math.abs(a.spread - b.spread);
    }
    if (off < least) {
      least = off;
      best = name;
    }
  }
  return best;
}

function armFacts(arm: ArmPose, part: string | undefined): Fact[] {
  const facts: Fact[] = [];
  const say = (key: string, degrees: number) => facts.push({ key, degrees: rounded(degrees) });
  if (arm.shoulderFlexion > 25) say("shoulderForward", arm.shoulderFlexion);
  if (arm.shoulderAbduction > 30) say("shoulderOut", arm.shoulderAbduction);
  if (arm.girdleRaise > 8) facts.push({ key: "girdleUp" });
  if (arm.girdleRaise < -6) facts.push({ key: "girdleDown" });
  if (arm.elbow < WORTH_SAYING) facts.push({ key: "elbowStraight" });
  else say("elbowBent", arm.elbow);
  if (arm.pronation > 50) facts.push({ key: "palmDown" });
  else if (arm.pronation < -50) facts.push({ key: "palmUp" });
  else facts.push({ key: "thumbUp" });
  if (arm.wristFlexion > WORTH_SAYING) say("wristBent", arm.wristFlexion);
  if (arm.wristFlexion < -WORTH_SAYING) say("wristBack", arm.wristFlexion);
  if (arm.deviation > WORTH_SAYING) say("tiltLittle", arm.deviation);
  if (arm.deviation < -WORTH_SAYING) say("tiltThumb", arm.deviation);
  if (part) facts.push({ key: "touches", part });
  return facts;
}

export function factsOf(pose: Pose): PoseFacts {
  const { arms: solved } = bonesOf(pose);
  const arms = SIDE_NAMES.flatMap((side): ArmFacts[] => {
    const arm = solved[side];
    return arm ? [{ side, facts: armFacts(arm.solved, pose[side]?.touch?.part), hand: nearestShape(arm.solved.hand) }] : [];
  });
  const alike = arms.length === 2 && isEqual([arms[0]!.facts, arms[0]!.hand], [arms[1]!.facts, arms[1]!.hand]);
  const body: Fact[] = [];
  const { neck, trunk } = pose;
  if (Math.abs(neck.tilt) > WORTH_SAYING) body.push({ key: "headTilt", side: neck.tilt > 0 ? "right" : "left" });
  if (Math.abs(neck.turn) > WORTH_SAYING) body.push({ key: "headTurn", side: neck.turn > 0 ? "right" : "left" });
  if (trunk.lean > WORTH_SAYING) body.push({ key: "lean", degrees: rounded(trunk.lean) });
  return { arms: alike ? [{ ...arms[0]!, side: "both" }] : arms, body };
}
