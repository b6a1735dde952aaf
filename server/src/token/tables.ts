/** API tokens and what they were used for, as they are stored. */
import type { Scope } from "@kind-grip/core/api";
import { type Sequelize } from "sequelize";
import { dayPart, hashText, id, idPart, json, moment, text, textPart, uuid, whole, type Table } from "../db/columns";

export interface ApiTokenRow {
  id: string;
  /** In whose name. */
  accountId: string;
  name: string;
  /** All that is kept of the token, but how it begins. */
  secretHash: string;
  begins: string;
  scopes: Scope[];
  madeAt: Date;
  until: Date;
  withdrawnAt: Date | null;
}

/** Calls of a token on a day, by operation. */
export interface ApiTokenUseRow {
  tokenId: string;
  day: string;
  operation: string;
  answered: number;
  refused: number;
  lastAt: Date;
}

export function defineTokenTables(sequelize: Sequelize) {
  return {
    ApiToken: sequelize.define("api_tokens", {
      id: { ...id },
      accountId: uuid,
      name: text,
      secretHash: hashText,
      begins: text,
      scopes: json,
      madeAt: moment,
      until: moment,
      withdrawnAt: moment,
    }) as Table<ApiTokenRow>,
    ApiTokenUse: sequelize.define("api_token_uses", {
      tokenId: { ...idPart },
      day: { ...dayPart },
      operation: { ...textPart },
      answered: whole,
      refused: whole,
      lastAt: moment,
    }) as Table<ApiTokenUseRow>,
  };
}
