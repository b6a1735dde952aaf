/** The day a run is of: after midnight in a night shift the day the shift began on. Those of before keep the day they were added up under. */
import { inTurn } from "../in-turn";

const UP = ["ALTER TABLE runs ADD COLUMN IF NOT EXISTS workingDay DATE NULL"];
const DOWN = ["ALTER TABLE runs DROP COLUMN IF EXISTS workingDay"];

export const workingDays = { up: inTurn(UP), down: inTurn(DOWN) };
