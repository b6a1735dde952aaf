/** What a crew member's own page shows: the sessions of these days in their own form, the check-in, what they did. */
import type { MemberDay, MemberProgress, MemberSession } from "@kind-grip/core/api";
import { addDays, dateAt, shiftOf, shiftsFrom, workingDayAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { languageOf, type Language } from "@kind-grip/core/language";
import type { CustomMovement, Library } from "@kind-grip/core/library";
import { rampOn, sessionOn, type Program } from "@kind-grip/core/program";
import { FULL_PARTICIPATION, personalSession } from "@kind-grip/core/safety";
import { compilePerson, isOfShift, type Session } from "@kind-grip/core/session";
import { partition } from "es-toolkit";
import { Op } from "sequelize";
import type { Caller } from "../auth/caller";
import { askedRound } from "../baseline/self-checks";
import { askedOf } from "../run/own-answers";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { quickChoiceOf, quickSeriesOf } from "../run/quick-tests";
import { reminderOf } from "../message/wishes";
import { bookingsAhead } from "../booking/own-bookings";
import { placementsBetween } from "../dayplan/standing";
import { notFound } from "../http/problem";
import { programInUse } from "../program/in-use";
import { personDaysOf } from "../followup/days";
import { raisedMornings } from "../followup/mornings";
import { presencesIn, rampsOf } from "../program/ramps";
import { practiceLibrary } from "../library/practice-library";
import { customsOf } from "../practice/customs";
import { settingsOf } from "../practice/settings";
import { isHeldByRestriction, mostFelt, participationsIn, symptomHistory, symptomsOn } from "../safety/participations";
import { alertsOf } from "../safety/symptom-alerts";

/** Enough to be without a connection for a day, whatever the hour. */
const DAYS_AHEAD = 2;
const PROGRESS_DAYS = 28;

export async function memberDay(db: Db, caller: Caller, at: Date): Promise<MemberDay> {
  const personId = caller.accountId;
  const crew = await crewOf(db, caller, caller.crewId!);
  const person = (await db.models.Person.findByPk(personId))?.get();
  if (!person) throw notFound("person");
  const { timeZone, place } = crew.detail;
  const today = dateAt(at.getTime(), timeZone);
  const workday = workingDayAt(crew.detail.shiftPattern, timeZone, at.getTime());
  const [
    rows,
    programs,
    presences,
    participations,
    checkedIn,
    ran,
    alerts,
    history,
    { settings },
    trainer,
    clinicianFirst,
    library,
    customs,
    selfCheck,
    asked,
    reminder,
    quickTest,
    booked,
  ] = await Promise.all([
    placementsBetween(db, [crew], new Date(at.getTime() - 24 * 3600_000), new Date(at.getTime() + (DAYS_AHEAD + 1) * 24 * 3600_000)),
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null }, order: [["changedAt", "DESC"]] }),
    presencesIn(db, crew.id, today, { personId }),
    participationsIn(db, { id: crew.id, timeZone }, at),
    db.models.CheckIn.count({ where: { personId, day: workday } }),
    donePlacements(db, crew.id, personId, new Date(at.getTime() - 2 * 24 * 3600_000)),
    alertsOf(db, personId, at),
    symptomHistory(db, { crewId: crew.id, personId }),
    settingsOf(db, caller.practiceId),
    db.models.Account.findByPk(crew.trainerId, { attributes: ["name"] }),
    isHeldByRestriction(db, personId, timeZone, at),
    practiceLibrary(db, caller.practiceId),
    customsOf(db, caller.practiceId),
    askedRound(db, crew.id, personId),
    askedOf(db, crew.id, personId, at),
    reminderOf(db, crew.id, personId),
    quickChoiceOf(db, crew.id, personId),
    bookingsAhead(db, caller.practiceId, crew, personId, at, DAYS_AHEAD),
  ]);
  const usualLanguage = languageOf(crew.detail.language, customs.language);
  const language = languageOf(person.language, usualLanguage);
  const participation = participations.get(personId) ?? FULL_PARTICIPATION;
  const presence = presences.get(personId);
  const ramp = presence ? rampOn(presence, today) : null;
  const known = new Map(
    programs.flatMap((program) =>
      program
        .get()
        .document.sessions.map((session) => [`${program.get().id} ${session.id}`, { program: program.get().document, session }] as const),
    ),
  );
  const shifts = shiftsFrom(crew.detail.shiftPattern, timeZone, addDays(today, -1), DAYS_AHEAD + 3);
  const dayOf = (startsAt: Date) => shiftOf(shifts, startsAt.getTime())?.date ?? dateAt(startsAt.getTime(), timeZone);
  const entry = (
    programId: string,
    program: Program,
    session: Session,
    placed?: { id: string; startsAt: Date; ledUntil?: Date | null; booked?: boolean },
  ): MemberSession[] => {
    const day = placed ? dayOf(placed.startsAt) : today;
    const own = personalSession(
      library,
      sessionOn(library, program, session, day, rampsOf(presence, personId, day)),
      personId,
      participation,
    );
    if (own.items.length === 0) return [];
    return [
      {
        placementId: placed?.id ?? null,
        programId,
        startsAt: placed?.startsAt.toISOString() ?? null,
        totalSec: compilePerson(own, library.timings).totalSec,
        session: own,
        done: placed ? ran.has(placed.id) : false,
        ...(placed?.booked ? { booked: true } : {}),
        ended: placed?.ledUntil != null,
      },
    ];
  };
  /** Of today's shift or a later one, or of the night shift that is still on. */
  const near = (startsAt: Date) => {
    const day = dayOf(startsAt);
    const shift = shiftOf(shifts, startsAt.getTime());
    return day < addDays(today, DAYS_AHEAD) && (day >= today || (shift !== undefined && shift.endMs > at.getTime()));
  };
  const sessions = rows
    .filter((row) => near(row.startsAt) && isHere(person, dayOf(row.startsAt)) && (!row.people || row.people.includes(personId)))
    .flatMap((row) => {
      const found = known.get(`${row.programId} ${row.sessionId}`);
      return found && isOfShift(found.session.slot) ? entry(row.programId, found.program, found.session, row) : [];
    });
  const between = (booked?.sessions ?? []).flatMap((row) => {
    const found = known.get(`${row.programId} ${row.sessionId}`);
    return found ? entry(row.programId, found.program, found.session, { ...row, booked: true }) : [];
  });
  const inUse = await programInUse(
    db,
    crew,
    programs.map((program) => program.get()),
    at,
    booked ? undefined : rows,
  );
  const unplaced =
    inUse && isHere(person, workday) ? inUse.document.sessions.flatMap((session) => entry(inUse.id, inUse.document, session)) : [];
  const placed = [...sessions, ...between].sort((a, b) => Date.parse(a.startsAt!) - Date.parse(b.startsAt!));
  const [atWork, home] = partition(unplaced, ({ session }) => isOfShift(session.slot) || session.slot === "reset");
  // A reset has no time of its own but between two bookings.
  const anyTime = atWork.filter(({ session }) => booked !== null || session.slot !== "reset");
  return {
    now: at.toISOString(),
    today,
    person: { id: person.id, name: person.name },
    firstDay: person.startedOn && person.startedOn > workday ? person.startedOn : null,
    crew: { id: crew.id, name: crew.name, place, timeZone },
    trainer: trainer?.get().name ?? "",
    heldOut: participation.heldOut,
    clinicianFirst,
    shortOfEndDeg: participation.shortOfEndDeg,
    ramp: ramp && { awayDays: ramp.awayDays, ends: ramp.ends },
    alerts: alerts.map(({ id, causeId, kind, side, regions, since, endedAt, answer, reply, answeredAt }) => ({
      id,
      causeId,
      kind,
      side,
      regions,
      at: since.toISOString(),
      pauses: endedAt === null,
      answer,
      reply,
      answeredAt: answeredAt?.toISOString() ?? null,
    })),
    usualLevel: mostFelt(symptomsOn(history, today)),
    alarmMorning: settings.thresholds.alarmMorning,
    sessions: placed,
    bookings: booked?.bookings ?? [],
    changes: booked?.changes ?? null,
    anyTime,
    home,
    shifts: shifts.map(({ date, startMs, endMs }) => ({
      date,
      startsAt: new Date(startMs).toISOString(),
      endsAt: new Date(endMs).toISOString(),
    })),
    offDays: Array.from({ length: DAYS_AHEAD + 1 }, (_, i) => addDays(today, i)).filter((day) =>
      booked
        ? !booked.bookings.some((each) => dateAt(Date.parse(each.startsAt), timeZone) === day)
        : !shifts.some(({ date }) => date === day),
    ),
    language,
    usualLanguage,
    measures: customs.measures,
    corrections: library.corrections[language] ?? {},
    customMovements: customOf(library, [...placed, ...anyTime, ...home]),
    checkedIn: checkedIn > 0,
    selfCheck,
    ...asked,
    reminder,
    quickTest,
  };
}

function customOf(library: Library, entries: readonly MemberSession[]): CustomMovement[] {
  const ids = new Set(entries.flatMap(({ session }) => session.items.map(({ movementId }) => movementId)));
  return [...ids].flatMap((id) => library.custom(id) ?? []);
}

async function donePlacements(db: Db, crewId: string, personId: string, since: Date): Promise<Set<string>> {
  const runs = await db.models.Run.findAll({
    where: { crewId, startedAt: { [Op.gte]: since }, placementId: { [Op.ne]: null } },
    attributes: ["id", "placementId"],
  });
  if (runs.length === 0) return new Set();
  const took = await db.models.RunPerson.findAll({
    where: { personId, present: true, runId: runs.map((row) => row.get().id) },
    attributes: ["runId"],
  });
  const ids = new Set(took.map((row) => row.get().runId));
  return new Set(runs.flatMap((row) => (ids.has(row.get().id) ? [row.get().placementId!] : [])));
}

/** Four weeks of the member's own. */
export async function memberProgress(db: Db, caller: Caller, at: Date): Promise<MemberProgress> {
  const crew = await crewOf(db, caller, caller.crewId!);
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const since = addDays(today, -PROGRESS_DAYS);
  const personId = caller.accountId;
  const [days, mornings, quick] = await Promise.all([
    personDaysOf(db, { crewId: crew.id, personId, from: since }),
    raisedMornings(db, { crewId: crew.id, personId, from: since, until: addDays(today, 1) }),
    quickSeriesOf(db, { crewId: crew.id, personId, practiceId: caller.practiceId }, at),
  ]);
  return {
    days: days.map(({ day, itemsDue, itemsDone, doneSec, runs, effortSum, efforts }) => ({
      day,
      itemsDue,
      itemsDone,
      doneSec,
      runs,
      meanEffort: efforts === 0 ? null : effortSum / efforts,
    })),
    mornings: mornings.map(({ day, level, raised }) => ({ day, level, raised })),
    quick,
  };
}

/** What a crew member reads from now on; null for what their crew reads. A trainer who has the person open meanwhile sees it first. */
export async function chooseLanguage({ sequelize }: Db, { accountId }: Caller, language: Language | null): Promise<void> {
  await sequelize.query("UPDATE people SET language = :language, version = version + 1 WHERE id = :accountId", {
    replacements: { language, accountId },
  });
}
