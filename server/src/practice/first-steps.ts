/** How far a trainer has come on the way from nothing to the first run; of the crew that has come furthest. */
import { FIRST_STEPS, type FirstSteps } from "@kind-grip/core/api";
import { QueryTypes } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewIdsOf } from "../crew/crews";
import type { Db } from "../db/connection";

const THERE = `SELECT c.id,
    EXISTS (SELECT 1 FROM people p WHERE p.crewId = c.id AND p.erasedAt IS NULL) AS people,
    EXISTS (SELECT 1 FROM works w WHERE w.crewId = c.id) AS work,
    EXISTS (SELECT 1 FROM baseline_rounds r WHERE r.crewId = c.id) AS baseline,
    EXISTS (SELECT 1 FROM programs g WHERE g.crewId = c.id AND g.removedAt IS NULL) AS program,
    EXISTS (SELECT 1 FROM placements l WHERE l.crewId = c.id) OR EXISTS (SELECT 1 FROM standing_plans s WHERE s.crewId = c.id) AS plan,
    EXISTS (SELECT 1 FROM runs u WHERE u.crewId = c.id) AS run
  FROM crews c WHERE c.id IN (:ids)`;

export async function firstStepsOf(db: Db, caller: Caller): Promise<FirstSteps> {
  const ids = await crewIdsOf(db, caller);
  if (ids.length === 0) return { crewId: null, done: [] };
  const rows = await db.sequelize.query<Record<string, number> & { id: string }>(THERE, { replacements: { ids }, type: QueryTypes.SELECT });
  const crews = rows.map((row) => ({
    crewId: String(row.id),
    done: FIRST_STEPS.filter((step) => step === "crew" || Number(row[step]) > 0),
  }));
  return crews.reduce((furthest, crew) => (crew.done.length > furthest.done.length ? crew : furthest));
}
