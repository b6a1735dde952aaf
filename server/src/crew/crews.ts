/** Crews of a trainer. Whoever is not their trainer is told they do not exist. */
import type { Crew } from "@kind-grip/core/crew";
import { Op, type Transaction } from "sequelize";
import type { Trainer } from "../auth/trainer";
import type { Db } from "../db/connection";
import type { CrewRow } from "../db/models";
import { notFound, stale } from "../http/problem";

export type CrewAnswer = Crew & { id: string; version: number };

export interface CrewListEntry extends CrewAnswer {
  people: number;
  programs: number;
}

/** @throws Problem 404 for an unknown, removed or foreign crew */
export async function crewOf({ models }: Db, trainer: Trainer, crewId: string, transaction?: Transaction): Promise<CrewRow> {
  const crew = await models.Crew.findOne({ where: { id: crewId, trainerId: trainer.accountId, removedAt: null }, transaction });
  if (!crew) throw notFound("crew");
  return crew.get({ plain: true });
}

/** The same, holding the crew's row until the transaction ends: changes of one crew's records take turns under it. */
export async function lockCrew({ models }: Db, trainer: Trainer, crewId: string, transaction: Transaction): Promise<CrewRow> {
  const crew = await models.Crew.findOne({
    where: { id: crewId, trainerId: trainer.accountId, removedAt: null },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  if (!crew) throw notFound("crew");
  return crew.get({ plain: true });
}

export function crewAnswer({ id, name, detail, version }: CrewRow): CrewAnswer {
  return { id, name, ...detail, version };
}

export async function listCrews({ models }: Db, trainer: Trainer): Promise<CrewListEntry[]> {
  const crews = (await models.Crew.findAll({ where: { trainerId: trainer.accountId, removedAt: null }, order: ["name"] })).map((crew) =>
    crew.get({ plain: true }),
  );
  const crewId = { [Op.in]: crews.map((crew) => crew.id) };
  const [people, programs] = await Promise.all([
    models.Person.count({ where: { crewId, leftOn: null }, group: ["crewId"] }),
    models.Program.count({ where: { crewId, removedAt: null }, group: ["crewId"] }),
  ]);
  const countIn = (counts: { crewId?: unknown; count: number }[], id: string) => counts.find((each) => each.crewId === id)?.count ?? 0;
  return crews.map((crew) => ({ ...crewAnswer(crew), people: countIn(people, crew.id), programs: countIn(programs, crew.id) }));
}

/** Creating the same id twice answers the crew that is there: a repeated request changes nothing. */
export async function createCrew(db: Db, trainer: Trainer, id: string, { name, ...detail }: Crew): Promise<CrewAnswer> {
  const [crew] = await db.models.Crew.findOrCreate({
    where: { id },
    defaults: { id, trainerId: trainer.accountId, name, detail, version: 1, removedAt: null },
  });
  if (crew.get().trainerId !== trainer.accountId || crew.get().removedAt) throw notFound("crew");
  return crewAnswer((await crew.reload()).get({ plain: true }));
}

export async function changeCrew(db: Db, trainer: Trainer, id: string, version: number, { name, ...detail }: Crew): Promise<CrewAnswer> {
  await crewOf(db, trainer, id);
  const [changed] = await db.models.Crew.update({ name, detail, version: version + 1 }, { where: { id, version } });
  const now = crewAnswer(await crewOf(db, trainer, id));
  if (changed === 0) throw stale(now);
  return now;
}

/** Removed crews keep their records; undoing brings everything back. */
export async function setCrewRemoved(db: Db, trainer: Trainer, id: string, removed: boolean): Promise<void> {
  const [changed] = await db.models.Crew.update(
    { removedAt: removed ? new Date() : null },
    { where: { id, trainerId: trainer.accountId } },
  );
  if (changed === 0 && !(await db.models.Crew.findOne({ where: { id, trainerId: trainer.accountId } }))) throw notFound("crew");
}
