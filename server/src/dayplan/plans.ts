/** A crew's week: which session starts when. Saved whole with a version, like a program. */
import { addDays } from "@kind-grip/core/calendar";
import type { ChangedWeek, WeekPlanEntry } from "@kind-grip/core/api";
import type { Placement, Series, StandingPlan } from "@kind-grip/core/dayplan";
import { isOfShift, type Session } from "@kind-grip/core/session";
import { FULL_PARTICIPATION, itemsLeftOut } from "@kind-grip/core/safety";
import { isEqual } from "es-toolkit";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import { practiceLibrary } from "../library/practice-library";
import { inTransaction } from "../db/transaction";
import { invalid, stale } from "../http/problem";
import { participationsIn } from "../safety/participations";
import { placement, standingOf, withoutEnded, writeStanding } from "./standing";

/** Days ahead of a week that are looked at for what does not work out. */
const DAYS_AHEAD = 63;

export async function weekPlan(db: Db, caller: Caller, crewId: string, weekStart: string): Promise<WeekPlanEntry> {
  await crewOf(db, caller, crewId);
  const [plan, standing, found] = await Promise.all([
    db.models.WeekPlan.findOne({ where: { crewId, weekStart } }),
    standingOf(db, crewId),
    db.models.Placement.findAll({
      where: { crewId, weekStart: { [Op.between]: [addDays(weekStart, -7), addDays(weekStart, DAYS_AHEAD)] } },
      order: ["startsAt"],
    }),
  ]);
  const rows = found.map((row) => row.get({ plain: true }));
  const from = Date.parse(`${addDays(weekStart, -2)}T00:00:00Z`);
  const once = rows.filter(({ seriesId }) => !seriesId);
  return {
    crewId,
    weekStart,
    // Grows with either: equal only while neither has changed.
    version: (plan?.get().version ?? 0) + standing.version,
    standing: standing.document,
    placements: once.filter((row) => row.weekStart === weekStart).map(placement),
    kept: rows.filter(({ seriesId }) => seriesId).map(placement),
    neighbours: once.filter((row) => row.weekStart !== weekStart && row.startsAt.getTime() >= from).map(placement),
  };
}

/** Replaces what was placed once in the week and, where it is given, the crew's standing plan. @param version 0 for what was never planned */
export async function saveWeekPlan(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  weekStart: string,
  { version, placements, standing }: ChangedWeek,
): Promise<WeekPlanEntry> {
  const crew = await crewOf(db, caller, crewId);
  refuseOutsideWeek(weekStart, placements);
  let lean: StandingPlan | null = null;
  const saved = await inTransaction(db, async (transaction) => {
    await db.models.WeekPlan.findOrCreate({ where: { crewId, weekStart }, defaults: { crewId, weekStart, version: 0 }, transaction });
    const before = await standingOf(db, crewId, transaction);
    const weekVersion = version - before.version;
    const [changed] = await db.models.WeekPlan.update(
      { version: weekVersion + 1 },
      { where: { crewId, weekStart, version: weekVersion }, transaction },
    );
    if (changed === 0) return false;
    // A screen that has not heard of it yet sends along what is long over: that is history already.
    lean = standing ? await withoutEnded(db, crew, standing, at, transaction) : null;
    if (lean && !isEqual(lean, before.document)) {
      await refuseUnknown(db, crew, before.document, lean, transaction);
      if (!(await writeStanding(db, before, lean, at, transaction))) throw new StalePlan();
    }
    await replacePlacements(db, caller, crew, at, weekStart, placements, transaction);
    return true;
  }).catch((error: unknown) => {
    if (error instanceof StalePlan) return false;
    throw error;
  });
  const now = await weekPlan(db, caller, crewId, weekStart);
  const isThere = samePlacements(now.placements, placements) && (!standing || isEqual(lean ?? standing, now.standing));
  if (!saved && !isThere) throw stale(now);
  return now;
}

/** Somebody else changed the standing plan while the week was being stored: nothing of it is. */
class StalePlan extends Error {}

async function replacePlacements(
  db: Db,
  caller: Caller,
  crew: CrewRow,
  at: Date,
  weekStart: string,
  placements: readonly Placement[],
  transaction: Transaction,
): Promise<void> {
  const own = { crewId: crew.id, weekStart, seriesId: null };
  await refuseForeignSessions(db, crew.id, placements, transaction);
  const rows = await db.models.Placement.findAll({ where: own, transaction });
  const before = new Map(rows.map((row) => [row.get().id, row.get({ plain: true })]));
  const isNew = (each: Placement) => !before.has(each.id) || placementKey(placement(before.get(each.id)!)) !== placementKey(each);
  await refuseForNobody(db, caller.practiceId, crew, at, placements, isNew, transaction);
  const changedAt = new Date();
  await db.models.Placement.destroy({ where: own, transaction });
  await db.models.Placement.bulkCreate(
    placements.map((each) => {
      const was = before.get(each.id);
      const moved = isNew(each) ? changedAt : (was!.changedAt ?? null);
      return { ...each, ...own, startsAt: new Date(each.startsAt), changedAt: moved, ledUntil: was?.ledUntil ?? null };
    }),
    { transaction },
  );
}

/** Series that are new or changed: of a session, a kind of shift and people there are. What was in the plan before may have lost its own. */
async function refuseUnknown(
  db: Db,
  crew: CrewRow,
  before: StandingPlan,
  { series, groups }: StandingPlan,
  transaction: Transaction,
): Promise<void> {
  const known = new Map(before.series.map((each) => [each.id, each]));
  const isNew = (each: Series) => {
    const was = known.get(each.id);
    return (
      !was ||
      was.programId !== each.programId ||
      was.sessionId !== each.sessionId ||
      was.shift !== each.shift ||
      was.leaderId !== each.leaderId
    );
  };
  const [slots, there] = await Promise.all([
    slotsOf(db, crew.id, series, transaction),
    db.models.Person.findAll({ where: { crewId: crew.id }, attributes: ["id"], transaction }),
  ]);
  const people = new Set(there.map((person) => person.get().id));
  const kinds = new Set(crew.detail.shiftPattern.shifts.map(({ id }) => id));
  const fields = series.flatMap((each, i) => {
    if (!isNew(each)) return [];
    const problem = sessionProblem(slots.get(`${each.programId} ${each.sessionId}`));
    const leader = handedOver(each, before)
      ? []
      : [{ path: `standing.series.${i}.leaderId`, message: "is handed over by itself, not with the plan" }];
    const unknown = kinds.has(each.shift) ? [] : [{ path: `standing.series.${i}.shift`, message: "is not a kind of shift of this crew" }];
    return [...(problem ? [{ path: `standing.series.${i}.sessionId`, message: problem }] : []), ...unknown, ...leader];
  });
  const strangers = groups.flatMap((group, i) =>
    group.people.every((id) => people.has(id))
      ? []
      : [{ path: `standing.groups.${i}.people`, message: "names somebody who is not in this crew" }],
  );
  if (fields.length + strangers.length > 0) throw invalid([...fields, ...strangers]);
}

/** Who leads is said where it is asked whether they were shown it; a series that goes on under another id keeps its leader. */
function handedOver({ leaderId, sessionId }: Series, before: StandingPlan): boolean {
  return leaderId === null || before.series.some((each) => each.sessionId === sessionId && each.leaderId === leaderId);
}

async function slotsOf(
  db: Db,
  crewId: string,
  of: readonly { programId: string }[],
  transaction: Transaction,
): Promise<Map<string, Session["slot"]>> {
  const id = { [Op.in]: [...new Set(of.map(({ programId }) => programId))] };
  const programs = await db.models.Program.findAll({ where: { crewId, id }, transaction });
  return new Map(
    programs.flatMap((program) =>
      program.get().document.sessions.map((session) => [`${program.get().id} ${session.id}`, session.slot] as const),
    ),
  );
}

function sessionProblem(slot: Session["slot"] | undefined): string | null {
  if (slot && isOfShift(slot)) return null;
  return slot ? "is done alone, not in a shift" : "is not a session of this crew's programs";
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
  const slots = await slotsOf(db, crewId, placements, transaction);
  const fields = placements.flatMap((each, i) => {
    const problem = sessionProblem(slots.get(`${each.programId} ${each.sessionId}`));
    return problem ? [{ path: `placements.${i}.sessionId`, message: problem }] : [];
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
