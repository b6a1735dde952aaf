/** The week of whoever leads, over all their crews; and the ways between their places. */
import type { OwnWeek, OwnWeekEntry, Way } from "@kind-grip/core/api";
import { addDays, workingDayAt } from "@kind-grip/core/calendar";
import { placeKey } from "@kind-grip/core/dayplan";
import { isHere } from "@kind-grip/core/crew";
import type { Library } from "@kind-grip/core/library";
import { sessionOn } from "@kind-grip/core/program";
import { notHeldOut, sessionWithin, type Participations } from "@kind-grip/core/safety";
import { compileGroup, isShiftSession, type Session } from "@kind-grip/core/session";
import { Op } from "sequelize";
import type { Caller } from "../auth/caller";
import { theirCrews } from "../crew/crews";
import type { CrewRow, PersonRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { practiceLibrary } from "../library/practice-library";
import { participationsOf } from "../safety/participations";
import { approvalsOf, leadersOf } from "./leaders";
import { placementsBetween } from "./standing";
import type { PlacementRow } from "./tables";

const DAY_MS = 86_400_000;

export async function ownWeek(db: Db, caller: Caller, at: Date, weekStart: string): Promise<OwnWeek> {
  const crews = await theirCrews(db, caller);
  // A day more on both sides: the week is that of each place.
  const from = new Date(Date.parse(weekStart) - 2 * DAY_MS);
  const [sessions, leaders, ways] = await Promise.all([
    ledSessions(db, caller.practiceId, crews, from, new Date(from.getTime() + 11 * DAY_MS), at),
    leadersOf(db, crews),
    waysOf(db, caller.practiceId),
  ]);
  const entries = sessions.map(({ entry }) => entry).filter(({ date }) => date >= weekStart && date < addDays(weekStart, 7));
  const bySession = new Map(sessions.map(({ entry, planned }) => [entry.sessionId, planned]));
  const approvals = await approvalsOf(
    db,
    crews.map(({ id }) => id),
    bySession,
  );
  return { weekStart, now: at.toISOString(), me: caller.accountId, entries, leaders, ways, approvals };
}

export interface LedSession {
  entry: OwnWeekEntry;
  crew: CrewRow;
  placement: PlacementRow;
  /** As the program has it. */
  planned: Session;
  programChangedAt: Date;
  /** As it is led on that day. */
  session: Session;
  /** Who takes part. */
  personIds: string[];
}

/** Placed sessions of crews with who is to lead each, oldest first. */
export async function ledSessions(
  db: Db,
  practiceId: string,
  crews: readonly CrewRow[],
  from: Date,
  to: Date,
  at: Date,
): Promise<LedSession[]> {
  const { models } = db;
  const crewIds = crews.map(({ id }) => id);
  const crewId = { [Op.in]: crewIds };
  const [rows, library, programs, people, participations, handed, runs, plans] = await Promise.all([
    placementsBetween(db, crews, from, to),
    practiceLibrary(db, practiceId),
    models.Program.findAll({ where: { crewId, removedAt: null } }),
    models.Person.findAll({
      where: { crewId },
      attributes: ["id", "crewId", "name", "startedOn", "leftOn"],
      raw: true,
    }) as unknown as Promise<PersonRow[]>,
    participationsOf(
      db,
      crews.map(({ id, detail }) => ({ id, timeZone: detail.timeZone })),
      at,
    ),
    models.PlacementLeader.findAll({ where: { crewId } }),
    models.Run.findAll({
      where: { crewId, alone: false, startedAt: { [Op.between]: [new Date(from.getTime() - DAY_MS), new Date(to.getTime() + DAY_MS)] } },
      attributes: ["id", "placementId", "crewId", "ledBy"],
    }),
    models.StandingPlan.findAll({ where: { crewId } }),
  ]);
  const seriesLeaders = new Map(plans.flatMap((plan) => plan.get().document.series.map(({ id, leaderId }) => [id, leaderId] as const)));
  const dayLeaders = new Map(handed.map((row) => [row.get().placementId, row.get().leaderId]));
  return rows.flatMap((row): LedSession[] => {
    const crew = crews.find(({ id }) => id === row.crewId)!;
    const program = programs.find((each) => each.get().id === row.programId)?.get();
    const planned = program?.document.sessions.filter(isShiftSession).find(({ id }) => id === row.sessionId);
    if (!program || !planned) return [];
    const { timeZone, place, shiftPattern } = crew.detail;
    const date = workingDayAt(shiftPattern, timeZone, row.startsAt.getTime());
    const session = sessionOn(library, program.document, planned, date);
    if (!session) return [];
    const may = participations.get(crew.id)!;
    const theirs = people.filter(
      (person) => person.crewId === crew.id && isHere(person, date) && (!row.people || row.people.includes(person.id)),
    );
    const personIds = notHeldOut(theirs, may).map(({ id }) => id);
    const run = runs.find((each) => each.get().placementId === row.id && each.get().crewId === crew.id)?.get();
    const seriesLeaderId = (row.seriesId && seriesLeaders.get(row.seriesId)) ?? null;
    const entry: OwnWeekEntry = {
      placementId: row.id,
      seriesId: row.seriesId ?? null,
      crewId: crew.id,
      crewName: crew.name,
      place,
      timeZone,
      programId: program.id,
      sessionId: session.id,
      sessionName: session.name,
      slot: planned.slot,
      groupName: row.groupName ?? null,
      groupPeople: row.people ?? null,
      date,
      startsAt: row.startsAt.toISOString(),
      totalSec: lengthOf(library, session, may, personIds),
      leaderId: run?.ledBy ?? dayLeaders.get(row.id) ?? seriesLeaderId ?? crew.trainerId,
      seriesLeaderId,
      runId: run?.id ?? null,
    };
    return [{ entry, crew, placement: row, planned, programChangedAt: program.changedAt, session, personIds }];
  });
}

function lengthOf(library: Library, session: Session, may: Participations, personIds: readonly string[]): number {
  return compileGroup(sessionWithin(library, session, may), library.timings, personIds).totalSec;
}

async function waysOf({ models }: Db, practiceId: string): Promise<Way[]> {
  const rows = await models.Way.findAll({ where: { practiceId }, order: ["fromPlace", "toPlace"] });
  return rows.map((row) => ({ places: [row.get().fromPlace, row.get().toPlace], minutes: row.get().minutes }));
}

/** How long it takes between two places, the same both ways. @param minutes null: not known any more */
export async function changeWay(db: Db, { practiceId }: Caller, places: readonly [string, string], minutes: number | null): Promise<Way[]> {
  const [fromPlace, toPlace] = places.map(placeKey).sort() as [string, string];
  const way = { practiceId, fromPlace, toPlace };
  if (minutes === null) await db.models.Way.destroy({ where: way });
  else await db.models.Way.upsert({ ...way, minutes });
  return waysOf(db, practiceId);
}
