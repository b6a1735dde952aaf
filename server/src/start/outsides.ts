/** Devices and services outside the application: those that are named in the environment, else stand-ins, with the demo or when asked for. */
import { spawn, type ChildProcess } from "node:child_process";
import path from "node:path";
import type { OutsideServices } from "../app";
import { startSealing } from "../audit/seal";
import { startReading } from "../booking/calendars";
import { insideFrom } from "../booking/fetch-calendar";
import { startRetention } from "../personal/retention";
import { practiceClock } from "../context";
import type { Db } from "../db/connection";
import { pointDemoCalendar } from "../demo/bookings";
import { smtpMailer } from "../message/mail";
import { pushOf } from "../message/push";
import { waysOf } from "../message/ways";
import { startWorker } from "../message/worker";
import { setting, wholeSetting } from "./settings";
import { processWords } from "./processes";

/** Where the booking calendar stand-in begins, and what it keeps. */
export interface KeptCalendar {
  begin: string;
  file: string;
}

interface OutsidesOptions {
  db: Db;
  /** Of the application's own files. */
  root: string;
  port: number;
  /** The data folder. */
  data: string;
  kept: KeptCalendar;
  /** How often booking calendars are read. */
  everyMs: number;
  /** Whether this process reads, seals, forgets and sends. */
  isAtWork: boolean;
}

export interface Outsides {
  /** Changes as stand-ins are started. */
  services: OutsideServices;
  insideCalendars: ReadonlySet<string>;
  /** Again it does nothing. */
  startStandIns(): Promise<void>;
  stop(): void;
}

export function openOutsides({ db, root, port, data, kept, everyMs, isAtWork }: OutsidesOptions): Outsides {
  const clock = practiceClock(db);
  const standIns: ChildProcess[] = [];
  const calendarPort = wholeSetting("BOOKING_CALENDAR_PORT", { usual: port + 3 });
  const calendarHost = `127.0.0.1:${calendarPort}`;
  const insideCalendars = new Set([...insideFrom(setting("INSIDE_CALENDARS")), calendarHost]);
  const services = servicesOfEnvironment();
  const publicAddress = setting("PUBLIC_ADDRESS");
  const pushPort = wholeSetting("PUSH_PORT", { usual: port + 6 });
  const insidePush = new Set(insideFrom(setting("INSIDE_PUSH")));
  services.push = pushOf(db, { subject: pushSubject(publicAddress, setting("MAIL_FROM")), inside: insidePush });
  const told = { ownPage: publicAddress && `${publicAddress}/me/progress`, secret: setting("GATEWAY_SECRET") || undefined };
  const stops = isAtWork
    ? [
        startReading(db, { inside: insideCalendars }, everyMs, clock),
        startSealing(db),
        startRetention(db, clock),
        startWorker(db, () => waysOf(services, told), clock),
      ]
    : [];
  const startOne = (name: string, ownPort: number, ...more: string[]) => standIns.push(startStandIn(root, name, ownPort, ...more));
  return {
    services,
    insideCalendars,
    async startStandIns() {
      if (standIns.length > 0) return;
      const meterPort = wholeSetting("METER_PORT", { usual: port + 1 });
      startOne("meter", meterPort);
      services.meterAddress = `ws://127.0.0.1:${meterPort}`;
      startOne("booking-calendar", calendarPort, "--keep", kept.file, "--begin", kept.begin);
      if (!services.gatewayAddress) {
        const gatewayPort = wholeSetting("GATEWAY_PORT", { usual: port + 2 });
        startOne("gateway", gatewayPort, "--keep", path.join(data, "messages.jsonl"));
        services.gatewayAddress = `http://127.0.0.1:${gatewayPort}`;
      }
      if (!services.mail) {
        const mailPort = wholeSetting("MAIL_PORT", { usual: port + 4 });
        const inboxPort = wholeSetting("INBOX_PORT", { usual: port + 5 });
        startOne("mail", mailPort, "--inbox", String(inboxPort));
        services.mail = smtpMailer(`smtp://127.0.0.1:${mailPort}`, setting("MAIL_FROM"));
        services.inboxAddress = `http://127.0.0.1:${inboxPort}`;
      }
      startOne("push", pushPort);
      insidePush.add(`127.0.0.1:${pushPort}`);
      await pointDemoCalendar(db, calendarHost);
    },
    stop() {
      for (const stopOne of stops) stopOne();
      for (const standIn of standIns) standIn.kill();
    },
  };
}

/** Whom a push service can ask: the site, else whoever its e-mails are from. */
function pushSubject(publicAddress: string, mailFrom: string): string {
  return publicAddress.startsWith("https:") ? publicAddress : `mailto:${/<([^>]+)>/.exec(mailFrom)?.[1] ?? mailFrom}`;
}

function servicesOfEnvironment(): OutsideServices {
  const [gatewayAddress, mailUrl] = [setting("GATEWAY_URL"), setting("MAIL_URL")];
  return {
    ...(gatewayAddress ? { gatewayAddress } : {}),
    ...(mailUrl ? { mail: smtpMailer(mailUrl, setting("MAIL_FROM")) } : {}),
  };
}

/** A process of its own; the application does without it when it cannot start. */
function startStandIn(root: string, name: string, port: number, ...more: string[]): ChildProcess {
  return spawn(process.execPath, [...processWords(`../../stand-ins/src/${name}.ts`), "--port", String(port), ...more], {
    cwd: root,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
    env: { ...process.env, STARTER_PID: String(process.pid) },
  });
}
