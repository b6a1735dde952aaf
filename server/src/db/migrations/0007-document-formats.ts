/**
 * Every stored document says which format it is in; what was stored before is in format 1. Symptom reports and two safety questions get
 * the names the rest of the product calls them by; the answers to these questions are renamed as their records are read.
 */
import type { QueryInterface } from "sequelize";

const RENAMED_QUESTIONS = { thinBlood: "anticoagulants", veryMobile: "hypermobility" };
const WITH_DOCUMENT = ["programs", "custom_movements", "works", "baseline_records", "runs", "crews", "practices"];

async function up(query: QueryInterface): Promise<void> {
  for (const table of WITH_DOCUMENT)
    await query.sequelize.query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS format SMALLINT NOT NULL DEFAULT 1`);
  await query.sequelize.query("RENAME TABLE IF EXISTS tells TO symptom_reports");
  for (const [older, today] of Object.entries(RENAMED_QUESTIONS))
    await query.sequelize.query("UPDATE holds SET question = :today WHERE question = :older", { replacements: { older, today } });
}

async function down(query: QueryInterface): Promise<void> {
  for (const [older, today] of Object.entries(RENAMED_QUESTIONS))
    await query.sequelize.query("UPDATE holds SET question = :older WHERE question = :today", { replacements: { older, today } });
  await query.sequelize.query("RENAME TABLE IF EXISTS symptom_reports TO tells");
  for (const table of WITH_DOCUMENT) await query.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS format`);
}

export const documentFormats = { up, down };
