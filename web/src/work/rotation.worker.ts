/** Levels a rotation off the page's thread. */
import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { levelRotation, type NoRotation, type Rotation, type RotationProblem } from "@kind-grip/core/rotation";
import { solverWith } from "@kind-grip/core/solver";

const solve = solverWith(() => loadHighs({ locateFile: () => wasm }));
const leveller = { level: (problem: RotationProblem): Promise<Rotation | NoRotation> => levelRotation(problem, solve) };
export type LevellerWorker = typeof leveller;
expose(leveller);
