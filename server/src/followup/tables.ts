/** Crew figures that were given out, as they are stored. */
import {
  FIRST_AID_DOCUMENT,
  type Behind,
  type ChangeMeasure,
  type CrewFigure,
  type CrewFigures,
  type FirstAidBook,
  type MeasuredChange,
} from "@kind-grip/core/followup";
import type { Sequelize } from "sequelize";
import { dayPart, idPart, json, moment, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";
import { storedDocument } from "../db/stored-document";

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

export interface FirstAidBookRow {
  crewId: string;
  document: FirstAidBook;
  version: number;
  changedAt: Date;
}

export function defineFollowupTables(sequelize: Sequelize) {
  return {
    FrozenBlock: sequelize.define("frozen_blocks", {
      crewId: { ...idPart },
      blockStart: { ...dayPart },
      frozenAt: moment,
      figures: json,
      ...encrypted("behind"),
    }) as Table<FrozenBlockRow>,
    FrozenChanges: sequelize.define("frozen_changes", {
      crewId: { ...idPart },
      roundId: { ...idPart },
      frozenAt: moment,
      changes: json,
      ...encrypted("behind"),
    }) as Table<FrozenChangesRow>,
    FirstAidBook: sequelize.define("first_aid_books", {
      crewId: { ...idPart },
      ...storedDocument(FIRST_AID_DOCUMENT, "document", { isEncrypted: true }),
      version: whole,
      changedAt: moment,
    }) as Table<FirstAidBookRow>,
  };
}
