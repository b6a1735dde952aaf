/** Open formats in and out. */
export { writeCsv, type Cell } from "./csv";
export {
  PROGRAM_FORMAT,
  PROGRAM_VERSION,
  readProgramFile,
  writeProgramFile,
  type FileProblem,
  type ProgramFile,
  type ReadProgram,
} from "./program-file";
export { MOVEMENT_FORMAT, MOVEMENT_VERSION, readMovementFile, writeMovementFile, type ReadMovement } from "./movement-file";
