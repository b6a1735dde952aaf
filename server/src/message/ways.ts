/** The ways a reminder can take out of this server, each with what it carries: to a phone, as e-mail, or to a gateway by telephone number. */
import type { ContactWay } from "@kind-grip/core/contact";
import { withTimeout } from "es-toolkit";
import type { Mailer } from "./mail";
import type { Push } from "./push";
import { signatureOf } from "./signed";

export interface Outgoing {
  /** The same for every try. */
  id: string;
  to: string;
  text: string;
  /** Why they get it and how it is ended, in their language; worked out only where there is room for it. */
  why(): Promise<string>;
  /** Nobody is to be told after that. */
  goodForSec: number;
}

/** What became of it. */
interface Answered {
  taken: boolean;
  problem?: string;
  /** The address does not exist any more. */
  gone?: true;
}

/** @returns what became of it; rejects when who takes it could not be reached */
export type Way = (message: Outgoing) => Promise<Answered>;
export type Ways = Partial<Record<ContactWay, Way>>;

const GATEWAY_PATIENCE_MS = 5000;
/** However slow each step of it is: nobody else may begin to send what is still being sent. */
export const WAY_PATIENCE_MS = 10_000;

/** A way that has given up by then. */
export const bounded =
  (way: Way, patienceMs = WAY_PATIENCE_MS): Way =>
  (message) =>
    withTimeout(() => way(message), patienceMs);

interface Outside {
  mail?: Mailer;
  gatewayAddress?: string;
  push?: Push;
}

/**
 * The ways there are with what is outside of a server.
 * @param ownPage where a crew member ends it; left out where the server does not know how it is called outside
 * @param secret what requests to the gateway are signed with
 */
export function waysOf({ mail, gatewayAddress, push }: Outside, { ownPage, secret }: { ownPage?: string; secret?: string } = {}): Ways {
  return {
    ...(push ? { push: push.way } : {}),
    ...(mail ? { email: mailWay(mail, ownPage) } : {}),
    ...(gatewayAddress ? { telephone: gatewayWay(gatewayAddress, secret) } : {}),
  };
}

/** @param secret what requests are signed with; they are not where it is left out */
export function gatewayWay(address: string, secret?: string): Way {
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

function mailWay(mail: Mailer, ownPage?: string): Way {
  return async ({ id, to, text, why }) => {
    await mail({ id, to, subject: text, text: [text, "", await why(), ...(ownPage ? [ownPage] : [])].join("\n") });
    return { taken: true };
  };
}
