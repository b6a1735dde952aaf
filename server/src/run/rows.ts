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

/** Who was in which run and how it was, each name told once: what a year of a crew comes to is mostly rows. Runs oldest first. */
export async function attendanceSince({ sequelize }: Db, crewId: string, since: Date) {
  const ask = { replacements: { crewId, since }, type: QueryTypes.SELECT } as const;
  const of = "FROM runs r JOIN run_people rp ON rp.runId = r.id WHERE r.crewId = :crewId AND r.startedAt >= :since";
  type Row = { runId: string; personId: string; present: number; effort: number | null; marks: number };
  const [runs, rows] = await Promise.all([
    sequelize.query<{ id: string; startedAt: Date; sessionName: string }>(
      "SELECT id, startedAt, sessionName FROM runs WHERE crewId = :crewId AND startedAt >= :since ORDER BY startedAt",
      ask,
    ),
    sequelize.query<Row>(`SELECT rp.runId, rp.personId, rp.present, rp.effort, rp.markCount AS marks ${of}`, ask),
  ]);
  // By their ids, known by now: looking once more through everything they did would take as long as all the rest.
  const personIds = [...new Set(rows.map(({ personId }) => personId)), ""];
  const people = await sequelize.query<{ id: string; name: string }>("SELECT id, name FROM people WHERE id IN (:personIds)", {
    replacements: { personIds },
    type: QueryTypes.SELECT,
  });
  const startedAtMs = new Map(runs.map((run) => [run.id, new Date(run.startedAt).getTime()]));
  const attendance = rows.map((row) => ({ ...row, present: row.present > 0, startedAtMs: startedAtMs.get(row.runId) ?? 0 }));
  return [runs, people, attendance] as const;
}
