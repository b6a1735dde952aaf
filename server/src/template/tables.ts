/** Templates, as they are stored. */
import { PROGRAM_DOCUMENT, type Program } from "@kind-grip/core/program";
import type { Sequelize } from "sequelize";
import { id, longText, moment, text, uuid, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface TemplateRow {
  id: string;
  practiceId: string;
  name: string;
  why: string;
  document: Program;
  keptAt: Date;
  removedAt: Date | null;
}

export function defineTemplateTables(sequelize: Sequelize) {
  return {
    Template: sequelize.define("templates", {
      id: { ...id },
      practiceId: uuid,
      name: text,
      why: longText,
      ...storedDocument(PROGRAM_DOCUMENT, "document"),
      keptAt: moment,
      removedAt: moment,
    }) as Table<TemplateRow>,
  };
}
