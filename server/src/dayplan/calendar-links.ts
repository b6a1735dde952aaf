/** Calendars to subscribe to, for a crew or one person: a long secret link, kept as a hash, that can be withdrawn. */
import { CalendarLink, MadeCalendarLink, NewCalendarLink } from "@kind-grip/core/api";
import { randomBytes } from "node:crypto";
import { Id } from "@kind-grip/core/units";
import type { Response } from "express";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { invalid, notFound } from "../http/problem";
import type { Routes } from "../http/route";
import { hashOf } from "../member/access";
import { crewCalendarText, leaderCalendarText } from "./calendar-text";
import type { CalendarLinkRow } from "./tables";

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
      sendCalendar(response, crew.name, await crewCalendarText(db, caller.practiceId, crew, null, await now(caller)));
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
      sendCalendar(response, crew.name, await crewCalendarText(db, account.practiceId, crew, link.personId, at));
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

/** A calendar to keep: looked at again each time, and not sent again while it is the same. */
function sendCalendar(response: Response, crewName: string, text: string): void {
  response.setHeader("Cache-Control", "private, no-cache");
  sendFile(response, `${crewName}.ics`, "text/calendar", text);
}
