/** How heavy a load is at the joint it works, and what the kit at hand amounts to. */
export { PALM_FROM_CREASE_M, supportedWristTorqueNm } from "./dumbbell";
export {
  FIRST_LOAD,
  firstLoadKg,
  loadLadder,
  SMALL_STEP,
  stepDown,
  stepUp,
  substitutesFor,
  type Load,
  type Step,
  type Substitute,
  type Tool,
} from "./ladder";
export { gripForTorque, gripMarks, HAND_HALF_M, leverTorqueNm, type Lever } from "./lever";
