/** Restrictions and clearances: raised at once, lifted only by a clearance, withdrawn only with a reason; all of it in the trail. */
import { dateAt } from "@kind-grip/core/calendar";
import { consequenceOf, liftedPhases, type RestrictionReason, type NewClearance } from "@kind-grip/core/safety";
import type { Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { noteChanged } from "../audit/audit";
import { crewOf, crewOfThing, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import type { ClearanceRow, RestrictionRow } from "./tables";
import { inRow } from "../db/encrypted";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { clearanceFrom } from "./participations";
import { reportsByPerson, type AlertReport } from "./person-alerts";

type Dated<Row> = { [Key in keyof Row]: Row[Key] extends Date ? string : Row[Key] extends Date | null ? string | null : Row[Key] };

export interface HeldOut {
  restrictions: Dated<Omit<RestrictionRow, "crewId">>[];
  clearances: Dated<Omit<ClearanceRow, "crewId">>[];
  /** What people reported that waits for an answer or still pauses. */
  reports: { personId: string; reports: AlertReport[] }[];
}

/** Every restriction and clearance of a crew, newest first, those that are over too. */
export async function heldOut(db: Db, caller: Caller, crewId: string): Promise<HeldOut> {
  await crewOf(db, caller, crewId);
  const [reports, restrictions, clearances] = await Promise.all([
    reportsByPerson(db, [crewId], true),
    db.models.Restriction.findAll({ where: { crewId }, order: [["since", "DESC"]] }),
    db.models.Clearance.findAll({ where: { crewId }, order: [["enteredAt", "DESC"]] }),
  ]);
  return {
    restrictions: restrictions.map((row) => dated(row.get({ plain: true }))),
    clearances: clearances.map((row) => dated(row.get({ plain: true }))),
    reports: [...reports].map(([personId, list]) => ({ personId, reports: list })),
  };
}

/**
 * Raises the restrictions that new answers call for. A restriction that is on and not cleared is not raised twice. Something that means stop, said
 * again after a clearance, is a new event and holds again; a standing condition that is cleared stays cleared.
 * Called in the transaction that stores the answers, under the lock of the crew, so that no answer is stored without its consequence.
 */
export async function raiseRestrictions(
  db: Db,
  caller: Caller,
  at: Date,
  crew: Pick<CrewRow, "id" | "detail">,
  person: { personId: string; roundId: string | null },
  questions: readonly RestrictionReason[],
  transaction: Transaction,
  words: string | null = null,
): Promise<void> {
  if (questions.length === 0) return;
  const place = { crewId: crew.id, ...person };
  const when = { instant: at.toISOString(), day: dateAt(at.getTime(), crew.detail.timeZone) };
  const where = { personId: person.personId, withdrawnAt: null };
  const on = (await db.models.Restriction.findAll({ where, transaction })).map((row) => row.get({ plain: true }));
  const clearances = (await db.models.Clearance.findAll({ where, transaction })).map((row) => clearanceFrom(row.get({ plain: true })));
  const fresh = questions.filter((question) => {
    const same = on.filter((restriction) => restriction.question === question);
    const stillHolds = same.some(({ id }) => liftedPhases(id, clearances, when).size === 0);
    return consequenceOf(question).kind === "stop" ? !stillHolds : same.length === 0;
  });
  for (const question of fresh) {
    await db.models.Restriction.create(
      { id: uuid(), ...place, question, words, since: at, withdrawnAt: null, withdrawnWhy: null },
      { transaction },
    );
    await noteChanged(
      db,
      caller,
      at,
      { crewId: place.crewId, personId: place.personId, subject: "restriction", what: "raised" },
      transaction,
    );
  }
}

/** A restriction a trainer enters without a round, e.g. after something said in a session. */
export async function enterRestriction(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  restriction: { personId: string; question: RestrictionReason; words: string | null },
): Promise<HeldOut> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    if (!(await db.models.Person.findOne({ where: { id: restriction.personId, crewId, erasedAt: null }, transaction })))
      throw invalid([{ path: "personId", message: "is not in this crew" }]);
    await raiseRestrictions(
      db,
      caller,
      at,
      crew,
      { personId: restriction.personId, roundId: null },
      [restriction.question],
      transaction,
      restriction.words || null,
    );
  });
  return heldOut(db, caller, crewId);
}

/** Ends a restriction that was entered by mistake. A reason is asked for and kept. */
export async function withdrawRestriction(db: Db, caller: Caller, at: Date, restrictionId: string, why: string): Promise<HeldOut> {
  const restriction = await restrictionOf(db, caller, restrictionId);
  await inTransaction(db, async (transaction) => {
    const [changed] = await db.models.Restriction.update(
      { withdrawnAt: at, ...inRow(db.models.Restriction, [restrictionId], { withdrawnWhy: why }) },
      { where: { id: restrictionId, withdrawnAt: null }, transaction },
    );
    if (changed === 1)
      await noteChanged(
        db,
        caller,
        at,
        { crewId: restriction.crewId, personId: restriction.personId, subject: "restriction", what: "withdrawn as a mistake" },
        transaction,
      );
  });
  return heldOut(db, caller, restriction.crewId);
}

/** Storing the same clearance twice stores it once. */
export async function enterClearance(db: Db, caller: Caller, at: Date, crewId: string, clearance: NewClearance): Promise<HeldOut> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const restriction = (await db.models.Restriction.findOne({ where: { id: clearance.restrictionId, crewId }, transaction }))?.get({
      plain: true,
    });
    if (!restriction || restriction.withdrawnAt) throw invalid([{ path: "restrictionId", message: "is not a restriction of this crew" }]);
    if (clearance.until < dateAt(at.getTime(), crew.detail.timeZone)) throw invalid([{ path: "until", message: "is over already" }]);
    const { id, restrictionId, givenBy, profession, allows, from, until, note } = clearance;
    const [row, isNew] = await db.models.Clearance.findOrCreate({
      where: { id },
      defaults: {
        id,
        crewId,
        personId: restriction.personId,
        restrictionId,
        givenBy,
        profession,
        allows,
        fromDay: from,
        untilDay: until,
        note,
        enteredAt: at,
        withdrawnAt: null,
        withdrawnWhy: null,
      },
      transaction,
    });
    if (row.get().restrictionId !== restrictionId) throw new Problem(409, "taken", "This id belongs to another clearance.");
    if (isNew)
      await noteChanged(db, caller, at, { crewId, personId: restriction.personId, subject: "clearance", what: "entered" }, transaction);
  });
  return heldOut(db, caller, crewId);
}

export async function withdrawClearance(db: Db, caller: Caller, at: Date, clearanceId: string, why: string): Promise<HeldOut> {
  const clearance = await clearanceOf(db, caller, clearanceId);
  await inTransaction(db, async (transaction) => {
    const [changed] = await db.models.Clearance.update(
      { withdrawnAt: at, ...inRow(db.models.Clearance, [clearanceId], { withdrawnWhy: why }) },
      { where: { id: clearanceId, withdrawnAt: null }, transaction },
    );
    const { crewId, personId } = clearance;
    if (changed === 1) await noteChanged(db, caller, at, { crewId, personId, subject: "clearance", what: "withdrawn" }, transaction);
  });
  return heldOut(db, caller, clearance.crewId);
}

/** A restriction of one of the trainer's own crews. @throws Problem 404 */
export async function restrictionOf(db: Db, caller: Caller, restrictionId: string): Promise<RestrictionRow> {
  const row = await db.models.Restriction.findByPk(restrictionId);
  return ownRow(db, caller, row?.get({ plain: true }), "restriction");
}

async function clearanceOf(db: Db, caller: Caller, clearanceId: string): Promise<ClearanceRow> {
  const row = await db.models.Clearance.findByPk(clearanceId);
  return ownRow(db, caller, row?.get({ plain: true }), "clearance");
}

async function ownRow<Row extends { crewId: string }>(db: Db, caller: Caller, row: Row | undefined, what: string): Promise<Row> {
  if (!row) throw notFound(what);
  await crewOfThing(db, caller, row.crewId, what);
  return row;
}

/** A row without its crew, its moments as they are sent. */
export function dated<Row extends { crewId: string }>({ crewId: _crew, ...row }: Row): Dated<Omit<Row, "crewId">> {
  return Object.fromEntries(Object.entries(row).map(([key, value]) => [key, value instanceof Date ? value.toISOString() : value])) as Dated<
    Omit<Row, "crewId">
  >;
}
