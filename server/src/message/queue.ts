/** Reminders: queued in the database, one for each person and placed session, sent by a worker. */
import { dateAt, wallTime } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { languageOf, wordsOf } from "@kind-grip/core/language";
import type { Library } from "@kind-grip/core/library";
import { FULL_PARTICIPATION, itemsLeftOut, type Participation } from "@kind-grip/core/safety";
import type { Session } from "@kind-grip/core/session";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import { placementById } from "../dayplan/standing";
import type { Db } from "../db/connection";
import type { PersonRow } from "../crew/tables";
import { customsOf } from "../practice/customs";
import type { PlacementRow } from "../dayplan/tables";
import type { MessageRow } from "./tables";
import { notFound } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import { participationsIn } from "../safety/participations";

export interface MessageEntry {
  id: string;
  personId: string;
  name: string;
  text: string;
  state: MessageRow["state"];
  tries: number;
  queuedAt: string;
  sentAt: string | null;
  problem: string | null;
}

/** Queues a reminder for everybody of a placed session who may take part. Asking again adds only those who have none yet. */
export async function remind(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  placementId: string,
): Promise<{ queued: number; people: number }> {
  const crew = await crewOf(db, caller, crewId);
  const placement = await placementById(db, crew, placementId);
  const session = placement && (await sessionOf(db, placement));
  if (!placement || !session) throw notFound("placed session");
  const { timeZone, place } = crew.detail;
  const day = dateAt(placement.startsAt.getTime(), timeZone);
  const [library, participations] = await Promise.all([
    practiceLibrary(db, caller.practiceId),
    participationsIn(db, { id: crewId, timeZone }, at),
  ]);
  const free = (await db.models.Person.findAll({ where: { crewId } }))
    .map((person) => person.get())
    .filter(
      (person) => isHere(person, day) && isMeantFor(placement, person.id) && hasAnyItem(library, session, participations.get(person.id)),
    );
  const known = new Map((await db.models.Message.findAll({ where: { placementId } })).map((row) => [row.get().personId, row.get()]));
  const fresh = free.filter(({ id }) => !known.has(id));
  // Those who had dropped out and take part again.
  const again = free.flatMap(({ id }) => (known.get(id)?.state === "dropped" ? [known.get(id)!.id] : []));
  const { language: usual, measures } = await customsOf(db, caller.practiceId);
  const time = wallTime(placement.startsAt.getTime(), timeZone);
  /** Each in their own language. */
  const textFor = ({ language }: PersonRow): string => {
    const theirs = languageOf(language, crew.detail.language, usual);
    const words = wordsOf(library, theirs, measures);
    return words.paper("reminder", { session: words.sessionName(session), time: words.timeOfDay(time), place });
  };
  await db.models.Message.update({ state: "waiting", tries: 0, nextTryAt: new Date() }, { where: { id: again, state: "dropped" } });
  await db.models.Message.bulkCreate(
    fresh.map((person): MessageRow => ({
      id: uuid(),
      practiceId: caller.practiceId,
      crewId,
      personId: person.id,
      placementId,
      text: textFor(person),
      queuedAt: at,
      state: "waiting",
      tries: 0,
      // The worker goes by real time; a demo practice's clock is not it.
      nextTryAt: new Date(),
      sentAt: null,
      problem: null,
    })),
    { ignoreDuplicates: true },
  );
  return { queued: fresh.length + again.length, people: free.length };
}

/** Whether a reminder is still one as it is sent: the session is in the plan, and the person may do some of it. */
export async function isStillDue(db: Db, { placementId, practiceId, crewId, personId }: MessageRow, at: Date): Promise<boolean> {
  if (placementId === null) return true;
  const crew = (await db.models.Crew.findByPk(crewId))?.get();
  const placement = crew && (await placementById(db, crew, placementId));
  const session = placement && (await sessionOf(db, placement));
  if (!session || !isMeantFor(placement, personId)) return false;
  const { timeZone } = crew.detail;
  const [library, participations] = await Promise.all([
    practiceLibrary(db, practiceId),
    participationsIn(db, { id: crewId, timeZone }, at),
  ]);
  return hasAnyItem(library, session, participations.get(personId));
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
    const { id, personId, text, state, tries, queuedAt, sentAt, problem } = row.get();
    return {
      id,
      personId,
      name: names.get(personId) ?? "",
      text,
      state,
      tries,
      queuedAt: queuedAt.toISOString(),
      sentAt: sentAt?.toISOString() ?? null,
      problem,
    };
  });
}
