/** Programs: sessions in one style, checked against the library, and re-dosed when the style changes. */
export { MAX_SESSIONS, PROGRAM_DOCUMENT, Program, programProblems, type ProgramProblem } from "./program";
export { switchStyle, type DoseChange, type SessionChange, type SessionFigures, type StyleSwitch } from "./style-switch";
export { lightWeekOf, reviewDay, sessionOn, settlingDose, weekOf, type BlockWeeks } from "./settling";
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
