/** Programs, as they are stored. */
import { PROGRAM_DOCUMENT, type Program } from "@kind-grip/core/program";
import type { Sequelize } from "sequelize";
import { id, moment, text, uuid, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface ProgramRow {
  id: string;
  crewId: string;
  name: string;
  document: Program;
  version: number;
  changedAt: Date;
  removedAt: Date | null;
}

export function defineProgramTables(sequelize: Sequelize) {
  return {
    Program: sequelize.define("programs", {
      id: { ...id },
      crewId: uuid,
      name: text,
      ...storedDocument(PROGRAM_DOCUMENT, "document"),
      version: whole,
      changedAt: moment,
      removedAt: moment,
    }) as Table<ProgramRow>,
  };
}
