/** A crew's week: which session starts when. Saved whole with a version, like a program. */
import { addDays } from "@kind-grip/core/calendar";
import { type Placement } from "@kind-grip/core/dayplan";
import { isOfShift } from "@kind-grip/core/session";
import { FULL_PARTICIPATION, itemsLeftOut } from "@kind-grip/core/safety";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import type { PlacementRow } from "./tables";
import { practiceLibrary } from "../library/practice-library";
import { inTransaction } from "../db/transaction";
import { invalid, stale } from "../http/problem";
import { participationsIn } from "../safety/participations";

export interface WeekPlanEntry {
  crewId: string;
  weekStart: string;
  version: number;
  placements: Placement[];
  /** The last two days before and the first two after, for spacing across the week's edge. Not edited here. */
  neighbours: Placement[];
}

export async function weekPlan(db: Db, caller: Caller, crewId: string, weekStart: string): Promise<WeekPlanEntry> {
  await crewOf(db, caller, crewId);
  const plan = await db.models.WeekPlan.findOne({ where: { crewId, weekStart } });
  const around = [-7, 7].map((days) => addDays(weekStart, days));
  const rows = (
    await db.models.Placement.findAll({ where: { crewId, weekStart: { [Op.in]: [weekStart, ...around] } }, order: ["startsAt"] })
  ).map((row) => row.get({ plain: true }));
  const from = Date.parse(`${addDays(weekStart, -2)}T00:00:00Z`);
  const to = Date.parse(`${addDays(weekStart, 9)}T00:00:00Z`);
  return {
    crewId,
    weekStart,
    version: plan?.get().version ?? 0,
    placements: rows.filter((row) => row.weekStart === weekStart).map(placement),
    neighbours: rows
      .filter((row) => row.weekStart !== weekStart && row.startsAt.getTime() >= from && row.startsAt.getTime() < to)
      .map(placement),
  };
}

/** Replaces the week's placements. @param version 0 for a week that was never planned */
export async function saveWeekPlan(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  weekStart: string,
  version: number,
  placements: readonly Placement[],
): Promise<WeekPlanEntry> {
  const crew = await crewOf(db, caller, crewId);
  refuseOutsideWeek(weekStart, placements);
  const saved = await inTransaction(db, async (transaction) => {
    await db.models.WeekPlan.findOrCreate({ where: { crewId, weekStart }, defaults: { crewId, weekStart, version: 0 }, transaction });
    const [changed] = await db.models.WeekPlan.update({ version: version + 1 }, { where: { crewId, weekStart, version }, transaction });
    if (changed === 0) return false;
    await refuseForeignSessions(db, crewId, placements, transaction);
    const before = new Map(
      (await db.models.Placement.findAll({ where: { crewId, weekStart }, transaction })).map((row) => [
        row.get().id,
        row.get({ plain: true }),
      ]),
    );
    const isNew = (each: Placement) => !before.has(each.id) || placementKey(placement(before.get(each.id)!)) !== placementKey(each);
    await refuseForNobody(db, caller.practiceId, crew, at, placements, isNew, transaction);
    const changedAt = new Date();
    await db.models.Placement.destroy({ where: { crewId, weekStart }, transaction });
    await db.models.Placement.bulkCreate(
      placements.map((each) => {
        const moved = isNew(each) ? changedAt : (before.get(each.id)!.changedAt ?? null);
        return { ...each, crewId, weekStart, startsAt: new Date(each.startsAt), changedAt: moved };
      }),
      { transaction },
    );
    return true;
  });
  const now = await weekPlan(db, caller, crewId, weekStart);
  if (!saved && !samePlacements(now.placements, placements)) throw stale(now);
  return now;
}

/** Placements of a crew between two moments, oldest first. */
export async function placementsBetween({ models }: Db, crewIds: readonly string[], from: Date, to: Date): Promise<PlacementRow[]> {
  const rows = await models.Placement.findAll({
    where: { crewId: { [Op.in]: [...crewIds] }, startsAt: { [Op.gte]: from, [Op.lt]: to } },
    order: ["startsAt"],
  });
  return rows.map((row) => row.get({ plain: true }));
}

/** A night shift of the week's last day may run into the next one; a day's grace covers every time zone and shift. */
function refuseOutsideWeek(weekStart: string, placements: readonly Placement[]): void {
  const from = Date.parse(`${addDays(weekStart, -1)}T00:00:00Z`);
  const to = Date.parse(`${addDays(weekStart, 9)}T00:00:00Z`);
  const fields = placements.flatMap((each, i) => {
    const at = Date.parse(each.startsAt);
    return at >= from && at < to ? [] : [{ path: `placements.${i}.startsAt`, message: "is not in this week" }];
  });
  if (fields.length > 0) throw invalid(fields);
}

async function refuseForeignSessions(db: Db, crewId: string, placements: readonly Placement[], transaction: Transaction): Promise<void> {
  const programs = await db.models.Program.findAll({
    where: { crewId, id: { [Op.in]: [...new Set(placements.map((each) => each.programId))] } },
    transaction,
  });
  const slots = new Map(
    programs.flatMap((program) =>
      program.get().document.sessions.map((session) => [`${program.get().id} ${session.id}`, session.slot] as const),
    ),
  );
  const fields = placements.flatMap((each, i) => {
    const slot = slots.get(`${each.programId} ${each.sessionId}`);
    if (slot && isOfShift(slot)) return [];
    const message = slot ? "is done alone, not in a shift" : "is not a session of this crew's programs";
    return [{ path: `placements.${i}.sessionId`, message }];
  });
  const named = placements.flatMap((each) => each.people ?? []);
  if (named.length > 0) {
    const there = new Set(
      (await db.models.Person.findAll({ where: { crewId }, attributes: ["id"], transaction })).map((person) => person.get().id),
    );
    for (const [i, each] of placements.entries())
      if (each.people?.some((id) => !there.has(id)))
        fields.push({ path: `placements.${i}.people`, message: "names somebody who is not in this crew" });
  }
  if (fields.length > 0) throw invalid(fields);
}

/** A session newly placed for people none of whom may do any of it. What was placed before they were held out stays, for nobody. */
async function refuseForNobody(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  at: Date,
  placements: readonly Placement[],
  isNew: (each: Placement) => boolean,
  transaction: Transaction,
): Promise<void> {
  const named = placements.filter((each) => each.people && isNew(each));
  if (named.length === 0) return;
  const [library, may, programs] = await Promise.all([
    practiceLibrary(db, practiceId, transaction),
    participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, at, transaction),
    db.models.Program.findAll({ where: { id: named.map(({ programId }) => programId) }, transaction }),
  ]);
  const sessions = programs.flatMap((row) => row.get().document.sessions);
  const fields = placements.flatMap((each, i) => {
    const session = sessions.find(({ id }) => id === each.sessionId);
    if (!named.includes(each) || !session) return [];
    const isOut = (id: string) => itemsLeftOut(library, may.get(id) ?? FULL_PARTICIPATION, session).length === session.items.length;
    return session.items.length > 0 && each.people!.every(isOut)
      ? [{ path: `placements.${i}.people`, message: "names only people who are held out of it" }]
      : [];
  });
  if (fields.length > 0) throw invalid(fields);
}

function samePlacements(a: readonly Placement[], b: readonly Placement[]): boolean {
  const keys = (list: readonly Placement[]) => list.map(placementKey).sort().join("|");
  return keys(a) === keys(b);
}

function placementKey({ id, programId, sessionId, startsAt, people, groupName }: Placement): string {
  return JSON.stringify([id, programId, sessionId, Date.parse(startsAt), people ?? null, groupName ?? null]);
}

function placement({ id, programId, sessionId, startsAt, people, groupName }: PlacementRow): Placement {
  return { id, programId, sessionId, startsAt: startsAt.toISOString(), people: people ?? null, groupName: groupName ?? null };
}
