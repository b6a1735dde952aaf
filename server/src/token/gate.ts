/**
 * The door for other programs: `Authorization: Bearer kg_…`. A call with a token carries no session and needs none of what protects one.
 * How often a token may call holds for each server by itself: it is there for the server's sake, and nobody guesses a token of 256 bits.
 */
import type { Request, RequestHandler } from "express";
import { ipKeyGenerator, rateLimit, type Options } from "express-rate-limit";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";
import { callerWith, type TokenCaller } from "./tokens";

declare module "express-serve-static-core" {
  interface Request {
    /** Who calls with an API token, and what it is for. */
    byToken?: TokenCaller;
  }
}

const MINUTE_MS = 60_000;
/** Calls of an address with what is no token. */
const WRONG_A_MINUTE = 30;

/** The token a call carries, as it was sent; undefined for a call of a page. */
export function tokenIn(request: Request): string | undefined {
  const [scheme, token] = (request.get("authorization") ?? "").split(" ");
  return scheme?.toLowerCase() === "bearer" && token ? token : undefined;
}

/** @param callsAMinute of one token */
export function tokenGate(db: Db, callsAMinute: number): RequestHandler {
  const tooMany = (message: string): Partial<Options> => ({
    windowMs: MINUTE_MS,
    standardHeaders: "draft-8",
    legacyHeaders: false,
    handler: (_request, _response, next) => next(new Problem(429, "tooManyCalls", message)),
  });
  const ofWrong = rateLimit({
    ...tooMany("Too many calls with tokens that are not known here. Wait a minute."),
    limit: WRONG_A_MINUTE,
    standardHeaders: false,
    keyGenerator: (request) => ipKeyGenerator(request.ip ?? "unknown"),
  });
  const ofEach = rateLimit({
    ...tooMany(`More than ${callsAMinute} calls in a minute. RateLimit and Retry-After say when to go on.`),
    limit: callsAMinute,
    keyGenerator: (request) => request.byToken!.caller.token!.id,
  });
  return async (request, response, next) => {
    const token = tokenIn(request);
    if (token === undefined) return next();
    request.byToken = await callerWith(db, token, new Date());
    if (request.byToken) return ofEach(request, response, next);
    const unknown = new Problem(401, "wrongToken", "This token is not known here, was withdrawn or has run out.");
    return ofWrong(request, response, (error?: unknown) => next(error ?? unknown));
  };
}

/** Of what protects a session: not for calls with a token. */
export const withoutToken =
  (handler: RequestHandler): RequestHandler =>
  (request, response, next) =>
    request.byToken ? next() : handler(request, response, next);
