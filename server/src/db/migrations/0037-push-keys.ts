/** The keys by which phones know this server's messages; made once for all its processes. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS push_keys (
    id VARCHAR(16) NOT NULL PRIMARY KEY,
    publicKey VARCHAR(160) NOT NULL,
    privateKey LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
    madeAt DATETIME(3) NOT NULL
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS push_keys", "DELETE FROM contacts WHERE way = 'push'", "DELETE FROM messages WHERE way = 'push'"];

export const pushKeys = { up: inTurn(UP), down: inTurn(DOWN) };
