/**
 * Sends what waits, one after the other, in the order it happened. What the server confirmed leaves; what it will never take stays to be
 * read; anything else (no connection, a busy server, a sign-in that ran out) stops here and is tried again. Every request carries an id
 * made by the phone, so that sending twice after a lost answer stores once.
 */
import type { Waiting } from "./phone-store";

export type Outcome = { done: true } | { done: false; final: boolean; message: string };

interface Box {
  /** The oldest that is not refused. */
  first(): Promise<Waiting | undefined>;
  drop(seq: number): Promise<void>;
  refuse(seq: number, why: string): Promise<void>;
}

/** @returns whether everything went out */
export async function sendWaiting(box: Box, send: (waiting: Waiting) => Promise<Outcome>): Promise<boolean> {
  for (;;) {
    const waiting = await box.first();
    if (!waiting) return true;
    const outcome = await send(waiting);
    if (outcome.done) await box.drop(waiting.seq!);
    else if (outcome.final) await box.refuse(waiting.seq!, outcome.message);
    else return false;
  }
}
