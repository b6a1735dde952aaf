/** Cards and PINs of crew members, as they are stored. */
import type { Sequelize } from "sequelize";
import { idPart, moment, text, uuid, whole, type Table } from "../db/columns";

export interface MemberAccessRow {
  personId: string;
  crewId: string;
  /** First part of the PIN: says who, is no secret. */
  number: number;
  pinHash: string;
  cardHash: string;
  issuedAt: Date;
}

export function defineMemberTables(sequelize: Sequelize) {
  return {
    MemberAccess: sequelize.define("member_access", {
      personId: { ...idPart },
      crewId: uuid,
      number: whole,
      pinHash: text,
      cardHash: text,
      issuedAt: moment,
    }) as Table<MemberAccessRow>,
  };
}
