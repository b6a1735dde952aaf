/** Weeks, placed sessions, calendars to subscribe to, as they are stored. */
import type { Sequelize } from "sequelize";
import { day, dayPart, id, idPart, json, moment, text, uuid, whole, type Table } from "../db/columns";

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
}

export interface CalendarLinkRow {
  id: string;
  crewId: string;
  personId: string | null;
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
    }) as Table<PlacementRow>,
    CalendarLink: sequelize.define("calendar_links", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      name: text,
      tokenHash: text,
      madeAt: moment,
      withdrawnAt: moment,
      lastReadAt: moment,
    }) as Table<CalendarLinkRow>,
  };
}
