/** JSON Schemas (draft 7) of every file that goes out or comes in: docs/formats/schemas, and served. */
import { toJsonSchema } from "@valibot/to-json-schema";
import { MovementFile, ProgramFile } from "@kind-grip/core/exchange";
import { LANGUAGES } from "@kind-grip/core/language";
import type { Model, ModelStatic } from "sequelize";
import * as v from "valibot";
import { BackupManifest } from "../backup/backups";
import type { Db } from "../db/connection";
import type { Models } from "../db/models";
import { columnsSchema, DRAFT } from "../practice-file/schema";

type Schema = Record<string, unknown>;

const TextsFile = v.strictObject({
  format: v.literal("kind-grip-texts"),
  version: v.literal(1),
  texts: v.record(v.picklist(LANGUAGES), v.record(v.string(), v.pipe(v.string(), v.minLength(1), v.maxLength(600)))),
});

const ofFile = (title: string, schema: v.GenericSchema): Schema => ({
  ...(toJsonSchema(schema, { errorMode: "ignore", typeMode: "output" }) as Schema),
  title,
});

/** A file that is mostly rows of tables. */
function ofRows(title: string, format: string, version: number, fields: Record<string, Schema>): Schema {
  const head = { format: { const: format }, version: { const: version }, writtenAt: { type: "string", format: "date-time" } };
  return {
    $schema: DRAFT,
    title,
    type: "object",
    properties: { ...head, ...fields },
    required: [...Object.keys(head), ...Object.keys(fields)],
    additionalProperties: false,
  };
}

/** By name: what `docs/formats/schemas/<name>.schema.json` holds. */
export function fileSchemas(db: Db): Record<string, Schema> {
  const table = (model: keyof Models) => db.models[model] as unknown as ModelStatic<Model>;
  const row = (model: keyof Models, { without = [] as string[], more = {} as Record<string, Schema> } = {}): Schema => {
    const columns = Object.keys(table(model).getAttributes()).filter((name) => !without.includes(name));
    const schema = columnsSchema(table(model), columns) as { properties: Record<string, Schema>; required: string[] };
    return { ...schema, properties: { ...schema.properties, ...more }, required: [...schema.required, ...Object.keys(more)] };
  };
  const rows = (model: keyof Models, change?: Parameters<typeof row>[1]): Schema => ({ type: "array", items: row(model, change) });
  const oneOrNone = (model: keyof Models): Schema => ({ anyOf: [row(model), { type: "null" }] });
  const open: Schema = { type: "object" };
  return {
    program: ofFile("A program", ProgramFile),
    movement: ofFile("A custom movement", MovementFile),
    texts: ofFile("A practice's own texts", TextsFile),
    "backup-manifest": ofFile("The manifest of a backup", BackupManifest),
    trail: ofRows("The trail of a practice", "kind-grip-trail", 1, { segments: rows("TrailSegment"), entries: rows("TrailEntry") }),
    crew: ofRows("Everything of a crew", "kind-grip-crew", 2, {
      crew: open,
      people: rows("Person"),
      absences: rows("Absence"),
      work: oneOrNone("Work"),
      observations: rows("Observation"),
      rounds: rows("Round"),
      baselineRecords: rows("Baseline"),
      restrictions: rows("Restriction"),
      clearances: rows("Clearance"),
      programs: rows("Program"),
      placements: rows("Placement"),
      standingPlan: oneOrNone("StandingPlan"),
      bookingRules: oneOrNone("BookingBook"),
      bookings: rows("Booking"),
      bookingCalendars: { type: "array", items: open },
      bookedSessions: rows("BookedSession"),
      placementLeaders: rows("PlacementLeader"),
      leadApprovals: rows("LeadApproval"),
      contacts: rows("Contact"),
      reminderRule: oneOrNone("ReminderRule"),
      reminderWishes: rows("ReminderWish"),
      quickTestRule: oneOrNone("QuickTestRule"),
      quickTestWishes: rows("QuickTestWish"),
      runs: rows("Run"),
      runItems: rows("RunItem"),
      runPeople: rows("RunPerson"),
      personDays: rows("PersonDay"),
      checkIns: rows("CheckIn"),
      symptomReports: rows("SymptomReport"),
      symptomAlerts: rows("SymptomAlert"),
      decisions: rows("Decision"),
      ownAnswers: rows("OwnAnswer"),
      firstAid: oneOrNone("FirstAidBook"),
      notes: rows("PersonNote", { without: ["content"] }),
    }),
    person: ofRows("Everything of a person", "kind-grip-person", 1, {
      crew: open,
      person: row("Person"),
      people: { type: "object", additionalProperties: { type: "string" } },
      absences: rows("Absence"),
      contacts: rows("Contact"),
      choices: { type: "array", items: { anyOf: [row("ReminderWish"), row("QuickTestWish")] } },
      rounds: rows("Baseline", { more: { round: { type: "string" }, at: { type: "string", format: "date" } } }),
      restrictions: rows("Restriction"),
      clearances: rows("Clearance"),
      reports: rows("SymptomReport"),
      alerts: rows("SymptomAlert"),
      mornings: rows("CheckIn"),
      decisions: rows("Decision"),
      runs: rows("RunPerson", { more: { sessionName: {}, startedAt: {}, endedAt: {}, session: {}, alone: {} } }),
      ownAnswers: rows("OwnAnswer"),
      days: rows("PersonDay"),
      observations: rows("Observation"),
      notes: rows("PersonNote"),
      bookings: rows("Booking"),
      calendars: rows("BookingCalendar", { without: ["address"], more: { host: { type: "string" } } }),
      messages: rows("Message"),
      readings: rows("TrailEntry", { without: ["id", "lineId", "practiceId", "segmentId", "crewId"] }),
    }),
  };
}
