/**
 * Messages to phones by web push (RFC 8030): encrypted for the phone (RFC 8291), signed with a key the phone knows (RFC 8292), so that
 * the push service in between reads nothing and takes nothing from others. `web-push` encrypts and signs; the call is made here, because
 * the address comes from a browser and may lead anywhere.
 */
import { PushContact } from "@kind-grip/core/contact";
import { UniqueConstraintError } from "sequelize";
import * as v from "valibot";
import webPush from "web-push";
import type { Db } from "../db/connection";
import { callOutside, InsideAddress, isAllowed } from "../http/outside";
import type { PushKeyRow } from "./tables";
import type { Way } from "./ways";

const PATIENCE_MS = 8000;
const ONLY = "first";

export interface Push {
  /** By which browsers know this server. */
  key(): Promise<string>;
  /** Whether messages may be sent to an address. */
  mayCall(url: URL): boolean;
  way: Way;
}

interface PushOptions {
  /** Whom a push service can ask about these messages: `mailto:` or `https:`. */
  subject: string;
  /** `host:port` of push services inside; a stand-in. */
  inside: ReadonlySet<string>;
}

export function pushOf(db: Db, { subject, inside }: PushOptions): Push {
  let known: Promise<PushKeyRow> | undefined;
  const keys = () => {
    known ??= keysOf(db).catch((error: unknown) => {
      known = undefined;
      throw error;
    });
    return known;
  };
  return {
    key: async () => (await keys()).publicKey,
    mayCall: (url) => url.protocol === "https:" || isAllowed(url, inside),
    async way({ id, to, text, goodForSec }) {
      const { address } = v.parse(v.omit(PushContact, ["way"]), JSON.parse(to));
      const { publicKey, privateKey } = await keys();
      const { headers, body, endpoint } = webPush.generateRequestDetails(address, JSON.stringify({ id, text }), {
        vapidDetails: { subject, publicKey, privateKey },
        TTL: goodForSec,
        urgency: "high",
        // Sent twice because an answer got lost it is shown once.
        topic: id.replaceAll("-", ""),
      });
      const call = { inside, method: "POST", headers, body: body!, signal: AbortSignal.timeout(PATIENCE_MS) };
      try {
        const answer = await callOutside(new URL(endpoint), call);
        answer.resume();
        return outcomeOf(answer.statusCode ?? 0);
      } catch (error) {
        if (error instanceof InsideAddress) return { taken: false, gone: true };
        throw error;
      }
    },
  };
}

/** What a push service's answer means (RFC 8030, section 7.3). */
export function outcomeOf(status: number): Awaited<ReturnType<Way>> {
  if (status >= 200 && status < 300) return { taken: true };
  if (status === 404 || status === 410) return { taken: false, gone: true };
  return { taken: false, problem: `the push service answered ${status}` };
}

/** One pair for every process of an installation: whoever comes second uses the first one's. */
async function keysOf({ models }: Db): Promise<PushKeyRow> {
  const there = (await models.PushKey.findByPk(ONLY))?.get({ plain: true });
  if (there) return there;
  const made: PushKeyRow = { id: ONLY, ...webPush.generateVAPIDKeys(), madeAt: new Date() };
  try {
    await models.PushKey.create(made);
    return made;
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return (await models.PushKey.findByPk(ONLY))!.get({ plain: true });
  }
}
