/** Who signs in with a password, and what was tried, as they are stored. */
import type { Role } from "@kind-grip/core/api";
import type { Sequelize } from "sequelize";
import { counted, id, moment, text, uuid, type Table } from "../db/columns";

export interface AccountRow {
  id: string;
  practiceId: string;
  role: Exclude<Role, "member">;
  email: string;
  name: string;
  passwordHash: string;
}

export interface SignInAttemptRow {
  id?: number;
  email: string;
  address: string;
  at: Date;
}

export function defineAuthTables(sequelize: Sequelize) {
  return {
    Account: sequelize.define("accounts", {
      id: { ...id },
      practiceId: uuid,
      role: text,
      email: text,
      name: text,
      passwordHash: text,
    }) as Table<AccountRow>,
    SignInAttempt: sequelize.define("sign_in_attempts", {
      id: { ...counted },
      email: text,
      address: text,
      at: moment,
    }) as Table<SignInAttemptRow>,
  };
}
