/**
 * A small booking calendar (docs/formats/booking-calendar.md): it keeps bookings, shows them on a page where they are added, moved and
 * cancelled, and gives each therapist's as an iCalendar file. It stands in for a real one.
 * Options: --port N, --keep FILE (JSON), --begin FILE (JSON it begins with when there is nothing kept). Ends with whoever started it.
 */
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { parseArgs } from "node:util";
import { randomUUID } from "node:crypto";
import ical, { ICalEventStatus } from "ical-generator";
import { endWithStarter } from "./starter";

const { values } = parseArgs({
  options: { port: { type: "string", default: "4103" }, keep: { type: "string", default: "" }, begin: { type: "string", default: "" } },
});

interface Booked {
  id: string;
  /** The therapist, as in the address of their file. */
  calendar: string;
  title: string;
  start: string;
  minutes: number;
  cancelled: boolean;
}

const from = [values.keep, values.begin].find((file) => file && existsSync(file));
let bookings: Booked[] = from ? (JSON.parse(readFileSync(from, "utf8")) as Booked[]) : [];

function keep(next: Booked[]): void {
  bookings = next.sort((a, b) => a.start.localeCompare(b.start));
  if (values.keep) writeFileSync(values.keep, JSON.stringify(bookings));
}

function fileOf(calendar: string): string {
  const file = ical({ name: calendar, prodId: "//Booking calendar stand-in//bookings//EN" });
  for (const { id, title, start, minutes, cancelled } of bookings.filter((each) => each.calendar === calendar))
    file.createEvent({
      id,
      start: new Date(start),
      end: new Date(Date.parse(start) + minutes * 60_000),
      summary: title,
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  return file.toString();
}

/** @throws Error for what is no booking */
function booked(id: string, was: Booked | undefined, sent: URLSearchParams): Booked {
  const text = (name: "calendar" | "title") => sent.get(name)?.trim() || was?.[name] || "";
  const start = new Date(sent.get("start") ?? was?.start ?? "");
  const minutes = Number(sent.get("minutes") ?? was?.minutes);
  const calendar = text("calendar");
  if (Number.isNaN(start.getTime()) || !(minutes >= 5 && minutes <= 480) || !/^[a-z0-9-]{1,60}$/.test(calendar))
    throw new Error("no booking");
  const cancelled = sent.has("cancelled") ? sent.get("cancelled") === "yes" : (was?.cancelled ?? false);
  return { id, calendar, title: text("title").slice(0, 120), start: start.toISOString(), minutes, cancelled };
}

async function change(request: IncomingMessage, response: ServerResponse, id: string = randomUUID()): Promise<void> {
  let body = "";
  for await (const part of request) body += String(part);
  if (body.length > 4000) throw new Error("too long");
  const was = bookings.find((each) => each.id === id);
  const now = booked(id, was, new URLSearchParams(body));
  keep([...bookings.filter((each) => each.id !== id), now]);
  // A form goes back to the page, whoever wants JSON gets the booking.
  if (request.headers.accept?.includes("text/html")) return void response.writeHead(303, { location: `/#b-${id}` }).end();
  response.writeHead(200, { "content-type": "application/json" }).end(JSON.stringify(now));
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

function page(): string {
  const rows = bookings.map(
    ({ id, calendar, title, start, minutes, cancelled }) =>
      `<tr id="b-${escaped(id)}"${cancelled ? ' class="gone"' : ""}><td>${escaped(calendar)}</td><td>${escaped(title)}</td><td>${start.slice(0, 16).replace("T", " ")}</td><td>${minutes} min</td><td>
<form method="post" action="/bookings/${escaped(id)}"><input name="start" value="${start.slice(0, 16)}Z" size="17" aria-label="Start"><button>Move</button></form></td><td>
<form method="post" action="/bookings/${escaped(id)}"><input type="hidden" name="cancelled" value="${cancelled ? "no" : "yes"}"><button>${cancelled ? "Take back" : "Cancel"}</button></form></td></tr>`,
  );
  const files = [...new Set(bookings.map(({ calendar }) => calendar))].map((name) => `<li><a href="/${name}.ics">/${name}.ics</a></li>`);
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Booking calendar stand-in</title>
<style>body{font:17px/1.5 system-ui;margin:2rem;background:#F6F2E9;color:#1D2B2A}td,th{text-align:left;padding:.2rem 1rem .2rem 0;border-bottom:1px solid #D9D2C3}form{display:inline}button,input{font:inherit}.gone td:nth-child(-n+4){text-decoration:line-through}</style>
<h1>Bookings: ${bookings.length}</h1><p>This calendar stands in for a real one. Times are of the world clock.</p><ul>${files.join("")}</ul>
<form method="post" action="/bookings"><label>Calendar <input name="calendar" required></label> <label>Title <input name="title"></label> <label>Start <input name="start" placeholder="2026-03-26T10:00Z" required></label> <label>Minutes <input name="minutes" value="60" size="4"></label> <button>Book</button></form>
<table><tr><th>Calendar</th><th>Title</th><th>Start</th><th>Length</th><th></th><th></th></tr>${rows.join("")}</table></html>`;
}

const server = createServer((request, response) => {
  const address = request.url ?? "/";
  const [, calendar] = /^\/([a-z0-9-]+)\.ics$/.exec(address) ?? [];
  const [, id] = /^\/bookings\/([\w-]+)$/.exec(address) ?? [];
  const refuse = () => response.writeHead(400, { "content-type": "application/json" }).end('{"problem":"that was not understood"}');
  if (request.method === "POST" && (id || address === "/bookings")) return void change(request, response, id).catch(refuse);
  if (request.method === "GET" && calendar)
    return void response.writeHead(200, { "content-type": "text/calendar; charset=utf-8" }).end(fileOf(calendar));
  if (request.method === "GET" && address === "/bookings")
    return void response.writeHead(200, { "content-type": "application/json" }).end(JSON.stringify({ bookings }));
  if (request.method === "GET" && address === "/")
    return void response.writeHead(200, { "content-type": "text/html; charset=utf-8" }).end(page());
  return void response.writeHead(404, { "content-type": "application/json" }).end('{"problem":"nothing here"}');
});
server.on("error", (error: NodeJS.ErrnoException) => {
  process.stderr.write(`The booking calendar stand-in could not start: ${error.code ?? error.message}\n`);
  process.exit(1);
});
server.listen(Number(values.port), "127.0.0.1");
endWithStarter();
