/** Server-side sessions in MariaDB and the CSRF token bound to them. */
import connectSessionSequelize from "connect-session-sequelize";
import { csrfSync } from "csrf-sync";
import session from "express-session";
import { DataTypes } from "sequelize";
import type { Request } from "express";
import type { Caller } from "./caller";
import type { Db } from "../db/connection";

const EIGHT_HOURS_MS = 8 * 3600_000;
/** A crew member's phone stays signed in this long; a withdrawn card ends it at once. */
export const MEMBER_DAYS = 60;

export function sessionMiddleware({ sequelize }: Db, secret: string) {
  sequelize.define(
    "signed_in_sessions",
    { sid: { type: DataTypes.STRING(64), primaryKey: true }, expires: DataTypes.DATE, data: DataTypes.TEXT },
    { timestamps: true },
  );
  const Store = connectSessionSequelize(session.Store);
  const store = new Store({ db: sequelize, table: "signed_in_sessions", checkExpirationInterval: 15 * 60_000, expiration: EIGHT_HOURS_MS });
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

export { csrfSynchronisedProtection as csrfProtection, generateToken as csrfToken };

/** A new session id at every sign-in, so that one planted before cannot be used after. */
export async function freshSession(request: Request, caller: Caller, days?: number): Promise<void> {
  await new Promise<void>((resolve, reject) => request.session.regenerate((error) => (error ? reject(error) : resolve())));
  request.session.caller = caller;
  if (days) request.session.cookie.maxAge = days * 86_400_000;
}
