/** Rounds that measure the same people a second time, and what a practice found of its own measuring. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE baseline_rounds ADD COLUMN IF NOT EXISTS repeats CHAR(36) NULL",
  `CREATE TABLE IF NOT EXISTS measuring_noise (
    id CHAR(36) NOT NULL PRIMARY KEY,
    practiceId CHAR(36) NOT NULL,
    chosenAt DATETIME(3) NOT NULL,
    chosenBy TEXT NOT NULL,
    noise JSON NOT NULL,
    format SMALLINT NOT NULL,
    KEY measuring_noise_practice (practiceId, chosenAt),
    CONSTRAINT measuring_noise_practice FOREIGN KEY (practiceId) REFERENCES practices (id)
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS measuring_noise", "ALTER TABLE baseline_rounds DROP COLUMN IF EXISTS repeats"];

export const measuringNoise = { up: inTurn(UP), down: inTurn(DOWN) };
