/** Movements a practice made itself. */
import type { QueryInterface } from "sequelize";

async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`CREATE TABLE IF NOT EXISTS own_movements (
    id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, document JSON NOT NULL, version INT NOT NULL,
    changedAt DATETIME(3) NOT NULL, removedAt DATETIME(3) NULL,
    KEY own_movements_practice (practiceId, changedAt), CONSTRAINT own_movements_practice_key FOREIGN KEY (practiceId) REFERENCES practices (id))`);
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("DROP TABLE IF EXISTS own_movements");
}

export const ownMovements = { up, down };
