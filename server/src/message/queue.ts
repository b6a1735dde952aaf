/** Reminders: queued in the database, one for each person, placed session and way they agreed to, sent by a worker. */
import type { ContactWay } from "@kind-grip/core/contact";
import type { Reminded } from "@kind-grip/core/api";
import { shiftsAround, wallTime, workingDayAt } from "@kind-grip/core/calendar";
import { quietUntil, REMIND_MINUTES } from "@kind-grip/core/dayplan";
import { isHere } from "@kind-grip/core/crew";
import { languageOf, wordsOf } from "@kind-grip/core/language";
import type { Library } from "@kind-grip/core/library";
import { FULL_PARTICIPATION, itemsLeftOut, type Participation } from "@kind-grip/core/safety";
import type { Session } from "@kind-grip/core/session";
import { Op } from "sequelize";
import { excusedOn } from "../crew/absences";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { agreedWays } from "../contact/contacts";
import { crewOf } from "../crew/crews";
import type { AppContext } from "../context";
import { placementById, placementsBetween } from "../dayplan/standing";
import type { Db } from "../db/connection";
import type { CrewRow, PersonRow } from "../crew/tables";
import { customsOf } from "../practice/customs";
import type { PlacementRow } from "../dayplan/tables";
import type { MessageRow } from "./tables";
import { minutesFor, wantsNone, wishesOf } from "./wishes";
import { notFound, Problem } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import { participationsIn } from "../safety/participations";

export interface MessageEntry {
  id: string;
  personId: string;
  name: string;
  way: ContactWay;
  text: string;
  state: MessageRow["state"];
  tries: number;
  queuedAt: string;
  sentAt: string | null;
  problem: string | null;
}

/**
 * Queues a reminder for everybody of a placed session who may take part, wants one and can be reached. Asking again adds only those who have none yet;
 * asking at once lets those go that wait for people to be up.
 */
export async function remind(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  { placementId, atOnce }: { placementId: string; atOnce: boolean },
  ways: readonly ContactWay[],
): Promise<Reminded> {
  const crew = await crewOf(db, caller, crewId);
  const placement = await placementById(db, crew, placementId);
  const session = placement && (await sessionOf(db, placement));
  if (!placement || !session) throw notFound("placed session");
  if (placement.startsAt <= at) throw new Problem(409, "begun", "This session has begun: there is nothing to remind of any more.");
  const wishes = await wishesOf(db, crewId);
  const free = await meantBy(db, caller.practiceId, crew, placement, session, at);
  const wanted = free.filter(({ id }) => !wantsNone(wishes, id));
  const agreed = await agreedWays(db, crewId, ways);
  const reachable = wanted.filter(({ id }) => agreed.has(id));
  const until = atOnce
    ? at.getTime()
    : quietUntil(shiftsAround(crew.detail.shiftPattern, crew.detail.timeZone, at.getTime()), placement.startsAt.getTime(), at.getTime());
  const queued = await queueFor(db, caller.practiceId, crew, placement, session, reachable, agreed, at, until);
  if (atOnce) await db.models.Message.update({ nextTryAt: new Date() }, { where: { placementId, state: "waiting", tries: 0 } });
  return {
    queued,
    people: reachable.length,
    unreachable: wanted.length - reachable.length,
    unwanted: free.length - wanted.length,
    heldUntil: until > at.getTime() ? new Date(until).toISOString() : null,
  };
}

/** Who is here on the day and not excused, is meant, and may do some of it. */
async function meantBy(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  placement: PlacementRow,
  session: Session,
  at: Date,
): Promise<PersonRow[]> {
  const day = dayOf(crew, placement);
  const [library, participations, people, excused] = await Promise.all([
    practiceLibrary(db, practiceId),
    participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, at),
    db.models.Person.findAll({ where: { crewId: crew.id } }),
    excusedOn(db, crew.id, dayOf(crew, placement)),
  ]);
  return people
    .map((person) => person.get())
    .filter(
      (person) =>
        isHere(person, day) &&
        !excused.has(person.id) &&
        isMeantFor(placement, person.id) &&
        hasAnyItem(library, session, participations.get(person.id)),
    );
}

/** The working day of a placed session: at night the one the shift began on. */
function dayOf({ detail: { shiftPattern, timeZone } }: CrewRow, { startsAt }: PlacementRow): string {
  return workingDayAt(shiftPattern, timeZone, startsAt.getTime());
}

/** @param until they wait, by the practice's clock @returns how many people have one now who had none */
async function queueFor(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  placement: PlacementRow,
  session: Session,
  people: readonly PersonRow[],
  agreed: ReadonlyMap<string, readonly ContactWay[]>,
  at: Date,
  until: number,
): Promise<number> {
  const { timeZone, place } = crew.detail;
  const rows = (await db.models.Message.findAll({ where: { placementId: placement.id } })).map((row) => row.get());
  const known = new Map(rows.map((row) => [`${row.personId} ${row.way}`, row]));
  const wanted = people.flatMap((person) =>
    (agreed.get(person.id) ?? []).map((way) => ({ person, way, row: known.get(`${person.id} ${way}`) })),
  );
  const fresh = wanted.filter(({ row }) => !row);
  // Those who had dropped out and take part again.
  const again = wanted.filter(({ row }) => row?.state === "dropped");
  if (fresh.length + again.length === 0) return 0;
  const [library, { language: usual, measures }] = await Promise.all([practiceLibrary(db, practiceId), customsOf(db, practiceId)]);
  const time = wallTime(placement.startsAt.getTime(), timeZone);
  /** Each in their own language. */
  const textFor = ({ language }: PersonRow): string => {
    const theirs = languageOf(language, crew.detail.language, usual);
    const words = wordsOf(library, theirs, measures);
    return words.paper("reminder", { session: words.sessionName(session), time: words.timeOfDay(time), place });
  };
  // The worker goes by real time; a demo practice's clock is not it.
  const nextTryAt = new Date(Date.now() + Math.max(0, until - at.getTime()));
  await db.models.Message.update(
    { state: "waiting", tries: 0, nextTryAt },
    { where: { id: again.map(({ row }) => row!.id), state: "dropped" } },
  );
  await db.models.Message.bulkCreate(
    fresh.map(({ person, way }): MessageRow => ({
      id: uuid(),
      practiceId,
      crewId: crew.id,
      personId: person.id,
      placementId: placement.id,
      way,
      text: textFor(person),
      queuedAt: at,
      state: "waiting",
      tries: 0,
      nextTryAt,
      sentAt: null,
      problem: null,
    })),
    { ignoreDuplicates: true },
  );
  return new Set([...fresh, ...again].map(({ person }) => person.id)).size;
}

const MINUTE_MS = 60_000;
const LONGEST_BEFORE_MIN = Math.max(...REMIND_MINUTES);

/**
 * Queues what is due by itself: each person of a session that begins within the time they want to be told before. Asked again, by this
 * server or another, it queues nobody twice.
 * @param clock the moment it is for a practice @param ways this server has @returns how many people were queued
 */
export async function queueWanted(db: Db, clock: AppContext["now"], ways: readonly ContactWay[]): Promise<number> {
  const rules = await db.models.ReminderRule.findAll({ where: { minutesBefore: { [Op.ne]: null } }, attributes: ["crewId"] });
  const wishes = await db.models.ReminderWish.findAll({
    where: { minutesBefore: { [Op.ne]: null } },
    attributes: ["crewId"],
    group: ["crewId"],
  });
  const ids = [...new Set([...rules, ...wishes].map((row) => row.get().crewId))];
  const crews = (await db.models.Crew.findAll({ where: { id: ids, removedAt: null } })).map((row) => row.get({ plain: true }));
  let queued = 0;
  for (const crew of crews) queued += await queueWantedOf(db, clock, crew, ways);
  return queued;
}

async function queueWantedOf(db: Db, clock: AppContext["now"], crew: CrewRow, ways: readonly ContactWay[]): Promise<number> {
  const trainer = (await db.models.Account.findByPk(crew.trainerId, { attributes: ["practiceId"] }))?.get();
  if (!trainer) return 0;
  const at = await clock(trainer);
  const soon = await placementsBetween(db, [crew], at, new Date(at.getTime() + LONGEST_BEFORE_MIN * MINUTE_MS));
  const wishes = soon.length > 0 ? await wishesOf(db, crew.id) : null;
  const agreed = wishes ? await agreedWays(db, crew.id, ways) : new Map<string, ContactWay[]>();
  let queued = 0;
  for (const placement of wishes ? soon : []) {
    const session = await sessionOf(db, placement);
    const inMin = (placement.startsAt.getTime() - at.getTime()) / MINUTE_MS;
    const shifts = shiftsAround(crew.detail.shiftPattern, crew.detail.timeZone, at.getTime());
    if (!session || quietUntil(shifts, placement.startsAt.getTime(), at.getTime()) > at.getTime()) continue;
    const due = (await meantBy(db, trainer.practiceId, crew, placement, session, at)).filter(
      ({ id }) => agreed.has(id) && inMin <= (minutesFor(wishes!, id) ?? -1),
    );
    queued += await queueFor(db, trainer.practiceId, crew, placement, session, due, agreed, at, at.getTime());
  }
  return queued;
}

/** Of what reminds of nothing in the plan. */
const A_DAY_SEC = 86_400;

/**
 * For how long a reminder is one still, as it is sent: the session is in the plan and has not begun, and the person is not excused and may do some of it.
 * @returns seconds, 0 for one that is none any more
 */
export async function goodForSec(db: Db, { placementId, practiceId, crewId, personId }: MessageRow, at: Date): Promise<number> {
  if (placementId === null) return A_DAY_SEC;
  const crew = (await db.models.Crew.findByPk(crewId))?.get();
  const placement = crew && (await placementById(db, crew, placementId));
  const session = placement && (await sessionOf(db, placement));
  if (!session || placement.startsAt <= at || !isMeantFor(placement, personId)) return 0;
  const { timeZone } = crew.detail;
  const [library, participations, excused] = await Promise.all([
    practiceLibrary(db, practiceId),
    participationsIn(db, { id: crewId, timeZone }, at),
    excusedOn(db, crew.id, dayOf(crew, placement)),
  ]);
  if (excused.has(personId) || !hasAnyItem(library, session, participations.get(personId))) return 0;
  return Math.ceil((placement.startsAt.getTime() - at.getTime()) / 1000);
}

/** Why a person gets it and how they end it, in their language. */
export async function whyFor(db: Db, { practiceId, crewId, personId }: MessageRow): Promise<string> {
  const [person, crew, { language: usual, measures }, library] = await Promise.all([
    db.models.Person.findByPk(personId),
    db.models.Crew.findByPk(crewId),
    customsOf(db, practiceId),
    practiceLibrary(db, practiceId),
  ]);
  const language = languageOf(person?.get().language ?? null, crew?.get().detail.language ?? null, usual);
  return wordsOf(library, language, measures).paper("reminderWhy");
}

async function sessionOf(db: Db, { programId, sessionId }: PlacementRow): Promise<Session | undefined> {
  const program = (await db.models.Program.findOne({ where: { id: programId, removedAt: null } }))?.get();
  return program?.document.sessions.find(({ id }) => id === sessionId);
}

function isMeantFor({ people }: PlacementRow, personId: string): boolean {
  return !people || people.includes(personId);
}

function hasAnyItem(library: Library, session: Session, participation: Participation = FULL_PARTICIPATION): boolean {
  return itemsLeftOut(library, participation, session).length < session.items.length;
}

const SHOWN = 100;

export async function listMessages(db: Db, caller: Caller, crewId: string): Promise<MessageEntry[]> {
  await crewOf(db, caller, crewId);
  const [rows, people] = await Promise.all([
    db.models.Message.findAll({ where: { crewId }, order: [["queuedAt", "DESC"]], limit: SHOWN }),
    db.models.Person.findAll({ where: { crewId } }),
  ]);
  const names = new Map(people.map((person) => [person.get().id, person.get().name]));
  return rows.map((row) => {
    const { id, personId, way, text, state, tries, queuedAt, sentAt, problem } = row.get();
    return {
      id,
      personId,
      name: names.get(personId) ?? "",
      way,
      text,
      state,
      tries,
      queuedAt: queuedAt.toISOString(),
      sentAt: sentAt?.toISOString() ?? null,
      problem,
    };
  });
}
