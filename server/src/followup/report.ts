/**
 * The crew report: for the trainer and for the employer contact alike, by blocks of four weeks. A block is worked out once, under the
 * lock of the crew, when it can first be read, and stored: from then on it is what it is.
 */
import type { ReportEntry } from "@kind-grip/core/api";
import { changesBetween, USUAL_NOISE } from "@kind-grip/core/baseline";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import {
  BLOCK_DAYS,
  blockStartOf,
  CrewFigures,
  MeasuredChange,
  readableBlocks,
  readableOn,
  type ReportChange,
  type ReportedSymptom,
} from "@kind-grip/core/followup";
import { blockFigures, firstAidFigures, measuredChanges } from "@kind-grip/core/report";
import { harderHand } from "@kind-grip/core/strain";
import { workDone } from "../work/works";
import { Op, type Transaction } from "sequelize";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { RoundRow } from "../baseline/tables";
import type { CrewRow } from "../crew/tables";
import { inTransaction } from "../db/transaction";
import { bookOf } from "./first-aid";
import { personDaysOf } from "./days";
import { raisedMornings } from "./mornings";

/** What employer contact and trainer are told. @throws Problem 404 for a crew that is not the caller's */
export async function reportOf(db: Db, caller: Caller, at: Date, crewId: string): Promise<ReportEntry> {
  const crew = await crewOf(db, caller, crewId);
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const [blocks, changes] = [await frozenBlocks(db, caller, crew, at, today), await frozenChanges(db, caller, crew, at)];
  const began = await firstDay(db, crewId);
  const next = addDays(blocks.at(-1)?.blockStart ?? addDays(blockStartOf(began ?? today), -BLOCK_DAYS), BLOCK_DAYS);
  const [book, people] = await Promise.all([
    bookOf(db, crewId),
    db.models.Person.findAll({ where: { crewId }, attributes: ["startedOn", "leftOn"] }),
  ]);
  return {
    crew: { id: crew.id, name: crew.name, trade: crew.detail.trade },
    blocks: blocks.map(({ blockStart, figures }) => ({ from: blockStart, until: addDays(blockStart, BLOCK_DAYS - 1), figures })).reverse(),
    next: { from: next, until: addDays(next, BLOCK_DAYS - 1), readableOn: readableOn(next) },
    changes: changes.reverse(),
    firstAid: firstAidFigures(
      book,
      people.map((row) => row.get({ plain: true })),
      began,
      today,
    ),
  };
}

/** The first day anything was done; null before. */
async function firstDay(db: Db, crewId: string): Promise<string | null> {
  return (await db.models.PersonDay.min("day", { where: { crewId } })) as string | null;
}

/** Blocks that can be read, oldest first; those that could not be before are worked out now and kept. */
async function frozenBlocks(db: Db, caller: Caller, crew: CrewRow, at: Date, today: string) {
  const wanted = readableBlocks((await firstDay(db, crew.id)) ?? today, today);
  const stored = async (transaction?: Transaction) =>
    (await db.models.FrozenBlock.findAll({ where: { crewId: crew.id }, order: ["blockStart"], transaction })).map((row) => {
      const block = row.get({ plain: true });
      // An earlier version gave out fewer figures.
      return { ...block, figures: v.parse(CrewFigures, block.figures) };
    });
  const known = await stored();
  if (wanted.every((start) => known.some(({ blockStart }) => blockStart === start))) return known;
  return inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crew.id, transaction);
    const frozen = await stored(transaction);
    const morningsOf = (start: string) =>
      raisedMornings(db, { crewId: crew.id, from: start, until: addDays(start, BLOCK_DAYS - 1) }, transaction);
    const firstStart = wanted[0]!;
    const firstMornings = await morningsOf(firstStart);
    for (const blockStart of wanted) {
      if (frozen.some((block) => block.blockStart === blockStart)) continue;
      const until = addDays(blockStart, BLOCK_DAYS - 1);
      const days = await personDaysOf(db, { crewId: crew.id, from: blockStart, until }, transaction);
      const worked = blockFigures(
        blockStart,
        {
          days,
          mornings: blockStart === firstStart ? firstMornings : await morningsOf(blockStart),
          firstMornings: blockStart === firstStart ? [] : firstMornings,
          reported: await reportedBetween(db, crew, blockStart, until, transaction),
          workStrain: await strainBy(db, crew, until, transaction),
        },
        frozen.map(({ behind }) => behind),
      );
      const row = { crewId: crew.id, blockStart, frozenAt: at, ...worked };
      await db.models.FrozenBlock.create(row, { transaction });
      frozen.push(row);
    }
    return frozen.sort((a, b) => a.blockStart.localeCompare(b.blockStart));
  });
}

/** Who told of a symptom when and where, on the phone, in the morning, by a mark or before a round; days as the crew's place has them. */
async function reportedBetween(
  { models }: Db,
  { id, detail: { timeZone } }: CrewRow,
  from: string,
  until: string,
  transaction: Transaction,
): Promise<ReportedSymptom[]> {
  const around = { [Op.between]: [new Date(`${addDays(from, -1)}T00:00:00Z`), new Date(`${addDays(until, 2)}T00:00:00Z`)] as [Date, Date] };
  const where = { crewId: id, since: around };
  const rows = await models.SymptomAlert.findAll({ where, attributes: ["id", "personId", "since", "regions"], transaction });
  return rows
    .map((row) => row.get())
    .map(({ personId, since, regions }) => ({ personId, day: dateAt(since.getTime(), timeZone), regions }));
}

/** Strain of the hardest day of the work, as it was described by the end of a day; null where it was changed since. */
async function strainBy(db: Db, crew: CrewRow, until: string, transaction: Transaction): Promise<number | null> {
  const row = (await db.models.Work.findByPk(crew.id, { transaction }))?.get({ plain: true });
  if (!row || dateAt(row.changedAt.getTime(), crew.detail.timeZone) > until) return null;
  const work = await workDone(db, crew, new Date(`${until}T12:00:00Z`), row.document, transaction);
  return work.days.length === 0 ? null : Math.max(...work.days.map((day) => harderHand(work, day).value));
}

/** What was measured in closed rounds, each against the first; worked out once and kept, whatever happens to the round afterwards. */
async function frozenChanges(db: Db, caller: Caller, crew: CrewRow, at: Date): Promise<ReportEntry["changes"]> {
  const rounds = (await db.models.Round.findAll({ where: { crewId: crew.id, repeats: null }, order: ["startedOn", "id"] })).map((row) =>
    row.get({ plain: true }),
  );
  const [first, ...later] = rounds;
  if (!first) return [];
  const stored = async (transaction?: Transaction) =>
    (await db.models.FrozenChanges.findAll({ where: { crewId: crew.id }, order: ["frozenAt"], transaction })).map((row) =>
      row.get({ plain: true }),
    );
  let known = await stored();
  const closed = later.filter(({ closedAt }) => first.closedAt && closedAt);
  if (closed.some(({ id }) => !known.some(({ roundId }) => roundId === id)))
    known = await inTransaction(db, async (transaction) => {
      await lockCrew(db, caller, crew.id, transaction);
      const frozen = await stored(transaction);
      for (const round of closed) {
        if (frozen.some(({ roundId }) => roundId === round.id)) continue;
        const worked = measuredChanges(
          await changesOfRound(db, first, round, transaction),
          frozen.map(({ behind }) => behind),
        );
        const row = { crewId: crew.id, roundId: round.id, frozenAt: at, ...worked };
        await db.models.FrozenChanges.create(row, { transaction });
        frozen.push(row);
      }
      return frozen;
    });
  return later.flatMap((round) => {
    const found = known.find(({ roundId }) => roundId === round.id);
    return found && found.changes.length > 0
      ? [{ first: first.name, last: round.name, on: round.startedOn, changes: v.parse(v.array(MeasuredChange), found.changes) }]
      : [];
  });
}

/** Of people measured in both rounds. Function effort is turned round so that up is better. */
async function changesOfRound(db: Db, first: RoundRow, last: RoundRow, transaction: Transaction): Promise<ReportChange[]> {
  const records = (await db.models.Baseline.findAll({ where: { roundId: [first.id, last.id] }, transaction })).map((row) =>
    row.get({ plain: true }),
  );
  return records
    .filter(({ roundId }) => roundId === last.id)
    .flatMap((after) => {
      const before = records.find(({ roundId, personId }) => roundId === first.id && personId === after.personId);
      if (!before) return [];
      // A mean is told with its own interval; the noise of one person is not asked.
      return changesBetween(before.document, after.document, USUAL_NOISE).map(({ measure, before: was, after: is }): ReportChange => {
        const kind = measure === "grip" || measure === "function" ? measure : "range";
        return { personId: after.personId, measure: kind, change: kind === "function" ? was - is : is - was };
      });
    });
}
