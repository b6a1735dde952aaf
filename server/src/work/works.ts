/** The work of a crew: one document, saved whole with a version. */
import { isEqual } from "es-toolkit";
import { EMPTY_WORK, workProblems, type Work } from "@kind-grip/core/strain";
import type { WorkEntry } from "@kind-grip/core/api";
import { workAsBooked } from "@kind-grip/core/booking";
import { addDays, dateAt, longestWorkMin } from "@kind-grip/core/calendar";
import type { Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { bookingsOf, daysOfPeople } from "../booking/book";
import { crewOf, lockCrew } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, stale } from "../http/problem";

export async function workOf(db: Db, caller: Caller, at: Date, crewId: string): Promise<WorkEntry> {
  const crew = await crewOf(db, caller, crewId);
  const row = (await db.models.Work.findByPk(crewId))?.get({ plain: true });
  const work = row?.document ?? EMPTY_WORK;
  const done = await workDone(db, crew, at, work);
  return { crewId, version: row?.version ?? 0, work, ...(done === work ? {} : { bookedDays: done.days }) };
}

/** Days that say what is usual. */
const USUAL_DAYS = { before: 21, after: 7 };

/** The work with its days as they are booked, where they are. */
export async function workDone(db: Db, crew: CrewRow, at: Date, work: Work, transaction?: Transaction): Promise<Work> {
  if (!crew.detail.byBookings) return work;
  const { timeZone } = crew.detail;
  const from = addDays(dateAt(at.getTime(), timeZone), -USUAL_DAYS.before);
  const rows = await bookingsOf(db, crew, from, USUAL_DAYS.before + 1 + USUAL_DAYS.after, transaction);
  return workAsBooked(work, new Map([...daysOfPeople(rows, timeZone)].map(([personId, days]) => [personId, [...days.values()]])));
}

/**
 * @param version the one last seen; 0 for work never described
 * @throws Problem 400 for contradictory answers and people of other crews, 409 when somebody else saved in between
 */
export async function saveWork(db: Db, caller: Caller, at: Date, crewId: string, version: number, work: Work): Promise<WorkEntry> {
  const saved = await inTransaction(db, async (transaction) => {
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
      if (row && now === version + 1 && isEqual(row.document, work)) return now;
      throw stale({ crewId, version: now, work: row?.document ?? EMPTY_WORK });
    }
    await db.models.Work.upsert({ crewId, document: work, version: version + 1, changedAt: at }, { transaction });
    return version + 1;
  });
  return { ...(await workOf(db, caller, at, crewId)), version: saved, work };
}
