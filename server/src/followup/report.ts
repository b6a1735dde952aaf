/**
 * The crew report: for the trainer and for the employer contact alike, by blocks of four weeks. A block is worked out once, under the
 * lock of the crew, when it can first be read, and stored: from then on it is what it is.
 */
import { ReportEntry } from "@kind-grip/core/api";
import { changesBetween } from "@kind-grip/core/baseline";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import {
  BLOCK_DAYS,
  blockFigures,
  blockStartOf,
  measuredChanges,
  readableBlocks,
  readableOn,
  ReviewAnswer,
  type ReportChange,
} from "@kind-grip/core/followup";
import { writeCsv } from "@kind-grip/core/exchange";
import { Op, type Transaction } from "sequelize";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { RoundRow } from "../baseline/tables";
import type { CrewRow } from "../crew/tables";
import type { PersonDayRow } from "../run/tables";
import { inTransaction } from "../db/transaction";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { raisedMornings } from "./mornings";
import { reviewOf } from "./review";

const ReviewQuery = v.object({
  weeks: v.optional(v.pipe(v.picklist(["4", "8"], "must be 4 or 8"), v.transform(Number)), "4"),
});
const READERS = ["trainer", "employer"] as const;

export function addReportRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "report",
    method: "get",
    path: "/api/crews/:crewId/report",
    summary: "Crew figures by frozen blocks of four weeks; none of fewer than five people",
    answer: ReportEntry,
    roles: READERS,
    params: CrewParams,
    handle: async ({ caller, params }) => reportOf(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "review",
    method: "get",
    path: "/api/crews/:crewId/review",
    summary: "The review of a block, down to the person",
    answer: ReviewAnswer,
    params: CrewParams,
    query: ReviewQuery,
    handle: async ({ caller, params, query }) => reviewOf(db, caller, await now(caller), params.crewId, query.weeks),
  });
  routes.add({
    id: "reportCsv",
    method: "get",
    path: "/api/crews/:crewId/report.csv",
    summary: "The same as CSV",
    file: "text/csv",
    roles: READERS,
    params: CrewParams,
    async handle({ caller, params, response }) {
      const report = await reportOf(db, caller, await now(caller), params.crewId);
      const csv = writeCsv(
        ["from", "until", "people", "adherence", "secPerPersonDay", "meanEffort", "morningsRaised"],
        report.blocks.map(({ from, until, figures: { people, adherence, secPerPersonDay, meanEffort, morningsRaised } }) => [
          from,
          until,
          people,
          adherence,
          secPerPersonDay,
          meanEffort,
          morningsRaised,
        ]),
      );
      sendFile(response, `${report.crew.name} report.csv`, "text/csv", csv);
    },
  });
}

async function reportOf(db: Db, caller: Caller, at: Date, crewId: string): Promise<ReportEntry> {
  const crew = await crewOf(db, caller, crewId);
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const [blocks, changes] = [await frozenBlocks(db, caller, crew, at, today), await frozenChanges(db, caller, crew, at)];
  const next = addDays(blocks.at(-1)?.blockStart ?? addDays(blockStartOf(await firstDay(db, crewId, today)), -BLOCK_DAYS), BLOCK_DAYS);
  return {
    crew: { id: crew.id, name: crew.name, trade: crew.detail.trade },
    blocks: blocks.map(({ blockStart, figures }) => ({ from: blockStart, until: addDays(blockStart, BLOCK_DAYS - 1), figures })).reverse(),
    next: { from: next, until: addDays(next, BLOCK_DAYS - 1), readableOn: readableOn(next) },
    changes: changes.reverse(),
  };
}

/** The first day anything was done, or today. */
async function firstDay(db: Db, crewId: string, today: string, transaction?: Transaction): Promise<string> {
  const day = (await db.models.PersonDay.min("day", { where: { crewId }, transaction })) as string | null;
  return day ?? today;
}

/** Blocks that can be read, oldest first; those that could not be before are worked out now and kept. */
async function frozenBlocks(db: Db, caller: Caller, crew: CrewRow, at: Date, today: string) {
  const wanted = readableBlocks(await firstDay(db, crew.id, today), today);
  const stored = async (transaction?: Transaction) =>
    (await db.models.FrozenBlock.findAll({ where: { crewId: crew.id }, order: ["blockStart"], transaction })).map((row) =>
      row.get({ plain: true }),
    );
  const known = await stored();
  if (wanted.every((start) => known.some(({ blockStart }) => blockStart === start))) return known;
  return inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crew.id, transaction);
    const frozen = await stored(transaction);
    for (const blockStart of wanted) {
      if (frozen.some((block) => block.blockStart === blockStart)) continue;
      const until = addDays(blockStart, BLOCK_DAYS - 1);
      const days = (await db.models.PersonDay.findAll({
        where: { crewId: crew.id, day: { [Op.between]: [blockStart, until] as [string, string] } },
        raw: true,
        transaction,
      })) as unknown as PersonDayRow[];
      const mornings = await raisedMornings(db, crew.id, blockStart, until, transaction);
      const worked = blockFigures(
        blockStart,
        days,
        mornings,
        frozen.map(({ behind }) => behind),
      );
      const row = { crewId: crew.id, blockStart, frozenAt: at, ...worked };
      await db.models.FrozenBlock.create(row, { transaction });
      frozen.push(row);
    }
    return frozen.sort((a, b) => a.blockStart.localeCompare(b.blockStart));
  });
}

/** What was measured in closed rounds, each against the first; worked out once and kept, whatever happens to the round afterwards. */
async function frozenChanges(db: Db, caller: Caller, crew: CrewRow, at: Date): Promise<ReportEntry["changes"]> {
  const rounds = (await db.models.Round.findAll({ where: { crewId: crew.id }, order: ["startedOn", "id"] })).map((row) =>
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
    return found && found.changes.length > 0 ? [{ first: first.name, last: round.name, on: round.startedOn, changes: found.changes }] : [];
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
      return changesBetween(before.document, after.document).map(({ measure, before: was, after: is }): ReportChange => {
        const kind = measure === "grip" || measure === "function" ? measure : "range";
        return { personId: after.personId, measure: kind, change: kind === "function" ? was - is : is - was };
      });
    });
}
