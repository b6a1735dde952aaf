/** Solving 0/1 programmes: what a solver is asked and answers, and HiGHS as one. Whoever has HiGHS hands it in. */
export { chanceFrom } from "./chance";
export { gapOf, solverWith, type Effort, type Solved, type Solver } from "./solver";
export { columnName, lpText, type LinearProgram, type Row, type Term } from "./linear-program";
