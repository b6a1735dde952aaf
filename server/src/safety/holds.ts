/** Holds and clearances: raised at once, lifted only by a clearance, withdrawn only with a reason; all of it in the trail. */
import { dateAt } from "@kind-grip/core/calendar";
import { consequenceOf, liftedPhases, type HoldReason, type NewClearance } from "@kind-grip/core/safety";
import type { Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { noteChanged } from "../audit/audit";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import type { ClearanceRow, HoldRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { clearanceFrom } from "./participations";
import { reportsByPerson, type AlertReport } from "./person-alerts";

type Dated<Row> = { [Key in keyof Row]: Row[Key] extends Date ? string : Row[Key] extends Date | null ? string | null : Row[Key] };

export interface HeldOut {
  holds: Dated<Omit<HoldRow, "crewId">>[];
  clearances: Dated<Omit<ClearanceRow, "crewId">>[];
  /** What people reported that waits for an answer or still pauses. */
  reports: { personId: string; reports: AlertReport[] }[];
}

/** Every hold and clearance of a crew, newest first, those that are over too. */
export async function heldOut(db: Db, caller: Caller, crewId: string): Promise<HeldOut> {
  await crewOf(db, caller, crewId);
  const [reports, holds, clearances] = await Promise.all([
    reportsByPerson(db, [crewId], true),
    db.models.Hold.findAll({ where: { crewId }, order: [["since", "DESC"]] }),
    db.models.Clearance.findAll({ where: { crewId }, order: [["enteredAt", "DESC"]] }),
  ]);
  return {
    holds: holds.map((row) => dated(row.get({ plain: true }))),
    clearances: clearances.map((row) => dated(row.get({ plain: true }))),
    reports: [...reports].map(([personId, list]) => ({ personId, reports: list })),
  };
}

/**
 * Raises the holds that new answers call for. A hold that is on and not cleared is not raised twice. Something that means stop, said
 * again after a clearance, is a new event and holds again; a standing condition that is cleared stays cleared.
 * Called in the transaction that stores the answers, under the lock of the crew, so that no answer is stored without its consequence.
 */
export async function raiseHolds(
  db: Db,
  caller: Caller,
  at: Date,
  crew: Pick<CrewRow, "id" | "detail">,
  person: { personId: string; roundId: string | null },
  questions: readonly HoldReason[],
  transaction: Transaction,
  words: string | null = null,
): Promise<void> {
  if (questions.length === 0) return;
  const place = { crewId: crew.id, ...person };
  const when = { instant: at.toISOString(), day: dateAt(at.getTime(), crew.detail.timeZone) };
  const where = { personId: person.personId, withdrawnAt: null };
  const on = (await db.models.Hold.findAll({ where, transaction })).map((row) => row.get({ plain: true }));
  const clearances = (await db.models.Clearance.findAll({ where, transaction })).map((row) => clearanceFrom(row.get({ plain: true })));
  const fresh = questions.filter((question) => {
    const same = on.filter((hold) => hold.question === question);
    const stillHolds = same.some(({ id }) => liftedPhases(id, clearances, when).size === 0);
    return consequenceOf(question).kind === "stop" ? !stillHolds : same.length === 0;
  });
  for (const question of fresh) {
    await db.models.Hold.create(
      { id: uuid(), ...place, question, words, since: at, withdrawnAt: null, withdrawnWhy: null },
      { transaction },
    );
    await noteChanged(db, caller, at, { crewId: place.crewId, personId: place.personId, subject: "hold", what: "raised" }, transaction);
  }
}

/** A hold a trainer enters without a round, e.g. after something said in a session. */
export async function enterHold(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  hold: { personId: string; question: HoldReason; words: string | null },
): Promise<HeldOut> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    if (!(await db.models.Person.findOne({ where: { id: hold.personId, crewId }, transaction })))
      throw invalid([{ path: "personId", message: "is not in this crew" }]);
    await raiseHolds(db, caller, at, crew, { personId: hold.personId, roundId: null }, [hold.question], transaction, hold.words || null);
  });
  return heldOut(db, caller, crewId);
}

/** Ends a hold that was entered by mistake. A reason is asked for and kept. */
export async function withdrawHold(db: Db, caller: Caller, at: Date, holdId: string, why: string): Promise<HeldOut> {
  const hold = await holdOf(db, caller, holdId);
  await inTransaction(db, async (transaction) => {
    const [changed] = await db.models.Hold.update(
      { withdrawnAt: at, withdrawnWhy: why },
      { where: { id: holdId, withdrawnAt: null }, transaction },
    );
    if (changed === 1)
      await noteChanged(
        db,
        caller,
        at,
        { crewId: hold.crewId, personId: hold.personId, subject: "hold", what: "withdrawn as a mistake" },
        transaction,
      );
  });
  return heldOut(db, caller, hold.crewId);
}

/** Storing the same clearance twice stores it once. */
export async function enterClearance(db: Db, caller: Caller, at: Date, crewId: string, clearance: NewClearance): Promise<HeldOut> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const hold = (await db.models.Hold.findOne({ where: { id: clearance.holdId, crewId }, transaction }))?.get({ plain: true });
    if (!hold || hold.withdrawnAt) throw invalid([{ path: "holdId", message: "is not a hold of this crew" }]);
    if (clearance.until < dateAt(at.getTime(), crew.detail.timeZone)) throw invalid([{ path: "until", message: "is over already" }]);
    const { id, holdId, givenBy, profession, allows, from, until, note } = clearance;
    const [row, isNew] = await db.models.Clearance.findOrCreate({
      where: { id },
      defaults: {
        id,
        crewId,
        personId: hold.personId,
        holdId,
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
    if (row.get().holdId !== holdId) throw new Problem(409, "taken", "This id belongs to another clearance.");
    if (isNew) await noteChanged(db, caller, at, { crewId, personId: hold.personId, subject: "clearance", what: "entered" }, transaction);
  });
  return heldOut(db, caller, crewId);
}

export async function withdrawClearance(db: Db, caller: Caller, at: Date, clearanceId: string, why: string): Promise<HeldOut> {
  const clearance = await clearanceOf(db, caller, clearanceId);
  await inTransaction(db, async (transaction) => {
    const [changed] = await db.models.Clearance.update(
      { withdrawnAt: at, withdrawnWhy: why },
      { where: { id: clearanceId, withdrawnAt: null }, transaction },
    );
    const { crewId, personId } = clearance;
    if (changed === 1) await noteChanged(db, caller, at, { crewId, personId, subject: "clearance", what: "withdrawn" }, transaction);
  });
  return heldOut(db, caller, clearance.crewId);
}

/** A hold of one of the trainer's own crews. @throws Problem 404 */
export async function holdOf(db: Db, caller: Caller, holdId: string): Promise<HoldRow> {
  const row = await db.models.Hold.findByPk(holdId);
  return ownRow(db, caller, row?.get({ plain: true }), "hold");
}

async function clearanceOf(db: Db, caller: Caller, clearanceId: string): Promise<ClearanceRow> {
  const row = await db.models.Clearance.findByPk(clearanceId);
  return ownRow(db, caller, row?.get({ plain: true }), "clearance");
}

async function ownRow<Row extends { crewId: string }>(db: Db, caller: Caller, row: Row | undefined, what: string): Promise<Row> {
  if (!row) throw notFound(what);
  await crewOf(db, caller, row.crewId).catch(() => {
    throw notFound(what);
  });
  return row;
}

function dated<Row extends { crewId: string }>({ crewId: _crew, ...row }: Row): Dated<Omit<Row, "crewId">> {
  return Object.fromEntries(Object.entries(row).map(([key, value]) => [key, value instanceof Date ? value.toISOString() : value])) as Dated<
    Omit<Row, "crewId">
  >;
}
