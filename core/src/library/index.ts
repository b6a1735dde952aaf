/** The movement library: what each movement is, as data. */
export { FORM_TIMINGS, MOVEMENTS, easierForm, findMovement, knowOwnMovements, movementOf, rungOf, tensionRegions } from "./catalogue";
export { doseFor, filterMovements, misfitsOf, newItem, type LibraryFilter, type Misfit, type Surroundings } from "./choose";
export { PHASE_CAP } from "./caps";
export type { Form, Movement, MovementLoad } from "./movement";
export { DEFAULT_STYLE, LOAD_SCHOOLS, STRETCH_SCHOOLS, Style, type LoadSchool, type StretchSchool } from "./style";
export { KIT_KINDS, KitKind, PHASES, Phase, REGIONS, Region, SETTINGS, Setting, WORK_POSTURES, WorkPosture } from "./words";
export { figuresOf, poseProblems, type MovementFigures } from "./figures";
export { figureOf, lookOf, regionsOf, stage } from "./pictures";
export { OWN_PREFIX, OwnMovement, ownMovementProblems, type OwnProblem } from "./own";
export { findOwn } from "./catalogue";
export { COACHING_CARDS, type CoachingCard } from "./coaching";
export { sampleOwnMovement } from "./own.sample";
