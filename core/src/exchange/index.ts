/** Open formats in and out. */
export { writeCsv, type Cell } from "./csv";
export {
  PROGRAM_FORMAT,
  PROGRAM_VERSION,
  ProgramFile,
  readProgramFile,
  writeProgramFile,
  type FileProblem,
  type ReadProgram,
} from "./program-file";
export { MOVEMENT_FORMAT, MOVEMENT_VERSION, MovementFile, readMovementFile, writeMovementFile, type ReadMovement } from "./movement-file";
