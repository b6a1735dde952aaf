/** How heavy a load is on the axis it works, and what the kit at hand amounts to. */
export {
  FIRST_LOAD,
  firstLimitKg,
  firstLoad,
  gripForTorque,
  loadLadder,
  SMALL_STEP,
  stepDown,
  stepTo,
  stepUp,
  substitutesFor,
  weeklyStep,
  type Load,
  type Step,
  type Substitute,
} from "./ladder";
export { gripMarks, HAND_HALF_M, leverMomentNm, MARK_EVERY_M, type Lever } from "./lever";
export {
  DUMBBELL_M,
  handTorqueNm,
  PALM_FROM_CREASE_M,
  toolOf,
  torqueAtNm,
  torqueNm,
  type Axis,
  type Handling,
  type LoadUse,
  type Tool,
} from "./tool";
