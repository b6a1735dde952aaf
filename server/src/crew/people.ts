/** The people of a crew. */
import type { ManyPeople, PersonEntry } from "@kind-grip/core/api";
import type { NewPerson, Person } from "@kind-grip/core/crew";
import { type Transaction, UniqueConstraintError } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import type { PersonRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem, stale } from "../http/problem";
import { crewOf, lockCrew } from "./crews";
import { carryOver, samePeople } from "./same-person";

export async function listPeople(db: Db, caller: Caller, crewId: string): Promise<PersonEntry[]> {
  await crewOf(db, caller, crewId);
  const people = await db.models.Person.findAll({ where: { crewId }, order: ["name", "id"] });
  const list = people.map((person) => answer(person.get({ plain: true })));
  return caller.role === "lead" ? list.map(nameOnly) : list;
}

/** What a crew lead may know of somebody: who it is and when they are here. */
function nameOnly(person: PersonEntry): PersonEntry {
  return { ...person, badge: null, handedness: null };
}

/**
 * Adds and changes people, all or none. People whose id is in the crew already are left as they are, and so is who is as wished
 * already, so that a repeated request after a lost answer does nothing twice.
 * @param answers who of the new ones is somebody that is known here
 * @throws Problem 400 naming each row whose badge is taken; 409 "similar" naming each whose name is known and was not asked about;
 *   409 "stale" with those who were changed meanwhile
 */
export async function keepPeople(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  { people, answers, changes }: ManyPeople,
): Promise<PersonEntry[]> {
  return inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crewId, transaction);
    await changeMany(db, crewId, changes, transaction);
    const there = (await db.models.Person.findAll({ where: { crewId }, transaction })).map((person) => person.get({ plain: true }));
    const known = new Set(there.map((person) => person.id));
    const news = people.filter((person) => !known.has(person.id));
    const same = await samePeople(db, caller, at, crewId, news, answers, transaction);
    const isBack = (person: NewPerson) => same.get(person.id)?.crewId === crewId;
    const fresh = news.filter((person) => !isBack(person));
    refuseTakenBadges(there, fresh, people);
    await insert(db, crewId, fresh, transaction);
    for (const person of news) {
      const before = same.get(person.id);
      if (!before) continue;
      if (before.crewId === crewId) await takeBack(db, before, transaction);
      else await carryOver(db, before, { id: person.id, crewId }, transaction);
    }
    const added = await db.models.Person.findAll({
      where: {
        crewId,
        id: [...changes.map(({ id }) => id), ...people.map((person) => (isBack(person) ? same.get(person.id)!.id : person.id))],
      },
      order: ["name", "id"],
      transaction,
    });
    return added.map((person) => answer(person.get({ plain: true })));
  });
}

/** Somebody who left is here again, with everything that is on record of them. */
async function takeBack({ models }: Db, { id, version }: PersonRow, transaction: Transaction): Promise<void> {
  await models.Person.update({ leftOn: null, version: version + 1 }, { where: { id }, transaction });
}

/** A badge may go from one of them to another. */
async function changeMany({ models }: Db, crewId: string, changes: ManyPeople["changes"], transaction: Transaction): Promise<void> {
  if (changes.length === 0) return;
  const rows = await models.Person.findAll({ where: { crewId, erasedAt: null, id: changes.map(({ id }) => id) }, transaction });
  const now = new Map(rows.map((row) => [row.get().id, answer(row.get({ plain: true }))]));
  const missing = changes.flatMap(({ id }, i) => (now.has(id) ? [] : [{ path: `changes.${i}.id`, message: "is nobody of this crew" }]));
  if (missing.length > 0) throw invalid(missing);
  const open = changes.filter(({ id, person }) => !isAs(now.get(id)!, person));
  const late = open.filter(({ id, version }) => now.get(id)!.version !== version);
  if (late.length > 0) throw stale(late.map(({ id }) => now.get(id)!));
  const freed = open.filter(({ id, person }) => now.get(id)!.badge !== null && now.get(id)!.badge !== person.badge);
  await models.Person.update({ badge: null }, { where: { crewId, id: freed.map(({ id }) => id) }, transaction });
  for (const { id, version, person } of open) {
    await models.Person.update({ ...person, version: version + 1 }, { where: { crewId, id }, transaction }).catch((error: unknown) => {
      if (!(error instanceof UniqueConstraintError)) throw error;
      const i = changes.findIndex((change) => change.id === id);
      throw invalid([{ path: `changes.${i}.person.badge`, message: "is somebody else's in this crew" }]);
    });
  }
}

const isAs = (entry: PersonEntry, person: Person): boolean =>
  (Object.keys(person) as (keyof Person)[]).every((field) => entry[field] === person[field]);

export async function changePerson(
  db: Db,
  caller: Caller,
  crewId: string,
  personId: string,
  version: number,
  change: Person,
): Promise<PersonEntry> {
  await crewOf(db, caller, crewId);
  const where = { id: personId, crewId, erasedAt: null };
  const [changed] = await db.models.Person.update({ ...change, version: version + 1 }, { where: { ...where, version } }).catch(
    (error: unknown) => {
      throw error instanceof UniqueConstraintError
        ? invalid([{ path: "person.badge", message: "is somebody else's in this crew" }])
        : error;
    },
  );
  const person = await db.models.Person.findOne({ where });
  if (!person) throw notFound("person");
  const now = answer(person.get({ plain: true }));
  if (changed === 0) throw stale(now);
  return now;
}

/** Only somebody without any run or record can be removed; everybody else leaves on a day and keeps their record. */
export async function removePerson(db: Db, caller: Caller, crewId: string, personId: string): Promise<void> {
  await crewOf(db, caller, crewId);
  // Of somebody else's person nothing is told, not even that there is one.
  if ((await db.models.Person.count({ where: { id: personId, crewId } })) === 0) throw notFound("person");
  if ((await db.models.RunPerson.count({ where: { personId } })) > 0) {
    throw new Problem(409, "hasRuns", "This person is in the record of runs. Enter their last day instead; the record stays.");
  }
  const asked = [db.models.Baseline, db.models.Restriction, db.models.PersonNote].map((table) =>
    (table as typeof db.models.Restriction).count({ where: { personId } }),
  );
  if ((await Promise.all(asked)).some((count) => count > 0)) {
    throw new Problem(409, "hasRecords", "Something was measured or asked of this person. Enter their last day instead; the record stays.");
  }
  const booked = await Promise.all([
    db.models.Booking.count({ where: { personId } }),
    db.models.BookedSession.count({ where: { personId } }),
  ]);
  if (booked.some((count) => count > 0))
    throw new Problem(409, "hasBookings", "Something is booked with this person. Enter their last day instead; the record stays.");
  if ((await db.models.Person.destroy({ where: { id: personId, crewId } })) === 0) throw notFound("person");
}

function refuseTakenBadges(there: readonly PersonRow[], fresh: readonly NewPerson[], all: readonly NewPerson[]): void {
  const taken = new Map(there.filter((person) => person.badge).map((person) => [person.badge!.toLowerCase(), person.name]));
  const fields = fresh.flatMap((person) => {
    const badge = person.badge?.toLowerCase();
    if (!badge) return [];
    const owner = taken.get(badge);
    taken.set(badge, person.name);
    return owner ? [{ path: `people.${all.indexOf(person)}.badge`, message: `is already ${owner}'s` }] : [];
  });
  if (fields.length > 0) throw invalid(fields);
}

async function insert(db: Db, crewId: string, people: readonly NewPerson[], transaction: Transaction): Promise<void> {
  if (people.length === 0) return;
  try {
    await db.models.Person.bulkCreate(
      people.map((person) => ({ ...person, crewId, version: 1 })),
      { transaction },
    );
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw invalid([{ path: "people", message: "an id or badge is in use elsewhere" }]);
    throw error;
  }
}

function answer({ crewId: _crew, rampsEndedOn: _ended, erasedAt, ...person }: PersonRow): PersonEntry {
  return erasedAt ? { ...person, isErased: true } : person;
}
