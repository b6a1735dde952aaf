/** What the practice's measuring does when nothing changes: people measured twice, in all its crews, and what was chosen from it. */
import type { MeasuringEntry } from "@kind-grip/core/api";
import { isApart, isEmpty, USUAL_NOISE, type MeasuringNoise } from "@kind-grip/core/baseline";
import { noiseFound, repeatStudy, type Twice } from "@kind-grip/core/repeat";
import { Op } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewIdsOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";

/** What differences are held against now. */
export async function usedNoise({ models }: Db, practiceId: string): Promise<MeasuringNoise> {
  const [row] = await models.MeasuringNoise.findAll({ where: { practiceId }, order: NEWEST_FIRST, limit: 1 });
  return row?.get().noise ?? USUAL_NOISE;
}

const NEWEST_FIRST: [string, string][] = [
  ["chosenAt", "DESC"],
  ["id", "DESC"],
];

export async function measuringOf(db: Db, caller: Caller): Promise<MeasuringEntry> {
  const { sittings, pairs } = await sittingsOf(db, caller);
  const numbers = new Map([...new Set(pairs.map(({ personId }) => personId))].map((id, i) => [id, i + 1]));
  const rows = await db.models.MeasuringNoise.findAll({ where: { practiceId: caller.practiceId }, order: NEWEST_FIRST });
  const chosen = rows.map((row) => row.get({ plain: true }));
  return {
    used: chosen[0]?.noise ?? USUAL_NOISE,
    chosen: chosen.map(({ id, chosenAt, chosenBy, noise }) => ({
      id,
      on: chosenAt.toISOString().slice(0, 10),
      by: chosenBy,
      own: Object.keys(noise).length > 0,
    })),
    found: repeatStudy(pairs).map(({ values, ...measure }) => ({
      ...measure,
      values: values.map(({ personId, ...value }) => ({ person: numbers.get(personId)!, ...value })),
    })),
    sittings,
  };
}

/**
 * What was found is worked out here, not taken from the screen. Sent twice it is chosen once.
 * @throws Problem 409 while no measure has enough people
 */
export async function chooseNoise(db: Db, caller: Caller, at: Date, { id, own }: { id: string; own: boolean }): Promise<MeasuringEntry> {
  const { pairs } = await sittingsOf(db, caller);
  const noise = own ? noiseFound(repeatStudy(pairs)) : USUAL_NOISE;
  if (own && Object.keys(noise).length === 0)
    throw new Problem(409, "tooFew", "No measure has ten people measured twice yet; the usual rules hold.");
  const account = await db.models.Account.findByPk(caller.accountId);
  const row = { id, practiceId: caller.practiceId, chosenAt: at, chosenBy: account?.get().name ?? "", noise };
  const [stored] = await db.models.MeasuringNoise.findOrCreate({ where: { id }, defaults: row });
  if (stored.get().practiceId !== caller.practiceId) throw new Problem(409, "taken", "This id belongs to another choice.");
  return measuringOf(db, caller);
}

/** Of all crews of the practice: its trainers measure the same way, or should. */
async function sittingsOf(db: Db, caller: Caller): Promise<{ sittings: MeasuringEntry["sittings"]; pairs: Twice[] }> {
  const { models } = db;
  const trainers = await models.Account.findAll({ where: { practiceId: caller.practiceId }, attributes: ["id"] });
  const crews = await models.Crew.findAll({ where: { trainerId: trainers.map((row) => row.get().id) }, attributes: ["id", "name"] });
  const names = new Map(crews.map((row) => [row.get().id, row.get().name]));
  const known = new Set(await crewIdsOf(db, caller));
  const seconds = (
    await models.Round.findAll({ where: { crewId: [...names.keys()], repeats: { [Op.ne]: null } }, order: ["startedOn", "id"] })
  ).map((row) => row.get({ plain: true }));
  const ids = seconds.map(({ repeats }) => repeats!);
  const firsts = new Map((await models.Round.findAll({ where: { id: ids } })).map((row) => [row.get().id, row.get({ plain: true })]));
  const records = (await models.Baseline.findAll({ where: { roundId: [...seconds.map(({ id }) => id), ...ids] } })).map((row) =>
    row.get({ plain: true }),
  );
  const documents = new Map(records.map(({ roundId, personId, document }) => [`${roundId} ${personId}`, document]));
  const pairs: Twice[] = [];
  const sittings = seconds.map((second) => {
    const first = firsts.get(second.repeats!)!;
    const twice = records.flatMap(({ roundId, personId, document }): Twice[] => {
      const before = roundId === second.id ? documents.get(`${first.id} ${personId}`) : undefined;
      if (!before || isEmpty(before) || isEmpty(document)) return [];
      return [{ personId, first: before, second: document, firstOn: first.startedOn, secondOn: second.startedOn }];
    });
    pairs.push(...twice);
    return {
      roundId: second.id,
      crew: known.has(second.crewId) ? { id: second.crewId, name: names.get(second.crewId)! } : null,
      first: { name: first.name, on: first.startedOn },
      second: { name: second.name, on: second.startedOn },
      people: twice.length,
      isApart: isApart(first.startedOn, second.startedOn),
    };
  });
  return { sittings, pairs };
}
