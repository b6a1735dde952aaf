/** Addresses people agreed to be reminded at, as they are stored. */
import type { ContactWay } from "@kind-grip/core/contact";
import type { Sequelize } from "sequelize";
import { id, moment, text, uuid, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface ContactRow {
  id: string;
  crewId: string;
  personId: string;
  way: ContactWay;
  /** Null once it was withdrawn. */
  address: string | null;
  givenAt: Date;
  /** Who wrote it down, as they were called; null for the person. */
  givenBy: string | null;
  withdrawnAt: Date | null;
  withdrawnBy: string | null;
}

export function defineContactTables(sequelize: Sequelize) {
  return {
    Contact: sequelize.define("contacts", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      way: text,
      ...encrypted("address"),
      givenAt: moment,
      givenBy: text,
      withdrawnAt: moment,
      withdrawnBy: text,
    }) as Table<ContactRow>,
  };
}
