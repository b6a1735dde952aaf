/** A custom movement, made by a practice itself: the same data as any other, with its words and its figure in one document. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Figure, bonesOf } from "../figure";
import { NonEmptyText } from "../units";
import { PHASE_CAP } from "./caps";
import { Movement } from "./movement";
import { poseProblems } from "./figures";

export const CUSTOM_PREFIX = "own-";

const Line = v.pipe(v.string("is missing"), v.trim(), v.minLength(1, "is missing"), v.maxLength(160, "is longer than 160 characters"));
const Lines = (least: number, most: number) =>
  v.pipe(v.array(Line), v.minLength(least, `at least ${least}`), v.maxLength(most, `at most ${most}`));

export const CustomWords = v.strictObject({
  name: NonEmptyText,
  steps: Lines(1, 8),
  feel: Line,
  watch: Lines(0, 4),
  care: Lines(0, 4),
  forms: v.record(v.string(), Line),
});

export const CustomMovement = v.strictObject({ movement: Movement, words: CustomWords, figure: Figure });
export type CustomMovement = v.InferOutput<typeof CustomMovement>;

/** As it is stored, and as a draft. */
export const MOVEMENT_DOCUMENT = documentFormat<CustomMovement>({
  name: "custom movement",
  format: 4,
  // Format 2 may say more of a picture: signs, another camera for the enlargement, a strip. Format 3: a head carried forward or back, somebody
  // who kneels, two halves of a count, more things to hold. Format 4: a phone to hold. What is not said is drawn as before.
  steps: [(stored) => stored, (stored) => stored, (stored) => stored],
  schema: CustomMovement,
});

export interface CustomProblem {
  /** Dotted path to the field. */
  path: string;
  message: string;
}

/**
 * What the schema cannot see: an id that could be taken for one of the product's, a cap above its phase's, forms without a name, joints
 * beyond their range, hands that cannot reach. An empty list means it can be used like any other movement.
 */
export function customMovementProblems({ movement, words, figure }: CustomMovement): CustomProblem[] {
  const problems: CustomProblem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  if (!movement.id.startsWith(CUSTOM_PREFIX)) say("movement.id", `must start with "${CUSTOM_PREFIX}"`);
  const cap = PHASE_CAP[movement.phase];
  if (movement.effortCap > cap) say("movement.effortCap", `may be ${cap} at most in this phase`);
  if (!movement.forms.some((form) => form.id === movement.startForm)) say("movement.startForm", "is not one of the forms");
  for (const form of movement.forms) if (!words.forms[form.id]) say(`words.forms.${form.id}`, "the form has no name");
  const { worked, stretched, released } = movement.regions;
  if (worked.length + stretched.length + released.length === 0) say("movement.regions", "name at least one region");
  if (movement.sideModes.includes("inTurn") && movement.switchSec === 0)
    say("movement.switchSec", "changing sides takes at least a second");
  if (figure.way === "halves" && figure.poses.length !== 4) say("figure.way", "two halves need four poses: start and end of each");
  const poses = [...figure.poses, ...(figure.slide ?? [])];
  poses.forEach((pose, i) => {
    const path = `figure.poses.${i}`;
    if (!pose.right && !pose.left) return void say(path, "shows no arm");
    if (!figure.both && !pose.right) return void say(path, "the worked (right) arm is missing");
    try {
      bonesOf(pose);
    } catch (error) {
      return void say(path, (error as Error).message);
    }
    for (const problem of poseProblems(pose)) say(path, problem);
  });
  return problems;
}
