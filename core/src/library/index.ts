/** The movement library: what each movement is, as data. */
export { SHIPPED_LIBRARY, SHIPPED_MOVEMENTS, easierForm, holdingForm, libraryOf, rungOf, type Corrections, type Library } from "./library";
export { doseFor, filterMovements, misfitsOf, newItem, type LibraryFilter, type Misfit, type Surroundings } from "./choose";
export { PHASE_CAP } from "./caps";
export type { Form, Movement, MovementLoad } from "./movement";
export { DEFAULT_STYLE, LOAD_SCHOOLS, STRETCH_SCHOOLS, Style, type LoadSchool, type StretchSchool } from "./style";
export { KIT_KINDS, KitKind, PHASES, RESET_PHASES, Phase, REGIONS, Region, SETTINGS, Setting, WORK_POSTURES, WorkPosture } from "./words";
export { figuresOf, poseProblems, type MovementFigures } from "./figures";
export { lookOf, SMALL, smallStillFile, stage } from "./pictures";
export { CUSTOM_PREFIX, MOVEMENT_DOCUMENT, CustomMovement, customMovementProblems, type CustomProblem } from "./custom";
export { COACHING_CARDS, type CoachingCard } from "./coaching";
export { sampleCustomMovement } from "./custom.sample";
