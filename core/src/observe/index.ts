/** Watching work instead of guessing it: presses become efforts, with the error of what was counted. */
export { effortsFromPresses, type Press, type SeenEfforts } from "./efforts";
export { ENOUGH_EVERY_SEC, enoughSeen, isEnough, LEAST_WATCHED, type Enough } from "./enough";
export { rhythmOf, t95, type Measured, type Rhythm } from "./error";
export {
  MAX_OBSERVED_MS,
  Observation,
  OBSERVATION_DOCUMENT,
  ObservedHand,
  packPresses,
  seenBy,
  unpackPresses,
  type SeenHand,
} from "./observation";
export { equalPosture, postureShares, TAPPED_POSTURES } from "./posture";
export { observedTask, pooled, withObserved, type Pooled } from "./use";
