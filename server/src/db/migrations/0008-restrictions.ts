/** What keeps a person out is called a restriction everywhere but on the screen; each statement may be run again after a broken start. */
import type { QueryInterface } from "sequelize";

async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query("RENAME TABLE IF EXISTS holds TO restrictions");
  await query.sequelize.query("ALTER TABLE clearances RENAME COLUMN IF EXISTS holdId TO restrictionId");
  await query.sequelize.query("UPDATE audit_entries SET subject = 'restriction' WHERE subject = 'hold'");
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("UPDATE audit_entries SET subject = 'hold' WHERE subject = 'restriction'");
  await query.sequelize.query("ALTER TABLE clearances RENAME COLUMN IF EXISTS restrictionId TO holdId");
  await query.sequelize.query("RENAME TABLE IF EXISTS restrictions TO holds");
}

export const restrictions = { up, down };
