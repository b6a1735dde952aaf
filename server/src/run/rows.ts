/** People in runs, flat: one row a person and run, oldest first. */
import { QueryTypes } from "sequelize";
import type { Db } from "../db/connection";

export interface RunPersonFlat {
  runId: string;
  startedAt: Date;
  sessionName: string;
  slot: string;
  plannedSec: number;
  doneSec: number;
  personId: string;
  name: string;
  badge: string | null;
  present: boolean;
  effort: number | null;
  markCount: number;
}

export async function runRows({ sequelize }: Db, crewId: string, since = new Date(0)): Promise<RunPersonFlat[]> {
  const rows = await sequelize.query<RunPersonFlat>(
    `SELECT r.id AS runId, r.startedAt, r.sessionName, r.slot, r.plannedSec, r.doneSec, p.id AS personId, p.name, p.badge, rp.present, rp.effort, rp.markCount
     FROM runs r JOIN run_people rp ON rp.runId = r.id JOIN people p ON p.id = rp.personId
     WHERE r.crewId = :crewId AND r.startedAt >= :since ORDER BY r.startedAt, p.name`,
    { replacements: { crewId, since }, type: QueryTypes.SELECT },
  );
  return rows.map((row) => ({ ...row, present: Boolean(row.present), startedAt: new Date(row.startedAt) }));
}
