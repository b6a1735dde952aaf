/** The tables as Sequelize models. Columns that hold a whole document are JSON and pass a core schema on the way in. */
import type { BaselineRecord } from "@kind-grip/core/baseline";
import type { Crew } from "@kind-grip/core/crew";
import type { Behind, ChangeMeasure, CrewFigure, CrewFigures, MeasuredChange, PersonDay } from "@kind-grip/core/followup";
import type { CustomMovement, Phase, Region } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { DecisionKind, PracticeSettings, Present, Response, ResponseThresholds } from "@kind-grip/core/response";
import type { RunRecord } from "@kind-grip/core/run";
import type { AlertAnswer, AlertCause, AlertKind, HoldReason, ReportKind, Symptom } from "@kind-grip/core/safety";
import type { Work } from "@kind-grip/core/strain";
import type { HandSide } from "@kind-grip/core/units";
import type { Role } from "../auth/caller";
import { DataTypes, type Model, type ModelStatic, type Sequelize } from "sequelize";

export interface PracticeRow {
  id: string;
  name: string;
  /** Demo practices live on a fixed day: the moment it is when the server starts. */
  demoNow: Date | null;
  /** What the practice sets for itself; null while it uses the defaults. */
  settings?: PracticeSettings | null;
  settingsVersion?: number;
}

export interface AccountRow {
  id: string;
  practiceId: string;
  role: Exclude<Role, "member">;
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
  /** Who of the crew; null for everybody. */
  people?: string[] | null;
  groupName?: string | null;
  /** Last time it was put somewhere else; null for those from before this was kept. */
  changedAt?: Date | null;
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
  marks: RunRecord["people"][number]["marks"];
  forms: Record<string, string>;
  /** Items left out because the person is held out of them. */
  leftOut: string[];
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

export interface CustomMovementRow {
  id: string;
  practiceId: string;
  name: string;
  document: CustomMovement;
  version: number;
  changedAt: Date;
  removedAt: Date | null;
}

export interface WorkRow {
  crewId: string;
  document: Work;
  version: number;
  changedAt: Date;
}

export interface RoundRow {
  id: string;
  crewId: string;
  name: string;
  startedOn: string;
  closedAt: Date | null;
}

export interface BaselineRow {
  roundId: string;
  personId: string;
  document: BaselineRecord;
  /** Where something is felt, apart from the document: asked for at every session. */
  symptoms: Pick<Symptom, "region" | "level">[];
  version: number;
  changedAt: Date;
}

export interface HoldRow {
  id: string;
  crewId: string;
  personId: string;
  question: HoldReason;
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
  holdId: string;
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

export type AuditSubject = "baseline" | "hold" | "clearance" | "referral" | "export" | "decision" | "access" | "report" | "run";

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

export interface CrewAccessRow {
  accountId: string;
  crewId: string;
}

export interface MemberAccessRow {
  personId: string;
  crewId: string;
  /** First part of the PIN: says who, is no secret. */
  number: number;
  pinHash: string;
  cardHash: string;
  issuedAt: Date;
}

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

export interface PersonDayRow extends PersonDay {
  crewId: string;
}

export interface AbsenceRow {
  id: string;
  crewId: string;
  personId: string;
  fromDay: string;
  untilDay: string;
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

export interface MessageRow {
  id: string;
  practiceId: string;
  crewId: string;
  personId: string;
  placementId: string | null;
  text: string;
  queuedAt: Date;
  /** `dropped`: no reminder any more as it was due. */
  state: "waiting" | "sent" | "failed" | "dropped";
  tries: number;
  nextTryAt: Date;
  sentAt: Date | null;
  problem: string | null;
}

type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export interface Models {
  Practice: Table<PracticeRow>;
  Account: Table<AccountRow>;
  SignInAttempt: Table<SignInAttemptRow>;
  Crew: Table<CrewRow>;
  Person: Table<PersonRow>;
  Program: Table<ProgramRow>;
  CustomMovement: Table<CustomMovementRow>;
  WeekPlan: Table<WeekPlanRow>;
  Placement: Table<PlacementRow>;
  Run: Table<RunRow>;
  RunPerson: Table<RunPersonRow>;
  RunItem: Table<RunItemRow>;
  Work: Table<WorkRow>;
  Round: Table<RoundRow>;
  Baseline: Table<BaselineRow>;
  Hold: Table<HoldRow>;
  Clearance: Table<ClearanceRow>;
  Audit: Table<AuditRow>;
  CrewAccess: Table<CrewAccessRow>;
  MemberAccess: Table<MemberAccessRow>;
  CheckIn: Table<CheckInRow>;
  SymptomReport: Table<SymptomReportRow>;
  Decision: Table<DecisionRow>;
  Proposal: Table<ProposalRow>;
  PersonDay: Table<PersonDayRow>;
  Absence: Table<AbsenceRow>;
  CalendarLink: Table<CalendarLinkRow>;
  SymptomAlert: Table<SymptomAlertRow>;
  FrozenBlock: Table<FrozenBlockRow>;
  FrozenChanges: Table<FrozenChangesRow>;
  Message: Table<MessageRow>;
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
    Practice: sequelize.define("practices", { id, name: text, demoNow: moment, settings: json, settingsVersion: whole }),
    Account: sequelize.define("accounts", { id, practiceId: uuid, role: text, email: text, name: text, passwordHash: text }),
    SignInAttempt: sequelize.define("sign_in_attempts", {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      email: text,
      address: text,
      at: moment,
    }),
    Crew: sequelize.define("crews", { id, trainerId: uuid, name: text, detail: json, version: whole, removedAt: moment, code: text }),
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
    CustomMovement: sequelize.define("custom_movements", {
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
    Placement: sequelize.define("placements", {
      id,
      crewId: uuid,
      weekStart: day,
      programId: uuid,
      sessionId: uuid,
      startsAt: moment,
      people: json,
      groupName: text,
      changedAt: moment,
    }),
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
      alone: DataTypes.BOOLEAN,
      receivedAt: moment,
    }),
    RunPerson: sequelize.define("run_people", {
      runId: { type: uuid, primaryKey: true },
      personId: { type: uuid, primaryKey: true },
      present: DataTypes.BOOLEAN,
      effort: whole,
      markCount: whole,
      marks: json,
      forms: json,
      leftOut: json,
      clash: text,
      clashAnswer: text,
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
    Work: sequelize.define("works", { crewId: { type: uuid, primaryKey: true }, document: json, version: whole, changedAt: moment }),
    Round: sequelize.define("baseline_rounds", { id, crewId: uuid, name: text, startedOn: day, closedAt: moment }),
    Baseline: sequelize.define("baseline_records", {
      roundId: { type: uuid, primaryKey: true },
      personId: { type: uuid, primaryKey: true },
      document: json,
      symptoms: json,
      version: whole,
      changedAt: moment,
    }),
    Hold: sequelize.define("holds", {
      id,
      crewId: uuid,
      personId: uuid,
      question: text,
      words: DataTypes.STRING(600),
      since: moment,
      roundId: uuid,
      withdrawnAt: moment,
      withdrawnWhy: DataTypes.STRING(600),
    }),
    Clearance: sequelize.define("clearances", {
      id,
      crewId: uuid,
      personId: uuid,
      holdId: uuid,
      givenBy: text,
      profession: text,
      allows: json,
      fromDay: day,
      untilDay: day,
      note: DataTypes.STRING(600),
      enteredAt: moment,
      withdrawnAt: moment,
      withdrawnWhy: DataTypes.STRING(600),
    }),
    Audit: sequelize.define("audit_entries", {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      crewId: uuid,
      personId: uuid,
      accountId: uuid,
      act: text,
      subject: text,
      what: text,
      at: moment,
      lastAt: moment,
      times: whole,
    }),
    CrewAccess: sequelize.define("crew_access", { accountId: { type: uuid, primaryKey: true }, crewId: { type: uuid, primaryKey: true } }),
    MemberAccess: sequelize.define("member_access", {
      personId: { type: uuid, primaryKey: true },
      crewId: uuid,
      number: whole,
      pinHash: text,
      cardHash: text,
      issuedAt: moment,
    }),
    CheckIn: sequelize.define("check_ins", {
      id,
      crewId: uuid,
      personId: uuid,
      day,
      level: whole,
      regions: json,
      tingling: DataTypes.BOOLEAN,
      stillThere: DataTypes.BOOLEAN,
      at: moment,
    }),
    SymptomReport: sequelize.define("tells", {
      id,
      crewId: uuid,
      personId: uuid,
      movementId: text,
      kind: text,
      words: DataTypes.STRING(600),
      at: moment,
      seenAt: moment,
      seenBy: uuid,
      side: text,
      regions: json,
      stillThere: DataTypes.BOOLEAN,
      freshInjury: DataTypes.BOOLEAN,
    }),
    SymptomAlert: sequelize.define("symptom_alerts", {
      id,
      crewId: uuid,
      personId: uuid,
      cause: text,
      causeId: uuid,
      kind: text,
      side: text,
      regions: json,
      since: moment,
      answer: text,
      reply: DataTypes.STRING(600),
      answeredAt: moment,
      answeredBy: uuid,
      endedAt: moment,
    }),
    FrozenBlock: sequelize.define("frozen_blocks", {
      crewId: { type: uuid, primaryKey: true },
      blockStart: { type: day, primaryKey: true },
      frozenAt: moment,
      figures: json,
      behind: json,
    }),
    FrozenChanges: sequelize.define("frozen_changes", {
      crewId: { type: uuid, primaryKey: true },
      roundId: { type: uuid, primaryKey: true },
      frozenAt: moment,
      changes: json,
      behind: json,
    }),
    Decision: sequelize.define("decisions", {
      id,
      crewId: uuid,
      personId: uuid,
      programId: uuid,
      itemId: uuid,
      movementId: text,
      proposed: text,
      decided: text,
      why: DataTypes.STRING(600),
      response: json,
      was: json,
      settings: json,
      settingsVersion: whole,
      decidedBy: uuid,
      decidedAt: moment,
      resumedAt: moment,
      resumedWhy: DataTypes.STRING(600),
    }),
    Proposal: sequelize.define("proposals", {
      personId: { type: uuid, primaryKey: true },
      itemId: { type: uuid, primaryKey: true },
      crewId: uuid,
      programId: uuid,
      movementId: text,
      kind: text,
      madeAt: moment,
    }),
    PersonDay: sequelize.define("person_days", {
      personId: { type: uuid, primaryKey: true },
      day: { type: day, primaryKey: true },
      crewId: uuid,
      itemsDue: whole,
      itemsDone: whole,
      doneSec: real,
      runs: whole,
      effortSum: whole,
      efforts: whole,
      marks: whole,
    }),
    Absence: sequelize.define("absences", { id, crewId: uuid, personId: uuid, fromDay: day, untilDay: day }),
    CalendarLink: sequelize.define("calendar_links", {
      id,
      crewId: uuid,
      personId: uuid,
      name: text,
      tokenHash: text,
      madeAt: moment,
      withdrawnAt: moment,
      lastReadAt: moment,
    }),
    Message: sequelize.define("messages", {
      id,
      practiceId: uuid,
      crewId: uuid,
      personId: uuid,
      placementId: uuid,
      text: DataTypes.STRING(600),
      queuedAt: moment,
      state: text,
      tries: whole,
      nextTryAt: moment,
      sentAt: moment,
      problem: text,
    }),
  };
}
