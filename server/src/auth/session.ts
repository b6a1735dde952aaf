/** Server-side sessions in MariaDB and the CSRF token bound to them. */
import connectSessionSequelize from "connect-session-sequelize";
import { csrfSync } from "csrf-sync";
import session from "express-session";
import type { Request, RequestHandler } from "express";
import { v7 as uuid } from "uuid";
import type { Caller } from "./caller";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";

const EIGHT_HOURS_MS = 8 * 3600_000;
/** A crew member's phone stays signed in this long; a withdrawn card ends it at once. */
export const MEMBER_DAYS = 60;

export function sessionMiddleware({ sequelize }: Db, secret: string) {
  const Store = connectSessionSequelize(session.Store);
  const store = new Store({
    db: sequelize,
    table: "signed_in_sessions",
    checkExpirationInterval: 15 * 60_000,
    expiration: EIGHT_HOURS_MS,
    extendDefaultFields: (fields: object, { caller, publicId, device }: session.SessionData) => ({
      ...fields,
      publicId: publicId ?? null,
      accountId: caller?.accountId ?? null,
      device: device ?? null,
    }),
  });
  touchSeldom(store);
  const middleware = session({
    name: "kind-grip",
    secret,
    store,
    resave: false,
    rolling: true,
    saveUninitialized: false,
    // Behind a proxy that speaks TLS the cookie is marked secure; on plain loopback it cannot be.
    cookie: { httpOnly: true, sameSite: "strict", secure: "auto", maxAge: EIGHT_HOURS_MS },
  });
  return { middleware, stop: () => store.stopExpiringSessions() };
}

/** Of eight hours a minute more or less does not matter, and it need not be written with every call. */
const TOUCH_EVERY_MS = 60_000;
const TOUCHES_KEPT = 5000;

export function touchSeldom(store: session.Store, nowMs: () => number = Date.now): void {
  const touch = store.touch!.bind(store);
  const touchedMs = new Map<string, number>();
  store.touch = (sid, data, done) => {
    const now = nowMs();
    if (now - (touchedMs.get(sid) ?? 0) < TOUCH_EVERY_MS) return done?.();
    if (touchedMs.size >= TOUCHES_KEPT) touchedMs.clear();
    touchedMs.set(sid, now);
    return touch(sid, data, done);
  };
}

const { generateToken, csrfSynchronisedProtection } = csrfSync({ getTokenFromRequest: (request) => request.get("x-csrf-token") });

/** What a page sends that nobody is signed in on. There is nothing to protect yet but that it was a page of ours that asked. */
const SIGNED_OUT_TOKEN = "signed-out";

/** The token a page has to send with every change. Nobody who is only looking gets a session of their own. */
export function csrfToken(request: Request): string {
  return request.session.caller ? generateToken(request) : SIGNED_OUT_TOKEN;
}

/**
 * A change carries the token of its session. Before a sign-in it carries a header of ours, which a foreign page cannot send without
 * asking first, and nothing is answered to that.
 */
export const csrfProtection: RequestHandler = (request, response, next) => {
  if (request.session.caller) return csrfSynchronisedProtection(request, response, next);
  if (["GET", "HEAD", "OPTIONS"].includes(request.method) || request.get("x-csrf-token")) return next();
  throw new Problem(403, "csrf", "This page is out of date. Reload it and try again.");
};

/** A new session id at every sign-in, so that one planted before cannot be used after. */
export async function freshSession(request: Request, caller: Caller, days?: number): Promise<void> {
  await new Promise<void>((resolve, reject) => request.session.regenerate((error) => (error ? reject(error) : resolve())));
  request.session.caller = caller;
  request.session.publicId = uuid();
  request.session.device = request.get("user-agent")?.slice(0, 300) ?? "";
  if (days) request.session.cookie.maxAge = days * 86_400_000;
}
