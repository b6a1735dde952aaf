/** The tables as Sequelize models. Columns that hold a whole document are JSON and pass a core schema on the way in. */
import type { Crew } from "@kind-grip/core/crew";
import type { OwnMovement } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { RunRecord } from "@kind-grip/core/run";
import { DataTypes, type Model, type ModelStatic, type Sequelize } from "sequelize";

export interface PracticeRow {
  id: string;
  name: string;
  /** Demo practices live on a fixed day: the moment it is when the server starts. */
  demoNow: Date | null;
}

export interface AccountRow {
  id: string;
  practiceId: string;
  role: "trainer";
  email: string;
  name: string;
  passwordHash: string;
}

export interface SignInAttemptRow {
  id?: number;
  email: string;
  address: string;
  at: Date;
}

export interface CrewRow {
  id: string;
  trainerId: string;
  name: string;
  detail: Omit<Crew, "name">;
  version: number;
  removedAt: Date | null;
}

export interface PersonRow {
  id: string;
  crewId: string;
  name: string;
  badge: string | null;
  handedness: "left" | "right" | "both" | null;
  startedOn: string | null;
  leftOn: string | null;
  version: number;
}

export interface ProgramRow {
  id: string;
  crewId: string;
  name: string;
  document: Program;
  version: number;
  changedAt: Date;
  removedAt: Date | null;
}

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
}

export interface RunRow {
  id: string;
  crewId: string;
  ledBy: string;
  programId: string | null;
  placementId: string | null;
  sessionName: string;
  slot: "preShift" | "break" | "postShift";
  session: RunRecord["session"];
  startedAt: Date;
  endedAt: Date;
  plannedSec: number;
  doneSec: number;
}

export interface RunPersonRow {
  runId: string;
  personId: string;
  present: boolean;
  effort: number | null;
  markCount: number;
  marks: RunRecord["people"][number]["marks"];
  forms: Record<string, string>;
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

export interface OwnMovementRow {
  id: string;
  practiceId: string;
  name: string;
  document: OwnMovement;
  version: number;
  changedAt: Date;
  removedAt: Date | null;
}

type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export interface Models {
  Practice: Table<PracticeRow>;
  Account: Table<AccountRow>;
  SignInAttempt: Table<SignInAttemptRow>;
  Crew: Table<CrewRow>;
  Person: Table<PersonRow>;
  Program: Table<ProgramRow>;
  OwnMovement: Table<OwnMovementRow>;
  WeekPlan: Table<WeekPlanRow>;
  Placement: Table<PlacementRow>;
  Run: Table<RunRow>;
  RunPerson: Table<RunPersonRow>;
  RunItem: Table<RunItemRow>;
}

export function defineModels(sequelize: Sequelize): Models {
  const id = { type: DataTypes.UUID, primaryKey: true };
  const uuid = DataTypes.UUID;
  const text = DataTypes.STRING(160);
  const moment = DataTypes.DATE(3);
  const day = DataTypes.DATEONLY;
  const whole = DataTypes.INTEGER;
  const real = DataTypes.DOUBLE;
  const json = DataTypes.JSON;
  return {
    Practice: sequelize.define("practices", { id, name: text, demoNow: moment }),
    Account: sequelize.define("accounts", { id, practiceId: uuid, role: text, email: text, name: text, passwordHash: text }),
    SignInAttempt: sequelize.define("sign_in_attempts", {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      email: text,
      address: text,
      at: moment,
    }),
    Crew: sequelize.define("crews", { id, trainerId: uuid, name: text, detail: json, version: whole, removedAt: moment }),
    Person: sequelize.define("people", {
      id,
      crewId: uuid,
      name: text,
      badge: text,
      handedness: text,
      startedOn: day,
      leftOn: day,
      version: whole,
    }),
    Program: sequelize.define("programs", {
      id,
      crewId: uuid,
      name: text,
      document: json,
      version: whole,
      changedAt: moment,
      removedAt: moment,
    }),
    OwnMovement: sequelize.define("own_movements", {
      id,
      practiceId: uuid,
      name: text,
      document: json,
      version: whole,
      changedAt: moment,
      removedAt: moment,
    }),
    WeekPlan: sequelize.define("week_plans", {
      crewId: { type: uuid, primaryKey: true },
      weekStart: { type: day, primaryKey: true },
      version: whole,
    }),
    Placement: sequelize.define("placements", { id, crewId: uuid, weekStart: day, programId: uuid, sessionId: uuid, startsAt: moment }),
    Run: sequelize.define("runs", {
      id,
      crewId: uuid,
      ledBy: uuid,
      programId: uuid,
      placementId: uuid,
      sessionName: text,
      slot: text,
      session: json,
      startedAt: moment,
      endedAt: moment,
      plannedSec: real,
      doneSec: real,
    }),
    RunPerson: sequelize.define("run_people", {
      runId: { type: uuid, primaryKey: true },
      personId: { type: uuid, primaryKey: true },
      present: DataTypes.BOOLEAN,
      effort: whole,
      markCount: whole,
      marks: json,
      forms: json,
    }),
    RunItem: sequelize.define("run_items", {
      runId: { type: uuid, primaryKey: true },
      position: { type: whole, primaryKey: true },
      itemId: uuid,
      movementId: text,
      formId: text,
      plannedSec: real,
      doneSec: real,
      status: text,
    }),
  };
}
