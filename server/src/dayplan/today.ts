/** Today: what runs when, for which crew. */
import type { Today, TodayEntry } from "@kind-grip/core/api";
import { addDays, dateAt, momentAt, shiftOf, shiftsAround } from "@kind-grip/core/calendar";
import { sessionOn } from "@kind-grip/core/program";
import { compileGroup, isShiftSession } from "@kind-grip/core/session";
import { isHere } from "@kind-grip/core/crew";
import { KINDS_BY_URGENCY } from "@kind-grip/core/response";
import { consequenceOf, endsSoon, notHeldOut, sessionWithin, type Participations } from "@kind-grip/core/safety";
import { grouped } from "@kind-grip/core/units";
import { orderBy, sortBy } from "es-toolkit";
import { Op, QueryTypes } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { stillIn } from "../crew/crews";
import type { CrewRow, PersonRow } from "../crew/tables";
import type { ProposalRow } from "../response/tables";
import type { ClearanceRow, RestrictionRow } from "../safety/tables";
import { heldOutRecords, participationsOf, type HeldOutRecords } from "../safety/participations";
import { reportsByPerson } from "../safety/person-alerts";
import { practiceLibrary } from "../library/practice-library";
import { excusedIn } from "../crew/absences";
import { bookedToday } from "../booking/bookings";
import { shortOf } from "./short-kit";
import { placementsBetween } from "./standing";

/**
 * Every placement of the crews' working day, and of the night shift from yesterday that is still on.
 * @param crewIds the caller's, in the order they are shown in
 */
export async function workOutToday(db: Db, caller: Caller, now: Date, crewIds: readonly string[]): Promise<Today> {
  const rowsOfCrews = await crewsInOrder(db, crewIds);
  const places = rowsOfCrews.map(({ id, detail }) => ({ id, timeZone: detail.timeZone }));
  const crewId = { [Op.in]: [...crewIds] };
  const records = heldOutRecords(db, crewIds);
  // Everything that needs to know the crews only, at once: each wait is a round trip to the database.
  const [programCounts, rows, participations, people, excused, needs, library] = await Promise.all([
    db.models.Program.count({ where: { crewId, removedAt: null }, group: ["crewId"] }),
    placementsBetween(db, rowsOfCrews, new Date(now.getTime() - 36 * 3600_000), new Date(now.getTime() + 36 * 3600_000)),
    participationsOf(db, places, now, undefined, records),
    // Plain rows: a thousand of them as models would cost more than everything else here.
    db.models.Person.findAll({
      where: { crewId },
      attributes: ["id", "crewId", "name", "startedOn", "leftOn"],
      raw: true,
    }) as unknown as Promise<PersonRow[]>,
    // Wherever a crew works: the days around this one.
    excusedIn(db, crewIds, addDays(dateAt(now.getTime(), "UTC"), -2), addDays(dateAt(now.getTime(), "UTC"), 2)),
    caller.role === "lead" ? null : readNeeds(db, crewIds, records),
    practiceLibrary(db, caller.practiceId),
  ]);
  const programsOf = new Map(programCounts.map((each) => [each.crewId as string, each.count]));
  const peopleOf = grouped(people, ({ crewId: of }) => of);
  const crews = rowsOfCrews.map(({ id, name, detail }) => ({
    id,
    name,
    ...detail,
    people: stillIn(peopleOf.get(id), dateAt(now.getTime(), detail.timeZone)),
    programs: programsOf.get(id) ?? 0,
  }));
  const shifts = new Map(crews.map((crew) => [crew.id, shiftsAround(crew.shiftPattern, crew.timeZone, now.getTime())]));
  const [programs, runs, booked] = await Promise.all([
    db.models.Program.findAll({ where: { id: { [Op.in]: [...new Set(rows.map((row) => row.programId))] }, removedAt: null } }),
    db.models.Run.findAll({
      where: { placementId: { [Op.in]: rows.map((row) => row.id) }, crewId, alone: false },
      attributes: ["id", "placementId", "crewId"],
    }),
    bookedToday(db, caller.practiceId, rowsOfCrews, now),
  ]);
  const sessions = new Map(
    programs.flatMap((row) => {
      const { id, document, version } = row.get();
      return document.sessions
        .filter(isShiftSession)
        .map((session) => [`${id} ${session.id}`, { program: document, version, session }] as const);
    }),
  );
  const dates = new Map(crews.map((crew) => [crew.id, dateAt(now.getTime(), crew.timeZone)]));
  const ranBy = new Map(runs.map((run) => [`${run.get().crewId} ${run.get().placementId}`, run.get().id]));
  const entries = rows.flatMap((row): TodayEntry[] => {
    const crew = crews.find((each) => each.id === row.crewId)!;
    const found = sessions.get(`${row.programId} ${row.sessionId}`);
    const date = dates.get(crew.id)!;
    const startMs = row.startsAt.getTime();
    const shift = shiftOf(shifts.get(crew.id)!, startMs);
    const day = shift?.date ?? dateAt(startMs, crew.timeZone);
    const session = found && sessionOn(library, found.program, found.session, day);
    const isOn = shift && shift.startMs <= now.getTime() && now.getTime() < shift.endMs;
    if (!session || (day !== date && !isOn)) return [];
    const may = participations.get(crew.id)!;
    const here = notHeldOut(
      (peopleOf.get(crew.id) ?? []).filter((person) => isHere(person, day) && (!row.people || row.people.includes(person.id))),
      may,
    );
    const ids = here.map((person) => person.id);
    const expected = ids.filter((id) => !excused(id, day));
    const key = [row.programId, found.version, library.revision, session.id, day, ...ids, JSON.stringify([...may])].join(" ");
    const totalSec = keptLength(key, () => compileGroup(sessionWithin(library, session, may), library.timings, ids).totalSec);
    return [
      {
        placementId: row.id,
        crewId: crew.id,
        crewName: crew.name,
        place: crew.place,
        timeZone: crew.timeZone,
        programId: row.programId,
        sessionId: row.sessionId,
        sessionName: session.name,
        slot: found.session.slot,
        movementIds: session.items.map((item) => item.movementId),
        startsAt: row.startsAt.toISOString(),
        groupName: row.groupName ?? null,
        groupPeople: row.people ?? null,
        totalSec,
        people: expected.length,
        runId: ranBy.get(`${crew.id} ${row.id}`) ?? null,
        shortKit: shortOf(library, session, expected, may, crew.kit),
      },
    ];
  });
  return {
    now: now.toISOString(),
    crews: crews.map((crew) => ({
      id: crew.id,
      name: crew.name,
      trade: crew.trade,
      timeZone: crew.timeZone,
      people: crew.people,
      programs: crew.programs,
      shifts: shifts
        .get(crew.id)!
        .filter(
          (shift) =>
            shift.date <= dates.get(crew.id)! &&
            shift.endMs > now.getTime() - 12 * 3600_000 &&
            (shift.date === dates.get(crew.id)! || shift.endMs > now.getTime()),
        )
        .map(({ date, kind, startMs, endMs, breaks, away }) => ({ date, name: kind.name, startMs, endMs, breaks: [...breaks, ...away] })),
      ...(booked.has(crew.id) ? { booked: booked.get(crew.id)! } : {}),
    })),
    entries,
    ...(needs ? needsYou(needs, crews, people, participations, now) : NOTHING_TO_DECIDE),
  };
}

async function crewsInOrder({ models }: Db, crewIds: readonly string[]): Promise<CrewRow[]> {
  const rows = await models.Crew.findAll({ where: { id: [...crewIds], removedAt: null } });
  const byId = new Map(rows.map((row) => [row.get().id, row.get({ plain: true })]));
  return crewIds.flatMap((id) => byId.get(id) ?? []);
}

/** The Todays of single crews, in the order the crews are shown in, as one. */
export function todayTogether(parts: readonly Today[]): Today {
  const all = <Key extends keyof typeof NOTHING_TO_DECIDE | "crews" | "entries">(key: Key) =>
    parts.flatMap((part) => part[key] as never) as Today[Key];
  return {
    now: parts.map(({ now }) => now).reduce((one, other) => (one > other ? one : other)),
    crews: all("crews"),
    entries: sortBy(all("entries"), ["startsAt"]),
    heldOut: sortBy(all("heldOut"), ["since"]),
    endingSoon: sortBy(all("endingSoon"), ["until"]),
    decisions: all("decisions"),
    alerts: orderBy(all("alerts"), [({ reports }) => reports[0]?.at], ["desc"]),
    clashes: orderBy(all("clashes"), ["startedAt"], ["desc"]).slice(0, MOST_CLASHES),
  };
}

/** Lengths worked out before: Today is asked every minute, and a session changes once a week. */
const lengths = new Map<string, number>();
const LENGTHS_KEPT = 5000;
function keptLength(key: string, workOut: () => number): number {
  let length = lengths.get(key);
  if (length === undefined) {
    if (lengths.size >= LENGTHS_KEPT) lengths.clear();
    lengths.set(key, (length = workOut()));
  }
  return length;
}

const MOST_CLASHES = 50;
/** A crew lead leads; who is held out and what waits for a decision is the trainer's. */
const NOTHING_TO_DECIDE = { heldOut: [], endingSoon: [], decisions: [], alerts: [], clashes: [] };

type CrewOfToday = Pick<CrewRow, "id" | "name"> & { timeZone: string };
type Needs = Awaited<ReturnType<typeof readNeeds>>;

async function readNeeds(db: Db, crewIds: readonly string[], records: Promise<HeldOutRecords>) {
  const { models, sequelize } = db;
  const crewId = { [Op.in]: [...crewIds] };
  const [{ restrictions, clearances }, waiting, alerts, late] = await Promise.all([
    records,
    models.Proposal.findAll({ where: { crewId }, attributes: ["crewId", "personId", "kind"], raw: true }) as unknown as Promise<
      Pick<ProposalRow, "crewId" | "personId" | "kind">[]
    >,
    reportsByPerson(db, crewIds, false),
    lateRuns(sequelize, crewIds),
  ]);
  return { restrictions: restrictions.filter(({ withdrawnAt }) => withdrawnAt === null), clearances, waiting, alerts, late };
}

/** People of today who are held out, longest first, and clearances about to run out, soonest first. */
function needsYou(
  { restrictions, clearances, waiting, alerts, late }: Needs,
  crews: readonly CrewOfToday[],
  people: readonly PersonRow[],
  participations: ReadonlyMap<string, Participations>,
  now: Date,
): Pick<Today, "heldOut" | "endingSoon" | "decisions" | "alerts" | "clashes"> {
  const days = new Map(crews.map((crew) => [crew.id, dateAt(now.getTime(), crew.timeZone)]));
  const dayIn = (crew: CrewOfToday) => days.get(crew.id)!;
  const crewsById = new Map(crews.map((crew) => [crew.id, crew]));
  const everybody = new Map(people.map((person) => [person.id, person]));
  const here = new Set(people.filter((person) => isHere(person, dayIn(crewsById.get(person.crewId)!))).map(({ id }) => id));
  const named = (personId: string) => {
    const { name, crewId: id } = everybody.get(personId)!;
    return { crewId: id, crewName: crewsById.get(id)!.name, personId, name };
  };
  const since = new Map<string, string>();
  for (const restriction of restrictions) {
    const { personId, crewId: id, question } = restriction;
    const from = heldSince(
      restriction,
      clearances.filter(({ restrictionId }) => restrictionId === restriction.id),
      crewsById.get(id)!.timeZone,
    );
    const out = here.has(personId) && participations.get(id)?.get(personId)?.heldOut;
    if (out && consequenceOf(question).kind === "stop" && !since.has(personId)) since.set(personId, from.toISOString());
  }
  return {
    heldOut: [...since].map(([personId, from]) => ({ ...named(personId), since: from })),
    endingSoon: clearances
      .filter(({ personId, crewId: id, fromDay, untilDay, withdrawnAt }) => {
        const day = dayIn(crewsById.get(id)!);
        return !withdrawnAt && here.has(personId) && fromDay <= day && endsSoon(untilDay, day);
      })
      .map(({ personId, untilDay }) => ({ ...named(personId), until: untilDay })),
    decisions: [...grouped(waiting, ({ personId }) => personId)]
      .filter(([personId]) => here.has(personId))
      .map(([personId, list]) => ({
        ...named(personId),
        kind: KINDS_BY_URGENCY.find((kind) => list.some((each) => each.kind === kind))!,
        items: list.length,
      })),
    // What somebody told waits until it is answered, also of who begins next week or had their last day.
    alerts: [...alerts]
      .filter(([personId]) => everybody.has(personId))
      .map(([personId, reports]) => ({
        ...named(personId),
        timeZone: crewsById.get(everybody.get(personId)!.crewId)!.timeZone,
        pauses: reports.some((report) => report.pauses),
        heldOut: since.has(personId),
        reports,
      })),
    clashes: late
      .filter(({ personId }) => everybody.has(personId))
      .map(({ runId, personId, sessionName, startedAt, receivedAt, clash }) => ({
        runId,
        ...named(personId),
        sessionName,
        startedAt: new Date(startedAt).toISOString(),
        receivedAt: new Date(receivedAt).toISOString(),
        kind: clash,
      })),
  };
}

interface LateRun {
  runId: string;
  personId: string;
  sessionName: string;
  startedAt: Date;
  receivedAt: Date;
  clash: "heldOut" | "outOfItem";
}

function lateRuns(sequelize: Db["sequelize"], crewIds: readonly string[]): Promise<LateRun[]> {
  if (crewIds.length === 0) return Promise.resolve([]);
  return sequelize.query<LateRun>(
    `SELECT rp.runId, rp.personId, r.sessionName, r.startedAt, r.receivedAt, rp.clash FROM run_people rp JOIN runs r ON r.id = rp.runId
     WHERE r.crewId IN (:crewIds) AND rp.clash IS NOT NULL AND rp.clashAnswer IS NULL ORDER BY r.startedAt DESC LIMIT ${MOST_CLASHES}`,
    { replacements: { crewIds: [...crewIds] }, type: QueryTypes.SELECT },
  );
}

/** Since when a restriction that is on really holds: since it was raised, or since the last clearance ran out or was withdrawn. */
function heldSince(restriction: RestrictionRow, clearances: readonly ClearanceRow[], timeZone: string): Date {
  const ends = clearances.map(({ untilDay, withdrawnAt }) =>
    Math.min(momentAt(addDays(untilDay, 1), "00:00", 0, timeZone), withdrawnAt?.getTime() ?? Infinity),
  );
  return new Date(Math.max(restriction.since.getTime(), ...ends));
}
