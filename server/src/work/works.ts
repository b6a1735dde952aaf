/** The work of a crew: one document, saved whole with a version. */
import { isEqual } from "es-toolkit";
import { EMPTY_WORK, workProblems, type Work } from "@kind-grip/core/strain";
import { longestWorkMin } from "@kind-grip/core/calendar";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, stale } from "../http/problem";

export interface WorkEntry {
  crewId: string;
  version: number;
  work: Work;
}

export async function workOf(db: Db, caller: Caller, crewId: string): Promise<WorkEntry> {
  await crewOf(db, caller, crewId);
  const row = (await db.models.Work.findByPk(crewId))?.get({ plain: true });
  return { crewId, version: row?.version ?? 0, work: row?.document ?? EMPTY_WORK };
}

/**
 * @param version the one last seen; 0 for work never described
 * @throws Problem 400 for contradictory answers and people of other crews, 409 when somebody else saved in between
 */
export async function saveWork(db: Db, caller: Caller, at: Date, crewId: string, version: number, work: Work): Promise<WorkEntry> {
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const problems = workProblems(work, longestWorkMin(crew.detail.shiftPattern));
    const there = new Set(
      (await db.models.Person.findAll({ where: { crewId }, attributes: ["id"], transaction })).map((person) => person.get().id),
    );
    work.days.forEach((day, d) =>
      day.personIds.forEach((personId, p) => {
        if (!there.has(personId)) problems.push({ path: `days.${d}.personIds.${p}`, message: "is not in this crew" });
      }),
    );
    if (problems.length > 0) throw invalid(problems.map(({ path, message }) => ({ path: `work.${path}`, message })));
    const row = (await db.models.Work.findByPk(crewId, { transaction }))?.get({ plain: true });
    const now = row?.version ?? 0;
    if (now !== version) {
      // The same save sent twice after a lost answer: it is there already.
      if (row && now === version + 1 && isEqual(row.document, work)) return { crewId, version: now, work };
      throw stale({ crewId, version: now, work: row?.document ?? EMPTY_WORK });
    }
    await db.models.Work.upsert({ crewId, document: work, version: version + 1, changedAt: at }, { transaction });
    return { crewId, version: version + 1, work };
  });
}
