/** API tokens: other programs in a trainer's name, each with what it may do and until when. */
import * as v from "valibot";
import { Id, IsoDate, IsoInstant } from "../units";

/** What a token may be for. Nothing that holds a person out, clears them or decides for them is among it: people do that. */
export const SCOPES = [
  "crews.read",
  "crews.write",
  "work.read",
  "work.write",
  "programs.read",
  "programs.write",
  "plan.read",
  "plan.write",
  "sessions.read",
  "reports.read",
  "health.read",
] as const;
export const Scope = v.picklist(SCOPES, "is nothing a token can be for");
export type Scope = v.InferOutput<typeof Scope>;

/** For how many days a token can be good. */
export const TOKEN_DAYS = [30, 90, 365] as const;

const TokenName = v.pipe(v.string("must be text"), v.trim(), v.minLength(1, "is needed"), v.maxLength(60, "is longer than 60 letters"));

export const NewApiToken = v.strictObject({
  name: TokenName,
  scopes: v.pipe(
    v.array(Scope),
    v.minLength(1, "must name one thing at least"),
    v.check((scopes) => new Set(scopes).size === scopes.length, "names one twice"),
  ),
  days: v.picklist(TOKEN_DAYS, "must be 30, 90 or 365 days"),
  password: v.pipe(v.string("must be text"), v.maxLength(200)),
});
export type NewApiToken = v.InferOutput<typeof NewApiToken>;

export const ApiTokenEntry = v.strictObject({
  id: Id,
  name: v.string(),
  /** How it begins, to tell it from others; the rest is known to whoever has it alone. */
  begins: v.string(),
  scopes: v.array(Scope),
  madeAt: IsoInstant,
  until: IsoInstant,
  withdrawnAt: v.nullable(IsoInstant),
  usedAt: v.nullable(IsoInstant),
});
export type ApiTokenEntry = v.InferOutput<typeof ApiTokenEntry>;

/** The latest first. */
export const ApiTokens = v.array(ApiTokenEntry);

/** @property token the whole of it, the only time it is told */
export const MadeApiToken = v.strictObject({ token: v.string(), id: Id });
export type MadeApiToken = v.InferOutput<typeof MadeApiToken>;

/** What a token was used for on a day. */
export const ApiTokenUse = v.strictObject({
  day: IsoDate,
  /** Of the description at /api/openapi.json. */
  operation: v.string(),
  answered: v.number(),
  refused: v.number(),
  lastAt: IsoInstant,
});
export type ApiTokenUse = v.InferOutput<typeof ApiTokenUse>;
export const ApiTokenUses = v.array(ApiTokenUse);
