/** Restrictions, clearances, symptom reports and the alerts they raise, as they are stored. */
import type { Phase, Region } from "@kind-grip/core/library";
import type { AlertAnswer, AlertCause, AlertKind, RestrictionReason, ReportKind } from "@kind-grip/core/safety";
import type { HandSide } from "@kind-grip/core/units";
import type { Sequelize } from "sequelize";
import { day, id, moment, text, uuid, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface RestrictionRow {
  id: string;
  crewId: string;
  personId: string;
  question: RestrictionReason;
  since: Date;
  /** What a trainer wrote, for a reason that is none of the questions. */
  words?: string | null;
  /** The round whose answer it came from; null when a trainer entered it. */
  roundId: string | null;
  withdrawnAt: Date | null;
  withdrawnWhy: string | null;
}

export interface ClearanceRow {
  id: string;
  crewId: string;
  personId: string;
  restrictionId: string;
  givenBy: string;
  profession: string;
  allows: Phase[];
  fromDay: string;
  untilDay: string;
  note: string | null;
  enteredAt: Date;
  withdrawnAt: Date | null;
  withdrawnWhy: string | null;
}

export interface SymptomReportRow {
  id: string;
  crewId: string;
  personId: string;
  movementId: string | null;
  kind: ReportKind;
  words: string | null;
  at: Date;
  seenAt: Date | null;
  seenBy: string | null;
  side?: HandSide | null;
  regions?: Region[] | null;
  stillThere?: boolean | null;
  freshInjury?: boolean | null;
}

/** What a symptom paused by itself, and what the trainer made of it. */
export interface SymptomAlertRow {
  id: string;
  crewId: string;
  personId: string;
  cause: AlertCause;
  /** The report, check-in or run it came from. */
  causeId: string;
  kind: AlertKind;
  side: HandSide | null;
  /** Empty: everything. */
  regions: Region[];
  since: Date;
  answer: AlertAnswer["answer"] | null;
  reply: string | null;
  answeredAt: Date | null;
  answeredBy: string | null;
  /** Nothing is paused any more, or nothing ever was. */
  endedAt: Date | null;
}

export function defineSafetyTables(sequelize: Sequelize) {
  return {
    Restriction: sequelize.define("restrictions", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      ...encrypted("question"),
      ...encrypted("words"),
      since: moment,
      roundId: uuid,
      withdrawnAt: moment,
      ...encrypted("withdrawnWhy"),
    }) as Table<RestrictionRow>,
    Clearance: sequelize.define("clearances", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      restrictionId: uuid,
      ...encrypted("givenBy"),
      ...encrypted("profession"),
      ...encrypted("allows"),
      fromDay: day,
      untilDay: day,
      ...encrypted("note"),
      enteredAt: moment,
      withdrawnAt: moment,
      ...encrypted("withdrawnWhy"),
    }) as Table<ClearanceRow>,
    SymptomReport: sequelize.define("symptom_reports", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      movementId: text,
      ...encrypted("kind"),
      ...encrypted("words"),
      at: moment,
      seenAt: moment,
      seenBy: uuid,
      ...encrypted("side"),
      ...encrypted("regions"),
      ...encrypted("stillThere"),
      ...encrypted("freshInjury"),
    }) as Table<SymptomReportRow>,
    SymptomAlert: sequelize.define("symptom_alerts", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      cause: text,
      causeId: uuid,
      ...encrypted("kind"),
      ...encrypted("side"),
      ...encrypted("regions"),
      since: moment,
      answer: text,
      ...encrypted("reply"),
      answeredAt: moment,
      answeredBy: uuid,
      endedAt: moment,
    }) as Table<SymptomAlertRow>,
  };
}
