/** Crews, people, who was given which crew, days people are excused, as they are stored. */
import { CREW_DETAIL, type Crew } from "@kind-grip/core/crew";
import type { Language } from "@kind-grip/core/language";
import type { Sequelize } from "sequelize";
import { day, id, idPart, moment, text, uuid, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface CrewRow {
  id: string;
  trainerId: string;
  name: string;
  detail: Omit<Crew, "name">;
  version: number;
  removedAt: Date | null;
  /** What crew members sign in with; made with the first card. */
  code?: string | null;
}

export interface PersonRow {
  id: string;
  crewId: string;
  name: string;
  badge: string | null;
  handedness: "left" | "right" | "both" | null;
  startedOn: string | null;
  leftOn: string | null;
  language: Language | null;
  /** Ways back that began up to this day were ended by the trainer. */
  rampsEndedOn?: string | null;
  /** When everything of them was forgotten; what is left says nothing of who it was. */
  erasedAt?: Date | null;
  version: number;
}

export interface CrewAccessRow {
  accountId: string;
  crewId: string;
}

/** A trainer who shares another's crew. */
export interface CrewColleagueRow {
  crewId: string;
  accountId: string;
  invitedBy: string;
  invitedAt: Date;
  /** Null while it is an invitation. */
  acceptedAt: Date | null;
}

export interface AbsenceRow {
  id: string;
  crewId: string;
  personId: string;
  fromDay: string;
  untilDay: string;
}

export function defineCrewTables(sequelize: Sequelize) {
  return {
    Crew: sequelize.define("crews", {
      id: { ...id },
      trainerId: uuid,
      name: text,
      ...storedDocument(CREW_DETAIL, "detail"),
      version: whole,
      removedAt: moment,
      code: text,
    }) as Table<CrewRow>,
    Person: sequelize.define("people", {
      id: { ...id },
      crewId: uuid,
      name: text,
      badge: text,
      handedness: text,
      startedOn: day,
      leftOn: day,
      language: text,
      rampsEndedOn: day,
      erasedAt: moment,
      version: whole,
    }) as Table<PersonRow>,
    CrewAccess: sequelize.define("crew_access", { accountId: { ...idPart }, crewId: { ...idPart } }) as Table<CrewAccessRow>,
    CrewColleague: sequelize.define("crew_colleagues", {
      crewId: { ...idPart },
      accountId: { ...idPart },
      invitedBy: uuid,
      invitedAt: moment,
      acceptedAt: moment,
    }) as Table<CrewColleagueRow>,
    Absence: sequelize.define("absences", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      fromDay: day,
      untilDay: day,
    }) as Table<AbsenceRow>,
  };
}
