import * as v from "valibot";

/** Ways a reminder can take; each needs the person's own yes. */
export const CONTACT_WAYS = ["email", "telephone"] as const;
export type ContactWay = (typeof CONTACT_WAYS)[number];

export const EmailAddress = v.pipe(
  v.string("is missing"),
  v.trim(),
  v.toLowerCase(),
  v.email("is not an e-mail address"),
  v.maxLength(160, "is too long"),
);

/** What people put between digits. */
const BETWEEN = /[\s\-./()]/g;
/** ITU-T E.164: the country and the number, fifteen digits at most; no country has numbers of fewer than seven. */
const INTERNATIONAL = /^\+[1-9]\d{6,14}$/;

/**
 * A telephone number as it was typed, as it can be called from anywhere: + and digits. 00 before the country is + too; without a country
 * it is not known whose number it is.
 */
export const TelephoneNumber = v.pipe(
  v.string("is missing"),
  v.transform((typed) => typed.replace(BETWEEN, "").replace(/^00/, "+")),
  v.regex(INTERNATIONAL, "needs + and the country before the number"),
);

/** An address of a way, as it is kept. */
export const Contact = v.variant("way", [
  v.strictObject({ way: v.literal("email"), address: EmailAddress }),
  v.strictObject({ way: v.literal("telephone"), address: TelephoneNumber }),
]);
export type Contact = v.InferOutput<typeof Contact>;
