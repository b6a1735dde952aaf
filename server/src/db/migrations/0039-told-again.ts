/** For when a reminder says its session begins, and the how-manieth it is: a session that is moved after it is told again. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE messages ADD COLUMN IF NOT EXISTS startsAt DATETIME(3) NULL",
  "ALTER TABLE messages ADD COLUMN IF NOT EXISTS nr INT NOT NULL DEFAULT 0",
  "ALTER TABLE messages ADD UNIQUE KEY IF NOT EXISTS messages_once_a_telling (placementId, personId, way, nr)",
  "ALTER TABLE messages DROP INDEX IF EXISTS messages_once_a_way",
];
const DOWN = [
  "DELETE FROM messages WHERE nr > 0",
  "ALTER TABLE messages ADD UNIQUE KEY IF NOT EXISTS messages_once_a_way (placementId, personId, way)",
  "ALTER TABLE messages DROP INDEX IF EXISTS messages_once_a_telling",
  "ALTER TABLE messages DROP COLUMN IF EXISTS nr",
  "ALTER TABLE messages DROP COLUMN IF EXISTS startsAt",
];

export const toldAgain = { up: inTurn(UP), down: inTurn(DOWN) };
