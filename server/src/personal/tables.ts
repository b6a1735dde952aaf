/** How long a practice keeps what, as it is stored. */
import type { Retention } from "@kind-grip/core/api";
import type { Sequelize } from "sequelize";
import { day, id, moment, text, uuid, whole, type Table } from "../db/columns";

export interface RetentionRow extends Retention {
  practiceId: string;
  version: number;
  /** In whose name it is done. */
  setBy: string;
  setByName: string;
  setAt: Date;
  /** The last day it was done. */
  doneOn: string | null;
}

export function definePersonalTables(sequelize: Sequelize) {
  return {
    Retention: sequelize.define("retention_rules", {
      practiceId: { ...id },
      healthMonths: whole,
      runsMonths: whole,
      trailMonths: whole,
      version: whole,
      setBy: uuid,
      setByName: text,
      setAt: moment,
      doneOn: day,
    }) as Table<RetentionRow>,
  };
}
