/** Weeks, placed sessions, calendars to subscribe to, as they are stored. */
import { STANDING_DOCUMENT, type StandingPlan } from "@kind-grip/core/dayplan";
import type { Sequelize } from "sequelize";
import { day, dayPart, id, idPart, json, moment, text, textPart, uuid, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface WeekPlanRow {
  crewId: string;
  weekStart: string;
  version: number;
}

export interface PlacementRow {
  id: string;
  crewId: string;
  weekStart: string;
  programId: string;
  sessionId: string;
  startsAt: Date;
  /** Who of the crew; null for everybody. */
  people?: string[] | null;
  groupName?: string | null;
  /** Last time it was put somewhere else; null for those from before this was kept. */
  changedAt?: Date | null;
  /** When whoever led it came to its end, before the run is kept: phones ask how hard it was from then on. */
  ledUntil?: Date | null;
  /** The series it is kept of, once it was led or is past; null for one that was placed once. */
  seriesId?: string | null;
}

/** A crew's groups and series. */
export interface StandingPlanRow {
  crewId: string;
  version: number;
  changedAt: Date;
  document: StandingPlan;
}

/** Of a session that was handed over for its day; otherwise its series' leader leads it, or the crew's trainer. */
export interface PlacementLeaderRow {
  placementId: string;
  crewId: string;
  leaderId: string;
}

export interface LeadApprovalRow {
  accountId: string;
  sessionId: string;
  crewId: string;
  approvedBy: string;
  at: Date;
  /** The movements that were shown. */
  shown: string[];
}

/** Between two places of a practice, their names as they are compared; the smaller one first. */
export interface WayRow {
  practiceId: string;
  fromPlace: string;
  toPlace: string;
  minutes: number;
}

export interface CalendarLinkRow {
  id: string;
  /** Null for the calendar of a leader: of all crews. */
  crewId: string | null;
  personId: string | null;
  leaderId?: string | null;
  name: string;
  tokenHash: string;
  madeAt: Date;
  withdrawnAt: Date | null;
  lastReadAt: Date | null;
}

export function defineDayplanTables(sequelize: Sequelize) {
  return {
    WeekPlan: sequelize.define("week_plans", {
      crewId: { ...idPart },
      weekStart: { ...dayPart },
      version: whole,
    }) as Table<WeekPlanRow>,
    Placement: sequelize.define("placements", {
      id: { ...id },
      crewId: uuid,
      weekStart: day,
      programId: uuid,
      sessionId: uuid,
      startsAt: moment,
      people: json,
      groupName: text,
      changedAt: moment,
      ledUntil: moment,
      seriesId: uuid,
    }) as Table<PlacementRow>,
    StandingPlan: sequelize.define("standing_plans", {
      crewId: { ...id },
      version: whole,
      changedAt: moment,
      ...storedDocument(STANDING_DOCUMENT, "document"),
    }) as Table<StandingPlanRow>,
    PlacementLeader: sequelize.define("placement_leaders", {
      placementId: { ...id },
      crewId: uuid,
      leaderId: uuid,
    }) as Table<PlacementLeaderRow>,
    LeadApproval: sequelize.define("lead_approvals", {
      accountId: { ...idPart },
      sessionId: { ...idPart },
      crewId: uuid,
      approvedBy: uuid,
      at: moment,
      shown: json,
    }) as Table<LeadApprovalRow>,
    Way: sequelize.define("ways", {
      practiceId: { ...idPart },
      fromPlace: { ...textPart },
      toPlace: { ...textPart },
      minutes: whole,
    }) as Table<WayRow>,
    CalendarLink: sequelize.define("calendar_links", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      leaderId: uuid,
      name: text,
      tokenHash: text,
      madeAt: moment,
      withdrawnAt: moment,
      lastReadAt: moment,
    }) as Table<CalendarLinkRow>,
  };
}
