/** Crews of a trainer. Whoever is not their trainer is told they do not exist. */
import type { CrewListEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { hasLeft, type Crew } from "@kind-grip/core/crew";
import { grouped } from "@kind-grip/core/units";
import { isEqual } from "es-toolkit";
import { Op, QueryTypes, type FindOptions, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { keepPast } from "../dayplan/standing";
import type { CrewRow, PersonRow } from "./tables";
import { notFound, Problem, stale } from "../http/problem";

export type CrewEntry = Crew & { id: string; version: number };

/** @throws Problem 404 for an unknown or removed crew, and for one that is not the caller's */
export async function crewOf(db: Db, caller: Caller, crewId: string, transaction?: Transaction): Promise<CrewRow> {
  return theirCrew(db, caller, crewId, { transaction });
}

/** For a thing of a crew: of somebody else's crew it is the thing that does not exist. A database that is away stays a database that is away. */
export async function crewOfThing(db: Db, caller: Caller, crewId: string, thing: string): Promise<CrewRow> {
  try {
    return await crewOf(db, caller, crewId);
  } catch (error) {
    throw error instanceof Problem && error.status === 404 ? notFound(thing) : error;
  }
}

/**
 * The same, holding the crew's row until the transaction ends: changes of one crew's records take turns under it. The row is written to,
 * not only locked: between the nodes of a cluster locks are not known, two writes of one row are.
 */
export async function lockCrew(db: Db, caller: Caller, crewId: string, transaction: Transaction): Promise<CrewRow> {
  await takeTurn(db, crewId, transaction);
  return theirCrew(db, caller, crewId, { transaction });
}

/** Holds a crew's row for what no caller asked for. */
export async function takeTurn({ sequelize }: Db, crewId: string, transaction: Transaction): Promise<void> {
  await sequelize.query("UPDATE crews SET turn = turn + 1 WHERE id = :crewId", { replacements: { crewId }, transaction });
}

/** A trainer's own crews and those shared with them, those a lead or an employer was given, and the one a member belongs to. */
async function theirCrew(db: Db, caller: Caller, crewId: string, options: FindOptions): Promise<CrewRow> {
  const crew = (await db.models.Crew.findOne({ where: { id: crewId, removedAt: null }, ...options }))?.get({ plain: true });
  if (!crew || !(await isTheirs(db, caller, crew, options.transaction ?? undefined))) throw notFound("crew");
  return crew;
}

async function isTheirs({ models }: Db, { role, accountId, crewId: membersCrew }: Caller, crew: CrewRow, transaction?: Transaction) {
  const of = { where: { accountId, crewId: crew.id }, transaction };
  if (role === "member") return crew.id === membersCrew;
  if (role !== "trainer") return (await models.CrewAccess.count(of)) > 0;
  return (
    crew.trainerId === accountId || (await models.CrewColleague.count({ ...of, where: { ...of.where, acceptedAt: { [Op.ne]: null } } })) > 0
  );
}

/** Ids of every crew of a trainer or a lead, by name. */
export async function crewIdsOf({ sequelize }: Db, { role, accountId }: Caller): Promise<string[]> {
  const given =
    role === "trainer"
      ? "crew_colleagues WHERE accountId = :accountId AND acceptedAt IS NOT NULL"
      : "crew_access WHERE accountId = :accountId";
  const own = role === "trainer" ? "trainerId = :accountId OR" : "";
  const rows = await sequelize.query<{ id: string }>(
    `SELECT id FROM crews WHERE removedAt IS NULL AND (${own} id IN (SELECT crewId FROM ${given})) ORDER BY name, id`,
    { replacements: { accountId }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}

/** Every crew of the caller, by name. */
export async function theirCrews({ models }: Db, caller: Pick<Caller, "role" | "accountId">): Promise<CrewRow[]> {
  const { role, accountId } = caller;
  const given =
    role === "trainer"
      ? await models.CrewColleague.findAll({ where: { accountId, acceptedAt: { [Op.ne]: null } }, attributes: ["crewId"] })
      : await models.CrewAccess.findAll({ where: { accountId } });
  const id = given.map((row) => row.get().crewId);
  const theirs = role === "trainer" ? { [Op.or]: [{ trainerId: accountId }, { id }] } : { id };
  return (await models.Crew.findAll({ where: { ...theirs, removedAt: null }, order: ["name"] })).map((crew) => crew.get({ plain: true }));
}

export function crewAnswer({ id, name, detail, version }: CrewRow): CrewEntry {
  return { id, name, ...detail, version };
}

export async function listCrews(db: Db, caller: Caller, at: Date): Promise<CrewListEntry[]> {
  return withCounts(db, caller, at, await theirCrews(db, caller));
}

/** With how many people have not left, how many programs there are, and whose it is when it is shared with the caller. */
export async function withCounts(
  { models }: Db,
  { role, accountId }: Caller,
  at: Date,
  crews: readonly CrewRow[],
): Promise<CrewListEntry[]> {
  const crewId = { [Op.in]: crews.map((crew) => crew.id) };
  const shared = role === "trainer" ? crews.filter(({ trainerId }) => trainerId !== accountId).map(({ trainerId }) => trainerId) : [];
  const [people, programs, trainers] = await Promise.all([
    // Plain rows: a thousand of them as models would cost more than everything else here.
    models.Person.findAll({ where: { crewId }, attributes: ["crewId", "leftOn"], raw: true }) as unknown as Promise<
      Pick<PersonRow, "crewId" | "leftOn">[]
    >,
    models.Program.count({ where: { crewId, removedAt: null }, group: ["crewId"] }),
    shared.length === 0 ? [] : models.Account.findAll({ where: { id: shared }, attributes: ["id", "name"] }),
  ]);
  const names = new Map(trainers.map((row) => [row.get().id, row.get().name]));
  const peopleOf = grouped(people, (person) => person.crewId);
  const countIn = (counts: { crewId?: unknown; count: number }[], id: string) => counts.find((each) => each.crewId === id)?.count ?? 0;
  return crews.map((crew) => ({
    ...crewAnswer(crew),
    people: stillIn(peopleOf.get(crew.id), dateAt(at.getTime(), crew.detail.timeZone)),
    programs: countIn(programs, crew.id),
    sharedBy: names.get(crew.trainerId) ?? null,
  }));
}

/** How many of a crew's people have not left by a day. */
export function stillIn(people: readonly Pick<PersonRow, "leftOn">[] | undefined, day: string): number {
  return (people ?? []).filter((person) => !hasLeft(person, day)).length;
}

/** Creating the same id twice answers the crew that is there: a repeated request changes nothing. */
export async function createCrew(db: Db, caller: Caller, id: string, { name, ...detail }: Crew): Promise<CrewEntry> {
  const [crew] = await db.models.Crew.findOrCreate({
    where: { id },
    defaults: { id, trainerId: caller.accountId, name, detail, version: 1, removedAt: null },
  });
  if (crew.get().trainerId !== caller.accountId || crew.get().removedAt) throw notFound("crew");
  return crewAnswer((await crew.reload()).get({ plain: true }));
}

/** Where its shifts change, what was planned up to then stays what it was. */
export async function changeCrew(
  db: Db,
  caller: Caller,
  at: Date,
  id: string,
  version: number,
  { name, ...detail }: Crew,
): Promise<CrewEntry> {
  const before = await crewOf(db, caller, id);
  const shiftsOf = ({ shiftPattern, timeZone }: Omit<Crew, "name">) => ({ shiftPattern, timeZone });
  const changed = await inTransaction(db, async (transaction) => {
    const [rows] = await db.models.Crew.update({ name, detail, version: version + 1 }, { where: { id, version }, transaction });
    if (rows > 0 && !isEqual(shiftsOf(before.detail), shiftsOf(detail))) await keepPast(db, before, at, transaction);
    return rows > 0;
  });
  const now = crewAnswer(await crewOf(db, caller, id));
  if (!changed) throw stale(now);
  return now;
}

/** Removed crews keep their records; undoing brings everything back. */
export async function setCrewRemoved(db: Db, caller: Caller, id: string, removed: boolean): Promise<void> {
  const [changed] = await db.models.Crew.update({ removedAt: removed ? new Date() : null }, { where: { id, trainerId: caller.accountId } });
  if (changed > 0 || (await db.models.Crew.findOne({ where: { id, trainerId: caller.accountId } }))) return;
  await crewOf(db, caller, id);
  throw new Problem(403, "notOwn", "This is a colleague's crew. Only its trainer can remove it.");
}
