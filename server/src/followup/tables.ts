/** Crew figures that were given out, as they are stored. */
import type { Behind, ChangeMeasure, CrewFigure, CrewFigures, MeasuredChange } from "@kind-grip/core/followup";
import type { Sequelize } from "sequelize";
import { dayPart, idPart, json, moment, type Table } from "../db/columns";

/** Crew figures of four weeks as they were given out: what comes later never changes them. */
export interface FrozenBlockRow {
  crewId: string;
  blockStart: string;
  frozenAt: Date;
  figures: CrewFigures;
  /** Figure → people behind it, for the rules that compare blocks. Never sent. */
  behind: Behind<CrewFigure>;
}

export interface FrozenChangesRow {
  crewId: string;
  roundId: string;
  frozenAt: Date;
  changes: MeasuredChange[];
  /** Measure → people behind it. Never sent. */
  behind: Behind<ChangeMeasure>;
}

export function defineFollowupTables(sequelize: Sequelize) {
  return {
    FrozenBlock: sequelize.define("frozen_blocks", {
      crewId: { ...idPart },
      blockStart: { ...dayPart },
      frozenAt: moment,
      figures: json,
      behind: json,
    }) as Table<FrozenBlockRow>,
    FrozenChanges: sequelize.define("frozen_changes", {
      crewId: { ...idPart },
      roundId: { ...idPart },
      frozenAt: moment,
      changes: json,
      behind: json,
    }) as Table<FrozenChangesRow>,
  };
}
