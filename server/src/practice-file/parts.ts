/** What belongs to a practice, table by table, in the order in which it can be brought in: what others refer to comes first. */
import { literal, Op, type Model, type ModelStatic, type WhereOptions } from "sequelize";
import type { Db } from "../db/connection";
import type { Models } from "../db/models";

export interface PracticePart {
  model: keyof Models;
  /** By which column its rows are a practice's: directly, by an account, a crew, a round or a run of it. */
  by: "id" | "practiceId" | "trainerId" | "crewId" | "roundId" | "runId";
  /** Columns that open doors and are made anew elsewhere. */
  without?: readonly string[];
  /** Rows that stay behind. */
  only?: WhereOptions;
}

export const PRACTICE_PARTS: readonly PracticePart[] = [
  { model: "Practice", by: "id" },
  // Passwords and second steps are the server's: everybody chooses anew.
  { model: "Account", by: "practiceId", without: ["passwordHash", "totpSecret", "totpSince", "totpLastStep", "recoveryHashes"] },
  { model: "Correction", by: "practiceId" },
  { model: "LanguageReading", by: "practiceId" },
  { model: "Retention", by: "practiceId" },
  { model: "MeasuringNoise", by: "practiceId" },
  { model: "Way", by: "practiceId" },
  { model: "CustomMovement", by: "practiceId" },
  { model: "Template", by: "practiceId" },
  // The code of a crew goes with the cards, which are made anew.
  { model: "Crew", by: "trainerId", without: ["code"] },
  { model: "CrewAccess", by: "crewId" },
  { model: "CrewColleague", by: "crewId" },
  { model: "Person", by: "crewId" },
  { model: "Absence", by: "crewId" },
  // A phone takes messages of the server it knows.
  { model: "Contact", by: "crewId", only: { way: { [Op.ne]: "push" } } },
  { model: "ReminderRule", by: "crewId" },
  { model: "ReminderWish", by: "crewId" },
  { model: "QuickTestRule", by: "crewId" },
  { model: "QuickTestWish", by: "crewId" },
  { model: "Work", by: "crewId" },
  { model: "Observation", by: "crewId" },
  { model: "Round", by: "crewId" },
  { model: "Baseline", by: "roundId" },
  { model: "Restriction", by: "crewId" },
  { model: "Clearance", by: "crewId" },
  { model: "Program", by: "crewId" },
  { model: "StandingPlan", by: "crewId" },
  { model: "WeekPlan", by: "crewId" },
  { model: "Placement", by: "crewId" },
  { model: "PlacementLeader", by: "crewId" },
  { model: "LeadApproval", by: "crewId" },
  { model: "BookingBook", by: "crewId" },
  { model: "BookingCalendar", by: "crewId" },
  { model: "Booking", by: "crewId" },
  { model: "BookedDay", by: "crewId" },
  { model: "BookedSession", by: "crewId" },
  { model: "Run", by: "crewId" },
  { model: "RunItem", by: "runId" },
  { model: "RunPerson", by: "runId" },
  { model: "OwnAnswer", by: "crewId" },
  { model: "PersonDay", by: "crewId" },
  { model: "CheckIn", by: "crewId" },
  { model: "SymptomReport", by: "crewId" },
  { model: "SymptomAlert", by: "crewId" },
  { model: "Decision", by: "crewId" },
  { model: "Proposal", by: "crewId" },
  { model: "PersonNote", by: "crewId" },
  { model: "FrozenBlock", by: "crewId" },
  { model: "FrozenChanges", by: "crewId" },
  { model: "FirstAidBook", by: "crewId" },
  // What waits is sent from where it was queued, and nowhere a second time.
  { model: "Message", by: "practiceId", only: { state: { [Op.ne]: "waiting" } } },
  { model: "TrailSegment", by: "practiceId" },
  { model: "TrailEntry", by: "practiceId" },
];

/** What stays where it is, and why. */
export const LEFT_BEHIND: Partial<Record<keyof Models, string>> = {
  OneTimeLink: "opens this server alone",
  ApiToken: "opens this server alone",
  ApiTokenUse: "is what a token of this server was used for",
  Passkey: "is bound to this server's name",
  AnsweredQuestion: "is a question of this server",
  KnownDevice: "is a browser this server knows",
  SignedInSession: "is signed in to this server",
  SignInAttempt: "is an attempt at this server",
  MemberAccess: "is a card for this server's address",
  CalendarLink: "is an address of this server",
  PushKey: "is how phones know this server",
  Job: "can be made anew",
};

export const tableOf = (db: Db, { model }: PracticePart): ModelStatic<Model> => db.models[model] as unknown as ModelStatic<Model>;

/** Which rows are the practice's. */
export function rowsWhere({ sequelize }: Db, { by, only }: PracticePart, practiceId: string): WhereOptions {
  const of = sequelize.escape(practiceId);
  const accounts = `SELECT id FROM accounts WHERE practiceId = ${of}`;
  const crews = `SELECT id FROM crews WHERE trainerId IN (${accounts})`;
  const among = (sql: string) => ({ [Op.in]: literal(`(${sql})`) });
  const column: Record<PracticePart["by"], WhereOptions> = {
    id: { id: practiceId },
    practiceId: { practiceId },
    trainerId: { trainerId: among(accounts) },
    crewId: { crewId: among(crews) },
    roundId: { roundId: among(`SELECT id FROM baseline_rounds WHERE crewId IN (${crews})`) },
    runId: { runId: among(`SELECT id FROM runs WHERE crewId IN (${crews})`) },
  };
  return only ? { [Op.and]: [column[by], only] } : column[by];
}

/** Columns that are in the file, in the order of the table. */
export const columnsOf = (db: Db, part: PracticePart): string[] =>
  Object.keys(tableOf(db, part).getAttributes()).filter((name) => !part.without?.includes(name));
