/**
 * Fetches a calendar somebody gave the address of: with limits of size, time and redirects, and from no machine of the inside network
 * unless whoever runs the server allows it. What a name stands for is looked at when the connection is made, so that it cannot be
 * another machine by then.
 */
import { lookup } from "node:dns";
import { request as plainRequest, type IncomingMessage } from "node:http";
import { request as secureRequest } from "node:https";
import { isIP, type LookupFunction } from "node:net";
import ipaddr from "ipaddr.js";

export const MOST_BYTES = 2 * 1024 * 1024;
export const PATIENCE_MS = 8000;
const MOST_REDIRECTS = 3;

/** What whoever pasted the address reads. */
export class CalendarProblem extends Error {}

export interface FetchLimits {
  /** `host:port` of machines inside that may be read. */
  inside: ReadonlySet<string>;
  patienceMs?: number;
  mostBytes?: number;
}

/** @throws CalendarProblem in words that say what to do */
export async function fetchCalendar(address: string, limits: FetchLimits): Promise<string> {
  const giveUp = AbortSignal.timeout(limits.patienceMs ?? PATIENCE_MS);
  let url = new URL(address);
  for (let redirects = 0; redirects <= MOST_REDIRECTS; redirects++) {
    const response = await ask(url, limits, giveUp);
    const { statusCode = 0, headers } = response;
    if (statusCode >= 300 && statusCode < 400 && headers.location) {
      response.destroy();
      url = new URL(headers.location, url);
      continue;
    }
    if (statusCode !== 200) {
      response.destroy();
      throw new CalendarProblem(`The calendar answered ${statusCode}. Make its address anew where the calendar is kept.`);
    }
    return textOf(response, limits.mostBytes ?? MOST_BYTES, giveUp);
  }
  throw new CalendarProblem("The address leads from one place to another without end.");
}

function ask(url: URL, { inside }: FetchLimits, signal: AbortSignal): Promise<IncomingMessage> {
  if (url.protocol !== "http:" && url.protocol !== "https:") throw new CalendarProblem("The address must begin with https:.");
  const isAllowed = inside.has(`${url.hostname}:${url.port || (url.protocol === "https:" ? "443" : "80")}`);
  const host = url.hostname.replace(/^\[|\]$/g, "");
  if (!isAllowed && isIP(host) && !isOutside(host)) throw insideProblem();
  const send = url.protocol === "https:" ? secureRequest : plainRequest;
  return new Promise((resolve, reject) => {
    send(
      url,
      {
        signal,
        lookup: isAllowed ? lookup : lookupOutside,
        headers: { accept: "text/calendar", "accept-encoding": "identity" },
        // No connection of before is used again: each is looked at.
        agent: false,
      },
      resolve,
    )
      .on("error", (error) => reject(problemOf(error, signal)))
      .end();
  });
}

const insideProblem = () =>
  new CalendarProblem("The address is inside the own network. Whoever runs the server can allow it (docs/operating.md).");

function problemOf(error: Error, signal: AbortSignal): CalendarProblem {
  if (error instanceof CalendarProblem) return error;
  return new CalendarProblem(signal.aborted ? "The calendar did not answer in time." : "The calendar could not be reached.");
}

/** Like the usual lookup, but of addresses outside only: one inside among them, and there is none. */
const lookupOutside: LookupFunction = (hostname, options, done) => {
  lookup(hostname, { ...options, all: true }, (error, addresses) => {
    if (error) return done(error, "", 4);
    if (addresses.length === 0 || !addresses.every(({ address }) => isOutside(address))) return done(insideProblem(), "", 4);
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

async function textOf(response: IncomingMessage, mostBytes: number, signal: AbortSignal): Promise<string> {
  const parts: Buffer[] = [];
  let bytes = 0;
  try {
    for await (const part of response as AsyncIterable<Buffer>) {
      bytes += part.length;
      if (bytes > mostBytes) throw new CalendarProblem(`The calendar is larger than ${Math.floor(mostBytes / 1024 / 1024)} MB.`);
      parts.push(part);
    }
  } catch (error) {
    throw problemOf(error as Error, signal);
  } finally {
    response.destroy();
  }
  return Buffer.concat(parts).toString("utf8");
}

/** Machines inside that may be read, as `host:port` parted by commas. */
export function insideFrom(setting: string | undefined): ReadonlySet<string> {
  return new Set(
    (setting ?? "")
      .split(",")
      .map((each) => each.trim())
      .filter(Boolean),
  );
}
