/**
 * The same person added again: recognised by a same or similar name in the practice, and asked about, where something follows them. What
 * keeps somebody out of items goes with them into another crew; it does not stay behind with the old entry.
 */
import { areSimilarNames, type NewPerson } from "@kind-grip/core/crew";
import { FULL_PARTICIPATION } from "@kind-grip/core/safety";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import type { PersonRow } from "./tables";
import { invalid, Problem } from "../http/problem";
import { participationsOf } from "../safety/participations";

/** What the trainer says of a person with a known name: who they are, or null for somebody else. */
export interface SamePerson {
  id: string;
  sameAs: string | null;
}

export interface Candidate {
  personId: string;
  name: string;
  crewName: string;
  leftOn: string | null;
  /** Whether something keeps them out of items. Not what. */
  limited: boolean;
}

/**
 * @throws Problem 409 "similar" with the candidates of everybody that was not asked about yet
 * @returns new id → the person they are
 */
export async function samePeople(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  people: readonly NewPerson[],
  answers: readonly SamePerson[],
  transaction: Transaction,
): Promise<Map<string, PersonRow>> {
  const accounts = await db.models.Account.findAll({ where: { practiceId: caller.practiceId }, attributes: ["id"], transaction });
  const crews = (await db.models.Crew.findAll({ where: { trainerId: { [Op.in]: accounts.map((row) => row.get().id) } }, transaction })).map(
    (row) => row.get({ plain: true }),
  );
  const known = (await db.models.Person.findAll({ where: { crewId: crews.map(({ id }) => id), erasedAt: null }, transaction })).map((row) =>
    row.get({ plain: true }),
  );
  const near = new Map(
    people.map((person) => [person.id, known.filter(({ id, name }) => id !== person.id && areSimilarNames(name, person.name))]),
  );
  if ([...near.values()].every((list) => list.length === 0)) return new Map();
  const may = await participationsOf(
    db,
    crews.map(({ id, detail }) => ({ id, timeZone: detail.timeZone })),
    at,
    transaction,
  );
  const isLimited = ({ id, crewId: of }: PersonRow) => {
    const participation = may.get(of)?.get(id) ?? FULL_PARTICIPATION;
    return participation.heldOut || participation.outOf.length > 0 || participation.shortOfEndDeg !== null;
  };
  const same = new Map<string, PersonRow>();
  const asked: { id: string; name: string; candidates: Candidate[] }[] = [];
  for (const person of people) {
    // Somebody of another crew about whom nothing has to be known is no question; in the same crew a name twice always is.
    const candidates = near.get(person.id)!.filter((each) => each.crewId === crewId || isLimited(each));
    const answer = answers.find(({ id }) => id === person.id);
    if (candidates.length === 0) continue;
    if (!answer) {
      const candidate = (each: PersonRow): Candidate => ({
        personId: each.id,
        name: each.name,
        crewName: crews.find(({ id }) => id === each.crewId)!.name,
        leftOn: each.leftOn,
        limited: isLimited(each),
      });
      asked.push({ id: person.id, name: person.name, candidates: candidates.map(candidate) });
    } else if (answer.sameAs !== null) {
      const found = candidates.find(({ id }) => id === answer.sameAs);
      if (!found) throw invalid([{ path: "answers", message: "names somebody who was not asked about" }]);
      same.set(person.id, found);
    }
  }
  if (asked.length > 0) throw new Problem(409, "similar", "Somebody with this name, or one like it, is known here.", [], asked);
  return same;
}

/** Holds with their clearances, pauses and open reports of a person, under their new entry in another crew. */
export async function carryOver(db: Db, from: PersonRow, to: { id: string; crewId: string }, transaction: Transaction): Promise<void> {
  const of = { personId: from.id };
  const place = { crewId: to.crewId, personId: to.id };
  const [restrictions, clearances, alerts, decisions] = await Promise.all([
    db.models.Restriction.findAll({ where: { ...of, withdrawnAt: null }, transaction }),
    db.models.Clearance.findAll({ where: { ...of, withdrawnAt: null }, transaction }),
    db.models.SymptomAlert.findAll({ where: { ...of, [Op.or]: [{ answeredAt: null }, { endedAt: null }] }, transaction }),
    db.models.Decision.findAll({ where: { ...of, decided: "pauseAndRefer", resumedAt: null }, transaction }),
  ]);
  const newId = new Map(restrictions.map((row) => [row.get().id, uuid()]));
  await db.models.Restriction.bulkCreate(
    restrictions.map((row) => ({ ...row.get({ plain: true }), ...place, id: newId.get(row.get().id)!, roundId: null })),
    { transaction },
  );
  await db.models.Clearance.bulkCreate(
    clearances.flatMap((row) => {
      const restrictionId = newId.get(row.get().restrictionId);
      return restrictionId ? [{ ...row.get({ plain: true }), ...place, id: uuid(), restrictionId }] : [];
    }),
    { transaction },
  );
  await db.models.SymptomAlert.bulkCreate(
    alerts.map((row) => ({ ...row.get({ plain: true }), ...place, id: uuid() })),
    { transaction },
  );
  await db.models.Decision.bulkCreate(
    decisions.map((row) => ({ ...row.get({ plain: true }), ...place, id: uuid() })),
    { transaction },
  );
}
