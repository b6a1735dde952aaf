/** Who saw or changed health answers and who signed in, as it is stored: rows are added and never changed. */
import type { AuditEntry } from "@kind-grip/core/api";
import type { Sequelize } from "sequelize";
import { hashText, id, moment, text, uuid, whole, type Table } from "../db/columns";

export interface TrailEntryRow {
  id: string;
  /** The line of the list it is shown in: readings soon after one another are one. */
  lineId: string;
  practiceId: string;
  /** Null for a sign-in. */
  crewId: string | null;
  /** Null when it was about everybody of the crew. */
  personId: string | null;
  accountId: string;
  act: AuditEntry["act"];
  subject: AuditEntry["subject"];
  /** Which part, never what it said. */
  what: string;
  at: Date;
  /** More than one for what an earlier version counted. */
  times: number;
  /** The segment it was sealed in; the one thing that is ever added to a row. */
  segmentId: string | null;
}

/** Entries of a practice, sealed: their hash counts in the hash of the next. */
export interface TrailSegmentRow {
  id: string;
  practiceId: string;
  /** 1, 2, 3 … in a practice. */
  number: number;
  entries: number;
  fromAt: Date;
  untilAt: Date;
  previousHash: string;
  hash: string;
  sealedAt: Date;
  /** Its entries are gone; its hash stays in the chain. */
  removedAt: Date | null;
}

export function defineAuditTables(sequelize: Sequelize) {
  return {
    TrailEntry: sequelize.define("trail_entries", {
      id: { ...id },
      lineId: uuid,
      practiceId: uuid,
      crewId: uuid,
      personId: uuid,
      accountId: uuid,
      act: text,
      subject: text,
      what: text,
      at: moment,
      times: whole,
      segmentId: uuid,
    }) as Table<TrailEntryRow>,
    TrailSegment: sequelize.define("trail_segments", {
      id: { ...id },
      practiceId: uuid,
      number: whole,
      entries: whole,
      fromAt: moment,
      untilAt: moment,
      previousHash: hashText,
      hash: hashText,
      sealedAt: moment,
      removedAt: moment,
    }) as Table<TrailSegmentRow>,
  };
}
