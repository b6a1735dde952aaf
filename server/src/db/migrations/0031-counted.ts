/** What a phone in the hand counted, with the run. */
import { inTurn } from "../in-turn";

export const counted = {
  up: inTurn(["ALTER TABLE run_people ADD COLUMN IF NOT EXISTS counted JSON NULL"]),
  down: inTurn(["ALTER TABLE run_people DROP COLUMN IF EXISTS counted"]),
};
