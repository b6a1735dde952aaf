/** Custom movements, as they are stored. */
import { MOVEMENT_DOCUMENT, type CustomMovement } from "@kind-grip/core/library";
import type { Sequelize } from "sequelize";
import { id, moment, text, uuid, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface CustomMovementRow {
  id: string;
  practiceId: string;
  name: string;
  document: CustomMovement;
  version: number;
  changedAt: Date;
  removedAt: Date | null;
}

export function defineLibraryTables(sequelize: Sequelize) {
  return {
    CustomMovement: sequelize.define("custom_movements", {
      id: { ...id },
      practiceId: uuid,
      name: text,
      ...storedDocument(MOVEMENT_DOCUMENT, "document"),
      version: whole,
      changedAt: moment,
      removedAt: moment,
    }) as Table<CustomMovementRow>,
  };
}
