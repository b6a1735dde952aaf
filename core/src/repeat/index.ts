/** The noise of a practice's own measuring, from people measured twice. */
export { noiseFound, repeatStudy, type StudiedMeasure, type Twice } from "./study";
export { crewAnswer, LEAST_PAIRS, pairedAnswer, type PairedAnswer } from "./paired";
