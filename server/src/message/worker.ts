/**
 * Sends what waits in the queue to the message gateway (docs/formats/message-gateway.md). Any number of server processes may run one:
 * rows are taken under a lock that others skip, and leased for longer than sending them can take. A message carries its id as the idempotency key, so that one
 * that was sent while the answer got lost is not delivered twice.
 */
import { Op, QueryTypes } from "sequelize";
import type { AppContext } from "../context";
import type { Db } from "../db/connection";
import { signatureOf } from "./signed";
import type { MessageRow } from "./tables";
import { isStillDue, queueWanted } from "./queue";

const AT_ONCE = 20;
const GATEWAY_PATIENCE_MS = 5000;
/** Longer than the slowest round takes: nobody else sends what is still being tried here. */
export const LEASE_MS = 2 * AT_ONCE * GATEWAY_PATIENCE_MS;
const FIRST_WAIT_MS = 2_000;
const LONGEST_WAIT_MS = 15 * 60_000;
const MOST_TRIES = 12;

/** @returns whether the gateway took it; rejects when it could not be reached */
export type Gateway = (message: { id: string; to: string; text: string }) => Promise<{ taken: boolean; problem?: string }>;

/** @param secret what requests are signed with; they are not where it is left out */
export function httpGateway(address: string, secret?: string): Gateway {
  return async ({ id, to, text }) => {
    const body = JSON.stringify({ to, text });
    const signed: Record<string, string> = secret
      ? { "x-kind-grip-signature": signatureOf(secret, Math.floor(Date.now() / 1000), id, body) }
      : {};
    const answer = await fetch(`${address}/messages`, {
      method: "POST",
      headers: { "content-type": "application/json", "idempotency-key": id, ...signed },
      body,
      signal: AbortSignal.timeout(GATEWAY_PATIENCE_MS),
    });
    return answer.ok ? { taken: true } : { taken: false, problem: `the gateway answered ${answer.status}` };
  };
}

/**
 * Sends what is due now; what is no reminder any more, because the person is out of it or the session is gone, is dropped.
 * @param clock the moment it is for a practice @returns how many were tried
 */
export async function sendDue(db: Db, gateway: Gateway, now = new Date(), clock: AppContext["now"] = async () => now): Promise<number> {
  const taken = await takeDue(db, now);
  for (const message of taken) {
    if (!(await isStillDue(db, message, await clock(message)))) {
      await db.models.Message.update({ state: "dropped" }, { where: { id: message.id } });
      continue;
    }
    const person = (await db.models.Person.findByPk(message.personId))?.get();
    const result = await gateway({ id: message.id, to: person?.name ?? "", text: message.text }).catch((error: Error) => ({
      taken: false,
      problem: error.name === "TimeoutError" ? "the gateway did not answer" : "the gateway could not be reached",
    }));
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

async function takeDue({ sequelize, models }: Db, now: Date): Promise<MessageRow[]> {
  return sequelize.transaction(async (transaction) => {
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

/** Looks every two seconds; a database or gateway that is away is tried again the next time. @returns stops it */
export function startWorker(db: Db, gateway: Gateway, clock: AppContext["now"]): () => void {
  let busy = false;
  let rounds = 0;
  const timer = setInterval(() => {
    if (busy) return;
    busy = true;
    // What is due by itself is known to the minute; it need not be looked for at every round.
    const queued = rounds++ % WANTED_EVERY === 0 ? queueWanted(db, clock) : Promise.resolve(0);
    queued
      .then(() => sendDue(db, gateway, new Date(), clock))
      .catch(() => 0)
      .finally(() => (busy = false));
  }, 2000);
  return () => clearInterval(timer);
}
