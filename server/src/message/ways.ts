/** The ways a reminder can take out of this server, each with what it carries: as e-mail, or to a message gateway by telephone number. */
import type { ContactWay } from "@kind-grip/core/contact";
import type { Mailer } from "./mail";
import { signatureOf } from "./signed";

export interface Outgoing {
  /** The same for every try. */
  id: string;
  to: string;
  text: string;
  /** Why they get it and how it is ended, in their language. */
  why: string;
}

/** @returns whether it was taken; rejects when who takes it could not be reached */
export type Way = (message: Outgoing) => Promise<{ taken: boolean; problem?: string }>;
export type Ways = Partial<Record<ContactWay, Way>>;

export const GATEWAY_PATIENCE_MS = 5000;

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

/** @param ownPage where a crew member ends it; left out where the server does not know how it is called outside */
export function mailWay(mail: Mailer, ownPage?: string): Way {
  return async ({ id, to, text, why }) => {
    await mail({ id, to, subject: text, text: [text, "", why, ...(ownPage ? [ownPage] : [])].join("\n") });
    return { taken: true };
  };
}
