import * as v from "valibot";

/** Ways a reminder can take; each needs the person's own yes. */
export const CONTACT_WAYS = ["push", "email", "telephone"] as const;
export type ContactWay = (typeof CONTACT_WAYS)[number];
/** Ways with an address that can be said and written down. */
export const WRITTEN_WAYS = ["email", "telephone"] as const satisfies ContactWay[];
export type WrittenWay = (typeof WRITTEN_WAYS)[number];

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

/** Bytes in base64 as addresses take it, without padding. */
const bytesText = (bytes: number) =>
  v.pipe(v.string("must be text"), v.regex(new RegExp(`^[\\w-]{${Math.ceil((bytes * 4) / 3)}}$`), `must be ${bytes} bytes in base64url`));

/** Where a browser takes messages, and with which keys they are encrypted for it (RFC 8291). */
export const PushAddress = v.strictObject({
  endpoint: v.pipe(v.string("must be text"), v.url("must be an address"), v.regex(/^https?:/, "must begin with https:"), v.maxLength(1000)),
  keys: v.strictObject({ p256dh: bytesText(65), auth: bytesText(16) }),
});
export type PushAddress = v.InferOutput<typeof PushAddress>;

/** Somebody's own phone, which only that phone can give. */
export const PushContact = v.strictObject({
  way: v.literal("push"),
  /** As the person may call it: "Chrome on Android". */
  device: v.pipe(v.string("must be text"), v.trim(), v.minLength(1, "is needed"), v.maxLength(80, "is too long")),
  address: PushAddress,
});

/** What a crew member can give on their own page. */
export const OwnContact = v.variant("way", [...Contact.options, PushContact]);
export type OwnContact = v.InferOutput<typeof OwnContact>;
