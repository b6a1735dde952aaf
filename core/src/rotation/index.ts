/** Exchanging tasks through a shift, so that no hand has it harder than it must. */
export {
  askedOf,
  daysOfRotation,
  exchangedPeople,
  minutesToShare,
  problemOf,
  strainOfPeople,
  usualTurns,
  withRest,
  type PersonStrain,
} from "./days";
export { levelRotation } from "./level";
export { countPatterns, patternsOf, type Pattern } from "./patterns";
export { gapOfRotation, MOST_PATTERNS, MOST_TURNS, type NoRotation, type Rotation, type RotationProblem } from "./problem";
export { fewestChanges, turnByTurn } from "./turns";
