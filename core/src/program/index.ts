/** Programs: sessions in one style, checked against the library, and re-dosed when the style changes. */
export { MAX_SESSIONS, PROGRAM_DOCUMENT, Program, programProblems, type ProgramProblem } from "./program";
export { switchStyle, type DoseChange, type SessionChange, type SessionFigures, type StyleSwitch } from "./style-switch";
export { sessionOn } from "./session-on";
export { lightWeekOf, reviewDay, settlingDose, weekOf, type BlockWeeks } from "./settling";
export {
  AWAY_FROM_DAYS,
  LONG_FROM_DAYS,
  LONGEST_RAMP_DAYS,
  rampAfter,
  rampOn,
  VERY_LONG_FROM_DAYS,
  withRamps,
  type Presence,
  type Ramp,
  type Ramps,
  type RampStep,
} from "./ramp";
export {
  EASIEST_FROM,
  LIGHTER_FROM,
  personalStarts,
  withStarts,
  type Measured,
  type PersonalStart,
  type StartReason,
} from "./personal-starts";
export {
  firstHeld,
  heldTorqueNm,
  ladderFor,
  loadRungs,
  nextHeld,
  toolIn,
  torqueIn,
  usualGripM,
  type HeldForm,
  type HeldStep,
  type LoadRung,
} from "./held-load";
export { nextRaise, weeksAhead, Present, withFirstLoad, type Surroundings, type Week } from "./weeks-ahead";
