/** The work of crews, as they are stored. */
import { OBSERVATION_DOCUMENT, type Observation } from "@kind-grip/core/observe";
import { WORK_DOCUMENT, type Work } from "@kind-grip/core/strain";
import type { Sequelize } from "sequelize";
import { flag, id, idPart, moment, uuid, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface WorkRow {
  crewId: string;
  document: Work;
  version: number;
  changedAt: Date;
}

export interface ObservationRow {
  id: string;
  crewId: string;
  taskId: string;
  /** Who was watched; goes with the person. */
  personId: string | null;
  startedAt: Date;
  counts: boolean;
  /** Without the person. */
  document: Observation;
}

export function defineWorkTables(sequelize: Sequelize) {
  return {
    Work: sequelize.define("works", {
      crewId: { ...idPart },
      ...storedDocument(WORK_DOCUMENT, "document"),
      version: whole,
      changedAt: moment,
    }) as Table<WorkRow>,
    Observation: sequelize.define("observations", {
      id: { ...id },
      crewId: uuid,
      taskId: uuid,
      personId: uuid,
      startedAt: moment,
      counts: flag,
      ...storedDocument(OBSERVATION_DOCUMENT, "document"),
    }) as Table<ObservationRow>,
  };
}
