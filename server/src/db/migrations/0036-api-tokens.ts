/** Tokens of other programs that call in a trainer's name, and what each was used for day by day. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS api_tokens (
    id CHAR(36) NOT NULL PRIMARY KEY,
    accountId CHAR(36) NOT NULL,
    name VARCHAR(160) NOT NULL,
    secretHash VARCHAR(64) NOT NULL,
    begins VARCHAR(16) NOT NULL,
    scopes JSON NOT NULL,
    madeAt DATETIME(3) NOT NULL,
    until DATETIME(3) NOT NULL,
    withdrawnAt DATETIME(3) NULL,
    UNIQUE KEY api_tokens_secret (secretHash),
    KEY api_tokens_account (accountId),
    CONSTRAINT api_tokens_account FOREIGN KEY (accountId) REFERENCES accounts (id) ON DELETE CASCADE
  )`,
  `CREATE TABLE IF NOT EXISTS api_token_uses (
    tokenId CHAR(36) NOT NULL,
    day DATE NOT NULL,
    operation VARCHAR(80) NOT NULL,
    answered INT NOT NULL,
    refused INT NOT NULL,
    lastAt DATETIME(3) NOT NULL,
    PRIMARY KEY (tokenId, day, operation),
    CONSTRAINT api_token_uses_token FOREIGN KEY (tokenId) REFERENCES api_tokens (id) ON DELETE CASCADE
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS api_token_uses", "DROP TABLE IF EXISTS api_tokens"];

export const apiTokens = { up: inTurn(UP), down: inTurn(DOWN) };
