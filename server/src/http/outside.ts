/**
 * Calls to an address that somebody gave: to no machine of the inside network, unless whoever runs the server allows it. What a name
 * stands for is looked at when the connection is made, so that it cannot be another machine by then.
 */
import { lookup } from "node:dns";
import { request as plainRequest, type IncomingMessage, type OutgoingHttpHeaders } from "node:http";
import { request as secureRequest } from "node:https";
import { isIP, type LookupFunction } from "node:net";
import ipaddr from "ipaddr.js";

/** The address is, or leads to, a machine inside. */
export class InsideAddress extends Error {}

interface OutsideCall {
  /** `host:port` of machines inside that may be called. */
  inside: ReadonlySet<string>;
  method?: string;
  headers: OutgoingHttpHeaders;
  body?: Buffer;
  signal: AbortSignal;
}

/** Whether a machine was allowed by name. */
export const isAllowed = (url: URL, inside: ReadonlySet<string>): boolean =>
  inside.has(`${url.hostname}:${url.port || (url.protocol === "https:" ? "443" : "80")}`);

/** @throws InsideAddress; what the connection says when it fails */
export function callOutside(url: URL, { inside, method = "GET", headers, body, signal }: OutsideCall): Promise<IncomingMessage> {
  const allowed = isAllowed(url, inside);
  const host = url.hostname.replace(/^\[|\]$/g, "");
  if (!allowed && isIP(host) && !isOutside(host)) return Promise.reject(new InsideAddress());
  const send = url.protocol === "https:" ? secureRequest : plainRequest;
  return new Promise((resolve, reject) => {
    // No connection of before is used again: each is looked at.
    send(url, { signal, method, lookup: allowed ? lookup : lookupOutside, headers, agent: false }, resolve)
      .on("error", reject)
      .end(body);
  });
}

/** Like the usual lookup, but of addresses outside only: one inside among them, and there is none. */
const lookupOutside: LookupFunction = (hostname, options, done) => {
  lookup(hostname, { ...options, all: true }, (error, addresses) => {
    if (error) return done(error, "", 4);
    if (addresses.length === 0 || !addresses.every(({ address }) => isOutside(address))) return done(new InsideAddress(), "", 4);
    return options.all ? done(null, addresses) : done(null, addresses[0]!.address, addresses[0]!.family);
  });
};

/** Whether an address is of the open network: no loopback, no private network, nothing reserved, in no disguise. */
export function isOutside(address: string): boolean {
  try {
    return ipaddr.process(address).range() === "unicast";
  } catch {
    return false;
  }
}
