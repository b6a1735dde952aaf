/** Morning check-ins, decisions and what waits for one, as they are stored. */
import type { Region } from "@kind-grip/core/library";
import type { Present } from "@kind-grip/core/program";
import type { DecisionKind, Response, ResponseThresholds } from "@kind-grip/core/response";
import type { Sequelize } from "sequelize";
import { day, id, idPart, json, moment, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface CheckInRow {
  id: string;
  crewId: string;
  personId: string;
  day: string;
  level: number;
  regions: Region[];
  tingling: boolean;
  stillThere?: boolean | null;
  at: Date;
}

export interface DecisionRow {
  id: string;
  crewId: string;
  personId: string;
  programId: string;
  itemId: string;
  movementId: string;
  proposed: DecisionKind;
  decided: DecisionKind;
  why: string | null;
  /** The proposal with its rules and figures, what the person did before, and the thresholds it was made with. */
  response: Response;
  was: Present;
  settings: ResponseThresholds;
  settingsVersion: number;
  decidedBy: string;
  decidedAt: Date;
  /** A pause that was ended. */
  resumedAt: Date | null;
  resumedWhy: string | null;
}

/** What waits for a decision: written when runs and mornings come in, so that Today only counts. */
export interface ProposalRow {
  personId: string;
  itemId: string;
  crewId: string;
  programId: string;
  movementId: string;
  kind: DecisionKind;
  madeAt: Date;
}

export function defineResponseTables(sequelize: Sequelize) {
  return {
    CheckIn: sequelize.define("check_ins", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      day,
      level: whole,
      ...encrypted("regions"),
      ...encrypted("tingling"),
      ...encrypted("stillThere"),
      at: moment,
    }) as Table<CheckInRow>,
    Decision: sequelize.define("decisions", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      programId: uuid,
      itemId: uuid,
      movementId: text,
      proposed: text,
      decided: text,
      ...encrypted("why"),
      ...encrypted("response"),
      ...encrypted("was"),
      settings: json,
      settingsVersion: whole,
      decidedBy: uuid,
      decidedAt: moment,
      resumedAt: moment,
      ...encrypted("resumedWhy"),
    }) as Table<DecisionRow>,
    Proposal: sequelize.define("proposals", {
      personId: { ...idPart },
      itemId: { ...idPart },
      crewId: uuid,
      programId: uuid,
      movementId: text,
      kind: text,
      madeAt: moment,
    }) as Table<ProposalRow>,
  };
}
