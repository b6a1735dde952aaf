/** Every stored document says which format it is in. The symptom reports of people get the name the rest of the product calls them by. */
import type { QueryInterface } from "sequelize";

const WITH_DOCUMENT = ["programs", "custom_movements", "works", "baseline_records", "runs", "crews", "practices"];

async function up(query: QueryInterface): Promise<void> {
  for (const table of WITH_DOCUMENT)
    await query.sequelize.query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS format SMALLINT NOT NULL DEFAULT 1`);
  await query.sequelize.query("RENAME TABLE IF EXISTS tells TO symptom_reports");
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("RENAME TABLE IF EXISTS symptom_reports TO tells");
  for (const table of WITH_DOCUMENT) await query.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS format`);
}

export const documentFormats = { up, down };
