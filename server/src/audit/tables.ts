/** Who saw or changed health answers, as they are stored. */
import type { Sequelize } from "sequelize";
import { counted, moment, text, uuid, whole, type Table } from "../db/columns";

export type AuditSubject = "baseline" | "restriction" | "clearance" | "referral" | "export" | "decision" | "access" | "report" | "run";

export interface AuditRow {
  id?: number;
  crewId: string;
  /** Null when it was about everybody of the crew. */
  personId: string | null;
  accountId: string;
  act: "saw" | "changed";
  subject: AuditSubject;
  /** Which part, never what it said. */
  what: string;
  at: Date;
  /** Readings soon after one another are one line, counted. */
  lastAt: Date;
  times: number;
}

export function defineAuditTables(sequelize: Sequelize) {
  return {
    Audit: sequelize.define("audit_entries", {
      id: { ...counted },
      crewId: uuid,
      personId: uuid,
      accountId: uuid,
      act: text,
      subject: text,
      what: text,
      at: moment,
      lastAt: moment,
      times: whole,
    }) as Table<AuditRow>,
  };
}
