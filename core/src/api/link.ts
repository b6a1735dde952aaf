/** One-time addresses: a practice's first day, an invitation, a forgotten password. Their secret is after the `#`, which no server is sent. */
import * as v from "valibot";
import { EmailAddress } from "../contact";
import { TimeZone } from "../crew";
import { Language } from "../language";
import { IsoInstant, Measures, NonEmptyText } from "../units";
import { ChosenPassword, STAFF_ROLES } from "./auth";

export const LINK_KINDS = ["first", "invitation", "password"] as const;
export type LinkKind = (typeof LINK_KINDS)[number];

const token = v.pipe(v.string("is missing"), v.regex(/^[A-Za-z0-9_-]{32}$/, "is no one-time address"));
export const LinkToken = v.strictObject({ token });

/** Whom an address is for, before it is used. */
export const OneTimeLink = v.strictObject({
  kind: v.picklist(LINK_KINDS),
  /** Empty on the first day. */
  practice: v.string(),
  role: v.picklist(STAFF_ROLES),
  name: v.string(),
  email: v.string(),
  /** Who made it; empty where that was the server. */
  by: v.string(),
  until: IsoInstant,
});
export type OneTimeLink = v.InferOutput<typeof OneTimeLink>;

export const FirstDay = v.strictObject({
  kind: v.literal("first"),
  token,
  practice: NonEmptyText,
  name: NonEmptyText,
  email: EmailAddress,
  password: ChosenPassword,
  /** Where its crews work as a rule; may be left empty. */
  place: v.pipe(v.string(), v.trim(), v.maxLength(160)),
  timeZone: TimeZone,
  language: Language,
  measures: Measures,
});
export type FirstDay = v.InferOutput<typeof FirstDay>;
export const AcceptedInvitation = v.strictObject({ kind: v.literal("invitation"), token, name: NonEmptyText, password: ChosenPassword });
export const PasswordAnew = v.strictObject({ kind: v.literal("password"), token, password: ChosenPassword });
export const UsedLink = v.variant("kind", [FirstDay, AcceptedInvitation, PasswordAnew]);
export type UsedLink = v.InferOutput<typeof UsedLink>;

/** Whether a way back can be sent; without one somebody who runs the server makes it. */
export const WayBack = v.strictObject({ byMail: v.boolean() });
export const Forgotten = v.strictObject({ email: EmailAddress });
