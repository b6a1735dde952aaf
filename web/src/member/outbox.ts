/** What waits on this phone to be sent as the person it is of; one at a time sends, pages and the phone's worker alike. */
import { kept, phone, wasSent } from "./phone-store";
import { sendWaiting, type Outcome } from "./send-waiting";
import type { Waiting } from "./phone-store";

/** @returns whether everything went out */
export function sendOutbox(send: (waiting: Waiting) => Promise<Outcome>): Promise<boolean> {
  return withLock(() =>
    sendWaiting(
      {
        first: async () => {
          const person = (await kept("day"))?.person.id;
          return (await phone.outbox.orderBy("seq").toArray()).find(({ refused, owner }) => refused === undefined && owner === person);
        },
        drop: wasSent,
        refuse: async (seq, why) => void (await phone.outbox.update(seq, { refused: why })),
      },
      send,
    ),
  );
}

function withLock<T>(run: () => Promise<T>): Promise<T> {
  return "locks" in navigator ? navigator.locks.request("kind-grip-sender", run) : run();
}
