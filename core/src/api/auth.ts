/** Signing in and out, and who is signed in. */
import * as v from "valibot";
import { EmailAddress } from "../contact";
import { MeasuringNoise } from "../baseline";
import { Language } from "../language";
import { Id, IsoInstant, Measures, NonEmptyText } from "../units";

/** Who signs in with a password. trainer: their own crews · lead: leads runs of the crews they are given · employer: crew figures. */
export const STAFF_ROLES = ["trainer", "lead", "employer"] as const;
/** member: their own page, with the crew's code and a PIN. */
export const ROLES = [...STAFF_ROLES, "member"] as const;
export const Role = v.picklist(ROLES);
export type Role = v.InferOutput<typeof Role>;

/** One that is chosen; whether it is guessed too soon is for the server to say. */
export const ChosenPassword = v.pipe(v.string("is missing"), v.minLength(10, "needs at least 10 characters"), v.maxLength(200));

export const Me = v.strictObject({
  /** What every change must carry. */
  csrfToken: v.string(),
  account: v.nullable(
    v.strictObject({
      role: Role,
      name: v.string(),
      /** Empty for a crew member. */
      email: v.string(),
      practice: v.string(),
      demo: v.boolean(),
      now: IsoInstant,
      /** Nothing can be done before a second step or a passkey was added. */
      needsSecondStep: v.boolean(),
      /** What somebody of the practice reads who has no language of their own. */
      language: Language,
      /** In which this screen tells quantities, times and dates: one's own, else the practice's. */
      measures: Measures,
      ownMeasures: v.nullable(Measures),
      /** What the practice found of its own measuring; nothing for who does not measure. */
      noise: MeasuringNoise,
    }),
  ),
});
export type Me = v.InferOutput<typeof Me>;

export const SignIn = v.strictObject({
  email: v.pipe(v.string("is missing"), v.trim(), v.toLowerCase(), v.minLength(1, "is missing"), v.maxLength(160)),
  password: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(200)),
  /** Of the second step, where it is on: six digits, or one of the codes on paper. */
  code: v.optional(v.pipe(v.string(), v.trim(), v.maxLength(20))),
});
export type SignIn = v.InferOutput<typeof SignIn>;

export const SignedInSession = v.strictObject({
  id: Id,
  /** As the browser calls itself; empty when it says nothing. */
  device: v.string(),
  since: IsoInstant,
  seenAt: IsoInstant,
  /** The one that asks. */
  here: v.boolean(),
});
export type SignedInSession = v.InferOutput<typeof SignedInSession>;
export const SignedInSessions = v.array(SignedInSession);

export const SecondFactorState = v.strictObject({ since: v.nullable(IsoInstant), codesLeft: v.number() });
export type SecondFactorState = v.InferOutput<typeof SecondFactorState>;
/** Shown until a code of it was given. */
export const NewSecondFactor = v.strictObject({ secret: v.string(), address: v.string() });
export type NewSecondFactor = v.InferOutput<typeof NewSecondFactor>;
export const SecondFactorCode = v.strictObject({
  code: v.pipe(v.string("is missing"), v.trim(), v.minLength(1, "is missing"), v.maxLength(20)),
});
/** The only time they are seen. */
export const RecoveryCodes = v.strictObject({ codes: v.array(v.string()) });
/** One's own name and address; an address is changed with one's password. */
export const OwnName = v.strictObject({ name: NonEmptyText, email: EmailAddress, password: v.optional(v.string(), "") });
export type OwnName = v.InferInput<typeof OwnName>;
export const OwnPassword = v.strictObject({ password: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(200)) });

export const NewPassword = v.strictObject({
  current: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(200)),
  next: ChosenPassword,
});
export type NewPassword = v.InferOutput<typeof NewPassword>;
