/**
 * Sends what waits in the queue, each by its way (ways.ts, docs/formats/message-gateway.md). Any number of server processes may run one:
 * rows are taken under a lock that others skip, and leased for longer than sending them can take. A message carries its id as the idempotency key, so that one
 * that was sent while the answer got lost is not delivered twice.
 */
import type { ContactWay } from "@kind-grip/core/contact";
import { TimeoutError } from "es-toolkit";
import { Op, QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { AppContext } from "../context";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { addressOf, forgetAddress } from "../contact/contacts";
import type { MessageRow } from "./tables";
import { asItIs, queueWanted, whyFor } from "./queue";
import { bounded, WAY_PATIENCE_MS, type Outgoing, type Way, type Ways } from "./ways";

const AT_ONCE = 20;
/** Longer than the slowest round takes: nobody else sends what is still being tried here. */
export const LEASE_MS = 2 * AT_ONCE * WAY_PATIENCE_MS;
const FIRST_WAIT_MS = 2_000;
const LONGEST_WAIT_MS = 15 * 60_000;
const MOST_TRIES = 12;

/**
 * Sends what is due now; what is no reminder any more, because the person is out of it or wants none, the session is gone or the
 * consent was taken back, is dropped. It says when the session begins by then.
 * @param clock the moment it is for a practice @returns how many were tried
 */
export async function sendDue(db: Db, ways: Ways, now = new Date(), clock: AppContext["now"] = async () => now): Promise<number> {
  const taken = await takeDue(db, now);
  for (const message of taken) {
    const to = await addressOf(db, message.personId, message.way);
    const at = await clock(message);
    const said = to === undefined ? null : await asItIs(db, message, at);
    if (to === undefined || said === null) {
      await drop(db, message);
      continue;
    }
    const { text, startsAt, goodForSec } = said;
    if (text !== message.text) {
      // What was tried may have arrived all the same, and under its key nothing else would: another time is another message.
      if (message.tries > 0) {
        await tellAnew(db, message, { text, startsAt, now });
        continue;
      }
      // Kept before it goes: whatever becomes of the answer, what it said is on record.
      await db.models.Message.update({ text, startsAt }, { where: { id: message.id } });
    }
    const result = await send(ways, { ...message, text }, { to, why: () => whyFor(db, message), goodForSec });
    if (result.gone) {
      // The phone takes nothing any more: its owner took the permission away there, or the page is gone from it.
      await forgetAddress(db, message, to, at);
      await drop(db, message);
      continue;
    }
    const tries = message.tries + 1;
    await db.models.Message.update(
      result.taken
        ? { state: "sent", sentAt: now, tries, problem: null }
        : { state: tries >= MOST_TRIES ? "failed" : "waiting", tries, problem: result.problem ?? null, nextTryAt: nextTry(now, tries) },
      { where: { id: message.id } },
    );
  }
  return taken.length;
}

/** One that says something else now ends, and one that says it waits in its place. */
async function tellAnew(
  db: Db,
  { id, ...message }: MessageRow,
  { text, startsAt, now }: { text: string; startsAt: Date | null; now: Date },
): Promise<void> {
  const anew = {
    ...message,
    id: uuid(),
    text,
    startsAt,
    nr: message.nr + 1,
    state: "waiting" as const,
    tries: 0,
    nextTryAt: now,
    problem: null,
  };
  await inTransaction(db, async (transaction) => {
    await db.models.Message.update({ state: "failed", problem: "it says something else by now" }, { where: { id }, transaction });
    await db.models.Message.create(anew, { transaction });
  });
}

const drop = ({ models }: Db, { id }: MessageRow) => models.Message.update({ state: "dropped" }, { where: { id } });

const NAMES = { push: "the push service", email: "the mail server", telephone: "the gateway" } as const;

async function send(ways: Ways, { id, text, way }: MessageRow, more: Omit<Outgoing, "id" | "text">): ReturnType<Way> {
  const name = NAMES[way];
  const take = ways[way];
  if (!take) return { taken: false, problem: `this server does not know ${name} any more` };
  return bounded(take)({ id, text, ...more }).catch((error: Error) => ({
    taken: false,
    problem: error instanceof TimeoutError || error.name === "TimeoutError" ? `${name} did not answer` : `${name} could not be reached`,
  }));
}

async function takeDue(db: Db, now: Date): Promise<MessageRow[]> {
  const { sequelize, models } = db;
  return inTransaction(db, async (transaction) => {
    const due = await sequelize.query<{ id: string }>(
      "SELECT id FROM messages WHERE state = 'waiting' AND nextTryAt <= :now ORDER BY nextTryAt LIMIT :most FOR UPDATE SKIP LOCKED",
      { replacements: { now, most: AT_ONCE }, type: QueryTypes.SELECT, transaction },
    );
    const id = { [Op.in]: due.map((row) => row.id) };
    await models.Message.update({ nextTryAt: new Date(now.getTime() + LEASE_MS) }, { where: { id }, transaction });
    return (await models.Message.findAll({ where: { id }, transaction })).map((row) => row.get({ plain: true }));
  });
}

/** Twice as long each time. */
function nextTry(now: Date, tries: number): Date {
  return new Date(now.getTime() + Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (tries - 1)));
}

/** Rounds from one look for what is due by itself to the next. */
const WANTED_EVERY = 15;

/**
 * Looks every two seconds; a database or a way that is away is tried again the next time.
 * @param ways asked for every time: some come later @returns stops it
 */
export function startWorker(db: Db, ways: () => Ways, clock: AppContext["now"]): () => void {
  let busy = false;
  let rounds = 0;
  const timer = setInterval(() => {
    if (busy) return;
    busy = true;
    // What is due by itself is known to the minute; it need not be looked for at every round.
    const queued = rounds++ % WANTED_EVERY === 0 ? queueWanted(db, clock, Object.keys(ways()) as ContactWay[]) : Promise.resolve(0);
    queued
      .then(() => sendDue(db, ways(), new Date(), clock))
      .catch(() => 0)
      .finally(() => (busy = false));
  }, 2000);
  return () => clearInterval(timer);
}
