/** Calendars to subscribe to, for a crew or one person: a long secret link, kept as a hash, that can be withdrawn. */
import { CalendarLink, MadeCalendarLink, NewCalendarLink } from "@kind-grip/core/api";
import { randomBytes } from "node:crypto";
import { addDays, dateAt, workingDayAt } from "@kind-grip/core/calendar";
import { languageOf, wordsOf } from "@kind-grip/core/language";
import { sessionOn } from "@kind-grip/core/program";
import { notHeldOut, personalSession, sessionWithin } from "@kind-grip/core/safety";
import { isOfShift } from "@kind-grip/core/session";
import { Id } from "@kind-grip/core/units";
import type { Response } from "express";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import { laidForPerson } from "../booking/laid";
import type { AppContext } from "../context";
import { crewOf, theirCrews } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { invalid, notFound } from "../http/problem";
import type { Routes } from "../http/route";
import { presencesIn, rampsOf } from "../program/ramps";
import { customsOf } from "../practice/customs";
import { practiceLibrary } from "../library/practice-library";
import { hashOf } from "../member/access";
import { participationsIn } from "../safety/participations";
import { calendarOf } from "./calendar";
import { ledSessions } from "./own-week";
import { placementsBetween } from "./standing";
import type { CalendarLinkRow } from "./tables";

/** How far back and ahead a calendar reaches, days. */
const CALENDAR_DAYS = { back: 14, ahead: 84 };

/** Calendars of whoever is signed in: of what they lead, over all their crews. */
export function addOwnCalendarRoutes(routes: Routes, { db, now }: AppContext): void {
  const roles = ["trainer", "lead"] as const;
  routes.add({
    id: "ownCalendarLinks",
    method: "get",
    path: "/api/own-week/calendar-links",
    summary: "Calendars of what I lead that can be subscribed to",
    answer: v.array(CalendarLink),
    roles,
    handle: ({ caller }) => linksWhere(db, { leaderId: caller.accountId }),
  });
  routes.add({
    id: "makeOwnCalendarLink",
    method: "post",
    path: "/api/own-week/calendar-links",
    summary: "Make a secret link to what I lead; its address is shown this once",
    answer: MadeCalendarLink,
    roles,
    body: v.strictObject({ id: Id }),
    async handle({ caller, body }) {
      const token = randomBytes(32).toString("base64url");
      await db.models.CalendarLink.create({
        id: body.id,
        crewId: null,
        personId: null,
        leaderId: caller.accountId,
        name: "",
        tokenHash: hashOf(token),
        madeAt: await now(caller),
        withdrawnAt: null,
        lastReadAt: null,
      });
      return { path: `/api/calendar/${token}.ics`, links: await linksWhere(db, { leaderId: caller.accountId }) };
    },
  });
  routes.add({
    id: "withdrawOwnCalendarLink",
    method: "delete",
    path: "/api/own-week/calendar-links/:linkId",
    summary: "Withdraw a link to what I lead; it answers nobody any more",
    answer: v.array(CalendarLink),
    roles,
    params: v.object({ linkId: Id }),
    async handle({ caller, params }) {
      const own = { id: params.linkId, leaderId: caller.accountId };
      if (!(await db.models.CalendarLink.findOne({ where: own }))) throw notFound("link");
      await db.models.CalendarLink.update({ withdrawnAt: await now(caller) }, { where: { ...own, withdrawnAt: null } });
      return linksWhere(db, { leaderId: caller.accountId });
    },
  });
}

export function addCalendarLinkRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "crewCalendar",
    method: "get",
    scope: "plan.read",
    path: "/api/crews/:crewId/calendar.ics",
    summary: "The crew's placed sessions as iCalendar",
    file: "text/calendar",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      sendCalendar(response, crew.name, await calendarText(db, caller.practiceId, crew, null, await now(caller)));
    },
  });
  routes.add({
    id: "calendarLinks",
    method: "get",
    path: "/api/crews/:crewId/calendar-links",
    summary: "Calendars that can be subscribed to",
    answer: v.array(CalendarLink),
    params: CrewParams,
    handle: ({ caller, params }) => listLinks(db, caller, params.crewId),
  });
  routes.add({
    id: "makeCalendarLink",
    method: "post",
    path: "/api/crews/:crewId/calendar-links",
    summary: "Make a secret link; its address is shown this once",
    answer: MadeCalendarLink,
    params: CrewParams,
    body: NewCalendarLink,
    async handle({ caller, params, body }) {
      const crew = await crewOf(db, caller, params.crewId);
      if (body.personId && !(await db.models.Person.findOne({ where: { id: body.personId, crewId: crew.id } })))
        throw invalid([{ path: "personId", message: "is not in this crew" }]);
      const token = randomBytes(32).toString("base64url");
      await db.models.CalendarLink.create({
        ...body,
        crewId: crew.id,
        tokenHash: hashOf(token),
        madeAt: await now(caller),
        withdrawnAt: null,
        lastReadAt: null,
      });
      return { path: `/api/calendar/${token}.ics`, links: await listLinks(db, caller, crew.id) };
    },
  });
  routes.add({
    id: "withdrawCalendarLink",
    method: "delete",
    path: "/api/crews/:crewId/calendar-links/:linkId",
    summary: "Withdraw a link; it answers nobody any more",
    answer: v.array(CalendarLink),
    params: v.object({ crewId: Id, linkId: Id }),
    async handle({ caller, params }) {
      await crewOf(db, caller, params.crewId);
      const at = await now(caller);
      const [changed] = await db.models.CalendarLink.update(
        { withdrawnAt: at },
        { where: { id: params.linkId, crewId: params.crewId, withdrawnAt: null } },
      );
      if (changed === 0 && !(await db.models.CalendarLink.findOne({ where: { id: params.linkId, crewId: params.crewId } })))
        throw notFound("link");
      return listLinks(db, caller, params.crewId);
    },
  });
  routes.add({
    id: "calendarByLink",
    method: "get",
    path: "/api/calendar/:token",
    summary: "A calendar by its secret link",
    file: "text/calendar",
    roles: "anyone",
    params: v.object({ token: v.pipe(v.string(), v.regex(/^[\w-]{40,60}\.ics$/, "is no calendar")) }),
    async handle({ params, response }) {
      const link = (await db.models.CalendarLink.findOne({ where: { tokenHash: hashOf(params.token.replace(/\.ics$/, "")) } }))?.get();
      if (link?.leaderId && !link.withdrawnAt) return sendLeaderCalendar(db, now, link, link.leaderId, response);
      const where = { id: link?.crewId ?? "", removedAt: null };
      const crew = link && !link.withdrawnAt && (await db.models.Crew.findOne({ where }))?.get();
      const account = crew && (await db.models.Account.findByPk(crew.trainerId))?.get();
      if (!link || !crew || !account) throw notFound("calendar");
      const at = await now(account);
      await db.models.CalendarLink.update({ lastReadAt: at }, { where: { id: link.id } });
      sendCalendar(response, crew.name, await calendarText(db, account.practiceId, crew, link.personId, at));
    },
  });
}

/** Of an account that is there no more it answers nobody. */
async function sendLeaderCalendar(
  db: Db,
  now: AppContext["now"],
  link: CalendarLinkRow,
  leaderId: string,
  response: Response,
): Promise<void> {
  const account = (await db.models.Account.findByPk(leaderId))?.get();
  if (!account || (account.role !== "trainer" && account.role !== "lead")) throw notFound("calendar");
  const at = await now(account);
  await db.models.CalendarLink.update({ lastReadAt: at }, { where: { id: link.id } });
  const caller = { accountId: account.id, practiceId: account.practiceId, role: account.role };
  sendCalendar(response, account.name, await leaderCalendarText(db, caller, account.name, at));
}

/** What somebody is to lead, over all their crews. */
async function leaderCalendarText(
  db: Db,
  caller: Pick<Caller, "accountId" | "practiceId" | "role">,
  name: string,
  at: Date,
): Promise<string> {
  const day = at.toISOString().slice(0, 10);
  const crews = await theirCrews(db, caller);
  const [from, to] = [new Date(addDays(day, -CALENDAR_DAYS.back)), new Date(addDays(day, CALENDAR_DAYS.ahead))];
  const [library, customs, sessions] = await Promise.all([
    practiceLibrary(db, caller.practiceId),
    customsOf(db, caller.practiceId),
    ledSessions(db, caller.practiceId, crews, from, to, at),
  ]);
  const entries = sessions
    .filter(({ entry }) => entry.leaderId === caller.accountId)
    .map(({ entry, crew, placement, programChangedAt, session, personIds }) => ({
      id: entry.placementId,
      startsAt: placement.startsAt,
      changedAt: latest(placement.changedAt, programChangedAt),
      session,
      place: crew.detail.place,
      timeZone: crew.detail.timeZone,
      personIds,
      crewName: crew.name,
    }));
  return calendarOf(library, name, entries, wordsOf(library, languageOf(customs.language), customs.measures));
}

async function listLinks(db: Db, caller: Caller, crewId: string): Promise<CalendarLink[]> {
  await crewOf(db, caller, crewId);
  return linksWhere(db, { crewId });
}

async function linksWhere({ models }: Db, where: Partial<CalendarLinkRow>): Promise<CalendarLink[]> {
  const rows = await models.CalendarLink.findAll({ where, order: [["madeAt", "DESC"]] });
  return rows.map((row) => {
    const { id, name, personId, madeAt, withdrawnAt, lastReadAt } = row.get();
    return {
      id,
      name,
      personId,
      madeAt: madeAt.toISOString(),
      withdrawnAt: withdrawnAt?.toISOString() ?? null,
      lastReadAt: lastReadAt?.toISOString() ?? null,
    };
  });
}

function workingDayOf({ detail: { shiftPattern, timeZone } }: CrewRow, startsAt: Date): string {
  return workingDayAt(shiftPattern, timeZone, startsAt.getTime());
}

function latest(a: Date | null | undefined, b: Date): Date {
  return a && a > b ? a : b;
}

/** A calendar to keep: looked at again each time, and not sent again while it is the same. */
function sendCalendar(response: Response, crewName: string, text: string): void {
  response.setHeader("Cache-Control", "private, no-cache");
  sendFile(response, `${crewName}.ics`, "text/calendar", text);
}

/** Days ahead that a therapist's calendar has what is laid between their bookings. */
const BOOKED_DAYS = 14;

/** For one person: their groups' sessions, and what is laid between their bookings, in their own form; nothing while they are held out. */
async function calendarText(db: Db, practiceId: string, crew: CrewRow, personId: string | null, at: Date): Promise<string> {
  const { timeZone, place } = crew.detail;
  const day = at.toISOString().slice(0, 10);
  const [library, placed, laid, participations, programs, people, presences, customs] = await Promise.all([
    practiceLibrary(db, practiceId),
    placementsBetween(db, [crew], new Date(addDays(day, -CALENDAR_DAYS.back)), new Date(addDays(day, CALENDAR_DAYS.ahead))),
    personId && crew.detail.byBookings ? laidForPerson(db, practiceId, crew, personId, at, BOOKED_DAYS) : [],
    participationsIn(db, { id: crew.id, timeZone }, at),
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null } }),
    db.models.Person.findAll({ where: { crewId: crew.id, leftOn: null } }),
    personId ? presencesIn(db, crew.id, dateAt(at.getTime(), timeZone), { personId }) : null,
    customsOf(db, practiceId),
  ]);
  const theirs = people.find((person) => person.get().id === personId)?.get().language;
  const language = languageOf(theirs, crew.detail.language, customs.language);
  const sessions = new Map(
    programs.flatMap((program) =>
      program
        .get()
        .document.sessions.filter(({ slot }) => isOfShift(slot) || slot === "reset")
        .map(
          (session) =>
            [
              `${program.get().id} ${session.id}`,
              { program: program.get().document, changedAt: program.get().changedAt, session },
            ] as const,
        ),
    ),
  );
  const ids = personId
    ? [personId]
    : notHeldOut(
        people.map((person) => person.get()),
        participations,
      ).map(({ id }) => id);
  const own = laid.map((row) => ({ ...row, people: [row.personId], changedAt: null }));
  const entries = [...placed, ...own].flatMap((row) => {
    const found = sessions.get(`${row.programId} ${row.sessionId}`);
    const workingDay = workingDayOf(crew, row.startsAt);
    const ramps = personId ? rampsOf(presences?.get(personId), personId, workingDay) : undefined;
    const session = found && sessionOn(library, found.program, found.session, workingDay, ramps);
    if (!session || (personId && row.people && !row.people.includes(personId))) return [];
    const shown = personId
      ? personalSession(library, session, personId, participations.get(personId))
      : sessionWithin(library, session, participations);
    return personId && shown.items.length === 0
      ? []
      : [
          {
            id: row.id,
            startsAt: row.startsAt,
            changedAt: latest(row.changedAt, found.changedAt),
            session: shown,
            place,
            timeZone,
            personIds: ids,
          },
        ];
  });
  return calendarOf(library, crew.name, entries, wordsOf(library, language, customs.measures));
}
