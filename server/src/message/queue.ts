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
  const untried = await db.models.Message.findAll({ where: { placementId, state: "waiting", tries: 0 }, attributes: ["personId"] });
  const waiting = new Set(untried.map((row) => row.get().personId)).size;
  return {
    queued,
    people: reachable.length,
    unreachable: wanted.length - reachable.length,
    unwanted: free.length - wanted.length,
    waiting,
    heldUntil: waiting > 0 && until > at.getTime() ? new Date(until).toISOString() : null,
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

/**
 * Who has one already gets none, but who was told of another time of the session.
 * @param until they wait, by the practice's clock @returns how many people have one now who had none
 */
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
  const rows = (await db.models.Message.findAll({ where: { placementId: placement.id }, order: ["nr"] })).map((row) => row.get());
  // The last of each.
  const known = new Map(rows.map((row) => [`${row.personId} ${row.way}`, row]));
  const wanted = people.flatMap((person) =>
    (agreed.get(person.id) ?? []).map((way) => ({ person, way, row: known.get(`${person.id} ${way}`) })),
  );
  // What still waits tells the time as it is when it goes.
  const isOver = (row: MessageRow) => row.state === "sent" || row.state === "failed";
  const moved = ({ startsAt }: MessageRow) => startsAt !== null && startsAt.getTime() !== placement.startsAt.getTime();
  const fresh = wanted.filter(({ row }) => !row || (isOver(row) && moved(row)));
  // Those who had dropped out and take part again. What was tried before stays known: it may have arrived, and says something else by now.
  const again = wanted.filter(({ row }) => row?.state === "dropped");
  // The worker goes by real time; a demo practice's clock is not it.
  const nextTryAt = new Date(Date.now() + Math.max(0, until - at.getTime()));
  // What was held for longer than it would be now, before the session was moved to an earlier time, goes as soon.
  const held = wanted.flatMap(({ row }) => (row?.state === "waiting" && row.tries === 0 && row.nextTryAt > nextTryAt ? [row.id] : []));
  if (held.length > 0) await db.models.Message.update({ nextTryAt }, { where: { id: held, state: "waiting", tries: 0 } });
  if (fresh.length + again.length === 0) return 0;
  const textFor = await textsOf(db, practiceId, crew, placement, session);
  await db.models.Message.update({ state: "waiting", nextTryAt }, { where: { id: again.map(({ row }) => row!.id), state: "dropped" } });
  await db.models.Message.bulkCreate(
    fresh.map(({ person, way, row }): MessageRow => ({
      id: uuid(),
      practiceId,
      crewId: crew.id,
      personId: person.id,
      placementId: placement.id,
      way,
      text: textFor(person),
      startsAt: placement.startsAt,
      nr: row ? row.nr + 1 : 0,
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

/** What a reminder says, to each in their own language. */
async function textsOf(
  db: Db,
  practiceId: string,
  { detail }: CrewRow,
  { startsAt }: PlacementRow,
  session: Session,
): Promise<(person: Pick<PersonRow, "language">) => string> {
  const [library, { language: usual, measures }] = await Promise.all([practiceLibrary(db, practiceId), customsOf(db, practiceId)]);
  const time = wallTime(startsAt.getTime(), detail.timeZone);
  return ({ language }) => {
    const words = wordsOf(library, languageOf(language, detail.language, usual), measures);
    return words.paper("reminder", { session: words.sessionName(session), time: words.timeOfDay(time), place: detail.place });
  };
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

/** A reminder as it is sent: what it says by then, and for how long it is one. */
interface AsItIs {
  text: string;
  startsAt: Date | null;
  goodForSec: number;
}

/**
 * A reminder as it is when it goes: the session at the time and place it has by then, in the person's language.
 * @returns null for one that is none any more: the session is not in the plan or has begun, the person is not here that day, excused, out of all
 * of it, or wants none
 */
export async function asItIs(db: Db, { placementId, practiceId, crewId, personId, text }: MessageRow, at: Date): Promise<AsItIs | null> {
  if (placementId === null) return { text, startsAt: null, goodForSec: A_DAY_SEC };
  const crew = (await db.models.Crew.findByPk(crewId))?.get();
  const placement = crew && (await placementById(db, crew, placementId));
  const session = placement && (await sessionOf(db, placement));
  if (!session || placement.startsAt <= at) return null;
  const [people, wishes] = await Promise.all([meantBy(db, practiceId, crew, placement, session, at), wishesOf(db, crewId)]);
  const person = people.find(({ id }) => id === personId);
  if (!person || wantsNone(wishes, personId)) return null;
  const textFor = await textsOf(db, practiceId, crew, placement, session);
  const goodForSec = Math.ceil((placement.startsAt.getTime() - at.getTime()) / 1000);
  return { text: textFor(person), startsAt: placement.startsAt, goodForSec };
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
