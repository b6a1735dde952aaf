/** Fetches a calendar somebody gave the address of: with limits of size, time and redirects, and from no machine of the inside network. */
import type { IncomingMessage } from "node:http";
import { callOutside, InsideAddress } from "../http/outside";

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

async function ask(url: URL, { inside }: FetchLimits, signal: AbortSignal): Promise<IncomingMessage> {
  if (url.protocol !== "http:" && url.protocol !== "https:") throw new CalendarProblem("The address must begin with https:.");
  try {
    return await callOutside(url, { inside, signal, headers: { accept: "text/calendar", "accept-encoding": "identity" } });
  } catch (error) {
    throw problemOf(error as Error, signal);
  }
}

function problemOf(error: Error, signal: AbortSignal): CalendarProblem {
  if (error instanceof CalendarProblem) return error;
  if (error instanceof InsideAddress)
    return new CalendarProblem("The address is inside the own network. Whoever runs the server can allow it (docs/operating.md).");
  return new CalendarProblem(signal.aborted ? "The calendar did not answer in time." : "The calendar could not be reached.");
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
