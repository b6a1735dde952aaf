/** The day somebody was asked what they feel. Of those of before the day their round began counts. */
import { inTurn } from "../in-turn";

const UP = ["ALTER TABLE baseline_records ADD COLUMN IF NOT EXISTS symptomsAskedOn DATE NULL"];
const DOWN = ["ALTER TABLE baseline_records DROP COLUMN IF EXISTS symptomsAskedOn"];

export const askedOn = { up: inTurn(UP), down: inTurn(DOWN) };
