/** Runs, who took part, what was done, and the days of each person added up, as they are stored. */
import type { PersonDay } from "@kind-grip/core/followup";
import type { CountedBout } from "@kind-grip/core/meter";
import type { QuickResult } from "@kind-grip/core/quicktest";
import type { RunRecord } from "@kind-grip/core/run";
import { SESSION_DOCUMENT, type SessionSlot } from "@kind-grip/core/session";
import type { Sequelize } from "sequelize";
import { day, dayPart, flag, id, idPart, json, moment, real, text, uuid, whole, wholePart, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";
import { storedDocument } from "../db/stored-document";

export interface RunRow {
  id: string;
  crewId: string;
  ledBy: string;
  programId: string | null;
  placementId: string | null;
  sessionName: string;
  slot: SessionSlot;
  session: RunRecord["session"];
  startedAt: Date;
  endedAt: Date;
  /** The working day it belongs to by the shifts of then; null for those from before this was kept. */
  workingDay?: string | null;
  plannedSec: number;
  doneSec: number;
  /** Followed by one person on their own page, not led. */
  alone?: boolean;
  /** When the server got it, by its own clock; null for those from before this was kept. */
  receivedAt?: Date | null;
}

export interface RunPersonRow {
  runId: string;
  personId: string;
  present: boolean;
  effort: number | null;
  markCount: number;
  /** Null once they were forgotten. */
  marks: RunRecord["people"][number]["marks"] | null;
  forms: Record<string, string>;
  /** Items left out because the person is held out of them. */
  leftOut: string[];
  /** The quick test before and after; null where none was taken. */
  quick: QuickResult | null;
  /** What a phone in the hand counted; null where nothing was counted. */
  counted: CountedBout[] | null;
  /** It arrived when the person was out of it already, and says that it began before. Not evidence until the trainer has said so. */
  clash?: "heldOut" | "outOfItem" | null;
  clashAnswer?: "before" | "mistake" | null;
}

export interface RunItemRow {
  runId: string;
  position: number;
  itemId: string;
  movementId: string;
  formId: string;
  plannedSec: number;
  doneSec: number;
  status: "done" | "part" | "skipped";
}

export interface PersonDayRow extends PersonDay {
  crewId: string;
}

/** What somebody's own phone said of a session that is led; without an effort, that they are here. */
export interface OwnAnswerRow {
  id: string;
  crewId: string;
  personId: string;
  placementId: string | null;
  runId: string | null;
  effort: number | null;
  at: Date;
}

/** What a crew is asked before and after its runs. */
export interface QuickTestRuleRow {
  crewId: string;
  test: string | null;
}

/** What somebody wants to be asked instead, on their own phone; "none" for nothing. */
export interface QuickTestWishRow {
  personId: string;
  crewId: string;
  test: string;
}

export function defineRunTables(sequelize: Sequelize) {
  return {
    Run: sequelize.define("runs", {
      id: { ...id },
      crewId: uuid,
      ledBy: uuid,
      programId: uuid,
      placementId: uuid,
      sessionName: text,
      slot: text,
      ...storedDocument(SESSION_DOCUMENT, "session"),
      startedAt: moment,
      endedAt: moment,
      workingDay: day,
      plannedSec: real,
      doneSec: real,
      alone: flag,
      receivedAt: moment,
    }) as Table<RunRow>,
    RunPerson: sequelize.define("run_people", {
      runId: { ...idPart },
      personId: { ...idPart },
      present: flag,
      effort: whole,
      markCount: whole,
      ...encrypted("marks"),
      forms: json,
      leftOut: json,
      ...encrypted("quick"),
      counted: json,
      clash: text,
      clashAnswer: text,
    }) as Table<RunPersonRow>,
    OwnAnswer: sequelize.define("own_answers", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      placementId: uuid,
      runId: uuid,
      effort: whole,
      at: moment,
    }) as Table<OwnAnswerRow>,
    QuickTestRule: sequelize.define("quick_test_rules", { crewId: { ...id }, test: text }) as Table<QuickTestRuleRow>,
    QuickTestWish: sequelize.define("quick_test_wishes", { personId: { ...id }, crewId: uuid, test: text }) as Table<QuickTestWishRow>,
    RunItem: sequelize.define("run_items", {
      runId: { ...idPart },
      position: { ...wholePart },
      itemId: uuid,
      movementId: text,
      formId: text,
      plannedSec: real,
      doneSec: real,
      status: text,
    }) as Table<RunItemRow>,
    PersonDay: sequelize.define("person_days", {
      personId: { ...idPart },
      day: { ...dayPart },
      crewId: uuid,
      itemsDue: whole,
      itemsDone: whole,
      doneSec: real,
      runs: whole,
      effortSum: whole,
      efforts: whole,
      marks: whole,
    }) as Table<PersonDayRow>,
  };
}
