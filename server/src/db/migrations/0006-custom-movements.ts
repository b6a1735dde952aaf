/** Movements a practice made itself are called what the rest of the product calls them. */
import type { QueryInterface } from "sequelize";

async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query("RENAME TABLE IF EXISTS own_movements TO custom_movements");
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("RENAME TABLE IF EXISTS custom_movements TO own_movements");
}

export const customMovements = { up, down };
