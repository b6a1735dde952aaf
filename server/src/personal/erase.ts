/**
 * Forgets a person: what they answered, what was measured, decided and written down of them, their name. What remains is that somebody
 * was there and how much was done, without a name: the crew's figures stand.
 */
import type { ErasedPerson } from "@kind-grip/core/api";
import { areSimilarNames } from "@kind-grip/core/crew";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { setPersonalForm, type Session } from "@kind-grip/core/session";
import { chunk } from "es-toolkit";
import { Op, type Model, type ModelStatic, type Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew, theirCrews } from "../crew/crews";
import type { CrewRow, PersonRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { reportOf } from "../followup/report";
import { invalid, notFound } from "../http/problem";
import type { OfPerson } from "../record/notes";

/**
 * @param name as it stands in the crew: typed by whoever does it, so that it is nobody else
 * @throws Problem 404 for nobody of that crew, 400 for another name
 */
export async function erasePerson(db: Db, caller: Caller, at: Date, { crewId, personId }: OfPerson, name: string): Promise<ErasedPerson> {
  await crewOf(db, caller, crewId);
  // Figures that can be read are worked out with what the person said, and kept.
  await reportOf(db, caller, at, crewId);
  const person = await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const found = await db.models.Person.findOne({ where: { id: personId, crewId }, transaction });
    if (!found) throw notFound("person");
    const was = found.get({ plain: true });
    // Asked for again: it is done.
    if (was.erasedAt) return was;
    if (was.name.trim() !== name.trim()) throw invalid([{ path: "name", message: "is not this person's name" }]);
    await forget(db, crew, was, transaction);
    const number = 1 + (await db.models.Person.count({ where: { crewId, erasedAt: { [Op.not]: null } }, transaction }));
    await found.update(
      {
        name: `Erased person ${number}`,
        badge: null,
        language: null,
        rampsEndedOn: null,
        leftOn: lastDayOf(was, dateAt(at.getTime(), crew.detail.timeZone)),
        erasedAt: at,
        version: was.version + 1,
      },
      { transaction },
    );
    await noteChanged(db, caller, at, { crewId, personId, subject: "record", what: "erased for good" }, transaction);
    return was;
  });
  return { elsewhere: await sameNameElsewhere(db, caller, person) };
}

/** Who had not left leaves with yesterday; nobody before they came. */
function lastDayOf({ startedOn, leftOn }: PersonRow, today: string): string {
  const yesterday = addDays(today, -1);
  if (leftOn !== null && leftOn < yesterday) return leftOn;
  return startedOn !== null && startedOn > yesterday ? startedOn : yesterday;
}

async function forget(db: Db, crew: CrewRow, { id: personId }: PersonRow, transaction: Transaction): Promise<void> {
  const { models } = db;
  const gone = [
    models.Baseline,
    models.Clearance,
    models.Restriction,
    models.SymptomReport,
    models.SymptomAlert,
    models.CheckIn,
    models.Decision,
    models.Proposal,
    models.OwnAnswer,
    models.PersonNote,
    models.Contact,
    models.Message,
    models.ReminderWish,
    models.QuickTestWish,
    models.Absence,
    models.CalendarLink,
    models.BookedSession,
    models.Booking,
    models.BookingCalendar,
    models.MemberAccess,
  ];
  for (const table of gone) await (table as ModelStatic<Model>).destroy({ where: { personId }, transaction });
  await models.SignedInSession.destroy({ where: { accountId: personId }, transaction });
  await models.KnownDevice.destroy({ where: { accountId: personId }, transaction });
  // Papers that were made of the crew have the name on them.
  await models.Job.destroy({ where: { crewId: crew.id }, transaction });
  await models.RunPerson.update(
    { marks: null, quick: null, counted: null, forms: {}, leftOut: [], clash: null, clashAnswer: null },
    { where: { personId }, transaction },
  );
  await models.Observation.update({ personId: null }, { where: { personId }, transaction });
  await forgetInDocuments(db, crew.id, personId, transaction);
}

const RUNS_AT_ONCE = 100;
const withoutForms = (session: Session, personId: string): Session =>
  session.items.reduce((now, { id }) => setPersonalForm(now, id, personId, undefined), session);

/** Own forms in programs and in sessions as they were led, their place in groups and in how shifts are worked. */
async function forgetInDocuments({ models }: Db, crewId: string, personId: string, transaction: Transaction): Promise<void> {
  for (const row of await models.Program.findAll({ where: { crewId }, transaction, lock: transaction.LOCK.UPDATE })) {
    const { document, version } = row.get({ plain: true });
    if (!document.sessions.some(({ items }) => items.some(({ personal }) => personId in personal))) continue;
    const sessions = document.sessions.map((session) => withoutForms(session, personId));
    await row.update({ document: { ...document, sessions }, version: version + 1 }, { transaction });
  }
  const led = await models.RunPerson.findAll({ where: { personId }, attributes: ["runId"], transaction });
  for (const runIds of chunk(
    led.map((row) => row.get().runId),
    RUNS_AT_ONCE,
  ))
    for (const run of await models.Run.findAll({ where: { id: runIds }, attributes: ["id", "session", "format"], transaction })) {
      const { session } = run.get({ plain: true });
      if (session.items.some(({ personal }) => personId in personal))
        await run.update({ session: withoutForms(session, personId) }, { transaction });
    }
  const standing = await models.StandingPlan.findOne({ where: { crewId }, transaction, lock: transaction.LOCK.UPDATE });
  if (standing) {
    const { document, version } = standing.get({ plain: true });
    const groups = document.groups.map((group) => ({ ...group, people: group.people.filter((id) => id !== personId) }));
    await standing.update({ document: { ...document, groups }, version: version + 1 }, { transaction });
  }
  const work = await models.Work.findOne({ where: { crewId }, transaction, lock: transaction.LOCK.UPDATE });
  if (work) {
    const { document, version } = work.get({ plain: true });
    const days = document.days.map((day) => ({ ...day, personIds: day.personIds.filter((id) => id !== personId) }));
    await work.update({ document: { ...document, days }, version: version + 1 }, { transaction });
  }
}

/** The same or a similar name in the caller's other crews: it may be the same person, of whom more is kept there. */
async function sameNameElsewhere(db: Db, caller: Caller, { id, name }: PersonRow): Promise<ErasedPerson["elsewhere"]> {
  const crews = new Map((await theirCrews(db, caller)).map((crew) => [crew.id, crew.name]));
  const people = await db.models.Person.findAll({
    where: { crewId: [...crews.keys()], erasedAt: null },
    attributes: ["id", "crewId", "name"],
  });
  return people
    .map((row) => row.get())
    .filter((other) => other.id !== id && areSimilarNames(other.name, name))
    .map((other) => ({ crewId: other.crewId, crewName: crews.get(other.crewId)!, personId: other.id, name: other.name }));
}
