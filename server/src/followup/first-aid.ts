/** The first-aid book of a crew: one document, saved whole with a version; the trainer's, told to the employer as counts. */
import { FirstAidEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { emptyFirstAidBook, type FirstAidBook } from "@kind-grip/core/followup";
import { isEqual } from "es-toolkit";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { CrewParams } from "../http/params";
import { invalid, stale } from "../http/problem";
import type { Routes } from "../http/route";

export function addFirstAidRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "firstAid",
    method: "get",
    path: "/api/crews/:crewId/first-aid",
    summary: "The first-aid book of a crew",
    answer: FirstAidEntry,
    params: CrewParams,
    async handle({ caller, params }) {
      await crewOf(db, caller, params.crewId);
      return entryOf(db, params.crewId);
    },
  });
  routes.add({
    id: "saveFirstAid",
    method: "put",
    path: "/api/crews/:crewId/first-aid",
    summary: "Save it; 409 with the newer one when somebody else saved in between",
    answer: FirstAidEntry,
    params: CrewParams,
    body: FirstAidEntry,
    handle: async ({ caller, params, body }) => saveBook(db, caller, await now(caller), params.crewId, body.version, body.book),
  });
}

async function entryOf({ models }: Db, crewId: string): Promise<FirstAidEntry> {
  const row = (await models.FirstAidBook.findByPk(crewId))?.get({ plain: true });
  return { version: row?.version ?? 0, book: row?.document ?? emptyFirstAidBook() };
}

export async function bookOf(db: Db, crewId: string): Promise<FirstAidBook> {
  return (await entryOf(db, crewId)).book;
}

/** @throws Problem 400 for a day that has not come yet, 409 when somebody else saved in between */
async function saveBook(db: Db, caller: Caller, at: Date, crewId: string, version: number, book: FirstAidBook): Promise<FirstAidEntry> {
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const today = dateAt(at.getTime(), crew.detail.timeZone);
    const early = book.cases.flatMap(({ day }, i) => (day > today ? [{ path: `book.cases.${i}.day`, message: "has not come yet" }] : []));
    if (book.since !== null && book.since > today) early.push({ path: "book.since", message: "has not come yet" });
    if (early.length > 0) throw invalid(early);
    const row = (await db.models.FirstAidBook.findByPk(crewId, { transaction }))?.get({ plain: true });
    const known = row?.version ?? 0;
    if (known !== version) {
      // The same save sent twice after a lost answer: it is there already.
      if (row && known === version + 1 && isEqual(row.document, book)) return { version: known, book };
      throw stale({ version: known, book: row?.document ?? emptyFirstAidBook() });
    }
    await db.models.FirstAidBook.upsert({ crewId, document: book, version: version + 1, changedAt: at }, { transaction });
    await noteChanged(db, caller, at, { crewId, personId: null, subject: "firstAid", what: "first-aid book" }, transaction);
    return { version: version + 1, book };
  });
}
