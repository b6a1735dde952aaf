/** The work of crews, as they are stored. */
import { WORK_DOCUMENT, type Work } from "@kind-grip/core/strain";
import type { Sequelize } from "sequelize";
import { idPart, moment, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface WorkRow {
  crewId: string;
  document: Work;
  version: number;
  changedAt: Date;
}

export function defineWorkTables(sequelize: Sequelize) {
  return {
    Work: sequelize.define("works", {
      crewId: { ...idPart },
      ...storedDocument(WORK_DOCUMENT, "document"),
      version: whole,
      changedAt: moment,
    }) as Table<WorkRow>,
  };
}
