/** What was confirmed while everything broke, held against what is there in the end. */
import { QueryTypes } from "sequelize";
import type { RunRecord } from "@kind-grip/core/run";
import type { Db } from "../db/connection";

export interface Ledger {
  runs: Map<string, RunRecord>;
  people: Set<string>;
  /** Crew and week → the version that was confirmed last, and the placements in it. */
  weeks: Map<string, { crewId: string; weekStart: string; version: number; placementIds: string[] }>;
  /** Program → the version that was confirmed last, and its name then. */
  programs: Map<string, { version: number; name: string }>;
}

export const newLedger = (): Ledger => ({ runs: new Map(), people: new Set(), weeks: new Map(), programs: new Map() });

export interface Verdict {
  confirmed: number;
  /** Confirmed and not there, or there in an older version than was confirmed. */
  lost: string[];
  /** There more than once. */
  doubled: string[];
  /** There without all of its parts. */
  halfSaved: string[];
  /** Roll-ups that are not the sum of what they are made of. */
  wrongSums: string[];
}

export async function holdAgainst({ models, sequelize }: Db, ledger: Ledger): Promise<Verdict> {
  const verdict: Verdict = {
    confirmed: ledger.runs.size + ledger.people.size + ledger.weeks.size + ledger.programs.size,
    lost: [],
    doubled: [],
    halfSaved: [],
    wrongSums: [],
  };
  const ask = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT });

  const runs = await ask<{ id: string; people: number; items: number; wantedItems: number }>(
    `SELECT r.id, (SELECT COUNT(*) FROM run_people p WHERE p.runId = r.id) AS people,
            (SELECT COUNT(*) FROM run_items i WHERE i.runId = r.id) AS items FROM runs r`,
  );
  const there = new Map(runs.map((run) => [run.id, run]));
  for (const [id, record] of ledger.runs) {
    const run = there.get(id);
    if (!run) verdict.lost.push(`run ${id}`);
    else if (run.people !== record.people.length || run.items !== record.items.length) verdict.halfSaved.push(`run ${id}`);
  }
  // Whatever was not confirmed is whole or not there as well.
  for (const run of runs) if (run.people === 0 || run.items === 0) verdict.halfSaved.push(`run ${run.id}`);

  const people = (await models.Person.findAll({ attributes: ["id", "crewId", "badge"] })).map((row) => row.get());
  const known = new Set(people.map(({ id }) => id));
  for (const id of ledger.people) if (!known.has(id)) verdict.lost.push(`person ${id}`);
  const badges = new Map<string, number>();
  for (const { crewId, badge } of people) if (badge) badges.set(`${crewId} ${badge}`, (badges.get(`${crewId} ${badge}`) ?? 0) + 1);
  for (const [badge, count] of badges) if (count > 1) verdict.doubled.push(`person with badge ${badge}`);

  for (const { crewId, weekStart, version, placementIds } of ledger.weeks.values()) {
    const row = (await models.WeekPlan.findOne({ where: { crewId, weekStart } }))?.get();
    const placed = (await models.Placement.findAll({ where: { crewId, weekStart }, attributes: ["id"] })).map((each) => each.get().id);
    const name = `week ${weekStart} of ${crewId}`;
    if (!row || row.version < version) verdict.lost.push(name);
    else if (row.version === version && placed.sort().join() !== [...placementIds].sort().join()) verdict.halfSaved.push(name);
    if (new Set(placed).size !== placed.length) verdict.doubled.push(name);
  }
  for (const [id, { version, name }] of ledger.programs) {
    const row = (await models.Program.findByPk(id))?.get();
    if (!row || row.version < version) verdict.lost.push(`program ${id}`);
    else if (row.version === version && row.document.name !== name) verdict.halfSaved.push(`program ${id}`);
  }

  // A person's runs of all days are the sum of their roll-ups: a run stored twice, or half, would show.
  const sums = await ask<{ personId: string; rolled: number; counted: number }>(
    `SELECT p.personId, SUM(p.present) AS counted,
            (SELECT COALESCE(SUM(d.runs), 0) FROM person_days d WHERE d.personId = p.personId) AS rolled
     FROM run_people p GROUP BY p.personId`,
  );
  for (const { personId, rolled, counted } of sums)
    if (Number(rolled) !== Number(counted)) verdict.wrongSums.push(`person ${personId}: ${rolled} rolled up, ${counted} there`);
  return verdict;
}
