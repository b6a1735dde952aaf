/** The phone's worker sends what waits when the browser says that there is a connection: the page may be closed by then. */
import { isFinal } from "../base/final";
import { SENDING } from "./background";
import { sendOutbox } from "./outbox";
import type { Waiting } from "./phone-store";
import type { Outcome } from "./send-waiting";

interface Sync extends Event {
  tag: string;
  waitUntil(done: Promise<unknown>): void;
}
export interface SyncWorker {
  addEventListener(type: "sync", listener: (event: Sync) => void): void;
}

export function listenForConnection(phone: SyncWorker): void {
  phone.addEventListener("sync", (event) => {
    if (event.tag === SENDING) event.waitUntil(sendAll());
  });
}

/** @throws Error while something is left: the browser asks again later */
async function sendAll(): Promise<void> {
  const me = await fetch("/api/me");
  if (!me.ok) throw new Error("the server is busy");
  const { csrfToken } = (await me.json()) as { csrfToken: string };
  if (!(await sendOutbox((waiting) => send(waiting, csrfToken)))) throw new Error("something still waits");
}

async function send({ kind, body, owner }: Waiting, csrfToken: string): Promise<Outcome> {
  const answer = await fetch(`/api/member/${kind}/${body.id}`, {
    method: "PUT",
    headers: { "content-type": "application/json", "x-csrf-token": csrfToken, "x-owner": owner },
    body: JSON.stringify(body),
  });
  if (answer.ok) return { done: true };
  const { code = "", message = "" } = (await answer.json().catch(() => ({}))) as { code?: string; message?: string };
  // A token that ran out meanwhile is no answer to what was sent.
  return { done: false, final: isFinal(answer.status) && code !== "csrf", message };
}
