/**
 * A crew's standing plan, laid on the calendar wherever placements are read: what a series comes to on a day is worked out, not stored,
 * until it is led or its series changes over it.
 */
import { addDays, dateAt, daysBetween, mondayOf } from "@kind-grip/core/calendar";
import {
  laidById,
  layPlan,
  NOTHING_STANDING,
  type LaidPlacement,
  type Placement,
  type Series,
  type StandingPlan,
} from "@kind-grip/core/dayplan";
import { Op, type Transaction } from "sequelize";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import type { PlacementRow, StandingPlanRow } from "./tables";

/** What laying a plan needs of a crew. */
export type CrewOfPlan = Pick<CrewRow, "id" | "detail">;

const DAY_MS = 86_400_000;

/** Version 0 for a crew that has none. */
export async function standingOf({ models }: Db, crewId: string, transaction?: Transaction): Promise<StandingPlanRow> {
  const row = (await models.StandingPlan.findByPk(crewId, { transaction }))?.get({ plain: true });
  return row ?? { crewId, version: 0, changedAt: new Date(0), document: NOTHING_STANDING };
}

/** Placements of crews from a moment to another, oldest first: stored ones, and what their series come to. */
export async function placementsBetween({ models }: Db, crews: readonly CrewOfPlan[], from: Date, to: Date): Promise<PlacementRow[]> {
  const crewId = { [Op.in]: crews.map(({ id }) => id) };
  // A placement that is kept stands instead of what is laid on its day, wherever that would be by now.
  const around = { [Op.gte]: new Date(from.getTime() - 2 * DAY_MS), [Op.lt]: new Date(to.getTime() + 2 * DAY_MS) };
  const [rows, plans] = await Promise.all([
    models.Placement.findAll({ where: { crewId, startsAt: around }, order: ["startsAt"] }),
    models.StandingPlan.findAll({ where: { crewId } }),
  ]);
  const stored = rows.map((row) => row.get({ plain: true }));
  const laid = plans.flatMap((plan) => {
    const { crewId: id, document, changedAt } = plan.get();
    const crew = crews.find((each) => each.id === id)!;
    const kept = stored.filter((each) => each.crewId === id).map(placement);
    return laidBetween(document, crew, kept, from, to).map((each) => rowOf(crew, each, changedAt));
  });
  return [...stored, ...laid]
    .filter(({ startsAt }) => startsAt >= from && startsAt < to)
    .sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime());
}

function laidBetween(standing: StandingPlan, { detail }: CrewOfPlan, kept: readonly Placement[], from: Date, to: Date): LaidPlacement[] {
  const first = addDays(dateAt(from.getTime(), detail.timeZone), -2);
  const last = addDays(dateAt(to.getTime(), detail.timeZone), 1);
  const there = new Set(kept.map(({ id }) => id));
  const days = daysBetween(first, last) + 1;
  return layPlan({ standing, placements: [], kept: [] }, detail, first, days).filter(({ id }) => !there.has(id));
}

function rowOf(
  crew: CrewOfPlan,
  { id, programId, sessionId, startsAt, people, groupName, date, seriesId }: LaidPlacement,
  changedAt: Date,
): PlacementRow {
  const where = { crewId: crew.id, weekStart: mondayOf(date) };
  return { id, ...where, programId, sessionId, startsAt: new Date(startsAt), people, groupName, changedAt, ledUntil: null, seriesId };
}

export function placement({ id, programId, sessionId, startsAt, people, groupName }: PlacementRow): Placement {
  return { id, programId, sessionId, startsAt: startsAt.toISOString(), people: people ?? null, groupName: groupName ?? null };
}

/** A placement by its id, stored or of a series; undefined when it is in the plan no more. */
export async function placementById(db: Db, crew: CrewOfPlan, id: string, transaction?: Transaction): Promise<PlacementRow | undefined> {
  const row = (await db.models.Placement.findOne({ where: { id, crewId: crew.id }, transaction }))?.get({ plain: true });
  if (row) return row;
  const standing = await standingOf(db, crew.id, transaction);
  const laid = laidById(standing.document, crew.detail, id);
  return laid && rowOf(crew, laid, standing.changedAt);
}

/** Stores what a series is on a day: it was led, and stays as it is. One that is stored already, or in no plan any more, changes nothing. */
export async function keepPlacement(db: Db, crew: CrewOfPlan, id: string, transaction?: Transaction): Promise<void> {
  const found = await placementById(db, crew, id, transaction);
  if (found?.seriesId) await keep(db, [found], transaction);
}

async function keep({ models }: Db, rows: readonly PlacementRow[], transaction?: Transaction): Promise<void> {
  if (rows.length === 0) return;
  const { crewId } = rows[0]!;
  const weeks = [...new Set(rows.map(({ weekStart }) => weekStart))];
  await models.WeekPlan.bulkCreate(
    weeks.map((weekStart) => ({ crewId, weekStart, version: 0 })),
    { ignoreDuplicates: true, transaction },
  );
  await models.Placement.bulkCreate([...rows], { ignoreDuplicates: true, transaction });
}

/** How far back what a series was is kept when it changes, days: calendars reach back two weeks. */
const KEPT_DAYS = 60;

/**
 * Before the shifts of a crew change: what its series came to up to now is stored, and they begin anew from here.
 * @param crew as it was
 */
export async function keepPast(db: Db, crew: CrewOfPlan, at: Date, transaction: Transaction): Promise<void> {
  const standing = await standingOf(db, crew.id, transaction);
  if (standing.version === 0) return;
  const past = laidBetween(standing.document, crew, [], new Date(at.getTime() - KEPT_DAYS * DAY_MS), at).filter(
    ({ startsAt }) => Date.parse(startsAt) < at.getTime(),
  );
  await keep(
    db,
    past.map((each) => rowOf(crew, each, standing.changedAt)),
    transaction,
  );
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const series = standing.document.series.flatMap((each) => {
    const isBegun = past.some(({ seriesId, date }) => seriesId === each.id && date >= today);
    return beginningOn(each, isBegun ? addDays(today, 1) : today);
  });
  await writeStanding(db, standing, { ...standing.document, series }, at, transaction);
}

function beginningOn(series: Series, fromDate: string): Series[] {
  if (series.fromDate >= fromDate) return [series];
  if (series.untilDate !== null && series.untilDate < fromDate) return [];
  return [{ ...series, fromDate, otherDays: series.otherDays.filter(({ date }) => date >= fromDate) }];
}

/** Series that ended longer ago than this are history: what they came to is stored, days. */
const ENDED_DAYS = 30;

/** @param before as it was read @returns false when somebody else has changed it since */
export async function writeStanding(
  db: Db,
  before: StandingPlanRow,
  document: StandingPlan,
  at: Date,
  transaction: Transaction,
): Promise<boolean> {
  const { crewId, version } = before;
  await db.models.StandingPlan.findOrCreate({
    where: { crewId },
    defaults: { crewId, version: 0, changedAt: at, document: NOTHING_STANDING },
    transaction,
  });
  const [changed] = await db.models.StandingPlan.update(
    { version: version + 1, changedAt: at, document },
    { where: { crewId, version }, transaction },
  );
  return changed > 0;
}

/** Stores what series that are long over came to, and leaves them out: a plan of years stays as small as what goes on. */
export async function withoutEnded(
  db: Db,
  crew: CrewOfPlan,
  document: StandingPlan,
  at: Date,
  transaction: Transaction,
): Promise<StandingPlan> {
  const over = addDays(dateAt(at.getTime(), crew.detail.timeZone), -ENDED_DAYS);
  const isOver = ({ untilDate }: Series) => untilDate !== null && untilDate < over;
  const ended = document.series.filter(isOver);
  if (ended.length === 0) return document;
  const from = new Date(at.getTime() - (KEPT_DAYS + ENDED_DAYS) * DAY_MS);
  const laid = laidBetween({ ...document, series: ended }, crew, [], from, at);
  await keep(
    db,
    laid.map((each) => rowOf(crew, each, at)),
    transaction,
  );
  return { ...document, series: document.series.filter((each) => !isOver(each)) };
}
